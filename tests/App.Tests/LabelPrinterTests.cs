using Devices;

namespace App.Tests;

/// <summary>The stand-in for a label printer, whatever became of its memory.</summary>
public sealed class LabelPrinterTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lantern-printer-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Theory]
    [InlineData("{\"Roll\":")]
    [InlineData("")]
    [InlineData("null")]
    [InlineData("{}")]
    public void A_memory_that_was_half_written_is_begun_anew_after_the_labels_that_are_there(string memory)
    {
        var printer = new LabelPrinter(folder);
        printer.Load("small");
        Assert.Single(printer.Print("small", [("Tansy", [1])], DateTimeOffset.UnixEpoch).Printed);
        File.WriteAllText(Path.Combine(folder, "printer.json"), memory);
        Assert.Null(printer.Roll);
        Assert.NotNull(printer.Print("small", [("Fennel", [2])], DateTimeOffset.UnixEpoch).Refusal);
        printer.Load("small");
        Assert.Equal(2, Assert.Single(printer.Print("small", [("Fennel", [2])], DateTimeOffset.UnixEpoch).Printed).Id);
        Assert.Equal([1], printer.Picture(1)!);
    }
}
