using Ledger;
using Microsoft.EntityFrameworkCore;

namespace Browser.Tests;

/// <summary>What several tests do on the round, and see of what waits for the server.</summary>
internal static class RoundSteps
{
    /// <summary>Where what waits and what was refused is shown.</summary>
    public const string Strip = "[aria-label='Waiting for the server']";

    /// <summary>Logs the lit line by its first key, and steps over lines whose act opens a form.</summary>
    public static void ActByKey(Keeper keeper) =>
        keeper.Wait(
            () =>
            {
                var key = keeper.Text("[role=group][data-settling=false] .act-first kbd");
                if (key is "X" or "F" or "W")
                {
                    keeper.Keys(key.ToLowerInvariant());
                    return true;
                }

                keeper.Keys("j");
                return false;
            },
            "a line that is logged with one key"
        );

    /// <summary>The same by a finger on a phone, where no keys are shown.</summary>
    public static void ActByTouch(Keeper keeper) =>
        keeper.Wait(
            () =>
            {
                var button = keeper.See("[role=group][data-settling=false] .act-first");
                if (button.Text is "Out" or "Fed" or "Water" or "Watered" or "Done" or "Put in")
                {
                    keeper.TapOn(button);
                    return true;
                }

                keeper.Keys("j");
                return false;
            },
            "a line that is logged with one tap"
        );

    public static void SeeRound(Keeper keeper) => keeper.See("[role=group][data-settling=false] .act-first");

    public static void SeeWaiting(Keeper keeper, int count) =>
        keeper.SeeText(Strip, count == 1 ? "1 entry waits" : $"{count} entries wait");

    /// <summary>Waits until all is written: however many wait, each has the patience of one.</summary>
    public static void SeeNothingWaiting(Keeper keeper)
    {
        for (var left = Waiting(keeper); left > 0; left = Waiting(keeper))
        {
            var before = left;
            keeper.Wait(() => Waiting(keeper) < before, $"fewer than {before} to wait");
        }

        keeper.Wait(
            () => keeper.Run($"return document.querySelector(\"{Strip}\") === null") is true,
            "nothing to wait any more"
        );
    }

    private static long Waiting(Keeper keeper) =>
        (long)
            keeper.Run(
                $"return Number(/(\\d+) (entry waits|entries wait)/.exec(document.querySelector(\"{Strip}\")?.innerText ?? '')?.[1] ?? 0)"
            )!;

    /// <summary>What stands in the journal beyond what stood there before.</summary>
    public static List<EntryRow> Beyond(this LanternDb db, IReadOnlySet<Guid> before) =>
        [.. db.Entries.AsNoTracking().OrderBy(e => e.Sequence).AsEnumerable().Where(e => !before.Contains(e.Id))];

    public static HashSet<Guid> Ids(this LanternDb db) => [.. db.Entries.AsNoTracking().Select(e => e.Id)];
}
