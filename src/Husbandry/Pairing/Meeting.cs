using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>What a keeper can do so that an animal is adult sooner or later.</summary>
public enum Steering
{
    /// <summary>A warmer shelf.</summary>
    Warmer,

    /// <summary>A cooler shelf.</summary>
    Cooler,

    /// <summary>Meals further apart.</summary>
    Leaner,

    /// <summary>Meals closer together.</summary>
    Richer,
}

/// <summary>One way of steering an animal.</summary>
/// <param name="How">What is done.</param>
/// <param name="Slower">Factor on the rest of its waits from then on.</param>
/// <param name="Says">What is done in words, by the nights from tonight on which it begins.</param>
/// <param name="Then">When it would be adult, and how long, by the same.</param>
public sealed record SteeredSpan(Steering How, double Slower, Func<int, string> Says, Func<int, AdultSpan> Then);

/// <summary>Whether a male and a female will be adult together, and what would make it likelier.</summary>
/// <param name="Chance">Chance (0–1) as both are kept now.</param>
/// <param name="Steered">Which of the two is best kept otherwise; none where nothing gains enough.</param>
/// <param name="How">How.</param>
/// <param name="Then">Chance (0–1) then.</param>
/// <param name="Says">The same in a sentence.</param>
public sealed record Meeting(double Chance, Guid? Steered, Steering? How, double? Then, string Says)
{
    /// <summary>Dates of one molt, each equally likely.</summary>
    private const int Dates = 12;

    // The ways of which later beginnings are tried.
    private const int MostDelayed = 2;

    // Beyond so many molts no date says anything.
    private const int MostMolts = 8;

    /// <summary>When an animal is adult as it is kept now; none where that cannot be told.</summary>
    public static AdultSpan? SpanOf(Mate mate)
    {
        var life = mate.AdultLife;
        if (mate.IsAdult)
        {
            return new AdultSpan([0], new LeftOfLife(life));
        }

        if (mate.Molt is null || mate.MoltsLeft is not { } left)
        {
            return null;
        }

        var low = Math.Max(1, left.ByInstarLow ?? left.BySizeLow ?? 1);
        var high = Math.Min(MostMolts, Math.Max(low, left.ByInstarHigh ?? left.BySizeHigh ?? low));
        var steps = MoltPath.Of(mate.Subject, mate.Molt, mate.Size, high).ToList();
        return steps.Count < low
            ? null
            : new AdultSpan(
                [
                    .. steps
                        .Skip(low - 1)
                        .SelectMany(s =>
                            Enumerable.Range(0, Dates).Select(k => s.Until.Quantile((k + 0.5) / Dates).Value)
                        ),
                ],
                life.Whole
            );
    }

    /// <summary>The ways in which it can be steered; none of who is adult or must be left alone, and no hunger for the thin.</summary>
    /// <param name="mate">The animal.</param>
    /// <param name="span">When it is adult as it is kept now.</param>
    public static IReadOnlyList<SteeredSpan> SteeringOf(Mate mate, AdultSpan? span)
    {
        if (span is null || mate.IsAdult || mate.Hush[CareAct.Rehouse].Verdict != Verdict.Fine)
        {
            return [];
        }

        var (subject, rules) = (mate.Subject, mate.Subject.Room.Rules.Room);
        var food = Math.Pow(rules.Pairing.SteerFood.Value, subject.Group.Feeding.PacePerFood.Value);
        var name = subject.Standing.Details.Nickname;
        var (thin, fat) = (
            mate.Condition.Value.Word == ConditionWord.Thin,
            mate.Condition.Value.Word is ConditionWord.Plump or ConditionWord.VeryPlump
        );
        return
        [
            .. ByWarmth(mate)
                .Append((Steering.Leaner, thin ? 1 : food, night => $"{name} fed leaner from {On(night)} on"))
                .Append((Steering.Richer, fat ? 1 : 1 / food, night => $"{name} fed more from {On(night)} on"))
                .Where(o => o.How is Steering.Warmer or Steering.Richer ? o.Slower < 1 : o.Slower > 1)
                .Select(o => new SteeredSpan(
                    o.How,
                    o.Slower,
                    o.Says,
                    night => span.From(new CalendarDays(night), o.Slower, subject.Pace)
                )),
        ];

        string On(int night) => Night(subject, night);
    }

    private static string Night(Subject subject, int fromTonight) =>
        fromTonight == 0 ? "tonight" : subject.Room.Wording.Date(subject.Room.Tonight.AddDays(fromTonight));

    /// <summary>Factor on the waits of an animal at another warmth, held within so many degrees of the reference of its species.</summary>
    internal static double SlowerAt(Subject subject, double celsius)
    {
        var (warmth, room) = (subject.Profile.Warmth.Value, subject.Room.Rules.Room);
        var by = room.Pairing.SteerWarmthC.Value;
        return Pace.Rate(warmth, room.Climate, subject.Pace.CelsiusNow)
            / Pace.Rate(warmth, room.Climate, Math.Clamp(celsius, warmth.ReferenceC - by, warmth.ReferenceC + by));
    }

    /// <summary>
    /// The warmest and the coolest shelf on which it may stand, by what was read there of late; where no shelf is known to be
    /// warmer or cooler, so many degrees as the rule says. Never further from the reference of the species than that.
    /// </summary>
    private static IEnumerable<(Steering How, double Slower, Func<int, string> Says)> ByWarmth(Mate mate)
    {
        var (subject, room) = (mate.Subject, mate.Subject.Room);
        var (warmth, by) = (subject.Profile.Warmth.Value, room.Rules.Room.Pairing.SteerWarmthC.Value);
        var noticed = room.Rules.Room.Pairing.ShelfNoticedC.Value;
        var (now, name) = (subject.Pace.CelsiusNow, subject.Standing.Details.Nickname);
        var (least, most) = (warmth.ReferenceC - by, warmth.ReferenceC + by);
        var shelves = subject.Pace.IsKnown
            ? room
                .Layout.Racks.SelectMany(r =>
                    r.Shelves.Where(s => !s.Quarantine).Select(s => new Place(r.Rack, s.Number, 1))
                )
                .Select(place => (place.ShelfCode, Celsius: room.RecentCAt(place)))
                .Where(s => s.Celsius >= least && s.Celsius <= most)
                .Select(s => (s.ShelfCode, Celsius: s.Celsius!.Value))
                .ToList()
            : [];
        foreach (var how in new[] { Steering.Warmer, Steering.Cooler })
        {
            var warmer = how == Steering.Warmer;
            var fit = shelves.Where(s => warmer ? s.Celsius > now + noticed : s.Celsius < now - noticed).ToList();
            if (fit.Count > 0)
            {
                var shelf = warmer ? fit.MaxBy(s => s.Celsius) : fit.MinBy(s => s.Celsius);
                yield return (
                    how,
                    SlowerAt(subject, shelf.Celsius),
                    night =>
                        $"{name} moved to {shelf.ShelfCode} {(night == 0 ? "" : "on ")}{Night(subject, night)} ({Wording.Plain(Math.Round(shelf.Celsius, 1))} °C)"
                );
            }
            else
            {
                yield return (
                    how,
                    SlowerAt(subject, warmer ? now + by : now - by),
                    night =>
                        $"{name} {Wording.Plain(by)} °C {(warmer ? "warmer" : "cooler")} from {Night(subject, night)} on"
                );
            }
        }
    }

    /// <summary>Whether two will meet; none where both are adult, or one cannot be told.</summary>
    public static Meeting? Of(Candidate she, Candidate he, RoomPairingRules rules)
    {
        if (she.Span is not { } her || he.Span is not { } his || (she.IsAdult && he.IsAdult))
        {
            return null;
        }

        var nights = rules.MeetNights.Value;
        var now = AdultOverlap.Chance(her, his, nights);
        var ways = she.Steering.Select(s => (One: she, Way: s)).Concat(he.Steering.Select(s => (One: he, Way: s)));
        double ThenOf(Candidate one, AdultSpan span) =>
            one == she ? AdultOverlap.Chance(span, his, nights) : AdultOverlap.Chance(her, span, nights);
        (Candidate One, SteeredSpan Way, int On, double Then) From(Candidate one, SteeredSpan way, int on) =>
            (one, way, on, ThenOf(one, way.Then(on)));
        var tonight = ways.Select(w => From(w.One, w.Way, 0)).OrderByDescending(s => s.Then).ToList();
        // What helps most from tonight on may help more from a later night on: two that come too near pass each other.
        var tried = tonight
            .Concat(tonight.Take(MostDelayed).SelectMany(s => rules.SteerOn.Value.Select(on => From(s.One, s.Way, on))))
            .ToList();
        var most = tried.Select(s => s.Then).DefaultIfEmpty().Max();
        // Of those that gain as much the soonest.
        var best = tried
            .Where(s => s.Then >= most - rules.RaceNoticed.Value)
            .OrderBy(s => s.On)
            .ThenByDescending(s => s.Then)
            .FirstOrDefault();
        var says = $"Adult together in {Wording.Chance(now)}";
        return best.One is null || best.Then - now < rules.SteerWorth.Value
            ? new Meeting(now, null, null, null, $"{says}.")
            : new Meeting(
                now,
                best.One.StockId,
                best.Way.How,
                best.Then,
                $"{says}; {best.Way.Says(best.On)}: in {Wording.Chance(best.Then)}."
            );
    }

    /// <summary>What is left of a life, as a wait from now on.</summary>
    private sealed record LeftOfLife(RemainingWait Left) : IWait
    {
        public EffectiveDays Median => Left.Quantile(0.5);

        public double LogSurvival(EffectiveDays days) => double.LogP1(-Math.Min(Left.Within(days), 1 - 1e-12));
    }
}
