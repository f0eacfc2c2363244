namespace Husbandry.Climate;

/// <summary>How much of a winter has been done, by what was read.</summary>
/// <param name="DoneDays">Days that were cold enough; more than were needed where it stayed cold.</param>
/// <param name="MissingDays">Days that are still missing, 0 when it is done.</param>
/// <param name="CompleteOnDay">On which of the days (from 1) it was done; none while days are missing.</param>
/// <param name="UnreadDays">Days on which nothing was read: they count for nothing.</param>
public sealed record ChillDone(int DoneDays, int MissingDays, int? CompleteOnDay, int UnreadDays);

/// <summary>The clock of a winter: days that were cold enough are counted, and a warm spell does not undo them.</summary>
/// <remarks>
/// Diapause is two clocks in series, this and then one of warmth. A day of which nothing is known never counts as cold. Source:
/// common practice, no published source for the counting; chilling as a requirement: Tauber, Tauber &amp; Masaki (1986).
/// </remarks>
public static class ChillClock
{
    /// <summary>Counts days of a winter.</summary>
    /// <param name="meansC">Mean temperature of each day in turn, °C; none where nothing was read.</param>
    /// <param name="belowC">A day counts when its mean is no warmer, °C.</param>
    /// <param name="neededDays">Days that are needed, ≥ 1.</param>
    public static ChillDone Of(IEnumerable<double?> meansC, double belowC, int neededDays)
    {
        var (done, unread, day) = (0, 0, 0);
        int? complete = null;
        foreach (var mean in meansC)
        {
            day++;
            unread += mean is null ? 1 : 0;
            done += mean <= belowC ? 1 : 0;
            complete ??= done == neededDays ? day : null;
        }

        return new ChillDone(done, Math.Max(0, neededDays - done), complete, unread);
    }
}
