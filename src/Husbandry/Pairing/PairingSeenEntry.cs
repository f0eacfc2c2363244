using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>Something was seen while two are together, or of her afterwards.</summary>
/// <param name="Sight">What.</param>
/// <param name="Minutes">How long it lasted, 1–1440; none for most.</param>
/// <param name="PartnerId">The mate, when it is in the collection.</param>
/// <param name="Partner">What the mate is called.</param>
/// <param name="HalfOf">The entry of the mate of which this is the other half; set by the application.</param>
public sealed record PairingSeen(
    PairingSight Sight,
    int? Minutes = null,
    Guid? PartnerId = null,
    string? Partner = null,
    Guid? HalfOf = null
) : MateAct(PartnerId, Partner, HalfOf)
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PairingSeenEntry.It;
}

/// <summary>Something seen of a pairing.</summary>
public sealed class PairingSeenEntry() : EntryDefinition<PairingSeen>("pairingSeen")
{
    /// <summary>The definition.</summary>
    public static PairingSeenEntry It { get; } = new();

    private const int MostMinutes = 1440;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            .. Enum.GetValues<PairingSight>().Select(s => new PairingSeen(s)),
            new PairingSeen(PairingSight.Insertion, 4, Guid.Empty, "Bolt"),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(PairingSeen act, Standing standing, JournalEntry entry) =>
        standing.WithLastPairing(
            act.PartnerId,
            p => p with { Seen = [.. p.Seen, new PairingMoment(entry.Id, entry.When.To, act.Sight, act.Minutes)] }
        );

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(PairingSeen act, EntryAt at)
    {
        if (act.Minutes is < 1 or > MostMinutes)
        {
            yield return new Problem("act.minutes", $"Must be 1 to {MostMinutes}.");
        }

        foreach (var problem in PairingChecks.OfLast(at, act.PartnerId))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(PairingSeen act, RuleSet rules, Wording words)
    {
        var minutes = act.Minutes is { } m ? $", {m.ToString(CultureInfo.InvariantCulture)} min" : "";
        var mate = act.Partner is { Length: > 0 } partner ? $" (with {partner})" : "";
        return $"{SightWords.Of(act.Sight).Past}{minutes}{mate}";
    }

    /// <inheritdoc/>
    protected override bool IsHistory(PairingSeen act) => true;
}

/// <summary>What is asked of everything that is told of a pairing.</summary>
internal static class PairingChecks
{
    /// <summary>Whether there is a pairing of which it can be told, and when.</summary>
    /// <param name="at">Where it is told.</param>
    /// <param name="partner">The mate that is named, if one is.</param>
    public static IEnumerable<Problem> OfLast(EntryAt at, Guid? partner)
    {
        if (at is not { Written: false, Standing: { } standing })
        {
            yield break;
        }

        if (standing.Pairings is not [.., var last])
        {
            yield return new Problem(
                "act.kind",
                $"{standing.Details.Nickname} was not put together with a mate: log that first."
            );
        }
        else if (partner is { } named && named != Guid.Empty && last.PartnerId is { } mate && mate != named)
        {
            yield return new Problem("act.partnerId", $"The last pairing was with {last.Partner ?? "another mate"}.");
        }
        else if (at.When.To < last.At)
        {
            yield return new Problem("when.to", "Must not lie before they were put together.");
        }
    }
}
