using App.Hosting;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Ledger;
using Microsoft.Extensions.DependencyInjection;

namespace Browser.Tests;

/// <summary>Fills a room with so many of a kind, twenty on a shelf and ten shelves in a rack.</summary>
internal static class ManySpiders
{
    public const int OnAShelf = 20;

    private const int Shelves = 10;
    private const int HereForDays = 100;

    public static async Task MoveInAsync(IServiceProvider services, int animals)
    {
        await using var scope = services.CreateAsyncScope();
        var room = await scope.ServiceProvider.GetRequiredService<RoomNow>().ReadAsync(CancellationToken.None);
        var batch = Enumerable
            .Range(0, animals)
            .Select(k => new StockEntry(
                Guid.NewGuid(),
                new NewEntry(
                    Guid.NewGuid(),
                    Occurrence.At(room.Now.AddDays(-HereForDays)),
                    null,
                    new Acquired(
                        new StockDetails(
                            StockKind.Specimen,
                            "tarantula",
                            "tliltocatl-albopilosus",
                            null,
                            $"Spider {k}",
                            Sex.Unknown,
                            room.Tonight.AddDays(-HereForDays),
                            null,
                            5,
                            false,
                            null,
                            1
                        ),
                        new Place(
                            $"{(char)('A' + (k / (OnAShelf * Shelves)))}",
                            1 + (k / OnAShelf % Shelves),
                            1 + (k % OnAShelf)
                        )
                    )
                )
            ))
            .ToList();
        var store = scope.ServiceProvider.GetRequiredService<JournalStore>();
        Assert.Equal(WriteOutcome.Written, (await store.WriteAsync(batch, null, room, CancellationToken.None)).Outcome);
    }
}
