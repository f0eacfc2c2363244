using System.Text.Json.Serialization;
using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>How likely it is that a wait has ended by a night.</summary>
/// <param name="Night">The night.</param>
/// <param name="Chance">Chance (0–1).</param>
public sealed record NightBy(DateOnly Night, double Chance);

/// <summary>When something awaited is to be expected.</summary>
/// <param name="Vigil">What is awaited.</param>
/// <param name="P10">Night by which it would have come in one of ten such waits.</param>
/// <param name="P50">Night by which it would have come in half of them.</param>
/// <param name="P90">Night by which it would have come in nine of ten.</param>
/// <param name="WaitedNights">Nights since the wait began, or since arrival when that is not known.</param>
/// <param name="PremoltChance">Chance (0–1) that it is in premolt now; 0 for other waits.</param>
/// <param name="AdultChance">Chance (0–1) that it is adult already and molts no more, though its record does not say so: the nights hold if it still grows. 0 for other waits.</param>
/// <param name="Ladder">How each step of the evidence moved that chance; of a pairing the chance that it took; empty for other waits.</param>
/// <param name="LongerThanNormal">Whether the wait is beyond the 97.5 % point.</param>
/// <param name="Ends">The chance of each end by each night; none for molts. The nights above hold if it ends as hoped.</param>
/// <param name="Left">The whole distribution of what is left, if it ends as hoped; the three nights are read off it.</param>
/// <param name="Tonight">The night it was made.</param>
public sealed record VigilForecast(
    VigilKind Vigil,
    DateOnly P10,
    DateOnly P50,
    DateOnly P90,
    int WaitedNights,
    double PremoltChance,
    double AdultChance,
    IReadOnlyList<Rung> Ladder,
    bool LongerThanNormal,
    EndForecast? Ends,
    [property: JsonIgnore] NightsLeft Left,
    [property: JsonIgnore] DateOnly Tonight
)
{
    private const int MostSteps = 40;

    /// <summary>Share of waits that have ended by the last night of the grid.</summary>
    private const double Drawn = 0.95;

    /// <summary>
    /// The distribution as a grid, for drawings: from tonight on, evenly spaced, to the night by which 19 of 20 such waits have
    /// ended. Worked out when asked for: lists are never.
    /// </summary>
    public IReadOnlyList<NightBy> Grid
    {
        get
        {
            var nights = Math.Max(1, (int)Math.Ceiling(Left.Quantile(Drawn).Value));
            var step = (nights + MostSteps - 1) / MostSteps;
            return
            [
                .. Enumerable
                    .Range(0, ((nights + step - 1) / step) + 1)
                    .Select(k => new NightBy(Tonight.AddDays(k * step), Left.Within(new CalendarDays(k * step)))),
            ];
        }
    }

    /// <summary>The forecast of the next molt, the signs taken into account.</summary>
    /// <returns>No value for animals that will not molt again, or whose molts are not followed.</returns>
    public static Answer<VigilForecast?> OfMolt(LifeReading life)
    {
        var (subject, stage) = (life.Subject, life.Stage.Value);
        if (Molting.WillNotMoltAgain(subject) is { } never)
        {
            return new Answer<VigilForecast?>(null, never.Text, [never]);
        }

        var (_, wait, weighed, ladder) = MoltOutlook.Of(life);
        var room = subject.Room;
        var left = new NightsAhead(weighed, subject.Pace);
        DateOnly Quantile(double p) => left.Quantile(p).After(room.Tonight);
        var forecast = new VigilForecast(
            VigilKind.Molt,
            Quantile(0.1),
            Quantile(0.5),
            Quantile(0.9),
            wait.WaitedNights,
            weighed.PremoltChance,
            weighed.NeverChance,
            ladder,
            wait.StartIsKnown && wait.Left.ShareAlreadyOver > room.Rules.Room.Lessons.LongerThanNormal.Value,
            null,
            left,
            room.Tonight
        );
        return new Answer<VigilForecast?>(
            forecast,
            Summary(subject.PupatesNext(stage) ? "Pupates" : "Molts", forecast, room.Wording)
                + AdultUnmarked.Unless(subject, forecast.AdultChance),
            MoltReasons.Of(life, wait, forecast)
        );
    }

    /// <summary>The forecast of another wait that is under way.</summary>
    /// <param name="subject">The animal.</param>
    /// <param name="waiting">The wait.</param>
    /// <param name="molt">Its next molt, which may cut the wait short; none where no molt is awaited.</param>
    public static Answer<VigilForecast?> OfOther(Subject subject, VigilEvent waiting, VigilForecast? molt)
    {
        var wait = OpenWait.Of(subject, waiting);
        var words = subject.Room.Wording;
        var (vigil, began) = (wait.Began.Vigil, wait.Began.Began);
        var forecast = new VigilForecast(
            vigil,
            wait.Quantile(0.1),
            wait.Quantile(0.5),
            wait.Quantile(0.9),
            subject.NightsSince(began.Middle),
            0,
            0,
            wait.Evidence is { } seen
                ? [.. seen.Ladder(wait.Takes), new Rung("Nights waited since", "", wait.Chances[0])]
                : [],
            wait.Colds.Count == 0
                && wait.Hoped.Left.ShareAlreadyOver > subject.Room.Rules.Room.Lessons.LongerThanNormal.Value,
            molt is not null && VigilDefinition.Of(vigil).Interrupted is not null
                ? EndsBeforeMolt.Of(wait, molt.Left)
                : EndForecast.Of(wait),
            wait.Left,
            subject.Room.Tonight
        );
        List<Reason> reasons =
        [
            Reason.FromRecord(
                "Waited",
                $"{VigilDefinition.Of(vigil).Began.ToUpperFirst()} {words.Dates(subject.Night(began.From), subject.Night(began.To))}, {Wording.Nights(forecast.WaitedNights)} ago.",
                "record.began"
            ),
            PriorRule(subject, vigil, wait.Hoped.Prior),
            .. wait.Evidence?.Clues.Select(c => c.Why) ?? [],
            .. EndForecast.Why(wait),
        ];
        if (vigil == VigilKind.Emergence && Winter(subject, wait) is { } winter)
        {
            reasons.Add(winter);
        }

        MoltReasons.AddLearned(reasons, subject, wait.Lesson, wait.Hoped.Prior, wait.Own.Count);
        // What lies in its winter waits for no warmth.
        if (wait.Colds.Count == 0 && !subject.IsChilled)
        {
            MoltReasons.AddWarmth(reasons, subject, began.Middle);
        }

        if (forecast.LongerThanNormal)
        {
            reasons.Add(MoltReasons.LongWait(subject));
        }

        var summary = Summary(VigilDefinition.EndOf(vigil, subject.Group).ToUpperFirst(), forecast, words);
        if (IsHeldByCold(subject, vigil))
        {
            summary = $"{summary.TrimEnd('.')}, if it is taken out of the cold tonight.";
            reasons.Add(
                Reason.FromRecord(
                    "Cold",
                    $"In the cold since {words.Date(subject.Night(subject.Standing.Vigils.Chill!.From))}: its clock stands still, and the nights here hold if it is warm from tonight on.",
                    "record.chilled"
                )
            );
        }

        return new Answer<VigilForecast?>(forecast, summary, reasons);
    }

    /// <summary>Whether eggs lie in the cold, so that no night of theirs can be planned by.</summary>
    public static bool IsHeldByCold(Subject subject, VigilKind vigil)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return vigil == VigilKind.Hatching && subject.IsChilled;
    }

    private static Reason? Winter(Subject subject, OpenWait wait)
    {
        if (WinterWeeks.Of(subject) is not { } weeks)
        {
            return subject.Standing.Details is { SpeciesId: null, Known.PupaNeedsWinter: null }
                ? Reason.FromRecord(
                    "Winter",
                    "Whether its pupa needs a winter is not known: say it in its details.",
                    "record.details"
                )
                : null;
        }

        var text =
            weeks is { IsDone: true, IsCold: true }
                ? $"{weeks.Text} weeks of cold done: take it out when its food or its mate will be there. The warm days count from then on; the nights here hold if that is tonight."
            : weeks.IsCutShort
                ? $"Taken out after {weeks.Text} weeks of cold: some lie over or never emerge. The warm days count since then."
            : weeks.IsDone ? "Its cold is behind it; the warm days count since it was taken out."
            : $"Needs {Wording.Plain(weeks.Needed)} weeks of cold first{(weeks.IsCold ? $", of which {weeks.Done} were read at {Wording.Plain(weeks.BelowC)} °C or less" : "")}; by what is usual here it is warm again between {subject.Room.Wording.Between(wait.Colds.Min().After(subject.Room.Tonight), wait.Colds.Max().After(subject.Room.Tonight))}.";
        return subject.Profile.Diapause!.Because(
            "Winter",
            "species.diapause",
            weeks.IsCold && weeks.Besides.Length > 0 ? $"{text} {weeks.Besides}" : text
        );
    }

    /// <summary>
    /// Waits that can begin for an animal as it is tonight: only larvae pupate, only queens alone found, males do not brood,
    /// and one animal is no clutch of eggs unless it lays them.
    /// </summary>
    public static IEnumerable<VigilKind> MayBegin(Subject subject, Stage stage) =>
        Enum.GetValues<VigilKind>()
            .Where(v =>
                v != VigilKind.Molt
                && !subject.Standing.IsTank
                && subject.Group.Knows(v)
                && InTheWay(subject.Standing, v) is null
            )
            .Where(v =>
                v switch
                {
                    VigilKind.Emergence => stage is not (Stage.Adult or Stage.Egg),
                    VigilKind.FirstWorkers => subject.Standing.Details.Kind != StockKind.Colony,
                    VigilKind.Young => subject.Standing.Details.Sex != Sex.Male,
                    // Many of which no molt is known may be eggs; larvae lay none.
                    VigilKind.Hatching => stage is Stage.Adult or Stage.Egg
                        || (subject.IsMany && subject.Standing.MoltsInLife is null or 0),
                    VigilKind.Surfacing => true,
                    // It begins with the pairing: log that.
                    VigilKind.EggCase => false,
                    _ => throw new ArgumentOutOfRangeException(
                        nameof(subject),
                        v,
                        "Nothing says when such a wait begins."
                    ),
                }
            );

    /// <summary>
    /// The wait that another of a kind cannot begin beside, if any: the same of all, or one of all that leaves no room for
    /// others, as a pupa does. Of many the rest may begin the same one, or another.
    /// </summary>
    public static VigilEvent? InTheWay(Standing standing, VigilKind vigil) =>
        standing.Vigils.Open.FirstOrDefault(w =>
            w.Vigil == vigil
                ? !(w.Count < standing.Details.Count)
                : w.Count is null && VigilDefinition.Of(w.Vigil).StopsMolts && VigilDefinition.Of(vigil).StopsMolts
        );

    /// <summary>Length of premolt by stage: the species' own where it has one, else the group's.</summary>
    public static Rule<double> PremoltRule(Subject subject, Stage stage) =>
        subject.Profile.PremoltDays?.GetValueOrDefault(stage)
        ?? subject.Group.At(stage).PremoltDays
        ?? subject.Group.At(Stage.Adult).PremoltDays
        ?? NoPremolt;

    // Where no molts are followed nothing is reckoned from it.
    private static readonly Rule<double> NoPremolt = new(
        0,
        "days",
        RuleTag.House,
        "house: molts of this group are not followed"
    );

    /// <summary>Length of premolt at a stage; like every wait of the rulebook it holds at the reference temperature.</summary>
    public static EffectiveDays Premolt(Subject subject, Stage stage) => new(PremoltRule(subject, stage).Value);

    /// <summary>Days of the calendar that a premolt takes from now on, where it stands.</summary>
    public static CalendarDays PremoltAhead(Subject subject, Stage stage) =>
        subject.Pace.Ahead(Premolt(subject, stage));

    /// <summary>Length of premolt before molt <paramref name="k"/> of an animal.</summary>
    internal static EffectiveDays Premolt(Subject subject, int k) => Premolt(subject, StageReading.Then(subject, k));

    private static Reason PriorRule(Subject subject, VigilKind vigil, IntervalPrior prior)
    {
        var (low, middle, high) = (
            Math.Exp(prior.Mu - (LogNormalWait.NormalQuantile90 * prior.Sigma)),
            Math.Exp(prior.Mu),
            Math.Exp(prior.Mu + (LogNormalWait.NormalQuantile90 * prior.Sigma))
        );
        var text = $"{subject.SpeciesName}: {middle:0} days, 8 of 10 between {low:0} and {high:0}.";
        var key = vigil.ToString();
        var name = $"waits.{char.ToLowerInvariant(key[0])}{key[1..]}";
        return vigil == VigilKind.Surfacing && subject.Group.Vigils.Underground.Count > 0
                ? subject.Group.Vigils.Underground[0].Wait.Because("Usual wait", "group.underground", text)
            : vigil == VigilKind.EggCase && subject.Profile.Pairing is { } pairing
                ? pairing.SacWait.Because("Usual wait", "species.sacWait", text)
            : subject.Profile.Waits?.GetValueOrDefault(vigil) is { } rule
                ? rule.Because("Usual wait", $"species.{name}", text)
            : subject.Group.Vigils.Waits.GetValueOrDefault(vigil) is { } usual
                ? usual.Because("Usual wait", $"group.{name}", text)
            : subject.Room.Rules.Room.Lessons.UnknownWait.Because("Usual wait", "room.unknownWait", text);
    }

    private static string Summary(string what, VigilForecast f, Wording words) =>
        $"{what} about {words.Date(f.P50)}, between {words.Between(f.P10, f.P90)}.";
}
