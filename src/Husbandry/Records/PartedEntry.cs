using System.Globalization;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Trays;
using Husbandry.Vigils;

namespace Husbandry.Records;

/// <summary>Some of many were parted from them: kept as a stock of their own, or with others of their kind.</summary>
/// <param name="PartyId">Where they went; in the half of that stock, where they came from.</param>
/// <param name="Count">How many.</param>
/// <param name="Party">What that stock is called: of one in the collection its name is taken.</param>
/// <param name="Place">Where they stand, when the record of the other stock begins with them; none where it is there already.</param>
/// <param name="HalfOf">The entry of those that they were parted from, in the half of those that took them; set by the application.</param>
/// <param name="Vial">Of a brood in numbered vials: the vial that is empty now; then it is one animal.</param>
public sealed record Parted(
    Guid PartyId,
    int Count,
    string? Party = null,
    Place? Place = null,
    Guid? HalfOf = null,
    int? Vial = null
) : TwoPartyAct
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PartedEntry.It;

    /// <inheritdoc/>
    public override Guid? Other() => PartyId;

    /// <inheritdoc/>
    public override Guid? FirstHalf() => HalfOf;

    /// <inheritdoc/>
    public override bool BeganOther() => Place is not null;

    /// <inheritdoc/>
    public override IReadOnlyList<(Occurrence When, Act Act)> Beginning(
        Standing one,
        Occurrence happened,
        NightClock clock,
        GroupRules group
    ) => Place is { } place ? PartedEntry.Begin(one, this, place, happened, clock) : [];

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

/// <summary>Some parted from many, or taken over from another stock.</summary>
public sealed class PartedEntry() : EntryDefinition<Parted>("parted")
{
    /// <summary>The definition.</summary>
    public static PartedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Parted(Guid.Empty, 2, "tray 2"),
            new Parted(Guid.Empty, 3, "tray 2", new Place("A", 1, 4)),
            new Parted(Guid.Empty, 1, "Tansy 7", new Place("A", 1, 4), Vial: 1),
            new Parted(Guid.Empty, 2, "the sac", HalfOf: Guid.Empty),
        ];

    /// <summary>Whether some can be parted from it: not from one animal, nor from ants, whose workers live by their queen.</summary>
    public static bool MayBeParted(GroupRules group, Standing standing)
    {
        ArgumentNullException.ThrowIfNull(group);
        ArgumentNullException.ThrowIfNull(standing);
        return standing.Details.Count > 1 && standing.IsMany && group.Feeding.Diet != Diet.SugarAndProtein;
    }

    /// <summary>
    /// The beginning of the record of some of many. They were with the others from the first night: what holds for all of
    /// them goes with them, so that eggs stay eggs, pupae are not fed and a fresh skin is left to harden.
    /// </summary>
    internal static IReadOnlyList<(Occurrence When, Act Act)> Begin(
        Standing from,
        Parted act,
        Place place,
        Occurrence happened,
        NightClock clock
    )
    {
        var (growth, vigils, details) = (from.Growth, from.Vigils, from.Details);
        // Pupating is told by the wait that begins with it.
        var waits = vigils.Open.Where(w => w.Count is null).ToList();
        var molt = growth.LastMolt is { } last && waits.All(w => w.Id != last.EntryId) ? last : null;
        var pupated = growth.LastMolt is { } skin && molt is null && waits.Count > 0 ? skin : null;
        var told = (molt ?? pupated) is { } one && one.When.To >= from.ArrivedAt ? 1 : 0;
        var own = details with
        {
            Kind =
                details.Kind == StockKind.Colony ? StockKind.Colony
                : act.Count == 1 ? StockKind.Specimen
                : StockKind.Brood,
            Nickname = act.Party ?? "",
            Count = act.Count,
            AcquiredFrom = details.Nickname,
            MoltsAtArrival = from.MoltsInLife - told,
            MatureAtArrival = from.IsMatureByRecord,
        };
        var begun = new List<(Occurrence When, Act Act)>();
        if (molt is not null)
        {
            begun.Add((molt.When, new Molted(molt.Ultimate, molt.Mismolt)));
        }

        // What its vial was ahead of the others goes with it.
        if (act.Vial is { } vial && from.Tray.Molted.FirstOrDefault(v => v.Number == vial) is { } ahead)
        {
            begun.AddRange(Enumerable.Repeat((Occurrence.At(ahead.At), (Act)new Molted()), ahead.Molts));
        }

        begun.AddRange(waits.Select(w => (w.Began, (Act)new Began(w.Vigil, act.Count == 1 ? null : act.Count))));
        if (vigils.Chill is { To: null } chill)
        {
            begun.Add((Occurrence.At(chill.From), new Chilled(true)));
        }

        // They go on with the plant they began on, and are watched like those they come from.
        if (from.Feeding.Host is { } host)
        {
            begun.Add((Occurrence.At(host.At), new HostChosen(host.Plant, host.Anyway)));
        }

        if (vigils.Sick is { } sick)
        {
            begun.Add((Occurrence.At(sick.At), new SickSeen(sick.Signs)));
        }

        begun.AddRange(
            from.SignsNow.Where(sign => sign.Count is null)
                .Select(sign => (Occurrence.At(sign.At), (Act)new SignSeen(sign.SignId)))
        );
        return
        [
            (Occurrence.At(clock.StartOf(details.AcquiredOn)), new Acquired(own, from.OwnPlace)),
            .. begun.OrderBy(b => b.When.To),
            (happened, new Moved(place)),
        ];
    }

    /// <inheritdoc/>
    protected override Standing Fold(Parted act, Standing standing, JournalEntry entry)
    {
        if (act.HalfOf is null)
        {
            return standing
                .WithCount(entry, CountChange.Parted, standing.Details.Count - act.Count, With(act))
                .WithoutVial(act.Vial);
        }

        if (!act.BeganOther())
        {
            return standing.WithCount(entry, CountChange.TakenOver, standing.Details.Count + act.Count, With(act));
        }

        // They are counted already as those that came.
        var came = standing.Counts[0] with
        {
            EntryId = entry.Id,
            At = entry.When.To,
            Change = CountChange.TakenOver,
            Party = new CountParty(act.PartyId, act.Party ?? ""),
        };
        return standing with { Counts = [came, .. standing.Counts.Skip(1)] };
    }

    private static Func<CountEvent, CountEvent> With(Parted act) =>
        c => c with { Party = new CountParty(act.PartyId, act.Party ?? "") };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Parted act, EntryAt at)
    {
        if (at.Standing?.Details is not { } details || act.HalfOf is not null)
        {
            yield break;
        }

        if (at.Group is { } group && !MayBeParted(group, at.Standing))
        {
            yield return new Problem(
                "act.count",
                details.Count == 1
                    ? "One animal cannot be parted."
                    : "An ant colony is not parted: workers without their queen found nothing."
            );
        }
        else if (act.Count < 1 || act.Count >= details.Count)
        {
            yield return new Problem(
                "act.count",
                $"Must be 1 to {Math.Max(1, details.Count - 1)}: at least one stays. If all go together, move them."
            );
        }

        if (act.Vial is { } vial)
        {
            foreach (var problem in VialNumbers.Check("act.vial", [vial], at.Standing))
            {
                yield return problem;
            }

            if (act.Count != 1)
            {
                yield return new Problem("act.count", "From one vial it is one animal.");
            }
        }

        foreach (var problem in EntryCheck.CheckText("act.party", act.Party, act.BeganOther(), EntryCheck.LongestName))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> CheckBoth(Parted act, EntryAt at, Standing other)
    {
        if (at.Standing is not { } standing || act.HalfOf is not null)
        {
            yield break;
        }

        if (standing.StockId == other.StockId)
        {
            yield return new Problem("act.partyId", "They cannot be put with themselves.");
        }
        else if (!standing.Details.Species.Equals(other.Details.Species))
        {
            yield return new Problem("act.partyId", $"{other.Details.Nickname} is of another species.");
        }
        else if (!act.BeganOther() && !(other.IsMany && !other.IsTank))
        {
            yield return new Problem(
                "act.partyId",
                $"{other.Details.Nickname} is one animal: mend its details first if more are to live with it."
            );
        }
        else if (!act.BeganOther() && !WaitsOfAll(standing).SetEquals(WaitsOfAll(other)))
        {
            yield return new Problem(
                "act.partyId",
                $"{other.Details.Nickname} waits for something else: what is awaited of all holds for those that come too. Keep them apart, or mend the waits first."
            );
        }
        else if (!at.Written && !act.BeganOther() && Hardens(standing, at))
        {
            yield return new Problem(
                "act.partyId",
                $"{standing.Details.Nickname} molted lately and is still hardening; {other.Details.Nickname} would be told to feed. Part them when they have eaten, or into a record of their own."
            );
        }
    }

    private static HashSet<VigilKind> WaitsOfAll(Standing standing) =>
        [.. standing.Vigils.Open.Where(w => w.Count is null).Select(w => w.Vigil)];

    private static bool Hardens(Standing standing, EntryAt at)
    {
        var subject = Subject.Of(standing, at.Room);
        var size = BodySize.Of(subject).Value;
        return FirstMeal.Of(subject, StageReading.Of(subject, size).Value, size).Value is { } first
            && first.Night > at.Room.Clock.NightOf(at.When.To);
    }

    /// <inheritdoc/>
    protected override string Say(Parted act, RuleSet rules, Wording words)
    {
        var count = act.Count.ToString(CultureInfo.InvariantCulture);
        var party = act.Party is { Length: > 0 } name ? name : "another stock";
        return act.HalfOf is not null ? $"{count} taken over from {party}"
            : act.Vial is { } vial ? $"vial {vial} has a record of its own now: {party}"
            : act.BeganOther() ? $"{count} parted, now {party}"
            : $"{count} parted and put with {party}";
    }

    /// <summary>Whoever is parted is picked up and put elsewhere.</summary>
    protected override CareAct? Care(Parted act, Subject subject) => act.HalfOf is null ? CareAct.Rehouse : null;

    /// <inheritdoc/>
    protected override bool IsNews(Parted act) => act.HalfOf is null;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Parted act, Parted other) => true;
}
