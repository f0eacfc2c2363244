using System.Net;
using System.Net.Sockets;

namespace Hosting.Tests;

/// <summary>What a <see cref="CutProxy"/> lets through.</summary>
public enum Passage
{
    /// <summary>Everything.</summary>
    Open,

    /// <summary>Nothing: nobody answers.</summary>
    Closed,

    /// <summary>What is asked, and no answer to it: each is cut off when it comes.</summary>
    Mute,

    /// <summary>Everything but what changes something.</summary>
    ReadsOnly,
}

/// <summary>A line between browser and server that can be cut at any moment, as at the edge of a radio's reach.</summary>
public sealed class CutProxy : IDisposable
{
    private readonly TcpListener listener;
    private readonly Uri server;
    private readonly Lock gate = new();
    private readonly HashSet<TcpClient> open = [];
    private Passage passage;

    public CutProxy(Uri server)
    {
        this.server = server;
        // As near to the server as it is: on this machine alone, or at its address on the network.
        var at = IPAddress.TryParse(server.Host, out var address) ? address : IPAddress.Loopback;
        listener = new TcpListener(at, 0);
        listener.Start();
        _ = AcceptAsync();
    }

    /// <summary>The address for the browser.</summary>
    public Uri Address => new UriBuilder(server) { Port = ((IPEndPoint)listener.LocalEndpoint).Port }.Uri;

    /// <summary>Changes what is let through; lines that are open are cut.</summary>
    public void Let(Passage next)
    {
        lock (gate)
        {
            passage = next;
            foreach (var line in open)
            {
                line.Close();
            }

            open.Clear();
        }
    }

    public void Dispose()
    {
        listener.Stop();
        Let(Passage.Closed);
    }

    private Passage Now
    {
        get
        {
            lock (gate)
            {
                return passage;
            }
        }
    }

    private async Task AcceptAsync()
    {
        try
        {
            while (true)
            {
                _ = PassAsync(await listener.AcceptTcpClientAsync());
            }
        }
        catch (Exception stopped) when (stopped is SocketException or ObjectDisposedException)
        {
            // The test is over.
        }
    }

    private async Task PassAsync(TcpClient browser)
    {
        using var line = browser;
        using var ahead = new TcpClient();
        // Asked and kept in one step: a line that comes as the proxy is closed is cut as well.
        lock (gate)
        {
            if (passage == Passage.Closed)
            {
                return;
            }

            open.Add(line);
        }

        try
        {
            await ahead.ConnectAsync(server.Host, server.Port);
            var (from, to) = (line.GetStream(), ahead.GetStream());
            await Task.WhenAny(AskAsync(from, to), AnswerAsync(to, from));
        }
        catch (Exception cut) when (cut is IOException or SocketException or ObjectDisposedException)
        {
            // That is what it is for.
        }
        finally
        {
            lock (gate)
            {
                open.Remove(line);
            }
        }
    }

    private async Task AskAsync(NetworkStream from, NetworkStream to)
    {
        var buffer = new byte[64 * 1024];
        for (int read; (read = await from.ReadAsync(buffer)) > 0; )
        {
            if (Now == Passage.ReadsOnly && buffer.AsSpan(0, read).StartsWith("POST"u8))
            {
                return;
            }

            await to.WriteAsync(buffer.AsMemory(0, read));
        }
    }

    private async Task AnswerAsync(NetworkStream from, NetworkStream to)
    {
        var buffer = new byte[64 * 1024];
        for (int read; (read = await from.ReadAsync(buffer)) > 0; )
        {
            if (Now == Passage.Mute)
            {
                return;
            }

            await to.WriteAsync(buffer.AsMemory(0, read));
        }
    }
}
