using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Hush;

/// <summary>Until when something is hushed: a range, because it ends with a molt nobody can date.</summary>
/// <param name="From">Earliest night.</param>
/// <param name="Night">Likely night.</param>
/// <param name="To">Latest night in nine of ten cases, or by the cautious school.</param>
public sealed record HushEnd(DateOnly From, DateOnly Night, DateOnly To);

/// <summary>One cause that bears on an act.</summary>
/// <param name="Cause">The cause.</param>
/// <param name="Verdict">Its verdict on the act.</param>
/// <param name="Since">Night since which it holds, if known.</param>
/// <param name="Until">When it ends, if that can be said.</param>
/// <param name="EndsEarlyBy">What would end it before.</param>
/// <param name="Why">The rule.</param>
public sealed record HushContributor(
    HushCause Cause,
    Verdict Verdict,
    DateOnly? Since,
    HushEnd? Until,
    string EndsEarlyBy,
    Reason Why
);

/// <summary>What holds for one act: the strictest of all contributors, every one of them listed.</summary>
public sealed record HushLine(
    CareAct Act,
    Verdict Verdict,
    HushEnd? Until,
    IReadOnlyList<HushContributor> Contributors
);

/// <summary>What may be done to an animal tonight, act by act.</summary>
/// <param name="Lines">One line for every act.</param>
/// <param name="Causes">All causes at work.</param>
public sealed record HushTable(IReadOnlyList<HushLine> Lines, IReadOnlyList<HushContributor> Causes)
{
    /// <summary>Composes the table: the strictest verdict wins and every contributor is listed.</summary>
    public static HushTable Of(
        Subject subject,
        IReadOnlyList<Phase> phases,
        PremoltReading reading,
        Condition condition,
        VigilForecast? molt,
        IReadOnlyList<VigilForecast> waits,
        FirstMeal? firstMeal,
        double firstMealDays
    )
    {
        var afterMolt = molt is null
            ? null
            : new HushEnd(
                molt.P10.AddDays((int)Math.Ceiling(firstMealDays)),
                molt.P50.AddDays((int)Math.Ceiling(firstMealDays)),
                molt.P90.AddDays((int)Math.Ceiling(firstMealDays))
            );
        var hardened = firstMeal is null ? null : new HushEnd(firstMeal.Night, firstMeal.Night, Later(firstMeal));
        var since = reading.Evidence.Where(e => e.LikelihoodRatio > 1).Select(e => (DateOnly?)e.Night).Min();
        var molted = subject.Standing.Growth.LastMolt is { } m ? subject.Night(m.When.To) : (DateOnly?)null;
        var causes = new List<(HushCause Cause, DateOnly? Since, HushEnd? Until, string EndsEarlyBy)>();
        // While it hardens what its skin showed before counts no more; in every other phase it does.
        var signsCount = !phases.Contains(Phase.Hardening) && !phases.Contains(Phase.FangsUnchecked);
        if (phases.Contains(Phase.Suspected))
        {
            causes.Add((HushCause.Suspected, since, null, $"{subject.It} eats, or a look shows nothing"));
        }

        if (signsCount && reading.Darkening)
        {
            causes.Add((HushCause.Darkening, since, afterMolt, "the molt, or a clear sign that it was misread"));
        }

        if (phases.Contains(Phase.Likely) || (phases.Contains(Phase.SealedIn) && reading.Word == ReadingWord.Likely))
        {
            causes.Add((HushCause.Likely, since, afterMolt, "the molt, or a meal taken"));
        }

        if (signsCount && reading.SealedIn)
        {
            causes.Add((HushCause.SealedIn, since, afterMolt, $"{subject.It} opens it again, or a look shows nothing"));
        }

        if (phases.Contains(Phase.Imminent))
        {
            causes.Add((HushCause.Imminent, reading.ImminentSince, afterMolt, "the molt"));
        }

        if (phases.Contains(Phase.Hardening))
        {
            causes.Add((HushCause.Hardening, molted, hardened, "nothing: the days and the fangs decide"));
        }

        if (phases.Contains(Phase.FangsUnchecked))
        {
            causes.Add((HushCause.FangsUnchecked, firstMeal?.Night, null, "the fangs seen black"));
        }

        foreach (var (open, wait) in subject.Waits.Zip(waits))
        {
            var began = subject.Night(open.Began.From);
            var end = new HushEnd(wait.P10, wait.P50, wait.P90);
            var early = VigilDefinition.Of(wait.Vigil).EndsEarlyOf(subject.Group);
            var waiting = VigilDefinition.Of(open.Vigil).Cause;
            causes.Add((waiting, began, end, early));
            if (waiting == HushCause.Founding && Feeds(subject, condition) is { } unfed)
            {
                causes.Add(
                    (unfed, began, end, unfed == HushCause.Claustral ? early : "the way of founding being said")
                );
            }
        }

        if (phases.Contains(Phase.Wintering))
        {
            causes.Add(
                (HushCause.Wintering, subject.Night(subject.Standing.Vigils.Chill!.From), null, "being warmed up")
            );
        }
        else if (subject.IsChilled && !(WinterWeeks.Of(subject)?.IsDone ?? false))
        {
            causes.Add(
                (
                    HushCause.Chilled,
                    subject.Night(subject.Standing.Vigils.Chill!.From),
                    null,
                    "the weeks of cold being over"
                )
            );
        }

        if (Surfaced(subject) is { } up)
        {
            var rest = subject.Room.Rules.Room.Lessons.SurfacedNights.Value;
            var free = up.AddDays((int)rest);
            causes.Add((HushCause.Surfaced, up, new HushEnd(free, free, free), "nothing: the nights decide"));
        }

        if (IsTooYoung(subject))
        {
            causes.Add((HushCause.TooYoung, null, null, "the molt after which they may travel"));
        }

        if (condition.Word == ConditionWord.VeryPlump)
        {
            causes.Add((HushCause.VeryPlump, null, null, "a smaller abdomen at the next measure"));
        }

        return Compose(causes, subject);
    }

    /// <summary>
    /// The table of a shared tank: what is hushed for one of those in it is hushed for the enclosure of all, but for water
    /// within reach and food that cannot bite. Mist falls on all of them, and live prey runs to whom it likes.
    /// </summary>
    /// <param name="inmates">Those in it: what each is called, and its own table.</param>
    public HushTable And(IEnumerable<(string Name, HushTable Table)> inmates)
    {
        var (lines, causes) = (Lines.ToList(), Causes.ToList());
        foreach (var (name, table) in inmates)
        {
            HushContributor Of(HushContributor c) => c with { Why = c.Why with { Text = $"{name}: {c.Why.Text}" } };
            causes.AddRange(table.Causes.Select(Of));
            for (var i = 0; i < lines.Count; i++)
            {
                if (lines[i].Act is not (CareAct.Water or CareAct.FeedDead))
                {
                    var more = table[lines[i].Act].Contributors.Select(Of);
                    lines[i] = Strictest(lines[i].Act, [.. lines[i].Contributors, .. more]);
                }
            }
        }

        return new HushTable(lines, causes);
    }

    private static HushLine Strictest(CareAct act, IEnumerable<HushContributor> all)
    {
        List<HushContributor> contributors = [.. all.OrderByDescending(c => c.Verdict)];
        var strictest = contributors.Count == 0 ? Verdict.Fine : contributors[0].Verdict;
        var until = contributors
            .Where(c => c.Verdict == strictest && c.Until is not null)
            .Select(c => c.Until)
            .MaxBy(u => u!.Night);
        return new HushLine(act, strictest, until, contributors);
    }

    /// <summary>What may on no account be done.</summary>
    public IReadOnlyList<CareAct> Never => [.. Lines.Where(l => l.Verdict == Verdict.Never).Select(l => l.Act)];

    /// <summary>The line of one act.</summary>
    public HushLine this[CareAct act] => Lines.First(l => l.Act == act);

    /// <summary>Why a founding queen is not fed; none when she is. A trace is a school: only where it is chosen, and when she is thin.</summary>
    private static HushCause? Feeds(Subject subject, Condition condition) =>
        subject.Profile.Founding?.Value switch
        {
            Founding.SemiClaustral => null,
            Founding.Claustral => subject.Group.Feeding.TraceForQueens?.Value == true
            && condition.Word == ConditionWord.Thin
                ? null
                : HushCause.Claustral,
            _ => HushCause.FoundingUnknown,
        };

    // Of many a few may wait: what is done to an enclosure is hushed, what the rest eat and drink is not.
    private static readonly CareAct[] ForTheRest = [CareAct.FeedLive, CareAct.FeedDead, CareAct.Water, CareAct.Mist];

    /// <summary>Who came up after a molt of late, to be fed richly: it, or one of those in its tank, by name; none when nobody did.</summary>
    internal static string? JustUp(Subject subject) =>
        Surfaced(subject) is not null ? subject.It
        : subject.Inmates.FirstOrDefault(i => Surfaced(Subject.Of(i, subject.Room)) is not null) is { } inmate
            ? inmate.Details.Nickname
        : null;

    /// <summary>Whether it is of an instar that does not leave its keeper yet; eggs and pupae have rules of their own.</summary>
    private static bool IsTooYoung(Subject subject) =>
        subject is { Group.Nursery.LeaveFrom: { } leaves, Instar: { } instar }
        && instar < leaves.Value
        && !subject.AllWaitFor(VigilKind.Hatching);

    /// <summary>Night on which a crab came up after a molt, while it is still to be left in peace.</summary>
    private static DateOnly? Surfaced(Subject subject)
    {
        var last = subject.Standing.Vigils.All.LastOrDefault(v =>
            v is { Vigil: VigilKind.Surfacing, AsHoped: true, Ended: not null }
        );
        return
            last is not null
            && subject.NightsSince(last.Ended!.To) < subject.Room.Rules.Room.Lessons.SurfacedNights.Value
            ? subject.Night(last.Ended.To)
            : null;
    }

    private static HushTable Compose(
        List<(HushCause Cause, DateOnly? Since, HushEnd? Until, string EndsEarlyBy)> causes,
        Subject subject
    )
    {
        var rules = causes
            .Select(c => c.Cause)
            .Distinct()
            .ToDictionary(c => c, c => subject.Room.Rules.HushOf(c, subject.Group.Id));
        HushRules RuleOf(HushCause cause) => rules[cause];
        var partial = subject
            .Waits.Where(w => w.Count is not null)
            .GroupBy(w => VigilDefinition.Of(w.Vigil).Cause)
            .ToDictionary(g => g.Key, g => g.Sum(w => w.Count));
        Verdict VerdictOf(HushCause cause, CareAct act) =>
            partial.ContainsKey(cause) && ForTheRest.Contains(act)
                ? Verdict.Fine
                : RuleOf(cause).Acts.GetValueOrDefault(act);
        HushContributor Contribute(
            (HushCause Cause, DateOnly? Since, HushEnd? Until, string EndsEarlyBy) c,
            Verdict verdict
        )
        {
            var why = RuleOf(c.Cause).Why;
            var of = partial.TryGetValue(c.Cause, out var some) ? $"{some} of {subject.Standing.Details.Count}: " : "";
            var reason = why.Because("Hush", $"hush.{c.Cause.ToString().ToCamel()}", of + why.Value);
            return new HushContributor(c.Cause, verdict, c.Since, c.Until, c.EndsEarlyBy, reason);
        }

        var lines = Enum.GetValues<CareAct>()
            .Select(act =>
                Strictest(
                    act,
                    causes
                        .Select(c => (c, Verdict: VerdictOf(c.Cause, act)))
                        .Where(x => x.Verdict != Verdict.Fine)
                        .Select(x => Contribute(x.c, x.Verdict))
                )
            )
            .ToList();
        return new HushTable(lines, [.. causes.Select(c => Contribute(c, RuleOf(c.Cause).Acts.Values.Max()))]);
    }

    private static DateOnly Later(FirstMeal first) => first.To > first.Night ? first.To : first.Night;
}

/// <summary>Names of rules from names of causes.</summary>
internal static class RuleNames
{
    public static string ToCamel(this string name) => char.ToLowerInvariant(name[0]) + name[1..];
}
