using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>How near of kin a pair is.</summary>
public enum KinWord
{
    /// <summary>Nothing on record stands against it.</summary>
    Apart,

    /// <summary>Near of kin: warned of.</summary>
    Near,

    /// <summary>Too near: only when confirmed.</summary>
    TooNear,

    /// <summary>Not to be told, as the pedigree is wrong.</summary>
    Unclear,
}

/// <summary>A female and a male of one species, and what speaks for and against them.</summary>
/// <param name="FemaleId">She.</param>
/// <param name="MaleId">He.</param>
/// <param name="Inbreeding">F of their young (0–1); none while the pedigree is wrong.</param>
/// <param name="Kin">What that means.</param>
/// <param name="Word">The lesser of both their readiness, and of their kinship.</param>
/// <param name="Says">The pair in a sentence.</param>
/// <param name="Why">Reasons.</param>
public sealed record PairChoice(
    Guid FemaleId,
    Guid MaleId,
    double? Inbreeding,
    KinWord Kin,
    ReadyWord Word,
    string Says,
    IReadOnlyList<Reason> Why
)
{
    /// <summary>Every pair of some candidates of one species, the best first.</summary>
    public static IReadOnlyList<PairChoice> Ranked(
        IReadOnlyList<Candidate> candidates,
        RoomPedigree pedigree,
        Room room
    ) =>
        [
            .. from she in candidates
            where she.Sex == Sex.Female
            from he in candidates
            where he.Sex == Sex.Male
            let pair = Of(she, he, pedigree, room)
            orderby pair.Kin is KinWord.TooNear or KinWord.Unclear, pair.Word, pair.Inbreeding, she.Race
                ?.Value
                .Best, she.Name, he.Name
            select pair,
        ];

    private static PairChoice Of(Candidate she, Candidate he, RoomPedigree pedigree, Room room)
    {
        var rules = room.Rules.Room.Pairing;
        var f = pedigree.Kinship(she.StockId, he.StockId);
        var kin =
            f is not { } known ? KinWord.Unclear
            : known >= rules.KinStopAbove.Value ? KinWord.TooNear
            : known >= rules.KinWarnAbove.Value ? KinWord.Near
            : KinWord.Apart;
        var word = she.Readiness.Word > he.Readiness.Word ? she.Readiness.Word : he.Readiness.Word;
        List<string> untold = [.. new[] { she, he }.Where(c => !pedigree.IsTold(c.StockId)).Select(c => c.Name)];
        var figure = f is { } value ? $"F {Wording.Plain(Math.Round(100 * value, 1))} %" : "";
        var kinText = kin switch
        {
            KinWord.TooNear => $"Too near of kin: {figure} for their young. Stop, and confirm if it must be.",
            KinWord.Near => $"Near of kin: {figure} for their young.",
            KinWord.Apart when untold.Count > 0 =>
                $"Counted as unrelated: parents of {string.Join(" and ", untold)} are not known.",
            KinWord.Apart => f > 0 ? $"Distant kin: {figure} for their young." : "Unrelated by their pedigree.",
            KinWord.Unclear =>
                $"Kinship cannot be told: {string.Join(" ← ", pedigree.Loop)} is a loop in the pedigree.",
            _ => throw new ArgumentOutOfRangeException(nameof(she), kin, "No words for such kinship."),
        };
        var rule = kin == KinWord.TooNear ? rules.KinStopAbove : rules.KinWarnAbove;
        var name = kin == KinWord.TooNear ? "room.kinStopAbove" : "room.kinWarnAbove";
        List<Reason> why = [rule.Because("Kinship", name, kinText)];
        foreach (var one in new[] { she, he }.Where(c => c.Readiness.Word != ReadyWord.Ready))
        {
            why.AddRange(
                one.Readiness.Checks.Where(c => c.Word == one.Readiness.Word)
                    .Select(c => c.Why with { Text = $"{one.Name}: {c.Why.Text}" })
            );
        }

        var says =
            kin is KinWord.TooNear or KinWord.Unclear || word == ReadyWord.Ready
                ? kinText
                : new[] { she, he }
                    .Where(c => c.Readiness.Word == word)
                    .Select(c => $"{c.Name}: {c.Readiness.Says}")
                    .First();
        return new PairChoice(she.StockId, he.StockId, f, kin, word, says, why);
    }
}
