using Benchmarks;

// Every figure is a ratio against a baseline of the same run, so that it means the same on any machine.
Console.WriteLine("Hushed Lantern: speed and memory within one run");
ForecastBenchmark.Run();
if (args is not ["forecast"])
{
    await LarderBenchmark.RunAsync(animals: 2_000, entriesEach: 100);
}

if (args is not ["forecast"] and not ["larder"])
{
    await JournalBenchmark.RunAsync(animals: 10_000, entriesEach: 100);
}
