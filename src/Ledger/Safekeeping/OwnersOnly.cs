namespace Ledger.Safekeeping;

/// <summary>Keeps what holds the record from other accounts of the machine.</summary>
public static class OwnersOnly
{
    private const UnixFileMode FolderMode = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;
    private const UnixFileMode FileMode = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    /// <summary>Makes a folder, if it is not there, that nobody else may enter.</summary>
    public static void Folder(string path)
    {
        if (OperatingSystem.IsWindows())
        {
            Directory.CreateDirectory(path);
            return;
        }

        Directory.CreateDirectory(path, FolderMode);
        Set(path, FolderMode);
    }

    /// <summary>Lets nobody else read or write a file, if it is there.</summary>
    public static void File(string path)
    {
        if (!OperatingSystem.IsWindows() && System.IO.File.Exists(path))
        {
            Set(path, FileMode);
        }
    }

    [System.Runtime.Versioning.UnsupportedOSPlatform("windows")]
    private static void Set(string path, UnixFileMode mode)
    {
        try
        {
            System.IO.File.SetUnixFileMode(path, mode);
        }
        catch (UnauthorizedAccessException)
        {
            // It belongs to another account, which has let this one in on purpose.
        }
    }
}
