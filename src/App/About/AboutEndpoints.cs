using System.Reflection;
using System.Text.Json;

namespace App.About;

/// <summary>A package or font that ships with the application and is the work of others.</summary>
/// <param name="Name">Name.</param>
/// <param name="Version">Version.</param>
/// <param name="Licence">Licence, by its SPDX name where it has one.</param>
/// <param name="For">What it is used for.</param>
public sealed record Notice(string Name, string Version, string Licence, string For);

/// <summary>What this is.</summary>
public sealed record AboutView(string Version, IReadOnlyList<Notice> Notices);

/// <summary>Version and third-party notices.</summary>
public static class AboutEndpoints
{
    private static readonly AboutView About = new(
        Assembly.GetExecutingAssembly().GetName().Version?.ToString(3) ?? "",
        Read()
    );

    public static void MapAbout(this WebApplication app) =>
        app.MapGet("/api/about", () => TypedResults.Ok(About)).WithName("about").WithTags("About");

    private static List<Notice> Read()
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream("App.About.notices.json")!;
        return JsonSerializer.Deserialize<List<Notice>>(stream, JsonSerializerOptions.Web)!;
    }
}
