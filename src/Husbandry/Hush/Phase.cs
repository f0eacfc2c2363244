using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Hush;

/// <summary>Where an animal stands between two molts, as the lantern shows it.</summary>
public enum Phase
{
    /// <summary>Nothing points to a molt.</summary>
    Open,

    /// <summary>Plump and nothing else.</summary>
    WellFed,

    /// <summary>Premolt suspected.</summary>
    Suspected,

    /// <summary>Premolt likely.</summary>
    Likely,

    /// <summary>Burrow, hide or hammock closed from within.</summary>
    SealedIn,

    /// <summary>The molt is here or hours away.</summary>
    Imminent,

    /// <summary>Soft after a molt.</summary>
    Hardening,

    /// <summary>The days are over; the fangs have not been seen black.</summary>
    FangsUnchecked,

    /// <summary>Buried, and to be left so.</summary>
    Buried,

    /// <summary>A pupa.</summary>
    Pupa,

    /// <summary>A queen founding her colony.</summary>
    Founding,

    /// <summary>A mother with a sac, eggs or young.</summary>
    Brooding,

    /// <summary>Eggs, kept as such.</summary>
    Eggs,

    /// <summary>A queen or colony in its winter rest.</summary>
    Wintering,
}

/// <summary>Finds the phase and its words.</summary>
public static class Phases
{
    // How each phase is shown: its word and how many of the three shutters are closed. Of phases with as many shutters the
    // first of this list speaks for all. Source: docs/how-it-works.md, the lantern.
    private static readonly (Phase Phase, string Word, int Shutters)[] Marks =
    [
        (Phase.Imminent, "molting", 3),
        (Phase.Hardening, "hardening", 3),
        (Phase.Wintering, "wintering", 3),
        (Phase.Buried, "buried", 3),
        (Phase.Pupa, "pupa", 3),
        (Phase.Eggs, "eggs", 3),
        (Phase.Founding, "founding", 3),
        (Phase.Brooding, "brooding", 3),
        (Phase.FangsUnchecked, "fangs unchecked", 3),
        (Phase.Likely, "likely premolt", 2),
        (Phase.SealedIn, "sealed in", 2),
        (Phase.Suspected, "suspected", 1),
        (Phase.WellFed, "well fed", 0),
        (Phase.Open, "open", 0),
    ];

    /// <summary>
    /// All phases it is in, the one that speaks for all first: a mother may brood and lie on her back. What stops molts
    /// leaves no phase of a molt beside it; "open" and "well fed" stand only alone.
    /// </summary>
    public static IReadOnlyList<Answer<Phase>> Of(
        Subject subject,
        Answer<PremoltReading> reading,
        Answer<FirstMeal?> firstMeal
    )
    {
        var all = new List<Answer<Phase>>();
        if (subject.IsChilled && subject.Group.Diet == Diet.SugarAndProtein)
        {
            var since = subject.Room.Wording.Date(subject.Night(subject.Standing.Vigils.Chill!.From));
            all.Add(
                new Answer<Phase>(
                    Phase.Wintering,
                    "In the winter rest: dark, cold and still. Eggs come after it.",
                    [Reason.FromRecord("Since", $"In the cold since {since}.", "record.chilled")]
                )
            );
        }

        var waits = subject.WaitsOfAll.ToList();
        all.AddRange(waits.Select(w => Waiting(subject, w)));
        if (!waits.Any(w => VigilWords.StopsMolts(w.Vigil)))
        {
            var molt = OfMolt(subject, reading, firstMeal);
            // A mother is not disturbed to look at her fangs: they were hard long before she laid.
            if (all.Count == 0 || (Shutters(molt.Value) > 0 && molt.Value != Phase.FangsUnchecked))
            {
                all.Add(molt);
            }
        }

        // The same wait twice, as undoing an end can leave it, is one phase.
        return [.. all.DistinctBy(p => p.Value).OrderBy(p => Array.FindIndex(Marks, m => m.Phase == p.Value))];
    }

    /// <summary>The phase between two molts: hardening goes before what signs say.</summary>
    private static Answer<Phase> OfMolt(Subject subject, Answer<PremoltReading> reading, Answer<FirstMeal?> firstMeal)
    {
        if (firstMeal.Value is { } first)
        {
            if (subject.Room.Tonight < first.Night)
            {
                return new Answer<Phase>(Phase.Hardening, firstMeal.Summary, firstMeal.Reasons);
            }

            if (first.FangsMustBeSeen && !first.FangsSeenHard && !AteSinceMolt(subject) && !Lapsed(subject, first))
            {
                return new Answer<Phase>(
                    Phase.FangsUnchecked,
                    "The days of hardening are over. Look at the fangs: food only once they are black.",
                    firstMeal.Reasons
                );
            }
        }

        var phase = reading.Value.Word switch
        {
            ReadingWord.Suspected or ReadingWord.Likely when reading.Value.SealedIn => Phase.SealedIn,
            ReadingWord.WellFed => Phase.WellFed,
            ReadingWord.Suspected => Phase.Suspected,
            ReadingWord.Likely => Phase.Likely,
            ReadingWord.Imminent => Phase.Imminent,
            _ => Phase.Open,
        };
        return new Answer<Phase>(phase, reading.Summary, reading.Reasons);
    }

    /// <summary>
    /// Where the calendar alone makes premolt probable while no sign was seen, the open lantern says so: the word and the
    /// chance must not stand side by side without a reason.
    /// </summary>
    public static Answer<Phase> BesideForecast(Answer<Phase> phase, VigilForecast? molt, Subject subject)
    {
        var rule = subject.Room.Rules.Room.ForecastSpeaksAbove;
        if (phase.Value is not (Phase.Open or Phase.WellFed) || molt is null || molt.PremoltChance < rule.Value)
        {
            return phase;
        }

        var text =
            $"By the nights waited it is in premolt with {Wording.Chance(molt.PremoltChance)}, though no sign that tells was seen: look before the food goes in.";
        return phase with
        {
            Summary = $"{phase.Summary} {text}",
            Reasons = [rule.Because("By the calendar", "room.forecastSpeaksAbove", text), .. phase.Reasons],
        };
    }

    private static Answer<Phase> Waiting(Subject subject, VigilEvent waiting)
    {
        var (phase, text) = waiting.Vigil switch
        {
            VigilKind.Surfacing => (Phase.Buried, $"Buried: leave {subject.Them} be, however long it takes."),
            VigilKind.Emergence => (Phase.Pupa, Pupa(subject)),
            VigilKind.Hatching => (Phase.Eggs, "Eggs: nothing to feed or water; wipe condensation away."),
            VigilKind.Young => (Phase.Brooding, "Brooding: disturb her as little as can be; keep the damp side."),
            VigilKind.FirstWorkers => (Phase.Founding, Founding(subject)),
            var unknown => throw new InvalidOperationException($"No phase for a wait of the kind {unknown}."),
        };
        var words = subject.Room.Wording;
        var began =
            $"{VigilWords.Began(waiting.Vigil)} {words.Dates(subject.Night(waiting.Began.From), subject.Night(waiting.Began.To))}";
        return new Answer<Phase>(phase, text, [Reason.FromRecord("Since", $"{began.ToUpperFirst()}.", "record.began")]);
    }

    private static string Pupa(Subject subject) =>
        WinterWeeks.Of(subject) is not { } winter ? "A pupa: leave it be, neither dry nor wet."
        : winter is { IsDone: true, IsCold: true }
            ? $"{winter.Text} weeks of cold done: take it out when its food or its mate will be there."
        : winter.IsDone ? "A pupa, its cold behind it: leave it be, neither dry nor wet."
        : winter.IsCold ? $"A pupa in its winter cold, {winter.Text} weeks done: leave it be."
        : $"A pupa that needs {Wording.Plain(winter.Needed)} weeks of cold before it can emerge.";

    private static string Founding(Subject subject) =>
        subject.Profile.Founding?.Value switch
        {
            Rulebook.Founding.Claustral => "Founding on her reserves: dark, still, a look every two to four weeks.",
            Rulebook.Founding.SemiClaustral => "Founding: she is fed twice a week, and her water looked at every time.",
            _ => "Founding, and nobody has said how: is her thorax large and rounded, or slim? Say it in her details.",
        };

    /// <summary>The word beside the lantern.</summary>
    public static string Word(Phase phase) => MarkOf(phase).Word;

    /// <summary>Whether an animal in a phase is passed by: when two shutters or more are closed. Source: docs/how-it-works.md, the lantern.</summary>
    public static bool PassesBy(Phase phase) => Shutters(phase) >= 2;

    /// <summary>How many of the lantern's three shutters are closed.</summary>
    public static int Shutters(Phase phase) => MarkOf(phase).Shutters;

    private static (Phase Phase, string Word, int Shutters) MarkOf(Phase phase) => Marks.First(m => m.Phase == phase);

    private static bool AteSinceMolt(Subject subject) =>
        subject.Standing.Feeding.Meals.Count > 0
        && subject.Standing.Feeding.Meals[^1].At > subject.Standing.Growth.LastMolt!.When.To;

    private static bool Lapsed(Subject subject, FirstMeal first)
    {
        var molted = subject.Night(subject.Standing.Growth.LastMolt!.When.To).DayNumber;
        return subject.Room.Tonight.DayNumber - molted
            > (first.To.DayNumber - molted) * subject.Group.FangCheckLapses.Value;
    }
}
