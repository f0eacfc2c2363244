using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Records;

/// <summary>Young came out of her, her sac or her eggs, and are kept as a stock of their own.</summary>
/// <param name="PartyId">The young; in their half, the mother.</param>
/// <param name="Count">How many, as far as counted.</param>
/// <param name="Party">What they are called; in their half, what the mother is.</param>
/// <param name="Place">Where they stand.</param>
/// <param name="HalfOf">The entry of the mother, in the half of the young; set by the application.</param>
/// <param name="Method">How they were counted; may be left out.</param>
public sealed record GaveBirth(
    Guid PartyId,
    int Count,
    string? Party,
    Place Place,
    Guid? HalfOf = null,
    CountMethod? Method = null
) : TwoPartyAct
{
    /// <inheritdoc/>
    public override EntryKind Kind() => GaveBirthEntry.It;

    /// <inheritdoc/>
    public override Guid? Other() => PartyId;

    /// <inheritdoc/>
    public override Guid? FirstHalf() => HalfOf;

    /// <inheritdoc/>
    public override bool BeganOther() => true;

    /// <inheritdoc/>
    public override IReadOnlyList<(Occurrence When, Act Act)> Beginning(
        Standing one,
        Occurrence happened,
        NightClock clock,
        GroupRules group
    )
    {
        var night = clock.NightOf(happened.To);
        var came = Occurrence.At(clock.StartOf(night));
        ArgumentNullException.ThrowIfNull(group);
        var young = GaveBirthEntry.Begin(one, Party ?? "", Count, night) with
        {
            MoltsAtArrival = GaveBirthEntry.MoltsBehind(group),
        };
        return [(came, new Acquired(young, Place)), .. Count > 1 ? GaveBirthEntry.HandedOn(one, came) : []];
    }

    /// <inheritdoc/>
    public override TwoPartyAct AsSecondHalf(Guid stockId, Guid firstHalf, string name) =>
        this with
        {
            PartyId = stockId,
            Party = name,
            HalfOf = firstHalf,
        };

    /// <inheritdoc/>
    public override TwoPartyAct AsFirstHalf(string? other) => this with { Party = other ?? Party, HalfOf = null };
}

/// <summary>A birth.</summary>
public sealed class GaveBirthEntry() : EntryDefinition<GaveBirth>("gaveBirth")
{
    /// <summary>The definition.</summary>
    public static GaveBirthEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new GaveBirth(Guid.Empty, 40, "Tansy's young", new Place("A", 1, 4)),
            new GaveBirth(Guid.Empty, 40, "Tansy's young", new Place("A", 1, 4), null, CountMethod.ByEye),
            new GaveBirth(Guid.Empty, 40, "Tansy", new Place("A", 1, 4), Guid.Empty),
        ];

    /// <summary>Molts behind young that come out of the sac or off her back by themselves: they do so when they hunt.</summary>
    internal static int MoltsBehind(GroupRules group) =>
        group.Nursery?.EatsFrom is { } eats ? Math.Max(0, eats.Value - group.InstarAtHatching) : 0;

    /// <summary>What was promised of young before they were there goes on with them.</summary>
    internal static IEnumerable<(Occurrence When, Act Act)> HandedOn(Standing mother, Occurrence when)
    {
        foreach (var promise in mother.HandOn.Promises)
        {
            yield return (when, new Promised(promise.To, promise.Count));
        }

        if (mother.HandOn.Cap is { } cap)
        {
            yield return (when, new Capped(cap.Count));
        }
    }

    /// <summary>What is known of young when their record begins.</summary>
    /// <param name="mother">Their mother.</param>
    /// <param name="name">What they are called.</param>
    /// <param name="count">How many; one is a specimen.</param>
    /// <param name="night">Night on which they came out.</param>
    internal static StockDetails Begin(Standing mother, string name, int count, DateOnly night)
    {
        ArgumentNullException.ThrowIfNull(mother);
        return mother.Details with
        {
            Kind = count == 1 ? StockKind.Specimen : StockKind.Brood,
            Nickname = name,
            Sex = Sex.Unknown,
            Count = count,
            AcquiredOn = night,
            AcquiredFrom = null,
            HatchedOn = night,
            MoltsAtArrival = 0,
            MatureAtArrival = false,
            Tags = null,
            Borrowed = null,
            Wild = null,
            MotherId = mother.StockId,
            FatherId = mother.PairingsNow.Select(p => p.PartnerId).Distinct().ToList() is [{ } father] ? father : null,
        };
    }

    /// <inheritdoc/>
    protected override Standing Fold(GaveBirth act, Standing standing, JournalEntry entry)
    {
        if (act.HalfOf is null)
        {
            var birth = new BirthEvent(entry.When.To, act.PartyId, act.Party ?? "", act.Count);
            var brooding = standing.Vigils.OpenOf(VigilKind.Young);
            var after = brooding is null
                ? standing
                : standing.WithWait(brooding, brooding with { Ended = entry.When, End = VigilEnd.AsHoped });
            return after.WithEggCase(entry.When).WithBirth(birth);
        }

        return standing with
        {
            // They are counted already as those that came.
            Counts =
            [
                standing.Counts[0] with
                {
                    EntryId = entry.Id,
                    Change = CountChange.Born,
                    Taken = act.Method is { } method ? new CountTaken(act.Count, Method: method) : null,
                },
                .. standing.Counts.Skip(1),
            ],
        };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(GaveBirth act, EntryAt at)
    {
        if (at.Standing is not { } standing || act.HalfOf is not null)
        {
            yield break;
        }

        if (standing.IsMany)
        {
            yield return new Problem("act.kind", "Young of many are logged as born among them.");
        }
        else if (standing.Details.Sex == Sex.Male)
        {
            yield return new Problem("act.kind", "A male has no young: mend the sex first if it was told wrong.");
        }

        foreach (var problem in EntryCheck.CheckText("act.party", act.Party, required: true, EntryCheck.LongestName))
        {
            yield return problem;
        }

        if (act.Count is < 1 or > EntryCheck.MostAnimals)
        {
            yield return new Problem("act.count", $"Must be 1 to {EntryCheck.MostAnimals}.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(GaveBirth act, RuleSet rules, Wording words)
    {
        var party = act.Party is { Length: > 0 } name ? name : "a stock of their own";
        return act.HalfOf is not null
            ? $"young of {party}"
            : $"{act.Count.ToString(CultureInfo.InvariantCulture)} young came out{(act.Method is { } method ? $" ({CountedEntry.Word(method)})" : "")}, now {party}";
    }

    /// <inheritdoc/>
    protected override bool IsNews(GaveBirth act) => act.HalfOf is null;

    /// <inheritdoc/>
    protected override bool IsToldTwice(GaveBirth act, GaveBirth other) => true;
}
