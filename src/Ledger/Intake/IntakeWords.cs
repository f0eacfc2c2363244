using System.Globalization;
using System.Text.RegularExpressions;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Ledger.Intake;

/// <summary>Reads the short words of keepers' tables: sex, instar, length.</summary>
public static partial class IntakeWords
{
    private const double MmPerInch = 25.4;

    /// <summary>A sex, as written out, by its letter or sign, or as males.females.unknown; none when it is no sex.</summary>
    /// <returns>The sex and how many; the count is 1 where none is said.</returns>
    public static (Sex Sex, int Count)? SexOf(string text)
    {
        var word = text.Trim().ToLowerInvariant();
        if (RatioPattern().Match(word) is { Success: true } ratio)
        {
            var counts = ratio.Groups.Values.Skip(1).Select(g => g.Success ? Number(g.Value) : 0).ToArray();
            var all = counts.Sum();
            return all == 0 ? null
                : counts[0] == all ? (Sex.Male, all)
                : counts[1] == all ? (Sex.Female, all)
                : (Sex.Unknown, all);
        }

        return word switch
        {
            "f" or "female" or "♀" or "fem" => (Sex.Female, 1),
            "m" or "male" or "♂" => (Sex.Male, 1),
            "?" or "u" or "unknown" or "unk" or "unsexed" or "-" => (Sex.Unknown, 1),
            _ => null,
        };
    }

    /// <summary>Whether a text is an instar by its mark: i6, L3.</summary>
    public static bool LooksLikeInstar(string text) => InstarPattern().IsMatch(text.Trim());

    /// <summary>An instar or stage.</summary>
    /// <param name="text">"i6", "L3", "6", "adult".</param>
    /// <param name="group">The group, whose way of counting holds.</param>
    /// <returns>Molts behind it, or that it is adult; nothing where it is neither.</returns>
    public static (int? Molts, bool Adult)? Stage(string text, GroupRules group)
    {
        var word = text.Trim().ToLowerInvariant();
        if (word is "adult" or "mature" or "mm" or "mf" or "am" or "af" or "subadult/adult")
        {
            return (null, true);
        }

        if (
            word
            is "sling"
                or "spiderling"
                or "nymph"
                or "juvenile"
                or "juvie"
                or "larva"
                or "caterpillar"
                or "?"
                or "-"
        )
        {
            return (null, false);
        }

        return InstarPattern().Match(word) is { Success: true } instar
                ? (Number(instar.Groups[2].Value) - group.InstarAtHatching, false)
            : int.TryParse(word, NumberStyles.None, CultureInfo.InvariantCulture, out var bare)
                ? (bare - group.InstarAtHatching, false)
            : null;
    }

    /// <summary>A length in mm; in the unit written behind it, else in the given one. None when it is no length.</summary>
    public static double? LengthMm(string text, LengthUnit unit)
    {
        if (LengthPattern().Match(text.Trim().ToLowerInvariant()) is not { Success: true } match)
        {
            return null;
        }

        var number = double.Parse(match.Groups[1].Value.Replace(',', '.'), CultureInfo.InvariantCulture);
        var meant = match.Groups[2].Value switch
        {
            "mm" => LengthUnit.Mm,
            "cm" => LengthUnit.Cm,
            "" => unit,
            _ => LengthUnit.In,
        };
        return meant switch
        {
            LengthUnit.Mm => number,
            LengthUnit.Cm => number * 10,
            LengthUnit.In => number * MmPerInch,
            _ => throw new ArgumentOutOfRangeException(nameof(unit), unit, "Nobody knows how long that is."),
        };
    }

    /// <summary>A number of something, with what it is counted in behind it or not: 200, 12.5, 60 g. None when it is none.</summary>
    public static double? NumberOf(string text) =>
        NumberPattern().Match(text.Trim()) is { Success: true } match
            ? double.Parse(match.Groups[1].Value.Replace(',', '.'), CultureInfo.InvariantCulture)
            : null;

    private static int Number(string text) => int.Parse(text, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^(\d{1,4})\.(\d{1,4})(?:\.(\d{1,4}))?$")]
    private static partial Regex RatioPattern();

    [GeneratedRegex(@"^([il])\s*(\d{1,2})$", RegexOptions.IgnoreCase)]
    private static partial Regex InstarPattern();

    [GeneratedRegex(@"^(\d{1,12}(?:[.,]\d{1,6})?)\s*[a-zA-Z]*$")]
    private static partial Regex NumberPattern();

    [GeneratedRegex(@"^(\d+(?:[.,]\d+)?)\s*(mm|cm|in|inch|inches|"")?$")]
    private static partial Regex LengthPattern();
}
