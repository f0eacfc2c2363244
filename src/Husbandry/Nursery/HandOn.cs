using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Nursery;

/// <summary>How many young are spoken for, how many there will be to hand on, and what is too many.</summary>
/// <param name="Promises">To whom how many are still owed.</param>
/// <param name="Promised">In all.</param>
/// <param name="Wanted">How many are to be reared at all; none while nobody has said.</param>
/// <param name="Low">Hardly fewer will be there to hand on.</param>
/// <param name="High">Nor more; none of both where nobody can say.</param>
/// <param name="LeaveFrom">Night from which they may leave, likely; none where that is now, or nobody can say.</param>
/// <param name="LeaveTo">Latest likely such night.</param>
/// <param name="Lacking">So many more are promised than will hardly be there.</param>
/// <param name="Beyond">So many more are there, or to come, than are wanted.</param>
/// <param name="Taken">Eggs and young of a mother that came since it was said how many are wanted.</param>
public sealed record HandOn(
    IReadOnlyList<PromiseEvent> Promises,
    int Promised,
    int? Wanted,
    int? Low,
    int? High,
    DateOnly? LeaveFrom,
    DateOnly? LeaveTo,
    int Lacking,
    int Beyond,
    int Taken
)
{
    /// <summary>What is to become of the young of a brood, of eggs or of a mother to be; none where nothing was promised or capped.</summary>
    /// <param name="subject">The brood, the eggs or the mother.</param>
    /// <param name="molt">Its next molt.</param>
    /// <param name="size">Its size, when known.</param>
    public static Answer<HandOn?> Of(Subject subject, VigilForecast? molt, Growth.BodySize? size)
    {
        ArgumentNullException.ThrowIfNull(subject);
        var state = subject.Standing.HandOn;
        if ((state.Promises.Count == 0 && state.Cap is null) || subject.Standing.Departure is not null)
        {
            return new Answer<HandOn?>(null, "Nothing is promised.", []);
        }

        var unborn = !subject.IsBrood || subject.AllWaitFor(VigilKind.Hatching);
        var usual = subject.Profile.Pairing?.BroodSize;
        var now = subject.IsBrood && (!unborn || subject.Standing.Details.Count > 1) ? BroodRange.Of(subject) : null;
        var (low, high) = now is null ? ((int?)usual?.Value.Low, (int?)usual?.Value.High) : (now.Low, now.High);
        var rules = subject.Group.Nursery;
        var lives = rules is null ? 1 : LivesToLeave(rules, unborn ? subject.Group.InstarAtHatching : subject.Instar);
        var leave = rules?.LeaveFrom is { } from && !unborn ? LeavesOn(subject, molt, size, from.Value) : null;
        var (least, most) = (Share(low, lives), Share(high, lives));
        var owed = state.Promised;
        var wanted = state.Cap?.Count;
        // Of one that lays in lots, those taken since are the ones that are there.
        var lots =
            state.Cap is { } since && !subject.IsBrood
                ? subject.Standing.Births.Where(b => b.At >= since.At).Sum(b => b.Count)
                : 0;
        var there = lots > 0 ? lots : now?.Count ?? (usual is null ? null : (int?)Math.Round(usual.Value.Middle));
        var answer = new HandOn(
            state.Promises,
            owed,
            wanted,
            least,
            most,
            leave?.From,
            leave?.To,
            most is { } m ? Math.Max(0, owed - m) : 0,
            wanted is { } cap && there is { } n ? Math.Max(0, n - Math.Max(cap, owed)) : 0,
            lots
        );
        return new Answer<HandOn?>(answer, Say(answer, subject, unborn), Why(answer, subject, unborn, lives));
    }

    /// <summary>Share (0–1) that lives until it may leave, by the rulebook's losses.</summary>
    private static double LivesToLeave(NurseryRules rules, int? instar)
    {
        var lives = 1.0;
        for (var i = instar ?? int.MaxValue; i < (rules.LeaveFrom?.Value ?? 0); i++)
        {
            lives *= 1 - rules.LossIn(i);
        }

        return lives;
    }

    private static int? Share(int? count, double lives) => count is { } n ? (int)Math.Round(n * lives) : null;

    private static (DateOnly From, DateOnly To)? LeavesOn(
        Subject brood,
        VigilForecast? molt,
        Growth.BodySize? size,
        int from
    )
    {
        if (brood.Instar is not { } instar || instar >= from)
        {
            return null;
        }

        var path = MoltPath.Of(brood, molt, size, from - instar).ToList();
        if (path.Count < from - instar)
        {
            return null;
        }

        var until = path[^1].Until;
        DateOnly On(double p) => brood.Room.Tonight.AddDays((int)Math.Round(until.Quantile(p).Value));
        return (On(0.1), On(0.9));
    }

    private static string Whole(int n) => n.ToString(CultureInfo.InvariantCulture);

    private static string Say(HandOn a, Subject s, bool unborn)
    {
        var names = string.Join(", ", a.Promises.Select(p => $"{p.To} {Whole(p.Count)}"));
        var promised = a.Promised == 0 ? "" : $"{Whole(a.Promised)} promised ({names}). ";
        var instar = s.Group.Nursery?.LeaveFrom is { } from ? $" at {s.Group.InstarMark}{Whole(from.Value)}" : "";
        var likely =
            a.Low is not { } low || a.High is not { } high ? ""
            : a.Lacking > 0 ? $"That is more than will probably be there{instar}: {Between(low, high)}. "
            : a.Promised > 0 ? $"{Between(low, high)} will probably be there{instar}. "
            : "";
        var when = a is { LeaveFrom: { } first, LeaveTo: { } last, Promised: > 0 }
            ? $"They may leave between {s.Room.Wording.Between(first, last)}. "
            : "";
        var surplus =
            a.Wanted is not { } wanted ? ""
            : a.Taken > 0
                ? a.Taken < wanted ? $"{Whole(a.Taken)} of the {Whole(wanted)} wanted are there."
                    : $"The {Whole(wanted)} wanted are there: let her lay no more. {s.Room.Rules.Room.Nursery.SurplusEggs.Value}."
            : a.Beyond == 0 ? $"{Whole(wanted)} are wanted."
            : $"{Whole(wanted)} are wanted: about {Whole(a.Beyond)} too many. {(unborn ? s.Room.Rules.Room.Nursery.SurplusEggs : s.Room.Rules.Room.Nursery.SurplusYoung).Value}.";
        var home =
            a.Beyond > 0 && !unborn && s.Standing.Details.Wild is { } wild
                ? $" Found at {wild.Place}: only there could any go back, where that is lawful."
                : "";
        return $"{promised}{likely}{when}{surplus}{home}".TrimEnd();
    }

    private static string Between(int low, int high) => low == high ? Whole(low) : $"{Whole(low)}–{Whole(high)}";

    private static List<Reason> Why(HandOn a, Subject s, bool unborn, double lives)
    {
        List<Reason> why = [];
        if (a.Promised > 0)
        {
            why.Add(
                Reason.FromRecord(
                    "Promised",
                    string.Join(
                        "; ",
                        a.Promises.Select(p => $"{Whole(p.Count)} to {p.To} since {s.Room.Wording.Date(s.Night(p.At))}")
                    ) + ".",
                    "record.promised"
                )
            );
        }

        if (unborn && s.Profile.Pairing?.BroodSize is { } usual)
        {
            why.Add(
                usual.Because(
                    "Usual number",
                    "species.broodSize",
                    $"{Wording.Plain(usual.Value.Low)}–{Wording.Plain(usual.Value.High)} young in one."
                )
            );
        }
        else if (s.IsBrood)
        {
            why.Add(Reason.FromRecord("There now", $"{BroodRange.Of(s).Says}.", "record.count"));
        }

        if (lives < 1 && s.Group.Nursery is { LeaveFrom: { } from } rules)
        {
            why.Add(
                from.Because(
                    "May leave",
                    "group.leaveFrom",
                    $"None leaves before {s.Group.InstarMark}{Whole(from.Value)}."
                )
            );
            why.Add(
                rules.EarlyLoss.Because(
                    "Lost until then",
                    "group.earlyLoss",
                    $"{Wording.Chance(lives)} live until then by the rulebook."
                )
            );
        }

        if (a.Wanted is { } wanted)
        {
            var rule = unborn ? s.Room.Rules.Room.Nursery.SurplusEggs : s.Room.Rules.Room.Nursery.SurplusYoung;
            why.Add(Reason.FromRecord("Wanted", $"{Whole(wanted)}, those promised among them.", "record.capped"));
            why.Add(rule.Because("Too many", unborn ? "room.surplusEggs" : "room.surplusYoung", $"{rule.Value}."));
        }

        return why;
    }
}
