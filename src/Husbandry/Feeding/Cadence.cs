using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Days between meals of an animal, and why.</summary>
/// <param name="Days">Days, &gt; 0.</param>
/// <param name="Why">School, sex, age, warmth, condition: each that changes it.</param>
public sealed record Cadence(double Days, IReadOnlyList<Reason> Why)
{
    // A factor nearer to one than this changes no date and is not worth a sentence.
    private const double WorthSaying = 0.05;

    /// <summary>The cadence of the room's school, changed by sex, age, warmth and condition.</summary>
    public static Cadence Of(Subject subject, Stage stage, Answer<Condition> condition)
    {
        var rule = subject.Group.At(stage).Food!.Cadence;
        var school = subject.Room.Settings.Cadence;
        var picked = school switch
        {
            CadenceSchool.Often => rule.Often,
            CadenceSchool.Lean => rule.Lean,
            CadenceSchool.Default => rule.Default,
            _ => throw new ArgumentOutOfRangeException(nameof(subject), school, "It has no cadence."),
        };
        var why = new List<Reason>
        {
            picked.Because(
                "Cadence",
                $"group.cadence.{StageReading.Key(stage)}",
                $"A {StageReading.Word(stage)} eats every {Wording.Days(picked.Value)}.",
                new School("often", $"every {Wording.Days(rule.Often.Value)}", school == CadenceSchool.Often),
                new School("default", $"every {Wording.Days(rule.Default.Value)}", school == CadenceSchool.Default),
                new School("lean", $"every {Wording.Days(rule.Lean.Value)}", school == CadenceSchool.Lean)
            ),
        };
        if (ByLeaf(subject, stage) is { } leaf)
        {
            return leaf;
        }

        var days = picked.Value * BySexAndAge(subject, stage, why) * ByWarmth(subject, why);
        return new Cadence(days * ByCondition(subject, condition, why) * ByPairing(subject, condition, why), why);
    }

    /// <summary>A paired female that waits for her brood is fed by the room's school; a plump one never more.</summary>
    private static double ByPairing(Subject subject, Answer<Condition> condition, List<Reason> why)
    {
        var (standing, school) = (subject.Standing, subject.Room.Settings.AfterPairing);
        if (standing.IsMany || standing.Vigils.OpenOf(VigilKind.EggCase) is null)
        {
            return 1;
        }

        var extra = subject.Room.Rules.Room.Pairing.FedAfter.ExtraCadence;
        var isPlump = condition.Value.Word is ConditionWord.Plump or ConditionWord.VeryPlump;
        var isFedMore = school == AfterPairingSchool.Extra && !isPlump;
        why.Add(
            extra.Because(
                "Paired",
                "room.pairing.fedAfter.extraCadence",
                isFedMore ? $"Paired, and making eggs: a little extra, × {Wording.Plain(extra.Value)}."
                    : school == AfterPairingSchool.Extra ? "Paired, but plump: nothing extra."
                    : "Paired: fed on steadily, by her condition.",
                new School("steady", "as before", school == AfterPairingSchool.Steady),
                new School("extra", $"× {Wording.Plain(extra.Value)}", school == AfterPairingSchool.Extra)
            )
        );
        return isFedMore ? extra.Value : 1;
    }

    /// <summary>Leaf is changed when it is spent, however much the larva eats; none for what eats no leaf.</summary>
    private static Cadence? ByLeaf(Subject subject, Stage stage)
    {
        if (subject.Group.Feeding.Diet != Diet.Leaves || stage is Stage.Adult or Stage.Pupa or Stage.Egg)
        {
            return null;
        }

        var room = subject.Room.Rules.Room;
        var woody = subject.Profile.Leaf?.Value == LeafKind.Woody;
        if (subject.Standing.Feeding.Box is { } kept && room.Plants.Box(kept.School) is { } box)
        {
            return ByBox(box, woody, stage, room);
        }

        var (rule, name) = woody
            ? (room.Feeding.LeafDaysWoody, "leafDaysWoody")
            : (room.Feeding.LeafDaysSoft, "leafDaysSoft");
        return new Cadence(
            rule.Value,
            [
                rule.Because(
                    "Leaf",
                    $"room.{name}",
                    $"{(woody ? "Woody" : "Soft")} leaf is changed every {Wording.Days(rule.Value)}, and at once when it is spent."
                ),
            ]
        );
    }

    /// <summary>The same by how they are kept; of the last instar it is looked at oftener.</summary>
    private static Cadence ByBox(BoxSchoolRules box, bool woody, Stage stage, RoomRules room)
    {
        var (rule, name) = woody ? (box.LeafWoodyDays, "leafWoodyDays") : (box.LeafSoftDays, "leafSoftDays");
        var last = room.Plants.LastInstarLeafDays;
        var why = new List<Reason>
        {
            rule.Because(
                "Leaf",
                $"room.boxes.{box.Id}.{name}",
                $"{(woody ? "Woody" : "Soft")} leaf, kept in {box.Name}: every {Wording.Days(rule.Value)}, and at once when it is spent."
            ),
        };
        if (stage != Stage.SubAdult || last.Value >= rule.Value)
        {
            return new Cadence(rule.Value, why);
        }

        why.Add(
            last.Because(
                "Last instar",
                "room.lastInstarLeafDays",
                $"In the last instar it is looked at every {Wording.Days(last.Value)}."
            )
        );
        return new Cadence(last.Value, why);
    }

    /// <summary>Days of life that an adult of a short-lived kind has left; none for others, or when nobody knows since when it is adult.</summary>
    public static Rulebook.Range? LifeLeft(Subject subject)
    {
        var life = subject.AdultLife.Value;
        return life.High <= subject.Room.Rules.Room.Feeding.ShortLifeDays.Value && AdultNights(subject) is { } lived
            ? new Rulebook.Range(Math.Max(0, life.Low - lived), Math.Max(1, life.High - lived))
            : null;
    }

    /// <summary>Nights since an animal became adult; none while it is not, or when nobody knows.</summary>
    public static int? AdultNights(Subject subject)
    {
        var standing = subject.Standing;
        return standing.Growth.Molts.LastOrDefault(m => m.Ultimate) is { } ultimate
                ? subject.NightsSince(ultimate.When.Middle)
            : standing.Details.MatureAtArrival ? subject.Room.Tonight.DayNumber - standing.Details.AcquiredOn.DayNumber
            : null;
    }

    /// <summary>Males eat less once adult, and either sex when old; the larger of the two counts.</summary>
    private static double BySexAndAge(Subject subject, Stage stage, List<Reason> why)
    {
        var (group, room) = (subject.Group, subject.Room.Rules.Room);
        var sex = subject.Standing.Details.Sex;
        var male =
            stage == Stage.Adult && sex == Sex.Male && subject.Standing.IsMatureByRecord
                ? group.Feeding.MatureMaleCadence
                : null;
        var life = subject.AdultLife;
        var old =
            AdultNights(subject) is { } nights && nights > life.Value.Middle * room.Feeding.OldFromShareOfLife.Value
                ? room.Feeding.OldCadence.Value
                : 1;
        if (male?.Value > 1 && male.Value >= old)
        {
            var text = $"A mature male eats less: × {Wording.Plain(male.Value)}.";
            why.Add(male.Because("Male", "group.matureMaleCadence", text));
        }
        else if (old > 1)
        {
            var text =
                $"Adult for {Wording.Nights(AdultNights(subject)!.Value)}: old animals take less, × {Wording.Plain(old)}.";
            why.Add(room.Feeding.OldCadence.Because("Age", "room.oldCadence", text));
        }

        return Math.Max(male?.Value ?? 1, old);
    }

    /// <summary>A cool animal digests slowly and needs less; a warm one more.</summary>
    private static double ByWarmth(Subject subject, List<Reason> why)
    {
        var limit = subject.Room.Rules.Room.Feeding.CadencePerPaceLimit;
        var factor = subject.Pace.IsKnown ? Math.Clamp(1 / subject.Pace.RateNow, 1 / limit.Value, limit.Value) : 1;
        if (Math.Abs(factor - 1) < WorthSaying)
        {
            return 1;
        }

        why.Add(
            limit.Because(
                "Warmth",
                "room.cadencePerPaceLimit",
                $"{subject.Pace.CelsiusNow:0.#} °C of late: it lives {(factor > 1 ? "slower" : "faster")}, × {factor:0.##}."
            )
        );
        return factor;
    }

    private static double ByCondition(Subject subject, Answer<Condition> condition, List<Reason> why)
    {
        why.AddRange(condition.Reasons);
        if (subject.Group.Feeding.Condition is not { } rules)
        {
            return 1;
        }

        switch (condition.Value.Word)
        {
            case ConditionWord.Thin:
                const string Sooner = "Thin: fed twice as soon, and check the water.";
                why.Add(rules.ThinFactor.Because("Thin", "group.condition.thinFactor", Sooner));
                return rules.ThinFactor.Value;
            case ConditionWord.Plump:
                const string Skip = "Plump: one meal is skipped.";
                why.Add(rules.PlumpFactor.Because("Plump", "group.condition.plumpFactor", Skip));
                return rules.PlumpFactor.Value;
            default:
                return 1;
        }
    }
}
