using System.Globalization;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Microsoft.AspNetCore.Mvc;

namespace App.Hosting;

/// <summary>
/// When something was tapped, by the clock of the device: what was done out of reach of the server is written at its own
/// instant and not at that of its arrival. Left out by programs that write at once.
/// </summary>
/// <param name="Tapped">Instant of the tap.</param>
/// <param name="Sent">Instant of sending, by the same clock: what it differs from the server's is what that clock is wrong by.</param>
/// <param name="Seen">Number of the newest entry of the journal that was on screen; left out, nobody is asked about what others wrote.</param>
public sealed record Tap(
    [FromHeader(Name = Tap.TappedHeader)] DateTimeOffset? Tapped,
    [FromHeader(Name = Tap.SentHeader)] DateTimeOffset? Sent,
    [FromHeader(Name = Tap.SeenHeader)] long? Seen
)
{
    /// <summary>Header of the instant of the tap.</summary>
    public const string TappedHeader = "X-Lantern-Tapped";

    /// <summary>Header of the instant of sending.</summary>
    public const string SentHeader = "X-Lantern-Sent";

    /// <summary>Header of what was on screen.</summary>
    public const string SeenHeader = "X-Lantern-Seen";

    // A clock that was set back in between puts the tap after the sending; a little of that is only set right.
    private static readonly TimeSpan MostAhead = TimeSpan.FromMinutes(10);

    // What takes no longer to come is written at once, by the server's clock alone: neither the way nor the load of the
    // device puts acts of one moment out of order.
    private static readonly TimeSpan AtOnce = TimeSpan.FromSeconds(5);

    // Nobody carries an act about for longer; a date that old is a broken clock.
    private const int MostDaysBack = 60;

    /// <summary>The instant by the server's clock.</summary>
    /// <param name="room">The room now.</param>
    /// <param name="at">The instant; now where no tap was told.</param>
    /// <returns>What is wrong with it, if anything: the act is then to be dated by hand.</returns>
    public Problem? Read(Room room, out DateTimeOffset at)
    {
        at = room.Now;
        if (Tapped is not { } tapped)
        {
            return null;
        }

        var instant = Sent is { } sent ? room.Now + (tapped - sent) : tapped;
        if (instant > room.Now + MostAhead || instant < room.Now.AddDays(-MostDaysBack))
        {
            return new Problem(
                "tapped",
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"By this device it was done at {instant.UtcDateTime:yyyy-MM-dd HH:mm} UTC, which must lie between {MostDaysBack} days ago and now. Say on which night it was."
                )
            );
        }

        at = instant > room.Now - AtOnce ? room.Now : instant.ToUniversalTime();
        return null;
    }
}
