using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>One feeder in what an animal was given.</summary>
/// <param name="FeederId">Feeder.</param>
/// <param name="Name">Its name, plural.</param>
/// <param name="Meals">How many of the last meals it made.</param>
/// <param name="Offered">How often it was offered in the last offers.</param>
/// <param name="Taken">How often it was then taken.</param>
public sealed record FeederRecord(string FeederId, string Name, int Meals, int Offered, int Taken);

/// <summary>How varied the last meals were, and what the animal likes.</summary>
/// <param name="Feeders">Every feeder on record, the most eaten first.</param>
/// <param name="Meals">Meals counted.</param>
/// <param name="Evenness">Pielou's evenness of the last meals (0–1); none with fewer than two kinds.</param>
/// <param name="FattyShare">Share of the last meals that was rich in fat (0–1).</param>
/// <param name="Tired">Feeder that made up too much of them; none when they were mixed.</param>
/// <param name="FatIsHeld">Whether fat-rich feeders are held back now.</param>
/// <param name="Why">Why another is suggested; empty when there is nothing to say.</param>
public sealed record Variety(
    IReadOnlyList<FeederRecord> Feeders,
    int Meals,
    double? Evenness,
    double FattyShare,
    string? Tired,
    bool FatIsHeld,
    IReadOnlyList<Reason> Why
)
{
    private IReadOnlyList<string> Last { get; init; } = [];

    /// <summary>Reads the last meals and offers.</summary>
    public static Variety Of(Subject subject)
    {
        var (standing, rules) = (subject.Standing, subject.Room.Rules);
        var meals = standing.Feeding.Meals.GroupBy(m => m.Offer.FeederId).ToDictionary(g => g.Key, g => g.Count());
        var offers = standing
            .Vigils.Appetite.Where(a => a.FeederId is not null)
            .GroupBy(a => a.FeederId!)
            .ToDictionary(g => g.Key, g => (All: g.Count(), Taken: g.Count(a => a.Taken)));
        var feeders = meals
            .Keys.Union(offers.Keys)
            .Select(id =>
            {
                var (all, taken) = offers.GetValueOrDefault(id);
                return new FeederRecord(id, rules.Feeder(id)?.Plural ?? id, meals.GetValueOrDefault(id), all, taken);
            })
            .OrderByDescending(f => f.Meals)
            .ThenByDescending(f => f.Offered)
            .ToList();
        var count = standing.Feeding.Meals.Count;
        var fatty = standing.Feeding.Meals.Count(m => rules.Feeder(m.Offer.FeederId)?.Fatty == true);
        var limit = rules.Room.Feeding.VarietyShareLimit;
        var tired =
            count >= rules.Room.Feeding.MealsRemembered.Value && feeders[0].Meals > count * limit.Value
                ? feeders[0]
                : null;
        var fatLimit = rules.Room.Feeding.FattyShareLimit;
        var held = count > 0 && fatty + 1 > (count + 1) * fatLimit.Value && fatty > 0;
        var why = new List<Reason>();
        if (tired is not null && subject.Group.Feeding.Prey is not null)
        {
            var text = $"{tired.Meals} of the last {count} meals were {tired.Name}: something else now.";
            why.Add(limit.Because("Variety", "room.varietyShareLimit", text));
        }

        if (held && subject.Group.Feeding.Prey is not null)
        {
            var text = $"{fatty} of the last {count} meals were rich in fat: lean prey now.";
            why.Add(fatLimit.Because("Fat", "room.fattyShareLimit", text));
        }

        return new Variety(
            feeders,
            count,
            Diversity.Of([.. meals.Values]).Evenness,
            count == 0 ? 0 : (double)fatty / count,
            tired?.FeederId,
            held,
            why
        )
        {
            Last = [.. standing.Feeding.Meals.Select(m => m.Offer.FeederId)],
        };
    }

    /// <summary>The same after one more meal, for looking ahead; reasons and evenness are left as they were.</summary>
    internal Variety After(string feederId, RuleSet rules)
    {
        var remembered = rules.Room.Feeding.MealsRemembered.Value;
        var last = Last.Append(feederId).TakeLast(remembered).ToList();
        var counts = last.GroupBy(id => id).ToDictionary(g => g.Key, g => g.Count());
        var most = counts.MaxBy(c => c.Value);
        var fatty = last.Count(id => rules.Feeder(id)?.Fatty == true);
        return this with
        {
            Last = last,
            Feeders =
            [
                .. counts.Select(c =>
                    (Feeders.FirstOrDefault(f => f.FeederId == c.Key) ?? new FeederRecord(c.Key, "", 0, 0, 0)) with
                    {
                        Meals = c.Value,
                    }
                ),
                .. Feeders.Where(f => !counts.ContainsKey(f.FeederId)).Select(f => f with { Meals = 0 }),
            ],
            Tired =
                last.Count >= remembered && most.Value > last.Count * rules.Room.Feeding.VarietyShareLimit.Value
                    ? most.Key
                    : null,
            FatIsHeld = fatty > 0 && fatty + 1 > (last.Count + 1) * rules.Room.Feeding.FattyShareLimit.Value,
        };
    }

    /// <summary>How often a feeder made one of the last meals.</summary>
    public int MealsOf(string feederId) => Feeders.FirstOrDefault(f => f.FeederId == feederId)?.Meals ?? 0;

    /// <summary>Whether the animal has turned a feeder down so often that another is better offered first.</summary>
    public bool Dislikes(string feederId, RoomRules rules) =>
        Feeders.FirstOrDefault(f => f.FeederId == feederId) is { } f
        && f.Offered >= rules.Feeding.OffersThatTell.Value
        && f.Taken < f.Offered * rules.Feeding.DislikedBelow.Value;
}
