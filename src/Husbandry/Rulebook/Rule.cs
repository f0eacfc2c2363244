using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>One value of the rulebook with what a reader needs in order to trust or change it.</summary>
/// <param name="Value">The value.</param>
/// <param name="Unit">Its unit, e.g. <c>days</c>, <c>mm</c>, <c>share of body length</c>.</param>
/// <param name="Tag">How far to trust it.</param>
/// <param name="Source">Published source, or the reason for a house pick, or what the tag says.</param>
public sealed record Rule<T>(T Value, string Unit, RuleTag Tag, string Source)
{
    /// <summary>A reason resting on this rule.</summary>
    /// <param name="topic">One or two words.</param>
    /// <param name="rule">Dotted name of the rule.</param>
    /// <param name="text">The sentence a keeper reads.</param>
    /// <param name="schools">The schools, where keepers disagree.</param>
    public Reason Because(string topic, string rule, string text, params IReadOnlyList<School> schools) =>
        new(topic, text, rule, Tag, Source, schools);
}

/// <summary>A range with both ends included.</summary>
public sealed record Range(double Low, double High)
{
    /// <summary>The middle of the range.</summary>
    public double Middle => (Low + High) / 2;
}

/// <summary>A wait in days as three quantiles.</summary>
/// <param name="P10">One in ten is over by then.</param>
/// <param name="P50">Half are over by then.</param>
/// <param name="P90">Nine in ten are over by then.</param>
public sealed record WaitPrior(double P10, double P50, double P90);
