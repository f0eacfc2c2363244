using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>A look at marks that tell the sex since the last molt.</summary>
public sealed partial record RoundLine
{
    /// <summary>Whether there is something new to tell the sex by, and it may be handled for that.</summary>
    private static bool MayTellSex(Judgement j) =>
        j.Hush[CareAct.Handle].Verdict == Verdict.Fine && SexTelling.New(j.Subject, j.Stage.Value).Count > 0;

    private static RoundLine SexLine(Judgement j)
    {
        var s = j.Subject;
        var marks = SexTelling.New(s, j.Stage.Value);
        var by = string.Join(", ", marks.Select(SexSeenEntry.Noun));
        var (rule, nights) = (SexTelling.Marks(s)[marks[0]].Why, s.Room.Rules.Room.Rounds.SexLookNights);
        var text = $"Since its molt the sex shows by {by}. {rule.Value}";
        return Line(
            j,
            RoundAct.TellSex,
            "look",
            $"The sex shows now: look at {by}",
            s.InstarText ?? s.Group.StageWord(j.Stage.Value),
            new Answer<RoundAct>(
                RoundAct.TellSex,
                text,
                [
                    rule.Because("Its marks", $"group.sexing.{marks[0].ToString().ToLowerFirst()}", text),
                    nights.Because(
                        "For how long",
                        "room.sexLookNights",
                        $"For {Wording.Nights(nights.Value)} after the molt it is asked for, then no more."
                    ),
                ]
            ),
            [
                new LineChoice("n", "Not certain", "Not certain", [new SexSeen(Sex.Unknown, marks[0])]),
                new LineChoice("f", "Female", "Female", [new SexSeen(Sex.Female, marks[0])]),
                new LineChoice("m", "Male", "Male", [new SexSeen(Sex.Male, marks[0])]),
            ]
        );
    }
}
