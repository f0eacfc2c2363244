using Husbandry.Rooms;

namespace Husbandry.Pairing;

/// <summary>One line of a chart of kinship.</summary>
/// <param name="Id">The animal.</param>
/// <param name="Name">Its name.</param>
/// <param name="Mark">♀, ♂ or empty.</param>
/// <param name="Untold">Whether a parent of it is not on record and counts as unrelated.</param>
/// <param name="With">F of young (0–1) with each animal of the chart, in its order; none where that cannot be told.</param>
public sealed record KinLine(Guid Id, string Name, string Mark, bool Untold, IReadOnlyList<double?> With);

/// <summary>How near of kin the living animals of a species are, each with each.</summary>
/// <param name="Species">Scientific name.</param>
/// <param name="Lines">Animals, kin beside kin as far as their names and parents put them so.</param>
/// <param name="WarnAbove">F from which a pair is warned of.</param>
/// <param name="StopAbove">F from which it must be confirmed.</param>
/// <param name="LeftOut">How many more there are.</param>
public sealed record KinChart(
    string Species,
    IReadOnlyList<KinLine> Lines,
    double WarnAbove,
    double StopAbove,
    int LeftOut
)
{
    // More squares cannot be told apart on any screen.
    private const int Most = 40;

    /// <summary>The chart of some animals of one species.</summary>
    /// <param name="species">Scientific name.</param>
    /// <param name="animals">The animals, with their marks of sex.</param>
    /// <param name="pedigree">The pedigree of the room.</param>
    /// <param name="room">Rules.</param>
    public static KinChart Of(
        string species,
        IReadOnlyList<(Guid Id, string Name, string Mark)> animals,
        RoomPedigree pedigree,
        Room room
    )
    {
        var shown = animals.Take(Most).ToList();
        return new KinChart(
            species,
            [
                .. shown.Select(a => new KinLine(
                    a.Id,
                    a.Name,
                    a.Mark,
                    !pedigree.IsTold(a.Id),
                    [.. shown.Select(b => pedigree.Kinship(a.Id, b.Id))]
                )),
            ],
            room.Rules.Room.Pairing.KinWarnAbove.Value,
            room.Rules.Room.Pairing.KinStopAbove.Value,
            animals.Count - shown.Count
        );
    }
}
