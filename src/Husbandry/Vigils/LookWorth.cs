using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>What one look tonight would tell of the next molt.</summary>
/// <param name="NightsNow">Nights between the 10 and the 90 % night as things are known now.</param>
/// <param name="NightsThen">The same after a look, on the mean of what it may show.</param>
/// <param name="SignChance">Chance (0–1) that it shows a sign.</param>
public sealed record LookWorth(double NightsNow, double NightsThen, double SignChance)
{
    /// <summary>Name of the rule, for reasons.</summary>
    public const string RuleName = "signs.worthALook";

    /// <summary>Nights by which the window would narrow on the mean; never below 0.</summary>
    public double Narrower => Math.Max(0, NightsNow - NightsThen);

    /// <summary>
    /// Weighs both things that a look may show, a sign or none, by how likely each is, and reads off how wide the window
    /// would be then.
    /// </summary>
    /// <remarks>
    /// The expected value of sample information, with the width of the window as the loss. Source: Raiffa &amp; Schlaifer (1961),
    /// Applied Statistical Decision Theory, §4.5 [from memory]. How often a look shows a sign is counted as its odds are, in
    /// stretches as long as premolt.
    /// </remarks>
    /// <param name="life">The animal as read.</param>
    /// <returns>
    /// No value where a look would tell nothing: no molt is awaited, somebody looked of late, or every sign that such a look
    /// may show has been seen.
    /// </returns>
    public static Answer<LookWorth?> Of(LifeReading life)
    {
        var (subject, reading) = (life.Subject, life.Premolt.Value);
        var rules = subject.Room.Rules.Room.Signs;
        if (!Molting.Follows(subject) || Molting.WillNotMoltAgain(subject) is not null)
        {
            return Nothing("No molt is awaited.");
        }

        if (LastLook(subject) is { } last && subject.NightsSince(last) < rules.LookAgainNights.Value)
        {
            return Nothing($"Looked at {subject.Room.Wording.Day(subject.Night(last))}.");
        }

        if (reading.Word == ReadingWord.Imminent || Telling(subject, reading) is not { } sign)
        {
            return Nothing("Its signs have been seen.");
        }

        var clean =
            subject.Room.Lessons.Sign(subject.Group.Id, PremoltReading.CleanLook)?.Ratio ?? rules.LookWithoutSign.Value;
        var wait = MoltWait.Of(subject, life.Stage.Value);
        Witness Tonight(double ratio) => new(EffectiveDays.Zero, wait.Premolt, ratio, rules.PremoltEdge.Value);
        var (shows, none) = (Tonight(sign.Ratio), Tonight(clean));
        // What a look shows takes the place of what the last one without a sign did.
        var kept = reading.Evidence.Where(e => e.SignId != PremoltReading.CleanLook).Select(Weighed).ToList();
        var former = reading.Evidence.Where(e => e.SignId == PremoltReading.CleanLook).Select(Weighed).ToList();
        var before = kept.Aggregate(
            new WeighedWait(wait.Left, wait.Premolt, [.. kept, .. former, shows, none], wait.Adult),
            (w, e) => w.And(e)
        );
        var now = former.Aggregate(before, (w, e) => w.And(e));
        var chance = Math.Clamp(sign.Shown / sign.Ratio * now.Mean(shows), 0, 1);
        var worth = new LookWorth(
            Width(now),
            (chance * Width(before.And(shows))) + ((1 - chance) * Width(before.And(none))),
            chance
        );
        return new Answer<LookWorth?>(
            worth,
            $"Look for signs from outside: the window of its next molt would narrow from {worth.NightsNow:0} nights to about {worth.NightsThen:0}.",
            [
                rules.WorthALookNights.Because(
                    "What a look is worth",
                    RuleName,
                    $"A look shows a sign {chance * 100:0} times in 100 now (odds × {Wording.Plain(sign.Ratio)}), none the other times (× {Wording.Plain(clean)}); the window would be {Width(before.And(shows)):0} or {Width(before.And(none)):0} nights wide."
                ),
            ]
        );

        Witness Weighed(Evidence e) => e.Witness(subject, wait.Premolt);
        double Width(WeighedWait w) =>
            (subject.Pace.Ahead(w.Quantile(0.9)).Value - subject.Pace.Ahead(w.Quantile(0.1)).Value);
    }

    /// <summary>Whether it is worth saying: so many nights and such a share of the window.</summary>
    public bool IsWorthIt(RoomSignRules rules) =>
        Narrower >= rules.WorthALookNights.Value && Narrower >= NightsNow * rules.WorthALookShare.Value;

    private static Answer<LookWorth?> Nothing(string why) => new(null, why, []);

    private static DateTimeOffset? LastLook(Subject subject)
    {
        var (clean, signs) = (subject.Standing.LastCleanLook, subject.Standing.Vigils.Signs);
        return signs.Count > 0 && (clean is null || signs[^1].At > clean) ? signs[^1].At : clean;
    }

    /// <summary>
    /// The sign that premolts of the group show most often and that was not seen yet: in what share of them (the rulebook's
    /// weighed against what was counted here), and with what odds.
    /// </summary>
    private static (double Shown, double Ratio)? Telling(Subject subject, PremoltReading reading)
    {
        var rules = subject.Room.Rules.Room.Signs;
        var seen = reading.Evidence.Where(e => e.LikelihoodRatio > 1).Select(e => e.Family).ToHashSet();
        var signs = subject
            .Room.Rules.Signs.Where(s =>
                s.Strength is SignStrength.Medium or SignStrength.Strong
                && !s.Seals
                && s.Groups.Contains(subject.Group.Id)
                && s.Family != SignFamily.Appetite
                && !seen.Contains(s.Family)
            )
            .Select(s =>
            {
                var lesson = subject.Room.Lessons.Sign(subject.Group.Id, s.Id);
                var weight = rules.SignPriorSpans.Value;
                var shown =
                    ((weight * rules.SignShown[s.Strength].Value) + (lesson?.SeenInPremolt ?? 0))
                    / (weight + (lesson?.Premolts ?? 0));
                return (Shown: shown, Ratio: lesson?.Ratio ?? s.LikelihoodRatio.Value);
            })
            .Where(s => s.Ratio > 1)
            .ToList();
        return signs.Count == 0 ? null : signs.MaxBy(s => s.Shown);
    }
}
