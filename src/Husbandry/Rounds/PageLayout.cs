using Husbandry.Colonies;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Upkeep;

namespace Husbandry.Rounds;

/// <summary>The page of an animal, composed of what its kind and stage of life have, in the order in which it is read.</summary>
/// <param name="Drawn">Drawings along time, side by side.</param>
/// <param name="Wide">What takes the whole width.</param>
/// <param name="Tonight">How it is and what is due.</param>
/// <param name="Body">Food, growth, numbers; none where all of it is a remark or two, which then stand with tonight.</param>
/// <param name="Care">What it may have, and what was done.</param>
public sealed record PageLayout(
    IReadOnlyList<PageSection> Drawn,
    IReadOnlyList<PageSection> Wide,
    IReadOnlyList<PageSection> Tonight,
    IReadOnlyList<PageSection> Body,
    IReadOnlyList<PageSection> Care
)
{
    private sealed record Facts(Judgement Judgement, Lifeline Life)
    {
        public bool MayMolt { get; } = LogMenu.MayMolt(Judgement);
    }

    private sealed record Part(PageSection Section, Func<Facts, bool> Shows);

    private static readonly Part[] DrawnParts =
    [
        new(
            PageSection.Life,
            f =>
                f.Life.Steps.Any(s => s.LengthMm is not null)
                || (f.MayMolt && Molting.Follows(f.Judgement.Subject) && !f.Judgement.Subject.IsMany)
        ),
        new(PageSection.Awaited, f => f.Judgement.Wait.Value is not null || f.Judgement.Molt.Value is not null),
    ];

    private static readonly Part[] WideParts =
    [
        new(PageSection.Inmates, f => f.Judgement.Subject.Standing.IsTank),
        new(PageSection.Brood, f => f.Judgement.Subject.IsBrood),
        new(PageSection.Calcium, f => CalciumLookedEntry.Concerns(f.Judgement.Subject)),
        new(
            PageSection.Colony,
            f => TubLookedEntry.Concerns(f.Judgement.Subject) || QueenCaughtEntry.Concerns(f.Judgement.Subject)
        ),
    ];

    private static readonly Part[] TonightParts =
    [
        new(PageSection.Signs, f => f.MayMolt),
        new(PageSection.Ends, f => f.Judgement.Waits.Any(w => w.Value?.Ends is not null)),
        new(PageSection.Turns, f => Turn.Of(f.Judgement).Any()),
        new(PageSection.Leftover, f => f.Judgement.Leftover.Value is not null),
        new(PageSection.Water, f => f.Judgement.Hush[CareAct.Water].Verdict == Verdict.Fine),
        new(PageSection.Upkeep, f => f.Judgement.Upkeep.Value.Clocks.Count > 0),
        new(PageSection.Meal, f => f.Judgement.Subject.Group.Feeding.Prey is not null && LogMenu.Eats(f.Judgement)),
        new(
            PageSection.FirstMeal,
            f =>
                f.Judgement.FirstMeal.Value is not null
                && f.Judgement.Phase.Value is Phase.Hardening or Phase.FangsUnchecked
        ),
        new(PageSection.Stage, f => Molting.Follows(f.Judgement.Subject)),
        new(
            PageSection.Condition,
            f =>
                f.Judgement.Stage.Value != Stage.Egg
                && f.Judgement.Subject.Group is { Growth.HardPart: BodyPart.Carapace, Feeding.Prey: not null }
        ),
        new(PageSection.Enclosure, _ => true),
        new(PageSection.Quarantine, f => Quarantine.Of(f.Judgement.Subject).Value is not null),
        new(PageSection.Cautions, f => f.Judgement.Subject.Profile.Cautions.Count > 0),
    ];

    private static readonly Part[] BodyParts =
    [
        new(PageSection.Food, f => LogMenu.Eats(f.Judgement)),
        new(PageSection.Fasting, f => f.Judgement.Meal.Value.EatsNothing),
        new(PageSection.Growth, f => f.MayMolt || f.Judgement.Growth.Value is not null),
        new(PageSection.Numbers, f => CountBook.Of(f.Judgement.Subject) is not null),
        new(PageSection.Young, f => f.Judgement.Subject.Standing.Births.Count > 0),
        new(PageSection.Notes, _ => true),
    ];

    private static readonly PageSection[] Remarks = [PageSection.Fasting, PageSection.Notes];

    /// <summary>The page of an animal.</summary>
    /// <param name="judgement">What is said of it tonight.</param>
    /// <param name="life">Its life so far.</param>
    public static PageLayout Of(Judgement judgement, Lifeline life)
    {
        var facts = new Facts(judgement, life);
        List<PageSection> Shown(Part[] parts) => [.. parts.Where(p => p.Shows(facts)).Select(p => p.Section)];
        var (tonight, body) = (Shown(TonightParts), Shown(BodyParts));
        var onlyRemarks = !body.Except(Remarks).Any();
        return new PageLayout(
            Shown(DrawnParts),
            Shown(WideParts),
            onlyRemarks ? [.. tonight, .. body] : tonight,
            onlyRemarks ? [] : body,
            [PageSection.Hush, PageSection.Journal]
        );
    }

    /// <summary>Whether the page has a part.</summary>
    public bool Has(PageSection section) =>
        Drawn.Concat(Wide).Concat(Tonight).Concat(Body).Concat(Care).Contains(section);

    /// <summary>What its phase means, in a few words, with the chance of premolt where a molt is awaited.</summary>
    public static string HeadingOf(Judgement j)
    {
        var word = PhaseMark.Of(j.Phase.Value).Word.ToUpperFirst();
        return j.Molt.Value is not { } molt
            || j.Phase.Value is Phase.Imminent or Phase.Hardening or Phase.FangsUnchecked
                ? word
            : j.Subject.PupatesNext(j.Stage.Value)
                ? $"{word}: {Wording.Chance(molt.PremoltChance)} that it is about to pupate"
            : j.Phase.Value == Phase.Likely ? $"{word}, {Wording.Chance(molt.PremoltChance)}"
            : $"{word}: premolt {Wording.Chance(molt.PremoltChance)}";
    }
}
