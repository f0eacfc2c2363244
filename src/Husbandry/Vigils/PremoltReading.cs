using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>What the signs add up to, in the words of the trade.</summary>
public enum ReadingWord
{
    /// <summary>Nothing points to a molt.</summary>
    Open,

    /// <summary>Plump and nothing else.</summary>
    WellFed,

    /// <summary>Two independent signs.</summary>
    Suspected,

    /// <summary>Signs that stand apart, darkening or sealing among them.</summary>
    Likely,

    /// <summary>Mat, on its back, fluid at the joints.</summary>
    Imminent,
}

/// <summary>The reading of the signs since the last molt.</summary>
/// <param name="Word">What they add up to.</param>
/// <param name="Evidence">Every piece, oldest first.</param>
/// <param name="Darkening">Whether the new skin shows.</param>
/// <param name="SealedIn">Whether it has shut itself in.</param>
/// <param name="ImminentSince">Night of the first imminent sign that still counts.</param>
/// <param name="NeedsHelp">An opposite sign seen tonight or last night: what to do at once.</param>
public sealed record PremoltReading(
    ReadingWord Word,
    IReadOnlyList<Evidence> Evidence,
    bool Darkening,
    bool SealedIn,
    DateOnly? ImminentSince,
    string? NeedsHelp
)
{
    /// <summary>Stands for a look that showed no sign.</summary>
    public const string CleanLook = "clean-look";

    /// <summary>Stands for a meal that was taken.</summary>
    public const string Meal = "meal";

    /// <summary>Name of the reading rule.</summary>
    public const string RuleName = "signs.readingRule";

    /// <summary>
    /// Reads the signs by the trade's rule: one sign is no verdict, two independent ones are. Signs of one family are
    /// one sign. A meal taken after a sign takes back what behaviour and appetite said.
    /// </summary>
    /// <remarks>Source: common practice, no published source.</remarks>
    public static Answer<PremoltReading> Of(Subject subject, Stage stage, Condition condition)
    {
        var seen = Sighting.All(subject, condition);
        var lastMeal =
            subject.Standing.Feeding.Meals.Count == 0 ? (DateTimeOffset?)null : subject.Standing.Feeding.Meals[^1].At;
        var counted = Count(seen, s => s.WhyNot(subject, stage, lastMeal));
        Evidence?[] against = [MealTaken(subject, stage), LookedClean(subject, counted)];
        IReadOnlyList<Evidence> evidence = [.. counted.Concat(against.OfType<Evidence>()).OrderBy(e => e.Night)];
        var signsFor = counted.Where(e => e.LikelihoodRatio > 1 && e.Strength != SignStrength.Imminent).ToList();
        var imminent = counted.Where(e => e.Strength == SignStrength.Imminent && e.LikelihoodRatio > 1).ToList();
        // A meal after the last strong sign brings the word down to suspected, though the sign itself stays.
        var strong = seen.Where(s =>
                s.Rule.Strength == SignStrength.Strong && s.WhyNot(subject, stage, lastMeal) is null
            )
            .ToList();
        var ate = strong.Count > 0 && strong.All(s => s.BeforeMeal(lastMeal));
        var darkening = counted.Any(e =>
            e is { Family: SignFamily.Colour, Strength: SignStrength.Strong } && e.LikelihoodRatio > 1
        );
        var sealedIn = seen.Any(s => s.Rule.Seals && s.WhyNot(subject, stage, lastMeal) is null);
        var word = imminent.Count > 0 ? ReadingWord.Imminent : WordOf(signsFor, ate);
        // The new skin showing, or a door shut from within, is enough to stop all feeding.
        if (word < ReadingWord.Suspected && (darkening || sealedIn))
        {
            word = ReadingWord.Suspected;
        }

        var opposite = counted.LastOrDefault(e =>
            e.Strength == SignStrength.Opposite
            && subject.Room.Tonight.DayNumber - e.Night.DayNumber <= subject.Room.Rules.Room.Signs.HelpCallNights.Value
        );
        var reading = new PremoltReading(
            word,
            evidence,
            darkening,
            sealedIn,
            imminent.Count == 0 ? null : imminent.Min(e => e.Night),
            opposite is null ? null : subject.Room.Rules.Sign(opposite.SignId)!.Note
        );
        return new Answer<PremoltReading>(reading, Summary(reading, signsFor, subject, stage), Why(reading, subject));
    }

    /// <summary>The word as shown, e.g. "likely premolt".</summary>
    public static string Text(ReadingWord word) =>
        word switch
        {
            ReadingWord.Open => "open",
            ReadingWord.WellFed => "well fed",
            ReadingWord.Suspected => "suspected premolt",
            ReadingWord.Likely => "likely premolt",
            ReadingWord.Imminent => "molt imminent",
            _ => throw new ArgumentOutOfRangeException(nameof(word), word, "It has no text."),
        };

    private static ReadingWord WordOf(List<Evidence> signs, bool ateAfterStrongSign)
    {
        var strong = signs.Any(e => e.Strength == SignStrength.Strong);
        // Likely: a strong sign with another that is more than weak, or three that stand apart.
        var firm =
            signs.Any(e => e.Strength == SignStrength.Medium)
            || signs.Count(e => e.Strength == SignStrength.Strong) > 1;
        return signs.Count switch
        {
            0 => ReadingWord.Open,
            1 when signs[0] is { Family: SignFamily.Fullness, Strength: SignStrength.Weak } => ReadingWord.WellFed,
            1 => ReadingWord.Open,
            _ when ateAfterStrongSign => ReadingWord.Suspected,
            2 => strong && firm ? ReadingWord.Likely : ReadingWord.Suspected,
            _ => strong ? ReadingWord.Likely : ReadingWord.Suspected,
        };
    }

    /// <summary>Applies the family cap, leaving out what says nothing of tonight.</summary>
    private static List<Evidence> Count(List<Sighting> seen, Func<Sighting, string?> whyNot)
    {
        var leaders = seen.Where(s => s.Rule.Strength != SignStrength.Opposite && whyNot(s) is null)
            .GroupBy(s => s.Rule.Family)
            .ToDictionary(g => g.Key, g => g.MaxBy(s => s.Ratio)!.Rule.Id);
        return
        [
            .. seen.Select(s =>
            {
                var silent = whyNot(s);
                var leads =
                    silent is null && (s.Rule.Strength == SignStrength.Opposite || leaders[s.Rule.Family] == s.Rule.Id);
                return new Evidence(
                    s.Rule.Id,
                    s.Rule.Label,
                    s.Rule.Brief,
                    s.Night,
                    s.Rule.Family,
                    s.Rule.Strength,
                    leads ? s.Ratio : 1,
                    silent ?? (leads ? s.Extra : "counted once"),
                    s.EntryId
                );
            }),
        ];
    }

    /// <summary>A meal taken not long ago speaks against premolt, the more the hungrier the animal is otherwise.</summary>
    private static Evidence? MealTaken(Subject subject, Stage stage)
    {
        var room = subject.Room.Rules.Room;
        if (
            subject.Standing.Feeding.Meals.Count == 0
            || subject.Standing.Feeding.Meals[^1] is not { } meal
            || meal.At <= subject.Standing.Growth.LastMolt?.When.To
            || subject.Pace.Lately(new(subject.NightsSince(meal.At)))
                > VigilForecast.Premolt(subject, stage) * room.Signs.SignsLapse.Value
        )
        {
            return null;
        }

        return new Evidence(
            Meal,
            "Took a meal",
            "took a meal",
            subject.Night(meal.At),
            SignFamily.Appetite,
            SignStrength.Weak,
            Appetite.Of(subject).MealRatio(),
            "",
            meal.EntryId
        );
    }

    private static Evidence? LookedClean(Subject subject, List<Evidence> counted)
    {
        var room = subject.Room.Rules.Room;
        if (
            subject.Standing.LastCleanLook is not { } at
            || subject.NightsSince(at) > room.Signs.ReadingLooksBackDays.Value
        )
        {
            return null;
        }

        var night = subject.Night(at);
        // A look says nothing against a sign that came after it.
        return counted.Any(e => e.Night > night && e.LikelihoodRatio > 1)
            ? null
            : new Evidence(
                CleanLook,
                "Looked, no further sign",
                "a look without more",
                night,
                SignFamily.Behaviour,
                SignStrength.Weak,
                subject.Room.Lessons.Sign(subject.Group.Id, CleanLook)?.Ratio ?? room.Signs.LookWithoutSign.Value,
                "",
                null
            );
    }

    private static string Summary(PremoltReading reading, List<Evidence> signs, Subject subject, Stage stage) =>
        reading.Word switch
        {
            ReadingWord.Imminent => "The molt is here or hours away. Hands off.",
            ReadingWord.Likely => $"{signs.Count} signs that stand apart, a strong one among them: likely premolt.",
            ReadingWord.Suspected when reading.SealedIn && signs.Count == 1 =>
                "Sealed in: leave it shut, no food, however long it takes.",
            ReadingWord.Suspected when reading.Darkening && signs.Count == 1 =>
                "The new skin shows: that alone ends all feeding.",
            ReadingWord.Suspected => "Two signs or more, but not enough to be sure: suspected.",
            ReadingWord.WellFed => "Plump and nothing else only means well fed.",
            _ when signs.Count == 1 => "One sign is no verdict. Look again.",
            _ when !Molting.Follows(subject) => "Nothing stands against its usual care.",
            _ when stage == Stage.Adult && Molting.WillNotMoltAgain(subject) is not null =>
                "Adult: no molt is awaited.",
            _ => "No sign of a molt is on record.",
        };

    /// <summary>What the room's own journal says of a sign, once it says something.</summary>
    private static string Counted(Subject subject, Evidence e) =>
        subject.Room.Lessons.Sign(subject.Group.Id, e.SignId) is { Premolts: > 0 } lesson
            ? $" Counted here: in {lesson.SeenInPremolt} of {lesson.Premolts} premolts, {lesson.SeenOutside} times outside."
            : "";

    private static List<Reason> Why(PremoltReading reading, Subject subject)
    {
        var words = subject.Room.Wording;
        var reasons = new List<Reason>();
        foreach (var e in reading.Evidence)
        {
            var rule = subject.Room.Rules.Sign(e.SignId);
            var strength = rule is null ? "against" : e.Strength.ToString().ToLowerInvariant();
            var note = e.Note.Length > 0 ? $" ({e.Note})" : "";
            var friend = subject.Profile.FalseFriends.GetValueOrDefault(e.SignId)?.Value ?? rule?.NotToBeTakenFor ?? "";
            var text =
                $"{e.Label}, {words.Date(e.Night)}{note}: {strength}, odds × {Wording.Plain(e.LikelihoodRatio)}.{(friend.Length > 0 ? " " + friend : "")}";
            var ratio =
                rule?.LikelihoodRatio
                ?? (
                    e.SignId == Meal
                        ? subject.Room.Rules.Room.Signs.RefusedInPremolt
                        : subject.Room.Rules.Room.Signs.LookWithoutSign
                );
            var topic =
                rule is not null ? "Sign"
                : e.SignId == Meal ? "Meal"
                : "Look";
            reasons.Add(ratio.Because(topic, $"signs.{e.SignId}", text + Counted(subject, e)));
        }

        reasons.Add(
            new Reason(
                "Reading rule",
                "One sign is no verdict; two or more that stand apart are. Full only: fed. Full and turning food down: suspected. "
                    + "With the new skin showing: likely; that alone ends all feeding, and sealed in alone means: leave it shut. "
                    + "The molt itself begun: imminent.",
                RuleName,
                RuleTag.Practice,
                "common practice, no published source",
                []
            )
        );
        return reasons;
    }
}
