using Husbandry.Stock;

namespace Ledger.Intake;

/// <summary>Gives out free places in walking order: those of measured shelves, then on behind what stands there.</summary>
public sealed class FreePlaces
{
    private const int MostSlots = 999;

    private readonly HashSet<Place> taken;
    private readonly IEnumerator<Place> walk;

    /// <param name="taken">Places on which something stands.</param>
    /// <param name="layout">The furniture.</param>
    public FreePlaces(IEnumerable<Place> taken, RoomLayout layout)
    {
        this.taken = [.. taken];
        walk = Walk(this.taken.ToList(), layout).GetEnumerator();
    }

    /// <summary>Takes a place; false when something stands there.</summary>
    public bool Take(Place place) => taken.Add(place);

    /// <summary>The next free place, which is taken by that.</summary>
    public Place Next()
    {
        while (walk.MoveNext())
        {
            if (taken.Add(walk.Current))
            {
                return walk.Current;
            }
        }

        throw new InvalidOperationException("There is no end of places.");
    }

    private static IEnumerable<Place> Walk(List<Place> taken, RoomLayout layout)
    {
        // Not among new stock that stands apart: what is written down from a notebook is here already.
        foreach (var rack in layout.Racks)
        {
            foreach (var shelf in rack.Shelves.Where(s => !s.Quarantine))
            {
                for (var slot = 1; slot <= shelf.Slots; slot++)
                {
                    yield return new Place(rack.Rack, shelf.Number, slot);
                }
            }
        }

        var last = taken.Count == 0 ? new Place("A", 1, 1) : taken.Max()!;
        for (var (shelf, slot) = (last.Shelf, 1); ; slot++)
        {
            if (slot > MostSlots)
            {
                (shelf, slot) = (shelf + 1, 1);
            }

            yield return new Place(last.Rack, shelf, slot);
        }
    }
}
