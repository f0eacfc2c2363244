using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Picks what to offer.</summary>
internal static class MealChoice
{
    /// <summary>What to offer; none when nothing suits, its size is not known, or it does not eat.</summary>
    public static MealOffer? Of(Subject subject, Stage stage, PreyFit? prey, HushTable hush, Variety variety) =>
        Of(subject, stage, prey, hush[CareAct.FeedLive].Verdict != Verdict.Fine, variety);

    /// <summary>What would be offered when nothing is hushed.</summary>
    public static MealOffer? Freely(Subject subject, Stage stage, PreyFit? prey, Variety variety) =>
        Of(subject, stage, prey, mustBeDead: false, variety);

    private static MealOffer? Of(Subject subject, Stage stage, PreyFit? prey, bool mustBeDead, Variety variety) =>
        EatsNothing(subject, stage) is not null ? null
        : subject.Group.Feeding.Diet == Diet.SugarAndProtein ? AntMeals.Offer(subject, stage)
        : subject.Group.Feeding.Diet != Diet.Prey
            ? WithCalcium(
                subject,
                Plain(subject, Fresh(subject, stage, variety), subject.Standing.IsTank ? subject.Mouths : 1)
            )
        : prey is null ? FromHabit(subject, mustBeDead)
        : Prey(subject, stage, prey, mustBeDead, variety);

    /// <summary>
    /// The rule by which the youngest do not eat yet; none where it eats. Only of those that were seen to hatch from eggs kept
    /// apart: of all others nobody knows better than their keeper whether they hunt.
    /// </summary>
    internal static Rule<int>? LivesOnYolk(Subject subject) =>
        subject is { Group.Nursery.EatsFrom: { } from, Instar: { } instar, Standing.Feeding.Meals.Count: 0 }
        && instar < from.Value
        && subject.Standing.Vigils.All.Any(v => v is { Vigil: VigilKind.Hatching, AsHoped: true })
            ? from
            : null;

    /// <summary>Why an animal of a stage takes no food at all, in a few words; none when it does.</summary>
    public static string? EatsNothing(Subject subject, Stage stage) =>
        LivesOnYolk(subject) is { } yolk
            ? $"{subject.It} {(subject.IsMany ? "live" : "lives")} on yolk and {(subject.IsMany ? "eat" : "eats")} nothing before {subject.Group.InstarMark}{yolk.Value}"
        : subject.Standing.IsTank && subject.Inmates.Count == 0 ? "nobody lives in it"
        : subject.Group.At(stage).Food is null ? $"{NotOf(subject, stage)} nothing"
        : stage == Stage.Adult
        && subject.Group.Feeding.Diet == Diet.Leaves
        && subject.Profile.AdultFeeds?.Value == false
            ? "adults of this species do not feed"
        : null;

    private static string NotOf(Subject subject, Stage stage) =>
        stage == Stage.Egg ? "eggs take" : $"a {subject.Group.StageWord(stage)} takes";

    /// <summary>While its size is not known: what it has taken whole before, the most often taken first.</summary>
    private static MealOffer? FromHabit(Subject subject, bool mustBeDead)
    {
        var liveOnly = subject.Group.Feeding.Prey!.LiveOnly.Value;
        return
            (liveOnly && mustBeDead)
            || subject
                .Standing.Feeding.Taken.Where(t => subject.Room.Rules.Feeder(t.FeederId) is not null)
                .MaxBy(t => t.Times)
                is not { } food
            ? null
            : Offer(
                subject,
                food.FeederId,
                food.SizeClassId,
                subject.Mouths,
                mustBeDead ? Preparation.PreKilled : Preparation.Live,
                subject.Mouths
            );
    }

    private const string Calcium = "cuttlebone";

    /// <summary>A crab just up from a molt gets calcium beside its food.</summary>
    private static MealOffer WithCalcium(Subject subject, MealOffer offer) =>
        HushTable.JustUp(subject) is null || offer.FeederId == Calcium
            ? offer
            : offer with
            {
                With = Plain(subject, Calcium, 1),
            };

    /// <summary>
    /// From the menu of the stage and the keeper's own feeders, of what the room keeps before what it would have to buy, what fits whole; a feeder that made up too much of the last meals, is too fat just
    /// now or was mostly turned down comes later; else the menu's order, those eaten least of late first.
    /// </summary>
    private static MealOffer? Prey(Subject subject, Stage stage, PreyFit prey, bool mustBeDead, Variety variety)
    {
        var menu = subject.Group.At(stage).Food!.Menu;
        var kept = subject.Room.Kept;
        var liveOnly = subject.Group.Feeding.Prey!.LiveOnly.Value;
        var possible = prey
            .Options.Where(o => o.Verdict is PreyVerdict.Fits or PreyVerdict.Cut)
            .Where(o => Rank(menu, o) >= 0 || IsOwn(o) || o.TakenBefore > 0)
            .Where(o => !(liveOnly && (mustBeDead || o.Verdict == PreyVerdict.Cut)))
            .ToList();
        // With one or two possible foods there is nothing to vary.
        var few =
            possible.Where(o => o.Verdict == PreyVerdict.Fits).Select(o => o.FeederId).Distinct().Count()
            < subject.Room.Rules.Room.Feeding.ChoicesForVariety.Value;
        var option = possible
            .OrderBy(o => kept.Count == 0 || kept.Contains(new FoodKey(o.FeederId, o.SizeClassId)) ? 0 : 1)
            .ThenBy(o => o.Verdict == PreyVerdict.Fits ? 0 : 1)
            .ThenBy(o => (!few && o.FeederId == variety.Tired) || (o.Fatty && variety.FatIsHeld) ? 1 : 0)
            .ThenBy(o => variety.Dislikes(o.FeederId, subject.Room.Rules.Room) ? 1 : 0)
            .ThenBy(o => o.Fatty ? 1 : 0)
            .ThenBy(o =>
                (Rank(menu, o) is var rank and >= 0 ? rank : menu.Count) + (few ? 0 : variety.MealsOf(o.FeederId))
            )
            .ThenBy(o => o.Count)
            .ThenByDescending(o => o.MaxMm)
            .FirstOrDefault();
        bool IsOwn(PreyOption o) =>
            kept.Contains(new FoodKey(o.FeederId, o.SizeClassId))
            && subject.Room.Rules.Feeder(o.FeederId)!.KeepsDays.Tag == RuleTag.Keeper;

        if (option is null)
        {
            return null;
        }

        var preparation =
            option.Verdict == PreyVerdict.Cut ? Preparation.Cut
            : mustBeDead ? Preparation.PreKilled
            : Preparation.Live;
        var count = option.Count * subject.Mouths;
        var animals = (int)Math.Ceiling((double)count / Math.Max(1, option.Pieces));
        return Offer(subject, option.FeederId, option.SizeClassId, count, preparation, animals);
    }

    /// <summary>Place of an option on a menu; −1 when it is not on it.</summary>
    public static int Rank(IReadOnlyList<string> menu, PreyOption option)
    {
        for (var i = 0; i < menu.Count; i++)
        {
            if (menu[i] == option.FeederId || menu[i] == $"{option.FeederId}/{option.SizeClassId}")
            {
                return i;
            }
        }

        return -1;
    }

    /// <summary>Food that needs no sizing: the menu in turn, so that it is not every night the same.</summary>
    private static string Fresh(Subject subject, Stage stage, Variety variety)
    {
        var menu = subject.Group.At(stage).Food!.Menu;
        return menu.Select((id, rank) => (id, Score: rank + variety.MealsOf(id))).MinBy(x => x.Score).id;
    }

    internal static MealOffer Plain(Subject subject, string feederId, int count) =>
        Offer(subject, feederId, subject.Room.Rules.Feeder(feederId)!.Classes[0].Id, count, Preparation.Fresh, count);

    private static MealOffer Offer(
        Subject subject,
        string feeder,
        string size,
        int count,
        Preparation preparation,
        int animals
    )
    {
        var offer = new Offer(feeder, size, count, preparation, OfferOutcome.NotSeen);
        return new MealOffer(
            feeder,
            size,
            count,
            preparation,
            FoodWords.Of(offer, subject.Room.Rules),
            subject.Room.Rules.Feeder(feeder)!.Serving,
            animals
        );
    }
}
