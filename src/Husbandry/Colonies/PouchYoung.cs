using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Colonies;

/// <summary>Young to come from pouches that were seen full in a tub. A tub has no single mother: the first of them counts.</summary>
/// <param name="SeenOn">Night on which they were first seen full.</param>
/// <param name="From">First night on which young are to be expected.</param>
/// <param name="Likely">Half of such pouches are empty by then.</param>
/// <param name="To">Nine in ten are.</param>
public sealed record PouchYoung(DateOnly SeenOn, DateOnly From, DateOnly Likely, DateOnly To)
{
    /// <summary>
    /// Young of the pouches seen last; none where none were seen, or where young were seen since. A pouch was filled at some time
    /// since the look before that on which it was first seen full, and no longer ago than pouches stay full.
    /// </summary>
    public static Answer<PouchYoung>? Of(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        var looks = tub.Standing.Colony.Looks;
        var last = looks.LastOrDefault(l => l.Signs.Contains(TubSign.Pouches));
        if (last is null || looks.Any(l => l.At > last.At && HasYoung(l)))
        {
            return null;
        }

        // Back to the first look that saw these pouches: one that saw none, or young, came before them.
        TubEvent first = last;
        TubEvent? before = null;
        foreach (var look in looks.Where(l => l.At < last.At).OrderByDescending(l => l.At))
        {
            before = look;
            if (!look.Signs.Contains(TubSign.Pouches) || HasYoung(first))
            {
                break;
            }

            (first, before) = (look, null);
        }

        var rule = tub.Room.Rules.Room.Colonies.PouchDays;
        var seen = tub.Night(first.At);
        var oldest = seen.AddDays(-(int)rule.Value.P90);
        var filled = before is { } b && tub.Night(b.At) > oldest ? tub.Night(b.At) : oldest;
        var middle = filled.AddDays((seen.DayNumber - filled.DayNumber) / 2);
        var from = Later(seen, filled.AddDays((int)rule.Value.P10));
        var young = new PouchYoung(
            seen,
            from,
            Later(from, middle.AddDays((int)rule.Value.P50)),
            seen.AddDays((int)rule.Value.P90)
        );
        // Looked for once all of them should be there: that is answered, and trouble has a sentence of its own.
        if (looks.Any(l => l.At > last.At && tub.Night(l.At) > young.To))
        {
            return null;
        }

        return new Answer<PouchYoung>(young, Says(young, tub), Why(young, before, tub));
    }

    private static bool HasYoung(TubEvent look) =>
        look.Signs.Contains(TubSign.FewYoung) || look.Signs.Contains(TubSign.ManyYoung);

    private static DateOnly Later(DateOnly a, DateOnly b) => a > b ? a : b;

    private static string Says(PouchYoung young, Subject tub)
    {
        var words = tub.Room.Wording;
        return tub.Room.Tonight > young.To
            ? $"Full pouches {words.Date(young.SeenOn)}, no young seen since: they should be about, look under the bark."
            : $"Full pouches {words.Date(young.SeenOn)}: young between {words.Date(young.From)} and {words.Date(young.To)}. Take no such female out until then.";
    }

    private static IReadOnlyList<Reason> Why(PouchYoung young, TubEvent? before, Subject tub)
    {
        var words = tub.Room.Wording;
        var days = tub.Room.Rules.Room.Colonies.PouchDays;
        return
        [
            days.Because(
                "Pouches",
                "room.pouchDays",
                $"The young stay in the pouch for {Wording.Plain(days.Value.P10)} to {Wording.Plain(days.Value.P90)} days."
            ),
            Reason.FromRecord(
                "Filled",
                before is null
                    ? $"Nobody looked before {words.Date(young.SeenOn)}: they may have been full for long."
                    : $"Filled between the look of {words.Date(tub.Night(before.At))} and that of {words.Date(young.SeenOn)}.",
                "record.tubLooked"
            ),
        ];
    }
}
