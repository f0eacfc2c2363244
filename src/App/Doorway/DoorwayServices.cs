using System.Globalization;
using System.Net;
using System.Text;
using App.Access;
using App.Hosting;
using Microsoft.AspNetCore.Http.HttpResults;
using QRCoder;

namespace App.Doorway;

/// <summary>How the room is reached from the network.</summary>
/// <param name="OnNetwork">Whether it listens there.</param>
/// <param name="Encrypted">Whether it is served by TLS; without it a phone opens it only while the server is in reach.</param>
/// <param name="Address">Address for phones.</param>
/// <param name="TrustAddress">Address at which a phone learns to trust it; none where nothing is encrypted.</param>
/// <param name="Fingerprint">Fingerprint of the room's root (SHA-256), to be compared with what a phone shows.</param>
public sealed record DoorwayView(
    bool OnNetwork,
    bool Encrypted,
    string Address,
    string? TrustAddress,
    string? Fingerprint
);

/// <summary>The way in from the network: TLS under a root of the room's own, the page on which phones learn to trust it, codes to scan.</summary>
public static class DoorwayServices
{
    private const string RootPath = "/root.crt";
    private const int LongestPath = 200;

    /// <summary>Listens on this machine, or on the network: encrypted, unless plain was asked for.</summary>
    public static void UseDoorway(this IWebHostBuilder web, LanternOptions options) =>
        web.ConfigureKestrel(kestrel =>
        {
            if (!options.Lan)
            {
                kestrel.Listen(IPAddress.Loopback, options.Port);
                return;
            }

            if (!options.Encrypted)
            {
                kestrel.Listen(IPAddress.Any, options.Port);
                return;
            }

            var certificates = kestrel.ApplicationServices.GetRequiredService<RoomCertificates>();
            kestrel.Listen(
                IPAddress.Any,
                options.Port,
                listen => listen.UseHttps(https => https.ServerCertificateSelector = (_, _) => certificates.Leaf())
            );
            kestrel.Listen(IPAddress.Any, options.DoorPort);
        });

    public static void AddDoorway(this IServiceCollection services) =>
        services.AddSingleton(provider =>
        {
            var options = provider.GetRequiredService<LanternOptions>();
            return new RoomCertificates(
                options.CertificateFolder,
                provider.GetRequiredService<TimeProvider>(),
                () => ServedNames.Now(options.NetworkAddress)
            );
        });

    /// <summary>Where nothing is encrypted yet, a phone gets the root and how to trust it, and nothing else of the room.</summary>
    public static void UseTrustDoor(this WebApplication app)
    {
        var options = app.Services.GetRequiredService<LanternOptions>();
        if (!options.Encrypted)
        {
            return;
        }

        app.Use(
            async (context, next) =>
            {
                if (context.Request.IsHttps)
                {
                    await next(context);
                    return;
                }

                var certificates = context.RequestServices.GetRequiredService<RoomCertificates>();
                context.Response.Headers.ContentSecurityPolicy = "default-src 'none'; style-src 'unsafe-inline'";
                var answer =
                    context.Request.Path == RootPath
                        ? Results.File(
                            certificates.RootForPhones(),
                            "application/x-x509-ca-cert",
                            "hushed-lantern-root.crt"
                        )
                        : Results.Content(
                            TrustPage.Html(options.PublicAddress, RootPath, certificates.Fingerprint()),
                            "text/html; charset=utf-8"
                        );
                await answer.ExecuteAsync(context);
            }
        );
    }

    public static void MapDoorway(this WebApplication app)
    {
        var doorway = app.MapGroup("/api/doorway").WithTags("Doorway").ForOwner();
        doorway.MapGet("", Read).WithName("doorway");
        doorway
            .MapGet("code.svg", Code)
            .WithName("doorwayCode")
            .Produces<string>(200, "image/svg+xml")
            .ProducesValidationProblem();
    }

    private static Ok<DoorwayView> Read(LanternOptions options, RoomCertificates certificates) =>
        TypedResults.Ok(
            new DoorwayView(
                options.Lan,
                options.Encrypted,
                options.PublicAddress,
                options.DoorAddress,
                options.Encrypted ? certificates.Fingerprint() : null
            )
        );

    /// <summary>A code to scan that leads to an address of the room, or to the page on which a phone learns to trust it.</summary>
    /// <param name="path">Path within the room; left out for the page of trust.</param>
    private static IResult Code(string? path, HttpContext context, LanternOptions options)
    {
        if (path is not null && (path.Length > LongestPath || !path.StartsWith('/')))
        {
            return Problems.Of(
                "path",
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"Must begin with / and have at most {LongestPath} characters."
                )
            );
        }

        var address = path is null ? options.DoorAddress ?? options.PublicAddress : options.PublicAddress + path;
        using var generator = new QRCodeGenerator();
        using var data = generator.CreateQrCode(address, QRCodeGenerator.ECCLevel.M);
        using var code = new SvgQRCode(data);
        context.Response.Headers.CacheControl = "no-store";
        return Results.Content(
            code.GetGraphic(4, "#000000", "#ffffff", sizingMode: SvgQRCode.SizingMode.ViewBoxAttribute),
            "image/svg+xml",
            Encoding.UTF8
        );
    }
}
