using System.Diagnostics;

namespace Browser.Tests;

/// <summary>Lets a browser trust a room's root as a phone does: by installing it, and not by overlooking what is wrong.</summary>
internal static class Certificates
{
    /// <summary>A home in which a root is trusted, by Debian's certutil.</summary>
    public static string HomeThatTrusts(byte[] root)
    {
        var home = Directory.CreateTempSubdirectory("lantern-home-").FullName;
        var store = Path.Combine(home, ".pki", "nssdb");
        Directory.CreateDirectory(store);
        var file = Path.Combine(home, "root.crt");
        File.WriteAllBytes(file, root);
        Run("certutil", "-d", $"sql:{store}", "-N", "--empty-password");
        Run("certutil", "-d", $"sql:{store}", "-A", "-t", "C,,", "-n", "room", "-i", file);
        return home;
    }

    /// <summary>The browser as it starts from a home of its own.</summary>
    public static string BrowserAtHome(string home)
    {
        var script = Path.Combine(home, "chromium");
        File.WriteAllText(script, $"#!/bin/sh\nHOME='{home}' exec /usr/bin/chromium \"$@\"\n");
        if (!OperatingSystem.IsWindows())
        {
            File.SetUnixFileMode(script, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        }

        return script;
    }

    private static void Run(string program, params string[] arguments)
    {
        using var process = Process.Start(new ProcessStartInfo(program, arguments) { RedirectStandardError = true })!;
        var wrong = process.StandardError.ReadToEnd();
        process.WaitForExit();
        Assert.True(process.ExitCode == 0, $"{program}: {wrong}");
    }
}
