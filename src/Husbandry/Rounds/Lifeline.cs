using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>One stretch between two molts.</summary>
/// <param name="From">Night of the molt that began it, or of arrival.</param>
/// <param name="To">Night of the molt that ended it; none for the present one.</param>
/// <param name="Instar">Instar, when known.</param>
/// <param name="LengthMm">Length of the part followed; none when nothing was ever measured.</param>
/// <param name="IsEstimate">Whether the length was not measured in this skin.</param>
public sealed record LifeStep(DateOnly From, DateOnly? To, int? Instar, double? LengthMm, bool IsEstimate);

/// <summary>A sign on the lifeline.</summary>
public sealed record LifeSign(DateOnly Night, string Label, SignStrength Strength);

/// <summary>The life of one animal as it is drawn: steps, meals, refusals, signs.</summary>
/// <param name="Part">The part whose length makes the steps.</param>
/// <param name="Steps">Steps in order.</param>
/// <param name="Meals">Nights of meals taken.</param>
/// <param name="Refusals">Nights of food turned down or not taken.</param>
/// <param name="Signs">Signs seen.</param>
public sealed record Lifeline(
    BodyPart Part,
    IReadOnlyList<LifeStep> Steps,
    IReadOnlyList<DateOnly> Meals,
    IReadOnlyList<DateOnly> Refusals,
    IReadOnlyList<LifeSign> Signs
)
{
    /// <summary>Draws the life from the journal of the animal.</summary>
    public static Lifeline Of(Judgement judgement, IReadOnlyList<JournalEntry> journal)
    {
        var subject = judgement.Subject;
        var growth = judgement.Growth.Value;
        var effective = Chronicle.Effective(journal);
        DateOnly Night(JournalEntry entry) => subject.Night(entry.When.Middle);
        var offers = effective
            .Where(e => e.Act is Offered)
            .Select(e => (Night: Night(e), ((Offered)e.Act).Outcome))
            .ToList();
        var signs = effective
            .Where(e => e.Act is SignSeen)
            .Select(e => (Night: Night(e), Rule: subject.Room.Rules.Sign(((SignSeen)e.Act).SignId)))
            .Where(s => s.Rule is not null)
            .Select(s => new LifeSign(s.Night, s.Rule!.Brief, s.Rule.Strength))
            .ToList();
        return new Lifeline(
            growth?.Part ?? BodyPart.Carapace,
            StepsOf(subject, growth),
            [.. offers.Where(o => o.Outcome.IsMeal()).Select(o => o.Night)],
            [.. offers.Where(o => !o.Outcome.IsMeal()).Select(o => o.Night)],
            signs
        );
    }

    private static List<LifeStep> StepsOf(Subject subject, GrowthRecord? growth)
    {
        var molts = subject.Standing.Growth.Molts.Select(m => subject.Night(m.When.Middle)).ToList();
        var came = subject.Standing.Details.AcquiredOn;
        // A molt told from before it came begins the record earlier.
        List<DateOnly> starts = [molts.Count > 0 && molts[0] < came ? molts[0] : came, .. molts];
        var before = subject.Standing.MoltsBeforeRecord;
        var first = before is { } known ? known + subject.Group.InstarAtHatching : 1;
        var skins = growth?.Skins.ToDictionary(s => s.Instar) ?? [];
        return
        [
            .. starts.Select(
                (from, k) =>
                    new LifeStep(
                        from,
                        k + 1 < starts.Count ? starts[k + 1] : null,
                        before is null ? null : first + k,
                        Length(skins, first + k, growth?.Ratio ?? 1),
                        !skins.ContainsKey(first + k)
                    )
            ),
        ];
    }

    /// <summary>The measured length of a skin, or the nearest measured one carried over by the growth ratio.</summary>
    private static double? Length(Dictionary<int, Skin> skins, int instar, double ratio)
    {
        if (skins.Count == 0)
        {
            return null;
        }

        var nearest = skins.Keys.MinBy(k => Math.Abs(k - instar));
        return skins[nearest].LengthMm * Math.Pow(ratio, instar - nearest);
    }
}
