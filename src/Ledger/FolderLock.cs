using Ledger.Safekeeping;

namespace Ledger;

/// <summary>
/// Holds the data folder for one process: the operating system lets go of it when the process ends, however it ends, so
/// that a killed server never locks anybody out.
/// </summary>
public sealed class FolderLock : IDisposable
{
    private const string Name = "lantern.lock";

    private readonly FileStream held;

    private FolderLock(FileStream held) => this.held = held;

    /// <summary>Takes the folder.</summary>
    /// <returns>None when another process holds it.</returns>
    public static FolderLock? TryTake(string folder)
    {
        OwnersOnly.Folder(folder);
        try
        {
            // An advisory lock of the system on the whole file, which the file itself outlives.
            return new FolderLock(
                new FileStream(Path.Combine(folder, Name), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None)
            );
        }
        catch (IOException)
        {
            return null;
        }
    }

    /// <summary>Lets go of the folder.</summary>
    public void Dispose() => held.Dispose();
}
