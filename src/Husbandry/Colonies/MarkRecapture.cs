namespace Husbandry.Colonies;

/// <summary>How many live in a tub, from marked ones caught again.</summary>
/// <param name="LincolnPetersen">M·C ÷ R; none where no marked one was caught again.</param>
/// <param name="Chapman">The estimate: less biased, and defined without a recapture.</param>
/// <param name="Variance">Seber's variance of it.</param>
/// <param name="Low95">Lower end of the 95 % interval, never below the animals known.</param>
/// <param name="High95">Upper end.</param>
/// <remarks>
/// Source: Chapman (1951), Univ. Calif. Publ. Stat. 1:131–160; Seber (1970), Biometrics 26:13–22. Holds for a closed tub and marks
/// that are not shed between the catches.
/// </remarks>
public sealed record MarkRecapture(
    double? LincolnPetersen,
    double Chapman,
    double Variance,
    double Low95,
    double High95
)
{
    // Two-sided 95 % of the normal distribution.
    private const double Z95 = 1.959964;

    /// <summary>The estimate.</summary>
    /// <param name="marked">Marked and put back at the first catch, ≥ 1.</param>
    /// <param name="caught">Caught at the second, ≥ 1.</param>
    /// <param name="recaptured">Marked ones among them, no more than either.</param>
    public static MarkRecapture Of(int marked, int caught, int recaptured)
    {
        var (m, c, r) = ((double)marked, (double)caught, (double)recaptured);
        var chapman = ((m + 1) * (c + 1) / (r + 1)) - 1;
        var variance = (m + 1) * (c + 1) * (m - r) * (c - r) / ((r + 1) * (r + 1) * (r + 2));
        var half = Z95 * Math.Sqrt(variance);
        return new MarkRecapture(
            recaptured == 0 ? null : m * c / r,
            chapman,
            variance,
            Math.Max(chapman - half, m + c - r),
            chapman + half
        );
    }
}
