using System.Text.Json.Serialization;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Rounds;

/// <summary>Whether an animal fits its enclosure, in one word.</summary>
public enum FitWord
{
    /// <summary>The enclosure or the animal was never measured.</summary>
    Unknown,

    /// <summary>It fits, and will after the molts ahead.</summary>
    Fits,

    /// <summary>It fits now and will not after a molt to come.</summary>
    Outgrows,

    /// <summary>It does not fit now.</summary>
    Misfits,
}

/// <summary>
/// What lists, shelves, the strip of nights and the almanac need of one animal, as judged for a night. Kept beside the
/// standing, so that ten thousand can be shown without judging any.
/// </summary>
/// <param name="StockId">Which.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="TankId">The shared tank in which it lives, if it does.</param>
/// <param name="Name">Its name.</param>
/// <param name="Species">Scientific name.</param>
/// <param name="Group">Group of the rulebook.</param>
/// <param name="GroupOne">One animal of that group, in a word.</param>
/// <param name="Kind">Specimen, brood, colony or tank.</param>
/// <param name="Sex">Sex as far as known.</param>
/// <param name="Stage">Stage of life.</param>
/// <param name="Instar">Instar as written, if known.</param>
/// <param name="Count">Number of animals; of a tank those in it, none while it stands empty.</param>
/// <param name="Tags">The keeper's own words for it.</param>
/// <param name="Phase">Phase.</param>
/// <param name="Shutters">Closed shutters, 0–3.</param>
/// <param name="Never">What the hush table forbids tonight.</param>
/// <param name="Came">Day it came.</param>
/// <param name="LastMeal">Night of its last meal.</param>
/// <param name="LastMolt">Night of its last molt.</param>
/// <param name="Molts">Molts on record here.</param>
/// <param name="AteAgain">Night of its first meal since the last molt, as far back as meals are remembered.</param>
/// <param name="Paired">Nights on which it was put together with a mate since its last molt.</param>
/// <param name="Band">What is awaited of it.</param>
/// <param name="EndedWaits">The last waits of it that are over, other than for molts.</param>
/// <param name="MealDue">Night of its next meal; none while food is hushed.</param>
/// <param name="MealEveryDays">Days between meals.</param>
/// <param name="WaterDue">Night of its next water; none where none is given.</param>
/// <param name="WaterEveryDays">Days between waterings.</param>
/// <param name="Watered">Whether any water is on record, or none is given.</param>
/// <param name="Hazard">What it can do to people.</param>
/// <param name="Enclosure">What it lives in, if measured.</param>
/// <param name="Fit">Whether it fits.</param>
/// <param name="FitText">The same in words.</param>
/// <param name="Quarantine">Night until which it belongs apart; none when it does not.</param>
/// <param name="MotherId">Its mother, if on record.</param>
/// <param name="FatherId">Its father, likewise.</param>
/// <param name="LentTo">With whom it is for a time; none while it is here.</param>
/// <param name="Departure">How it left, if it did.</param>
/// <param name="LeftOn">Night on which it left.</param>
/// <param name="Sequence">Newest entry folded.</param>
public sealed record Glance(
    Guid StockId,
    Place Place,
    Guid? TankId,
    string Name,
    string Species,
    string Group,
    string GroupOne,
    StockKind Kind,
    Sex Sex,
    Stage Stage,
    string? Instar,
    int Count,
    IReadOnlyList<string> Tags,
    Phase Phase,
    int Shutters,
    IReadOnlyList<CareAct> Never,
    DateOnly Came,
    DateOnly? LastMeal,
    DateOnly? LastMolt,
    int Molts,
    DateOnly? AteAgain,
    IReadOnlyList<DateOnly> Paired,
    GlanceBand? Band,
    IReadOnlyList<EndedWait> EndedWaits,
    DateOnly? MealDue,
    double MealEveryDays,
    DateOnly? WaterDue,
    double WaterEveryDays,
    bool Watered,
    Hazard? Hazard,
    Enclosure? Enclosure,
    FitWord Fit,
    string FitText,
    DateOnly? Quarantine,
    Guid? MotherId,
    Guid? FatherId,
    string? LentTo,
    Journal.DepartureKind? Departure,
    DateOnly? LeftOn,
    long Sequence
)
{
    /// <summary>Whether it is still in the collection.</summary>
    [JsonIgnore]
    public bool IsHere => Departure is null;

    /// <summary>Whether it is hushed, so that the round names it as "pass by". Source: docs/how-it-works.md, the lantern.</summary>
    [JsonIgnore]
    public bool IsHushed => LentTo is null && PhaseMark.Of(Phase).PassesBy;

    /// <summary>Reads off a judgement.</summary>
    public static Glance Of(Judgement j)
    {
        var s = j.Subject;
        var standing = s.Standing;
        var details = standing.Details;
        var fit = j.Fit;
        return new Glance(
            standing.StockId,
            s.Place,
            standing.TankId,
            details.Nickname,
            s.SpeciesName,
            details.Group,
            s.Group.One,
            details.Kind,
            details.Sex,
            j.Stage.Value,
            s.InstarText,
            standing.IsTank ? j.Inmates.Sum(i => i.Subject.Standing.Details.Count) : details.Count,
            details.Tags ?? [],
            j.Phase.Value,
            PhaseMark.Of(j.Phase.Value).Shutters,
            j.Hush.Never,
            details.AcquiredOn,
            j.Meal.Value.LastMeal,
            standing.Growth.LastMolt is { } molt ? s.Night(molt.When.Middle) : null,
            standing.Growth.Molts.Count,
            standing.Growth.LastMolt is { } skin
            && standing.Feeding.Meals.FirstOrDefault(m => m.At > skin.When.To) is { } meal
                ? s.Night(meal.At)
                : null,
            [.. standing.PairingsNow.Select(p => s.Night(p.At)).Distinct()],
            GlanceBand.Of(j),
            EndedWait.Of(s),
            standing.Loan is null ? j.Meal.Value.Due : null,
            j.Meal.Value.EveryDays,
            standing.Loan is null ? j.Water.Value.Due : null,
            j.Water.Value.EveryDays,
            standing.Water.LastGivenAt is not null || standing.Water.Tube is not null || j.Water.Value.Due is null,
            s.Profile.Hazard?.Value,
            s.House?.Enclosure,
            fit.Value is null ? FitWord.Unknown
                : fit.Value.Now.Count > 0 ? FitWord.Misfits
                : fit.Value.Outgrown is not null ? FitWord.Outgrows
                : FitWord.Fits,
            fit.Value is null ? "" : fit.Summary,
            Housing.Quarantine.Of(s).Value?.Until,
            details.MotherId,
            details.FatherId,
            standing.Loan?.To,
            standing.Departure?.Kind,
            standing.Departure is { } left ? s.Night(left.At) : null,
            standing.LatestSequence
        );
    }
}

/// <summary>Something awaited of an animal, as a band of nights.</summary>
/// <param name="Kind">What kind of wait.</param>
/// <param name="Vigil">What is awaited; a first meal counts with the molt before it.</param>
/// <param name="Label">In two or three words.</param>
/// <param name="From">One in ten such waits is over by then.</param>
/// <param name="Likely">Half are.</param>
/// <param name="To">Nine in ten are.</param>
/// <param name="Ordinal">The how many-th wait of this kind of the animal, so that a calendar knows it again.</param>
public sealed record GlanceBand(
    BandKind Kind,
    VigilKind Vigil,
    string Label,
    DateOnly From,
    DateOnly Likely,
    DateOnly To,
    int Ordinal
)
{
    /// <summary>What is awaited next; none when nothing is.</summary>
    public static GlanceBand? Of(Judgement j)
    {
        var standing = j.Subject.Standing;
        if (standing.Departure is not null)
        {
            return null;
        }

        if (j.Phase.Value == Phase.Hardening && j.FirstMeal.Value is { } first)
        {
            return new GlanceBand(
                BandKind.FirstMeal,
                VigilKind.Molt,
                "first meal",
                first.From,
                first.Night,
                first.To,
                standing.Growth.Molts.Count
            );
        }

        // One that lies on its back is awaited tonight, whatever else is.
        if (j.Wait.Value is { } wait && !(j.Phase.Value == Phase.Imminent && j.Molt.Value is not null))
        {
            return new GlanceBand(
                BandKind.Wait,
                wait.Vigil,
                VigilDefinition.EndOf(wait.Vigil),
                wait.P10,
                wait.P50,
                wait.P90,
                standing.Vigils.All.Count(v => v.Vigil == wait.Vigil)
            );
        }

        return j.Molt.Value is { } molt
            ? new GlanceBand(
                BandKind.Molt,
                VigilKind.Molt,
                VigilDefinition.EndOf(VigilKind.Molt),
                molt.P10,
                molt.P50,
                molt.P90,
                standing.Growth.Molts.Count + 1
            )
            : null;
    }
}

/// <summary>A wait of an animal that is over.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="Ordinal">The how many-th of its kind.</param>
/// <param name="Label">How it ended.</param>
/// <param name="On">Night on which it did.</param>
public sealed record EndedWait(VigilKind Vigil, int Ordinal, string Label, DateOnly On)
{
    private const int Kept = 2;

    /// <summary>The last waits of an animal that are over.</summary>
    public static IReadOnlyList<EndedWait> Of(Subject s) =>
        [
            .. s
                .Standing.Vigils.All.GroupBy(v => v.Vigil)
                .SelectMany(g => g.Select((v, i) => (Wait: v, Ordinal: i + 1)))
                .Where(x => x.Wait.Ended is not null)
                .Select(x => new EndedWait(
                    x.Wait.Vigil,
                    x.Ordinal,
                    VigilDefinition.Of(x.Wait.Vigil).PastEnd(x.Wait.AsHoped),
                    s.Night(x.Wait.Ended!.Middle)
                ))
                .OrderByDescending(w => w.On)
                .Take(Kept),
        ];
}
