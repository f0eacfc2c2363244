using System.Globalization;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>Says journal entries in the words of a keeper.</summary>
public static class JournalText
{
    /// <summary>An entry as a short phrase, such as "took 1 small roach nymph".</summary>
    public static string Of(Act act, RuleSet rules, Wording words) =>
        act switch
        {
            Acquired a => a.Details.AcquiredFrom is { Length: > 0 } from ? $"came from {from}" : "came",
            DetailsChanged => "details changed",
            Offered { Preparation: Preparation.Fresh, Outcome: OfferOutcome.Eaten or OfferOutcome.NotSeen } o =>
                $"put in {FoodWords.Of(o, rules)}",
            Offered o => $"{OutcomeWords(o.Outcome)} {FoodWords.Of(o, rules)}{Exceptions(o)}",
            LeftoversRemoved { FeederIds: { Count: > 0 } foods } =>
                $"leftovers taken out: {string.Join(", ", foods.Select(id => rules.Feeder(id)?.Name ?? id))}",
            LeftoversRemoved => "leftovers taken out",
            Watered { Water: WaterKind.Mist } => "misted",
            Watered { Water: WaterKind.Damp } => "damp side moistened",
            Watered { Water: WaterKind.Pools } => "both pools filled",
            TubeSeen t => $"tube looked at: water {t.Water.ToString().ToLowerInvariant()}",
            ConditionSeen c => $"looks {ConditionText(c.Condition)}",
            Watered => "dish filled",
            Looked => "looked: no sign",
            SignSeen s => $"sign: {(rules.Sign(s.SignId)?.Label ?? s.SignId).ToLowerFirst()}{At(s.Count)}",
            Molted m => (m.Ultimate ? "molted to adult" : "molted") + (m.Mismolt ? ", a mismolt" : ""),
            FangsChecked { Hard: true } => "fangs black",
            FangsChecked => "fangs not black yet",
            Measured m =>
                $"{BodySize.Name(m.Part).ToLowerFirst()} {words.Length(m.LengthMm)}{(m.ErrorMm is { } error ? $" ± {words.Length(error)}" : "")}{(m.FromExuvia ? ", from the shed skin" : "")}{(m.PictureId is null ? "" : ", in a picture")}",
            Moved m => $"moved to {m.Place.Code}",
            Counted c => $"counted: {c.Count.ToString(CultureInfo.InvariantCulture)}",
            Handled h => Done(h.Care),
            Housed { Rehoused: true } h => $"rehoused into {h.Enclosure.Name}, {h.Enclosure.Text(words)}",
            Housed h => $"lives in {h.Enclosure.Name}, {h.Enclosure.Text(words)}",
            Noted n => n.Text,
            PutOff { Reason: { Length: > 0 } reason } p => $"put off until {words.Day(p.UntilNight)}: {reason}",
            PutOff p => $"put off until {words.Day(p.UntilNight)}",
            Began b => VigilWords.Began(b.Vigil) + At(b.Count),
            Ended e => VigilWords.Ended(e.Vigil, e.End == VigilEnd.AsHoped) + At(e.Count),
            Chilled { IntoCold: true } => "put into the cold",
            Chilled => "taken out of the cold",
            LimbNoted l => $"{l.Limb}: {LimbWord(l.State)}",
            SexSeen s => $"told as {SexWord(s.Sex)} {Evidence(s.By)}",
            Pictured p => p.Caption.Length > 0 ? $"picture: {p.Caption}" : "picture",
            Departed d => Left(d),
            Withdrawn => "an entry taken back",
            _ => act.GetType().Name,
        };

    private static string At(int? count) =>
        count is { } n ? $", {n.ToString(CultureInfo.InvariantCulture)} of them" : "";

    private static string ConditionText(BodyCondition condition) =>
        condition == BodyCondition.VeryFull ? "very full" : condition.ToString().ToLowerInvariant();

    private static string Done(CareAct care) =>
        care switch
        {
            CareAct.Handle => "handled",
            CareAct.Rehouse => "rehoused",
            CareAct.Dig => "dug up or opened",
            CareAct.Ship => "sent or carried away",
            CareAct.Pair => "put together with a mate",
            CareAct.BrightLight => "bright light",
            CareAct.Clean => "cleaned",
            CareAct.Mist => "misted",
            CareAct.Water => "water given",
            _ => "fed",
        };

    /// <summary>How a limb was found, in words.</summary>
    public static string LimbWord(LimbState state) =>
        state switch
        {
            LimbState.Lost => "lost",
            LimbState.Small => "grown again, still small",
            _ => "full size again",
        };

    private static string SexWord(Sex sex) =>
        sex switch
        {
            Sex.Female => "female",
            Sex.Male => "male",
            _ => "not certain",
        };

    private static string Evidence(SexEvidence by) =>
        by switch
        {
            SexEvidence.ShedSkin => "from the shed skin",
            SexEvidence.Furrow => "by the furrow",
            SexEvidence.AdultMarks => "by its adult marks",
            SexEvidence.Segments => "by its segments",
            SexEvidence.Pores => "by its pores or tubes",
            SexEvidence.Pectines => "by its combs",
            SexEvidence.Antennae => "by its antennae",
            _ => "by its looks",
        };

    private static string Exceptions(Offered o) =>
        o.Untaken is { Count: > 0 } vials ? $"; no. {string.Join(", ", vials)} left theirs" : "";

    private static string OutcomeWords(OfferOutcome outcome) =>
        outcome switch
        {
            OfferOutcome.Eaten => "took",
            OfferOutcome.TakenLater => "took later",
            OfferOutcome.Fled => "fled from",
            OfferOutcome.BattedAway => "batted away",
            OfferOutcome.KilledAndLeft => "killed and left",
            OfferOutcome.StillEating => "is still eating",
            OfferOutcome.SeenToCatch => "caught",
            OfferOutcome.FoundUneaten => "left untouched",
            _ => "not seen to take",
        };

    private static string Left(Departed departed)
    {
        var how = departed.Departure switch
        {
            DepartureKind.Died => "died",
            DepartureKind.Sold => "sold",
            DepartureKind.Escaped => "escaped",
            DepartureKind.Released => "released",
            DepartureKind.Lost => "lost",
            _ => "given away",
        };
        how += At(departed.Count);
        return departed.Remark is { Length: > 0 } remark ? $"{how}: {remark}" : how;
    }
}
