using System.Globalization;

namespace Husbandry.Reasons;

/// <summary>Unit in which lengths are shown. Stored lengths are always millimetres.</summary>
public enum LengthUnit
{
    /// <summary>Millimetres.</summary>
    Mm,

    /// <summary>Centimetres.</summary>
    Cm,

    /// <summary>Inches of 25.4 mm.</summary>
    In,
}

/// <summary>Puts numbers, dates and ranges into the words of the room: one place for units and date forms.</summary>
/// <param name="Unit">Unit for lengths.</param>
/// <param name="Tonight">The night from which "ago" and the need for a year are judged.</param>
public sealed record Wording(LengthUnit Unit, DateOnly Tonight)
{
    /// <summary>Millimetres in one inch, by definition. Source: NIST SP 811, appendix B.</summary>
    public const double MmPerInch = 25.4;

    private const double MmPerCm = 10;

    /// <summary>A length with its unit, at a precision a ruler can show.</summary>
    public string Length(double mm) => $"{Number(mm)} {UnitName}";

    /// <summary>A range of lengths with its unit.</summary>
    public string Lengths(double lowMm, double highMm) => $"{Number(lowMm)}–{Number(highMm)} {UnitName}";

    /// <summary>Name of the unit as printed.</summary>
    public string UnitName =>
        Unit switch
        {
            LengthUnit.Cm => "cm",
            LengthUnit.In => "in",
            _ => "mm",
        };

    /// <summary>A date such as "24 Dec"; the year is added when it is not this one.</summary>
    public string Date(DateOnly date) =>
        date.ToString(date.Year != Tonight.Year ? "d MMM yyyy" : "d MMM", CultureInfo.InvariantCulture);

    /// <summary>A date with its year, for what is kept on paper, such as "23 Nov 2026".</summary>
    public static string LongDate(DateOnly date) => date.ToString("d MMM yyyy", CultureInfo.InvariantCulture);

    /// <summary>A date with its weekday, such as "Thu 19 Nov".</summary>
    public string Day(DateOnly date) => $"{date.ToString("ddd", CultureInfo.InvariantCulture)} {Date(date)}";

    /// <summary>A range of dates such as "5 Mar – 18 Apr", with both years where either is not this one; one date when both ends agree.</summary>
    public string Dates(DateOnly from, DateOnly to) => from == to ? Date(from) : Ends(from, to, " – ");

    /// <summary>A range of dates as it stands behind "between": "5 Mar and 18 Apr".</summary>
    public string Between(DateOnly from, DateOnly to) => Ends(from, to, " and ");

    private string Ends(DateOnly from, DateOnly to, string joined) =>
        from.Year == Tonight.Year && to.Year == Tonight.Year
            ? $"{Date(from)}{joined}{Date(to)}"
            : $"{LongDate(from)}{joined}{LongDate(to)}";

    /// <summary>"tonight", "last night" or "4 nights ago".</summary>
    public string Ago(DateOnly night) =>
        (Tonight.DayNumber - night.DayNumber) switch
        {
            <= 0 => "tonight",
            1 => "last night",
            var n => $"{n.ToString(CultureInfo.InvariantCulture)} nights ago",
        };

    /// <summary>A count of days such as "7 days", "1 day" or "2.5 days".</summary>
    public static string Days(double days) =>
        days == 1 ? "1 day" : $"{days.ToString("0.#", CultureInfo.InvariantCulture)} days";

    /// <summary>"1 night" or "n nights".</summary>
    public static string Nights(int nights) =>
        nights == 1 ? "1 night" : $"{nights.ToString(CultureInfo.InvariantCulture)} nights";

    /// <summary>A plain number with at most two decimals.</summary>
    public static string Plain(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    /// <summary>A chance as "24 in 100"; the ends are "fewer than 1 in 100" and "more than 99 in 100".</summary>
    public static string Chance(double probability) =>
        Math.Round(probability * 100) switch
        {
            < 1 => "fewer than 1 in 100",
            > 99 => "more than 99 in 100",
            var n => $"{n.ToString(CultureInfo.InvariantCulture)} in 100",
        };

    /// <summary>A length without its unit, at a precision a ruler can show.</summary>
    public string Number(double mm) =>
        Unit switch
        {
            LengthUnit.Cm => (mm / MmPerCm).ToString(mm < 100 ? "0.##" : "0.#", CultureInfo.InvariantCulture),
            LengthUnit.In => (mm / MmPerInch).ToString("0.##", CultureInfo.InvariantCulture),
            _ => mm.ToString(mm < 20 ? "0.#" : "0", CultureInfo.InvariantCulture),
        };
}
