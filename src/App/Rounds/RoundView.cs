using Husbandry.Chores;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace App.Rounds;

/// <summary>Something done on a night.</summary>
/// <param name="EntryId">The newest entry of the enclosure that night.</param>
/// <param name="Text">What was done, joined.</param>
/// <param name="By">Who did it.</param>
public sealed record DoneLine(
    Guid StockId,
    Place Place,
    string Name,
    Guid EntryId,
    string Text,
    DateTimeOffset At,
    string By
);

/// <summary>An enclosure that needs nothing tonight.</summary>
public sealed record RestingLine(Guid StockId, Place Place, string Name, DateOnly? NextDue);

/// <summary>One shelf of the round, in walking order.</summary>
/// <param name="Code">Code of the shelf.</param>
/// <param name="Quarantine">Whether new stock stands here: last, with tools of its own.</param>
/// <param name="Note">What the keeper noted of its warmth and moisture.</param>
/// <param name="Slots">Slots that are taken, in order; left out where all of them rest.</param>
/// <param name="States">One letter for each slot that is taken: d done, o open, h hushed, r resting.</param>
public sealed record RoundShelf(string Code, bool Quarantine, string Note, IReadOnlyList<int> Slots, string States);

/// <summary>How far the round has come.</summary>
public sealed record RoundProgress(int Done, int Total, int PassBy, int Resting, double SecondsLeft);

/// <summary>Where the round was left.</summary>
/// <param name="GoOnAt">The enclosure at which it goes on.</param>
public sealed record RoundBreak(Place Place, string Name, DateTimeOffset At, Guid GoOnAt);

/// <summary>A chore on the round.</summary>
/// <param name="Chore">The chore.</param>
/// <param name="DoneTonight">Whether it is done.</param>
public sealed record RoundChore(Chore Chore, bool DoneTonight);

/// <summary>Tonight's round.</summary>
/// <param name="Seen">Number of the newest entry of the journal, told back with what is written.</param>
/// <param name="Left">Where it was left, when that was more than a while ago.</param>
/// <param name="Chores">Work other than at animals.</param>
/// <param name="Kit">What to have ready for what is still to do.</param>
/// <param name="Pace">Why it should take so long.</param>
/// <param name="WaterUnknown">Enclosures of which no water is on record and which are asked for once, all together.</param>
/// <param name="FirstEvening">On the night on which the room was begun, what leads through it; none on any other.</param>
public sealed record RoundView(
    string RoomName,
    long Seen,
    DateOnly Night,
    RoundProgress Progress,
    RoundBreak? Left,
    IReadOnlyList<RoundShelf> Shelves,
    IReadOnlyList<RoundLine> Lines,
    IReadOnlyList<DoneLine> Done,
    IReadOnlyList<RoundChore> Chores,
    IReadOnlyList<KitNeed> Kit,
    IReadOnlyList<Reason> Pace,
    IReadOnlyList<WaterUnknown> WaterUnknown,
    FirstEvening? FirstEvening
);

/// <summary>What a new room has behind it on its first evening.</summary>
/// <param name="WrittenDown">How many stand in it.</param>
/// <param name="MoltUnknown">Of how many that still grow no molt is on record.</param>
public sealed record FirstEvening(int WrittenDown, int MoltUnknown);

/// <summary>An enclosure of which no water is on record, and what to log once it is known when it was given.</summary>
public sealed record WaterUnknown(Guid StockId, Place Place, string Name, IReadOnlyList<Act> Acts);

/// <summary>Why a line says what it says, with the band of the next molt or wait.</summary>
public sealed record LineWhy(string Summary, IReadOnlyList<Reason> Reasons, VigilForecast? Molt);

/// <summary>A night that is over: what was done.</summary>
public sealed record NightPast(DateOnly Night, IReadOnlyList<DoneLine> Done, RoundSummary Summary);
