using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>It was put together with a mate.</summary>
/// <param name="PartnerId">The mate, when it is in the collection; the entry then stands in the journals of both.</param>
/// <param name="Partner">What the mate is called: of one in the collection its name is taken; 1–60 characters.</param>
/// <param name="Method">How; may be left out.</param>
/// <param name="Remark">What was seen; may be left out.</param>
/// <param name="Led">Whether the pairing is led as it goes: it stays open until its end is logged.</param>
/// <param name="DespiteKin">Confirmed although they are too near of kin, or of two lines; such a pairing is refused without.</param>
/// <param name="HalfOf">The entry of the mate of which this is the other half; set by the application.</param>
public sealed record Paired(
    Guid? PartnerId = null,
    string? Partner = null,
    PairingMethod? Method = null,
    string? Remark = null,
    bool? Led = null,
    bool? DespiteKin = null,
    Guid? HalfOf = null
) : MateAct(PartnerId, Partner, HalfOf)
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PairedEntry.It;
}

/// <summary>A pairing.</summary>
public sealed class PairedEntry() : EntryDefinition<Paired>("paired")
{
    /// <summary>The definition.</summary>
    public static PairedEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Paired(),
            new Paired(null, "a friend's male", PairingMethod.Watched),
            new Paired(Guid.Empty, "Bolt", PairingMethod.LeftTogether, "he drummed at once"),
            new Paired(Guid.Empty, "Bolt", PairingMethod.NetOvernight, Led: true),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Paired act, Standing standing, JournalEntry entry) =>
        PutTogether(act, standing, entry);

    /// <summary>The state after a pairing.</summary>
    internal static Standing PutTogether(Paired act, Standing standing, JournalEntry entry)
    {
        var pairing = new PairingEvent(
            entry.Id,
            entry.When.To,
            act.PartnerId,
            act.Partner,
            act.Method,
            act.Led == true,
            [],
            null
        );
        var paired = standing with { Pairings = [.. standing.Pairings, pairing] };
        return standing is { IsMany: false, Details.Sex: Sex.Female } ? Awaiting(paired, entry) : paired;
    }

    /// <summary>
    /// Of her, what is to come of it is awaited from then on. A second try widens the time at which it may have taken: nobody
    /// knows which of the two did.
    /// </summary>
    private static Standing Awaiting(Standing she, JournalEntry entry) =>
        she.Vigils.OpenOf(VigilKind.EggCase) is { } open
            ? she.WithWait(open, open with { Began = new Occurrence(open.Began.From, entry.When.To) })
            : she with
            {
                Vigils = she.Vigils with
                {
                    All = [.. she.Vigils.All, new VigilEvent(entry.Id, VigilKind.EggCase, entry.When, null, null)],
                },
            };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Paired act, EntryAt at) =>
        EntryCheck
            .CheckText("act.partner", act.Partner, required: false, EntryCheck.LongestName)
            .Concat(EntryCheck.CheckText("act.remark", act.Remark, required: false))
            .Concat(
                at is { Written: false, Standing: { } standing, Group: not null } && IsYoung(standing, at.Room)
                    ? [new Problem("act", NotAdult(standing))]
                    : []
            )
            .Concat(
                at is { Written: false, Standing.OpenPairing: { } open }
                    ? [new Problem("act.kind", TogetherAlready(at.Standing.Details.Nickname, open))]
                    : []
            );

    private static string TogetherAlready(string name, PairingEvent open) =>
        $"{name} is together with {open.Partner ?? "a mate"} now: log how that ended first.";

    /// <summary>
    /// Whether it is not adult by its record: its ultimate molt marks it, or where adults go on molting its size may. A crab's
    /// size says nothing of it, and of many some may be adult.
    /// </summary>
    private static bool IsYoung(Standing standing, Room room)
    {
        var subject = Subject.Of(standing, room);
        return !standing.IsMatureByRecord
            && !standing.IsMany
            && subject.Group.Growth.AdultsMolt.Value != AdultMolting.Both
            && StageReading.Of(subject, BodySize.Of(subject).Value).Value != Stage.Adult;
    }

    private static string NotAdult(Standing standing) =>
        $"{standing.Details.Nickname} is not adult by its record: mark its last molt as the one to adult first, if it was.";

    /// <inheritdoc/>
    protected override IEnumerable<Problem> CheckBoth(Paired act, EntryAt at, Standing other)
    {
        if (at.Standing is not { } standing)
        {
            yield break;
        }

        var (one, mate) = (standing.Details, other.Details);
        if (standing.StockId == other.StockId)
        {
            yield return new Problem("act.partnerId", "It is not paired with itself.");
        }
        else if (one.Group != mate.Group || one.SpeciesId != mate.SpeciesId || one.OtherSpecies != mate.OtherSpecies)
        {
            yield return new Problem("act.partnerId", $"{mate.Nickname} is of another species.");
        }
        else if (one.Sex != Sex.Unknown && one.Sex == mate.Sex)
        {
            var sex = one.Sex == Sex.Female ? "female" : "male";
            yield return new Problem(
                "act.partnerId",
                $"{mate.Nickname} is a {sex} too: mend the sex first if it was told wrong."
            );
        }
        else if (!at.Written && IsYoung(other, at.Room))
        {
            yield return new Problem("act.partnerId", NotAdult(other));
        }
        else if (!at.Written && other.OpenPairing is { } open && open.PartnerId != standing.StockId)
        {
            yield return new Problem("act.partnerId", TogetherAlready(mate.Nickname, open));
        }
        else if (!at.Written && other.Loan is { } loan)
        {
            yield return new Problem("act.partnerId", $"{mate.Nickname} is with {loan.To}.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Paired act, RuleSet rules, Wording words) =>
        $"put together with {(act.Partner is { Length: > 0 } partner ? partner : "a mate")}"
        + (act.Method is { } method ? $", {Word(method)}" : "")
        + (act.DespiteKin == true ? ", though near of kin or of two lines" : "")
        + (act.Remark is { Length: > 0 } remark ? $": {remark}" : "");

    /// <inheritdoc/>
    protected override bool IsHistory(Paired act) => true;

    /// <inheritdoc/>
    /// <remarks>A mate of the giver's own goes along by its name, as parents do; what was typed may name a person, and stays.</remarks>
    protected override Paired? ForPapers(Paired act) =>
        new(null, act.PartnerId is null ? null : act.Partner, act.Method);

    /// <inheritdoc/>
    protected override CareAct? Care(Paired act, Subject subject) => CareAct.Pair;

    /// <inheritdoc/>
    protected override bool IsNews(Paired act) => true;

    /// <summary>How they were put together, in words.</summary>
    internal static string Word(PairingMethod method) =>
        method switch
        {
            PairingMethod.Watched => "watched",
            PairingMethod.TubToTub => "tub to tub",
            PairingMethod.NetOvernight => "in the net overnight",
            PairingMethod.LeftTogether => "left together",
            PairingMethod.ThroughMesh => "through a mesh",
            _ => throw new ArgumentOutOfRangeException(nameof(method), method, "No words for such a method."),
        };

    /// <inheritdoc/>
    protected override bool IsToldTwice(Paired act, Paired other) => act.PartnerId == other.PartnerId;
}
