using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>One of two that are put together.</summary>
/// <param name="StockId">The animal; none for a mate from elsewhere.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Code">Where it stands; empty for a mate from elsewhere.</param>
/// <param name="Word">Whether it may be paired; none for a mate from elsewhere.</param>
/// <param name="Says">The same in a sentence.</param>
/// <param name="Why">Reasons.</param>
public sealed record RunMate(
    Guid? StockId,
    string Name,
    string Code,
    ReadyWord? Word,
    string Says,
    IReadOnlyList<Reason> Why
)
{
    /// <summary>One of the room.</summary>
    public static RunMate Of(Mate mate)
    {
        var (standing, readiness) = (mate.Subject.Standing, ReadinessChecks.Of(mate));
        return new RunMate(
            standing.StockId,
            standing.Details.Nickname,
            mate.Subject.Place.Code,
            readiness.Word,
            readiness.Says,
            [.. readiness.Checks.Select(c => c.Why)]
        );
    }

    /// <summary>One from elsewhere.</summary>
    public static RunMate Elsewhere(string? name) => new(null, name ?? "a mate from elsewhere", "", null, "", []);
}

/// <summary>A way of putting them together, in words.</summary>
/// <param name="Way">Its steps.</param>
/// <param name="Name">What it is called.</param>
/// <param name="IsUsual">Whether it is the usual one of the species.</param>
public sealed record RunWay(PairingWay Way, string Name, bool IsUsual);

/// <summary>Everything to lead a pairing by: who, how, what may be seen, and when to part them.</summary>
/// <param name="She">The female.</param>
/// <param name="He">The male.</param>
/// <param name="Kin">How near of kin they are; none with a mate from elsewhere.</param>
/// <param name="Ways">How they can be put together, the usual way first.</param>
/// <param name="Safety">What guards the keeper; empty for most.</param>
/// <param name="Hour">At which hour; empty where any will do.</param>
/// <param name="SpinsWeb">Whether males of the group spin a sperm web.</param>
/// <param name="Endings">How it can end among such animals.</param>
/// <param name="Sights">What can be seen meanwhile.</param>
/// <param name="Afterwards">What can be seen of her afterwards.</param>
/// <param name="Pairing">The pairing, while they are together or when it was ended last; none before.</param>
/// <param name="Part">Why they are to be parted now; none while all is well.</param>
/// <param name="Then">What there is to do after it.</param>
/// <param name="Now">The room's own instant, by which the clock of a device is set right.</param>
public sealed record RunSheet(
    RunMate She,
    RunMate He,
    KinReading? Kin,
    IReadOnlyList<RunWay> Ways,
    IReadOnlyList<string> Safety,
    string Hour,
    bool SpinsWeb,
    IReadOnlyList<PairingEnding> Endings,
    IReadOnlyList<SightWords> Sights,
    IReadOnlyList<SightWords> Afterwards,
    PairingEvent? Pairing,
    string? Part,
    IReadOnlyList<string> Then,
    DateTimeOffset Now
)
{
    /// <summary>The sheet of two; one of them at least is of the room.</summary>
    /// <param name="she">The female; none when she is from elsewhere.</param>
    /// <param name="he">The male; none when he is from elsewhere.</param>
    /// <param name="kin">How near of kin they are.</param>
    /// <param name="safety">What guards the keeper.</param>
    /// <returns>None where such animals are not paired by hand.</returns>
    public static RunSheet? Of(Mate? she, Mate? he, KinReading? kin, IReadOnlyList<string> safety)
    {
        var one = she ?? he;
        if (one is null || one.Subject is not { Group.Courtship: { } courtship, Profile.Pairing: { } rules } subject)
        {
            return null;
        }

        var last = subject.Standing.Pairings is [.., var newest] ? newest : null;
        // Of a former mate nothing is taken up here.
        var pairing =
            last is not null && (last.IsOpen || last.PartnerId == (she is null ? null : he?.Subject.Standing.StockId))
                ? last
                : null;
        return new RunSheet(
            she is null ? RunMate.Elsewhere(last?.Partner) : RunMate.Of(she),
            he is null ? RunMate.Elsewhere(pairing?.Partner) : RunMate.Of(he),
            kin,
            [
                .. courtship
                    .Ways.Select(w => new RunWay(w, NameOf(w.Method), w.Method == rules.Method.Value))
                    .OrderByDescending(w => w.IsUsual),
            ],
            safety,
            HourOf(rules),
            courtship.SpermWeb.Value,
            // What takes no prey eats no mate, and who stays with her already is parted from her.
            [
                .. Enum.GetValues<PairingEnding>()
                    .Where(e => e != PairingEnding.MaleEaten || subject.Group.Feeding.Prey is not null)
                    .Where(e =>
                        e != PairingEnding.LeftIn || pairing is not { IsOpen: true, Method: PairingMethod.LeftTogether }
                    ),
            ],
            [.. courtship.Sights.Select(SightWords.Of)],
            [.. courtship.Afterwards.Select(SightWords.Of)],
            pairing,
            pairing is { IsOpen: true } ? WhyPart(pairing, subject.Room.Rules.Room.Pairing) : null,
            pairing is { IsOpen: false } ? [.. After(she, he)] : [],
            subject.Room.Now
        );
    }

    /// <summary>What a way is called.</summary>
    private static string NameOf(PairingMethod method) => PairedEntry.Word(method).ToUpperFirst();

    private static string HourOf(SpeciesPairing rules) =>
        rules.CallingHour?.Value switch
        {
            null => "",
            CallingHour.Evening => "She calls at dusk and in the first hours of the dark.",
            CallingHour.Night => "She calls in the middle of the night or towards morning.",
            CallingHour.Daylight => "They find each other in daylight, with some sun.",
            var hour => throw new ArgumentOutOfRangeException(nameof(rules), hour, "No words for such an hour."),
        };

    private static string? WhyPart(PairingEvent pairing, RoomPairingRules rules)
    {
        var worst = pairing
            .Seen.Select(m => SightWords.Of(m.Sight))
            .LastOrDefault(w => w.Meaning == SightMeaning.Aborts);
        var lunges = pairing.Seen.Count(m => m.Sight == PairingSight.Lunge);
        return worst is not null ? $"{worst.Past.ToUpperFirst()}: part them now."
            : lunges >= rules.LungesAbort.Value ? $"{Wording.Plain(lunges)} lunges: part them now."
            : null;
    }

    private static IEnumerable<string> After(Mate? she, Mate? he)
    {
        if (he is not null && PairingTasks.WebDue(he.Subject) is { } web)
        {
            yield return $"Look for a new sperm web of {he.Subject.Standing.Details.Nickname} from {he.Subject.Room.Wording.Date(web.Night)} on: the round asks.";
        }

        if (she is null)
        {
            yield break;
        }

        if (PairingTasks.AgainOn(she.Subject, she.Hush) is { } again)
        {
            yield return $"A second try about {she.Subject.Room.Wording.Date(again)}: two are usual, and the round asks.";
        }

        yield return she.Subject.Room.Rules.Room.Pairing.FedAfter.Of(she.Subject.Room.Settings.AfterPairing);
    }
}
