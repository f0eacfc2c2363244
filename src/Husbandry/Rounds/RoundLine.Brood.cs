using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Trays;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>What a brood asks for.</summary>
public sealed partial record RoundLine
{
    /// <summary>Vials whose animals molted of late and do not eat yet, by number.</summary>
    public static IReadOnlyList<int> SoftVials(Judgement j)
    {
        var s = j.Subject;
        if (s.Standing.Tray.Molted.Count == 0)
        {
            return [];
        }

        var rule = FirstMeal.RuleFor(s.Group, j.Stage.Value, j.Size.Value?.SizeMm);
        var days = FirstMeal.Days(rule, s.Room.Settings.FirstMeal);
        return [.. s.Standing.Tray.Molted.Where(v => s.NightsSince(v.At) < days).Select(v => v.Number)];
    }

    /// <summary>Whether they may be laid on paper or searched for: not while any hush stands against handling, as of soft or molting ones.</summary>
    private static bool MayBeStirred(Judgement j) => j.Hush[CareAct.Handle].Verdict == Verdict.Fine;

    /// <summary>Night since which some of a brood are missing and nobody has looked again; none where nobody is, or it is too late for that.</summary>
    private static DateOnly? MissingSince(Judgement j)
    {
        var s = j.Subject;
        return
            s.Group.Nursery is not null
            && MayBeStirred(j)
            && SecondLookEntry.MissingOf(s.Standing) is { } count
            && s.NightsSince(count.At) <= s.Room.Rules.Room.Nursery.SecondLookNights.Value
            ? s.Night(count.At)
            : null;
    }

    private static RoundLine LookAgainLine(Judgement j)
    {
        var s = j.Subject;
        var count = SecondLookEntry.MissingOf(s.Standing)!;
        var search = s.Group.Nursery!.SearchIn;
        var text =
            $"{-count.By} of {count.Now - count.By} were missing {s.Room.Wording.Ago(s.Night(count.At))}: look {search.Value}.";
        return Line(
            j,
            RoundAct.LookAgain,
            "look",
            $"Look again for {-count.By}: {search.Value}",
            $"expected {count.Now - count.By}, found {count.Now}",
            new Answer<RoundAct>(RoundAct.LookAgain, text, [search.Because("Second look", "group.searchIn", text)]),
            [new LineChoice("n", "None found: they are lost", "Lost", [new SecondLook(0)])]
        );
    }

    /// <summary>Night since which young of an egg case that was never counted are out; none where they were.</summary>
    private static DateOnly? NotCountedSince(Judgement j)
    {
        var s = j.Subject;
        return
            s is { IsBrood: true, Standing.Departure: null }
            && (s.Standing.Kept is not null || s.Standing.Details.Count == 1)
            && MayBeStirred(j)
            && s.Standing.Vigils.All.LastOrDefault(v => v is { Vigil: VigilKind.Hatching, AsHoped: true })
                is { Ended: { } hatched }
            && s.Standing.Counts.All(c => c.Change != CountChange.Counted || c.At < hatched.From)
            ? s.Night(hatched.To)
            : null;
    }

    private static RoundLine CountLine(Judgement j)
    {
        var eye = j.Subject.Room.Rules.Room.Nursery.EyeSeesOneIn;
        var text = "They are out and nobody has counted them: lay them on white paper, take a picture, count in it.";
        return Line(
            j,
            RoundAct.CountYoung,
            "look",
            "Count the young, in a picture",
            "by eye half of them are missed",
            new Answer<RoundAct>(
                RoundAct.CountYoung,
                text,
                [eye.Because("By eye", "room.eyeSeesOneIn", "A guess by eye is often half of what is there.")]
            ),
            []
        );
    }

    private static RoundLine ApartLine(Judgement j)
    {
        var apart = j.Apart.Value!;
        var s = j.Subject;
        var minutes = apart.Minutes.ToString("0", CultureInfo.InvariantCulture);
        return Line(
            j,
            RoundAct.PutApart,
            "look",
            $"Put each alone: {apart.Vials} × {apart.Vial}",
            Join(
                apart is { BeforeMolt: true, MoltFrom: { } from }
                    ? $"before they molt to {apart.Instar}, {s.Room.Wording.Dates(from, apart.MoltTo!.Value)}"
                    : $"each alone from {apart.Instar} on",
                $"about {minutes} min, {s.Room.Wording.Length(apart.ShelfMm)} of shelf"
            ),
            As(RoundAct.PutApart, j.Apart),
            [new LineChoice("d", $"Done: {apart.Vials} vials", "Done", [new Divided(apart.Vials)])]
        ) with
        {
            Seconds = apart.Minutes * 60,
        };
    }
}
