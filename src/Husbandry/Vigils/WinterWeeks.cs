using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>The winter of a pupa, counted from what was read where it lies.</summary>
/// <param name="MeansC">Mean of each day since it was put in the cold, °C; none where nothing was read.</param>
/// <param name="Days">The days counted.</param>
/// <param name="Needed">Weeks of cold that it needs.</param>
/// <param name="BelowC">A day counts when its mean is no warmer, °C.</param>
/// <param name="IsCold">Whether it is in the cold now.</param>
/// <param name="IsTakenOut">Whether it was put in the cold and taken out again.</param>
/// <remarks>
/// A chill clock and then a warm clock: warm days count only once it is warm again. Source: common practice, no published
/// source.
/// </remarks>
public sealed record WinterWeeks(
    IReadOnlyList<double?> MeansC,
    ChillDone Days,
    double Needed,
    double BelowC,
    bool IsCold,
    bool IsTakenOut
)
{
    /// <summary>Days in a week.</summary>
    public const double Week = 7;

    /// <summary>Whole weeks read as cold, as many as it has had.</summary>
    public int Done => (int)Math.Floor(Days.DoneDays / Week);

    /// <summary>Days that were read too warm: they do not count, and undo nothing.</summary>
    public int WarmDays => MeansC.Count(c => c > BelowC);

    /// <summary>Whether it is told to be in the cold, and what is read where it stands is mostly warm.</summary>
    public bool IsReadWarm => IsCold && WarmDays > Days.DoneDays;

    /// <summary>
    /// Whether it has had what it needs. What the keeper took out counts as done: nobody can say better when it was enough.
    /// </summary>
    public bool IsDone => IsTakenOut || Days.MissingDays == 0;

    /// <summary>Whether it lies there for long enough by the keeper's word, though not on enough days was it read.</summary>
    public bool IsDoneUnread => !IsDone && Days.MissingDays <= Days.UnreadDays;

    /// <summary>Whether it was taken out too early, even if every day without a reading was cold.</summary>
    public bool IsCutShort => IsTakenOut && Days.MissingDays > Days.UnreadDays;

    /// <summary>"14 of 14".</summary>
    public string Text => $"{Math.Min(Done, (int)Math.Ceiling(Needed))} of {Wording.Plain(Needed)}";

    /// <summary>What was not cold and what was not read, in a sentence; empty where every day was cold.</summary>
    public string Besides =>
        string.Join(
            " ",
            new[]
            {
                WarmDays > 0
                    ? $"{WarmDays} day{(WarmDays == 1 ? " was" : "s were")} too warm (up to {MeansC.Max():0.#} °C): they undo nothing, and do not count."
                    : "",
                Days.UnreadDays > 0 && !IsDone
                    ? $"On {Days.UnreadDays} day{(Days.UnreadDays == 1 ? "" : "s")} nothing was read there: write down what a thermometer beside it shows, as a reading of its place."
                    : "",
            }.Where(t => t.Length > 0)
        );

    /// <summary>
    /// The winter rest of an animal's kind; none where its pupa needs none, and of kinds of which only some rest, unless this one
    /// was put in the cold.
    /// </summary>
    internal static Diapause? RestOf(Subject subject) =>
        subject.Profile.Diapause?.Value is { } rest && (!rest.Facultative || subject.Standing.Vigils.Chill is not null)
            ? rest
            : null;

    /// <summary>The winter of an animal; none when its pupa needs none.</summary>
    public static WinterWeeks? Of(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        if (RestOf(subject) is not { } rest)
        {
            return null;
        }

        var (room, chill) = (subject.Room, subject.Standing.Vigils.Chill);
        var below = rest.BelowC ?? room.Rules.Room.Climate.ColdBelowC.Value;
        var read = chill is null ? [] : room.Climate.ReadBetween(subject.Stays, chill.From, chill.To ?? room.Now);
        if (!room.Climate.IsReadAt(subject.Stays[^1].Place) && !read.Any(c => c <= below))
        {
            // A warm room tells nothing of the refrigerator that stands in it.
            read = [.. read.Select(_ => (double?)null)];
        }

        return new WinterWeeks(
            read,
            ChillClock.Of(read, below, (int)Math.Ceiling(rest.ChillWeeks * Week)),
            rest.ChillWeeks,
            below,
            subject.IsChilled,
            chill is { To: not null }
        );
    }
}
