using System.Collections.Immutable;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Rooms;

/// <summary>What the keeper has set for the whole room.</summary>
/// <param name="RoomName">Name of the room, 1–80 characters.</param>
/// <param name="KeeperName">Name written beside entries, 1–60 characters.</param>
/// <param name="ZoneId">IANA time zone.</param>
/// <param name="CutoverHour">Local hour (0–12) at which a new night begins.</param>
/// <param name="Unit">Unit for lengths.</param>
/// <param name="FirstMeal">School for first meals.</param>
/// <param name="Cadence">School for cadence.</param>
/// <param name="AfterPairing">School for feeding a paired female; files of rooms from before it was asked have none.</param>
/// <param name="Peeking">School for looking at a founding queen; likewise.</param>
public sealed record RoomSettings(
    string RoomName,
    string KeeperName,
    string ZoneId,
    int CutoverHour,
    LengthUnit Unit,
    FirstMealSchool FirstMeal,
    CadenceSchool Cadence,
    AfterPairingSchool AfterPairing = AfterPairingSchool.Steady,
    PeekingSchool Peeking = PeekingSchool.Rationed
)
{
    private const int LongestRoomName = 80;
    private const int LongestKeeperName = 60;
    private const int LatestCutover = 12;

    /// <summary>What is wrong with the settings; none when they can be.</summary>
    public IEnumerable<Problem> Problems()
    {
        if (string.IsNullOrWhiteSpace(RoomName) || RoomName.Length > LongestRoomName)
        {
            yield return new Problem("roomName", $"Write 1 to {LongestRoomName} characters.");
        }

        if (string.IsNullOrWhiteSpace(KeeperName) || KeeperName.Length > LongestKeeperName)
        {
            yield return new Problem("keeperName", $"Write 1 to {LongestKeeperName} characters.");
        }

        if (!TimeZoneInfo.TryFindSystemTimeZoneById(ZoneId, out _))
        {
            yield return new Problem("zoneId", "Unknown time zone: use a name like Europe/London or UTC.");
        }

        if (CutoverHour is < 0 or > LatestCutover)
        {
            yield return new Problem("cutoverHour", $"Must be an hour from 0 to {LatestCutover}.");
        }
    }

    /// <summary>The night clock of the room; an unknown zone falls back to UTC.</summary>
    public NightClock Clock() =>
        new(TimeZoneInfo.TryFindSystemTimeZoneById(ZoneId, out var zone) ? zone : TimeZoneInfo.Utc, CutoverHour);
}

/// <summary>Everything a judgement needs besides the animal: rules, settings and the present instant.</summary>
/// <param name="Rules">The rulebook.</param>
/// <param name="Settings">The keeper's settings.</param>
/// <param name="Clock">Night clock.</param>
/// <param name="Now">The present instant.</param>
public sealed record Room(RuleSet Rules, RoomSettings Settings, NightClock Clock, DateTimeOffset Now)
{
    /// <summary>A room at an instant.</summary>
    public static Room At(RuleSet rules, RoomSettings settings, DateTimeOffset now) =>
        new(rules, settings, settings.Clock(), now);

    /// <summary>The same room, with all that is known of it, at another instant.</summary>
    public Room AsAt(DateTimeOffset now) => At(Rules, Settings, now) with { facts = facts, Layout = Layout };

    private ImmutableArray<object> facts = [];

    /// <summary>What a feature knows of the room, such as what it has taught or how warm it was; none when it knows nothing.</summary>
    public T? Fact<T>()
        where T : class
    {
        foreach (var fact in facts)
        {
            if (fact is T known)
            {
                return known;
            }
        }

        return null;
    }

    /// <summary>The room with one more thing known of it, in the place of what was known of the kind.</summary>
    public Room With<T>(T fact)
        where T : class => this with { facts = [.. facts.Where(f => f is not T), fact] };

    /// <summary>The furniture and the order in which it is walked.</summary>
    public RoomLayout Layout { get; init; } = RoomLayout.Empty;

    /// <summary>Tonight.</summary>
    public DateOnly Tonight { get; } = Clock.NightOf(Now);

    /// <summary>Words for dates and lengths as the room wants them.</summary>
    public Wording Wording => new(Settings.Unit, Tonight);
}
