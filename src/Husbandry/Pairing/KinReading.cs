using Husbandry.Reasons;
using Husbandry.Rooms;

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

    /// <summary>Of two lines or localities, which are not mixed: only when confirmed.</summary>
    OtherLine,

    /// <summary>Not to be told, as the pedigree is wrong.</summary>
    Unclear,
}

/// <summary>An animal of which kinship is asked.</summary>
/// <param name="Id">The animal.</param>
/// <param name="Name">Its name.</param>
/// <param name="Line">The line or locality that it belongs to, where that is on record.</param>
public sealed record Kin(Guid Id, string Name, string? Line);

/// <summary>How near of kin two animals are, and whether they may be paired.</summary>
/// <param name="Word">In a word.</param>
/// <param name="Inbreeding">F of their young (0–1); none while the pedigree is wrong.</param>
/// <param name="Why">The same in a sentence, with its rule.</param>
public sealed record KinReading(KinWord Word, double? Inbreeding, Reason Why)
{
    /// <summary>Whether they are paired only when it is confirmed.</summary>
    public bool Stops => Word is KinWord.TooNear or KinWord.OtherLine or KinWord.Unclear;

    /// <summary>Reads the kinship of two from the pedigree of the room.</summary>
    /// <remarks>An unknown parent counts as unrelated and is said so. Source: common practice, no published source.</remarks>
    public static KinReading Of(Kin one, Kin other, RoomPedigree pedigree, Room room)
    {
        var rules = room.Rules.Room.Pairing;
        var f = pedigree.Kinship(one.Id, other.Id);
        var word =
            f is not { } known ? KinWord.Unclear
            : known >= rules.KinStopAbove.Value ? KinWord.TooNear
            : one.Line is { } line && other.Line is { } its && !Same(line, its) ? KinWord.OtherLine
            : known >= rules.KinWarnAbove.Value ? KinWord.Near
            : KinWord.Apart;
        var untold = new[] { one, other }.Where(c => !pedigree.IsTold(c.Id)).Select(c => c.Name).ToList();
        var besides =
            untold.Count > 0
                ? $" Parents of {string.Join(" and ", untold)} that are not known count as unrelated."
                : "";
        besides +=
            one.Line is null != other.Line is null
                ? $" The line of {(one.Line is null ? one : other).Name} is not on record."
                : "";
        var figure = f is { } value ? $"F {Wording.Plain(Math.Round(100 * value, 2))} %" : "";
        var text = word switch
        {
            KinWord.TooNear => $"Too near of kin: {figure} for their young. Stop, and confirm if it must be.{besides}",
            KinWord.OtherLine =>
                $"Two lines: {one.Name} is of {one.Line}, {other.Name} of {other.Line}. Their young would be of neither: stop, and confirm if it must be.{besides}",
            KinWord.Near => $"Near of kin: {figure} for their young.{besides}",
            KinWord.Apart when f > 0 => $"Distant kin: {figure} for their young.{besides}",
            KinWord.Apart when untold.Count > 0 => $"No kin on record.{besides}",
            KinWord.Apart => "No kin as far as their pedigree goes back.",
            KinWord.Unclear =>
                $"Kinship cannot be told: {string.Join(" ← ", pedigree.Loop)} is a loop in the pedigree.",
            _ => throw new ArgumentOutOfRangeException(nameof(pedigree), word, "No words for such kinship."),
        };
        return new KinReading(
            word,
            f,
            word == KinWord.TooNear
                ? rules.KinStopAbove.Because("Kinship", "room.kinStopAbove", text)
                : rules.KinWarnAbove.Because("Kinship", "room.kinWarnAbove", text)
        );
    }

    private static bool Same(string line, string other) =>
        string.Equals(line.Trim(), other.Trim(), StringComparison.OrdinalIgnoreCase);
}
