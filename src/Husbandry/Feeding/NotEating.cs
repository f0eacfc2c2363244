using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Feeding;

/// <summary>An animal that has not eaten for longer than its cadence, and whether that is normal.</summary>
/// <param name="Nights">Nights since the last meal, or since it came.</param>
/// <param name="IsNormal">Whether the record explains it.</param>
public sealed record NotEating(int Nights, bool IsNormal)
{
    /// <summary>Explains it from the record; none while it eats about as often as planned.</summary>
    public static Answer<NotEating?> Of(
        Subject subject,
        Phase phase,
        Condition condition,
        MealPlan meal,
        PremoltReading reading,
        VigilForecast? molt
    )
    {
        var since = meal.LastMeal ?? subject.Standing.Details.AcquiredOn;
        var nights = subject.Room.Tonight.DayNumber - since.DayNumber;
        var refused = subject.Standing.Feeding.Untaken.Count(o => Journal.OfferOutcomes.IsRefusal(o.Offer.Outcome));
        if (
            meal.EatsNothing
            || subject.FedWith is not null
            || nights <= meal.EveryDays * subject.Room.Rules.Room.Feeding.NotEatingAfter.Value
            || (refused == 0 && !meal.Forbidden)
        )
        {
            return new Answer<NotEating?>(null, "Eats about as often as planned.", []);
        }

        var causes = Causes(subject, phase, condition, molt).ToList();
        var unexplained = causes.Count == 0;
        var what = meal.LastMeal is null ? "since it came, no meal yet" : "since the last meal";
        var summary = unexplained
            ? $"{Wording.Nights(nights)} {what}, and the record does not say why: check water and warmth; if {subject.It} grow{(subject.IsMany ? "" : "s")} thin, ask."
            : $"Normal: {Wording.Nights(nights)} {what}, {string.Join(", ", causes.Select(c => c.Short))}.";
        var offered =
            refused == 0
                ? "Nothing was offered while it is left alone."
                : $"Turned down {refused} time{(refused == 1 ? "" : "s")} since. Not eating is no emergency.";
        return new Answer<NotEating?>(
            new NotEating(nights, !unexplained),
            summary,
            [
                Reason.FromRecord("Since then", $"{Wording.Nights(nights)} {what}. {offered}", "record.offered"),
                .. causes.Select(c => Reason.FromRecord("Explains it", c.Long, c.Rule)),
                .. reading.Evidence.Count > 0 && phase is Phase.Suspected or Phase.Likely
                    ?
                    [
                        Reason.FromRecord(
                            "Signs",
                            string.Join(", ", reading.Evidence.Select(e => e.Label)) + ".",
                            "record.signs"
                        ),
                    ]
                    : Array.Empty<Reason>(),
            ]
        );
    }

    private static IEnumerable<(string Short, string Long, string Rule)> Causes(
        Subject subject,
        Phase phase,
        Condition condition,
        VigilForecast? molt
    )
    {
        var words = subject.Room.Wording;
        if (phase is Phase.Suspected or Phase.Likely or Phase.SealedIn or Phase.Imminent)
        {
            var word =
                phase == Phase.Suspected ? "premolt suspected"
                : phase == Phase.Likely ? "premolt likely"
                : phase == Phase.SealedIn ? "sealed in"
                : "the molt is here";
            var next = molt is null ? "" : $" Next molt about {words.Date(molt.P50)}.";
            yield return (word, $"{word.ToUpperFirst()}: animals fast before a molt.{next}", "vigil.molt");
        }

        if (phase is Phase.Hardening or Phase.FangsUnchecked)
        {
            yield return ("soft after the molt", "Soft after its molt it cannot bite yet.", "hush.hardening");
        }

        if (PhaseMark.Of(phase).Fasts)
        {
            yield return (
                PhaseMark.Of(phase).Word,
                $"{PhaseMark.Of(phase).Word.ToUpperFirst()}: nothing is offered.",
                "hush.waiting"
            );
        }

        if (condition.Word is ConditionWord.Plump or ConditionWord.VeryPlump)
        {
            yield return ("well fed", "Its abdomen is full: reserves last.", "group.condition.plumpAbove");
        }

        if (subject.Standing.Details.Sex == Sex.Male && subject.Standing.IsMatureByRecord)
        {
            yield return ("a mature male", "Mature males look for females and eat little.", "group.matureMaleCadence");
        }

        if (subject.Pace.IsKnown && subject.Pace.RateNow < subject.Room.Rules.Room.Feeding.CoolBelowPace.Value)
        {
            yield return (
                $"cool at {subject.Pace.CelsiusNow:0.#} °C",
                $"At {subject.Pace.CelsiusNow:0.#} °C it lives slower and eats less.",
                "species.warmth"
            );
        }
    }
}
