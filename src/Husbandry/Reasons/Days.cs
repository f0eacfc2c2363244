namespace Husbandry.Reasons;

/// <summary>
/// Days of an animal's own clock: one for each day at the temperature for which its waits hold, more where it is warmer, fewer
/// where it is cooler. Not days of the calendar, and never added to them: the pace of the animal turns one into the other.
/// </summary>
/// <param name="Value">How many, in days at the reference temperature.</param>
public readonly record struct EffectiveDays(double Value) : IComparable<EffectiveDays>
{
    /// <summary>None.</summary>
    public static EffectiveDays Zero => default;

    /// <summary>Two lengths after one another.</summary>
    public static EffectiveDays operator +(EffectiveDays a, EffectiveDays b) => new(a.Value + b.Value);

    /// <summary>What is left of a length.</summary>
    public static EffectiveDays operator -(EffectiveDays a, EffectiveDays b) => new(a.Value - b.Value);

    /// <summary>A length so many times.</summary>
    public static EffectiveDays operator *(EffectiveDays days, double factor) => new(days.Value * factor);

    /// <summary>A part of a length.</summary>
    public static EffectiveDays operator /(EffectiveDays days, double parts) => new(days.Value / parts);

    /// <summary>One length as a multiple of another.</summary>
    public static double operator /(EffectiveDays a, EffectiveDays b) => a.Value / b.Value;

    /// <summary>Whether one is shorter.</summary>
    public static bool operator <(EffectiveDays a, EffectiveDays b) => a.Value < b.Value;

    /// <summary>Whether one is longer.</summary>
    public static bool operator >(EffectiveDays a, EffectiveDays b) => a.Value > b.Value;

    /// <summary>Whether one is not longer.</summary>
    public static bool operator <=(EffectiveDays a, EffectiveDays b) => a.Value <= b.Value;

    /// <summary>Whether one is not shorter.</summary>
    public static bool operator >=(EffectiveDays a, EffectiveDays b) => a.Value >= b.Value;

    /// <summary>The same, but not below none.</summary>
    public EffectiveDays NotNegative => new(Math.Max(0, Value));

    /// <summary>In words; the members are not listed, as one of them is of this type.</summary>
    public override string ToString() => $"{Wording.Plain(Value)} effective days";

    /// <inheritdoc/>
    public int CompareTo(EffectiveDays other) => Value.CompareTo(other.Value);
}

/// <summary>Days of the calendar, from one instant to another or from now on.</summary>
/// <param name="Value">How many days of 24 hours.</param>
public readonly record struct CalendarDays(double Value) : IComparable<CalendarDays>
{
    /// <summary>None.</summary>
    public static CalendarDays Zero => default;

    /// <summary>Two lengths after one another.</summary>
    public static CalendarDays operator +(CalendarDays a, CalendarDays b) => new(a.Value + b.Value);

    /// <summary>What is left of a length.</summary>
    public static CalendarDays operator -(CalendarDays a, CalendarDays b) => new(a.Value - b.Value);

    /// <summary>A length so many times.</summary>
    public static CalendarDays operator *(CalendarDays days, double factor) => new(days.Value * factor);

    /// <summary>Whether one is shorter.</summary>
    public static bool operator <(CalendarDays a, CalendarDays b) => a.Value < b.Value;

    /// <summary>Whether one is longer.</summary>
    public static bool operator >(CalendarDays a, CalendarDays b) => a.Value > b.Value;

    /// <summary>Whether one is not longer.</summary>
    public static bool operator <=(CalendarDays a, CalendarDays b) => a.Value <= b.Value;

    /// <summary>Whether one is not shorter.</summary>
    public static bool operator >=(CalendarDays a, CalendarDays b) => a.Value >= b.Value;

    /// <summary>The same, but not below none.</summary>
    public CalendarDays NotNegative => new(Math.Max(0, Value));

    /// <summary>In words; the members are not listed, as one of them is of this type.</summary>
    public override string ToString() => $"{Wording.Plain(Value)} days";

    /// <summary>The night that lies so many days after another, to the nearest.</summary>
    public DateOnly After(DateOnly night) => night.AddDays((int)Math.Round(Value));

    /// <inheritdoc/>
    public int CompareTo(CalendarDays other) => Value.CompareTo(other.Value);
}
