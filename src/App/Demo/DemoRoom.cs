using System.Globalization;
using App.Climate;
using App.Hosting;
using Husbandry.Rooms;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Demo;

/// <summary>Lays out the demo room in an empty ledger.</summary>
public static class DemoRoom
{
    private static readonly string[] DataFileParts = ["", "-wal", "-shm"];

    private const string NoteName = "demo-night.txt";

    /// <summary>
    /// Sets a demo of another night aside among the backups, so that the demo never goes stale. A keeper's own room
    /// is never touched.
    /// </summary>
    /// <exception cref="LedgerFileException">The folder holds a room that is not a demo.</exception>
    public static void SetFormerAside(LedgerFile file, DateTimeOffset now)
    {
        var folder = Path.GetDirectoryName(file.Path)!;
        var note = Path.Combine(folder, NoteName);
        var tonight = RoomStore.Fresh.Clock().NightOf(now).ToString("O", CultureInfo.InvariantCulture);
        if (File.Exists(file.Path))
        {
            if (!File.Exists(note))
            {
                throw new LedgerFileException(
                    $"{folder} holds a room of its own; the demo does not touch it. Choose another folder with LANTERN_DATA."
                );
            }

            var laidOut = File.ReadAllText(note).Trim();
            if (laidOut != tonight)
            {
                if (!file.TryHold())
                {
                    throw new LedgerFileException(LedgerFile.Held);
                }

                Directory.CreateDirectory(file.BackupFolder);
                foreach (var part in DataFileParts.Where(part => File.Exists(file.Path + part)))
                {
                    File.Move(
                        file.Path + part,
                        Path.Combine(file.BackupFolder, $"demo-{laidOut}.db{part}"),
                        overwrite: true
                    );
                }

                file.BeginAnew();
            }
        }
        else
        {
            // Whatever became of a former demo, a new one is laid.
            file.BeginAnew();
        }

        Directory.CreateDirectory(folder);
        File.WriteAllText(note, tonight);
    }

    private static async Task HangSensorsAsync(IServiceProvider services, Room laid)
    {
        var db = services.GetRequiredService<LanternDb>();
        db.Gateways.Add(
            // Its secret is made when it is switched on.
            GatewayEndpoints.Row(DemoClimate.GatewayName, Secrets.New(), laid.Now.AddDays(-365), DemoClimate.GatewayId)
        );
        await db.SaveChangesAsync();
        var climate = new DemoClimate(laid, SimulatedRacks.WeatherOf(laid));
        await services
            .GetRequiredService<SensorStore>()
            .AddAsync([.. climate.Readings()], laid.Now, CancellationToken.None);
        services.GetRequiredService<RoomCache>().LetGo();
    }

    /// <summary>Lays the demo out relative to tonight, unless it is laid out already.</summary>
    public static async Task LayOutDemoAsync(this IServiceProvider services, DateTimeOffset now)
    {
        if (await services.GetRequiredService<LanternDb>().Entries.AnyAsync())
        {
            return;
        }

        var rules = await services.GetRequiredService<RulebookStore>().ReadAsync(CancellationToken.None);
        var former = await services.GetRequiredService<RoomStore>().ReadAsync(CancellationToken.None);
        var settings = former.Settings with { RoomName = NetLoft.RoomName };
        var laid = Room.At(rules, settings, now);
        var file = NetLoft.Write(laid);
        var loaded = await services
            .GetRequiredService<RoomFileLoader>()
            .LoadAsync(new OpenRoom(file), now, CancellationToken.None);
        if (loaded.Problems.Count > 0)
        {
            throw new InvalidOperationException(
                "The demo room is broken: " + string.Join("; ", loaded.Problems.Select(p => $"{p.Field}: {p.Message}"))
            );
        }

        await HangSensorsAsync(services, laid);
    }
}
