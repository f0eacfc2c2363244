using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>When an animal may eat again after its last molt.</summary>
/// <param name="From">First night by the quick school.</param>
/// <param name="Night">First night by the school the room follows.</param>
/// <param name="To">First night by the cautious school.</param>
/// <param name="FangsMustBeSeen">Whether the fangs must be seen black as well.</param>
/// <param name="FangsSeenHard">Whether they have been seen black since the molt.</param>
public sealed record FirstMeal(DateOnly From, DateOnly Night, DateOnly To, bool FangsMustBeSeen, bool FangsSeenHard)
{
    /// <summary>The rule for an animal of a stage and size.</summary>
    /// <returns><see langword="null"/> where nothing hardens: of eggs and pupae, and where no molts are followed.</returns>
    public static FirstMealRule? RuleFor(GroupRules group, Stage stage, double? sizeMm) =>
        group
            .Hardening?.FirstMeal.Where(r => r.Stage == stage && (sizeMm ?? 0) >= r.AboveSizeMm)
            .MaxBy(r => r.AboveSizeMm);

    /// <summary>Days to wait by the school the room follows; 0 where nothing hardens.</summary>
    public static double Days(FirstMealRule? rule, FirstMealSchool school) =>
        rule is null ? 0
        : school == FirstMealSchool.Quick ? rule.Quick.Value.High
        : school == FirstMealSchool.Cautious ? rule.Cautious.Value.High
        : rule.Default.Value;

    /// <summary>The first meal after the last molt on record; hardening counts from the latest date it can have been.</summary>
    public static Answer<FirstMeal?> Of(Subject subject, Stage stage, BodySize? size)
    {
        if (subject.Standing.Growth.LastMolt is not { } molt)
        {
            return new Answer<FirstMeal?>(null, "No molt on record.", []);
        }

        if (RuleFor(subject.Group, stage, size?.SizeMm) is not { } rule)
        {
            return new Answer<FirstMeal?>(null, "No meal is awaited at this stage.", []);
        }

        var latest = subject.Night(molt.When.To);
        DateOnly After(double days) => latest.AddDays((int)Math.Ceiling(days));
        var first = new FirstMeal(
            After(rule.Quick.Value.Low),
            After(Days(rule, subject.Room.Settings.FirstMeal)),
            After(rule.Cautious.Value.High),
            subject.Group.ChecksFangs,
            subject.Standing.Growth.FangsSeen is { Hard: true }
        );
        var words = subject.Room.Wording;
        var found = molt.When.From == molt.When.To ? "" : ", counted from the latest date it can have been";
        var reasons = new List<Reason>
        {
            Reason.FromRecord("Molted", $"{words.Day(latest)}{found}.", "record.molt"),
            rule.Default.Because(
                "First meal",
                $"group.firstMeal.{StageReading.Key(stage)}",
                $"A {StageReading.Word(stage)} waits {Wording.Days(Days(rule, subject.Room.Settings.FirstMeal))}.",
                Schools(rule, subject.Room.Settings.FirstMeal)
            ),
        };
        if (first.FangsMustBeSeen)
        {
            reasons.Add(
                subject.Group.Hardening!.FangCheck.Because(
                    "Fangs",
                    "group.fangCheck",
                    first.FangsSeenHard
                        ? $"Seen black {words.Date(subject.Night(subject.Standing.Growth.FangsSeen!.At))}."
                        : "And the fangs must be seen black: the check matters more than the clock."
                )
            );
        }

        return new Answer<FirstMeal?>(
            first,
            $"First meal {words.Day(first.Night)} (quick school {words.Date(first.From)}, cautious {words.Date(first.To)})"
                + (first.FangsMustBeSeen ? ", once the fangs are black." : "."),
            reasons
        );
    }

    /// <summary>Both schools and our default, in words.</summary>
    public static IReadOnlyList<School> Schools(FirstMealRule rule, FirstMealSchool chosen) =>
        [
            new("quick", Span(rule.Quick.Value), chosen == FirstMealSchool.Quick),
            new("default", Wording.Days(rule.Default.Value), chosen == FirstMealSchool.Default),
            new("cautious", Span(rule.Cautious.Value), chosen == FirstMealSchool.Cautious),
        ];

    private static string Span(Rulebook.Range range) =>
        range.Low == range.High ? Wording.Days(range.Low) : $"{range.Low:0}–{range.High:0} days";
}
