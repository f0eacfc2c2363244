using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>What is said where nothing is to be done here.</summary>
public sealed partial record RoundLine
{
    private static RoundLine Resting(Judgement j, DateTimeOffset? next)
    {
        var s = j.Subject;
        var words = s.Room.Wording;
        var hushed = s.Standing.Loan is null && PhaseMark.Of(j.Phase.Value).PassesBy;
        var text =
            s.Standing.Loan is { } away ? LoanText(j, away)
            : s.Standing.OpenPairing is { HoldsAll: true } open ? TogetherText(s, open)
            : s.Standing.PutOffUntil is { } until && until > s.Room.Tonight ? $"put off until {words.Day(until)}"
            : j.Phase.Value == Phase.Imminent ? $"{Label(j).ToLowerInvariant()}: leave the lid shut"
            : j.Phase.Value == Phase.Hardening
                ? $"hardening, no food until {words.Date(j.FirstMeal.Value!.Night)}{(s.Group.ChecksFangs ? ", then look at the fangs" : "")}"
            : j.Phase.Value == Phase.FangsUnchecked ? "fangs not black yet: look again tomorrow"
            : j.Phase.Value == Phase.SealedIn ? "sealed in: leave it shut, no food"
            : j.Phase.Value == Phase.Wintering ? j.Phase.Summary.TrimEnd('.').ToLowerFirst()
            : j.Phase.Value == Phase.Pupa && WinterWeeks.Of(s) is { IsCold: true } winter
                ? winter.IsDone
                        ? $"pupa: {winter.Text} weeks of cold done, take it out when its food or its mate will be there"
                    : winter.IsReadWarm
                        ? $"pupa: told to be in the cold, but warm where it stands: {winter.Text} weeks done"
                    : winter.IsDoneUnread
                        ? $"pupa: long enough in the cold by the calendar, read as cold {winter.Text} weeks: look at the thermometer beside it"
                    : $"pupa in its winter cold: {winter.Text} weeks done"
            : j.Wait.Value is { Vigil: VigilKind.EggCase } sac
                ? Join(
                    $"paired: {VigilDefinition.EndOf(sac.Vigil, s.Group)} about {words.Date(sac.P50)} ({words.Dates(sac.P10, sac.P90)}), if it took",
                    j.Meal.Value.Due is { } due ? $"next meal {words.Day(due)}" : ""
                )
            : j.Wait.Value is { } wait
                ? $"{PhaseMark.Of(j.Phase.Value).Word}: {VigilDefinition.EndOf(wait.Vigil, s.Group)} about {words.Date(wait.P50)} ({words.Dates(wait.P10, wait.P90)})"
            : j.Meal.Value.EatsNothing ? Join(j.Meal.Summary.TrimEnd('.').ToLowerFirst(), LifeLeft(j))
            : hushed ? $"{PhaseMark.Of(j.Phase.Value).Word}: {j.Meal.Summary.TrimEnd('.').ToLowerFirst()}"
            : j.Meal.Value.Due is { } meal ? $"next meal {words.Day(meal)}"
            : j.Meal.Summary.TrimEnd('.').ToLowerFirst();
        var why =
            s.Standing.Loan is { } loan ? Lent(RoundAct.None, j, loan)
            : s.Standing.OpenPairing is { HoldsAll: true } pairing ? TogetherWhy(RoundAct.None, s, pairing)
            : hushed ? new Answer<RoundAct>(RoundAct.None, j.Phase.Summary, j.HushReasons)
            : As(RoundAct.None, j.Meal);
        return Line(j, RoundAct.None, "look", text, "", why, []) with
        {
            State = hushed ? LineState.PassBy : LineState.Quiet,
            NextDue = next,
        };
    }

    private static RoundLine AskBackLine(Judgement j, LoanEvent loan) =>
        Line(
            j,
            RoundAct.AskBack,
            "look",
            $"Is {j.Subject.It} back from {loan.To}?",
            LoanText(j, loan),
            Lent(RoundAct.AskBack, j, loan),
            [new LineChoice("b", "Back", "Back", [new Returned()])]
        ) with
        {
            Signs = false,
        };

    private static RoundLine GiveBackLine(Judgement j, Borrowed borrowed)
    {
        var by = j.Subject.Room.Wording.Date(borrowed.BackBy!.Value);
        var text = $"{borrowed.Owner}’s, to go back by {by}";
        return Line(
            j,
            RoundAct.GiveBack,
            "look",
            $"Give {j.Subject.Them} back to {borrowed.Owner}",
            Join(text, borrowed.Share is { Length: > 0 } share ? $"agreed: {share}" : ""),
            new Answer<RoundAct>(
                RoundAct.GiveBack,
                $"{text}.",
                [Reason.FromRecord("Borrowed", $"{text}.", "record.details")]
            ),
            [
                new LineChoice(
                    "b",
                    "Given back",
                    "Given back",
                    [new Departed(DepartureKind.GivenAway, $"given back to {borrowed.Owner}")]
                ),
            ]
        );
    }

    private static Answer<RoundAct> Lent(RoundAct act, Judgement j, LoanEvent loan)
    {
        var text = $"{LoanText(j, loan).ToUpperFirst()}.";
        return new Answer<RoundAct>(act, text, [Reason.FromRecord("Lent", text, "record.lent")]);
    }

    private static string LoanText(Judgement j, LoanEvent loan)
    {
        var words = j.Subject.Room.Wording;
        var back = loan.BackBy is { } by ? $"back by {words.Date(by)}" : "no night agreed";
        return $"with {loan.To} since {words.Date(j.Subject.Night(loan.At))}, {back}";
    }
}
