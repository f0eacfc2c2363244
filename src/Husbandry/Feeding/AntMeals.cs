using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Food of ants: sugar always there, protein for the brood; a founding queen by her way of founding.</summary>
/// <remarks>Source: common practice, no published source.</remarks>
internal static class AntMeals
{
    /// <summary>Night on which something is due, and why. A queen that is fed gets insect and sugar together at every visit.</summary>
    public static (DateOnly Due, double EveryDays, Reason Why) Plan(Subject subject, Stage stage)
    {
        var (sugar, protein) = Nights(subject, stage);
        var (sugarRule, sugarName) = SugarRule(subject);
        if (subject.IsQueenAlone)
        {
            var visit = sugar < protein ? sugar : protein;
            return (
                visit,
                sugarRule.Value,
                sugarRule.Because(
                    "Queen",
                    sugarName,
                    $"A queen that is fed gets an insect piece and a drop of sugar together every {Wording.Days(sugarRule.Value)}; what is left comes out after two or three days."
                )
            );
        }

        var rule = subject.Room.Rules.Room.Feeding.ProteinEveryDays;
        var words = subject.Room.Wording;
        return (
            sugar < protein ? sugar : protein,
            Math.Min(sugarRule.Value, rule.Value),
            rule.Because(
                "Protein",
                "room.proteinEveryDays",
                $"Protein every {Wording.Days(rule.Value)} or more by brood, next {words.Day(protein)}; any insect counts. Sugar and water are always there: looked at {words.Day(sugar)}."
            )
        );
    }

    /// <summary>What is due on the next night on which something is: sugar, protein or both.</summary>
    public static MealOffer? Offer(Subject subject, Stage stage)
    {
        var (sugarDue, proteinDue) = Nights(subject, stage);
        var due = sugarDue < proteinDue ? sugarDue : proteinDue;
        due = due > subject.Room.Tonight ? due : subject.Room.Tonight;
        var (sugars, proteins) = Menu(subject, stage);
        var pieces = Math.Max(
            1,
            (int)Math.Ceiling(subject.Standing.Details.Count / subject.Room.Rules.Room.Feeding.WorkersPerPiece.Value)
        );
        var sugar = MealChoice.Plain(subject, InTurn(subject, sugars), 1);
        var protein = MealChoice.Plain(subject, InTurn(subject, proteins), pieces);
        return subject.IsQueenAlone ? protein with { With = sugar }
            : proteinDue <= due && sugarDue <= due ? protein with { With = sugar }
            : proteinDue <= due ? protein
            : sugar;
    }

    private static (DateOnly Sugar, DateOnly Protein) Nights(Subject subject, Stage stage)
    {
        var (sugars, proteins) = Menu(subject, stage);
        var came = subject.Standing.Details.AcquiredOn;
        DateOnly After(Func<string, bool> which, double days) =>
            subject.Standing.Feeding.Meals.LastOrDefault(m => which(m.Offer.FeederId)) is { } last
                ? subject.Night(last.At).AddDays((int)Math.Round(days, MidpointRounding.AwayFromZero))
                : came;
        var sugar = After(sugars.Contains, SugarRule(subject).Rule.Value);
        var protein = After(
            id => proteins.Contains(id) || subject.Room.Rules.Feeder(id)?.FeedsBrood == true,
            subject.IsQueenAlone
                ? subject.Room.Rules.Room.Water.SemiClaustralVisitDays.Value
                : subject.Room.Rules.Room.Feeding.ProteinEveryDays.Value
        );
        return (sugar, protein);
    }

    private static (Rule<double> Rule, string Name) SugarRule(Subject subject) =>
        subject.IsQueenAlone
            ? (subject.Room.Rules.Room.Water.SemiClaustralVisitDays, "room.semiClaustralVisitDays")
            : (subject.Group.Water.WaterEveryDays[subject.Profile.Moisture.Value], "group.waterEveryDays.damp");

    private static (IReadOnlyList<string> Sugars, IReadOnlyList<string> Proteins) Menu(Subject subject, Stage stage)
    {
        var menu = subject.Group.At(stage).Food!.Menu.Select(dish => dish.Split('/')[0]).ToList();
        bool FeedsBrood(string id) => subject.Room.Rules.Feeder(id)!.FeedsBrood;
        return ([.. menu.Where(id => !FeedsBrood(id))], [.. menu.Where(FeedsBrood)]);
    }

    /// <summary>Kinds in turn: the one not given for longest, the menu's order first.</summary>
    private static string InTurn(Subject subject, IReadOnlyList<string> kinds)
    {
        var last = subject.Standing.Feeding.Meals.LastOrDefault(m => kinds.Contains(m.Offer.FeederId))?.Offer.FeederId;
        return subject.IsQueenAlone ? kinds.FirstOrDefault(k => k != last) ?? kinds[0] : kinds[0];
    }
}
