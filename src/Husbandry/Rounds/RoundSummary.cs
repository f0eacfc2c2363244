using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>One enclosure named in a summary.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Its name.</param>
/// <param name="Text">What about it.</param>
public sealed record SummaryLine(Guid StockId, Place Place, string Name, string Text);

/// <summary>What a night brought, and what to look at the evening after.</summary>
/// <param name="Enclosures">Enclosures at which something was logged.</param>
/// <param name="Eaten">Meals taken.</param>
/// <param name="Refused">Offers turned down.</param>
/// <param name="NotSeen">Offers of which nobody knows yet.</param>
/// <param name="Watered">Enclosures that got water.</param>
/// <param name="Molts">Molts found.</param>
/// <param name="Signs">Signs seen.</param>
/// <param name="PutOffs">Enclosures put off.</param>
/// <param name="Minutes">Minutes from the first entry to the last, breaks left out; none with fewer than two.</param>
/// <param name="Hands">Who logged how many entries.</param>
/// <param name="News">Molts, signs and refusals, one line each.</param>
/// <param name="Tomorrow">What to check the evening after.</param>
public sealed record RoundSummary(
    int Enclosures,
    int Eaten,
    int Refused,
    int NotSeen,
    int Watered,
    int Molts,
    int Signs,
    int PutOffs,
    double? Minutes,
    IReadOnlyList<HandCount> Hands,
    IReadOnlyList<SummaryLine> News,
    IReadOnlyList<SummaryLine> Tomorrow
)
{
    /// <summary>Sums up a night.</summary>
    /// <param name="night">Entries of that night that count, in order.</param>
    /// <param name="places">Place and name of every animal, here or gone.</param>
    /// <param name="room">The room.</param>
    public static RoundSummary Of(
        IReadOnlyList<JournalEntry> night,
        Func<Guid, (Place Place, string Name)?> places,
        Room room
    )
    {
        SummaryLine? Line(JournalEntry e, string text) =>
            places(e.StockId) is { } at ? new SummaryLine(e.StockId, at.Place, at.Name, text) : null;
        string Said(JournalEntry e) => EntryDefinition.Of(e.Act).Say(e.Act, room.Rules, room.Wording);
        int Count(Func<Act, bool> which) => night.Count(e => which(e.Act));
        var taps = night.Select(e => e.WrittenAt).Order().ToList();
        var longest = TimeSpan.FromSeconds(room.Rules.Room.Rounds.LongestActSeconds.Value);
        var walked = taps.Zip(taps.Skip(1), (a, b) => b - a).Where(gap => gap <= longest).ToList();
        return new RoundSummary(
            night.Select(e => e.StockId).Distinct().Count(),
            Count(a => a is Offered o && o.Outcome.IsMeal()),
            Count(a => a is Offered o && o.Outcome.IsRefusal()),
            Count(a => a is Offered { Outcome: OfferOutcome.NotSeen }),
            night.Where(e => e.Act is Watered).Select(e => e.StockId).Distinct().Count(),
            Count(a => a is Molted),
            Count(a => a is SignSeen),
            Count(a => a is PutOff),
            taps.Count < 2 ? null : walked.Sum(gap => gap.TotalMinutes),
            [
                .. night
                    .GroupBy(e => e.WrittenBy)
                    .Select(g => new HandCount(g.Key, g.Count()))
                    .OrderByDescending(h => h.Entries)
                    .ThenBy(h => h.By, StringComparer.Ordinal),
            ],
            [
                .. night
                    .Where(e => EntryDefinition.Of(e.Act).IsNews(e.Act))
                    .Select(e => Line(e, Said(e)))
                    .OfType<SummaryLine>()
                    .OrderBy(l => l.Place, room.Layout.WalkingOrder()),
            ],
            [
                .. night
                    .Select(e => EntryDefinition.Of(e.Act).Tomorrow(e.Act) is { } check ? Line(e, check) : null)
                    .OfType<SummaryLine>()
                    .GroupBy(l => l.StockId)
                    .Select(g => g.Last())
                    .OrderBy(l => l.Place, room.Layout.WalkingOrder()),
            ]
        );
    }
}

/// <summary>How many entries somebody logged.</summary>
public sealed record HandCount(string By, int Entries);
