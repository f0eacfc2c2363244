using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Honesty;

/// <summary>What came of a wait: when it ended as hoped, when it ended otherwise, or when the animal left before.</summary>
internal sealed record Outcome(Occurrence? AsHoped, Occurrence? Otherwise, DateTimeOffset? LeftAt)
{
    /// <summary>When the forecast of its hoped end was cut short, if it was.</summary>
    public DateTimeOffset? CutShortAt => AsHoped is not null ? null : Otherwise?.To ?? LeftAt;
}

/// <summary>One animal: what is known of it so far, and what is known of it in the end.</summary>
internal sealed class ReplayedLife
{
    /// <summary>Readings of one animal are scored so many nights apart.</summary>
    public const int ReadingEveryNights = 7;

    // Forecasts are kept at these ages of a wait, as shares of the rulebook's median.
    private static readonly double[] Ages = [0, 0.5, 1, 1.5];

    private readonly List<JournalEntry> known = [];
    private readonly Standing final;
    private readonly Dictionary<Guid, DateTimeOffset> writtenAt;
    private Occurrence? waitingSince;
    private int agesDone;

    private ReplayedLife(Guid stockId, Standing final, Dictionary<Guid, DateTimeOffset> writtenAt)
    {
        (StockId, this.final, this.writtenAt) = (stockId, final, writtenAt);
        Offset = stockId.ToByteArray()[0] % ReadingEveryNights;
    }

    /// <summary>The animal.</summary>
    public Guid StockId { get; }

    /// <summary>How it stands as far as the journal was written; none before its arrival was.</summary>
    public Standing? Standing { get; private set; }

    /// <summary>What its replay came to so far.</summary>
    public ReplayTally Tally { get; } = new();

    /// <summary>Spreads the weekly readings of a room over the week.</summary>
    public int Offset { get; }

    /// <summary>A life from all its entries; none when they make none.</summary>
    public static ReplayedLife? Of(IReadOnlyList<JournalEntry> entries)
    {
        var final = Standing.Fold(entries);
        return final is null
            ? null
            : new ReplayedLife(entries[0].StockId, final, entries.ToDictionary(e => e.Id, e => e.WrittenAt));
    }

    /// <summary>Takes the next entry in, as it was written.</summary>
    public void Write(JournalEntry entry)
    {
        known.Add(entry);
        Standing =
            Standing is not null && Standing.CanApply(entry) ? Standing.Apply(entry) : Journal.Standing.Fold(known);
    }

    /// <summary>The age at which a forecast is due tonight, if one is.</summary>
    /// <param name="start">When the wait began.</param>
    /// <param name="share">Its age now, as a share of the rulebook's median.</param>
    public double? AgeDue(Occurrence start, double share)
    {
        if (start != waitingSince)
        {
            (waitingSince, agesDone) = (start, 0);
        }

        if (agesDone >= Ages.Length || share < Ages[agesDone])
        {
            return null;
        }

        // After a gap in the record only the latest age that has passed is due.
        while (agesDone + 1 < Ages.Length && share >= Ages[agesDone + 1])
        {
            agesDone++;
        }

        return Ages[agesDone++];
    }

    /// <summary>How the wait that stood at an instant ended, by the record as it is in the end.</summary>
    public Outcome Next(VigilKind vigil, DateTimeOffset now)
    {
        if (vigil == VigilKind.Molt)
        {
            var since = Standing?.Growth.LastMolt?.When.To ?? DateTimeOffset.MinValue;
            var molt = final.Growth.Molts.FirstOrDefault(m => writtenAt[m.EntryId] > now && m.When.To > since);
            return new Outcome(molt?.When, null, final.Departure?.At);
        }

        var began = Standing!.Vigils.OpenOf(vigil)!.Began;
        var wait = final.Vigils.All.FirstOrDefault(v => v.Vigil == vigil && v.Began == began);
        return wait is { End: VigilEnd.CutShort, Ended: { } cut }
                // Nobody knows when it would have ended: it was followed until then.
                ? new Outcome(null, null, cut.To)
            : wait is { AsHoped: true } ? new Outcome(wait.Ended, null, null)
            : new Outcome(null, wait?.Ended, final.Departure?.At);
    }
}
