using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Plants;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Tanks;

namespace Husbandry.Rounds;

/// <summary>What kind of thing is to be at hand.</summary>
public enum KitKind
{
    /// <summary>Food, out of its box and ready.</summary>
    Food,

    /// <summary>Water.</summary>
    Water,

    /// <summary>A tool.</summary>
    Tool,

    /// <summary>Something that protects the keeper, or a second person.</summary>
    Safety,
}

/// <summary>One thing to have ready before the first lid comes off.</summary>
/// <param name="Kind">Kind.</param>
/// <param name="What">What, in a keeper's words.</param>
/// <param name="Amount">How many, or how much; 0 for one that serves all.</param>
/// <param name="Unit">Unit of the amount, such as "mL"; empty for pieces.</param>
public sealed record KitItem(KitKind Kind, string What, double Amount, string Unit);

/// <summary>What one thing is needed for.</summary>
/// <param name="Item">The thing, amounts added up.</param>
/// <param name="For">Places that need it, in walking order.</param>
public sealed record KitNeed(KitItem Item, IReadOnlyList<string> For);

/// <summary>The kit list of a round: everything to have ready before it starts.</summary>
public static class RoundKit
{
    private const string Article = "a ";
    private const string Tweezers = "tweezers and a lidded pot for leftovers";
    private const string Tongs = "feeding tongs";
    private const string Blade = "blade and board";
    private const string Torch = "small torch";
    private const string RedLight = "red light";
    private const string Gloves = "gloves and eye cover (irritant hairs)";
    private const string Forceps = "long forceps and an escape-proof spare tub";
    private const string SecondPerson = "a second person";
    private const string CatchCup = "catch cup and soft brush";
    private const string CleanHands = "hands washed with soap: no cream, no spray";
    private const string OwnTools = "brush, cloth and gloves for the sick alone";
    private const string Apart = "tongs, cup and cloth of the quarantine shelf";

    /// <summary>What to mind with the lid off. Source: common practice, no published source.</summary>
    public static IReadOnlyList<string> Mind(Judgement j, RoundAct act)
    {
        if (
            act
            is RoundAct.None
                or RoundAct.Ask
                or RoundAct.AskBack
                or RoundAct.GiveBack
                or RoundAct.LookForMolt
                or RoundAct.LookForAdult
                or RoundAct.LookForWeb
        )
        {
            return [];
        }

        var s = j.Subject;
        var mind = new List<string>();
        if (SickSeenEntry.WatchedUntil(s) is { } until)
        {
            mind.Add($"Sick ones were seen: last of all until {s.Room.Wording.Date(until)}, with tools of its own");
        }

        // Of those that live in a tank: a soft one is eaten by who digs it up.
        mind.AddRange(
            (s.Standing.IsTank ? s.Inmates : [])
                .Select(i => Subject.Of(i, s.Room))
                .Where(i => BurialGuardedEntry.Now(i) is { OthersDig: true } g && !g.Done.Contains(SleeveStep.Sunk))
                .Select(i =>
                    $"Others dig at {i.Standing.Details.Nickname}: keep them away, never dig; the sleeve is the keeper’s to sink"
                )
        );
        if (s.Profile.Quick?.Value == true)
        {
            mind.Add("Quick: catch cup and soft brush at hand, room closed");
        }

        if (IsLarva(j))
        {
            mind.Add("Wash your hands first; move the leaf, not the larva");
        }

        // The line of the tube says it beside what it asks.
        if (s.IsQueenAlone && act != RoundAct.LookAtTube)
        {
            mind.Add("Red light, no knocks: she is alone");
        }

        mind.AddRange(j.InmatesAtRest.Select(who => $"{who}: leave alone, dig nothing up"));
        return mind;
    }

    private static bool IsLarva(Judgement j) =>
        j.Subject.Group.Feeding.Diet == Diet.Leaves && j.Stage.Value is not (Stage.Adult or Stage.Egg);

    /// <summary>What one visit to one enclosure needs. Source: common practice, no published source.</summary>
    /// <param name="j">The animal.</param>
    /// <param name="act">What is done.</param>
    /// <param name="offer">What is offered, if anything.</param>
    /// <param name="waters">Water that is given in the same visit.</param>
    public static IReadOnlyList<KitItem> ItemsFor(
        Judgement j,
        RoundAct act,
        MealOffer? offer,
        IReadOnlyList<WaterClock> waters
    )
    {
        var items = new List<KitItem>();
        void Tool(string what) => items.Add(new KitItem(KitKind.Tool, what, 0, ""));
        void Safety(string what) => items.Add(new KitItem(KitKind.Safety, what, 0, ""));
        switch (act)
        {
            case RoundAct.None or RoundAct.AskBack or RoundAct.GiveBack:
                return items;
            case RoundAct.RemoveLeftovers:
                Tool(Tweezers);
                break;
            case RoundAct.CheckFangs or RoundAct.LookForMolt or RoundAct.LookForWeb or RoundAct.LookForAdult:
                Tool(Torch);
                break;
            case RoundAct.WarmUp:
                Tool("a box with a damp bed");
                break;
            case RoundAct.TellSex:
                Tool("magnifier and a clear cup");
                break;
            case RoundAct.PartThem or RoundAct.PairAgain:
                Tool(CatchCup);
                break;
            case RoundAct.LookAgain:
                Tool(Torch);
                break;
            case RoundAct.CountYoung:
                Tool("white paper and a camera");
                break;
            case RoundAct.PutApart:
                Tool(CatchCup);
                Tool($"{j.Subject.Standing.Details.Count} vials with lids and labels");
                break;
            case RoundAct.LookAtTube:
                Tool(RedLight);
                break;
            case RoundAct.DampSide:
                items.Add(new KitItem(KitKind.Water, "water can", 0, ""));
                break;
            case RoundAct.Help:
                items.Add(new KitItem(KitKind.Water, "water can", 1, "dishes"));
                break;
            case RoundAct.Feed when offer is not null:
                for (var each = offer; each is not null; each = each.With)
                {
                    items.Add(Food(j, each));
                }

                if (offer.Preparation is Preparation.Cut or Preparation.PreKilled)
                {
                    Tool(Blade);
                }
                else if (offer.Preparation == Preparation.Live)
                {
                    Tool(Tongs);
                }

                break;
        }

        items.AddRange(
            waters.Select(w =>
                w switch
                {
                    { Mist: { } mist } => new KitItem(KitKind.Water, "mist bottle", mist.Ml, "mL"),
                    { Kind: WaterKind.Mist } => new KitItem(KitKind.Water, "mist bottle", 0, ""),
                    { Kind: WaterKind.Pools } => new KitItem(
                        KitKind.Water,
                        "fresh and salt water, without chlorine",
                        0,
                        ""
                    ),
                    { Kind: WaterKind.Damp } => new KitItem(KitKind.Water, "water can", 0, ""),
                    { Kind: WaterKind.Dish or null } => new KitItem(KitKind.Water, "water can", 1, "dishes"),
                    _ => throw new ArgumentOutOfRangeException(
                        nameof(waters),
                        w.Kind,
                        "Nothing says what is needed for it."
                    ),
                }
            )
        );
        if (
            j.Subject.Profile.Quick?.Value == true
            && items.All(i => i.What != CatchCup)
            && act
                is not (
                    RoundAct.LookForMolt
                    or RoundAct.LookForAdult
                    or RoundAct.LookForWeb
                    or RoundAct.Ask
                    or RoundAct.AskBack
                )
        )
        {
            Tool(CatchCup);
        }

        if (IsLarva(j))
        {
            Tool(CleanHands);
        }

        switch (j.Subject.Profile.Hazard?.Value)
        {
            case Hazard.IrritantHairs:
                Safety(Gloves);
                break;
            case Hazard.MedicallySignificant or Hazard.Unknown:
                Safety(SecondPerson);
                Safety(Forceps);
                break;
        }

        if (j.Subject.Room.Layout.IsQuarantine(j.Subject.Place))
        {
            Tool(Apart);
        }

        if (SickSeenEntry.WatchedUntil(j.Subject) is not null)
        {
            Tool(OwnTools);
        }

        return items;
    }

    /// <summary>Adds up what the lines of a round need: food first, then water, tools, safety.</summary>
    /// <param name="lines">Lines that are due, in walking order.</param>
    public static IReadOnlyList<KitNeed> Of(IEnumerable<RoundLine> lines) =>
        [
            .. lines
                .SelectMany(l => l.Kit.Select(item => (Item: item, l.Place.Code)))
                .GroupBy(x => (x.Item.Kind, x.Item.What, x.Item.Unit))
                .Select(g => new KitNeed(
                    g.First().Item with
                    {
                        Amount = g.Sum(x => x.Item.Amount),
                    },
                    [.. g.Select(x => x.Code).Distinct()]
                ))
                .OrderBy(n => n.Item.Kind)
                .ThenByDescending(n => n.Item.Amount)
                .ThenBy(n => n.Item.What, StringComparer.Ordinal),
        ];

    // "A cut insect" is counted here: "4 × cut insect".
    private static string WithoutArticle(string name) =>
        name.StartsWith(Article, StringComparison.Ordinal) ? name[Article.Length..] : name;

    private static KitItem Food(Judgement j, MealOffer offer)
    {
        var feeder = j.Subject.Room.Rules.Feeder(offer.FeederId);
        var size = feeder?.Class(offer.SizeClassId);
        var name = size is null || size.Name.Length == 0 ? feeder?.Name : $"{size.Name} {feeder?.Name}";
        return new KitItem(KitKind.Food, WithoutArticle(name ?? offer.FeederId), offer.Animals, "");
    }
}
