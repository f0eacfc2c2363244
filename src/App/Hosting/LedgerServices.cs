using App.Demo;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Ledger;

namespace App.Hosting;

/// <summary>Registers the ledger and prepares its file at start.</summary>
public static class LedgerServices
{
    public static void AddLedger(this IServiceCollection services)
    {
        services.AddSingleton(provider => new LedgerFile(provider.GetRequiredService<LanternOptions>().DataFile));
        services.AddDbContext<LanternDb>((provider, db) => provider.GetRequiredService<LedgerFile>().Configure(db));
        services.AddScoped<JournalReader>();
        services.AddScoped<JournalStore>();
        services.AddScoped<JournalImport>();
        services.AddScoped<RoomStore>();
    }

    /// <summary>Brings the file up to date, judges standings anew after a change of rules, and lays out the demo if asked.</summary>
    public static async Task PrepareLedgerAsync(this WebApplication app)
    {
        using var scope = app.Services.CreateScope();
        var services = scope.ServiceProvider;
        var clock = services.GetRequiredService<TimeProvider>();
        var file = services.GetRequiredService<LedgerFile>();
        var db = services.GetRequiredService<LanternDb>();
        var demo = services.GetRequiredService<LanternOptions>().Demo;
        if (demo)
        {
            DemoRoom.SetFormerAside(file, clock.GetUtcNow());
        }

        var copy = await file.BringUpToDateAsync(db, clock.GetUtcNow(), CancellationToken.None);
        if (copy is not null)
        {
            app.Logger.LogInformation("The data file was updated; the former one is kept as {Copy}", copy);
        }

        var rules = services.GetRequiredService<RuleSet>();
        var rooms = services.GetRequiredService<RoomStore>();
        if (await rooms.AdoptRulesAsync(rules, CancellationToken.None))
        {
            var settings = await rooms.ReadAsync(CancellationToken.None);
            var room = Room.At(rules, settings.Settings, clock.GetUtcNow());
            await services.GetRequiredService<JournalStore>().RebuildAsync(room, CancellationToken.None);
        }

        if (demo)
        {
            await services.LayOutDemoAsync(clock.GetUtcNow());
        }
    }
}

/// <summary>The room as it is at the instant of a request.</summary>
public sealed class RoomNow(RuleSet rules, RoomStore store, TimeProvider clock)
{
    public async Task<Room> ReadAsync(CancellationToken cancel) =>
        Room.At(rules, (await store.ReadAsync(cancel)).Settings, clock.GetUtcNow());
}
