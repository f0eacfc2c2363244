using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>Two that were together are parted, or one of them is no more.</summary>
/// <param name="Ending">How it ended.</param>
/// <param name="Remark">What else was seen; may be left out.</param>
/// <param name="PartnerId">The mate, when it is in the collection.</param>
/// <param name="Partner">What the mate is called.</param>
/// <param name="HalfOf">The entry of the mate of which this is the other half; set by the application.</param>
public sealed record PairingEnded(
    PairingEnding Ending,
    string? Remark = null,
    Guid? PartnerId = null,
    string? Partner = null,
    Guid? HalfOf = null
) : MateAct(PartnerId, Partner, HalfOf)
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PairingEndedEntry.It;
}

/// <summary>The end of a pairing.</summary>
public sealed class PairingEndedEntry() : EntryDefinition<PairingEnded>("pairingEnded")
{
    /// <summary>The definition.</summary>
    public static PairingEndedEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            .. Enum.GetValues<PairingEnding>().Select(e => new PairingEnded(e)),
            new PairingEnded(PairingEnding.MaleSafe, "he drank at once", Guid.Empty, "Bolt"),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(PairingEnded act, Standing standing, JournalEntry entry)
    {
        if (standing.OpenPairing is null)
        {
            return standing;
        }

        // Who stays with her goes on being together: it is asked every day how they fare, until they are parted.
        var ended = standing.WithLastPairing(
            act.PartnerId,
            p =>
                act.Ending == PairingEnding.LeftIn
                    ? p with
                    {
                        Method = PairingMethod.LeftTogether,
                    }
                    : p with
                    {
                        End = new PairingEnd(entry.When.To, act.Ending, act.Remark),
                    }
        );
        return act.Ending == PairingEnding.MaleEaten && standing is { Details.Sex: Sex.Male, IsMany: false }
            ? ended.Gone(entry, DepartureKind.Died, CountChange.Died, $"eaten by {act.Partner ?? "his mate"}")
            : ended;
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(PairingEnded act, EntryAt at)
    {
        foreach (var problem in EntryCheck.CheckText("act.remark", act.Remark, required: false))
        {
            yield return problem;
        }

        foreach (var problem in PairingChecks.OfLast(at, act.PartnerId))
        {
            yield return problem;
        }

        if (at is { Written: false, Standing: { OpenPairing: null, Pairings.Count: > 0 } standing })
        {
            yield return new Problem("act.kind", $"{standing.Details.Nickname} is not together with a mate now.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(PairingEnded act, RuleSet rules, Wording words)
    {
        var mate = act.Partner is { Length: > 0 } partner ? $" (with {partner})" : "";
        var remark = act.Remark is { Length: > 0 } told ? $": {told}" : "";
        return $"{Word(act.Ending)}{mate}{remark}";
    }

    /// <inheritdoc/>
    protected override RoundPart Round(PairingEnded act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override bool IsNews(PairingEnded act) => true;

    /// <inheritdoc/>
    protected override bool IsHistory(PairingEnded act) => true;

    /// <inheritdoc/>
    protected override bool IsToldTwice(PairingEnded act, PairingEnded other) => true;

    /// <summary>How it ended, for the journal.</summary>
    internal static string Word(PairingEnding ending) =>
        ending switch
        {
            PairingEnding.MaleSafe => "parted, he is safe",
            PairingEnding.MaleInjured => "parted, he is hurt",
            PairingEnding.MaleEaten => "she ate him",
            PairingEnding.LeftIn => "he stays with her",
            _ => throw new ArgumentOutOfRangeException(nameof(ending), ending, "No words for such an end."),
        };
}
