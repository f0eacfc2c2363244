using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace App.Stock;

/// <summary>A journal entry as shown.</summary>
/// <param name="Night">Night to which it belongs.</param>
/// <param name="NotBefore">"Last seen before", when it was found afterwards.</param>
/// <param name="Text">The entry in words.</param>
/// <param name="StruckBy">The entry that corrected it or took it back.</param>
/// <param name="Corrects">The entry that it corrects.</param>
/// <param name="CanBeCorrected">Whether it can be corrected or taken back here.</param>
public sealed record JournalLine(
    Guid Id,
    DateOnly Night,
    DateOnly? NotBefore,
    DateTimeOffset At,
    Act Act,
    string Text,
    DateTimeOffset WrittenAt,
    string WrittenBy,
    Guid? StruckBy,
    Guid? Corrects,
    string? Against,
    bool CanBeCorrected
);

/// <summary>One of those that share a tank, or the tank itself, as told on the page of the other.</summary>
/// <param name="Text">What it is about tonight.</param>
public sealed record InmateView(
    Guid StockId,
    string Name,
    string Species,
    string Group,
    string StageWord,
    int Count,
    string PhaseWord,
    int Shutters,
    string Text
)
{
    public static InmateView Of(Judgement j) =>
        new(
            j.Subject.Standing.StockId,
            j.Subject.Standing.Details.Nickname,
            j.Subject.SpeciesName,
            j.Subject.Group.Id,
            KindWords.StageWord(j),
            j.Subject.Standing.Details.Count,
            PhaseMark.Of(j.Phase.Value).Word,
            PhaseMark.Of(j.Phase.Value).Shutters,
            RoundLine.Of(j).Do
        );
}

/// <summary>Everything on an animal's page.</summary>
/// <param name="Seen">Number of its newest entry, told back with what is written.</param>
/// <param name="SexShowsBy">By what its sex can be told tonight.</param>
/// <param name="InVials">Numbers of the vials of a brood that are in use.</param>
public sealed record AnimalView(
    Guid StockId,
    long Version,
    long Seen,
    StockDetails Details,
    Place Place,
    string Species,
    string GroupOne,
    string InstarMark,
    string StageWord,
    bool TakesPrey,
    PageLayout Layout,
    IReadOnlyList<Turn> Turns,
    string Heading,
    string? Instar,
    string It,
    string Its,
    string Them,
    DepartureEvent? Departure,
    DateOnly Tonight,
    DateOnly? LastMolt,
    string PhaseWord,
    int Shutters,
    Answer<Phase> Phase,
    Answer<Stage> Stage,
    Answer<BodySize?> Size,
    Answer<Condition> Condition,
    Answer<PremoltReading> Reading,
    Answer<VigilForecast?> Molt,
    Answer<FirstMeal?> FirstMeal,
    Answer<PreyFit?> Prey,
    Answer<MealPlan> Meal,
    Answer<NotEating?> NotEating,
    Variety Variety,
    IReadOnlyList<VialEvent> Vials,
    IReadOnlyList<int> RestingVials,
    IReadOnlyList<int> InVials,
    Answer<WaterPlan> Water,
    Answer<UpkeepPlan> Upkeep,
    Answer<Leftover?> Leftover,
    IReadOnlyList<Answer<VigilForecast?>> Waits,
    Answer<GrowthRecord?> Growth,
    Answer<MoltsLeft?> MoltsLeft,
    IReadOnlyList<PictureEvent> Pictures,
    IReadOnlyList<SexEvent> SexTold,
    IReadOnlyList<Husbandry.Rulebook.SexEvidence> SexShowsBy,
    IReadOnlyList<HushLine> Hush,
    IReadOnlyDictionary<Husbandry.Rulebook.CareAct, string> Cares,
    IReadOnlyList<Reason> HushReasons,
    RoundLine Line,
    LogMenu Log,
    Lifeline Lifeline,
    IReadOnlyList<string> Cautions,
    HouseEvent? House,
    Answer<CalciumBoard?> Calcium,
    Answer<HousingFit?> Fit,
    Answer<Quarantine?> Quarantine,
    Husbandry.Rulebook.Hazard? Hazard,
    CountBook? Numbers,
    LoanEvent? Loan,
    IReadOnlyList<BirthEvent> Births,
    InmateView? Tank,
    IReadOnlyList<InmateView> Inmates,
    IReadOnlyList<JournalLine> Journal
)
{
    public static AnimalView Of(Standing standing, IReadOnlyList<JournalEntry> journal, Room room)
    {
        var j = Judgement.Of(standing, room);
        var s = j.Subject;
        // Instars are counted up to the pupa only.
        var pupates = s.Group.Has(Husbandry.Rulebook.Stage.Pupa);
        var life = Husbandry.Rounds.Lifeline.Of(j, journal);
        return new AnimalView(
            standing.StockId,
            standing.DetailsVersion,
            journal.Max(e => e.Sequence),
            standing.Details,
            s.Place,
            s.SpeciesName,
            s.Group.One,
            s.Group.InstarMark,
            KindWords.StageWord(j),
            s.Group.Feeding.Prey is not null,
            PageLayout.Of(j, life),
            [.. Turn.Of(j)],
            PageLayout.HeadingOf(j),
            pupates && j.Stage.Value is Husbandry.Rulebook.Stage.Pupa or Husbandry.Rulebook.Stage.Adult
                ? null
                : s.InstarText,
            s.It,
            s.Its,
            s.Them,
            standing.Departure,
            room.Tonight,
            standing.Growth.LastMolt is { } molt ? s.Night(molt.When.Middle) : null,
            string.Join(", ", j.Phases.Select(p => PhaseMark.Of(p.Value).Word)),
            PhaseMark.Of(j.Phase.Value).Shutters,
            j.Phase,
            j.Stage,
            j.Size,
            j.Condition,
            j.Reading,
            j.Molt,
            j.FirstMeal,
            j.Prey,
            j.Meal,
            j.NotEating,
            j.Variety,
            standing.Feeding.Vials,
            [.. s.RestingVials.Select(v => v.Number)],
            [.. standing.Vials],
            j.Water,
            j.Upkeep,
            j.Leftover,
            j.Waits,
            j.Growth,
            j.MoltsLeft,
            standing.Growth.Pictures,
            standing.Growth.SexTold,
            [.. SexTelling.Showing(s, j.Stage.Value, s.Instar).Select(m => m.Key)],
            j.Hush.Lines,
            CareWords.Of(j),
            j.HushReasons,
            RoundLine.Of(j),
            LogMenu.Of(j),
            life,
            [.. s.Profile.Cautions.Select(c => c.Value)],
            s.House,
            CalciumBoard.Of(s),
            j.Fit,
            Husbandry.Housing.Quarantine.Of(s),
            s.Profile.Hazard?.Value,
            CountBook.Of(s),
            standing.Loan,
            standing.Births,
            s.Tank is { } tank ? InmateView.Of(Judgement.Of(tank, room)) : null,
            [.. j.Inmates.Select(InmateView.Of)],
            Lines(journal, room)
        );
    }

    private static List<JournalLine> Lines(IReadOnlyList<JournalEntry> journal, Room room)
    {
        var struck = Chronicle.Struck(journal);
        return
        [
            .. journal
                .Where(e => e.Act is not Withdrawn)
                .OrderByDescending(e => e.When.To)
                .ThenByDescending(e => e.Sequence)
                .Select(e => new JournalLine(
                    e.Id,
                    room.Clock.NightOf(e.When.To),
                    e.When.From == e.When.To ? null : room.Clock.NightOf(e.When.From),
                    e.When.To,
                    e.Act,
                    EntryDefinition.Of(e.Act).Say(e.Act, room.Rules, room.Wording),
                    e.WrittenAt,
                    e.WrittenBy,
                    struck.TryGetValue(e.Id, out var by) ? by : null,
                    e.Supersedes,
                    e.Against,
                    e.Act is not (Acquired or DetailsChanged) && !struck.ContainsKey(e.Id)
                )),
        ];
    }
}
