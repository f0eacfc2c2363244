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
/// <param name="Numbers">How many are in each of the boxes, 1–100 boxes; together it is a count of all. None where it was not counted.</param>
public sealed record Boxed(
    BoxSchool School,
    double? Litres = null,
    double? HoleMm = null,
    string? Lining = null,
    IReadOnlyList<int>? Numbers = null
) : Act
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
    private const int MostBoxes = 100;

    /// <summary>The definition.</summary>
    public static BoxedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Boxed(BoxSchool.Vented, 2.5, 0.8, "paper towel"),
            new Boxed(BoxSchool.LivingPlant),
            new Boxed(BoxSchool.Vented, Numbers: [12, 11]),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Boxed act, Standing standing, JournalEntry entry)
    {
        var counted = act.Numbers is { Count: > 0 } numbers
            ? standing.WithCount(
                entry,
                CountChange.Counted,
                numbers.Sum(),
                c => c with { Taken = new CountTaken(numbers.Sum(), null, null, CountMethod.OneByOne) }
            )
            : standing;
        return counted with
        {
            Feeding = counted.Feeding with
            {
                Box = new BoxEvent(
                    entry.When.To,
                    act.School,
                    act.Litres,
                    act.HoleMm,
                    string.IsNullOrWhiteSpace(act.Lining) ? null : act.Lining.Trim(),
                    act.Numbers is { Count: > 0 } ? act.Numbers : null
                ),
            },
        };
    }

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

        if (act.Numbers is { Count: > 0 } numbers)
        {
            if (at.Standing?.Details.Kind == StockKind.Specimen)
            {
                yield return new Problem("act.numbers", "One animal is in one box.");
            }
            else if (numbers.Count > MostBoxes)
            {
                yield return new Problem("act.numbers", $"At most {MostBoxes} boxes.");
            }
            else if (
                numbers.Any(n => n is < 0 or > EntryCheck.MostAnimals)
                || numbers.Sum(n => (long)n) > EntryCheck.MostAnimals
            )
            {
                yield return new Problem(
                    "act.numbers",
                    $"Each must be 0 or more, together at most {EntryCheck.MostAnimals}."
                );
            }
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
                    act.Numbers is { Count: > 0 } numbers ? InEach(numbers) : "",
                }.Where(t => t.Length > 0)
            );
    }

    /// <summary>Numbers by box in words, such as "12, 11 and 13 in 3 boxes".</summary>
    public static string InEach(IReadOnlyList<int> numbers)
    {
        ArgumentNullException.ThrowIfNull(numbers);
        var each = numbers.Select(n => n.ToString(CultureInfo.InvariantCulture)).ToList();
        return each.Count == 1
            ? $"{each[0]} in one"
            : $"{string.Join(", ", each.SkipLast(1))} and {each[^1]} in {each.Count} boxes";
    }

    /// <inheritdoc/>
    protected override bool IsToldTwice(Boxed act, Boxed other) => true;
}
