using Ledger;
using Microsoft.EntityFrameworkCore;

namespace Browser.Tests;

/// <summary>The server dies in the middle of an act, again and again: what was tapped is written once, whatever was lost.</summary>
public sealed class KilledServerTests
{
    private const int Kills = 20;
    private const int Seed = 13;

    [Fact]
    public async Task Killed_twenty_times_in_mid_act_every_tap_is_written_once()
    {
        using var server = new ServerProcess();
        server.Start();
        using var keeper = new Keeper(server.Address);
        await server.UpAsync(TestContext.Current.CancellationToken);
        keeper.Open("/");
        RoundSteps.SeeRound(keeper);
        var before = Read(server).Ids();
        var random = new Random(Seed);
        for (var kill = 0; kill < Kills; kill++)
        {
            RoundSteps.ActByKey(keeper);
            // From before the tap is sent until after it is answered.
            await Task.Delay(random.Next(0, 60), TestContext.Current.CancellationToken);
            server.Kill();
            server.Start();
        }

        await server.UpAsync(TestContext.Current.CancellationToken);
        RoundSteps.SeeNothingWaiting(keeper);
        server.Kill();
        var fresh = Read(server).Beyond(before);
        Assert.Equal(Kills, fresh.Select(e => e.StockId).Distinct().Count());
        Assert.Equal(fresh.Count, fresh.Select(e => (e.StockId, e.Act)).Distinct().Count());
    }

    private static LanternDb Read(ServerProcess server) =>
        new(new DbContextOptionsBuilder<LanternDb>().UseSqlite($"Data Source={server.DataFile}").Options);
}
