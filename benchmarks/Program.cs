using System.Globalization;
using Benchmarks;

// Every figure is a ratio against a baseline of the same run, so that it means the same on any machine.
// Matrices here are small: to share one out among threads costs more than it spares.
MathNet.Numerics.Control.UseSingleThread();
Console.WriteLine("Hushed Lantern: speed and memory within one run");
if (args is [] or ["pairing"])
{
    PairingBenchmark.Run();
}

if (args is [] or ["brood"])
{
    BroodBenchmark.Run();
}

if (args is [] or ["forecast"])
{
    ForecastBenchmark.Run();
}

if (args is [] or ["worlds", ..])
{
    var (at, scatter) = (Array.IndexOf(args, "--seed"), Array.IndexOf(args, "--scatter"));
    WorldsBenchmark.Run(
        at < 0
            ? [1, 2, 3]
            :
            [
                .. args.Skip(at + 1)
                    .TakeWhile(s => !s.StartsWith('-'))
                    .Select(s => int.Parse(s, CultureInfo.InvariantCulture)),
            ],
        scatter < 0 ? Worlds.WorldMaker.Steady : double.Parse(args[scatter + 1], CultureInfo.InvariantCulture)
    );
}

if (args is [] or ["climate", ..])
{
    var at = Array.IndexOf(args, "--seed");
    await ClimateBenchmark.RunAsync(
        at < 0 ? [1, 2, 3] : [.. args.Skip(at + 1).Select(s => int.Parse(s, CultureInfo.InvariantCulture))]
    );
}

if (args is [] or ["clients", ..])
{
    await ClientsBenchmark.RunAsync(clients: 50, TimeSpan.FromSeconds(60));
}

if (args is [] or ["larder"])
{
    await LarderBenchmark.RunAsync(animals: 2_000, entriesEach: 100);
}

if (args is [] or ["room"])
{
    await RoomBenchmark.RunAsync(small: 1_000, large: 10_000, entriesEach: 100);
}

if (args is [] or ["journal"])
{
    await JournalBenchmark.RunAsync(animals: 10_000, entriesEach: 100);
}

if (args is [] or ["load"])
{
    await LoadBenchmark.RunAsync(animals: 10_000);
}
