using System.IO.Compression;

namespace Ledger;

/// <summary>A room file that was opened. Its journal and its pictures are read from it one at a time, as often as they are asked for.</summary>
public sealed class OpenRoom : IDisposable
{
    private readonly ZipArchive? zip;
    private readonly Stream? bare;

    /// <summary>A room that is at hand already.</summary>
    public OpenRoom(RoomFile file) => File = file;

    /// <summary>A bare file.</summary>
    /// <param name="file">What it holds beside its journal and its pictures.</param>
    /// <param name="text">The file, which can be sought in; closed by who opened it.</param>
    internal OpenRoom(RoomFile file, Stream text)
        : this(file) => bare = text;

    /// <summary>An archive.</summary>
    /// <param name="file">What it holds beside its journal and its pictures.</param>
    /// <param name="zip">The archive.</param>
    internal OpenRoom(RoomFile file, ZipArchive zip)
        : this(file) => this.zip = zip;

    /// <summary>The room; its journal is empty unless it was at hand already, and its pictures are only named.</summary>
    public RoomFile File { get; }

    /// <summary>The lines of its journal, one at a time.</summary>
    public IEnumerable<RoomFileEntry> Journal() => IsAtHand ? File.Journal : Read(RoomFileText.Lines);

    /// <summary>Its pictures, one at a time, with their bytes; none when those are missing or too many.</summary>
    /// <exception cref="InvalidDataException">The archive is damaged there.</exception>
    public IEnumerable<(RoomFilePicture Picture, byte[]? Jpeg)> Pictures() =>
        (
            File.Pictures is not { Count: > 0 } ? []
            : IsAtHand ? File.Pictures
            : Read(RoomFileText.PicturesOf)
        ).Select(p => (p, Jpeg(p)));

    /// <summary>The table of the room's air; none where the file has none.</summary>
    public Stream? Air() => zip?.GetEntry(AirTable.Name)?.Open();

    /// <inheritdoc/>
    public void Dispose() => zip?.Dispose();

    private bool IsAtHand => bare is null && zip is null;

    private IEnumerable<T> Read<T>(Func<Stream, IEnumerable<T>> elements)
    {
        if (bare is not null)
        {
            bare.Position = 0;
        }

        using var unfolded = zip?.GetEntry(RoomArchive.RoomName)?.Open();
        foreach (var element in elements(bare ?? unfolded!))
        {
            yield return element;
        }
    }

    private byte[]? Jpeg(RoomFilePicture picture)
    {
        if (picture.Jpeg is { } within)
        {
            return within.Length <= RoomArchive.MostPictureBytes ? within : null;
        }

        if (zip?.GetEntry(RoomArchive.NameOf(picture.Id)) is not { Length: <= RoomArchive.MostPictureBytes } entry)
        {
            return null;
        }

        using var stream = entry.Open();
        // What the archive says of its length is not taken on trust.
        var bytes = new byte[entry.Length];
        var read = stream.ReadAtLeast(bytes, bytes.Length, throwOnEndOfStream: false);
        return read == bytes.Length && stream.ReadByte() < 0 ? bytes : null;
    }
}
