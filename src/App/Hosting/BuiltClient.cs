using System.Security.Cryptography;
using System.Text;

namespace App.Hosting;

/// <summary>The client as it was built: its page, and a name that is another one for every build.</summary>
public sealed class BuiltClient(LanternOptions options)
{
    // Names of its scripts and styles carry hashes, so that the page is another one whenever any of them is.
    private const int NameBytes = 6;

    private volatile Built? built;

    private sealed record Built(DateTime Written, string Page, string Name);

    /// <summary>The page; none while the client is not built.</summary>
    public string? Page => Read()?.Page;

    /// <summary>Name of the build; none while the client is not built.</summary>
    public string? Name => Read()?.Name;

    private Built? Read()
    {
        var file = new FileInfo(Path.Combine(options.ClientFolder, "index.html"));
        if (!file.Exists)
        {
            return null;
        }

        var written = file.LastWriteTimeUtc;
        if (built is { } known && known.Written == written)
        {
            return known;
        }

        var page = File.ReadAllText(file.FullName);
        var name = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(page))[..NameBytes]);
        return built = new Built(written, page, name);
    }
}
