using System.Globalization;
using System.Text.RegularExpressions;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Guide;

/// <summary>
/// Puts the rulebook's figures into the guide's sentences, so that the guide and the round never say two different numbers:
/// <c>{firstMeal}</c> becomes "2 days". Where the stage is not known, the range over the stages stands.
/// </summary>
public static partial class GuideFigures
{
    private const double DaysPerWeek = 7;

    /// <summary>From so many days on a wait is told in weeks.</summary>
    private const double WeeksFromDays = 21;

    /// <summary>A sentence with its figures; a name that is not known stays as it is, which the tests refuse.</summary>
    public static string Fill(string text, GuideAsked asked) =>
        Name().Replace(text, m => Of(m.Groups[1].Value, asked) ?? m.Value);

    /// <summary>The figure of a name in words; <see langword="null"/> where there is none of that name.</summary>
    public static string? Of(string name, GuideAsked asked) =>
        name switch
        {
            "waterEvery" => Days([WaterEvery(asked)]),
            "firstMeal" => Days(Stages(asked).SelectMany(s => FirstMealDays(asked, s))),
            "fangs" => asked.Group.ChecksFangs ? ", and once the fangs are black" : "",
            "retry" => Days(ByStage(asked, s => s.Food?.Retry)),
            "premolt" => Days(asked.PremoltDays is { } own ? [own] : ByStage(asked, s => s.PremoltDays)),
            "liveHours" => Hours(ByStage(asked, s => s.Food?.LivePreyHours)),
            "deadHours" => Hours([asked.Group.Feeding.DeadPreyHours.Value]),
            "freeHeight" => $"{Wording.Plain(asked.Group.Container(null).Height.Value)} body lengths",
            "underground" => Days(
                asked.Group.Vigils.Underground.SelectMany(u => new[] { u.Wait.Value.P10, u.Wait.Value.P90 })
            ),
            "queenLook" => asked.Peeking == PeekingSchool.None
                ? "when her first workers are due"
                : $"in {Days([asked.Room.Water.ClaustralLookDays.Value])}",
            "queenVisit" => Days([asked.Room.Water.SemiClaustralVisitDays.Value]),
            "coldMist" => Days([asked.Room.Water.ColdMistDays.Value]),
            "noMoltsLeft" => asked.Group.Growth.AdultsMolt.Value == AdultMolting.FemalesOnly
                ? "No: it is a mature male"
                : "No: it is adult",
            _ => null,
        };

    private static double WaterEvery(GuideAsked asked) =>
        asked.Stage == Stage.Sling && asked.Group.Water.SlingWaterEveryDays is { } often
            ? often.Value
            : asked.Group.Water.WaterEveryDays[asked.Moisture].Value;

    private static IEnumerable<double> FirstMealDays(GuideAsked asked, Stage stage) =>
        FirstMeal.RuleFor(asked.Group, stage, asked.SizeMm) is { } rule ? [FirstMeal.Days(rule, asked.School)] : [];

    private static IEnumerable<double> ByStage(GuideAsked asked, Func<StageRules, Rule<double>?> rule) =>
        Stages(asked)
            .Where(asked.Group.Has)
            .Select(s => rule(asked.Group.At(s)))
            .OfType<Rule<double>>()
            .Select(r => r.Value);

    /// <summary>Stages whose figures stand for the animal: its own, or all in which its group runs about.</summary>
    private static IEnumerable<Stage> Stages(GuideAsked asked) =>
        asked.Stage is { } stage
            ? [stage]
            : asked.Group.Stages.Select(s => s.Stage).Where(s => s is not (Stage.Egg or Stage.Pupa));

    private static string? Days(IEnumerable<double> days) => Span(days, Unit);

    private static string? Hours(IEnumerable<double> hours) => Span(hours, _ => (1, "h", "h"));

    private static (double Each, string One, string Many) Unit(double longest) =>
        longest >= WeeksFromDays ? (DaysPerWeek, "week", "weeks") : (1, "day", "days");

    private static string? Span(IEnumerable<double> values, Func<double, (double Each, string One, string Many)> unitOf)
    {
        var all = values.ToList();
        if (all.Count == 0)
        {
            return null;
        }

        var unit = unitOf(all.Min());
        string Number(double value) =>
            (unit.Each == 1 ? value : Math.Round(value / unit.Each)).ToString("0.#", CultureInfo.InvariantCulture);
        var (low, high) = (Number(all.Min()), Number(all.Max()));
        return low == high ? $"{low} {(low == "1" ? unit.One : unit.Many)}" : $"{low}–{high} {unit.Many}";
    }

    [GeneratedRegex(@"\{(\w+)\}")]
    private static partial Regex Name();
}
