using System.Net;

namespace App.Doorway;

/// <summary>The page on which a phone learns to trust the room. It is plain and holds nothing of the room.</summary>
internal static class TrustPage
{
    private const string Page = """
        <!doctype html>
        <html lang="en">
        <head>
        <meta charset="utf-8">
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <title>Trust this room</title>
        <style>
        body { margin: 0 auto; max-width: 34rem; padding: 1.25rem; font: 17px/1.5 system-ui, sans-serif; color: #ede3d2; background: #15120f; }
        h1 { font-size: 1.6rem; line-height: 1.15; } h2 { margin-top: 1.6rem; font-size: 1.1rem; }
        a { color: #edb459; } .go { display: inline-block; min-height: 48px; padding: 0 1.2rem; line-height: 48px; background: #e8a33d; color: #1b140b; font-weight: 650; text-decoration: none; border-radius: 3px; }
        li { margin: .3rem 0; } code { overflow-wrap: anywhere; color: #cdc1ae; }
        </style>
        </head>
        <body>
        <main>
        <h1>Let this phone trust the room</h1>
        <p>Once, for each phone. After that the room opens without a warning, also while the server is out of reach.</p>
        <p><a class="go" href="{root}">1. Fetch the room’s root</a></p>
        <h2>On an iPhone or iPad</h2>
        <ol>
        <li>Allow the profile to be loaded, then open Settings: “Profile loaded” stands near the top. Install it.</li>
        <li>In Settings, General, About, Certificate Trust Settings: switch the room’s root on.</li>
        </ol>
        <h2>On Android</h2>
        <ol>
        <li>In Settings search for “CA certificate”, choose to install one, and pick the file that was fetched.</li>
        </ol>
        <h2>On a computer</h2>
        <ol>
        <li>In the browser’s settings search for “certificates”, import the file under “authorities”, and let it name websites.</li>
        </ol>
        <p>What the phone shows as SHA-256 fingerprint must be the one that stands under People in the room:</p>
        <p><code>{fingerprint}</code></p>
        <p>This root can speak for addresses of your own network only, and for no other website.</p>
        <p><a class="go" href="{room}">2. Open the room</a></p>
        </main>
        </body>
        </html>
        """;

    /// <summary>The page.</summary>
    /// <param name="room">Address of the room.</param>
    /// <param name="root">Path of the root.</param>
    /// <param name="fingerprint">Fingerprint of the root.</param>
    public static string Html(string room, string root, string fingerprint) =>
        Page.Replace("{root}", root, StringComparison.Ordinal)
            .Replace("{fingerprint}", fingerprint, StringComparison.Ordinal)
            .Replace("{room}", WebUtility.HtmlEncode(room), StringComparison.Ordinal);
}
