using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>A part of an animal's page that not every animal has.</summary>
public enum PageSection
{
    /// <summary>Its growth drawn as steps.</summary>
    Life,

    /// <summary>The weeks round tonight, and what is awaited.</summary>
    Awaited,

    /// <summary>What the signs add up to.</summary>
    Signs,

    /// <summary>Its stage of life.</summary>
    Stage,

    /// <summary>How well fed it is.</summary>
    Condition,

    /// <summary>The next meal and what fits.</summary>
    Food,

    /// <summary>Skins, and molts left.</summary>
    Growth,

    /// <summary>How many came, were born and left.</summary>
    Numbers,

    /// <summary>Those that live in a shared tank.</summary>
    Inmates,
}

/// <summary>Decides what an animal's page shows: only what its stage of life has.</summary>
public static class PageSections
{
    /// <summary>The parts of the page of an animal.</summary>
    public static IEnumerable<PageSection> Of(Judgement j, Lifeline life)
    {
        var single = Molting.Follows(j.Subject);
        var growing = LogMenu.MayMolt(j);
        if (life.Steps.Any(s => s.LengthMm is not null) || (growing && single && !j.Subject.IsMany))
        {
            yield return PageSection.Life;
        }

        if (j.Wait.Value is not null || j.Molt.Value is not null)
        {
            yield return PageSection.Awaited;
        }

        if (growing)
        {
            yield return PageSection.Signs;
        }

        if (single)
        {
            yield return PageSection.Stage;
        }

        if (j.Subject.Standing.IsTank)
        {
            yield return PageSection.Inmates;
        }

        if (j.Subject.Group.Growth.HardPart == BodyPart.Carapace && j.Subject.Group.Feeding.Prey is not null)
        {
            yield return PageSection.Condition;
        }

        if (LogMenu.Eats(j))
        {
            yield return PageSection.Food;
        }

        if (growing || j.Growth.Value is not null)
        {
            yield return PageSection.Growth;
        }

        if (j.Subject.IsMany && !j.Subject.Standing.IsTank)
        {
            yield return PageSection.Numbers;
        }
    }

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
