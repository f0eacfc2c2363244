using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Vigils;

/// <summary>When something awaited is to be expected.</summary>
/// <param name="Vigil">What is awaited.</param>
/// <param name="P10">Night by which it would have come in one of ten such waits.</param>
/// <param name="P50">Night by which it would have come in half of them.</param>
/// <param name="P90">Night by which it would have come in nine of ten.</param>
/// <param name="WaitedNights">Nights since the wait began, or since arrival when that is not known.</param>
/// <param name="PremoltChance">Chance (0–1) that it is in premolt now; 0 for other waits.</param>
/// <param name="Ladder">How each step of the evidence moved that chance.</param>
/// <param name="LongerThanNormal">Whether the wait is beyond the 97.5 % point.</param>
public sealed record VigilForecast(
    VigilKind Vigil,
    DateOnly P10,
    DateOnly P50,
    DateOnly P90,
    int WaitedNights,
    double PremoltChance,
    IReadOnlyList<Rung> Ladder,
    bool LongerThanNormal
)
{
    /// <summary>The forecast of the next molt, the signs taken into account.</summary>
    /// <returns>No value for animals that will not molt again, or whose molts are not followed.</returns>
    public static Answer<VigilForecast?> OfMolt(Subject subject, Stage stage, PremoltReading reading)
    {
        if (WillNotMoltAgain(subject) is { } never)
        {
            return new Answer<VigilForecast?>(null, never.Text, [never]);
        }

        var wait = MoltWait.Of(subject, stage);
        var (weighed, ladder) = wait.Weigh(reading);
        var room = subject.Room.Rules.Room;
        DateOnly Quantile(double p) =>
            subject.Room.Tonight.AddDays((int)Math.Round(subject.Pace.CalendarDays(weighed.Quantile(p))));
        var forecast = new VigilForecast(
            VigilKind.Molt,
            Quantile(0.1),
            Quantile(0.5),
            Quantile(0.9),
            wait.WaitedNights,
            weighed.PremoltChance,
            ladder,
            wait.StartIsKnown && wait.Left.ShareAlreadyOver > room.LongerThanNormal.Value
        );
        return new Answer<VigilForecast?>(
            forecast,
            Summary("Molts", forecast, subject.Room.Wording),
            MoltReasons.Of(subject, stage, wait, forecast, reading)
        );
    }

    /// <summary>The forecast of another wait that is under way.</summary>
    /// <returns>No value when none is.</returns>
    public static Answer<VigilForecast?> OfOther(Subject subject)
    {
        if (subject.Standing.Waiting is not { } waiting)
        {
            return new Answer<VigilForecast?>(null, "Nothing else is awaited.", []);
        }

        var words = subject.Room.Wording;
        var prior = PriorFor(subject, waiting.Vigil, waiting.Began.Middle);
        var lesson = subject.Room.Lessons.For(subject, waiting.Vigil);
        var own = PastWaits.Of(subject, waiting.Vigil);
        var whole = Whole(prior, lesson, own);
        var chill = ChillLeft(subject, waiting);
        var start =
            subject.Standing.Chill?.To is { } warm && subject.Profile.Diapause is not null
                ? warm
                : waiting.Began.Middle;
        var elapsed = chill > 0 ? 0 : Math.Max(0, subject.Pace.Between(start, subject.Room.Now));
        var left = new RemainingWait(whole, elapsed);
        DateOnly Quantile(double p) =>
            subject.Room.Tonight.AddDays((int)Math.Round(chill + subject.Pace.CalendarDays(left.Quantile(p))));
        var forecast = new VigilForecast(
            waiting.Vigil,
            Quantile(0.1),
            Quantile(0.5),
            Quantile(0.9),
            subject.NightsSince(waiting.Began.Middle),
            0,
            [],
            chill <= 0 && left.ShareAlreadyOver > subject.Room.Rules.Room.LongerThanNormal.Value
        );
        var reasons = new List<Reason>
        {
            Reason.FromRecord(
                "Waited",
                $"{Sentence(VigilWords.Began(waiting.Vigil))} {words.Dates(subject.Night(waiting.Began.From), subject.Night(waiting.Began.To))}, {Wording.Nights(forecast.WaitedNights)} ago.",
                "record.began"
            ),
            PriorRule(subject, waiting.Vigil, prior, words),
        };
        if (subject.Profile.Diapause is { } diapause)
        {
            var text =
                chill > 0
                    ? $"Needs {Wording.Plain(diapause.Value.ChillWeeks)} weeks of cold first; {Wording.Days(Math.Ceiling(chill))} of it are still to come."
                    : "Its cold is behind it; the warm days count.";
            reasons.Add(diapause.Because("Winter", "species.diapause", text));
        }

        MoltReasons.AddLearned(reasons, subject, lesson, own.Count(w => w.IsOver));
        if (forecast.LongerThanNormal)
        {
            reasons.Add(MoltReasons.LongWait(subject));
        }

        return new Answer<VigilForecast?>(
            forecast,
            Summary(Sentence(VigilWords.Ends(waiting.Vigil)), forecast, words),
            reasons
        );
    }

    /// <summary>Whether such a wait can begin in a group.</summary>
    public static bool CanBegin(GroupRules group, VigilKind vigil) =>
        vigil switch
        {
            VigilKind.Surfacing => group.Underground.Count > 0,
            VigilKind.Emergence => group.StageWords.ContainsKey(Stage.Pupa),
            VigilKind.FirstWorkers => group.Diet == Diet.SugarAndProtein,
            _ => true,
        };

    /// <summary>Why an animal will not molt again, or why its molts are not awaited; none when one is awaited.</summary>
    public static Reason? WillNotMoltAgain(Subject subject)
    {
        if (!PastWaits.FollowsMolts(subject))
        {
            var rule = subject.Group.MoltsFollowed;
            return rule.Because("Next molt", "group.moltsFollowed", "Molts of single animals are not followed here.");
        }

        if (subject.Standing.Waiting is { } waiting)
        {
            return Reason.FromRecord("Next molt", $"{Sentence(VigilWords.Began(waiting.Vigil))}.", "record.began");
        }

        var last = subject.Group.AdultsMolt;
        if (!subject.Standing.IsMatureByRecord)
        {
            return ProbablyAdult(subject);
        }

        return last.Value switch
        {
            AdultMolting.Neither => last.Because(
                "Next molt",
                "group.adultsMolt",
                $"An adult {subject.Group.One} does not molt again."
            ),
            AdultMolting.FemalesOnly when subject.Standing.Details.Sex == Sex.Male => last.Because(
                "Next molt",
                "group.adultsMolt",
                "A mature male does not molt again in practice."
            ),
            _ => null,
        };
    }

    /// <summary>
    /// Where adults molt no more, an animal with as many molts behind it as its species ever needs is adult in all
    /// likelihood, though nobody wrote the ultimate molt down as such.
    /// </summary>
    private static Reason? ProbablyAdult(Subject subject)
    {
        var sex = subject.Standing.Details.Sex;
        var endsWithAdult =
            subject.Group.AdultsMolt.Value == AdultMolting.Neither
            || (subject.Group.AdultsMolt.Value == AdultMolting.FemalesOnly && sex == Sex.Male);
        var toAdult = sex == Sex.Male ? subject.Profile.MoltsToAdult.Male : subject.Profile.MoltsToAdult.Female;
        return endsWithAdult && subject.Standing.MoltsInLife >= toAdult.Value.High
            ? toAdult.Because(
                "Next molt",
                "species.moltsToAdult",
                $"{subject.Standing.MoltsInLife} molts behind {subject.Them}, and the species is adult after {toAdult.Value.Low:0}–{toAdult.Value.High:0}: probably adult. Mark the last molt as the one to adult if it was."
            )
            : null;
    }

    /// <summary>Length of premolt by stage: the species' own where it has one, else the group's.</summary>
    public static Rule<double> PremoltDays(Subject subject, Stage stage) =>
        subject.Profile.PremoltDays?.GetValueOrDefault(stage)
        ?? subject.Group.PremoltDays.GetValueOrDefault(stage)
        ?? subject.Group.PremoltDays[Stage.Adult];

    /// <summary>Length of premolt before molt <paramref name="k"/> of an animal, days.</summary>
    internal static double PremoltDays(Subject subject, int k) =>
        PremoltDays(subject, PastWaits.StageThen(subject, k)).Value;

    /// <summary>What the rulebook expects of a wait other than for a molt.</summary>
    internal static IntervalPrior PriorFor(Subject subject, VigilKind vigil, DateTimeOffset began)
    {
        if (vigil == VigilKind.Surfacing && subject.Group.Underground.Count > 0)
        {
            return Underground(subject, began);
        }

        var wait = subject.Profile.Waits?.GetValueOrDefault(vigil)?.Value ?? UnknownWait;
        var whole = LogNormalWait.FromPrior(wait);
        return new IntervalPrior(whole.Mu, whole.Sigma, 0);
    }

    /// <summary>The whole wait as far as rulebook, room and the animal's own record know it.</summary>
    internal static IWait Whole(IntervalPrior prior, SpeciesLesson? lesson, IReadOnlyList<PastWait> own) =>
        lesson is null ? prior.Alone : lesson.Before(prior).Seen(lesson.Brought(own, prior)).Predictive();

    // Weeks to most of a year: an honest shrug where the rulebook has no wait of this kind.
    private static readonly WaitPrior UnknownWait = new(14, 50, 180);

    /// <summary>Nights underground by size: a straight line on log scales through the rulebook's points.</summary>
    private static IntervalPrior Underground(Subject subject, DateTimeOffset began)
    {
        var points = subject.Group.Underground.OrderBy(p => p.SizeMm).ToList();
        var size =
            subject.Standing.Measures.LastOrDefault(m => m.Part == subject.Group.SizePart && m.At <= began)?.LengthMm
            ?? BodySize.Of(subject).Value?.SizeMm
            ?? Math.Sqrt(points[0].SizeMm * points[^1].SizeMm);
        var x = Math.Clamp(Math.Log(size), Math.Log(points[0].SizeMm), Math.Log(points[^1].SizeMm));
        var i = Math.Max(1, points.FindIndex(p => Math.Log(p.SizeMm) >= x));
        var (a, b) = (points[i - 1], points[i]);
        var (la, lb) = (LogNormalWait.FromPrior(a.Wait.Value), LogNormalWait.FromPrior(b.Wait.Value));
        var share = (x - Math.Log(a.SizeMm)) / (Math.Log(b.SizeMm) - Math.Log(a.SizeMm));
        return new IntervalPrior(la.Mu + (share * (lb.Mu - la.Mu)), la.Sigma + (share * (lb.Sigma - la.Sigma)), 0);
    }

    private static Reason PriorRule(Subject subject, VigilKind vigil, IntervalPrior prior, Wording words)
    {
        var (low, middle, high) = (
            Math.Exp(prior.Mu - (LogNormalWait.NormalQuantile90 * prior.Sigma)),
            Math.Exp(prior.Mu),
            Math.Exp(prior.Mu + (LogNormalWait.NormalQuantile90 * prior.Sigma))
        );
        var text = $"{subject.SpeciesName}: {middle:0} days, 8 of 10 between {low:0} and {high:0}.";
        var key = vigil.ToString();
        var name = $"species.waits.{char.ToLowerInvariant(key[0])}{key[1..]}";
        return vigil == VigilKind.Surfacing && subject.Group.Underground.Count > 0
                ? subject.Group.Underground[0].Wait.Because("Usual wait", "group.underground", text)
            : subject.Profile.Waits?.GetValueOrDefault(vigil) is { } rule ? rule.Because("Usual wait", name, text)
            : new Reason("Usual wait", text, name, RuleTag.House, "house: nothing is known of this species", []);
    }

    /// <summary>Days of winter cold that a diapausing pupa still needs.</summary>
    private static double ChillLeft(Subject subject, VigilEvent waiting)
    {
        if (waiting.Vigil != VigilKind.Emergence || subject.Profile.Diapause is not { } diapause)
        {
            return 0;
        }

        const double Week = 7;
        var needed = diapause.Value.ChillWeeks * Week;
        return subject.Standing.Chill switch
        {
            null => needed,
            { To: not null } => 0,
            { From: var from } => Math.Max(0, needed - (subject.Room.Now - from).TotalDays),
        };
    }

    private static string Summary(string what, VigilForecast f, Wording words) =>
        $"{what} about {words.Date(f.P50)}, between {words.Date(f.P10)} and {words.Date(f.P90)}.";

    private static string Sentence(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
