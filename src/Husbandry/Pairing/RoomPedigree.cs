using Husbandry.Journal;

namespace Husbandry.Pairing;

/// <summary>The pedigree of everything that is or was in the room, by the parents on record.</summary>
public sealed class RoomPedigree
{
    private readonly Pedigree? pedigree;
    private readonly Dictionary<Guid, (Guid? Father, Guid? Mother)> parents;

    /// <param name="all">Everything that is or was in the room.</param>
    public RoomPedigree(IEnumerable<Standing> all)
    {
        var named = all.ToDictionary(s => s.StockId, s => (s.Details.Nickname, s.Details.FatherId, s.Details.MotherId));
        parents = named.ToDictionary(n => n.Key, n => (n.Value.FatherId, n.Value.MotherId));
        var (found, loop) = Pedigree.Of([
            .. parents.Select(p => new Parentage(Key(p.Key), Key(p.Value.Father), Key(p.Value.Mother))),
        ]);
        pedigree = found;
        Loop = [.. loop.Select(id => named[Guid.Parse(id)].Nickname)];
    }

    /// <summary>Who is recorded as an ancestor of itself, with those between; empty when nobody is.</summary>
    public IReadOnlyList<string> Loop { get; }

    /// <summary>Inbreeding of young that two would have (0–1); none while somebody is recorded as an ancestor of itself.</summary>
    public double? Kinship(Guid one, Guid other) => pedigree?.Kinship(Key(one), Key(other));

    /// <summary>Whether a parent of one of the two, or of its ancestors as far as they are told, is not known.</summary>
    public bool IsTold(Guid id) => parents.GetValueOrDefault(id) is { Father: not null, Mother: not null };

    private static string Key(Guid id) => id.ToString("N");

    private static string? Key(Guid? id) => id is { } known ? Key(known) : null;
}
