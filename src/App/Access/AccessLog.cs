using System.Security.Claims;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Access;

/// <summary>What is noted of who came in and who may.</summary>
public enum AccessEvent
{
    /// <summary>Somebody signed in.</summary>
    SignedIn,

    /// <summary>Somebody tried and was refused.</summary>
    Refused,

    /// <summary>Somebody signed out.</summary>
    SignedOut,

    /// <summary>Somebody changed a password of their own.</summary>
    PasswordChanged,

    /// <summary>The owner's name or password was set.</summary>
    OwnerSet,

    /// <summary>Somebody was put on the list.</summary>
    PersonAdded,

    /// <summary>Somebody was taken off the list.</summary>
    PersonRemoved,

    /// <summary>A session was ended from elsewhere.</summary>
    SessionEnded,

    /// <summary>A link for a sitter was made.</summary>
    LinkMade,

    /// <summary>A link for a sitter was withdrawn.</summary>
    LinkEnded,

    /// <summary>An address of the calendar was made.</summary>
    CalendarMade,

    /// <summary>An address of the calendar was taken down.</summary>
    CalendarEnded,

    /// <summary>A gateway of readings was let in.</summary>
    GatewayMade,

    /// <summary>A gateway of readings was shut out.</summary>
    GatewayEnded,
}

/// <summary>One line of who came in and who may.</summary>
/// <param name="At">When.</param>
/// <param name="What">What.</param>
/// <param name="Who">Who did it, or tried to.</param>
/// <param name="Whom">Whom or what it was about; none where it was about themselves.</param>
/// <param name="From">Network address.</param>
public sealed record AccessNote(DateTimeOffset At, AccessEvent What, string Who, string? Whom, string From);

/// <summary>Notes who came in, who was refused, and every change of who may; the owner reads it.</summary>
public sealed class AccessLog(LanternDb db, TimeProvider clock)
{
    private const int Shown = 100;
    private const int LongestName = 80;
    private static readonly TimeSpan Kept = TimeSpan.FromDays(365);

    /// <summary>Notes something.</summary>
    public async Task NoteAsync(
        AccessEvent what,
        HttpContext context,
        CancellationToken cancel,
        string? whom = null,
        string? who = null
    )
    {
        var now = clock.GetUtcNow();
        var name = who ?? context.User.FindFirstValue(ClaimTypes.Name) ?? "at the machine";
        db.AccessNotes.Add(
            new AccessNoteRow
            {
                AtTicks = now.UtcTicks,
                What = what.ToString(),
                Who = Short(name),
                Whom = whom is null ? null : Short(whom),
                From = context.Connection.RemoteIpAddress?.ToString() ?? "",
            }
        );
        await db.SaveChangesAsync(cancel);
        var old = (now - Kept).UtcTicks;
        await db.AccessNotes.Where(n => n.AtTicks < old).ExecuteDeleteAsync(cancel);
    }

    /// <summary>The newest lines, the newest first.</summary>
    public async Task<IReadOnlyList<AccessNote>> NewestAsync(CancellationToken cancel) =>
        [
            .. (
                await db.AccessNotes.AsNoTracking().OrderByDescending(n => n.Id).Take(Shown).ToListAsync(cancel)
            ).Select(n => new AccessNote(
                new DateTimeOffset(n.AtTicks, TimeSpan.Zero),
                Enum.Parse<AccessEvent>(n.What),
                n.Who,
                n.Whom,
                n.From
            )),
        ];

    private static string Short(string name) => name.Length > LongestName ? name[..LongestName] : name;
}
