using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>The daily look for adults that may come out of their pupae.</summary>
public sealed partial record RoundLine
{
    /// <summary>
    /// Night from which pupae are looked at daily: some nights before the one by which one in ten will be out. None in the cold,
    /// and where no such watch is kept: a beetle stays in its cell.
    /// </summary>
    private static DateOnly? EmergingSince(Judgement j) =>
        j.Subject is { Group.Vigils.EmergenceWatch: not null, IsChilled: false }
        && j.Waits.FirstOrDefault(w => w.Value?.Vigil == VigilKind.Emergence)?.Value is { } forecast
        && !VigilForecast.IsHeldByCold(j.Subject, VigilKind.Emergence)
            ? forecast.P10.AddDays(-j.Subject.Room.Rules.Room.Rounds.EmergenceAheadNights.Value)
            : null;

    private static RoundLine EmergenceLine(Judgement j)
    {
        var s = j.Subject;
        var watch = s.Group.Vigils.EmergenceWatch!;
        var answer = j.Waits.First(w => w.Value?.Vigil == VigilKind.Emergence);
        var forecast = answer.Value!;
        var rounds = s.Room.Rules.Room.Rounds;
        var hour = s.Profile.Larvae?.ComesOut?.Value;
        var text =
            $"Between {s.Room.Wording.Between(forecast.P10, forecast.P90)} it is likely: adults come out unnoticed, and must climb at once. {watch.Value}";
        return Line(
            j,
            RoundAct.LookForAdult,
            "look",
            s.IsMany ? "Look through the lid: are any out?" : $"Look through the lid: is {s.It} out?",
            Join(watch.Value.TrimEnd('.').ToLowerFirst(), hour is null ? "" : $"most come out {hour}"),
            new Answer<RoundAct>(
                RoundAct.LookForAdult,
                text,
                [
                    watch.Because("Coming out", "group.emergenceWatch", text),
                    rounds.EmergenceAheadNights.Because(
                        "From when",
                        "room.emergenceAheadNights",
                        $"Looked at daily from {Wording.Nights(rounds.EmergenceAheadNights.Value)} before one in ten is out."
                    ),
                    .. answer.Reasons,
                ]
            ),
            [new LineChoice("n", "Not yet", "Not yet", [new PutOff(s.Room.Tonight.AddDays(1))])]
        );
    }
}
