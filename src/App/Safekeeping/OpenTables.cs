using System.Globalization;
using System.Text;
using App.Hosting;
using App.Larder;
using CsvHelper;
using CsvHelper.Configuration;
using Husbandry.Chores;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Ledger;
using Ledger.Intake;

namespace App.Safekeeping;

/// <summary>Writes tables as CSV (RFC 4180, UTF-8); cells that a spreadsheet would take for a formula are made harmless.</summary>
public sealed class OpenTables(
    RoomNow now,
    JournalReader reader,
    LarderPlanner planner,
    ChoreStore chores,
    ContactStore contacts
)
{
    private const string Id = "urn:uuid:";

    /// <summary>A table.</summary>
    public async Task<byte[]> WriteAsync(OpenTable table, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        IReadOnlyList<Glance> all = [.. index.Here, .. index.Gone];
        return table switch
        {
            OpenTable.Stock => Csv(all.Select(StockOf)),
            OpenTable.Larder => Csv(await LarderAsync(room, cancel)),
            OpenTable.Chores => Csv((await chores.StandingAsync(cancel)).Chores.Select(ChoreOf)),
            OpenTable.Gear => Csv((await chores.StandingAsync(cancel)).Gear.SelectMany(GearOf)),
            OpenTable.Contacts => Csv(
                (await contacts.BookAsync(cancel)).Contacts.Select(c => new ContactTableLine(c.Name, c.Note))
            ),
            OpenTable.Occurrences => Csv(all.Select(OccurrenceOf)),
            OpenTable.Journal => Csv((await EntriesAsync(cancel)).Select(e => JournalOf(e, index, room))),
            OpenTable.Events => Csv((await EntriesAsync(cancel)).Select(e => EventOf(e, room))),
            _ => throw new ArgumentOutOfRangeException(nameof(table), table, "No such table."),
        };
    }

    private async Task<IReadOnlyList<LarderTableLine>> LarderAsync(Room room, CancellationToken cancel)
    {
        var (plan, _, larder) = await planner.PlanAsync(room, cancel);
        var foods = plan
            .Foods.Where(f => f.CountedOn is not null)
            .Select(f => new LarderTableLine(
                "food",
                room.Rules.Feeder(f.Food.FeederId)!.Plural,
                room.Rules.Feeder(f.Food.FeederId)!.Class(f.Food.SizeClassId)!.Name,
                Math.Round(f.OnHand),
                null,
                null
            ));
        var cultures = larder.StandingCultures.Select(c => new LarderTableLine(
            c.IsCold ? "culture in the cold" : "culture",
            room.Rules.Feeder(c.FeederId)?.Plural ?? c.FeederId,
            "",
            c.Pots,
            Day(c.WarmSince(room.Clock, room.Now)),
            null
        ));
        var goods = plan
            .Goods.Where(g => g.CountedOn is not null)
            .Select(g => new LarderTableLine(
                "goods",
                g.Name,
                "",
                g.OnHand is { } left ? Math.Round(left, 1) : null,
                null,
                null
            ));
        var plants = larder
            .Plants.Where(p => p.IsThere)
            .Select(p => new LarderTableLine(
                p.Form == PlantForm.Site ? "plant outside"
                    : p.Form == PlantForm.Cut ? "cut leaf"
                    : "plant in a pot",
                p.Plant,
                p.Leaf.ToString().ToLowerInvariant(),
                p.Form == PlantForm.Site ? null : Math.Round(p.GramsOn(room.Now, room.Rules.Room.Plants)),
                Day(room.Clock.NightOf(p.Since)),
                p.Where
            ));
        return [.. foods, .. cultures, .. goods, .. plants];
    }

    private static ChoreTableLine ChoreOf(Chore chore) =>
        new(
            chore.Plan.Title,
            chore.Plan.Where,
            chore.Plan.Kind.ToString(),
            chore.Plan.EveryDays,
            Day(chore.Plan.Starts),
            chore.Plan.Season is { } season ? ChoreReader.Tell(season) : null,
            chore.Plan.Kit,
            chore.Plan.Minutes,
            chore.LastDone is { } done ? Day(done) : null
        );

    private static IEnumerable<GearTableLine> GearOf(Gear gear) =>
        gear.Bookings.Count == 0
            ? [new GearTableLine(gear.Name, null, null, null)]
            : gear.Bookings.Select(b => new GearTableLine(gear.Name, Day(b.From), Day(b.To), b.For));

    private async Task<IReadOnlyList<JournalEntry>> EntriesAsync(CancellationToken cancel) =>
        [.. Chronicle.Effective(await reader.ReadSinceAsync(DateTimeOffset.MinValue, cancel))];

    private static byte[] Csv<T>(IEnumerable<T> lines)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        var form = new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape };
        using (var csv = new CsvWriter(text, form))
        {
            foreach (var name in typeof(T).GetProperties().Select(p => p.Name))
            {
                // Terms begin small, as JSON does.
                csv.WriteField(char.ToLowerInvariant(name[0]) + name[1..]);
            }

            csv.NextRecord();
            foreach (var line in lines)
            {
                csv.WriteRecord(line);
                csv.NextRecord();
            }
        }

        return Encoding.UTF8.GetBytes(text.ToString());
    }

    private static StockLine StockOf(Glance g) =>
        new(
            g.StockId,
            g.Where.Place.Code,
            g.Who.Name,
            g.Who.Species,
            g.Who.Group,
            g.Who.Kind.ToString(),
            g.Who.Sex.ToString(),
            g.Who.Stage.ToString(),
            g.Who.Instar,
            g.Who.Count,
            Day(g.Who.Came),
            g.Waits.LastMolt is { } molt ? Day(molt) : null,
            g.Waits.Molts,
            g.Care.LastMeal is { } meal ? Day(meal) : null,
            g.Where.LeftOn is { } left ? Day(left) : null
        );

    private static JournalLine JournalOf(JournalEntry entry, StockIndex index, Room room) =>
        new(
            entry.Id,
            entry.StockId,
            index.Find(entry.StockId)?.Who.Name ?? "",
            Day(room.Clock.NightOf(entry.When.To)),
            Instant(entry.When.From),
            Instant(entry.When.To),
            Instant(entry.WrittenAt),
            entry.WrittenBy,
            EntryDefinition.Of(entry.Act).Id,
            Says(entry, room)
        );

    private static OccurrenceLine OccurrenceOf(Glance g)
    {
        var parents = new[] { g.Who.MotherId, g.Who.FatherId }.OfType<Guid>().Select(p => $"offspring of {Id}{p}");
        return new OccurrenceLine(
            $"{Id}{g.StockId}",
            "LivingSpecimen",
            g.Who.Species,
            g.Who.Count,
            g.Who.Sex.ToString().ToLowerInvariant(),
            g.Who.Instar ?? g.Who.Stage.ToString(),
            "captive",
            Day(g.Who.Came),
            g.Who.FoundAt,
            string.Join(" | ", parents) is { Length: > 0 } of ? of : null,
            g.IsHere ? "present" : "absent"
        );
    }

    private static EventLine EventOf(JournalEntry entry, Room room) =>
        new(
            $"{Id}{entry.Id}",
            $"{Id}{entry.StockId}",
            EntryDefinition.Of(entry.Act).Id,
            entry.When.From == entry.When.To
                ? Instant(entry.When.To)
                : $"{Instant(entry.When.From)}/{Instant(entry.When.To)}",
            entry.WrittenBy,
            Says(entry, room)
        );

    private static string Says(JournalEntry entry, Room room) =>
        EntryDefinition.Of(entry.Act).Say(entry.Act, room.Rules, room.Wording);

    private static string Day(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    private static string Instant(DateTimeOffset at) =>
        at.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", CultureInfo.InvariantCulture);
}
