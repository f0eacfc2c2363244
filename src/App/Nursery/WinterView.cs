using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace App.Nursery;

/// <summary>A pupa, or several kept as one, in the cold or about to go there.</summary>
/// <param name="Count">How many.</param>
/// <param name="Since">Night on which it was put in the cold; none where it was not.</param>
/// <param name="MeansC">Mean of each day since, °C; null where nothing was read.</param>
/// <param name="BelowC">A day counts when its mean is no warmer, °C.</param>
/// <param name="NeededWeeks">Weeks of cold that it needs.</param>
/// <param name="Days">The days counted.</param>
/// <param name="IsDone">Whether it has had what it needs.</param>
/// <param name="Phase">How it stands, in a sentence, with its reasons.</param>
/// <param name="Besides">Days that were too warm or not read, in words; empty where there are none.</param>
/// <param name="Forecast">When it comes out.</param>
public sealed record PupaInWinter(
    Guid StockId,
    string Name,
    string Species,
    Place Place,
    Sex Sex,
    int Count,
    DateOnly? Since,
    IReadOnlyList<double?> MeansC,
    double BelowC,
    double NeededWeeks,
    ChillDone Days,
    bool IsDone,
    Answer<Phase> Phase,
    string Besides,
    Answer<VigilForecast?> Forecast
)
{
    /// <summary>The winter of an animal; none where it needs none, or has it behind it.</summary>
    public static PupaInWinter? Of(Judgement j)
    {
        var s = j.Subject;
        return
            s.Standing.Vigils.OpenOf(VigilKind.Emergence) is null
            || s.Standing.Departure is not null
            || WinterWeeks.Of(s) is not { IsTakenOut: false } winter
            ? null
            : new PupaInWinter(
                s.Standing.StockId,
                s.Standing.Details.Nickname,
                s.SpeciesName,
                s.Standing.OwnPlace,
                s.Standing.Details.Sex,
                s.Standing.Details.Count,
                s.Standing.Vigils.Chill is { } chill ? s.Night(chill.From) : null,
                winter.MeansC,
                winter.BelowC,
                winter.Needed,
                winter.Days,
                winter.IsDone,
                j.Phase,
                winter.Besides,
                j.Waits.First(w => w.Value?.Vigil == VigilKind.Emergence)
            );
    }
}
