using Husbandry.Rounds;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Demo;

/// <summary>Lays out the demo room in an empty ledger.</summary>
public static class DemoRoom
{
    /// <summary>
    /// Lays the demo out relative to tonight. A demo that was laid out on another night is set aside by the start
    /// script before, so that what is found here is tonight's.
    /// </summary>
    public static async Task LayOutDemoAsync(this IServiceProvider services, DateTimeOffset now)
    {
        if (await services.GetRequiredService<LanternDb>().Entries.AnyAsync())
        {
            return;
        }

        var rules = services.GetRequiredService<RuleSet>();
        var rooms = services.GetRequiredService<RoomStore>();
        var former = await rooms.ReadAsync(CancellationToken.None);
        var settings = former.Settings with { RoomName = NetLoft.RoomName };
        await rooms.WriteAsync(settings, former.Version, rules.Fingerprint, CancellationToken.None);
        var room = Room.At(rules, settings, now);
        var problems = await services
            .GetRequiredService<JournalStore>()
            .ImportAsync(NetLoft.Write(room), room, CancellationToken.None);
        if (problems.Count > 0)
        {
            throw new InvalidOperationException(
                "The demo room is broken: " + string.Join("; ", problems.Select(p => $"{p.Field}: {p.Message}"))
            );
        }
    }
}
