using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>What a pairing asks for.</summary>
public sealed partial record RoundLine
{
    /// <summary>
    /// While two are together nothing else is done to either. From the morning after on it is asked how that ended, where she
    /// stands; until then the keeper is by them, or asleep.
    /// </summary>
    private static IEnumerable<(DateTimeOffset At, Func<RoundLine> Line)> TogetherOf(Judgement j, PairingEvent open)
    {
        var s = j.Subject;
        if (s.Standing.Details.Sex != Sex.Male || open.PartnerId is null)
        {
            yield return (s.Room.Clock.EndOf(s.Night(open.At)), () => PartLine(j, open));
        }
    }

    /// <summary>What is to be done after a pairing: his web, her second try.</summary>
    private static IEnumerable<(DateTimeOffset At, Func<RoundLine> Line)> AfterPairing(Judgement j)
    {
        var s = j.Subject;
        // Who is left with a mate is cared for as ever; it is only asked when they were parted.
        if (s.Standing.OpenPairing is { HoldsAll: false } open)
        {
            foreach (var part in TogetherOf(j, open))
            {
                yield return part;
            }
        }

        if (PairingTasks.WebDue(s) is { } look)
        {
            yield return (s.Room.Clock.StartOf(look.Night), () => WebLine(j, look));
        }

        if (PairingTasks.AgainOn(s, j.Hush) is { } night)
        {
            yield return (s.Room.Clock.StartOf(night), () => AgainLine(j));
        }
    }

    private static string TogetherText(Subject s, PairingEvent open) =>
        $"together with {open.Partner ?? "a mate"} since {s.Room.Clock.HourOf(open.At)}, {s.Room.Wording.Day(s.Night(open.At))}";

    private static Answer<RoundAct> TogetherWhy(RoundAct act, Subject s, PairingEvent open)
    {
        var text = $"{TogetherText(s, open).ToUpperFirst()}: nothing else is done to either.";
        return new Answer<RoundAct>(act, text, [Reason.FromRecord("Together", text, "record.paired")]);
    }

    private static RoundLine PartLine(Judgement j, PairingEvent open)
    {
        var mate = open.Partner ?? "a mate";
        var says = open.Method switch
        {
            PairingMethod.NetOvernight => $"In the net with {mate}: in the morning say who is who, then part them",
            PairingMethod.LeftTogether => $"Left with {mate}: look, and log when they are parted",
            PairingMethod.ThroughMesh => $"At the mesh with {mate}: log what came of it",
            PairingMethod.Watched or PairingMethod.TubToTub or null =>
                $"Together with {mate}: stay by them, and log how it ends",
            var method => throw new ArgumentOutOfRangeException(nameof(open), method, "No words for such a method."),
        };
        return Line(
            j,
            RoundAct.PartThem,
            "look",
            says,
            TogetherText(j.Subject, open),
            TogetherWhy(RoundAct.PartThem, j.Subject, open),
            []
        ) with
        {
            Signs = false,
        };
    }

    private static RoundLine WebLine(Judgement j, WebTask look)
    {
        var s = j.Subject;
        var pairing = s.Standing.Pairings[^1];
        var rule = s.Room.Rules.Room.Pairing.WebHours;
        var text =
            $"Paired with {pairing.Partner ?? "a female"} {s.Room.Wording.Day(s.Night(pairing.At))}: a new sperm web within {rule.Value[^1]} h tells that it took, and that he is charged again.";
        return Line(
            j,
            RoundAct.LookForWeb,
            "look",
            $"Look: has {(s.It == "it" ? "it" : "he")} spun a new sperm web?",
            look.Earlier == 0
                ? $"about {rule.Value[0]} h after the pairing"
                : "second look; after this it tells no more",
            new Answer<RoundAct>(RoundAct.LookForWeb, text, [rule.Because("His web", "room.webHours", text)]),
            [
                new LineChoice("n", "A new web: note and clear it", "New web", [WebTask.Of(look, WebLook.New)]),
                new LineChoice("o", "No new web", "No web", [WebTask.Of(look, WebLook.None)]),
            ]
        ) with
        {
            Signs = false,
        };
    }

    private static RoundLine AgainLine(Judgement j)
    {
        var s = j.Subject;
        var (rules, last) = (s.Room.Rules.Room.Pairing, s.Standing.Pairings[^1]);
        var text =
            $"Paired with {last.Partner ?? "a male"} {s.Room.Wording.Day(s.Night(last.At))}: by now he has recharged, and two tries are usual.";
        return Line(
            j,
            RoundAct.PairAgain,
            "look",
            $"Second try with {last.Partner ?? "the male"}, if he has spun again",
            "or leave it at one: the line goes by itself",
            new Answer<RoundAct>(
                RoundAct.PairAgain,
                text,
                [rules.RetryNights.Because("Second try", "room.retryNights", text)]
            ),
            []
        );
    }
}
