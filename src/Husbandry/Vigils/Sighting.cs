using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>A sign as last seen, with the likelihood ratio that it would count with.</summary>
internal sealed record Sighting(
    SignRule Rule,
    double Ratio,
    DateTimeOffset At,
    DateOnly Night,
    Guid? EntryId,
    string Extra,
    int? Of = null
)
{
    public bool BeforeMeal(DateTimeOffset? meal) => meal is { } at && At < at;

    /// <summary>Why this sighting says nothing of tonight; none when it does.</summary>
    public string? WhyNot(Subject subject, Stage stage, DateTimeOffset? lastMeal)
    {
        var room = subject.Room.Rules.Room;
        if (Of is { } count)
        {
            return $"{count} of {subject.Standing.Details.Count}";
        }

        // What one of a colony shows says nothing of the colony.
        if (subject.Standing.Details.Kind == StockKind.Colony)
        {
            return "one of many";
        }

        if (BeforeMeal(lastMeal) && EndsWithMeal)
        {
            return "ate since";
        }

        if (Rule.Strength == SignStrength.Strong && subject.Standing.LastCleanLook > At)
        {
            return "looked clean since";
        }

        if (Lasts)
        {
            return null;
        }

        var ago = new CalendarDays(subject.Room.Tonight.DayNumber - Night.DayNumber);
        var isOld = Rule.Strength switch
        {
            SignStrength.Imminent => subject.Pace.Lately(ago)
                > subject.Group.Imminent * room.Signs.ImminentSignsLapse.Value,
            SignStrength.Opposite => ago > new CalendarDays(room.Signs.ReadingLooksBackDays.Value),
            _ => subject.Pace.Lately(ago) > VigilForecast.Premolt(subject, stage) * room.Signs.SignsLapse.Value,
        };
        return isOld ? "too long ago" : null;
    }

    /// <summary>
    /// The new skin showing and a door shut from within hold until the molt, a meal taken or a look that shows nothing:
    /// premolt can last half a year, and they do not lapse by the calendar. Source: common practice, no published source.
    /// </summary>
    private bool Lasts => LastsUntilMolt(Rule);

    /// <summary>Whether a sign holds until the molt, however long that takes.</summary>
    public static bool LastsUntilMolt(SignRule rule) =>
        rule.Seals || rule is { Family: SignFamily.Colour, Strength: SignStrength.Strong };

    private bool EndsWithMeal =>
        Lasts
        || Rule.Family is SignFamily.Appetite or SignFamily.Behaviour
        || Rule is { Family: SignFamily.Posture, Strength: SignStrength.Strong };

    /// <summary>The signs since the last molt, each as last seen; refusals and plumpness among them.</summary>
    public static List<Sighting> All(Subject subject, Condition condition)
    {
        var rules = subject.Room.Rules;
        var seen = subject
            .Standing.SignsNow.Where(s => rules.Sign(s.SignId)?.Groups.Contains(subject.Group.Id) == true)
            .Select(s =>
            {
                var rule = rules.Sign(s.SignId)!;
                var some = s.Count < subject.Standing.Details.Count ? s.Count : null;
                return new Sighting(rule, RatioOf(subject, rule), s.At, subject.Night(s.At), s.EntryId, "", some);
            })
            .ToList();
        var refusals = subject.Standing.Feeding.Untaken.Where(o => o.Offer.Outcome.IsRefusal()).ToList();
        if (refusals.Count > 0 && rules.Sign(RefusesFood) is { } refuses)
        {
            var last = refusals[^1];
            var appetite = Appetite.Of(subject);
            var extra = refusals.Count == 1 ? "" : $"× {refusals.Count}";
            var ratio = appetite.RefusalRatio(refusals.Count, rules.Room);
            seen.Add(new Sighting(refuses, ratio, last.At, subject.Night(last.At), last.EntryId, extra));
        }

        if (
            condition.Word is ConditionWord.Plump or ConditionWord.VeryPlump
            && rules.Sign(Plump) is { } plump
            && plump.Groups.Contains(subject.Group.Id)
            && Condition.SeenAt(subject) is { } at
        )
        {
            seen.Add(
                new Sighting(
                    plump,
                    RatioOf(subject, plump),
                    at,
                    subject.Night(at),
                    null,
                    condition.Score is { } score ? $"{score:0.0} × carapace" : "by eye"
                )
            );
        }

        return
        [
            .. seen.GroupBy(s => s.Rule.Id).Select(g => g.MaxBy(s => s.At)!).OrderBy(s => s.At).ThenBy(s => s.Rule.Id),
        ];
    }

    private const string RefusesFood = "refuses-food";
    private const string Plump = "plump";

    /// <summary>The rulebook's ratio, or what the room's own journal made of it.</summary>
    private static double RatioOf(Subject subject, SignRule rule) =>
        subject.Room.Lessons.Sign(subject.Group.Id, rule.Id)?.Ratio ?? rule.LikelihoodRatio.Value;
}
