using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>A female and a male of one species, and what speaks for and against them.</summary>
/// <param name="FemaleId">She.</param>
/// <param name="MaleId">He.</param>
/// <param name="Kin">How near of kin they are.</param>
/// <param name="Word">The lesser of both their readiness; kinship stops a pair whatever it is.</param>
/// <param name="Meeting">Whether they will be adult together; none where both are, or it cannot be told.</param>
/// <param name="Says">The pair in a sentence.</param>
/// <param name="Why">Reasons.</param>
public sealed record PairChoice(
    Guid FemaleId,
    Guid MaleId,
    KinReading Kin,
    ReadyWord Word,
    Meeting? Meeting,
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
            orderby pair.Kin.Stops, pair.Word, -(pair.Meeting?.Chance ?? 1), pair.Kin.Inbreeding, she.Race
                ?.Value
                .Best, she.Name, he.Name
            select pair,
        ];

    private static PairChoice Of(Candidate she, Candidate he, RoomPedigree pedigree, Room room)
    {
        var kin = KinReading.Of(she.Kin, he.Kin, pedigree, room);
        var word = she.Readiness.Word > he.Readiness.Word ? she.Readiness.Word : he.Readiness.Word;
        List<Reason> why = [kin.Why];
        foreach (var one in new[] { she, he }.Where(c => c.Readiness.Word != ReadyWord.Ready))
        {
            why.AddRange(
                one.Readiness.Checks.Where(c => c.Word == one.Readiness.Word)
                    .Select(c => c.Why with { Text = $"{one.Name}: {c.Why.Text}" })
            );
        }

        var says =
            kin.Stops || word == ReadyWord.Ready
                ? kin.Why.Text
                : new[] { she, he }
                    .Where(c => c.Readiness.Word == word)
                    .Select(c => $"{c.Name}: {c.Readiness.Says}")
                    .First();
        var meeting = Meeting.Of(she, he, room.Rules.Room.Pairing);
        if (meeting is not null)
        {
            var rule = room.Rules.Room.Pairing.MeetNights;
            why.Add(
                rule.Because(
                    "Adult together",
                    "room.meetNights",
                    $"{meeting.Says} For {Wording.Nights(rule.Value)} at least, by their molts to come and the life of adults."
                )
            );
        }

        return new PairChoice(she.StockId, he.StockId, kin, word, meeting, says, why);
    }
}
