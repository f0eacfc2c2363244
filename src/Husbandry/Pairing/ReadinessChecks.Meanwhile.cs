using Husbandry.Climate;
using Husbandry.Hush;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <content>What stands in the way for a time: the hush, a pairing behind her, the season, a loan.</content>
public static partial class ReadinessChecks
{
    private static ReadyCheck Hushed(Subject subject, HushLine pairing, VigilForecast? molt)
    {
        var against = PairingTasks.AgainstPairing(pairing);
        if (against.Count == 0)
        {
            return new ReadyCheck(
                ReadyWord.Ready,
                Reason.FromRecord("Hush", $"Nothing hushes {subject.Them} against it tonight.", "record.hush")
            );
        }

        var why = against[0].Why;
        var until = against
            .Where(c => c.Verdict == against[0].Verdict)
            .Select(c => c.Until)
            .OfType<HushEnd>()
            .MaxBy(u => u.Night)
            ?.Night;
        return
            subject.Standing is { IsMatureByRecord: true, Details.Sex: Sex.Female }
            && molt is not null
            && MoltsBefore(molt, until, subject)
            ? MoltsFirst(subject, molt, why)
            : new ReadyCheck(ReadyWord.Not, why, $"Hushed: {why.Text}", until);
    }

    /// <summary>Whether she will rather have molted than not by the night on which she may be paired again.</summary>
    private static bool MoltsBefore(VigilForecast molt, DateOnly? until, Subject subject) =>
        until is { } night && molt.P50 <= night && night > subject.Room.Tonight;

    private static ReadyCheck MoltsFirst(Subject subject, VigilForecast molt, Reason why)
    {
        var words = subject.Room.Wording;
        var from = molt.P50.AddDays((int)Math.Ceiling(subject.Profile.Pairing!.AfterMoltNights.Value.Low));
        return new ReadyCheck(
            ReadyWord.Not,
            why,
            $"Molts first, about {words.Date(molt.P50)}; rested after it from about {words.Date(from)} on.",
            from
        );
    }

    /// <summary>Whether she was paired since her molt: a second try after about a week, then she is left to wait.</summary>
    private static IEnumerable<ReadyCheck> Expecting(Subject subject, SpeciesPairing rules)
    {
        // What came of a pairing, or a molt, ends the wait for it.
        var pairings = subject.Standing.PairingsNow.ToList();
        if (pairings.Count == 0 || !subject.AllWaitFor(VigilKind.EggCase))
        {
            return [];
        }

        var (room, words) = (subject.Room.Rules.Room.Pairing, subject.Room.Wording);
        var last = subject.Night(pairings[^1].At);
        var nights = subject.Room.Tonight.DayNumber - last.DayNumber;
        var wait = rules.SacWait.Value;
        var text =
            $"Paired {(pairings.Count == 1 ? "once" : $"{pairings.Count} times")} since her molt, last on {words.Date(last)}.";
        if (nights > wait.P90)
        {
            return
            [
                new ReadyCheck(
                    ReadyWord.Ask,
                    rules.SacWait.Because("Paired", "species.sacWait", $"{text} Nine in ten would have laid by now."),
                    "No brood after all this time: it probably did not take."
                ),
            ];
        }

        var again = last.AddDays(room.RetryNights.Value);
        return
            nights <= room.RetryLapses.Value * room.RetryNights.Value
            && pairings.Count < PairingTasks.UsualTries(rules, room)
            ?
            [
                new ReadyCheck(
                    nights >= room.RetryNights.Value ? ReadyWord.Ready : ReadyWord.Soon,
                    room.RetryNights.Because(
                        "Second try",
                        "room.retryNights",
                        $"{text} A second try about {words.Date(again)}."
                    ),
                    From: nights >= room.RetryNights.Value ? null : again
                ),
            ]
            :
            [
                new ReadyCheck(
                    ReadyWord.Not,
                    room.UsualTries.Because("Paired", "room.usualTries", text),
                    $"Paired and waiting: leave her in peace until about {words.Date(last.AddDays((int)wait.P90))}.",
                    last.AddDays((int)Math.Ceiling(wait.P90))
                ),
            ];
    }

    /// <summary>A season: read off the climate where it is one of weeks and degrees, else asked of whoever sees it.</summary>
    private static IEnumerable<ReadyCheck> Season(Subject subject, SpeciesPairing rules)
    {
        if (subject.Standing.Details.Sex == Sex.Male)
        {
            yield break;
        }

        if (rules.Programme is { } programme)
        {
            yield return InProgramme(subject, programme);
        }
        else if (rules.Season is { } season)
        {
            yield return new ReadyCheck(
                ReadyWord.Ask,
                season.Because("Season", "species.season", $"Season: {season.Value}."),
                $"Is it the season? {season.Value.ToUpperFirst()}."
            );
        }
    }

    /// <summary>How far her cool or dry weeks are, by what was read where she stood since her last molt, at most within a year.</summary>
    private static ReadyCheck InProgramme(Subject subject, Rule<SeasonProgramme> rule)
    {
        var (programme, room) = (rule.Value, subject.Room);
        var year = room.Now.AddYears(-1);
        var molted = subject.Standing.Growth.LastMolt?.When.To;
        var (within, known) = room.Climate.DaysWithin(
            subject.Stays,
            programme.Celsius.Low,
            programme.Celsius.High,
            molted > year ? molted.Value : year,
            room.Now
        );
        var weeks = within / WinterWeeks.Week;
        var asked = Says(programme);
        var text =
            known == 0
                ? $"{asked}. No temperature was read where she stood."
                : $"{asked}. By the readings {Wording.Plain(Math.Round(weeks, 1))} weeks so since her molt, within a year.";
        var why = rule.Because("Season", "species.programme", text);
        return weeks >= programme.Weeks.Low
            ? new ReadyCheck(ReadyWord.Ready, why)
            : new ReadyCheck(
                ReadyWord.Ask,
                why,
                $"Has she had her season? {asked}; by the readings {Wording.Plain(Math.Round(weeks, 1))} of them."
            );
    }

    /// <summary>"8–12 weeks at 15–19 °C, dry: a cool room".</summary>
    public static string Says(SeasonProgramme programme) =>
        $"{Wording.Plain(programme.Weeks.Low)}–{Wording.Plain(programme.Weeks.High)} weeks at {Wording.Plain(programme.Celsius.Low)}–{Wording.Plain(programme.Celsius.High)} °C, {(programme.Moisture == Moisture.Dry ? "dry" : "damp")}: {programme.Where}";

    /// <summary>Whether he has spun a sperm web since his last pairing; a look that nobody made holds nothing against him.</summary>
    private static IEnumerable<ReadyCheck> Charged(Subject subject, Stage stage)
    {
        if (subject.Group.Courtship?.SpermWeb.Value != true || !PairingTasks.MaySpin(subject, stage))
        {
            yield break;
        }

        var rules = subject.Room.Rules.Room.Pairing;
        var spun = subject.Standing.Webs.LastOrDefault(w => w.Look == WebLook.New);
        var paired = subject.Standing.Pairings is [.., var last] ? last : null;
        var words = subject.Room.Wording;
        var text =
            spun is null ? "No sperm web of his is on record: look for one before, and clear it."
            : paired is not null && spun.At < paired.At
                ? $"No new sperm web on record since he was paired on {words.Date(subject.Night(paired.At))}."
            : $"New sperm web seen on {words.Date(subject.Night(spun.At))}: charged.";
        yield return new ReadyCheck(ReadyWord.Ready, rules.WebHours.Because("Sperm web", "room.webHours", text));
    }

    private static IEnumerable<ReadyCheck> Together(Subject subject) =>
        subject.Standing.OpenPairing is { } open
            ?
            [
                new ReadyCheck(
                    ReadyWord.Not,
                    Reason.FromRecord("Together", $"Together with {open.Partner ?? "a mate"} now.", "record.paired"),
                    $"Together with {open.Partner ?? "a mate"} now: log how it ends."
                ),
            ]
            : [];

    private static IEnumerable<ReadyCheck> Away(Subject subject) =>
        subject.Standing.Loan is { } loan
            ?
            [
                new ReadyCheck(
                    ReadyWord.Not,
                    Reason.FromRecord("Loan", $"With {loan.To}.", "record.loan"),
                    $"With {loan.To}{(loan.BackBy is { } back ? $" until {subject.Room.Wording.Date(back)}" : "")}.",
                    loan.BackBy
                ),
            ]
            : [];
}
