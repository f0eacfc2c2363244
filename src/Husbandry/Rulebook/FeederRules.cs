namespace Husbandry.Rulebook;

/// <summary>What a feeder does that a keeper must mind.</summary>
public enum FeederTrait
{
    /// <summary>Climbs walls and lids.</summary>
    Climbs,

    /// <summary>Jumps.</summary>
    Jumps,

    /// <summary>Burrows out of reach.</summary>
    Burrows,

    /// <summary>Bites: dangerous to a soft or resting animal.</summary>
    Bites,

    /// <summary>Flies.</summary>
    Flies,

    /// <summary>Hides.</summary>
    Hides,
}

/// <summary>Where a feeder comes from.</summary>
public enum FeederFrom
{
    /// <summary>Bred in a culture of one's own.</summary>
    Culture,

    /// <summary>Bought.</summary>
    Shop,

    /// <summary>Bred or bought.</summary>
    Either,

    /// <summary>From the kitchen or gathered.</summary>
    Kitchen,
}

/// <summary>A kind of food.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Name">Name, singular.</param>
/// <param name="Plural">Name, plural.</param>
/// <param name="Fatty">Rich in fat: not the daily food.</param>
/// <param name="CanBeCut">Whether cutting it up makes sense; flies and springtails are given whole.</param>
/// <param name="Serving">How to serve it.</param>
/// <param name="Classes">Size classes from small to large.</param>
/// <param name="Traits">What it does.</param>
/// <param name="From">Where it comes from.</param>
/// <param name="KeepsDays">Days after which half of what is in stock has died or spoilt.</param>
/// <param name="StayHours">How long it may stay in an enclosure, where that differs from prey in general.</param>
/// <param name="Soft">Soft and harmless, as flies are: as long as the body is not too long.</param>
/// <param name="AlwaysThere">Never a leftover: litter, wood, calcium, leaf that is changed when it is spent.</param>
/// <param name="Protein">Whether it feeds a colony's brood though it is no whole animal.</param>
/// <param name="FromTubsOf">Group whose tubs give it, as much as may be taken from them; none for most.</param>
/// <param name="Culture">How a culture, or a bought pot of pupae, gives it; none when it is bought as it is fed.</param>
public sealed record FeederRules(
    string Id,
    string Name,
    string Plural,
    bool Fatty,
    bool CanBeCut,
    string Serving,
    IReadOnlyList<FeederClass> Classes,
    IReadOnlyList<FeederTrait> Traits,
    FeederFrom From,
    Rule<double> KeepsDays,
    Rule<double>? StayHours,
    CultureRules? Culture,
    bool Soft = false,
    bool AlwaysThere = false,
    bool Protein = false,
    string? FromTubsOf = null
)
{
    /// <summary>Whether it is bought as pots that hatch; what comes in several sizes is bought as animals.</summary>
    public bool BoughtAsPots => Culture is not null && Classes.Count == 1;

    /// <summary>Whether it feeds the brood of a colony: any insect does.</summary>
    public bool FeedsBrood => Protein || Classes.Any(c => c.LengthMm is not null);

    /// <summary>A size class by id.</summary>
    public FeederClass? Class(string id) => Classes.FirstOrDefault(c => c.Id == id);

    /// <summary>So many pots of it: "2 pots of fruit flies".</summary>
    public string PotsOf(int pots) => $"{pots} {(pots == 1 ? "pot" : "pots")} of {Plural}";

    /// <summary>What a class is called, e.g. "small crickets".</summary>
    public string NameOf(FeederClass size, bool many) =>
        size.Name.Length == 0 ? (many ? Plural : Name) : $"{size.Name} {(many ? Plural : Name)}";
}

/// <summary>A size class of a feeder.</summary>
/// <param name="Id">Identifier within the feeder.</param>
/// <param name="Name">Adjective before the feeder's name, e.g. "small"; empty when there is only one class.</param>
/// <param name="LengthMm">Body length; none for food that is not an animal, such as leaves.</param>
public sealed record FeederClass(string Id, string Name, Rule<Range>? LengthMm)
{
    /// <summary>Dry mass in mg of one of middling length, by the curve for insects; none for food that is no animal.</summary>
    public double? MassMg => LengthMm is { } length ? InsectMass.FromLengthMm(length.Value.Middle) : null;
}

/// <summary>How a culture gives its animals, at 25 °C: it rises from the first to the peak and falls to the end.</summary>
/// <param name="FirstDays">Days from start to the first.</param>
/// <param name="PeakDays">Days to the peak.</param>
/// <param name="EndDays">Days to the end.</param>
/// <param name="Yield">Animals in its whole life.</param>
/// <param name="ColdHoldsDays">Days in the cold after which half no longer hatch; none when it must not be chilled.</param>
/// <param name="RenewEveryDays">Days after which a new one is started in a running room.</param>
/// <param name="ArrivesAtDays">Age of a bought one.</param>
public sealed record CultureRules(
    Rule<double> FirstDays,
    Rule<double> PeakDays,
    Rule<double> EndDays,
    Rule<double> Yield,
    Rule<double>? ColdHoldsDays,
    Rule<double> RenewEveryDays,
    Rule<double> ArrivesAtDays
);
