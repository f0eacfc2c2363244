using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Upkeep;

/// <summary>One source that stands in a tub.</summary>
/// <param name="SourceId">Source of the rulebook.</param>
/// <param name="Name">Its name.</param>
/// <param name="IsPowder">Whether it is a fine powder, as the young need it.</param>
/// <param name="Counts">Whether it counts as a standing source: not what is gone in hours, nor what gives too slowly.</param>
/// <param name="PutOn">Night on which it was put in.</param>
/// <param name="Left">What was last seen of it; none while nobody has looked since.</param>
/// <param name="SeenOn">Night of that look.</param>
/// <param name="EarlyGone">Night by which it is gone in one of ten such tubs.</param>
/// <param name="LikelyGone">Night by which it is gone in half of them.</param>
public sealed record CalciumLine(
    string SourceId,
    string Name,
    bool IsPowder,
    bool Counts,
    DateOnly PutOn,
    CalciumLeft? Left,
    DateOnly? SeenOn,
    DateOnly EarlyGone,
    DateOnly LikelyGone
);

/// <summary>The calcium of a tub: what stands, how long it lasts, and when it must be seen to.</summary>
/// <param name="Lines">Sources that stand, the first to go first.</param>
/// <param name="Standing">How many of them count.</param>
/// <param name="Powders">How many of those are a fine powder.</param>
/// <param name="See">Night on which it must be seen to: tonight where too little stands; none while nothing was ever put in.</param>
/// <param name="Lacks">What is lacking, or will be first: "a fine powder", "a second source"; empty while nothing is.</param>
/// <param name="Renew">The usual source of what is lacking tonight; none while enough stands.</param>
/// <param name="Pace">How long a piece lasts in this tub, beside others: 1 as in most.</param>
/// <remarks>
/// Source: common practice, no published source: at least two sources at once, one of them a fine powder, as the young cannot manage
/// shells. It is seen to so many nights before a few in a hundred such tubs would have no powder, or fewer than two sources.
/// </remarks>
public sealed record CalciumBoard(
    IReadOnlyList<CalciumLine> Lines,
    int Standing,
    int Powders,
    DateOnly? See,
    string Lacks,
    CalciumSource? Renew,
    double Pace
)
{
    private const double Early = 0.1;
    private const double Half = 0.5;
    private const int FarthestDays = 3650;

    /// <summary>The board of a tub; none of what needs no calcium put in.</summary>
    public static Answer<CalciumBoard?> Of(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        if (!CalciumLookedEntry.Concerns(tub))
        {
            return new Answer<CalciumBoard?>(null, "No calcium is put in for it.", []);
        }

        var rules = tub.Room.Rules.Room.Colonies;
        var pace = CalciumPace.Of(tub);
        var pieces = tub
            .Standing.Calcium.Where(p => p.EndedAt is null)
            .Select(p => (Piece: p, Source: rules.Source(p.SourceId)))
            .Where(p => p.Source is not null)
            .Select(p => new Piece(p.Piece, p.Source!, pace, tub.Room, rules))
            .ToList();
        var counting = pieces.Where(p => p.Source.Counts).ToList();
        var powders = counting.Where(p => p.Source.IsPowder).ToList();
        var least = rules.LeastSources.Value;
        var powderLow = LowOn(tub.Room, rules, t => powders.Aggregate(1.0, (all, p) => all * p.GoneBy(t)));
        var fewLow = LowOn(tub.Room, rules, t => FewerThan(least, [.. counting.Select(p => p.GoneBy(t))]));
        var everPut = tub.Standing.Calcium.Count > 0;
        var lacking = powders.Count == 0 || counting.Count < least;
        var low = powderLow < fewLow ? powderLow : fewLow;
        var looked = tub.Standing.Tended.LastOrDefault(t => t.Task == CalciumLookedEntry.Task)?.At;
        // Whoever has just looked, and found enough, is not sent back the same evening.
        var rested =
            looked is { } at && !lacking ? tub.Night(at).AddDays(rules.LookAgainNights.Value) : tub.Room.Tonight;
        DateOnly? see =
            !everPut ? null
            : low < rested ? rested
            : low;
        var lacks =
            !everPut ? ""
            : powders.Count == 0 ? "a fine powder"
            : counting.Count < least ? "a second source"
            : powderLow <= fewLow ? "a fine powder"
            : "a second source";
        var board = new CalciumBoard(
            [.. pieces.Select(p => p.Line()).OrderBy(l => l.LikelyGone)],
            counting.Count,
            powders.Count,
            see,
            lacks,
            everPut && lacking ? Usual(powders.Count == 0, pieces, rules) : null,
            Math.Exp(pace.Shift)
        );
        return new Answer<CalciumBoard?>(board, Say(board, tub.Room, rules), Why(board, rules));
    }

    /// <summary>The first source of the rulebook that does not stand in it yet: a powder, or another that is none.</summary>
    private static CalciumSource? Usual(bool powder, List<Piece> pieces, RoomColonyRules rules) =>
        rules.Calcium.FirstOrDefault(s => s.Counts && s.IsPowder == powder && pieces.All(p => p.Source.Id != s.Id));

    /// <summary>First night on which the chance of something within the days ahead passes the rule's.</summary>
    private static DateOnly LowOn(Room room, RoomColonyRules rules, Func<DateTimeOffset, double> chance)
    {
        var ahead = rules.WarnAheadDays.Value;
        bool IsLow(int night) => chance(room.Now.AddDays(night + ahead)) >= rules.WarnChance.Value;
        if (IsLow(0))
        {
            return room.Tonight;
        }

        // The chance only grows, so that the first such night is found by halving.
        var (low, high) = (0, FarthestDays);
        while (high - low > 1)
        {
            var middle = (low + high) / 2;
            (low, high) = IsLow(middle) ? (low, middle) : (middle, high);
        }

        return room.Tonight.AddDays(high);
    }

    /// <summary>Chance that fewer than so many are left, each gone by itself with its chance.</summary>
    private static double FewerThan(int least, IReadOnlyList<double> gone)
    {
        // Chances of 0, 1, 2 … left.
        var left = new double[gone.Count + 1];
        left[0] = 1;
        for (var k = 0; k < gone.Count; k++)
        {
            for (var n = k + 1; n >= 0; n--)
            {
                left[n] = (left[n] * gone[k]) + (n > 0 ? left[n - 1] * (1 - gone[k]) : 0);
            }
        }

        return left.Take(least).Sum();
    }

    private sealed record Piece(
        CalciumPiece Told,
        CalciumSource Source,
        CalciumPace Pace,
        Room Room,
        RoomColonyRules Rules
    )
    {
        public double GoneBy(DateTimeOffset at) => Pace.GoneBy(Told, Source, Rules, at);

        public CalciumLine Line() =>
            new(
                Source.Id,
                Source.Name,
                Source.IsPowder,
                Source.Counts,
                Room.Clock.NightOf(Told.PutAt),
                Told.SomeAt is not null ? CalciumLeft.Some
                    : Told.ThereAt > Told.PutAt ? CalciumLeft.Plenty
                    : null,
                Told.ThereAt > Told.PutAt ? Room.Clock.NightOf(Told.ThereAt) : null,
                Gone(Early),
                Gone(Half)
            );

        private DateOnly Gone(double chance)
        {
            var (low, high) = (0, FarthestDays);
            while (high - low > 1)
            {
                var middle = (low + high) / 2;
                (low, high) = GoneBy(Room.Now.AddDays(middle)) >= chance ? (low, middle) : (middle, high);
            }

            return Room.Tonight.AddDays(GoneBy(Room.Now) >= chance ? 0 : high);
        }
    }

    private static string Say(CalciumBoard b, Room room, RoomColonyRules rules)
    {
        if (b.See is not { } see)
        {
            return "What stands in it is not on record: say which sources of calcium are in, and the board tells when to look.";
        }

        var there =
            b.Standing == 0
                ? "No source of calcium stands in it"
                : $"{b.Standing.ToString(CultureInfo.InvariantCulture)} standing source{(b.Standing == 1 ? "" : "s")}, {(b.Powders == 0 ? "no powder" : b.Powders == 1 ? "one a powder" : $"{b.Powders} of them powder")}";
        var lacking = b.Powders == 0 || b.Standing < rules.LeastSources.Value;
        return lacking ? $"{there}: put in {b.Lacks} tonight."
            : see <= room.Tonight ? $"{there}: {b.Lacks} may soon be lacking. Look, and put some in."
            : $"{there}: enough until about {room.Wording.Date(see)}, then {b.Lacks}.";
    }

    private static List<Reason> Why(CalciumBoard b, RoomColonyRules rules)
    {
        var why = new List<Reason>
        {
            rules.LeastSources.Because(
                "Standing",
                "room.leastSources",
                $"At least {rules.LeastSources.Value} at once, one of them a fine powder: the young cannot manage shells. Skin is gone in hours, bone and antler give too slowly to count."
            ),
            rules.WarnAheadDays.Because(
                "In time",
                "room.warnAheadDays",
                $"Seen to {Wording.Days(rules.WarnAheadDays.Value)} before {Wording.Chance(rules.WarnChance.Value)} such tubs would lack it."
            ),
            rules.TubSpread.Because(
                "This tub",
                "room.tubSpread",
                Math.Abs(b.Pace - 1) < 0.05
                    ? "It uses calcium about as fast as most, as far as its record tells."
                    : $"By its own record a piece lasts {Wording.Plain(Math.Round(b.Pace, 2))} times as long here as in most tubs."
            ),
        };
        why.AddRange(
            b.Lines.Select(l =>
            {
                var days = rules.Source(l.SourceId)!.Days;
                return days.Because(
                    l.Name.ToUpperFirst(),
                    $"room.calcium.{l.SourceId}.days",
                    $"Usually gone within {Wording.Plain(days.Value.P10)}–{Wording.Plain(days.Value.P90)} days, half of them within {Wording.Plain(days.Value.P50)}."
                );
            })
        );
        return why;
    }
}
