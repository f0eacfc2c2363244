namespace Husbandry.Reasons;

/// <summary>When something happened: an instant, or an interval when it was only found afterwards.</summary>
/// <param name="From">Earliest it can have been ("last seen before").</param>
/// <param name="To">Latest it can have been ("found on").</param>
public sealed record Occurrence(DateTimeOffset From, DateTimeOffset To)
{
    /// <summary>An exactly known instant.</summary>
    public static Occurrence At(DateTimeOffset instant) => new(instant, instant);

    /// <summary>The middle of the interval, for display and for clocks that are not about safety.</summary>
    public DateTimeOffset Middle => From + ((To - From) / 2);
}
