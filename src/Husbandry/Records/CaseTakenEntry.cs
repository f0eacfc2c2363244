using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Records;

/// <summary>An egg case, a clutch or an ootheca was taken from its mother and is kept apart, with a record of its own.</summary>
/// <param name="PartyId">The egg case; in its half, the mother.</param>
/// <param name="Party">What it is called; in its half, what the mother is.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="LaidFrom">The earliest that it can have been laid; on the night it was taken when left out, or when she began to brood.</param>
/// <param name="LaidTo">The latest.</param>
/// <param name="Kept">How it is kept; may be left out.</param>
/// <param name="Eggs">Eggs, as far as counted; none while nobody knows.</param>
/// <param name="HalfOf">The entry of the mother, in the half of the egg case; set by the application.</param>
public sealed record CaseTaken(
    Guid PartyId,
    string? Party,
    Place Place,
    DateOnly? LaidFrom = null,
    DateOnly? LaidTo = null,
    Incubation? Kept = null,
    int? Eggs = null,
    Guid? HalfOf = null
) : TwoPartyAct
{
    /// <inheritdoc/>
    public override EntryKind Kind() => CaseTakenEntry.It;

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
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(clock);
        var brooding = one.Vigils.OpenOf(VigilKind.Young)?.Began;
        var laid = (LaidFrom, LaidTo) switch
        {
            (null, null) => brooding ?? happened,
            var (from, to) => new Occurrence(
                clock.EveningOf((from ?? to)!.Value),
                clock.EveningOf((to ?? from)!.Value)
            ),
        };
        var night = clock.NightOf(laid.From);
        return
        [
            (Occurrence.At(clock.StartOf(night)), new Acquired(CaseTakenEntry.Begin(one, this, night), Place)),
            (laid.To <= happened.To ? laid : happened, new Began(VigilKind.Hatching)),
            .. GaveBirthEntry.HandedOn(one, happened),
        ];
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

/// <summary>An egg case taken from its mother.</summary>
public sealed class CaseTakenEntry() : EntryDefinition<CaseTaken>("caseTaken")
{
    private const double ColdestC = 5;
    private const double WarmestC = 40;
    private const double OftenestDays = 0.25;
    private const double SeldomestDays = 30;

    /// <summary>The definition.</summary>
    public static CaseTakenEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new CaseTaken(Guid.Empty, "Tansy's sac", new Place("A", 1, 4)),
            new CaseTaken(Guid.Empty, "Tansy", new Place("A", 1, 4), HalfOf: Guid.Empty),
            new CaseTaken(
                Guid.Empty,
                "Tansy's sac",
                new Place("A", 1, 4),
                new DateOnly(2026, 10, 2),
                new DateOnly(2026, 10, 5),
                new Incubation(26.5, Moisture.Damp, 1),
                80
            ),
        ];

    /// <summary>Whether an egg case can be taken from her.</summary>
    public static bool MayBeTaken(Subject she)
    {
        ArgumentNullException.ThrowIfNull(she);
        return !she.IsMany && she.Group.Knows(VigilKind.Hatching) && she.Standing.Details.Sex != Sex.Male;
    }

    /// <summary>What is known of an egg case when its record begins.</summary>
    internal static StockDetails Begin(Standing mother, CaseTaken act, DateOnly night) =>
        GaveBirthEntry.Begin(mother, act.Party ?? "", act.Eggs ?? 1, night) with
        {
            Kind = StockKind.Brood,
            HatchedOn = null,
        };

    /// <inheritdoc/>
    protected override Standing Fold(CaseTaken act, Standing standing, JournalEntry entry)
    {
        if (act.HalfOf is not null)
        {
            return standing with { Kept = new KeptCase(act.PartyId, act.Party ?? "", act.Kept) };
        }

        var brooding = standing.Vigils.OpenOf(VigilKind.Young);
        var after = brooding is null
            ? standing
            : standing.WithWait(brooding, brooding with { Ended = entry.When, End = VigilEnd.CutShort });
        return after
            .WithEggCase(entry.When)
            .WithBirth(new BirthEvent(entry.When.To, act.PartyId, act.Party ?? "", act.Eggs ?? 0));
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(CaseTaken act, EntryAt at)
    {
        if (at.Standing is not { } standing || act.HalfOf is not null)
        {
            yield break;
        }

        if (!at.Written && !MayBeTaken(Subject.Of(standing, at.Room)))
        {
            yield return new Problem(
                "act.kind",
                standing.Details.Sex == Sex.Male
                    ? "A male has no eggs: mend the sex first if it was told wrong."
                    : $"No eggs of a {at.Group?.One} are kept apart from their mother."
            );
        }

        foreach (var problem in EntryCheck.CheckText("act.party", act.Party, required: true, EntryCheck.LongestName))
        {
            yield return problem;
        }

        if (act.Eggs is < 1 or > EntryCheck.MostAnimals)
        {
            yield return new Problem("act.eggs", $"Must be 1 to {EntryCheck.MostAnimals}, or left out.");
        }

        var taken = at.Room.Clock.NightOf(at.When.To);
        if (act.LaidTo > taken || act.LaidFrom > taken)
        {
            yield return new Problem(
                act.LaidTo > taken ? "act.laidTo" : "act.laidFrom",
                $"Must not lie after the night on which it was taken, {at.Room.Wording.Date(taken)}."
            );
        }

        if (act.LaidFrom > act.LaidTo)
        {
            yield return new Problem(
                "act.laidFrom",
                "Must not lie after the latest night on which it can have been laid."
            );
        }

        if (act.Kept?.Celsius is { } celsius && !(celsius is >= ColdestC and <= WarmestC))
        {
            yield return new Problem("act.kept.celsius", $"Must be {ColdestC} to {WarmestC} °C.");
        }

        if (act.Kept?.TurnedEveryDays is { } days && !(days is >= OftenestDays and <= SeldomestDays))
        {
            yield return new Problem(
                "act.kept.turnedEveryDays",
                string.Create(CultureInfo.InvariantCulture, $"Must be {OftenestDays} to {SeldomestDays} days.")
            );
        }
    }

    /// <summary>How it is kept, in words; empty where nothing is said.</summary>
    public static string Text(Incubation? kept) =>
        string.Join(
            ", ",
            new[]
            {
                kept?.Celsius is { } celsius ? $"at {Wording.Plain(celsius)} °C" : "",
                kept?.Moisture switch
                {
                    Moisture.Damp => "damp",
                    Moisture.Dry => "dry",
                    _ => "",
                },
                kept?.TurnedEveryDays switch
                {
                    null => "",
                    1 => "turned daily",
                    { } days => $"turned every {Wording.Days(days)}",
                },
            }.Where(part => part.Length > 0)
        );

    /// <inheritdoc/>
    protected override string Say(CaseTaken act, RuleSet rules, Wording words)
    {
        var party = act.Party is { Length: > 0 } name ? name : "a record of its own";
        var kept = Text(act.Kept) is { Length: > 0 } how ? $", {how}" : "";
        return act.HalfOf is not null ? $"taken from {party}{kept}" : $"eggs taken and kept apart, now {party}{kept}";
    }

    /// <summary>Who guards her eggs is disturbed by it.</summary>
    protected override CareAct? Care(CaseTaken act, Subject subject) =>
        act.HalfOf is null && subject.AllWaitFor(VigilKind.Young) ? CareAct.Dig : null;

    /// <inheritdoc/>
    protected override bool IsNews(CaseTaken act) => act.HalfOf is null;

    /// <inheritdoc/>
    protected override bool IsToldTwice(CaseTaken act, CaseTaken other) => true;
}
