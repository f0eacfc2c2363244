using Husbandry.Records;
using Husbandry.Rooms;

namespace Husbandry.Nursery;

/// <summary>How many there are of a brood, and how sure that is.</summary>
/// <param name="Count">As many by the record.</param>
/// <param name="Low">Hardly fewer.</param>
/// <param name="High">Nor more.</param>
/// <param name="CountedOn">Night on which all of them were last counted, or came.</param>
/// <param name="Says">The same in words, such as "about 60 (60–150), by eye".</param>
public sealed record BroodRange(int Count, int Low, int High, DateOnly CountedOn, string Says)
{
    /// <summary>The number of a brood. What came and left since the last count is known one by one, so that its range goes on.</summary>
    public static BroodRange Of(Subject brood)
    {
        ArgumentNullException.ThrowIfNull(brood);
        var counts = brood.Standing.Counts;
        var at = counts.Count - 1;
        while (at > 0 && counts[at].Taken is not { Container: null })
        {
            at--;
        }

        var last = counts[at];
        var since = brood.Standing.Details.Count - last.Now;
        var taken = last.Taken is { } t ? CountedEntry.WithRange(t, brood.Room.Rules) : null;
        var count = brood.Standing.Details.Count;
        var (low, high) = (
            Math.Max(0, (taken?.Low ?? last.Now) + since),
            Math.Max(count, (taken?.High ?? last.Now) + since)
        );
        var how = taken?.Method is { } method ? $", {CountedEntry.Word(method)}" : "";
        return new BroodRange(
            count,
            Math.Min(low, count),
            high,
            brood.Night(last.At),
            low < count || high > count ? $"about {count} ({low}–{high}){how}" : $"{count}{how}"
        );
    }
}
