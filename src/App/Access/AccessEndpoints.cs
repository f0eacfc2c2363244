using System.Security.Claims;
using App.Hosting;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Access;

/// <summary>Signing in and out, people, sessions.</summary>
public static class AccessEndpoints
{
    public static void MapAccess(this WebApplication app)
    {
        var session = app.MapGroup("/api/session").WithTags("Access");
        session.MapGet("", ReadAsync).WithName("session");
        session
            .MapPost("sign-in", SignInAsync)
            .WithName("signIn")
            .Produces<SessionView>()
            .ProducesValidationProblem()
            .ProducesProblem(429)
            .RequireRateLimiting(AccessServices.SignInLimit);
        session.MapPost("sign-out", SignOutAsync).WithName("signOut").Produces<SessionView>();
        session
            .MapPut("password", ChangePasswordAsync)
            .WithName("changePassword")
            .Produces<SessionView>()
            .ProducesValidationProblem()
            .RequireRateLimiting(AccessServices.SignInLimit);

        var access = app.MapGroup("/api/access").WithTags("Access").ForOwner();
        access.MapGet("", PeopleAsync).WithName("access");
        access.MapPut("owner", SetOwnerAsync).WithName("setOwner").Produces<AccessView>().ProducesValidationProblem();
        access.MapPost("people", AddAsync).WithName("addHelper").Produces<AccessView>().ProducesValidationProblem();
        access
            .MapDelete("people/{id:guid}", RemoveAsync)
            .WithName("removeHelper")
            .Produces<AccessView>()
            .ProducesProblem(404);
        access
            .MapDelete("sessions/{id:guid}", EndAsync)
            .WithName("endSession")
            .Produces<AccessView>()
            .ProducesProblem(404);
    }

    private static async Task<Ok<SessionView>> ReadAsync(
        HttpContext context,
        LanternOptions options,
        IAntiforgery forgery,
        People people,
        CancellationToken cancel
    ) => TypedResults.Ok(await ViewAsync(context, options, forgery, people, cancel));

    private static async Task<SessionView> ViewAsync(
        HttpContext context,
        LanternOptions options,
        IAntiforgery forgery,
        People people,
        CancellationToken cancel
    )
    {
        context.Response.Headers.CacheControl = "no-cache, no-store";
        var tokens = forgery.GetAndStoreTokens(context);
        return new SessionView(
            options.Lan,
            context.User.FindFirstValue(ClaimTypes.Name),
            !options.Lan || context.User.IsInRole(AccessServices.OwnerRole),
            await people.HasOwnerAsync(cancel),
            context.User.IsInRole(AccessServices.ReaderRole),
            tokens.RequestToken ?? ""
        );
    }

    private static async Task<IResult> SignInAsync(
        SignInRequest body,
        HttpContext context,
        LanternOptions options,
        IAntiforgery forgery,
        People people,
        SignInAttempts attempts,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (attempts.Take(body.Name, context.Connection.RemoteIpAddress?.ToString() ?? "") is { } wait)
        {
            return AccessServices.TooMany(context, wait);
        }

        if (await people.CheckAsync(body.Name, body.Password, cancel) is not { } person)
        {
            await log.NoteAsync(AccessEvent.Refused, context, cancel, who: body.Name);
            return Problems.Of("password", "Name and password do not fit together.");
        }

        var session = await people.BeginAsync(
            person,
            context.Connection.RemoteIpAddress?.ToString() ?? "",
            context.Request.Headers.UserAgent.ToString(),
            clock.GetUtcNow(),
            cancel
        );
        var claims = new List<Claim>
        {
            new(ClaimTypes.NameIdentifier, person.Id.ToString()),
            new(ClaimTypes.Name, person.Name),
            new(AccessServices.SessionClaim, session.Id.ToString()),
        };
        if (person.IsOwner)
        {
            claims.Add(new Claim(ClaimTypes.Role, AccessServices.OwnerRole));
        }

        if (person.IsReader)
        {
            claims.Add(new Claim(ClaimTypes.Role, AccessServices.ReaderRole));
        }

        await log.NoteAsync(AccessEvent.SignedIn, context, cancel, who: person.Name);
        var principal = new ClaimsPrincipal(
            new ClaimsIdentity(claims, CookieAuthenticationDefaults.AuthenticationScheme)
        );
        await context.SignInAsync(principal, new AuthenticationProperties { IsPersistent = true });
        context.User = principal;
        return TypedResults.Ok(await ViewAsync(context, options, forgery, people, cancel));
    }

    private static async Task<IResult> SignOutAsync(
        HttpContext context,
        LanternOptions options,
        IAntiforgery forgery,
        People people,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (SessionOf(context) is { } session)
        {
            await log.NoteAsync(AccessEvent.SignedOut, context, cancel);
            await people.EndAsync(session, null, clock.GetUtcNow(), cancel);
        }

        await context.SignOutAsync();
        context.User = new ClaimsPrincipal(new ClaimsIdentity());
        return TypedResults.Ok(await ViewAsync(context, options, forgery, people, cancel));
    }

    private static async Task<IResult> ChangePasswordAsync(
        PasswordRequest body,
        HttpContext context,
        LanternOptions options,
        IAntiforgery forgery,
        People people,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var id = Guid.TryParse(context.User.FindFirstValue(ClaimTypes.NameIdentifier), out var known)
            ? known
            : Guid.Empty;
        if (await people.FindAsync(id, cancel) is not { } person || SessionOf(context) is not { } session)
        {
            return Results.Problem(statusCode: StatusCodes.Status401Unauthorized, title: "Sign in first.");
        }

        if (await people.CheckAsync(person.Name, body.Former, cancel) is null)
        {
            return Problems.Of("former", "Is not your password.");
        }

        if (Passwords.Problem(body.Password, person.Name) is { } weak)
        {
            return Problems.Of("password", weak);
        }

        await people.ChangePasswordAsync(person, body.Password, session, clock.GetUtcNow(), cancel);
        await log.NoteAsync(AccessEvent.PasswordChanged, context, cancel);
        return TypedResults.Ok(await ViewAsync(context, options, forgery, people, cancel));
    }

    private static async Task<Ok<AccessView>> PeopleAsync(
        HttpContext context,
        LanternOptions options,
        People people,
        AccessLog log,
        CancellationToken cancel
    ) => TypedResults.Ok(await ListAsync(context, options, people, log, cancel));

    private static async Task<AccessView> ListAsync(
        HttpContext context,
        LanternOptions options,
        People people,
        AccessLog log,
        CancellationToken cancel
    )
    {
        var all = await people.AllAsync(cancel);
        var names = all.ToDictionary(p => p.Id, p => p.Name);
        var own = SessionOf(context);
        return new AccessView(
            [.. all.Select(p => new PersonView(p.Id, p.Name, p.IsOwner, p.IsReader, At(p.AddedTicks)))],
            [
                .. (await people.SessionsAsync(null, cancel))
                    .Where(s => names.ContainsKey(s.PersonId))
                    .Select(s => new OpenSession(
                        s.Id,
                        names[s.PersonId],
                        s.From,
                        s.Browser,
                        At(s.MadeTicks),
                        At(s.SeenTicks),
                        s.Id == own
                    )),
            ],
            await log.NewestAsync(cancel),
            options.Lan,
            options.PublicAddress
        );
    }

    private static async Task<IResult> SetOwnerAsync(
        OwnerRequest body,
        HttpContext context,
        LanternOptions options,
        People people,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (People.NameProblem(body.Name) is { } wrong)
        {
            return Problems.Of("name", wrong);
        }

        if (Passwords.Problem(body.Password, body.Name) is { } weak)
        {
            return Problems.Of("password", weak);
        }

        var all = await people.AllAsync(cancel);
        if (
            all.FirstOrDefault(p => p.IsOwner) is { } owner
            && await people.CheckAsync(owner.Name, body.Former ?? "", cancel) is null
        )
        {
            return Problems.Of(
                "former",
                "Is not the password that is set now. Who has forgotten it runs ./lantern password on the machine itself."
            );
        }

        if (all.Any(p => !p.IsOwner && string.Equals(p.Name, body.Name.Trim(), StringComparison.OrdinalIgnoreCase)))
        {
            return Problems.Of("name", "Somebody of this name is there already.");
        }

        await people.SetOwnerAsync(body.Name.Trim(), body.Password, clock.GetUtcNow(), cancel);
        await log.NoteAsync(AccessEvent.OwnerSet, context, cancel);
        return TypedResults.Ok(await ListAsync(context, options, people, log, cancel));
    }

    private static async Task<IResult> AddAsync(
        HelperRequest body,
        HttpContext context,
        LanternOptions options,
        People people,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var now = clock.GetUtcNow();
        if (await people.AddHelperAsync(body.Name, body.Password, body.IsReader, now, cancel) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        await log.NoteAsync(AccessEvent.PersonAdded, context, cancel, body.Name.Trim());
        return TypedResults.Ok(await ListAsync(context, options, people, log, cancel));
    }

    private static async Task<IResult> RemoveAsync(
        Guid id,
        HttpContext context,
        LanternOptions options,
        People people,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var person = await people.FindAsync(id, cancel);
        if (person is null || !await people.RemoveHelperAsync(id, clock.GetUtcNow(), cancel))
        {
            return Problems.NotFound("helper");
        }

        await log.NoteAsync(AccessEvent.PersonRemoved, context, cancel, person.Name);
        return TypedResults.Ok(await ListAsync(context, options, people, log, cancel));
    }

    private static async Task<IResult> EndAsync(
        Guid id,
        HttpContext context,
        LanternOptions options,
        People people,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (!await people.EndAsync(id, null, clock.GetUtcNow(), cancel))
        {
            return Problems.NotFound("session");
        }

        await log.NoteAsync(AccessEvent.SessionEnded, context, cancel);
        return TypedResults.Ok(await ListAsync(context, options, people, log, cancel));
    }

    private static Guid? SessionOf(HttpContext context) =>
        Guid.TryParse(context.User.FindFirstValue(AccessServices.SessionClaim), out var id) ? id : null;

    private static DateTimeOffset At(long ticks) => new(ticks, TimeSpan.Zero);
}
