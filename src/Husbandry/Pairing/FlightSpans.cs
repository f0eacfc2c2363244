namespace Husbandry.Pairing;

/// <summary>From when until when one animal is out as an adult, in days.</summary>
/// <param name="Sex">Its sex: two of one sex never make a pair.</param>
/// <param name="From">When it comes out.</param>
/// <param name="To">When it dies.</param>
public readonly record struct FlightSpan(Rulebook.Sex Sex, double From, double To);

/// <summary>How many pairs can be made of animals that are adult for some days each.</summary>
public static class FlightSpans
{
    /// <summary>
    /// The largest number of pairs, each animal in one at most, of which both are out together for so many nights.
    /// </summary>
    /// <remarks>
    /// Two overlap by n nights when the spans shortened by n meet. Taking the span that ends first and giving it, of those that it
    /// meets, the one that ends first loses nothing: all that it meets contain its end. Source: exchange argument for interval
    /// graphs; tested against every matching.
    /// </remarks>
    /// <param name="spans">The animals.</param>
    /// <param name="nights">Nights together, &gt; 0.</param>
    public static int MostPairs(ReadOnlySpan<FlightSpan> spans, double nights)
    {
        Span<int> order = stackalloc int[spans.Length];
        var count = 0;
        for (var k = 0; k < spans.Length; k++)
        {
            if (spans[k].To - spans[k].From >= nights)
            {
                // Put in its place among those that end before it.
                var at = count++;
                for (; at > 0 && spans[order[at - 1]].To > spans[k].To; at--)
                {
                    order[at] = order[at - 1];
                }

                order[at] = k;
            }
        }

        Span<bool> taken = stackalloc bool[spans.Length];
        var pairs = 0;
        for (var i = 0; i < count; i++)
        {
            var one = spans[order[i]];
            for (var j = i + 1; j < count && !taken[i]; j++)
            {
                var other = spans[order[j]];
                if (!taken[j] && other.Sex != one.Sex && other.From <= one.To - nights)
                {
                    (taken[i], taken[j]) = (true, true);
                    pairs++;
                }
            }
        }

        return pairs;
    }
}
