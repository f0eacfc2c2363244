using App.Access;
using App.Almanac;
using App.Demo;
using App.Larder;
using Husbandry.Rooms;
using Ledger;
using Ledger.Safekeeping;

namespace App.Hosting;

/// <summary>Registers the ledger and prepares its file at start.</summary>
public static class LedgerServices
{
    public static void AddLedger(this IServiceCollection services)
    {
        services.AddSingleton(provider => new LedgerFile(provider.GetRequiredService<LanternOptions>().DataFile));
        services.AddDbContext<LanternDb>((provider, db) => provider.GetRequiredService<LedgerFile>().Configure(db));
        services.AddSingleton<RoomCache>();
        services.AddScoped<RulebookStore>();
        services.AddScoped<RoomFileLoader>();
        services.AddScoped<RoomFileWriter>();
        services.AddScoped<JournalReader>();
        services.AddScoped<JournalStore>();
        services.AddScoped<NightJudge>();
        services.AddSingleton<LessonKeeper>();
        services.AddScoped<JournalImport>();
        services.AddScoped<RoomStore>();
        services.AddScoped<LarderStore>();
        services.AddScoped<LarderPlanner>();
        services.AddScoped<ChoreStore>();
        services.AddScoped<ContactStore>();
        services.AddScoped<ClimateStore>();
        services.AddScoped<SensorStore>();
        services.AddScoped<People>();
        services.AddScoped<CalendarFeeds>();
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

        new Backups(file).ClearUnfinished();
        var copy = await file.BringUpToDateAsync(db, clock.GetUtcNow(), CancellationToken.None);
        if (copy is not null)
        {
            app.Logger.LogInformation("The data file was updated; the former one is kept as {Copy}", copy);
        }

        await services.RebuildIfRulesChangedAsync(clock.GetUtcNow());
        var settings = await services.GetRequiredService<RoomStore>().ReadAsync(CancellationToken.None);
        services.GetRequiredService<RoomZone>().Zone = settings.Settings.Clock().Zone;
        if (demo)
        {
            await services.LayOutDemoAsync(clock.GetUtcNow());
        }
    }

    /// <summary>Judges standings anew when the rulebook, or the shape of a standing, is another one than they were judged with.</summary>
    public static async Task RebuildIfRulesChangedAsync(this IServiceProvider services, DateTimeOffset now)
    {
        var rules = await services.GetRequiredService<RulebookStore>().ReadAsync(CancellationToken.None);
        var rooms = services.GetRequiredService<RoomStore>();
        if (await rooms.AdoptRulesAsync(rules, CancellationToken.None))
        {
            var settings = await rooms.ReadAsync(CancellationToken.None);
            var climate = await services.GetRequiredService<RulebookStore>().ClimateAsync(CancellationToken.None);
            var room = Room.At(rules, settings.Settings, now).With(climate);
            await services.GetRequiredService<NightJudge>().RebuildAsync(room, CancellationToken.None);
        }
    }
}
