using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using Husbandry.Honesty;

namespace App.Honesty;

/// <summary>How forecasts and readings did, as a table for eyes and as JSON for scripts.</summary>
/// <param name="From">First night of the record.</param>
/// <param name="To">Last night of the record.</param>
/// <param name="Vigils">Forecasts by kind and group.</param>
/// <param name="Readings">Premolt readings by group.</param>
/// <param name="Ends">Chances of waits ending otherwise than hoped, by kind and group.</param>
/// <param name="Seasons">Forecasts of molts by the quarter in which they were made.</param>
/// <param name="TooLateToScore">Forecasts made too near the end of the record.</param>
/// <param name="CutShort">Forecasts whose animal left first, or whose wait ended otherwise.</param>
public sealed record BacktestReport(
    DateOnly From,
    DateOnly To,
    IReadOnlyList<BacktestLine> Vigils,
    IReadOnlyList<ReadingLine> Readings,
    IReadOnlyList<EndLine> Ends,
    IReadOnlyList<SeasonLine> Seasons,
    int TooLateToScore,
    int CutShort
)
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        WriteIndented = true,
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
    };

    public static BacktestReport Of(ReplayResult replay) =>
        new(
            replay.From,
            replay.To,
            BacktestLine.Of(replay.Forecasts),
            ReadingLine.Of(replay.Readings),
            EndLine.Of(replay.Ends),
            SeasonLine.Of(replay.Forecasts, replay.Readings),
            replay.TooLate,
            replay.CutShort
        );

    /// <summary>Prints the table, and after a blank line the JSON.</summary>
    public static void Write(ReplayResult replay, TextWriter say)
    {
        var report = Of(replay);
        say.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"Record of {report.From:yyyy-MM-dd} to {report.To:yyyy-MM-dd}."
            )
        );
        say.WriteLine();
        say.WriteLine(
            $"{"vigil", -13}{"group", -16}{"scored", 7}{"cover80", 9}{"likely", 9}{"med.err d", 11}{"pinball", 9}{"prior", 8}{"verdict", 10}{"n.last", 8}{"there", 8}{"last", 8}"
        );
        foreach (var l in report.Vigils)
        {
            say.WriteLine(
                $"{Name(l.Vigil.ToString()), -13}{l.Group, -16}{l.Forecasts, 7}{Number(l.Coverage80 * 100, 0) + " %", 9}{Between(l.CoverageLikely), 9}{Number(l.MedianAbsoluteErrorDays, 1), 11}{Number(l.PinballEngine, 2), 9}{Number(l.PinballSpeciesPrior, 2), 8}{Name(l.Verdict.ToString()), 10}{l.ComparedWithLast, 8}{Number(l.PinballEngineThere, 2), 8}{Number(l.PinballLastInterval, 2), 8}"
            );
        }

        say.WriteLine();
        say.WriteLine(
            $"{"readings", -13}{"group", -16}{"scored", 7}{"followed", 9}{"Brier", 11}{"of share", 9}{"ROC", 8}"
        );
        foreach (var r in report.Readings)
        {
            say.WriteLine(
                $"{"premolt", -13}{r.Group, -16}{r.Readings, 7}{Number(r.Followed * 100, 0) + " %", 9}{Number(r.Brier, 4), 11}{Number(r.BrierOfShare, 4), 9}{Number(r.AreaUnderRoc, 3), 8}"
            );
        }

        say.WriteLine();
        say.WriteLine(
            $"{"ends", -13}{"group", -16}{"scored", 7}{"otherwise", 10}{"Brier", 10}{"prior", 9}{"of share", 9}"
        );
        foreach (var e in report.Ends)
        {
            say.WriteLine(
                $"{Name(e.Vigil.ToString()), -13}{e.Group, -16}{e.Chances, 7}{Number(e.Otherwise * 100, 0) + " %", 10}{Number(e.Brier, 4), 10}{Number(e.BrierSpeciesPrior, 4), 9}{Number(e.BrierOfShare, 4), 9}"
            );
        }

        say.WriteLine();
        say.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{report.TooLateToScore} forecasts were made too near the end of the record to be scored; in {report.CutShort} the animal left first or the wait ended otherwise."
            )
        );
        say.WriteLine();
        say.WriteLine(JsonSerializer.Serialize(report, Json));
    }

    private static string Name(string vigil) => char.ToLowerInvariant(vigil[0]) + vigil[1..];

    private static string Between(Likely? likely) =>
        likely is null ? "–" : $"{Number(likely.Low * 100, 0)}–{Number(likely.High * 100, 0)}";

    private static string Number(double? value, int decimals) =>
        value?.ToString("F" + decimals.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture) ?? "–";
}
