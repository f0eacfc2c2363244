using Husbandry.Reasons;

namespace Husbandry.Climate;

/// <summary>What an alarm is about.</summary>
public enum AlarmKind
{
    /// <summary>Above a ceiling.</summary>
    Hot,

    /// <summary>Below a floor.</summary>
    Cold,

    /// <summary>Air too dry.</summary>
    Dry,

    /// <summary>Air too damp.</summary>
    Damp,

    /// <summary>A winter box that is too warm.</summary>
    WinterWarm,

    /// <summary>A winter box that freezes.</summary>
    WinterFrost,

    /// <summary>A sensor of which nothing is heard.</summary>
    Silent,

    /// <summary>A sensor that says the same for too long.</summary>
    Stuck,

    /// <summary>A sensor that goes away from its neighbours.</summary>
    Drifted,
}

/// <summary>How an alarm stands.</summary>
public enum AlarmState
{
    /// <summary>Nobody has answered it.</summary>
    Open,

    /// <summary>Somebody has seen it.</summary>
    Seen,

    /// <summary>It is silent for a while.</summary>
    Snoozed,

    /// <summary>It was answered and goes on.</summary>
    SaidAgain,
}

/// <summary>An animal that an alarm is about.</summary>
public sealed record AlarmFor(Guid StockId, string Name, string Place, bool IsHushed);

/// <summary>Something about the air that somebody must know now.</summary>
/// <param name="Key">The same while it holds.</param>
/// <param name="Kind">What it is about.</param>
/// <param name="SensorId">The sensor that tells it.</param>
/// <param name="Sensor">Its name.</param>
/// <param name="Zone">Where it hangs; empty for the whole room.</param>
/// <param name="Since">Since when.</param>
/// <param name="IsDanger">Whether minutes count, quiet hours or not.</param>
/// <param name="Says">What is the matter, in a sentence.</param>
/// <param name="Now">What to do now, each in a sentence.</param>
/// <param name="Why">The limit that was passed, and how long is too long.</param>
/// <param name="For">Animals that it is about; empty for one of the sensor.</param>
/// <param name="State">How it stands.</param>
/// <param name="AnsweredBy">Who answered it.</param>
/// <param name="Until">It is silent until then.</param>
public sealed record ClimateAlarm(
    string Key,
    AlarmKind Kind,
    Guid SensorId,
    string Sensor,
    string Zone,
    DateTimeOffset Since,
    bool IsDanger,
    string Says,
    IReadOnlyList<string> Now,
    IReadOnlyList<Reason> Why,
    IReadOnlyList<AlarmFor> For,
    AlarmState State,
    string? AnsweredBy,
    DateTimeOffset? Until
)
{
    /// <summary>Whether it asks for somebody.</summary>
    public bool IsLoud => State is AlarmState.Open or AlarmState.SaidAgain;
}

/// <summary>An instrument as it stands.</summary>
/// <param name="Sensor">Which.</param>
/// <param name="Track">Whether it is silent or stuck.</param>
/// <param name="Lately">Its last two days in spans of ten minutes, corrected, the newest last.</param>
/// <param name="Drift">How it goes away from its neighbours; none mostly.</param>
public sealed record SensorState(
    Sensor Sensor,
    SensorTrack Track,
    IReadOnlyList<AirSpan> Lately,
    SensorDrift? Drift = null
)
{
    /// <summary>Whether what it says now is of the air: it speaks, and says not the same for too long.</summary>
    public bool IsAlive(DateTimeOffset now, Rulebook.RoomAlarmRules rules) =>
        Track.Last is { } last
        && now - last.At <= TimeSpan.FromMinutes(rules.FreshMinutes.Value)
        && Track.StuckSince(rules) is null;
}
