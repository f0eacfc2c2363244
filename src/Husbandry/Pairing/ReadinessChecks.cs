using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>Asks of an animal what is asked before a pairing.</summary>
/// <remarks>
/// Mature by its record, never by its size; rested after the molt; fit; not hushed. Source: common practice, no published source.
/// </remarks>
public static partial class ReadinessChecks
{
    /// <summary>Whether an animal is one that is paired by hand: one animal of a group that is, adult or nearly.</summary>
    public static bool Concerns(Subject subject, Stage stage) =>
        subject.Profile.Pairing is not null
        && !subject.IsMany
        && subject.Standing.Departure is null
        && (subject.Standing.IsMatureByRecord || stage is Stage.Adult or Stage.SubAdult or Stage.Pupa);

    /// <summary>The answers, and what they add up to.</summary>
    /// <param name="mate">One that <see cref="Concerns"/>.</param>
    public static Readiness Of(Mate mate)
    {
        var (subject, pairing) = (mate.Subject, mate.Hush[CareAct.Pair]);
        var rules = subject.Profile.Pairing!;
        var hushed = Hushed(subject, pairing, mate.Molt);
        // Whoever is left alone is not lifted out to be looked at either.
        ReadyCheck InPeace(ReadyCheck asked) => hushed.Word == ReadyWord.Not ? asked with { Makes = null } : asked;
        List<ReadyCheck> checks =
        [
            InPeace(Sexed(subject, mate.Stage)),
            Mature(subject, mate.Stage),
            .. Rested(mate, rules),
            InPeace(Fit(subject, mate.Condition)),
            .. Charged(subject, mate.Stage),
            hushed,
            .. Together(subject),
            .. Expecting(subject, rules),
            .. Season(subject, rules),
            .. Away(subject),
        ];
        return Readiness.Of(checks, subject.Room.Tonight, subject.Room.Wording);
    }

    private static ReadyCheck Sexed(Subject subject, Stage stage)
    {
        var told = subject.Standing.Growth.SexTold;
        var sex = subject.Standing.Details.Sex;
        if (sex == Sex.Unknown)
        {
            var by = string.Join(
                ", ",
                SexTelling.Showing(subject, stage, subject.Instar).Select(m => SexSeenEntry.Noun(m.Key))
            );
            return by.Length == 0
                ? new ReadyCheck(
                    ReadyWord.Soon,
                    Reason.FromRecord("Sex", "Nobody has told its sex; it does not show yet.", "record.details")
                )
                : new ReadyCheck(
                    ReadyWord.Ask,
                    Reason.FromRecord("Sex", "Nobody has told its sex.", "record.details"),
                    $"Tell its sex first: by {by}."
                );
        }

        var word = sex == Sex.Female ? "Female" : "Male";
        var text = told.LastOrDefault(t => t.Sex == sex) is { } last
            ? $"{word}, told by {SexSeenEntry.Noun(last.By)}."
            : $"{word}, as its details say.";
        return new ReadyCheck(ReadyWord.Ready, Reason.FromRecord("Sex", text, "record.details"));
    }

    private static ReadyCheck Mature(Subject subject, Stage stage)
    {
        if (subject.Standing.IsMatureByRecord)
        {
            return new ReadyCheck(
                ReadyWord.Ready,
                Reason.FromRecord(
                    "Mature",
                    subject.Standing.Details.MatureAtArrival ? "Came as an adult." : "The molt to adult is on record.",
                    "record.ultimateMolt"
                )
            );
        }

        if (stage != Stage.Adult)
        {
            return new ReadyCheck(
                ReadyWord.Soon,
                Reason.FromRecord(
                    "Mature",
                    $"Not adult yet: a {subject.Group.StageWord(stage)}.",
                    "record.ultimateMolt"
                )
            );
        }

        var molting = subject.Group.Growth.AdultsMolt;
        if (molting.Value == AdultMolting.Both)
        {
            return new ReadyCheck(
                ReadyWord.Ready,
                molting.Because("Mature", "group.adultsMolt", "Large enough; no molt of its kind is the last.")
            );
        }

        return new ReadyCheck(
            ReadyWord.Ask,
            Reason.FromRecord("Mature", "Adult by size only, and size does not decide.", "record.ultimateMolt"),
            subject.Standing.Details.Sex == Sex.Female
                ? "Mature by her last skin or a dark furrow? Then mark her last molt as the one to adult."
                : "Are the marks of an adult seen? Then mark the last molt as the one to adult."
        );
    }

    /// <summary>How long after the molt: her rest, his span.</summary>
    private static IEnumerable<ReadyCheck> Rested(Mate mate, SpeciesPairing rules)
    {
        var subject = mate.Subject;
        var male = subject.Standing.Details.Sex == Sex.Male;
        var (rule, name, topic) = male
            ? (rules.MaleNights, "species.maleNights", "His span")
            : (rules.AfterMoltNights, "species.afterMoltNights", "Since her molt");
        if (subject.Standing.Details.Sex == Sex.Unknown || !subject.Standing.IsMatureByRecord)
        {
            yield break;
        }

        var molt = male
            ? subject.Standing.Growth.Molts.LastOrDefault(m => m.Ultimate) ?? subject.Standing.Growth.LastMolt
            : subject.Standing.Growth.LastMolt;
        if (molt is null)
        {
            // Somebody who came as an adult has been one for as long as it is here at least.
            var here = subject.NightsSince(subject.Standing.ArrivedAt);
            yield return new ReadyCheck(
                here > rule.Value.High ? ReadyWord.Past : ReadyWord.Ask,
                rule.Because(
                    topic,
                    name,
                    $"{(male ? "His" : "Her")} last molt is not on record; {Wording.Nights(here)} here. Best {Between(rule)} after it."
                ),
                subject.Group.Has(Stage.Pupa)
                    ? $"Ask when {subject.It} emerged, and write it down."
                    : $"Ask when {subject.It} molted last, and write that molt down."
            );
            yield break;
        }

        var nights = subject.NightsSince(molt.When.Middle);
        var (first, last) = (
            subject.Night(molt.When.Middle).AddDays((int)Math.Ceiling(rule.Value.Low)),
            subject.Night(molt.When.Middle).AddDays((int)Math.Floor(rule.Value.High))
        );
        var word =
            nights < rule.Value.Low ? ReadyWord.Soon
            : nights > rule.Value.High ? ReadyWord.Past
            : ReadyWord.Ready;
        yield return new ReadyCheck(
            word,
            rule.Because(
                topic,
                name,
                $"{Wording.Nights(nights)} since {Since(subject)}; best {Between(rule)} after it."
                    + (male && word == ReadyWord.Ready ? $" {Used(nights, rule)}" : "")
            ),
            word == ReadyWord.Past
                ? male
                    ? "He may be spent: try him only if nobody else is there."
                    : mate.Molt is null
                        ? "Late: her life may end before a brood of it comes."
                        : "Late: her next molt may come before a sac. See the race."
                : null,
            word == ReadyWord.Soon ? first : null,
            word == ReadyWord.Past ? null : last
        );
    }

    private static string Since(Subject subject) =>
        subject.Group.Has(Stage.Pupa) ? $"{subject.It} emerged" : $"{subject.Its} molt";

    private static string Used(int nights, Rule<Rulebook.Range> rule) =>
        $"{(int)Math.Round(100 * (nights - rule.Value.Low) / Math.Max(1, rule.Value.High - rule.Value.Low))} of 100 parts of it are used.";

    private static string Between(Rule<Rulebook.Range> rule) =>
        $"{Wording.Plain(rule.Value.Low)}–{Wording.Plain(rule.Value.High)} nights";

    private static ReadyCheck Fit(Subject subject, Answer<Condition> condition)
    {
        var why =
            condition.Reasons.Count > 0
                ? condition.Reasons[0] with
                {
                    Topic = "Condition",
                }
                : Reason.FromRecord("Condition", condition.Summary, "record.condition");
        return condition.Value.Word switch
        {
            ConditionWord.Thin => new ReadyCheck(
                ReadyWord.Not,
                why,
                $"Thin: feed {subject.Them} up and give water first."
            ),
            ConditionWord.VeryPlump => new ReadyCheck(
                ReadyWord.Not,
                why,
                $"Too fat: feed {subject.Them} leaner first."
            ),
            ConditionWord.Unknown when subject.Standing.Details.Sex != Sex.Male => new ReadyCheck(
                ReadyWord.Ask,
                why,
                $"How does {subject.It} look? Fit and clean, neither thin nor fat."
            ),
            ConditionWord.Unknown or ConditionWord.Normal or ConditionWord.Plump => new ReadyCheck(
                ReadyWord.Ready,
                why
            ),
            var other => throw new ArgumentOutOfRangeException(
                nameof(condition),
                other,
                "Nothing says what that means."
            ),
        };
    }
}
