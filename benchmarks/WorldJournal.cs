using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;
using Ledger;
using Worlds;

namespace Benchmarks;

/// <summary>Writes a made-up room into a journal as its keeper would have.</summary>
internal static class WorldJournal
{
    private static readonly DateTimeOffset Beginning = new(2015, 1, 1, 12, 0, 0, TimeSpan.Zero);

    /// <summary>The instant of a day of the world.</summary>
    public static DateTimeOffset At(double day) => Beginning.AddDays(day);

    /// <summary>The day of the world of an instant.</summary>
    public static double DayOf(DateTimeOffset at) => (at - Beginning).TotalDays;

    /// <summary>Id of an animal of a world.</summary>
    public static Guid IdOf(World world, int number) =>
        new(world.Seed, (short)(number + 1), (short)world.Habits.Name.Length, 1, 2, 3, 4, 5, 6, 7, (byte)number);

    /// <summary>The room as it stands when the record ends, its climate included.</summary>
    public static Room RoomOf(World world)
    {
        var room = Room.At(RuleSet.Shipped, RoomStore.Fresh with { ZoneId = "UTC" }, At(world.Days));
        return world.Readings.Count == 0
            ? room
            : room.With(RoomClimate.Of(world.Readings.Select(r => new ClimateReading(At(r.Day), r.Celsius))));
    }

    /// <summary>All entries of all animals.</summary>
    public static List<JournalEntry> Of(World world)
    {
        var entries = new List<JournalEntry>();
        foreach (var kept in world.Animals)
        {
            foreach (var note in kept.Notes)
            {
                foreach (var act in Acts(kept, note))
                {
                    entries.Add(
                        new JournalEntry(
                            Guid.NewGuid(),
                            IdOf(world, kept.Number),
                            0,
                            new Occurrence(At(note.NotBefore), At(note.At)),
                            At(note.At),
                            "Keeper",
                            null,
                            act
                        )
                    );
                }
            }
        }

        return [.. entries.OrderBy(e => e.WrittenAt).Select((e, i) => e with { Sequence = i + 1 })];
    }

    private static IEnumerable<Act> Acts(Kept kept, Note note)
    {
        var kind = kept.Life.Kind;
        switch (note.What)
        {
            case What.Came:
                yield return new Acquired(
                    new StockDetails(
                        StockKind.Specimen,
                        kind.Group,
                        kind.Species,
                        null,
                        $"Number {kept.Number}",
                        !kept.KnowsSex ? Sex.Unknown
                            : kept.Life.IsMale ? Sex.Male
                            : Sex.Female,
                        DateOnly.FromDateTime(At(kept.CameOn).DateTime),
                        null,
                        kept.MoltsAtArrival,
                        kept.CameAdult,
                        kept.HatchedOn is { } day ? DateOnly.FromDateTime(At(day).DateTime) : null,
                        1
                    ),
                    new Place("A", 1 + (kept.Number / 30), 1 + (kept.Number % 30))
                );
                break;
            case What.Molt:
                yield return new Molted(note.Detail == "adult");
                break;
            case What.Length:
                yield return new Measured(RuleSet.Shipped.Group(kind.Group)!.Growth.SizePart, note.Amount);
                break;
            case What.Meal or What.Refusal:
                yield return new Offered(
                    "cricket",
                    "small",
                    1,
                    Preparation.Live,
                    note.What == What.Meal ? OfferOutcome.Eaten : OfferOutcome.Fled,
                    note.What == What.Meal ? null : false
                );
                break;
            case What.Sign:
                yield return new SignSeen(note.Detail);
                break;
            case What.CleanLook:
                yield return new Looked();
                break;
            case What.Pupated:
                yield return new Began(VigilKind.Emergence);
                break;
            case What.Cold or What.Warm:
                yield return new Chilled(note.What == What.Cold);
                break;
            case What.Emerged:
                yield return new Ended(VigilKind.Emergence, VigilEnd.AsHoped);
                break;
            case What.Down:
                yield return new Began(VigilKind.Surfacing);
                break;
            case What.Up:
                yield return new Ended(VigilKind.Surfacing, VigilEnd.AsHoped);
                break;
            case What.Died or What.Sold:
                yield return new Departed(note.What == What.Died ? DepartureKind.Died : DepartureKind.Sold);
                break;
            default:
                throw new InvalidOperationException($"Nobody writes down {note.What}.");
        }
    }
}
