using System.Text.Json.Serialization;
using Husbandry.Colonies;
using Husbandry.Rooms;
using Husbandry.Rulebook;

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
/// <param name="Who">Who it is.</param>
/// <param name="Where">Where it is.</param>
/// <param name="Waits">What is awaited of it.</param>
/// <param name="Care">What is done for it at regular times.</param>
/// <param name="House">What it lives in.</param>
/// <param name="Sequence">Newest entry folded.</param>
public sealed record Glance(
    Guid StockId,
    GlanceWho Who,
    GlanceWhere Where,
    GlanceWaits Waits,
    GlanceCare Care,
    GlanceHouse House,
    long Sequence
)
{
    /// <summary>Whether it is still in the collection.</summary>
    [JsonIgnore]
    public bool IsHere => Where.Departure is null;

    /// <summary>Whether it is hushed, so that the round names it as "pass by". Source: docs/how-it-works.md, the lantern.</summary>
    [JsonIgnore]
    public bool IsHushed => Where.LentTo is null && PhaseMark.Of(Waits.Phase).PassesBy;

    /// <summary>Whether it still grows and no molt of it is on record: what is awaited of it rests on the rulebook alone.</summary>
    [JsonIgnore]
    public bool IsMoltUnknown =>
        Who.Kind == StockKind.Specimen
        && Who.Stage is (Stage.Sling or Stage.Juvenile or Stage.SubAdult)
        && Waits.LastMolt is null;

    /// <summary>Reads off a judgement.</summary>
    public static Glance Of(Judgement j)
    {
        var s = j.Subject;
        var standing = s.Standing;
        var details = standing.Details;
        var fit = j.Fit;
        return new Glance(
            standing.StockId,
            new GlanceWho(
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
                details.AcquiredOn,
                details.MotherId,
                details.FatherId,
                s.Profile.Hazard?.Value,
                details.Borrowed?.Owner,
                details.Wild?.Place
            ),
            new GlanceWhere(
                s.Place,
                standing.TankId,
                standing.Loan?.To,
                Housing.Quarantine.Of(s).Value?.Until,
                standing.Departure?.Kind,
                standing.Departure is { } left ? s.Night(left.At) : null
            ),
            new GlanceWaits(
                j.Phase.Value,
                PhaseMark.Of(j.Phase.Value).Shutters,
                j.Hush.Never,
                standing.Growth.LastMolt is { } molt ? s.Night(molt.When.Middle) : null,
                standing.Growth.Molts.Count,
                standing.Growth.LastMolt is { } skin
                && standing.Feeding.Meals.FirstOrDefault(m => m.At > skin.When.To) is { } meal
                    ? s.Night(meal.At)
                    : null,
                [.. standing.PairingsNow.Select(p => s.Night(p.At)).Distinct()],
                GlanceBand.Of(j),
                EndedWait.Of(s),
                standing.Births.Count > 0 || standing.Vigils.All.Any(v => v.Vigil == VigilKind.Young),
                GlanceApart.Of(j),
                s.IsChilled ? standing.Vigils.WarmUpOn : null,
                s.IsChilled || j.Phase.Value == Phase.Wintering
            ),
            new GlanceCare(j.Meal.Value.LastMeal, j.Care),
            new GlanceHouse(
                s.House?.Enclosure,
                fit.Value is null ? FitWord.Unknown
                    : fit.Value.Now.Count > 0 ? FitWord.Misfits
                    : fit.Value.Outgrown is not null ? FitWord.Outgrows
                    : FitWord.Fits,
                fit.Value is null ? "" : fit.Summary
            ),
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
                VigilDefinition.EndOf(wait.Vigil, j.Subject.Group),
                wait.P10,
                wait.P50,
                wait.P90,
                standing.Vigils.All.Count(v => v.Vigil == wait.Vigil)
            );
        }

        if (OfPouches(j.Subject) is { } young)
        {
            return young;
        }

        return j.Molt.Value is { } molt
            ? new GlanceBand(
                BandKind.Molt,
                VigilKind.Molt,
                VigilDefinition.Molts,
                molt.P10,
                molt.P50,
                molt.P90,
                standing.Growth.Molts.Count + 1
            )
            : null;
    }

    // Young of a tub of many; once they should be there nothing is awaited.
    private static GlanceBand? OfPouches(Subject tub) =>
        TubLookedEntry.Concerns(tub) && PouchYoung.Of(tub)?.Value is { } young && young.To >= tub.Room.Tonight
            ? new GlanceBand(
                BandKind.Wait,
                VigilKind.Young,
                "young leave the pouch",
                young.From,
                young.Likely,
                young.To,
                young.SeenOn.DayNumber
            )
            : null;
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
                    VigilDefinition.Of(x.Wait.Vigil).End(x.Wait.End!).PastOf(s.Group),
                    s.Night(x.Wait.Ended!.Middle)
                ))
                .OrderByDescending(w => w.On)
                .Take(Kept),
        ];
}
