using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Hush;

/// <summary>Finds the phases.</summary>
public static class Phases
{
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
        if (subject.IsChilled && subject.Group.Feeding.Diet == Diet.SugarAndProtein)
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
        if (!waits.Any(w => VigilDefinition.Of(w.Vigil).StopsMolts))
        {
            var molt = OfMolt(subject, reading, firstMeal);
            // A mother is not disturbed to look at her fangs: they were hard long before she laid.
            var guards = all.Any(p => PhaseMark.Of(p.Value).Fasts);
            if (
                all.Count == 0
                || (PhaseMark.Of(molt.Value).Shutters > 0 && !(guards && molt.Value == Phase.FangsUnchecked))
            )
            {
                all.Add(molt);
            }
        }

        // The same wait twice, as undoing an end can leave it, is one phase.
        return [.. all.DistinctBy(p => p.Value).OrderBy(p => PhaseMark.Of(p.Value).Rank)];
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
            ReadingWord.Open => Phase.Open,
            var word => throw new ArgumentOutOfRangeException(nameof(reading), word, "No phase belongs to that word."),
        };
        return new Answer<Phase>(phase, reading.Summary, reading.Reasons);
    }

    /// <summary>
    /// Where the calendar makes premolt probable while what was seen makes no verdict, the open lantern says so; where signs
    /// make one while the calendar speaks against it, that is said too: the word and the chance must not stand side by side
    /// without a reason. What may be done goes by the signs, which is the side on which nothing is lost.
    /// </summary>
    public static Answer<Phase> BesideForecast(
        Answer<Phase> phase,
        PremoltReading reading,
        VigilForecast? molt,
        Subject subject
    )
    {
        var signs = subject.Room.Rules.Room.Signs;
        var chance = molt is null ? "" : Wording.Chance(molt.PremoltChance);
        if (
            phase.Value is Phase.Suspected or Phase.Likely
            && molt is not null
            && molt.PremoltChance < signs.ForecastDoubtsBelow.Value
        )
        {
            var doubt =
                $"By the nights waited it would be early: {chance} that it is in premolt, the signs counted in. Treat it as the signs say, and look again.";
            return phase with
            {
                Summary = $"{phase.Summary} {doubt}",
                Reasons =
                [
                    signs.ForecastDoubtsBelow.Because("By the calendar", "room.forecastDoubtsBelow", doubt),
                    .. phase.Reasons,
                ],
            };
        }

        var rule = signs.ForecastSpeaksAbove;
        if (!PhaseMark.IsQuiet(phase.Value) || molt is null || molt.PremoltChance < rule.Value)
        {
            return phase;
        }

        var text = reading.Evidence.Any(e => e.LikelihoodRatio > 1)
            ? $"By the nights waited and what was seen it is in premolt with {chance}: look before the food goes in."
            : $"By the nights waited it is in premolt with {chance}, though no sign that tells was seen: look before the food goes in.";
        return phase with
        {
            Summary = $"{phase.Summary} {text}",
            Reasons = [rule.Because("By the calendar", "room.forecastSpeaksAbove", text), .. phase.Reasons],
        };
    }

    private static Answer<Phase> Waiting(Subject subject, VigilEvent waiting)
    {
        var vigil = VigilDefinition.Of(waiting.Vigil);
        var text =
            (vigil.Kind == VigilKind.Emergence ? Pupa(subject) : null)
            ?? (vigil.Kind == VigilKind.FirstWorkers ? Founding(subject) : null)
            ?? vigil
                .Meanwhile.Replace("{them}", subject.Them, StringComparison.Ordinal)
                .Replace("{their}", subject.Its, StringComparison.Ordinal);
        var words = subject.Room.Wording;
        var began = $"{vigil.Began} {words.Dates(subject.Night(waiting.Began.From), subject.Night(waiting.Began.To))}";
        return new Answer<Phase>(
            vigil.Phase,
            text,
            [Reason.FromRecord("Since", $"{began.ToUpperFirst()}.", "record.began")]
        );
    }

    private static string? Pupa(Subject subject) =>
        WinterWeeks.Of(subject) is not { } winter ? null
        : winter is { IsDone: true, IsCold: true }
            ? $"{winter.Text} weeks of cold done: take it out when its food or its mate will be there."
        : winter.IsCutShort
            ? $"A pupa, taken out after {winter.Text} weeks of cold: it may lie over or not emerge. Leave it be, neither dry nor wet."
        : winter.IsDone ? "A pupa, its cold behind it: leave it be, neither dry nor wet."
        : winter.IsReadWarm
            ? $"Told to be in the cold, but mostly more than {Wording.Plain(winter.BelowC)} °C is read where it stands: no winter is counted. If it lies in a refrigerator, give that a place of its own, move the pupa there, and write the temperature down."
        : winter.IsDoneUnread
            ? $"A pupa in the cold for long enough by the calendar, but only {winter.Text} weeks were read as cold: look at the thermometer beside it before it is taken out."
        : winter.IsCold ? $"A pupa in its winter cold, {winter.Text} weeks done: leave it be."
        : $"A pupa that needs {Wording.Plain(winter.Needed)} weeks of cold before it can emerge.";

    private static string? Founding(Subject subject) =>
        subject.Profile.Founding?.Value switch
        {
            Rulebook.Founding.Claustral => subject.Room.Settings.Peeking == PeekingSchool.None
                ? "Founding on her reserves: dark, still, no look until her workers are due."
                : "Founding on her reserves: dark, still, a look every two to four weeks.",
            Rulebook.Founding.SemiClaustral => "Founding: she is fed twice a week, and her water looked at every time.",
            _ => null,
        };

    private static bool AteSinceMolt(Subject subject) =>
        subject.Standing.Feeding.Meals.Count > 0
        && subject.Standing.Feeding.Meals[^1].At > subject.Standing.Growth.LastMolt!.When.To;

    private static bool Lapsed(Subject subject, FirstMeal first)
    {
        var molted = subject.Night(subject.Standing.Growth.LastMolt!.When.To).DayNumber;
        return subject.Room.Tonight.DayNumber - molted
            > (first.To.DayNumber - molted) * subject.Group.Hardening!.FangCheckLapses.Value;
    }
}
