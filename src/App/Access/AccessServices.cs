using System.Globalization;
using System.Security.Claims;
using System.Threading.RateLimiting;
using App.Almanac;
using App.Climate;
using App.Hosting;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.DataProtection.Repositories;
using Microsoft.Extensions.Options;

namespace App.Access;

/// <summary>Marks an address that only the owner of the room may use.</summary>
public sealed class OwnerOnly;

/// <summary>
/// Who may come in. On this machine alone nobody is asked for anything. On the network everybody signs in, and a sitter's
/// link or a calendar's address opens nothing but its own sheet.
/// </summary>
public static class AccessServices
{
    public const string SignInLimit = "sign-in";

    /// <summary>For what a link alone opens: a sitter's sheet, a calendar.</summary>
    public const string LinkLimit = "link";
    public const string SessionClaim = "session";
    public const string OwnerRole = "owner";
    public const string ReaderRole = "reader";

    public const string OwnerFirst =
        "To listen on the network an owner's password must be set first: run ./lantern password, or set it under People in the room itself.";

    private const string CookieName = "lantern";
    private const int AttemptsAMinute = 8;

    // A sitter ticks a line every second at most, and each tick reads the sheet anew.
    private const int ByLinkAMinute = 240;

    // The cookie lasts as long as a session can; when that ends is for the session to say.
    private static readonly TimeSpan SignedInFor = People.LongestSession;

    public static void AddAccess(this IServiceCollection services)
    {
        services
            .AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme)
            .AddCookie(cookie =>
            {
                cookie.Cookie.Name = CookieName;
                cookie.Cookie.HttpOnly = true;
                cookie.Cookie.SameSite = SameSiteMode.Strict;
                cookie.ExpireTimeSpan = SignedInFor;
                cookie.SlidingExpiration = true;
                cookie.Events.OnRedirectToLogin = context => Bare(context, StatusCodes.Status401Unauthorized);
                cookie.Events.OnRedirectToAccessDenied = context => Bare(context, StatusCodes.Status403Forbidden);
                cookie.Events.OnValidatePrincipal = ValidateAsync;
            });
        services.AddAntiforgery(forgery =>
        {
            forgery.HeaderName = "X-Lantern-Token";
            forgery.Cookie.Name = "lantern-forgery";
            forgery.Cookie.SameSite = SameSiteMode.Strict;
        });
        services.AddDataProtection().SetApplicationName("hushed-lantern");
        // Kept beside the data, so that a restart signs nobody out.
        services.AddSingleton<IConfigureOptions<KeyManagementOptions>>(
            provider => new ConfigureOptions<KeyManagementOptions>(keys =>
                keys.XmlRepository = new FileSystemXmlRepository(
                    new DirectoryInfo(
                        Path.Combine(
                            Path.GetDirectoryName(provider.GetRequiredService<LanternOptions>().DataFile)!,
                            "keys"
                        )
                    ),
                    provider.GetRequiredService<ILoggerFactory>()
                )
            )
        );

        services.AddRateLimiter(limiter =>
        {
            limiter.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            limiter.OnRejected = async (context, cancel) =>
                await TooMany(
                        context.HttpContext,
                        context.Lease.TryGetMetadata(MetadataName.RetryAfter, out var wait)
                            ? wait
                            : TimeSpan.FromMinutes(1)
                    )
                    .ExecuteAsync(context.HttpContext);
            limiter.AddPolicy(
                SignInLimit,
                context =>
                    RateLimitPartition.GetFixedWindowLimiter(
                        context.Connection.RemoteIpAddress?.ToString() ?? "",
                        _ => new FixedWindowRateLimiterOptions
                        {
                            PermitLimit = AttemptsAMinute,
                            Window = TimeSpan.FromMinutes(1),
                        }
                    )
            );
            limiter.AddPolicy(
                LinkLimit,
                context =>
                    RateLimitPartition.GetFixedWindowLimiter(
                        context.Connection.RemoteIpAddress?.ToString() ?? "",
                        _ => new FixedWindowRateLimiterOptions
                        {
                            PermitLimit = ByLinkAMinute,
                            Window = TimeSpan.FromMinutes(1),
                        }
                    )
            );
            limiter.AddPolicy(GatewayEndpoints.Limit, GatewayEndpoints.LimitOf);
        });
        services.AddSingleton<SignInAttempts>();
        services.AddScoped<AccessLog>();
    }

    /// <summary>The answer to too many attempts: when to come again.</summary>
    public static IResult TooMany(HttpContext context, TimeSpan wait)
    {
        var seconds = (int)Math.Ceiling(Math.Max(1, wait.TotalSeconds));
        context.Response.Headers.RetryAfter = seconds.ToString(CultureInfo.InvariantCulture);
        var minutes = (int)Math.Ceiling(wait.TotalMinutes);
        return Results.Problem(
            statusCode: StatusCodes.Status429TooManyRequests,
            title: string.Create(
                CultureInfo.InvariantCulture,
                $"Too many attempts. Wait {(minutes > 1 ? $"{minutes} minutes" : "a minute")} and try again."
            )
        );
    }

    /// <summary>Whether the owner has a password.</summary>
    public static async Task<bool> HasOwnerAsync(this WebApplication app)
    {
        using var scope = app.Services.CreateScope();
        return await scope.ServiceProvider.GetRequiredService<People>().HasOwnerAsync(CancellationToken.None);
    }

    /// <summary>Only the owner of the room may use this, once anybody must sign in.</summary>
    public static TBuilder ForOwner<TBuilder>(this TBuilder builder)
        where TBuilder : IEndpointConventionBuilder => builder.WithMetadata(new OwnerOnly());

    public static void UseAccess(this WebApplication app)
    {
        app.UseRateLimiter();
        app.UseAuthentication();
        app.Use(GuardAsync);
    }

    private static async Task GuardAsync(HttpContext context, RequestDelegate next)
    {
        var options = context.RequestServices.GetRequiredService<LanternOptions>();
        if (!options.Lan || IsOpen(context.Request))
        {
            await next(context);
            return;
        }

        if (context.User.Identity?.IsAuthenticated != true)
        {
            await Results
                .Problem(statusCode: StatusCodes.Status401Unauthorized, title: "Sign in first.")
                .ExecuteAsync(context);
            return;
        }

        if (context.GetEndpoint()?.Metadata.GetMetadata<OwnerOnly>() is not null && !context.User.IsInRole(OwnerRole))
        {
            await Results
                .Problem(statusCode: StatusCodes.Status403Forbidden, title: "Only the owner of the room may do that.")
                .ExecuteAsync(context);
            return;
        }

        if (
            ChangesSomething(context.Request)
            && context.User.IsInRole(ReaderRole)
            && !context.Request.Path.StartsWithSegments("/api/session", StringComparison.OrdinalIgnoreCase)
            && !context.Request.Path.StartsWithSegments("/api/calc", StringComparison.OrdinalIgnoreCase)
        )
        {
            await Results
                .Problem(
                    statusCode: StatusCodes.Status403Forbidden,
                    title: "You read here and write nothing. Ask the owner of the room if that should change."
                )
                .ExecuteAsync(context);
            return;
        }

        if (ChangesSomething(context.Request) && !await IsOursAsync(context))
        {
            await Results
                .Problem(
                    statusCode: StatusCodes.Status400BadRequest,
                    title: "This did not come from an open page of the room: reload and try again.",
                    // By this the page knows that it has to ask for a new token.
                    extensions: new Dictionary<string, object?> { ["code"] = "token" }
                )
                .ExecuteAsync(context);
            return;
        }

        await next(context);
    }

    /// <summary>What is open to everybody: the bare page without data, signing in, and what has a secret of its own.</summary>
    private static bool IsOpen(HttpRequest request)
    {
        var path = request.Path;
        return path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase)
            ? path.StartsWithSegments("/api/sit", StringComparison.OrdinalIgnoreCase)
                || path.Equals("/api/session", StringComparison.OrdinalIgnoreCase)
                || path.Equals("/api/session/sign-in", StringComparison.OrdinalIgnoreCase)
                || path.Equals("/api/health", StringComparison.OrdinalIgnoreCase)
                || path.Equals(GatewayEndpoints.ReadingsPath, StringComparison.OrdinalIgnoreCase)
            : HttpMethods.IsGet(request.Method)
                || HttpMethods.IsHead(request.Method)
                || path.StartsWithSegments(AlmanacEndpoints.FeedRoot, StringComparison.OrdinalIgnoreCase);
    }

    private static bool ChangesSomething(HttpRequest request) =>
        !HttpMethods.IsGet(request.Method)
        && !HttpMethods.IsHead(request.Method)
        && !HttpMethods.IsOptions(request.Method);

    private static async Task<bool> IsOursAsync(HttpContext context) =>
        await context.RequestServices.GetRequiredService<IAntiforgery>().IsRequestValidAsync(context);

    private static Task Bare(RedirectContext<CookieAuthenticationOptions> context, int status)
    {
        context.Response.StatusCode = status;
        return Task.CompletedTask;
    }

    /// <summary>A cookie holds only as long as its session does, so that a session can be ended from elsewhere.</summary>
    private static async Task ValidateAsync(CookieValidatePrincipalContext context)
    {
        var services = context.HttpContext.RequestServices;
        var cancel = context.HttpContext.RequestAborted;
        if (
            !Guid.TryParse(context.Principal?.FindFirstValue(SessionClaim), out var session)
            || !await services
                .GetRequiredService<People>()
                .HoldsAsync(session, services.GetRequiredService<TimeProvider>().GetUtcNow(), cancel)
        )
        {
            context.RejectPrincipal();
            await context.HttpContext.SignOutAsync();
        }
    }
}
