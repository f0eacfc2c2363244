using Husbandry.Reasons;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>A pupa taken out of the cold on the night that was planned.</summary>
public sealed partial record RoundLine
{
    /// <summary>
    /// The line of that night. Where its cold is not done by what was read, waiting for it is what is offered first: warmed too
    /// early it dies or lies over.
    /// </summary>
    private static RoundLine WarmUpLine(Judgement j)
    {
        var s = j.Subject;
        var winter = WinterWeeks.Of(s);
        // What lies there for long enough by the keeper's word alone is for the keeper to say.
        var missing = winter is null or { IsDoneUnread: true } ? 0 : winter.Days.MissingDays;
        var text =
            missing > 0
                ? $"Planned for tonight, but {Wording.Nights(missing)} of cold are missing by what was read: warmed now it may die or lie over."
                : "Planned for tonight. Warm and damp from now on, on a bed it can climb from; a look daily as it comes out.";
        var warm = new LineChoice(
            "w",
            s.IsMany ? "They are out of the cold" : "It is out of the cold",
            "Warmed",
            [new Chilled(false)]
        );
        var wait = new LineChoice(
            "l",
            missing > 0 ? "Wait until its cold is done" : "Tomorrow",
            missing > 0 ? "Wait" : "Tomorrow",
            [new WarmUpPlanned(s.Room.Tonight.AddDays(Math.Max(1, missing)))]
        );
        return Line(
            j,
            RoundAct.WarmUp,
            "look",
            missing > 0 ? $"Out of the cold? {Wording.Nights(missing)} are missing" : "Take it out of the cold",
            missing > 0 ? "read the refrigerator first" : "onto its damp warm bed",
            new Answer<RoundAct>(RoundAct.WarmUp, text, j.Phase.Reasons),
            missing > 0 ? [wait, warm] : [warm, wait]
        );
    }
}
