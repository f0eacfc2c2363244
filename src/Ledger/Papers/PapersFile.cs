using System.IO.Compression;
using System.Text.Json;
using Husbandry.Reasons;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Papers;

/// <summary>Papers as one file: a zip with <c>papers.json</c> and the pictures beside it.</summary>
public static class PapersFile
{
    private const string Name = "papers.json";
    private const long MostTextBytes = 5_000_000;

    /// <summary>Writes papers with their pictures.</summary>
    public static async Task<byte[]> WriteAsync(LanternDb db, TravelPapers papers, CancellationToken cancel)
    {
        using var bytes = new MemoryStream();
        await using (var zip = new ZipArchive(bytes, ZipArchiveMode.Create, leaveOpen: true))
        {
            await using (var text = await zip.CreateEntry(Name, CompressionLevel.Optimal).OpenAsync(cancel))
            {
                await JsonSerializer.SerializeAsync(text, papers, RoomFile.Json, cancel);
            }

            foreach (var picture in papers.Pictures)
            {
                var jpeg = await db
                    .Pictures.AsNoTracking()
                    .Where(p => p.Id == picture.Id)
                    .Select(p => p.Jpeg)
                    .FirstOrDefaultAsync(cancel);
                if (jpeg is not null)
                {
                    await using var entry = await zip.CreateEntry(
                            RoomArchive.NameOf(picture.Id),
                            CompressionLevel.NoCompression
                        )
                        .OpenAsync(cancel);
                    await entry.WriteAsync(jpeg, cancel);
                }
            }
        }

        return bytes.ToArray();
    }

    /// <summary>Reads papers; their pictures are read one by one from the open archive.</summary>
    /// <param name="file">The file.</param>
    /// <returns>What it holds, or what is wrong with its form.</returns>
    public static (OpenPapers? Papers, IReadOnlyList<Problem> Problems) Open(byte[] file)
    {
        ArgumentNullException.ThrowIfNull(file);
        ZipArchive? zip = null;
        try
        {
            zip = new ZipArchive(new MemoryStream(file), ZipArchiveMode.Read);
            if (zip.GetEntry(Name) is not { Length: <= MostTextBytes } entry)
            {
                zip.Dispose();
                return (
                    null,
                    [new Problem("file", $"These are no papers: there is no {Name} in it, or one that is too large.")]
                );
            }

            using var stream = entry.Open();
            // What the archive says of its length is not taken on trust.
            var text = new byte[entry.Length];
            var read = stream.ReadAtLeast(text, text.Length, throwOnEndOfStream: false);
            if (read < text.Length || stream.ReadByte() >= 0)
            {
                throw new InvalidDataException();
            }

            if (JsonSerializer.Deserialize<TravelPapers>(text, RoomFile.Json) is { } papers)
            {
                return (new OpenPapers(papers, zip), []);
            }

            zip.Dispose();
            return (null, [new Problem("file", "It is empty.")]);
        }
        catch (InvalidDataException)
        {
            zip?.Dispose();
            return (null, [new Problem("file", "These are no papers, or the file is damaged.")]);
        }
        catch (Exception error) when (error is JsonException or NotSupportedException)
        {
            zip?.Dispose();
            return (null, [new Problem(error is JsonException json ? json.Path ?? "file" : "file", error.Message)]);
        }
    }
}

/// <summary>Papers that were opened.</summary>
/// <param name="papers">The papers.</param>
/// <param name="zip">The archive with their pictures.</param>
public sealed class OpenPapers(TravelPapers papers, ZipArchive zip) : IDisposable
{
    private const int MostPictureBytes = 12 * 1024 * 1024;

    /// <summary>The papers.</summary>
    public TravelPapers Papers => papers;

    /// <summary>A picture's bytes as they were sent; none when they are missing, damaged or too many.</summary>
    public byte[]? Jpeg(Guid picture)
    {
        if (zip.GetEntry(RoomArchive.NameOf(picture)) is not { Length: <= MostPictureBytes } entry)
        {
            return null;
        }

        try
        {
            using var stream = entry.Open();
            // What the archive says of its length is not taken on trust.
            var bytes = new byte[entry.Length];
            var read = stream.ReadAtLeast(bytes, bytes.Length, throwOnEndOfStream: false);
            return read == bytes.Length && stream.ReadByte() < 0 ? bytes : null;
        }
        catch (InvalidDataException)
        {
            return null;
        }
    }

    /// <inheritdoc/>
    public void Dispose() => zip.Dispose();
}
