using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
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

/// <summary>Steering one animal, and when it would be adult then.</summary>
/// <param name="How">What is done.</param>
/// <param name="Says">What is done and when, in words.</param>
/// <param name="Span">When it is adult, and how long.</param>
public sealed record SteeredSpan(Steering How, string Says, AdultSpan Span);

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

    // Shelves that differ by less are alike, °C.
    private const double Noticed = 0.5;

    // Beyond so many molts no date says anything.
    private const int MostMolts = 8;

    /// <summary>When an animal is adult as it is kept now; none where that cannot be told.</summary>
    public static AdultSpan? SpanOf(Mate mate, double slower = 1)
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
        var steps = MoltPath.Of(mate.Subject, mate.Molt, mate.Size, high, slower).ToList();
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
    public static IReadOnlyList<SteeredSpan> SteeringOf(Mate mate)
    {
        if (mate.IsAdult || mate.Hush[CareAct.Rehouse].Verdict != Verdict.Fine)
        {
            return [];
        }

        var (subject, rules) = (mate.Subject, mate.Subject.Room.Rules.Room);
        var food = Math.Pow(rules.Pairing.SteerFood.Value, subject.Group.Feeding.PacePerFood.Value);
        var name = subject.Standing.Details.Nickname;
        return
        [
            .. ByWarmth(mate)
                .Append(
                    (
                        How: Steering.Leaner,
                        Slower: mate.Condition.Value.Word == ConditionWord.Thin ? 1 : food,
                        Says: $"{name} fed leaner from tonight on"
                    )
                )
                .Append(
                    (
                        How: Steering.Richer,
                        Slower: mate.Condition.Value.Word is ConditionWord.Plump or ConditionWord.VeryPlump
                            ? 1
                            : 1 / food,
                        Says: $"{name} fed more from tonight on"
                    )
                )
                .Where(o => o.How is Steering.Warmer or Steering.Richer ? o.Slower < 1 : o.Slower > 1)
                .Select(o => (o.How, o.Says, Span: SpanOf(mate, o.Slower)))
                .Where(o => o.Span is not null)
                .Select(o => new SteeredSpan(o.How, o.Says, o.Span!)),
        ];
    }

    /// <summary>
    /// The warmest and the coolest shelf on which it may stand, by what was read there of late; where no shelf is known to be
    /// warmer or cooler, so many degrees as the rule says. Never further from the reference of the species than that.
    /// </summary>
    private static IEnumerable<(Steering How, double Slower, string Says)> ByWarmth(Mate mate)
    {
        var (subject, room) = (mate.Subject, mate.Subject.Room);
        var (warmth, by) = (subject.Profile.Warmth.Value, room.Rules.Room.Pairing.SteerWarmthC.Value);
        var (now, name) = (subject.Pace.CelsiusNow, subject.Standing.Details.Nickname);
        var (least, most) = (warmth.ReferenceC - by, warmth.ReferenceC + by);
        var rate = Pace.Rate(warmth, room.Rules.Room.Climate, now);
        double SlowerAt(double celsius) =>
            rate / Pace.Rate(warmth, room.Rules.Room.Climate, Math.Clamp(celsius, least, most));
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
            var fit = shelves.Where(s => warmer ? s.Celsius > now + Noticed : s.Celsius < now - Noticed).ToList();
            if (fit.Count > 0)
            {
                var shelf = warmer ? fit.MaxBy(s => s.Celsius) : fit.MinBy(s => s.Celsius);
                yield return (
                    how,
                    SlowerAt(shelf.Celsius),
                    $"{name} moved to {shelf.ShelfCode} tonight ({Wording.Plain(Math.Round(shelf.Celsius, 1))} °C)"
                );
            }
            else
            {
                yield return (
                    how,
                    SlowerAt(warmer ? now + by : now - by),
                    $"{name} {Wording.Plain(by)} °C {(warmer ? "warmer" : "cooler")} from tonight on"
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
        var best = she
            .Steering.Select(s => (One: she, s.How, s.Says, Then: AdultOverlap.Chance(s.Span, his, nights)))
            .Concat(he.Steering.Select(s => (One: he, s.How, s.Says, Then: AdultOverlap.Chance(her, s.Span, nights))))
            .OrderByDescending(s => s.Then)
            .FirstOrDefault();
        var says = $"Adult together in {Wording.Chance(now)}";
        return best.One is null || best.Then - now < rules.SteerWorth.Value
            ? new Meeting(now, null, null, null, $"{says}.")
            : new Meeting(
                now,
                best.One.StockId,
                best.How,
                best.Then,
                $"{says}; {best.Says}: in {Wording.Chance(best.Then)}."
            );
    }

    /// <summary>What is left of a life, as a wait from now on.</summary>
    private sealed record LeftOfLife(RemainingWait Left) : IWait
    {
        public EffectiveDays Median => Left.Quantile(0.5);

        public double LogSurvival(EffectiveDays days) => double.LogP1(-Math.Min(Left.Within(days), 1 - 1e-12));
    }
}
