using System.Globalization;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Plants;

/// <summary>How larvae are kept from now on: in a box, on stems, on a living plant.</summary>
/// <param name="School">The way.</param>
/// <param name="Litres">Volume, 0.02–500 litres, where it is known.</param>
/// <param name="HoleMm">Width of the widest hole, 0–20 mm, where it is known.</param>
/// <param name="Lining">What lies on the floor, 1–60 characters.</param>
public sealed record Boxed(BoxSchool School, double? Litres = null, double? HoleMm = null, string? Lining = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => BoxedEntry.It;
}

/// <summary>The box of larvae on record.</summary>
public sealed class BoxedEntry() : EntryDefinition<Boxed>("boxed")
{
    private const double LeastLitres = 0.02;
    private const double MostLitres = 500;
    private const double WidestHoleMm = 20;

    /// <summary>The definition.</summary>
    public static BoxedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new Boxed(BoxSchool.Vented, 2.5, 0.8, "paper towel"), new Boxed(BoxSchool.LivingPlant)];

    /// <inheritdoc/>
    protected override Standing Fold(Boxed act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Feeding = standing.Feeding with
            {
                Box = new BoxEvent(
                    entry.When.To,
                    act.School,
                    act.Litres,
                    act.HoleMm,
                    string.IsNullOrWhiteSpace(act.Lining) ? null : act.Lining.Trim()
                ),
            },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Boxed act, EntryAt at)
    {
        if (act.Litres is { } litres && !(litres is >= LeastLitres and <= MostLitres))
        {
            yield return new Problem("act.litres", $"Must be {LeastLitres} to {MostLitres} litres.");
        }

        if (act.HoleMm is { } hole && !(hole is >= 0 and <= WidestHoleMm))
        {
            yield return new Problem("act.holeMm", $"Must be 0 to {WidestHoleMm} mm; 0 where it has no holes.");
        }

        foreach (var problem in EntryCheck.CheckText("act.lining", act.Lining, required: false, EntryCheck.LongestName))
        {
            yield return problem;
        }

        if (at is { Written: false, Standing: { } standing })
        {
            var subject = Subject.Of(standing, at.Room);
            if (!HostChosenEntry.HasHost(subject, StageReading.Of(subject, BodySize.Of(subject).Value).Value))
            {
                yield return new Problem("act.kind", $"A {subject.Group.One} as it is now is kept on no leaf.");
            }
        }
    }

    /// <inheritdoc/>
    protected override string Say(Boxed act, RuleSet rules, Wording words)
    {
        string Number(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);
        return "kept: "
            + string.Join(
                ", ",
                new[]
                {
                    rules.Room.Plants.Box(act.School)?.Name ?? "a box",
                    act.Litres is { } litres ? $"{Number(litres)} L" : "",
                    act.HoleMm is { } hole && hole > 0 ? $"holes of {Number(hole)} mm" : "",
                    act.Lining?.Trim() ?? "",
                }.Where(t => t.Length > 0)
            );
    }

    /// <inheritdoc/>
    protected override bool IsToldTwice(Boxed act, Boxed other) => true;
}
