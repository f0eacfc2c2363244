using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>A brood or a colony was counted, or one of its containers.</summary>
/// <param name="Count">As many were found.</param>
/// <param name="Low">At least as many, when it is not certain.</param>
/// <param name="High">At most as many, when it is not certain.</param>
/// <param name="Method">How they were counted.</param>
/// <param name="Container">The one container that was counted, 1–40 characters; all of them when left out.</param>
/// <param name="Reason">Why there are more or fewer than on record; may be left out.</param>
/// <param name="PictureId">The picture in which they were counted, where it is kept.</param>
public sealed record Counted(
    int Count,
    int? Low = null,
    int? High = null,
    CountMethod? Method = null,
    string? Container = null,
    string? Reason = null,
    Guid? PictureId = null
) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => CountedEntry.It;
}

/// <summary>A count.</summary>
public sealed class CountedEntry() : EntryDefinition<Counted>("counted")
{
    private const int LongestContainer = 40;

    /// <summary>The definition.</summary>
    public static CountedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Counted(24),
            new Counted(0),
            new Counted(200, 150, 260, CountMethod.ByEye, Reason: "young under the bark"),
            new Counted(7, Container: "cup 3", Method: CountMethod.OneByOne),
        ];

    /// <summary>How a number was found, in words.</summary>
    public static string Word(CountMethod method) =>
        method switch
        {
            CountMethod.OneByOne => "one by one",
            CountMethod.InPicture => "in a picture",
            CountMethod.FromPart => "reckoned from a part",
            CountMethod.ByWeight => "by weight",
            CountMethod.ByEye => "by eye",
            CountMethod.Recaptured => "by marked ones caught again",
            _ => throw new ArgumentOutOfRangeException(nameof(method), method, "No words for such a method."),
        };

    /// <summary>A count with the range that its method has where none was said: a guess by eye is often half of what is there.</summary>
    public static CountTaken WithRange(CountTaken taken, RuleSet rules)
    {
        ArgumentNullException.ThrowIfNull(taken);
        ArgumentNullException.ThrowIfNull(rules);
        return taken is { Method: CountMethod.ByEye, Low: null, High: null, Count: > 0 }
            ? taken with
            {
                Low = taken.Count,
                High = (int)Math.Ceiling(taken.Count * rules.Room.Nursery.EyeSeesOneIn.Value),
            }
            : taken;
    }

    /// <summary>A number with its range, such as "200 (150–260)".</summary>
    public static string Text(CountTaken taken)
    {
        ArgumentNullException.ThrowIfNull(taken);
        var number = taken.Count.ToString(CultureInfo.InvariantCulture);
        return (taken.Low, taken.High) switch
        {
            ({ } low, { } high) => string.Create(CultureInfo.InvariantCulture, $"{number} ({low}–{high})"),
            ({ } low, null) => string.Create(CultureInfo.InvariantCulture, $"{number} (at least {low})"),
            (null, { } high) => string.Create(CultureInfo.InvariantCulture, $"{number} (at most {high})"),
            _ => number,
        };
    }

    /// <inheritdoc/>
    protected override Standing Fold(Counted act, Standing standing, JournalEntry entry) =>
        standing.WithCount(entry, CountChange.Counted, Total(act, standing), c => c with { Taken = Taken(act) });

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Counted act, EntryAt at)
    {
        var kind = at.Standing?.Details.Kind;
        var most = kind == StockKind.Colony ? EntryCheck.MostInColony : EntryCheck.MostAnimals;
        if (kind == StockKind.Specimen)
        {
            yield return new Problem("act.count", "Only a brood or a colony is counted.");
        }
        else if (act.Count < 0 || act.Count > most || (at.Standing is { } there && Total(act, there) > most))
        {
            yield return new Problem("act.count", $"Must be 0 to {most}, all containers together.");
        }

        if (act.Low < 0 || act.Low > act.Count)
        {
            yield return new Problem("act.low", $"Must be 0 to {act.Count}, the number itself.");
        }

        if (act.High < act.Count || act.High > most)
        {
            yield return new Problem("act.high", $"Must be {act.Count}, the number itself, to {most}.");
        }

        foreach (
            var problem in EntryCheck
                .CheckText("act.container", act.Container, required: false, LongestContainer)
                .Concat(EntryCheck.CheckText("act.reason", act.Reason, required: false, EntryCheck.LongestCaption))
        )
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Counted act, RuleSet rules, Wording words) =>
        $"counted{(act.Container is { Length: > 0 } container ? $" in {container}" : "")}: {Text(WithRange(Taken(act), rules))}"
        + (act.Method is { } method ? $", {Word(method)}" : "")
        + (act.Reason is { Length: > 0 } reason ? $"; {reason}" : "");

    private static CountTaken Taken(Counted act) =>
        new(
            act.Count,
            act.Low,
            act.High,
            act.Method,
            act.Container is { Length: > 0 } c ? c : null,
            act.Reason,
            act.PictureId
        );

    /// <summary>
    /// How many there are of all after a count. A container counted again changes the whole by what it changed itself; one
    /// counted for the first time holds some of those on record, and more only when all the containers hold more.
    /// </summary>
    private static int Total(Counted act, Standing standing)
    {
        if (act.Container is not { Length: > 0 } container)
        {
            return act.Count;
        }

        var counted = standing
            .Counts.Where(c => c.Taken?.Container is not null)
            .GroupBy(c => c.Taken!.Container!)
            .ToDictionary(g => g.Key, g => g.Last().Taken!.Count);
        return counted.TryGetValue(container, out var former)
            ? Math.Max(act.Count, standing.Details.Count + act.Count - former)
            : Math.Max(standing.Details.Count, counted.Values.Sum() + act.Count);
    }

    /// <inheritdoc/>
    protected override bool IsToldTwice(Counted act, Counted other) => true;
}
