using System.Diagnostics;
using Microsoft.Extensions.Time.Testing;

namespace Browser.Tests;

/// <summary>Lets the room's clock run as the device's does, until it is disposed: what is sent later is not dated earlier.</summary>
internal sealed class RunningClock : IDisposable
{
    private static readonly TimeSpan Tick = TimeSpan.FromMilliseconds(4);

    private readonly FakeTimeProvider clock;
    private readonly Stopwatch watch = Stopwatch.StartNew();
    private readonly Lock turn = new();
    private readonly Timer timer;
    private TimeSpan passed;

    public RunningClock(FakeTimeProvider clock)
    {
        this.clock = clock;
        timer = new Timer(_ => Advance(), null, Tick, Tick);
    }

    public void Dispose()
    {
        timer.Dispose();
        Advance();
    }

    private void Advance()
    {
        lock (turn)
        {
            var now = watch.Elapsed;
            clock.Advance(now - passed);
            passed = now;
        }
    }
}
