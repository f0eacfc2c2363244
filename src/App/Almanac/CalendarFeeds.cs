using System.Security.Claims;
using App.Hosting;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Almanac;

/// <summary>
/// The addresses under which calendars read the almanac. Each person has one of their own, which ends when they are taken off
/// the list; of its secret only the hash is kept.
/// </summary>
public sealed class CalendarFeeds(LanternDb db)
{
    /// <summary>Whether whoever asks has one.</summary>
    public async Task<bool> HasAsync(HttpContext context, CancellationToken cancel) =>
        PersonOf(context) is { } person
            ? await db.People.AnyAsync(p => p.Id == person && p.CalendarHash != null, cancel)
            : await db.Rooms.AnyAsync(r => r.CalendarToken != null, cancel);

    /// <summary>Whether a secret opens the calendar; also one that an earlier version kept as it is.</summary>
    public async Task<bool> OpensAsync(string secret, CancellationToken cancel)
    {
        var hash = Secrets.Hash(secret);
        return await db.People.AnyAsync(p => p.CalendarHash == hash && p.RemovedTicks == null, cancel)
            || await db.Rooms.AnyAsync(r => r.CalendarToken == hash, cancel)
            || (secret.Length != hash.Length && await db.Rooms.AnyAsync(r => r.CalendarToken == secret, cancel));
    }

    /// <summary>Makes a new secret for whoever asks; the former one opens nothing more.</summary>
    public async Task<string> RenewAsync(HttpContext context, CancellationToken cancel)
    {
        var secret = Secrets.New();
        await SetAsync(context, Secrets.Hash(secret), cancel);
        return secret;
    }

    /// <summary>Takes the address of whoever asks down.</summary>
    public Task EndAsync(HttpContext context, CancellationToken cancel) => SetAsync(context, null, cancel);

    private Task<int> SetAsync(HttpContext context, string? hash, CancellationToken cancel) =>
        PersonOf(context) is { } person
            ? db
                .People.Where(p => p.Id == person)
                .ExecuteUpdateAsync(p => p.SetProperty(x => x.CalendarHash, hash), cancel)
            : db.Rooms.ExecuteUpdateAsync(r => r.SetProperty(x => x.CalendarToken, hash), cancel);

    // On this machine alone nobody signs in: then it is the room's.
    private static Guid? PersonOf(HttpContext context) =>
        Guid.TryParse(context.User.FindFirstValue(ClaimTypes.NameIdentifier), out var id) ? id : null;
}
