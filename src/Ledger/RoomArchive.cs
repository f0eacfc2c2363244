using System.IO.Compression;
using System.Text.Json;
using Husbandry.Reasons;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>
/// A room as one file with its pictures: a zip with the room file as <c>room.json</c> and each picture as it is beside it,
/// and what sensors said by the minute as <c>air.csv</c>. The pictures are written and read one at a time, so that a room with thousands of them needs no more memory than one.
/// </summary>
public static class RoomArchive
{
    /// <summary>Name of the room file within it.</summary>
    public const string RoomName = "room.json";

    /// <summary>Most bytes of one picture.</summary>
    public const int MostPictureBytes = 20_000_000;

    // Far more than any room; a guard against what unfolds without end.
    private const long MostRoomBytes = 2_000_000_000;

    /// <summary>Name of a picture within it.</summary>
    public static string NameOf(Guid picture) => $"pictures/{picture}.jpg";

    /// <summary>Writes a room whole or not at all.</summary>
    /// <param name="db">The room.</param>
    /// <param name="file">The room file, without the pictures themselves.</param>
    /// <param name="path">Where to.</param>
    /// <param name="cancel">Cancels.</param>
    public static async Task WriteAsync(LanternDb db, RoomFile file, string path, CancellationToken cancel)
    {
        var beside = path + ".part";
        try
        {
            await using (var stream = File.Create(beside))
            {
                await using var zip = new ZipArchive(stream, ZipArchiveMode.Create);
                await using (var room = await zip.CreateEntry(RoomName, CompressionLevel.Optimal).OpenAsync(cancel))
                {
                    await JsonSerializer.SerializeAsync(room, file, RoomFile.Json, cancel);
                }

                if (file.SensorDays is { Count: > 0 })
                {
                    await using var air = await zip.CreateEntry(AirTable.Name, CompressionLevel.Optimal)
                        .OpenAsync(cancel);
                    await new AirTable(db).WriteAsync(air, cancel);
                }

                foreach (var picture in file.Pictures ?? [])
                {
                    var jpeg = await db
                        .Pictures.AsNoTracking()
                        .Where(p => p.Id == picture.Id)
                        .Select(p => p.Jpeg)
                        .FirstAsync(cancel);
                    // It is compressed as it is.
                    await using var entry = await zip.CreateEntry(NameOf(picture.Id), CompressionLevel.NoCompression)
                        .OpenAsync(cancel);
                    await entry.WriteAsync(jpeg, cancel);
                }
            }

            File.Move(beside, path, overwrite: true);
        }
        finally
        {
            File.Delete(beside);
        }
    }

    /// <summary>Whether a file begins as a zip does.</summary>
    /// <remarks>Source: PKWARE APPNOTE, local file header signature.</remarks>
    public static bool IsArchive(Stream file)
    {
        Span<byte> mark = stackalloc byte[2];
        var read = file.ReadAtLeast(mark, 2, throwOnEndOfStream: false);
        file.Position = 0;
        return read == 2 && mark[0] == 'P' && mark[1] == 'K';
    }

    /// <summary>Opens a room file, bare or as an archive.</summary>
    /// <param name="file">The file, which can be sought in; it stays open as long as the pictures are read.</param>
    /// <returns>What it holds, or what is wrong with its form.</returns>
    public static (OpenRoom? Room, IReadOnlyList<Problem> Problems) Open(Stream file)
    {
        if (!IsArchive(file))
        {
            var (bare, wrong) = RoomFileText.Read(file);
            return bare is null ? (null, wrong) : (new OpenRoom(bare, file), []);
        }

        try
        {
            var zip = new ZipArchive(file, ZipArchiveMode.Read, leaveOpen: true);
            if (zip.GetEntry(RoomName) is not { Length: <= MostRoomBytes } entry)
            {
                zip.Dispose();
                return (null, [new Problem("file", $"The archive has no {RoomName}, or one that is too large.")]);
            }

            using var text = entry.Open();
            var (room, problems) = RoomFileText.Read(text);
            if (room is not null)
            {
                return (new OpenRoom(room, zip), []);
            }

            zip.Dispose();
            return (null, problems);
        }
        catch (InvalidDataException error)
        {
            return (null, [new Problem("file", $"The archive is damaged: {error.Message}")]);
        }
    }
}
