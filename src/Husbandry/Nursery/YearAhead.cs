using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Nursery;

/// <summary>A part of the year of a moth or butterfly.</summary>
public enum YearPart
{
    /// <summary>Eggs.</summary>
    Eggs,

    /// <summary>Larvae, from hatching to the last leaf.</summary>
    Larvae,

    /// <summary>Pupae in the warm.</summary>
    Pupae,

    /// <summary>Pupae in the cold.</summary>
    Winter,

    /// <summary>Adults.</summary>
    Adults,
}

/// <summary>One stretch of the year.</summary>
/// <param name="Part">What they are then.</param>
/// <param name="From">First night.</param>
/// <param name="To">Last night.</param>
/// <param name="IsForecast">Whether it is told by the forecasts of those that live here; else by what is usual of the kind.</param>
public sealed record YearSpan(YearPart Part, DateOnly From, DateOnly To, bool IsForecast);

/// <summary>The year ahead of some animals of one species, as one band.</summary>
/// <param name="Species">The species.</param>
/// <param name="Names">Whose year it is.</param>
/// <param name="Count">How many they are.</param>
/// <param name="Spans">The stretches from tonight on, in order.</param>
/// <param name="Why">What it rests on.</param>
public sealed record YearAhead(
    string Species,
    IReadOnlyList<string> Names,
    int Count,
    IReadOnlyList<YearSpan> Spans,
    IReadOnlyList<Reason> Why
)
{
    /// <summary>Days that are drawn.</summary>
    public const int Days = 365;

    /// <summary>
    /// The year of every species of which larvae, pupae, eggs or adults are here: those that are at one part of it make one band.
    /// </summary>
    /// <param name="all">The animals, each with its stage and when what it waits for is half likely to be over.</param>
    public static IReadOnlyList<YearAhead> Of(IEnumerable<(Subject Subject, Stage Stage, DateOnly? WaitOver)> all) =>
        [
            .. all.Where(a => a.Subject.Profile.Larvae is not null && a.Subject.Standing.Departure is null)
                .Select(a => (a.Subject, Part: PartOf(a.Subject, a.Stage), a.Stage, a.WaitOver))
                .GroupBy(a => (a.Subject.SpeciesName, a.Part))
                .OrderBy(g => g.Key.SpeciesName, StringComparer.Ordinal)
                .ThenBy(g => g.Key.Part)
                .Select(g =>
                {
                    var first = g.OrderBy(a => a.WaitOver ?? DateOnly.MaxValue)
                        .ThenByDescending(a => a.Subject.Standing.Details.Count)
                        .First();
                    return new YearAhead(
                        g.Key.SpeciesName,
                        [.. g.Select(a => a.Subject.Standing.Details.Nickname).Order(StringComparer.Ordinal)],
                        g.Sum(a => a.Subject.Standing.Details.Count),
                        SpansOf(first.Subject, first.Part, first.Stage, first.WaitOver),
                        WhyOf(first.Subject)
                    );
                }),
        ];

    private static YearPart PartOf(Subject s, Stage stage) =>
        s.AllWaitFor(VigilKind.Hatching) || stage == Stage.Egg ? YearPart.Eggs
        : s.AllWaitFor(VigilKind.Emergence) || stage == Stage.Pupa ? (s.IsChilled ? YearPart.Winter : YearPart.Pupae)
        : stage == Stage.Adult ? YearPart.Adults
        : YearPart.Larvae;

    private static List<YearSpan> SpansOf(Subject s, YearPart part, Stage stage, DateOnly? over)
    {
        var (tonight, end) = (s.Room.Tonight, s.Room.Tonight.AddDays(Days));
        var spans = new List<YearSpan>();
        var (from, isNow) = (tonight, true);
        var wintered = s.Standing.Vigils.Chill is { To: not null };
        while (from < end)
        {
            var to = To(s, part, stage, from, isNow, over, wintered);
            var last = to <= from ? from.AddDays(1) : to;
            spans.Add(new YearSpan(part, from, last > end ? end : last, isNow));
            var before = part;
            part = part switch
            {
                YearPart.Eggs => YearPart.Larvae,
                YearPart.Larvae => YearPart.Pupae,
                YearPart.Pupae => Rests(s) && !wintered ? YearPart.Winter : YearPart.Adults,
                YearPart.Winter => YearPart.Pupae,
                YearPart.Adults => YearPart.Eggs,
                _ => throw new ArgumentOutOfRangeException(
                    nameof(part),
                    part,
                    "Nothing follows such a part of the year."
                ),
            };
            wintered = before == YearPart.Winter || (wintered && before != YearPart.Adults);
            (from, isNow) = (last, false);
        }

        return spans;
    }

    /// <summary>Whether its kind rests a winter as a pupa without fail, or this one lies in the cold.</summary>
    private static bool Rests(Subject s) => s.Profile.Diapause?.Value is { } rest && (!rest.Facultative || s.IsChilled);

    private static DateOnly To(
        Subject s,
        YearPart part,
        Stage stage,
        DateOnly from,
        bool isNow,
        DateOnly? over,
        bool wintered
    )
    {
        DateOnly After(VigilKind vigil) =>
            from.AddDays(
                (int)
                    Math.Round(
                        (
                            s.Profile.Waits?.GetValueOrDefault(vigil)
                            ?? s.Group.Vigils.Waits.GetValueOrDefault(vigil)
                            ?? s.Room.Rules.Room.Lessons.UnknownWait
                        )
                            .Value
                            .P50
                    )
            );
        var profile = s.Profile;
        var life = s.AdultLife.Value;
        return part switch
        {
            YearPart.Eggs => isNow && over is { } hatched ? hatched : After(VigilKind.Hatching),
            YearPart.Larvae => isNow && LeafNeed.Of(s, stage, null) is { } leaf
                ? leaf.Value.Pupates
                : from.AddDays((int)Math.Round(LeafNeed.InstarDays(profile).Sum())),
            YearPart.Pupae => Rests(s) && !wintered ? ColdFrom(s, from)
            : isNow && over is { } emerged ? emerged
            : After(VigilKind.Emergence),
            YearPart.Winter => isNow && s.Standing.Vigils.WarmUpOn is { } planned ? planned
            : isNow && WinterWeeks.Of(s) is { } winter ? from.AddDays(winter.Days.MissingDays)
            : from.AddDays(
                (int)
                    Math.Round(
                        (profile.Diapause?.Value.ChillWeeks ?? 0)
                            * WinterWeeks.Week
                            * s.Room.Rules.Room.Lessons.ColdLasts.Value
                    )
            ),
            YearPart.Adults => from.AddDays((int)Math.Round((life.Low + life.High) / 2)),
            _ => throw new ArgumentOutOfRangeException(nameof(part), part, "Nothing says how long it lasts."),
        };
    }

    /// <summary>The next night of the year on which pupae are usually put in the cold.</summary>
    private static DateOnly ColdFrom(Subject s, DateOnly from)
    {
        var on = new DateOnly(from.Year, 1, 1).AddDays((int)s.Room.Rules.Room.Lessons.ColdFrom.Value - 1);
        return on >= from ? on : on.AddYears(1);
    }

    private static List<Reason> WhyOf(Subject s)
    {
        var lessons = s.Room.Rules.Room.Lessons;
        var why = new List<Reason>
        {
            s
                .Profile.MoltInterval.Values.First()
                .Because(
                    "Larvae",
                    "species.moltInterval.sling",
                    $"{LeafNeed.InstarDays(s.Profile).Count} instars, {Wording.Plain(Math.Round(LeafNeed.InstarDays(s.Profile).Sum()))} days in all at the warmth for which they hold; those that eat now by their own dates."
                ),
            s.AdultLife.Because(
                "Adults",
                "group.adultLifeDays",
                $"Adults live {Wording.Plain(s.AdultLife.Value.Low)} to {Wording.Plain(s.AdultLife.Value.High)} days."
            ),
        };
        if (s.Profile.Diapause is { } rest && Rests(s))
        {
            why.Add(
                rest.Because(
                    "Winter",
                    "species.diapause",
                    $"{Wording.Plain(rest.Value.ChillWeeks)} weeks of cold, and usually kept there {Wording.Plain(lessons.ColdLasts.Value)} times as long."
                )
            );
            why.Add(
                lessons.ColdFrom.Because(
                    "Into the cold",
                    "room.coldFrom",
                    $"Usually from {s.Room.Wording.Date(ColdFrom(s, s.Room.Tonight))}."
                )
            );
        }

        return why;
    }
}
