using Husbandry.Climate;
using Husbandry.Larder;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace App.Larder;

/// <summary>How far a culture has come.</summary>
public enum CultureState
{
    /// <summary>Nothing comes yet.</summary>
    Growing,

    /// <summary>It gives animals.</summary>
    Giving,

    /// <summary>Past its time.</summary>
    Spent,

    /// <summary>In the cold.</summary>
    Cold,
}

/// <summary>A culture as shown.</summary>
/// <param name="State">How far it has come.</param>
/// <param name="AgeDays">Age in warm days.</param>
/// <param name="FirstOn">When the first come, if it stays warm.</param>
/// <param name="PeakOn">When most come.</param>
/// <param name="EndsOn">When it is spent.</param>
/// <param name="Tonight">How many come a day now.</param>
/// <param name="Viable">Share that can still hatch after its time in the cold (0–1).</param>
/// <param name="CanChill">Whether the cold holds it back rather than kill it.</param>
/// <param name="QuarantineUntil">Night until which it is kept apart and handled last, after mites.</param>
/// <param name="Daily">Animals a day from its start on, every other day, for drawing.</param>
/// <param name="Reasons">What its dates and numbers rest on.</param>
public sealed record CultureView(
    Guid Id,
    string FeederId,
    string Name,
    int Pots,
    DateOnly StartedOn,
    CultureState State,
    double AgeDays,
    DateOnly FirstOn,
    DateOnly PeakOn,
    DateOnly EndsOn,
    double Tonight,
    double Viable,
    bool CanChill,
    DateOnly? QuarantineUntil,
    IReadOnlyList<double> Daily,
    IReadOnlyList<Reason> Reasons
)
{
    private const int DrawnPoints = 48;

    internal static CultureView Of(Culture culture, FeederRules feeder, Husbandry.Rooms.Room room)
    {
        var rules = feeder.Culture!;
        var celsius = room.RecentC;
        var pace = Emergence.Pace(room.Rules.Larder, celsius);
        var age = Emergence.Age(culture, room.Now, pace);
        var warm = culture with { Cold = [] };
        var life = (rules.EndDays.Value - culture.AgeDays) / pace;
        double Between(Culture c, double from, double to) =>
            Emergence.Between(c, rules, c.StartedAt.AddDays(from), c.StartedAt.AddDays(to), pace);
        var step = Math.Max(life, 1) / DrawnPoints;
        return new CultureView(
            culture.Id,
            culture.FeederId,
            feeder.Plural,
            culture.Pots,
            room.Clock.NightOf(culture.StartedAt),
            culture.IsCold ? CultureState.Cold
                : age < rules.FirstDays.Value ? CultureState.Growing
                : age < rules.EndDays.Value ? CultureState.Giving
                : CultureState.Spent,
            age,
            Emergence.NightAt(culture, rules.FirstDays.Value, room),
            Emergence.NightAt(culture, rules.PeakDays.Value, room),
            Emergence.NightAt(culture, rules.EndDays.Value, room),
            culture.IsCold ? 0 : Emergence.Between(culture, rules, room.Now, room.Now.AddDays(1), pace),
            Emergence.Viable(culture, rules, room.Now),
            rules.ColdHoldsDays is not null,
            culture.MitesAt is { } mites
                ? room.Clock.NightOf(mites).AddDays((int)room.Rules.Larder.QuarantineNights.Value)
                : null,
            [.. Enumerable.Range(0, DrawnPoints).Select(k => Between(warm, k * step, (k + 1) * step) / step)],
            LarderReasons.Of(feeder, rules, celsius, room.Rules.Larder)
        );
    }
}

/// <summary>An order as shown.</summary>
/// <param name="Lines">What was ordered, in words.</param>
/// <param name="Parcel">How it stands with the supplier.</param>
public sealed record OrderView(
    Guid Id,
    DateOnly PlacedOn,
    DateOnly PromisedOn,
    IReadOnlyList<string> Lines,
    IReadOnlyList<OrderLine> Ordered,
    Parcel Parcel
);

/// <summary>A line of the larder's journal as shown.</summary>
public sealed record LarderLine(Guid EntryId, DateTimeOffset At, string WrittenBy, string Text, bool CanTakeBack);

/// <summary>How flies are made ready at the bench.</summary>
public sealed record BenchRoutine(double ChillFromMinutes, double ChillToMinutes, double LookEveryMinutes);

/// <summary>A food plant as shown.</summary>
/// <param name="Grams">Leaf on it tonight, g; none of a place outside.</param>
/// <param name="WaterOn">Of a pot: night on which it is to be watered.</param>
/// <param name="KeepsUntil">Of cut leaf: night until which it keeps.</param>
public sealed record PlantView(
    Guid Id,
    string Plant,
    PlantForm Form,
    LeafKind Leaf,
    double? Grams,
    DateOnly? WaterOn,
    DateOnly? KeepsUntil,
    bool IsWashed,
    string? Where
)
{
    internal static PlantView Of(PantryPlant plant, Husbandry.Rooms.Room room)
    {
        var rules = room.Rules.Room.Plants;
        return new PlantView(
            plant.Id,
            plant.Plant,
            plant.Form,
            plant.Leaf,
            plant.Form == PlantForm.Site ? null : plant.GramsOn(room.Now, rules),
            plant.WaterDue(rules) is { } due ? room.Clock.NightOf(due) : null,
            plant.KeepsUntil(rules) is { } until ? room.Clock.NightOf(until) : null,
            plant.IsWashed,
            plant.Where
        );
    }
}

/// <summary>A feeder of the catalogue.</summary>
/// <param name="Own">Whether the keeper added it.</param>
/// <param name="MassMg">Dry mass of one of each class; none for food that is no animal.</param>
public sealed record FeederView(FeederRules Feeder, bool Own, IReadOnlyList<double?> MassMg);

/// <summary>The larder tonight.</summary>
/// <param name="Unsized">Enclosures whose meals cannot be planned, since their size is not known.</param>
/// <param name="Plants">Food plants that are there, by name.</param>
/// <param name="Hosts">Names of plants that larvae of the rulebook take, for the form.</param>
public sealed record LarderView(
    DateOnly Tonight,
    LarderPlan Plan,
    int Unsized,
    IReadOnlyList<CultureView> Cultures,
    IReadOnlyList<OrderView> Orders,
    IReadOnlyList<SupplierOffer> Supplier,
    BenchRoutine Bench,
    IReadOnlyList<PlantView> Plants,
    IReadOnlyList<string> Hosts,
    IReadOnlyList<LarderLine> Journal
);
