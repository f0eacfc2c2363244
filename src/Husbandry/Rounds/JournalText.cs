using System.Globalization;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Rounds;

/// <summary>Says journal entries in the words of a keeper.</summary>
public static class JournalText
{
    /// <summary>An entry as a short phrase, such as "took 1 small roach nymph".</summary>
    public static string Of(Act act, RuleSet rules, Wording words) =>
        act switch
        {
            Acquired a => a.Details.AcquiredFrom is { Length: > 0 } from ? $"came from {from}" : "came",
            DetailsChanged => "details changed",
            Offered o => $"{OutcomeWords(o.Outcome)} {Food(o, rules)}",
            LeftoversRemoved => "leftovers taken out",
            Watered { Water: WaterKind.Mist } => "misted",
            Watered => "dish filled",
            Looked => "looked: no sign",
            SignSeen s => $"sign: {(rules.Sign(s.SignId)?.Label ?? s.SignId).ToLowerFirst()}",
            Molted m => (m.Ultimate ? "molted to adult" : "molted") + (m.Mismolt ? ", a mismolt" : ""),
            FangsChecked { Hard: true } => "fangs black",
            FangsChecked => "fangs not black yet",
            Measured m =>
                $"{BodySize.Name(m.Part).ToLowerFirst()} {words.Length(m.LengthMm)}{(m.FromExuvia ? ", from the shed skin" : "")}",
            Moved m => $"moved to {m.Place.Code}",
            Counted c => $"counted: {c.Count.ToString(CultureInfo.InvariantCulture)}",
            Noted n => n.Text,
            PutOff p => $"put off until {words.Day(p.UntilNight)}",
            Departed d => Left(d),
            Withdrawn => "an entry taken back",
            _ => act.GetType().Name,
        };

    /// <summary>The food of an offer, such as "2 pieces of cut medium mealworm".</summary>
    public static string Food(Offered offer, RuleSet rules)
    {
        var feeder = rules.Feeder(offer.FeederId);
        var size = feeder?.Classes.FirstOrDefault(c => c.Id == offer.SizeClassId);
        var noun =
            feeder is null ? offer.FeederId
            : offer.Count == 1 || offer.Preparation == Preparation.Cut ? feeder.Name
            : feeder.Plural;
        var named = size is { Name.Length: > 0 } ? $"{size.Name} {noun}" : noun;
        var count = offer.Count.ToString(CultureInfo.InvariantCulture);
        return offer.Preparation switch
        {
            Preparation.Cut => $"{count} piece{(offer.Count == 1 ? "" : "s")} of cut {named}",
            Preparation.PreKilled => $"{count} pre-killed {named}",
            _ => $"{count} {named}",
        };
    }

    private static string OutcomeWords(OfferOutcome outcome) =>
        outcome switch
        {
            OfferOutcome.Eaten => "took",
            OfferOutcome.TakenLater => "took later",
            OfferOutcome.Fled => "fled from",
            OfferOutcome.BattedAway => "batted away",
            OfferOutcome.KilledAndLeft => "killed and left",
            _ => "not seen to take",
        };

    private static string Left(Departed departed)
    {
        var how = departed.Departure switch
        {
            DepartureKind.Died => "died",
            DepartureKind.Sold => "sold",
            _ => "given away",
        };
        return departed.Remark is { Length: > 0 } remark ? $"{how}: {remark}" : how;
    }

    internal static string ToLowerFirst(this string text) =>
        text.Length == 0 ? text : char.ToLowerInvariant(text[0]) + text[1..];
}
