using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Trays;

/// <summary>A brood in numbered vials was graded by size; vials that are not named are as most.</summary>
/// <param name="Vials">The vials named, each once.</param>
public sealed record Graded(IReadOnlyList<VialGrade> Vials) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => GradedEntry.It;
}

/// <summary>A grading.</summary>
public sealed class GradedEntry() : EntryDefinition<Graded>("graded")
{
    private const double LeastMm = 0.3;
    private const double MostMm = 300;

    /// <summary>The definition.</summary>
    public static GradedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Graded([]),
            new Graded([new VialGrade(1, SizeGrade.Fast, 9.5), new VialGrade(2, SizeGrade.Runt)]),
            .. Enum.GetValues<SizeGrade>().Select(grade => new Graded([new VialGrade(1, grade)])),
        ];

    /// <summary>A grade in a word.</summary>
    public static string Word(SizeGrade grade) =>
        grade switch
        {
            SizeGrade.Fast => "fast",
            SizeGrade.Middling => "as most",
            SizeGrade.Slow => "slow",
            SizeGrade.Runt => "runt",
            _ => throw new ArgumentOutOfRangeException(nameof(grade), grade, "No word for such a grade."),
        };

    /// <inheritdoc/>
    protected override Standing Fold(Graded act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Tray = standing.Tray with
            {
                Gradings =
                [
                    .. standing.Tray.Gradings,
                    new GradedEvent(entry.Id, entry.When.To, [.. act.Vials.OrderBy(v => v.Number)]),
                ],
            },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Graded act, EntryAt at)
    {
        if (at.Standing is not { } standing)
        {
            yield break;
        }

        foreach (var problem in VialNumbers.Check("act.vials", [.. act.Vials.Select(v => v.Number)], standing))
        {
            yield return problem;
        }

        if (act.Vials.Any(v => v.LengthMm is { } mm && !(mm is >= LeastMm and <= MostMm)))
        {
            yield return new Problem(
                "act.vials",
                string.Create(CultureInfo.InvariantCulture, $"Lengths must be {LeastMm} to {MostMm} mm.")
            );
        }
    }

    /// <inheritdoc/>
    protected override string Say(Graded act, RuleSet rules, Wording words)
    {
        var grades = act
            .Vials.Where(v => v.Grade != SizeGrade.Middling)
            .GroupBy(v => v.Grade)
            .OrderBy(g => g.Key)
            .Select(g => $"{Word(g.Key)} {VialNumbers.Text([.. g.Select(v => v.Number)])}")
            .ToList();
        return $"graded: {(grades.Count == 0 ? "all much alike" : string.Join("; ", grades))}";
    }

    /// <inheritdoc/>
    protected override RoundPart Round(Graded act) => RoundPart.Look;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Graded act, Graded other) => true;
}
