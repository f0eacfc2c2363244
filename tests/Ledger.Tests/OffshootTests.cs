using Husbandry.Contacts;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Ledger.Tests;

/// <summary>What begins with an entry of another: young of a mother, some parted from many. Nobody is there twice, nobody is lost.</summary>
public sealed class OffshootTests : LedgerFolder
{
    private async Task<Standing> StandingAsync(Guid id)
    {
        await using var db = Open();
        return (await new JournalReader(db).StandingAsync(id, Cancel))!;
    }

    private async Task<Guid> TrayAsync(string place = "A1·01")
    {
        var id = Guid.NewGuid();
        var result = await WriteAsync(id, Came(place, Details(kind: StockKind.Brood) with { Sex = Sex.Unknown }));
        Assert.Equal(WriteOutcome.Written, result.Outcome);
        return id;
    }

    [Fact]
    public async Task Parted_into_a_place_of_their_own_they_add_up_and_know_where_they_came_from()
    {
        var (tray, vials) = (await TrayAsync(), Guid.NewGuid());
        await WriteAsync(tray, Entry(30, new Molted()));
        var entry = Entry(3, new Parted(vials, 6, "Vials", new Place("B", 1, 1)));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(tray, entry)).Outcome);
        Assert.Equal(WriteOutcome.WrittenBefore, (await WriteAsync(tray, entry)).Outcome);
        var (one, other) = (await StandingAsync(tray), await StandingAsync(vials));
        Assert.Equal((14, 6), (one.Details.Count, other.Details.Count));
        Assert.Equal((CountChange.Parted, -6), (one.Counts[^1].Change, one.Counts[^1].By));
        Assert.Equal((CountChange.TakenOver, 6), (Assert.Single(other.Counts).Change, other.Counts[0].By));
        Assert.Equal(
            (StockKind.Brood, "Tansy", 5),
            (other.Details.Kind, other.Details.AcquiredFrom, other.MoltsInLife)
        );
        Assert.Equal("B1·01", other.OwnPlace.Code);
    }

    /// <summary>What holds for all of them holds for those that are parted: advice for a larva would kill a pupa.</summary>
    [Theory]
    [InlineData(VigilKind.Emergence, 1)]
    [InlineData(VigilKind.Emergence, 3)]
    [InlineData(VigilKind.Hatching, 3)]
    public async Task Eggs_and_pupae_that_are_parted_stay_what_they_are(VigilKind vigil, int count)
    {
        var (box, cup) = (Guid.NewGuid(), Guid.NewGuid());
        var details = Details("moth", "saturnia-pyri", StockKind.Brood) with { Sex = Sex.Unknown, MoltsAtArrival = 4 };
        await WriteAsync(box, Came("A1·01", details));
        await WriteAsync(box, Entry(60, new Began(vigil, 20)));
        if (vigil == VigilKind.Emergence)
        {
            await WriteAsync(box, Entry(40, new Chilled(true)));
        }

        var entry = Entry(1, new Parted(cup, count, "Cup", new Place("B", 1, 1)));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(box, entry)).Outcome);
        Assert.Equal(WriteOutcome.WrittenBefore, (await WriteAsync(box, entry)).Outcome);
        var (one, other) = (Judgement.Of(await StandingAsync(box), Room), Judgement.Of(await StandingAsync(cup), Room));
        Assert.Equal(one.Stage.Value, other.Stage.Value);
        Assert.Equal(one.Phase.Value, other.Phase.Value);
        Assert.Equal(one.Hush.Never, other.Hush.Never);
        Assert.True(other.Meal.Value.EatsNothing);
        Assert.Equal(one.Subject.Standing.MoltsInLife, other.Subject.Standing.MoltsInLife);
        Assert.Equal(one.Subject.Standing.Vigils.Chill?.From, other.Subject.Standing.Vigils.Chill?.From);
        Assert.Equal("B1·01", other.Subject.Place.Code);
        Assert.Equal(one.Wait.Value!.P50, other.Wait.Value!.P50);
    }

    /// <summary>A skin that is not hard yet goes with the animal, and so does what was seen of all of them.</summary>
    [Fact]
    public async Task Slings_parted_after_their_molt_harden_and_keep_their_signs()
    {
        var (tray, vials) = (await TrayAsync(), Guid.NewGuid());
        await WriteAsync(tray, Entry(2, new Molted()));
        await WriteAsync(tray, Entry(1, new SignSeen("sluggish")));
        await WriteAsync(tray, Entry(0, new Parted(vials, 6, "Vials", new Place("B", 1, 1))));
        var (one, other) = (
            Judgement.Of(await StandingAsync(tray), Room),
            Judgement.Of(await StandingAsync(vials), Room)
        );
        Assert.Equal(Phase.Hardening, other.Phase.Value);
        Assert.Equal(one.Hush.Never, other.Hush.Never);
        Assert.Equal(one.FirstMeal.Value, other.FirstMeal.Value);
        Assert.Single(other.Subject.Standing.SignsNow);
        // They are no new stock.
        Assert.Null(Husbandry.Housing.Quarantine.Of(other.Subject).Value);
    }

    [Fact]
    public async Task One_parted_is_a_specimen_and_can_go_back_to_the_others()
    {
        var (tray, one) = (await TrayAsync(), Guid.NewGuid());
        await WriteAsync(tray, Entry(3, new Parted(one, 1, "Thistle", new Place("B", 1, 1))));
        Assert.Equal(StockKind.Specimen, (await StandingAsync(one)).Details.Kind);

        // Two trays of the same sac: some go over.
        var second = await TrayAsync("A1·05");
        var over = Entry(2, new Parted(second, 5));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(tray, over)).Outcome);
        Assert.Equal(
            (14, 25),
            ((await StandingAsync(tray)).Details.Count, (await StandingAsync(second)).Details.Count)
        );

        // Taken back in either journal, both are as before.
        var half = (await StandingAsync(second)).Counts[^1].EntryId;
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(second, Entry(0, new Withdrawn(half)))).Outcome);
        Assert.Equal(
            (19, 20),
            ((await StandingAsync(tray)).Details.Count, (await StandingAsync(second)).Details.Count)
        );
    }

    [Theory]
    [InlineData(0, "act.count")]
    [InlineData(20, "act.count")]
    public async Task As_many_can_be_parted_as_leave_one_behind(int count, string field)
    {
        var tray = await TrayAsync();
        var entry = Entry(3, new Parted(Guid.NewGuid(), count, "Vials", new Place("B", 1, 1)));
        var result = await WriteAsync(tray, entry);
        Assert.Equal((WriteOutcome.Refused, field), (result.Outcome, Assert.Single(result.Problems).Field));
    }

    [Fact]
    public async Task What_cannot_be_leaves_nothing_half_written()
    {
        var (tray, vials) = (await TrayAsync(), Guid.NewGuid());
        await AddAsync("B1·01");
        var taken = await WriteAsync(tray, Entry(3, new Parted(vials, 6, "Vials", new Place("B", 1, 1))));
        Assert.Equal(WriteOutcome.Refused, taken.Outcome);
        var nameless = await WriteAsync(tray, Entry(3, new Parted(vials, 6, "", new Place("B", 1, 2))));
        Assert.Contains(nameless.Problems, p => p.Field == "act.party" || p.Field == "details.nickname");
        var nobody = await WriteAsync(tray, Entry(3, new Parted(Guid.NewGuid(), 6)));
        Assert.Equal("act.partyId", Assert.Single(nobody.Problems).Field);
        Assert.Equal(20, (await StandingAsync(tray)).Details.Count);
        await using var db = Open();
        Assert.Null(await new JournalReader(db).StandingAsync(vials, Cancel));
    }

    [Fact]
    public async Task Young_have_their_mother_and_her_wait_is_over()
    {
        var (mother, young) = (Guid.NewGuid(), Guid.NewGuid());
        await WriteAsync(mother, Came("A1·01", Details() with { MatureAtArrival = true }));
        await WriteAsync(mother, Entry(40, new Began(VigilKind.Young)));
        var entry = Entry(2, new GaveBirth(young, 120, "Tansy’s young", new Place("B", 1, 1)));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(mother, entry)).Outcome);
        var (her, them) = (await StandingAsync(mother), await StandingAsync(young));
        Assert.Equal((120, "Tansy’s young"), (Assert.Single(her.Births).Count, her.Births[0].Young));
        Assert.Empty(her.Vigils.Open);
        Assert.True(Assert.Single(her.Vigils.All).AsHoped);
        Assert.Equal(mother, them.Details.MotherId);
        // Slings leave the sac by themselves when they hunt: one molt is behind them.
        Assert.Equal((1, 120, CountChange.Born), (them.MoltsInLife, them.Details.Count, them.Counts[0].Change));

        // It cannot be taken back: they would be there without having been born.
        var undo = await WriteAsync(mother, Entry(0, new Withdrawn(entry.Id)));
        Assert.Equal(WriteOutcome.Refused, undo.Outcome);
        Assert.Single((await StandingAsync(mother)).Births);
    }

    [Fact]
    public async Task A_male_has_no_young()
    {
        var he = Guid.NewGuid();
        await WriteAsync(he, Came("A1·01", Details() with { Sex = Sex.Male, MatureAtArrival = true }));
        var entry = Entry(2, new GaveBirth(Guid.NewGuid(), 3, "Young", new Place("B", 1, 1)));
        Assert.Equal("act.kind", Assert.Single((await WriteAsync(he, entry)).Problems).Field);
    }

    [Fact]
    public async Task Contacts_are_added_to_mended_and_never_lost_from_the_file()
    {
        await using var db = Open();
        var store = new ContactStore(db);
        var (id, who) = (Guid.NewGuid(), Guid.NewGuid());
        var said = new ContactSaid(who, "Keeper of the ferry", "good males");
        Assert.Equal(WriteOutcome.Written, (await store.WriteAsync(id, said, Room.Now, "Keeper", Cancel)).Outcome);
        Assert.Equal(
            WriteOutcome.WrittenBefore,
            (await store.WriteAsync(id, said, Room.Now, "Keeper", Cancel)).Outcome
        );
        await store.WriteAsync(Guid.NewGuid(), said with { Note = "lent two" }, Room.Now, "Keeper", Cancel);
        Assert.Equal("lent two", Assert.Single((await store.BookAsync(Cancel)).Contacts).Note);
        var wrong = await store.WriteAsync(Guid.NewGuid(), new ContactSaid(who, " "), Room.Now, "Keeper", Cancel);
        Assert.Equal("act.name", Assert.Single(wrong.Problems).Field);
        await store.WriteAsync(Guid.NewGuid(), new ContactDropped(who), Room.Now, "Keeper", Cancel);
        Assert.Empty((await store.BookAsync(Cancel)).Contacts);
        Assert.Equal(3, (await store.ReadAsync(Cancel)).Count);
    }
}
