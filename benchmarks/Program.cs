using Benchmarks;

// Every figure is a ratio against a baseline of the same run, so that it means the same on any machine.
Console.WriteLine("Hushed Lantern: speed and memory within one run");
ForecastBenchmark.Run();
if (args is not ["forecast"])
{
    await JournalBenchmark.RunAsync(animals: 10_000, entriesEach: 100);
}
