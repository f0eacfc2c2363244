using Husbandry.Hush;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>A look for a new sperm web that is to be made.</summary>
/// <param name="Night">On which night.</param>
/// <param name="Earlier">Looks already made after the pairing.</param>
/// <param name="SpinsAnyway">Share of looks (0–1) at which this male spins unmated.</param>
/// <param name="PartnerId">Whom he was paired with, when she is in the collection.</param>
public sealed record WebTask(DateOnly Night, int Earlier, double SpinsAnyway, Guid? PartnerId)
{
    /// <summary>What is logged of a look.</summary>
    /// <param name="task">The look that is to be made after a pairing; none for one that tells of none.</param>
    /// <param name="look">What it showed.</param>
    public static WebLooked Of(WebTask? task, WebLook look) =>
        task is null ? new WebLooked(look) : new WebLooked(look, Math.Round(task.SpinsAnyway, 3), task.PartnerId);
}

/// <summary>What a pairing leaves to do, on which night.</summary>
/// <remarks>Source: the rules <c>webHours</c>, <c>retryNights</c> and <c>usualTries</c>.</remarks>
public static class PairingTasks
{
    /// <summary>Whether an animal may be one that spins sperm webs: an adult male of a group that does.</summary>
    public static bool MaySpin(Subject he, Stage stage) =>
        he.Standing is { IsMany: false, Details.Sex: Sex.Male } && stage == Stage.Adult;

    /// <summary>The look for his web that is due next; none when it has told, or the time for it is over.</summary>
    public static WebTask? WebDue(Subject he)
    {
        var rules = he.Room.Rules.Room.Pairing;
        if (
            he.Standing is not { Details.Sex: Sex.Male, Departure: null, Loan: null, Pairings: [.., var last] }
            || he.Group.Courtship?.SpermWeb.Value != true
            || last.IsOpen
            || last.End is { How: PairingEnding.MaleEaten }
        )
        {
            return null;
        }

        var home = last.End?.At ?? last.At;
        var looks = he.Standing.Webs.Where(w => w.At > home && w.Look != WebLook.OldCleared).ToList();
        if (looks.Any(w => w.Look == WebLook.New) || looks.Count >= rules.WebHours.Value.Count)
        {
            return null;
        }

        var due = FirstEvening(he, home.AddHours(rules.WebHours.Value[looks.Count] * (1 - rules.WebEarlyShare.Value)));
        // What nobody looked for in all that time tells nothing any more.
        var over = he.Night(home).AddDays(rules.RetryNights.Value);
        return he.Room.Tonight >= over
            ? null
            : new WebTask(due, looks.Count, PairingEvidence.SpinsAnyway(he.Standing, rules), last.PartnerId);
    }

    /// <summary>From which night on she is put together with him once more; none when she is not, or the time for it is over.</summary>
    /// <param name="she">She.</param>
    /// <param name="hush">What may be done to her: that she waits after the first try does not stand against the second.</param>
    public static DateOnly? AgainOn(Subject she, HushTable hush)
    {
        var rules = she.Room.Rules.Room.Pairing;
        if (
            she.Standing is not { Details.Sex: Sex.Female, Departure: null, Loan: null, Pairings: [.., var last] }
            || !she.AllWaitFor(VigilKind.EggCase)
            || she.Profile.Pairing is not { } species
            || she.Standing.PairingsNow.Count() >= UsualTries(species, rules)
            || last.IsOpen
            || last.End?.How is PairingEnding.MaleEaten
            || AgainstPairing(hush[CareAct.Pair]).Count > 0
        )
        {
            return null;
        }

        var on = she.Night(last.At).AddDays(rules.RetryNights.Value);
        return
            she.Room.Tonight
            > she.Night(last.At).AddDays((int)Math.Round(rules.RetryLapses.Value * rules.RetryNights.Value))
            ? null
            : on;
    }

    /// <summary>How often a female is paired before she is left to wait: once where her time is over before a second try.</summary>
    internal static int UsualTries(SpeciesPairing species, RoomPairingRules rules) =>
        species.AfterMoltNights.Value.High < rules.RetryNights.Value ? 1 : rules.UsualTries.Value;

    /// <summary>What of a hush stands against a pairing: not that she waits after one, of which the desk speaks by itself.</summary>
    internal static IReadOnlyList<HushContributor> AgainstPairing(HushLine pairing) =>
        [.. pairing.Contributors.Where(c => c.Cause != HushCause.Expecting)];

    private static DateOnly FirstEvening(Subject he, DateTimeOffset instant)
    {
        var night = he.Night(instant);
        return he.Room.Clock.EveningOf(night) >= instant ? night : night.AddDays(1);
    }
}
