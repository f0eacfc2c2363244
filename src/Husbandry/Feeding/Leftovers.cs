using Husbandry.Growth;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Feeding;

/// <summary>Prey that is still in an enclosure.</summary>
/// <param name="What">"1 small cricket".</param>
/// <param name="InHours">Hours since it was offered.</param>
/// <param name="OutBy">Instant by which it must be out.</param>
/// <param name="AtOnce">Whether the phase of the animal makes it urgent.</param>
public sealed record Leftover(string What, int InHours, DateTimeOffset OutBy, bool AtOnce)
{
    /// <summary>The leftover clock of an animal.</summary>
    public static Answer<Leftover?> Of(Subject subject, Stage stage, Phase phase)
    {
        if (subject.Standing.PreyIn is not { } prey)
        {
            return new Answer<Leftover?>(null, "Nothing left in.", []);
        }

        var live = prey.Offer.Preparation == Preparation.Live && prey.Offer.Outcome != OfferOutcome.KilledAndLeft;
        var (rule, name) = RuleFor(subject, stage, prey.Offer, live);
        var atOnce = live && phase is not (Phase.Open or Phase.WellFed);
        var food = JournalText.Food(prey.Offer, subject.Room.Rules);
        var what = prey.Offer.Untaken is { Count: > 0 } vials
            ? $"what no. {string.Join(", ", vials)} left of {food}"
            : food;
        var hours = (int)Math.Max(0, Math.Floor((subject.Room.Now - prey.At).TotalHours));
        var leftover = new Leftover(what, hours, atOnce ? prey.At : prey.At.AddHours(rule.Value), atOnce);
        var limit = rule.Because(
            "Leftovers",
            name,
            live ? $"Live prey not taken comes out within {rule.Value:0} h."
                : prey.Offer.Preparation == Preparation.Fresh ? $"Out again within {rule.Value:0} h, before it molds."
                : $"Dead prey comes out before it rots, within {rule.Value:0} h at {subject.Pace.CelsiusNow:0} °C."
        );
        var reasons = new List<Reason>
        {
            Reason.FromRecord("In there", $"{what}, for {hours} h.", "record.offered"),
            limit,
        };
        if (atOnce)
        {
            reasons.Insert(
                0,
                new Reason(
                    "At once",
                    "Live prey can bite an animal in premolt or soft after a molt: out at once.",
                    "group.livePrey.premolt",
                    RuleTag.Practice,
                    "common practice, no published source",
                    []
                )
            );
        }

        return new Answer<Leftover?>(leftover, $"{what} in for {hours} h.", reasons);
    }

    /// <summary>The food's own limit where it has one; else live prey by stage, dead prey by warmth.</summary>
    private static (Rule<double> Rule, string Name) RuleFor(Subject subject, Stage stage, Offered offer, bool live)
    {
        var cool = subject.Pace.IsKnown && subject.Pace.CelsiusNow < subject.Room.Rules.Room.CoolBelowC.Value;
        return subject.Room.Rules.Feeder(offer.FeederId)?.StayHours is { } own
                ? (own, $"feeder.{offer.FeederId}.stayHours")
            : live ? (subject.Group.LivePreyHours[stage], $"group.livePreyHours.{StageReading.Key(stage)}")
            : cool ? (subject.Group.DeadPreyHoursCool, "group.deadPreyHoursCool")
            : (subject.Group.DeadPreyHours, "group.deadPreyHours");
    }
}
