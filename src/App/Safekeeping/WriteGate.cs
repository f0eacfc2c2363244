using System.Globalization;
using Microsoft.Net.Http.Headers;

namespace App.Safekeeping;

/// <summary>
/// Whether the room may be written just now. While a file is loaded or a copy put back whoever writes hears so at once and is
/// not left to wait; a damaged file is not written to at all.
/// </summary>
public sealed class WriteGate
{
    private const int TryAgainSeconds = 5;

    private Shut? shut;

    /// <summary>Why nothing may be written; none when it may.</summary>
    public string? Closed => shut?.Why;

    /// <summary>Closes it for a piece of work.</summary>
    /// <param name="why">What writers are told.</param>
    /// <returns>What opens it again when it is disposed; none when it is closed already.</returns>
    public IDisposable? TryClose(string why)
    {
        var mine = new Shut(this, why);
        return Interlocked.CompareExchange(ref shut, mine, null) is null ? mine : null;
    }

    /// <summary>Lets a request through, unless it would write what may not be written.</summary>
    public async Task GuardAsync(HttpContext context, RequestDelegate next)
    {
        if (Closed is not { } why || IsReading(context.Request) || IsAboutTheGate(context.Request.Path))
        {
            await next(context);
            return;
        }

        context.Response.Headers[HeaderNames.RetryAfter] = TryAgainSeconds.ToString(CultureInfo.InvariantCulture);
        await Results.Problem(statusCode: StatusCodes.Status503ServiceUnavailable, title: why).ExecuteAsync(context);
    }

    private static bool IsReading(HttpRequest request) =>
        HttpMethods.IsGet(request.Method)
        || HttpMethods.IsHead(request.Method)
        || HttpMethods.IsOptions(request.Method);

    // Calculators write nothing; safekeeping looks at the gate itself; who may put a copy back must be able to sign in.
    private static bool IsAboutTheGate(PathString path) =>
        path.StartsWithSegments(SafekeepingEndpoints.Root, StringComparison.OrdinalIgnoreCase)
        || path.StartsWithSegments("/api/session", StringComparison.OrdinalIgnoreCase)
        || path.StartsWithSegments("/api/calc", StringComparison.OrdinalIgnoreCase);

    private sealed class Shut(WriteGate gate, string why) : IDisposable
    {
        public string Why => why;

        public void Dispose() => Interlocked.CompareExchange(ref gate.shut, null, this);
    }
}
