using App.Hosting;
using Hosting.Tests;
using Husbandry.Honesty;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.Extensions.DependencyInjection;

namespace App.Tests;

/// <summary>The forecasts against two simulated years, and room files from the command line.</summary>
public sealed class BacktestTests : IDisposable
{
    private readonly LanternFactory app = new(demo: true);
    private readonly string folder = Directory.CreateTempSubdirectory("lantern-room-").FullName;

    public void Dispose()
    {
        app.Dispose();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public async Task The_engine_beats_both_baselines_on_the_simulated_years_and_its_windows_are_honest()
    {
        // The demo's generator is a model of bodies and keepers, not the forecasting model; see docs/demo-generator.md.
        var file = await SaveAsync();
        var (replay, problems) = RoomFileRules.Replay(file, RoomFileRules.Of(file).Rules!);
        Assert.Empty(problems);
        var all = BacktestLine.Of(replay!.Forecasts);
        var molts = Assert.Single(all, l => l is { Vigil: VigilKind.Molt, Group: BacktestLine.AllGroups });
        Assert.True(molts.Forecasts > 400, $"{molts.Forecasts}");
        Assert.InRange(molts.Coverage80, 0.7, 0.9);
        Assert.True(molts.PinballEngine < molts.PinballSpeciesPrior, $"{molts}");
        Assert.True(molts.PinballEngineThere < molts.PinballLastInterval, $"{molts}");
        Assert.True(molts.MedianAbsoluteErrorDays < molts.MedianErrorSpeciesPriorDays);
        foreach (var group in new[] { "tarantula", "mantis", "jumping-spider" })
        {
            var line = Assert.Single(all, l => l.Vigil == VigilKind.Molt && l.Group == group);
            Assert.True(line.PinballEngine < line.PinballSpeciesPrior, $"{line}");
            Assert.True(line.PinballEngineThere < line.PinballLastInterval, $"{line}");
        }

        var reading = Assert.Single(ReadingLine.Of(replay.Readings), r => r.Group == BacktestLine.AllGroups);
        Assert.True(reading.Brier < reading.BrierOfShare);
        Assert.True(reading.AreaUnderRoc > 0.8);
    }

    [Fact]
    public async Task A_replay_sees_nothing_that_is_written_later()
    {
        var file = await SaveAsync();
        var rules = RoomFileRules.Of(file).Rules!;
        var (whole, _) = RoomFileRules.Replay(file, rules);
        var cut = whole!.From.AddDays(700);
        // The same room with everything after a night torn out: forecasts made before must be the same to the last digit.
        var end = new DateTimeOffset(cut.ToDateTime(new TimeOnly(6, 0)), TimeSpan.Zero);
        var torn = file with
        {
            Journal = [.. file.Journal.Where(e => e.At < end)],
            Stock = [.. file.Stock.Where(s => s.AcquiredOn < cut)],
            Climate = [.. file.Climate!.Where(c => c.At < end)],
        };
        var ids = torn.Stock.Select(s => s.Id).ToHashSet();
        torn = torn with { Journal = [.. torn.Journal.Where(e => ids.Contains(e.StockId))] };
        var (part, problems) = RoomFileRules.Replay(torn, rules);
        Assert.Empty(problems);
        var then = whole.Forecasts.ToDictionary(f => (f.StockId, f.MadeOn, f.Vigil));
        Assert.True(part!.Forecasts.Count > 50);
        Assert.All(part.Forecasts, f => Assert.Equal(then[(f.StockId, f.MadeOn, f.Vigil)].Engine, f.Engine));
    }

    [Fact]
    public async Task A_room_is_saved_loaded_elsewhere_and_loaded_again_without_adding_anything()
    {
        var path = Path.Combine(folder, "room.json");
        await WriteAsync(path);
        var empty = new LanternOptions(0, Path.Combine(folder, "data", "lantern.db"), folder, false, null, null);
        async Task<string> RunAsync(ErrandKind what, string? file)
        {
            var (say, complain) = (new StringWriter(), new StringWriter());
            var code = await new Errands(empty, TextReader.Null, say, complain).RunAsync(new Errand(what, file));
            return $"{code} {say}{complain}".Trim();
        }

        var first = await RunAsync(ErrandKind.Load, path);
        Assert.StartsWith("0 Added ", first, StringComparison.Ordinal);
        Assert.Equal(
            "0 Added 0 animals, 0 entries, 0 pictures and 0 climate readings.",
            await RunAsync(ErrandKind.Load, path)
        );
        var again = Path.Combine(folder, "again.json");
        Assert.StartsWith("0 Saved", await RunAsync(ErrandKind.Save, again), StringComparison.Ordinal);
        Assert.Equal(await File.ReadAllTextAsync(path), await File.ReadAllTextAsync(again));
        Assert.Contains("\"vigils\"", await RunAsync(ErrandKind.Backtest, null), StringComparison.Ordinal);
        Assert.Contains("premolt", await RunAsync(ErrandKind.Backtest, again), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("{\"format\":\"other\",\"version\":1,\"stock\":[],\"journal\":[]}", "format")]
    [InlineData("{\"format\":\"hushed-lantern-room\",\"version\":9,\"stock\":[],\"journal\":[]}", "version")]
    [InlineData(
        "{\"format\":\"hushed-lantern-room\",\"version\":1,\"stock\":[{\"id\":\"x\"}],\"journal\":[]}",
        "stock[0]"
    )]
    [InlineData("not json", "$")]
    [InlineData(
        "{\"format\":\"hushed-lantern-room\",\"version\":1,\"stock\":[{\"id\":\"11111111-1111-1111-1111-111111111111\",\"group\":\"dragon\",\"acquiredOn\":\"2026-01-01\",\"otherSpecies\":\"x\"}],\"journal\":[]}",
        "details.group"
    )]
    [InlineData(
        "{\"format\":\"hushed-lantern-room\",\"version\":1,\"stock\":[],\"journal\":[{\"id\":\"11111111-1111-1111-1111-111111111111\",\"stockId\":\"11111111-1111-1111-1111-111111111112\",\"at\":\"2026-01-01T20:00:00Z\",\"act\":{\"kind\":\"looked\"}}]}",
        "stockId"
    )]
    public async Task A_broken_room_file_is_refused_naming_the_place(string json, string named)
    {
        var path = Path.Combine(folder, "broken.json");
        await File.WriteAllTextAsync(path, json);
        var options = new LanternOptions(0, Path.Combine(folder, "data", "lantern.db"), folder, false, null, null);
        var complain = new StringWriter();
        foreach (var what in new[] { ErrandKind.Load, ErrandKind.Backtest })
        {
            var code = await new Errands(options, TextReader.Null, TextWriter.Null, complain).RunAsync(
                new Errand(what, path)
            );
            Assert.Equal(LanternOptions.RefusedExitCode, code);
        }

        Assert.Contains(named, complain.ToString(), StringComparison.Ordinal);
    }

    private async Task<RoomFile> SaveAsync()
    {
        await using var scope = app.Services.CreateAsyncScope();
        var file = await scope
            .ServiceProvider.GetRequiredService<RoomFileWriter>()
            .ReadAsync(withPictures: false, CancellationToken.None);
        return file with { Journal = [.. file.Journal] };
    }

    private async Task WriteAsync(string path)
    {
        await using var scope = app.Services.CreateAsyncScope();
        await scope.ServiceProvider.GetRequiredService<RoomFileWriter>().WriteAsync(path, CancellationToken.None);
    }
}
