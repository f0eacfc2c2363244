using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Vigils;

/// <summary>The winter of a pupa: weeks of cold done of weeks needed.</summary>
/// <param name="Done">Whole weeks of cold, as many as it has had.</param>
/// <param name="Needed">Weeks that it needs.</param>
/// <param name="IsCold">Whether it is in the cold now.</param>
/// <remarks>
/// A chill clock and then a warm clock: warm days count only once it is warm again. Source: common practice, no published
/// source.
/// </remarks>
public sealed record WinterWeeks(int Done, double Needed, bool IsCold)
{
    /// <summary>Days in a week.</summary>
    public const double Week = 7;

    /// <summary>Whether it has had what it needs.</summary>
    public bool IsDone => Done >= Needed;

    /// <summary>"14 of 14".</summary>
    public string Text => $"{Math.Min(Done, (int)Math.Ceiling(Needed))} of {Wording.Plain(Needed)}";

    /// <summary>The winter of an animal; none when its pupa needs none.</summary>
    public static WinterWeeks? Of(Subject subject)
    {
        if (subject.Profile.Diapause is not { } diapause)
        {
            return null;
        }

        var days = subject.Standing.Vigils.Chill is { } chill
            ? ((chill.To ?? subject.Room.Now) - chill.From).TotalDays
            : 0;
        // What was taken out by the keeper counts as done: nobody can say better when it was enough.
        var done = subject.Standing.Vigils.Chill is { To: not null }
            ? Math.Max(Math.Floor(days / Week), diapause.Value.ChillWeeks)
            : Math.Floor(days / Week);
        return new WinterWeeks((int)done, diapause.Value.ChillWeeks, subject.IsChilled);
    }
}
