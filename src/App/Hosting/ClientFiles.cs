using System.Net;
using System.Security.Cryptography;
using Microsoft.Net.Http.Headers;

namespace App.Hosting;

/// <summary>Serves the built client and keeps the page to what ships with it.</summary>
public static class ClientFiles
{
    private const string NonceMark = "__STYLE_NONCE__";
    private const string ClientMark = "__CLIENT__";
    private const string NonceItem = "style-nonce";

    /// <summary>Header that says which client is served, so that an open page knows when it is out of date.</summary>
    private const string ClientHeader = "X-Lantern-Client";

    public static void UseHostFiltering(this WebApplication app) =>
        app.Use(
            async (context, next) =>
            {
                if (IsOurs(context.Request.Host.Host, context.RequestServices.GetRequiredService<LanternOptions>()))
                {
                    await next();
                    return;
                }

                await Results
                    .Problem(statusCode: StatusCodes.Status400BadRequest, title: "This name is not served here.")
                    .ExecuteAsync(context);
            }
        );

    /// <summary>
    /// Only this machine's own names and bare addresses: a foreign page cannot rebind its name to us and read along.
    /// </summary>
    private static bool IsOurs(string host, LanternOptions options) =>
        host is "127.0.0.1" or "localhost" or "[::1]"
        || (
            options.Lan
            && (
                IPAddress.TryParse(host.Trim('[', ']'), out _)
                || string.Equals(host, Environment.MachineName, StringComparison.OrdinalIgnoreCase)
                || string.Equals(host, $"{Environment.MachineName}.local", StringComparison.OrdinalIgnoreCase)
                || (
                    Uri.TryCreate(options.PublicAddress, UriKind.Absolute, out var own)
                    && string.Equals(host, own.Host, StringComparison.OrdinalIgnoreCase)
                )
            )
        );

    /// <summary>Says with every answer of the API which client is served.</summary>
    public static void UseClientName(this WebApplication app)
    {
        var client = app.Services.GetRequiredService<BuiltClient>();
        app.Use(
            (context, next) =>
            {
                if (
                    context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal) && client.Name is { } name
                )
                {
                    context.Response.Headers[ClientHeader] = name;
                }

                return next();
            }
        );
    }

    public static void UseSecurityHeaders(this WebApplication app) =>
        app.Use(
            (context, next) =>
            {
                var nonce = Convert.ToBase64String(RandomNumberGenerator.GetBytes(16));
                context.Items[NonceItem] = nonce;
                var headers = context.Response.Headers;
                headers.ContentSecurityPolicy =
                    $"default-src 'self'; style-src 'self' 'nonce-{nonce}'; style-src-attr 'unsafe-inline'; img-src 'self' data:; "
                    + "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
                headers.XContentTypeOptions = "nosniff";
                headers[HeaderNames.XFrameOptions] = "DENY";
                headers["Referrer-Policy"] = "no-referrer";
                headers["Cross-Origin-Resource-Policy"] = "same-origin";
                if (context.Request.Path.StartsWithSegments("/api", StringComparison.OrdinalIgnoreCase))
                {
                    // Nothing of the room stays in a cache of somebody else's browser or of a proxy.
                    headers.CacheControl = "no-store";
                }

                return next();
            }
        );

    /// <summary>
    /// A change is taken from the room's own pages only: any web page could else send one to this machine in the keeper's
    /// name, signed in or not.
    /// </summary>
    public static void UseOwnPagesOnly(this WebApplication app) =>
        app.Use(
            async (context, next) =>
            {
                if (!ComesFromElsewhere(context.Request))
                {
                    await next();
                    return;
                }

                await Results
                    .Problem(
                        statusCode: StatusCodes.Status403Forbidden,
                        title: "This did not come from a page of the room: nothing was changed."
                    )
                    .ExecuteAsync(context);
            }
        );

    private static bool ComesFromElsewhere(HttpRequest request)
    {
        if (
            HttpMethods.IsGet(request.Method)
            || HttpMethods.IsHead(request.Method)
            || HttpMethods.IsOptions(request.Method)
        )
        {
            return false;
        }

        var origin = request.Headers.Origin.ToString();
        var foreign =
            origin.Length > 0
            && !(
                Uri.TryCreate(origin, UriKind.Absolute, out var from)
                && string.Equals(from.Authority, request.Host.Value, StringComparison.OrdinalIgnoreCase)
            );
        return foreign || request.Headers["Sec-Fetch-Site"] == "cross-site";
    }

    public static void UseClientFiles(this WebApplication app) =>
        app.UseStaticFiles(
            new StaticFileOptions
            {
                OnPrepareResponse = file =>
                {
                    // Files under assets carry a hash in their name and never change.
                    var forEver = file.Context.Request.Path.StartsWithSegments("/assets", StringComparison.Ordinal);
                    file.Context.Response.Headers.CacheControl = forEver
                        ? "public, max-age=31536000, immutable"
                        : "no-cache";
                },
            }
        );

    public static void MapClient(this WebApplication app)
    {
        app.Map("/api/{**rest}", () => Problems.NotFound("address under /api")).ExcludeFromDescription();
        app.MapFallback(
                (HttpContext context, BuiltClient client) =>
                {
                    if (client.Page is not { } html)
                    {
                        return Results.Problem(
                            statusCode: StatusCodes.Status503ServiceUnavailable,
                            title: "The client is not built: run ./lantern demo or ./lantern start."
                        );
                    }

                    context.Response.Headers.CacheControl = "no-store";
                    return Results.Content(
                        html.Replace(NonceMark, (string)context.Items[NonceItem]!, StringComparison.Ordinal)
                            .Replace(ClientMark, client.Name, StringComparison.Ordinal),
                        "text/html; charset=utf-8"
                    );
                }
            )
            .ExcludeFromDescription();
    }
}
