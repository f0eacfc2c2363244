using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Records;
using Husbandry.Rulebook;

namespace Ledger.Tests;

/// <summary>What happened to two animals stands in the journals of both, whatever is written, mended or taken back at one.</summary>
public sealed class TwoHalvesTests : LedgerFolder
{
    private async Task<Guid> AddAsync(string name, Sex sex, string place)
    {
        var id = Guid.NewGuid();
        var came = Came(place, Details() with { Nickname = name, Sex = sex, MatureAtArrival = true });
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(id, came)).Outcome);
        return id;
    }

    private async Task<IReadOnlyList<PairingEvent>> PairingsAsync(Guid id)
    {
        await using var db = Open();
        return (await new JournalReader(db).StandingAsync(id, Cancel))!.Pairings;
    }

    private async Task<Guid> EntryOfAsync(Guid id) => Assert.Single(await PairingsAsync(id)).EntryId;

    [Fact]
    public async Task A_pairing_stands_in_both_journals_with_the_name_of_the_other()
    {
        var (tansy, bolt) = (await AddAsync("Tansy", Sex.Female, "A1·01"), await AddAsync("Bolt", Sex.Male, "A1·02"));
        var entry = Entry(1, new Paired(bolt, Method: PairingMethod.Watched));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(tansy, entry)).Outcome);
        Assert.True(Assert.Single(await PairingsAsync(tansy)) is { Partner: "Bolt", PartnerId: var b } && b == bolt);
        Assert.True(Assert.Single(await PairingsAsync(bolt)) is { Partner: "Tansy", PartnerId: var t } && t == tansy);

        // A retry writes nothing more, on either side.
        Assert.Equal(WriteOutcome.WrittenBefore, (await WriteAsync(tansy, entry)).Outcome);
        Assert.Single(await PairingsAsync(bolt));
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task Neither_half_is_taken_back_alone(bool first)
    {
        var (tansy, bolt) = (await AddAsync("Tansy", Sex.Female, "A1·01"), await AddAsync("Bolt", Sex.Male, "A1·02"));
        await WriteAsync(tansy, Entry(1, new Paired(bolt)));
        var at = first ? tansy : bolt;
        var undo = Entry(0, new Withdrawn(await EntryOfAsync(at)));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(at, undo)).Outcome);
        Assert.Empty(await PairingsAsync(tansy));
        Assert.Empty(await PairingsAsync(bolt));
        Assert.Equal(WriteOutcome.WrittenBefore, (await WriteAsync(at, undo)).Outcome);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task A_correction_at_one_mends_the_other(bool first)
    {
        var (tansy, bolt) = (await AddAsync("Tansy", Sex.Female, "A1·01"), await AddAsync("Bolt", Sex.Male, "A1·02"));
        await WriteAsync(tansy, Entry(1, new Paired(bolt)));
        var (at, other) = first ? (tansy, bolt) : (bolt, tansy);
        var mended = Entry(2, new Paired(other, Method: PairingMethod.LeftTogether)) with
        {
            Supersedes = await EntryOfAsync(at),
        };
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(at, mended)).Outcome);
        foreach (var id in new[] { tansy, bolt })
        {
            var pairing = Assert.Single(await PairingsAsync(id));
            Assert.Equal((PairingMethod.LeftTogether, Evening.AddDays(-2)), (pairing.Method, pairing.At));
        }

        // The mending taken back from the other side brings the first words back on both.
        await WriteAsync(other, Entry(0, new Withdrawn(await EntryOfAsync(other))));
        Assert.Null(Assert.Single(await PairingsAsync(at)).Method);
        Assert.Null(Assert.Single(await PairingsAsync(other)).Method);
    }

    [Fact]
    public async Task A_correction_that_names_somebody_else_takes_it_from_the_first()
    {
        var tansy = await AddAsync("Tansy", Sex.Female, "A1·01");
        var (bolt, rook) = (await AddAsync("Bolt", Sex.Male, "A1·02"), await AddAsync("Rook", Sex.Male, "A1·03"));
        await WriteAsync(tansy, Entry(1, new Paired(bolt)));
        var mended = Entry(1, new Paired(rook)) with { Supersedes = await EntryOfAsync(tansy) };
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(tansy, mended)).Outcome);
        Assert.Empty(await PairingsAsync(bolt));
        Assert.Equal("Tansy", Assert.Single(await PairingsAsync(rook)).Partner);
        Assert.Equal("Rook", Assert.Single(await PairingsAsync(tansy)).Partner);

        // A mate from elsewhere leaves no half behind.
        var away = Entry(1, new Paired(null, "a friend's")) with
        {
            Supersedes = await EntryOfAsync(tansy),
        };
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(tansy, away)).Outcome);
        Assert.Empty(await PairingsAsync(rook));
    }

    [Fact]
    public async Task Who_cannot_be_a_mate_is_refused_and_nothing_is_written()
    {
        var tansy = await AddAsync("Tansy", Sex.Female, "A1·01");
        var hazel = await AddAsync("Hazel", Sex.Female, "A1·02");
        foreach (var mate in new[] { hazel, tansy, Guid.NewGuid() })
        {
            var result = await WriteAsync(tansy, Entry(1, new Paired(mate)));
            Assert.Equal(WriteOutcome.Refused, result.Outcome);
            Assert.Equal("act.partnerId", result.Problems[0].Field);
        }

        Assert.Empty(await PairingsAsync(tansy));
        Assert.Empty(await PairingsAsync(hazel));
    }

    [Fact]
    public async Task Nobody_says_from_outside_of_which_entry_it_is_the_second_half()
    {
        var (tansy, bolt) = (await AddAsync("Tansy", Sex.Female, "A1·01"), await AddAsync("Bolt", Sex.Male, "A1·02"));
        var entry = Entry(1, new Paired(bolt, HalfOf: Guid.NewGuid()));
        Assert.Equal(WriteOutcome.Written, (await WriteAsync(tansy, entry)).Outcome);
        await WriteAsync(bolt, Entry(0, new Withdrawn(await EntryOfAsync(bolt))));
        Assert.Empty(await PairingsAsync(tansy));
    }

    [Fact]
    public async Task A_room_with_pairs_is_loaded_again_whole_and_a_lone_half_is_refused()
    {
        var (tansy, bolt) = (await AddAsync("Tansy", Sex.Female, "A1·01"), await AddAsync("Bolt", Sex.Male, "A1·02"));
        await WriteAsync(tansy, Entry(9, new Paired(bolt)));
        await WriteAsync(bolt, Entry(8, new Withdrawn(await EntryOfAsync(bolt))));
        await WriteAsync(bolt, Entry(1, new Paired(tansy, Method: PairingMethod.Watched)));
        var path = Path.Combine(Folder, "room.json");
        await RoomFiles.SaveAsync(File, path);
        var elsewhere = await MakeAsync("elsewhere.db");
        Assert.Empty((await RoomFiles.LoadAsync(elsewhere, path, Evening)).Problems);
        Assert.Equal(await RoomFiles.StatesAsync(File), await RoomFiles.StatesAsync(elsewhere));

        var text = await System.IO.File.ReadAllTextAsync(path, Cancel);
        var node = System.Text.Json.Nodes.JsonNode.Parse(text)!;
        var journal = node["journal"]!.AsArray();
        journal.Remove(journal.Last(e => e!["act"]!["halfOf"] is not null));
        await System.IO.File.WriteAllTextAsync(path, node.ToJsonString(), Cancel);
        var loaded = await RoomFiles.LoadAsync(await MakeAsync("third.db"), path, Evening);
        Assert.Contains(loaded.Problems, p => p.Message.Contains("one half of a pair", StringComparison.Ordinal));
    }
}
