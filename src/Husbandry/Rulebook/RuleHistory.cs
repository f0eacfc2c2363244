namespace Husbandry.Rulebook;

/// <summary>Rules and the instant from which they held.</summary>
/// <param name="From">First instant.</param>
/// <param name="Rules">The rules.</param>
public sealed record RulesSince(DateTimeOffset From, RuleSet Rules);

/// <summary>The rules as they were at any time, so that a rule changed today does not change what was said last year.</summary>
/// <param name="First">Rules before the first change.</param>
/// <param name="Changes">Rules after each change, oldest first.</param>
public sealed record RuleHistory(RuleSet First, IReadOnlyList<RulesSince> Changes)
{
    /// <summary>Rules that never changed.</summary>
    public static RuleHistory Always(RuleSet rules) => new(rules, []);

    /// <summary>The rules at an instant.</summary>
    public RuleSet At(DateTimeOffset instant) => Changes.LastOrDefault(c => c.From <= instant)?.Rules ?? First;
}
