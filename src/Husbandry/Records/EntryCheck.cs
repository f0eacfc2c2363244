using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Records;

/// <summary>Checks an entry before it is written: dates that can be, sizes that can be, rules that exist.</summary>
public static class EntryCheck
{
    /// <summary>Longest note or remark, characters.</summary>
    public const int LongestText = 2000;

    /// <summary>Longest nickname, characters.</summary>
    public const int LongestName = 60;

    /// <summary>Most animals in a brood, and most animals or pieces in one offer.</summary>
    public const int MostAnimals = 2000;

    /// <summary>Most animals in a colony.</summary>
    public const int MostInColony = 100_000;

    /// <summary>Most molts an animal can have behind it on arrival.</summary>
    public const int MostMolts = 30;

    /// <summary>Longest time an animal's record can reach back, in years.</summary>
    public const int LongestRecordYears = 60;

    private const int LongestPutOffNights = 60;
    private const int LongestLimb = 40;
    private const int LongestCaption = 200;

    /// <summary>All problems of an entry; none when it may be written.</summary>
    /// <param name="act">What happened.</param>
    /// <param name="when">When it happened.</param>
    /// <param name="standing">The animal's state, or none when the entry says that it came.</param>
    /// <param name="room">Rules and the present instant.</param>
    /// <param name="written">
    /// Whether it was accepted before and is loaded again: the cut-over may be another one by now, so that nights may have
    /// shifted by one.
    /// </param>
    public static IReadOnlyList<Problem> Check(
        Act act,
        Occurrence when,
        Standing? standing,
        Room room,
        bool written = false
    )
    {
        var problems = new List<Problem>(CheckWhen(act, when, standing, room, written ? 1 : 0));
        problems.AddRange(
            act switch
            {
                Acquired a => DetailsCheck.Check(a.Details, room).Concat(CheckPlace(a.Place)),
                DetailsChanged d => DetailsCheck
                    .Check(d.Details, room)
                    .Concat(DetailsCheck.AgainstMolts(d.Details, standing, room)),
                Moved m => CheckPlace(m.Place),
                Offered o => OfferCheck.Check(o, standing, room.Rules),
                SignSeen s => CheckSign(s, standing, room.Rules).Concat(CountCheck.Check(s.Count, standing)),
                // Rules of telling the sex may be newer than what was written under others.
                SexSeen s when !written => SexCheck.Check(s, when, standing, room),
                ConditionSeen => CheckCondition(standing, room.Rules),
                TubeSeen => CheckTube(standing, room.Rules),
                Measured m => CheckMeasure(m, when, standing, room),
                Counted c => CheckCount(c, standing),
                Noted n => CheckText("act.text", n.Text, required: true),
                Departed d => CheckText("act.remark", d.Remark, required: false)
                    .Concat(CountCheck.Check(d.Count, standing)),
                PutOff p => CheckPutOff(p, room.Clock.NightOf(when.To))
                    .Concat(CheckText("act.reason", p.Reason, required: false, LongestCaption)),
                Molted m => CheckMolt(m, standing),
                Began b => WaitCheck.Began(b, standing, room).Concat(CountCheck.Check(b.Count, standing)),
                Ended e => WaitCheck.Ended(e, standing, room).Concat(CountCheck.Check(e.Count, standing)),
                Chilled => WaitCheck.Chilled(standing, room),
                Handled h => WaitCheck.Handled(h),
                Housed h => h.Enclosure.Problems().Select(p => p with { Field = $"act.{p.Field}" }),
                LimbNoted l => CheckText("act.limb", l.Limb, required: true, LongestLimb),
                Pictured p => CheckText("act.caption", p.Caption, required: false, LongestCaption),
                _ => [],
            }
        );
        if (
            standing?.Departure is { } gone
            && act is not (Withdrawn or Noted or DetailsChanged or Pictured)
            && when.To > gone.At
        )
        {
            problems.Add(
                new Problem(
                    "when",
                    $"It left the collection on {room.Wording.Date(room.Clock.NightOf(gone.At))}; nothing can happen to it after that."
                )
            );
        }

        return problems;
    }

    /// <summary>
    /// What a bought animal's papers may tell of the time before it came: a molt, a meal, a pairing, a sac are history like
    /// any other and start the clocks.
    /// </summary>
    private static bool IsHistory(Act act) =>
        act switch
        {
            Offered o => o.Outcome.IsMeal(),
            Handled h => h.Care == CareAct.Pair,
            _ => act is Molted or Began or Ended or Chilled or Measured or SexSeen or LimbNoted or Noted or Pictured,
        };

    private static IEnumerable<Problem> CheckWhen(
        Act act,
        Occurrence when,
        Standing? standing,
        Room room,
        int slackDays
    )
    {
        if (when.From > when.To)
        {
            yield return new Problem("when.from", "\"Last seen before\" must not lie after \"found on\".");
        }

        if (when.To > room.Clock.EndOf(room.Tonight))
        {
            yield return new Problem("when.to", $"Must not lie beyond tonight, {room.Wording.Date(room.Tonight)}.");
        }

        if (standing is null)
        {
            yield break;
        }

        var hatched = standing.Details.HatchedOn;
        var night = room.Clock.NightOf(when.To).AddDays(slackDays);
        if (IsHistory(act) && hatched is { } day && night < day)
        {
            yield return new Problem("when.to", $"Must not lie before it hatched, {room.Wording.Date(day)}.");
        }

        var earliest = room.Tonight.AddYears(-LongestRecordYears);
        if (IsHistory(act) && night < earliest)
        {
            yield return new Problem("when.to", $"Must not lie before {room.Wording.Date(earliest)}.");
        }

        if (act is not (DetailsChanged or Withdrawn) && !IsHistory(act) && night < standing.Details.AcquiredOn)
        {
            yield return new Problem(
                "when.to",
                $"Must not lie before the day it came, {room.Wording.Date(standing.Details.AcquiredOn)}; of the time before only molts, meals, pairings and the like are told."
            );
        }
    }

    private static IEnumerable<Problem> CheckPlace(Place place)
    {
        if (place.Rack.Length is < 1 or > 2 || place.Shelf is < 1 or > 99 || place.Slot is < 1 or > 999)
        {
            yield return new Problem("place", $"Write {Place.Form}.");
        }
    }

    private static IEnumerable<Problem> CheckSign(SignSeen s, Standing? standing, RuleSet rules)
    {
        var sign = rules.Sign(s.SignId);
        if (sign is null || (standing is not null && !sign.Groups.Contains(standing.Details.Group)))
        {
            var known = rules
                .Signs.Where(r => standing is null || r.Groups.Contains(standing.Details.Group))
                .Select(r => r.Id);
            yield return new Problem("act.signId", $"Unknown sign for this group. Known: {string.Join(", ", known)}.");
        }
    }

    private static IEnumerable<Problem> CheckMeasure(Measured m, Occurrence when, Standing? standing, Room room)
    {
        if (standing is null || room.Rules.Group(standing.Details.Group) is not { } group)
        {
            yield break;
        }

        var limit = group.SizeLimitMm.Value;
        // The shortest part of the smallest animal is a tenth of its size; a body may be longer than a claw.
        var low = m.Part == group.SizePart ? limit.Low : limit.Low / 10;
        var high = m.Part == group.SizePart ? limit.High : limit.High * Math.Max(1, group.BodyPerSize.Value);
        if (!double.IsFinite(m.LengthMm) || m.LengthMm < low || m.LengthMm > high)
        {
            yield return new Problem(
                "act.lengthMm",
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{Growth.BodySize.Name(m.Part)} of a {group.One} must be {low:0.##} to {high:0.##} mm."
                )
            );
        }

        if (m.ErrorMm is { } error && !(error >= 0 && error <= m.LengthMm))
        {
            yield return new Problem("act.errorMm", "Must be 0 mm to the measured length.");
        }

        if (m.FromExuvia && standing.Molts.All(molt => molt.When.From > when.To))
        {
            yield return new Problem(
                "act.fromExuvia",
                "No molt is on record by then: log the molt first, then measure its skin."
            );
        }
    }

    private static IEnumerable<Problem> CheckCount(Counted c, Standing? standing)
    {
        var most = standing?.Details.Kind == StockKind.Colony ? MostInColony : MostAnimals;
        if (standing?.Details.Kind == StockKind.Specimen)
        {
            yield return new Problem("act.count", "Only a brood or a colony is counted.");
        }
        else if (c.Count < 0 || c.Count > most)
        {
            yield return new Problem("act.count", $"Must be 0 to {most}.");
        }
    }

    private static IEnumerable<Problem> CheckCondition(Standing? standing, RuleSet rules)
    {
        if (standing is not null && rules.Group(standing.Details.Group) is { ConditionByEye.Value: false } group)
        {
            yield return new Problem("act.condition", $"How well fed a {group.One} is does not show by eye.");
        }
    }

    private static IEnumerable<Problem> CheckTube(Standing? standing, RuleSet rules)
    {
        if (
            standing is not null
            && rules.Group(standing.Details.Group) is { } group
            && group.WaterWay.Values.All(w => w.Value != WaterWay.Tube)
        )
        {
            yield return new Problem("act.kind", $"A {group.One} lives in no tube with water behind cotton.");
        }
    }

    private static IEnumerable<Problem> CheckPutOff(PutOff p, DateOnly night)
    {
        if (p.UntilNight <= night || p.UntilNight > night.AddDays(LongestPutOffNights))
        {
            yield return new Problem(
                "act.untilNight",
                $"Must be after that night and at most {LongestPutOffNights} nights ahead."
            );
        }
    }

    private static IEnumerable<Problem> CheckMolt(Molted m, Standing? standing)
    {
        if (m.Ultimate && standing?.IsMatureByRecord == true)
        {
            yield return new Problem("act.ultimate", "It is adult by record already.");
        }
    }

    internal static IEnumerable<Problem> CheckText(string field, string? text, bool required, int longest = LongestText)
    {
        if (required && string.IsNullOrWhiteSpace(text))
        {
            yield return new Problem(field, $"Write 1 to {longest} characters.");
        }
        else if (text?.Length > longest)
        {
            yield return new Problem(field, $"At most {longest} characters; this has {text.Length}.");
        }
    }
}
