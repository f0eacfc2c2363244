using System.Text.Json.Serialization;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Rounds;

/// <summary>Of a glance: who it is.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Species">Scientific name.</param>
/// <param name="Group">Group of the rulebook.</param>
/// <param name="GroupOne">One animal of that group, in a word.</param>
/// <param name="Kind">Specimen, brood, colony or tank.</param>
/// <param name="Sex">Sex as far as known.</param>
/// <param name="Stage">Stage of life.</param>
/// <param name="Instar">Instar as written, if known.</param>
/// <param name="Count">Number of animals; of a tank those in it, none while it stands empty.</param>
/// <param name="Tags">The keeper's own words for it.</param>
/// <param name="Came">Day it came.</param>
/// <param name="MotherId">Its mother, if on record.</param>
/// <param name="FatherId">Its father, likewise.</param>
/// <param name="Hazard">What it can do to people.</param>
/// <param name="Owner">Whose it is, when it is only here for a time.</param>
/// <param name="FoundAt">Where it was found, when it was taken from the wild.</param>
public sealed record GlanceWho(
    string Name,
    string Species,
    string Group,
    string GroupOne,
    StockKind Kind,
    Sex Sex,
    Stage Stage,
    string? Instar,
    int Count,
    IReadOnlyList<string> Tags,
    DateOnly Came,
    Guid? MotherId,
    Guid? FatherId,
    Hazard? Hazard,
    string? Owner,
    string? FoundAt
);

/// <summary>Of a glance: where it is.</summary>
/// <param name="Place">Where it stands.</param>
/// <param name="TankId">The shared tank in which it lives, if it does.</param>
/// <param name="LentTo">With whom it is for a time; none while it is here.</param>
/// <param name="Quarantine">Night until which it belongs apart; none when it does not.</param>
/// <param name="Departure">How it left, if it did.</param>
/// <param name="LeftOn">Night on which it left.</param>
public sealed record GlanceWhere(
    Place Place,
    Guid? TankId,
    string? LentTo,
    DateOnly? Quarantine,
    DepartureKind? Departure,
    DateOnly? LeftOn
);

/// <summary>Of a glance: what is awaited of it.</summary>
/// <param name="Phase">Phase.</param>
/// <param name="Shutters">Closed shutters, 0–3.</param>
/// <param name="Never">What the hush table forbids tonight.</param>
/// <param name="LastMolt">Night of its last molt.</param>
/// <param name="Molts">Molts on record here.</param>
/// <param name="AteAgain">Night of its first meal since the last molt, as far back as meals are remembered.</param>
/// <param name="Paired">Nights on which it was put together with a mate since its last molt.</param>
/// <param name="Band">What is awaited of it.</param>
/// <param name="EndedWaits">The last waits of it that are over, other than for molts.</param>
/// <param name="HasBrooded">Whether it broods, or has had young.</param>
/// <param name="Apart">When its young are put apart; none where they are not.</param>
/// <param name="WarmUp">Night on which it is taken out of the cold, as planned.</param>
/// <param name="Winters">Whether it lies in its winter.</param>
public sealed record GlanceWaits(
    Phase Phase,
    int Shutters,
    IReadOnlyList<CareAct> Never,
    DateOnly? LastMolt,
    int Molts,
    DateOnly? AteAgain,
    IReadOnlyList<DateOnly> Paired,
    GlanceBand? Band,
    IReadOnlyList<EndedWait> EndedWaits,
    bool HasBrooded,
    GlanceApart? Apart,
    DateOnly? WarmUp,
    bool Winters
);

/// <summary>Of a brood of which each will live alone: when it is put apart.</summary>
/// <param name="From">Night from which that is done.</param>
/// <param name="To">Last night of it; the first where nobody can say.</param>
/// <param name="What">What it takes, such as "60 × a vial of about 30 mL".</param>
public sealed record GlanceApart(DateOnly From, DateOnly To, string What)
{
    /// <summary>When a brood is put apart; none while nobody can say, and once it was.</summary>
    public static GlanceApart? Of(Judgement j)
    {
        ArgumentNullException.ThrowIfNull(j);
        if (j.Apart.Value is not { On: { } on } apart)
        {
            return null;
        }

        // Before the molt it must be over before the first of them molts; after it, when the last have.
        var until = apart.BeforeMolt ? apart.MoltFrom?.AddDays(-1) : apart.MoltTo;
        return new GlanceApart(on, until is { } last && last > on ? last : on, $"{apart.Vials} × {apart.Vial}");
    }
}

/// <summary>Of a glance: what is done for it at regular times.</summary>
/// <param name="LastMeal">Night of its last meal.</param>
/// <param name="Clocks">The clocks of its care: those that its stage of life has.</param>
public sealed record GlanceCare(DateOnly? LastMeal, IReadOnlyList<CareDue> Clocks)
{
    /// <summary>Night of its next meal; none while food is hushed, or where it eats nothing.</summary>
    [JsonIgnore]
    public DateOnly? MealDue => Clocks.FirstOrDefault(c => c.Clock == CareClock.Food)?.Due;

    /// <summary>Whether water is given and no time of it is on record.</summary>
    [JsonIgnore]
    public bool WaterUnknown =>
        Clocks.Any(c => c.Clock == CareClock.Water) && Clocks.All(c => c.Clock != CareClock.Water || c.Last is null);
}

/// <summary>Of a glance: what it lives in.</summary>
/// <param name="Enclosure">What it lives in, if measured.</param>
/// <param name="Fit">Whether it fits.</param>
/// <param name="FitText">The same in words.</param>
public sealed record GlanceHouse(Enclosure? Enclosure, FitWord Fit, string FitText);
