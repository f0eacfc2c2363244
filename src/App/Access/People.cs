using Husbandry.Reasons;
using Ledger;
using Microsoft.AspNetCore.Identity;
using Microsoft.EntityFrameworkCore;

namespace App.Access;

/// <summary>What a password must be.</summary>
public static class Passwords
{
    public const int Shortest = 10;

    private const int Longest = 200;

    // Of five grades; below it a list of usual passwords and their variations finds it within a million guesses.
    private const int LeastScore = 2;

    // What is longer is not guessed by its words any more.
    private const int Judged = 40;

    /// <summary>What is wrong with a password; none when it will do.</summary>
    /// <param name="password">The password.</param>
    /// <param name="known">What anybody would try first: the name that goes with it.</param>
    /// <remarks>Source: D. L. Wheeler, zxcvbn: Low-Budget Password Strength Estimation, USENIX Security 2016.</remarks>
    public static string? Problem(string password, params string[] known) =>
        password.Length is < Shortest or > Longest ? $"Must be {Shortest} to {Longest} characters."
        : Zxcvbn
            .Zxcvbn.MatchPassword(
                password[..Math.Min(password.Length, Judged)],
                [.. known, "hushed", "lantern", "tarantula"]
            )
            .Score < LeastScore
            ? "Is guessed too easily. Take a few words that have nothing to do with each other."
        : null;
}

/// <summary>The people who may sign in, their passwords and their sessions.</summary>
public sealed class People(LanternDb db)
{
    private const int LongestName = 60;
    private const int MostPeople = 50;

    /// <summary>A session ends after so long, however often it is used.</summary>
    public static readonly TimeSpan LongestSession = TimeSpan.FromDays(180);

    /// <summary>A session ends when it was not used for so long.</summary>
    public static readonly TimeSpan IdleSession = TimeSpan.FromDays(30);

    private static readonly PasswordHasher<PersonRow> Hasher = new();

    // Held against when a name is unknown, so that the time taken does not tell which names there are.
    private static readonly string NobodysHash = Hasher.HashPassword(null!, "nobody has this one");

    /// <summary>Whether the owner has a password, so that the room may be opened to the network.</summary>
    public Task<bool> HasOwnerAsync(CancellationToken cancel) =>
        db.People.AnyAsync(p => p.IsOwner && p.RemovedTicks == null, cancel);

    /// <summary>Everybody who may sign in, the owner first.</summary>
    public async Task<IReadOnlyList<PersonRow>> AllAsync(CancellationToken cancel) =>
        await db
            .People.AsNoTracking()
            .Where(p => p.RemovedTicks == null)
            .OrderByDescending(p => p.IsOwner)
            .ThenBy(p => p.Name)
            .ToListAsync(cancel);

    /// <summary>Somebody who may sign in.</summary>
    public Task<PersonRow?> FindAsync(Guid id, CancellationToken cancel) =>
        db.People.FirstOrDefaultAsync(p => p.Id == id && p.RemovedTicks == null, cancel);

    /// <summary>Who signs in with a name and a password; none when they do not fit.</summary>
    public async Task<PersonRow?> CheckAsync(string name, string password, CancellationToken cancel)
    {
        var person = (await AllAsync(cancel)).FirstOrDefault(p => SameName(p.Name, name));
        var verdict = Hasher.VerifyHashedPassword(null!, person?.PasswordHash ?? NobodysHash, password);
        return verdict == PasswordVerificationResult.Failed ? null : person;
    }

    /// <summary>Sets the owner's password, and the name where one is given; all sessions of the owner end.</summary>
    /// <returns>The owner's name.</returns>
    public async Task<string> SetOwnerAsync(string? name, string password, DateTimeOffset now, CancellationToken cancel)
    {
        var owner = await db.People.FirstOrDefaultAsync(p => p.IsOwner && p.RemovedTicks == null, cancel);
        if (owner is null)
        {
            var keeper = (await new RoomStore(db).ReadAsync(cancel)).Settings.KeeperName;
            owner = Person(name ?? keeper, isOwner: true, now);
            db.People.Add(owner);
        }

        owner.Name = name ?? owner.Name;
        owner.PasswordHash = Hasher.HashPassword(owner, password);
        await db.SaveChangesAsync(cancel);
        await EndSessionsAsync(owner.Id, except: null, now, cancel);
        return owner.Name;
    }

    /// <summary>Adds a helper.</summary>
    /// <returns>What is wrong; then nobody was added.</returns>
    public async Task<Problem?> AddHelperAsync(
        string name,
        string password,
        bool isReader,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        if (NameProblem(name) is { } wrong)
        {
            return new Problem("name", wrong);
        }

        if (Passwords.Problem(password, name) is { } weak)
        {
            return new Problem("password", weak);
        }

        var all = await AllAsync(cancel);
        if (all.Count >= MostPeople)
        {
            return new Problem("name", $"At most {MostPeople} people; take somebody off first.");
        }

        if (all.Any(p => SameName(p.Name, name)))
        {
            return new Problem("name", "Somebody of this name is there already.");
        }

        var person = Person(name.Trim(), isOwner: false, now);
        person.IsReader = isReader;
        person.PasswordHash = Hasher.HashPassword(person, password);
        db.People.Add(person);
        await db.SaveChangesAsync(cancel);
        return null;
    }

    /// <summary>Takes a helper off the list; what they wrote stays theirs.</summary>
    /// <returns>False when there is no such helper.</returns>
    public async Task<bool> RemoveHelperAsync(Guid id, DateTimeOffset now, CancellationToken cancel)
    {
        var removed = await db
            .People.Where(p => p.Id == id && !p.IsOwner && p.RemovedTicks == null)
            .ExecuteUpdateAsync(p => p.SetProperty(x => x.RemovedTicks, now.UtcTicks), cancel);
        await EndSessionsAsync(id, except: null, now, cancel);
        return removed > 0;
    }

    /// <summary>Changes somebody's own password; their other sessions end.</summary>
    public async Task ChangePasswordAsync(
        PersonRow person,
        string password,
        Guid session,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        person.PasswordHash = Hasher.HashPassword(person, password);
        await db.SaveChangesAsync(cancel);
        await EndSessionsAsync(person.Id, session, now, cancel);
    }

    /// <summary>Begins a session.</summary>
    public async Task<SessionRow> BeginAsync(
        PersonRow person,
        string from,
        string browser,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        const int LongestBrowser = 120;
        var session = new SessionRow
        {
            Id = Guid.NewGuid(),
            PersonId = person.Id,
            MadeTicks = now.UtcTicks,
            SeenTicks = now.UtcTicks,
            From = from,
            Browser = browser.Length > LongestBrowser ? browser[..LongestBrowser] : browser,
        };
        db.Sessions.Add(session);
        await db.SaveChangesAsync(cancel);
        return session;
    }

    /// <summary>Whether a session still holds; notes now and then that it was seen.</summary>
    public async Task<bool> HoldsAsync(Guid session, DateTimeOffset now, CancellationToken cancel)
    {
        var row = await db.Sessions.AsNoTracking().FirstOrDefaultAsync(s => s.Id == session, cancel);
        if (
            row is null
            || row.EndedTicks is not null
            || now.UtcTicks - row.MadeTicks > LongestSession.Ticks
            || now.UtcTicks - row.SeenTicks > IdleSession.Ticks
        )
        {
            return false;
        }

        if (now.UtcTicks - row.SeenTicks > TimeSpan.FromMinutes(5).Ticks)
        {
            await db
                .Sessions.Where(s => s.Id == session)
                .ExecuteUpdateAsync(s => s.SetProperty(x => x.SeenTicks, now.UtcTicks), cancel);
        }

        return true;
    }

    /// <summary>Sessions that hold, of one person or of all, the last seen first.</summary>
    public async Task<IReadOnlyList<SessionRow>> SessionsAsync(Guid? person, CancellationToken cancel) =>
        await db
            .Sessions.AsNoTracking()
            .Where(s => s.EndedTicks == null && (person == null || s.PersonId == person))
            .OrderByDescending(s => s.SeenTicks)
            .ToListAsync(cancel);

    /// <summary>Ends a session.</summary>
    /// <param name="id">Which.</param>
    /// <param name="of">Whose it must be; none for anybody's.</param>
    /// <param name="now">The present instant.</param>
    /// <param name="cancel">Cancels.</param>
    public async Task<bool> EndAsync(Guid id, Guid? of, DateTimeOffset now, CancellationToken cancel) =>
        await db
            .Sessions.Where(s => s.Id == id && s.EndedTicks == null && (of == null || s.PersonId == of))
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.EndedTicks, now.UtcTicks), cancel) > 0;

    public static string? NameProblem(string name) =>
        string.IsNullOrWhiteSpace(name) || name.Length > LongestName ? $"Write 1 to {LongestName} characters." : null;

    private Task<int> EndSessionsAsync(Guid person, Guid? except, DateTimeOffset now, CancellationToken cancel) =>
        db
            .Sessions.Where(s => s.PersonId == person && s.EndedTicks == null && s.Id != except)
            .ExecuteUpdateAsync(s => s.SetProperty(x => x.EndedTicks, now.UtcTicks), cancel);

    private static PersonRow Person(string name, bool isOwner, DateTimeOffset now) =>
        new()
        {
            Id = Guid.NewGuid(),
            Name = name,
            IsOwner = isOwner,
            PasswordHash = "",
            AddedTicks = now.UtcTicks,
        };

    private static bool SameName(string a, string b) =>
        string.Equals(a.Trim(), b.Trim(), StringComparison.OrdinalIgnoreCase);
}
