namespace Husbandry.Pairing;

/// <summary>Of whom an animal descends.</summary>
/// <param name="Id">The animal.</param>
/// <param name="Name">Its name.</param>
/// <param name="Father">Its father, where he is or was in the room.</param>
/// <param name="Mother">Its mother, likewise.</param>
public sealed record Descent(Guid Id, string Name, Guid? Father, Guid? Mother);

/// <summary>The pedigree of everything that is or was in the room, by the parents on record.</summary>
public sealed class RoomPedigree
{
    private readonly Pedigree? pedigree;
    private readonly Dictionary<Guid, Descent> all;

    /// <param name="all">Everything that is or was in the room.</param>
    public RoomPedigree(IEnumerable<Descent> all)
    {
        this.all = all.ToDictionary(d => d.Id);
        var (found, loop) = Pedigree.Of([
            .. this.all.Values.Select(d => new Parentage(Key(d.Id), Key(d.Father), Key(d.Mother))),
        ]);
        pedigree = found;
        Loop = [.. loop.Select(id => this.all[Guid.Parse(id)].Name)];
    }

    /// <summary>Who is recorded as an ancestor of itself, with those between; empty when nobody is.</summary>
    public IReadOnlyList<string> Loop { get; }

    /// <summary>Inbreeding of young that two would have (0–1); none while somebody is recorded as an ancestor of itself.</summary>
    public double? Kinship(Guid one, Guid other) => pedigree?.Kinship(Key(one), Key(other));

    /// <summary>Whether both parents of an animal are on record.</summary>
    public bool IsTold(Guid id) => all.GetValueOrDefault(id) is { Father: not null, Mother: not null };

    private static string Key(Guid id) => id.ToString("N");

    private static string? Key(Guid? id) => id is { } known ? Key(known) : null;
}
