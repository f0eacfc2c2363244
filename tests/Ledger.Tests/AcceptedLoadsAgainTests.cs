using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>The law that what was accepted is accepted again: write, save, load gives equal standings.</summary>
public sealed class AcceptedLoadsAgainTests : LedgerFolder
{
    private static readonly Func<Random, Act>[] Makers =
    [
        r => new Offered("cricket", "small", 1 + r.Next(3), Preparation.Live, Pick<OfferOutcome>(r)),
        r => new Offered("cut-fruit", "one", 1, Preparation.Fresh, OfferOutcome.Eaten),
        _ => new LeftoversRemoved(),
        r => new Watered(Pick<WaterKind>(r)),
        _ => new Looked(),
        r => new SignSeen(r.Next(2) == 0 ? "dark-under-hair" : "sluggish"),
        r => new Molted(Ultimate: r.Next(4) == 0),
        r => new FangsChecked(r.Next(2) == 0),
        r => new Measured(BodyPart.LegSpan, 20 + r.Next(80), FromExuvia: r.Next(3) == 0),
        r => new ConditionSeen(Pick<BodyCondition>(r)),
        r => new PutOff(DateOnly.FromDateTime(Evening.AddDays(-r.Next(250)).DateTime)),
        r => new Began(VigilKind.Young),
        r => new Ended(VigilKind.Young, (r.Next(2) == 0 ? VigilEnd.AsHoped : VigilEnd.Otherwise)),
        _ => new Paired(null, "a mate of a friend", PairingMethod.Watched),
        r => new SexSeen(Pick<Sex>(r), SexEvidence.ShedSkin),
        r => new Departed(Pick<DepartureKind>(r)),
        r => new Noted("a note"),
    ];

    private static T Pick<T>(Random random)
        where T : struct, Enum => Enum.GetValues<T>()[random.Next(Enum.GetValues<T>().Length)];

    [Theory]
    [InlineData(1, 6)]
    [InlineData(2, 0)]
    [InlineData(3, 12)]
    [InlineData(4, 6)]
    [InlineData(5, 9)]
    public async Task Whatever_was_accepted_is_loaded_again_whole(int seed, int cutoverWhenLoaded)
    {
        var random = new Random(seed);
        for (var animal = 0; animal < 8; animal++)
        {
            await FillAsync(await AddAsync($"A1·{animal + 1:00}"), random);
        }

        var path = Path.Combine(Folder, "room.json");
        await RoomFiles.SaveAsync(File, path);
        // The keeper may have set another hour for the new night meanwhile.
        var text = await System.IO.File.ReadAllTextAsync(path, Cancel);
        await System.IO.File.WriteAllTextAsync(
            path,
            System.Text.RegularExpressions.Regex.Replace(
                text,
                "\"cutoverHour\": ?\\d+",
                $"\"cutoverHour\":{cutoverWhenLoaded}"
            ),
            Cancel
        );
        var other = await MakeAsync("other");
        var loaded = await RoomFiles.LoadAsync(other, path, Evening);
        Assert.Empty(loaded.Problems);
        Assert.Equal(await RoomFiles.StatesAsync(File), await RoomFiles.StatesAsync(other));
    }

    private async Task FillAsync(Guid id, Random random)
    {
        var written = new List<NewEntry>();
        for (var k = 0; k < 40; k++)
        {
            // Most lie at the edges of nights, some before it came, in no order at all.
            var at = Evening.AddDays(-random.Next(320)).AddHours(random.Next(24) - 12);
            var when = Occurrence.At(at > Evening ? Evening : at);
            NewEntry entry = random.Next(8) switch
            {
                0 when written.Count > 0 => Entry(0, new Withdrawn(written[random.Next(written.Count)].Id)),
                1 when written.Count > 0 && written[random.Next(written.Count)] is var former => new NewEntry(
                    Guid.NewGuid(),
                    when,
                    former.Id,
                    former.Act
                ),
                _ => new NewEntry(Guid.NewGuid(), when, null, Makers[random.Next(Makers.Length)](random)),
            };
            if ((await WriteAsync(id, entry)).Outcome == WriteOutcome.Written && entry.Act is not Withdrawn)
            {
                written.Add(entry);
            }
        }

        await using var db = Open();
        Assert.True(await db.Entries.CountAsync(e => e.StockId == id, Cancel) > 10);
    }
}
