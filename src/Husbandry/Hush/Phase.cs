using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
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
}

/// <summary>Finds the phase and its words.</summary>
public static class Phases
{
    /// <summary>The phase: hardening goes before what signs say.</summary>
    public static Answer<Phase> Of(Subject subject, Answer<PremoltReading> reading, Answer<FirstMeal?> firstMeal)
    {
        if (subject.Standing.Waiting is { } waiting)
        {
            return Waiting(subject, waiting);
        }

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
            ReadingWord.WellFed => Phase.WellFed,
            ReadingWord.Suspected => Phase.Suspected,
            ReadingWord.Likely => Phase.Likely,
            ReadingWord.Imminent => Phase.Imminent,
            _ => Phase.Open,
        };
        return new Answer<Phase>(phase, reading.Summary, reading.Reasons);
    }

    private static Answer<Phase> Waiting(Subject subject, VigilEvent waiting)
    {
        var (phase, text) = waiting.Vigil switch
        {
            VigilKind.Surfacing => (Phase.Buried, $"Buried: leave {subject.Them} be, however long it takes."),
            VigilKind.Emergence => (Phase.Pupa, "A pupa: leave it be, neither dry nor wet."),
            VigilKind.Young => (Phase.Brooding, "Brooding: disturb her as little as can be; keep the damp side."),
            _ => (Phase.Founding, "Founding: dark, still, and no looks but rare ones."),
        };
        var words = subject.Room.Wording;
        var began =
            $"{VigilWords.Began(waiting.Vigil)} {words.Dates(subject.Night(waiting.Began.From), subject.Night(waiting.Began.To))}";
        return new Answer<Phase>(
            phase,
            text,
            [Reason.FromRecord("Since", $"{char.ToUpperInvariant(began[0])}{began[1..]}.", "record.began")]
        );
    }

    /// <summary>The word beside the lantern.</summary>
    public static string Word(Phase phase) =>
        phase switch
        {
            Phase.Open => "open",
            Phase.WellFed => "well fed",
            Phase.Suspected => "suspected",
            Phase.Likely => "likely premolt",
            Phase.Imminent => "molting",
            Phase.Hardening => "hardening",
            Phase.Buried => "buried",
            Phase.Pupa => "pupa",
            Phase.Founding => "founding",
            Phase.Brooding => "brooding",
            _ => "fangs unchecked",
        };

    /// <summary>How many of the lantern's three shutters are closed.</summary>
    public static int Shutters(Phase phase) =>
        phase switch
        {
            Phase.Open or Phase.WellFed => 0,
            Phase.Suspected => 1,
            Phase.Likely => 2,
            _ => 3,
        };

    private static bool AteSinceMolt(Subject subject) =>
        subject.Standing.Meals.Count > 0 && subject.Standing.Meals[^1].At > subject.Standing.LastMolt!.When.To;

    private static bool Lapsed(Subject subject, FirstMeal first)
    {
        var molted = subject.Night(subject.Standing.LastMolt!.When.To).DayNumber;
        return subject.Room.Tonight.DayNumber - molted
            > (first.To.DayNumber - molted) * subject.Group.FangCheckLapses.Value;
    }
}
