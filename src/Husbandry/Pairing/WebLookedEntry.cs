using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>Somebody looked for a sperm web of his.</summary>
/// <param name="Look">What it showed.</param>
/// <param name="SpinsAnyway">Share (0–1) of looks at which he had spun though he was not mated, as known then; may be left out.</param>
/// <param name="PartnerId">Whom he was paired with last, when she is in the collection and it tells of that.</param>
/// <param name="Partner">What she is called.</param>
/// <param name="HalfOf">The entry of his of which this is the other half; set by the application.</param>
public sealed record WebLooked(
    WebLook Look,
    double? SpinsAnyway = null,
    Guid? PartnerId = null,
    string? Partner = null,
    Guid? HalfOf = null
) : MateAct(PartnerId, Partner, HalfOf)
{
    /// <inheritdoc/>
    public override EntryKind Kind() => WebLookedEntry.It;
}

/// <summary>A look for a sperm web.</summary>
public sealed class WebLookedEntry() : EntryDefinition<WebLooked>("webLooked")
{
    /// <summary>The definition.</summary>
    public static WebLookedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            .. Enum.GetValues<WebLook>().Select(l => new WebLooked(l)),
            new WebLooked(WebLook.New, 0.2, Guid.Empty, "Tansy"),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(WebLooked act, Standing standing, JournalEntry entry)
    {
        var looked = act.HalfOf is null
            ? standing with
            {
                Webs = [.. standing.Webs, new WebEvent(entry.When.To, act.Look)],
            }
            : standing;
        // An old web that was cleared says nothing of the pairing; on hers it stands as what was seen of it.
        return act.PartnerId is null || act.Look == WebLook.OldCleared
            ? looked
            : looked.WithLastPairing(
                act.PartnerId,
                p =>
                    p with
                    {
                        Seen =
                        [
                            .. p.Seen,
                            new PairingMoment(
                                entry.Id,
                                entry.When.To,
                                act.Look == WebLook.New ? PairingSight.NewWeb : PairingSight.NoWeb,
                                null,
                                act.SpinsAnyway
                            ),
                        ],
                    }
            );
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(WebLooked act, EntryAt at)
    {
        if (act.SpinsAnyway is < 0 or > 1)
        {
            yield return new Problem("act.spinsAnyway", "Must be 0 to 1.");
        }

        if (at.Standing is not { } standing || act.HalfOf is not null)
        {
            yield break;
        }

        if (standing.Details.Sex == Sex.Female)
        {
            yield return new Problem(
                "act.kind",
                "A female spins no sperm web: mend the sex first if it was told wrong."
            );
        }
        else if (!at.Written && at.Room.Rules.Group(standing.Details.Group)?.Courtship?.SpermWeb.Value != true)
        {
            yield return new Problem("act.kind", "Males of this group spin no sperm web.");
        }

        if (act.PartnerId is not null)
        {
            foreach (var problem in PairingChecks.OfLast(at, act.PartnerId))
            {
                yield return problem;
            }
        }
    }

    /// <inheritdoc/>
    protected override string Say(WebLooked act, RuleSet rules, Wording words)
    {
        var mate = act.Partner is { Length: > 0 } partner ? $" after the pairing with {partner}" : "";
        return act.Look switch
        {
            WebLook.New => $"a new sperm web{mate}",
            WebLook.None => $"no new sperm web{mate}",
            WebLook.OldCleared => "an old sperm web, cleared away",
            _ => throw new ArgumentOutOfRangeException(nameof(act), act.Look, "No words for such a look."),
        };
    }

    /// <inheritdoc/>
    protected override RoundPart Round(WebLooked act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override bool IsNews(WebLooked act) => act.Look == WebLook.New && act.HalfOf is null;

    /// <inheritdoc/>
    protected override bool IsToldTwice(WebLooked act, WebLooked other) => true;
}
