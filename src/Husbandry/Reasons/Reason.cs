namespace Husbandry.Reasons;

/// <summary>Where a value comes from. Every rule and every reason carries one.</summary>
public enum RuleTag
{
    /// <summary>Common practice of the trade, no published source.</summary>
    Practice,

    /// <summary>Taken from a publication named in the source.</summary>
    Published,

    /// <summary>Our own pick; the source says why.</summary>
    House,

    /// <summary>A figure recalled, not looked up.</summary>
    Memory,

    /// <summary>A datum of this keeper's own journal.</summary>
    Record,

    /// <summary>A rule that the keeper has changed.</summary>
    Keeper,
}

/// <summary>One of several ways experienced keepers do a thing, and what it would mean here.</summary>
/// <param name="Name">Short name, e.g. "quick".</param>
/// <param name="Text">What this school says for the case at hand, with units.</param>
/// <param name="Chosen">Whether the room follows it.</param>
public sealed record School(string Name, string Text, bool Chosen);

/// <summary>One step of a "why": a rule or a datum, in words, with its origin.</summary>
/// <param name="Topic">One or two words naming the step, e.g. "Cadence".</param>
/// <param name="Text">The sentence a keeper reads, with units.</param>
/// <param name="Rule">Dotted name of the rule in the rulebook, or of the kind of record.</param>
/// <param name="Tag">How far to trust it.</param>
/// <param name="Source">The published source, or what the tag says when there is none.</param>
/// <param name="Schools">The schools, where keepers disagree; otherwise empty.</param>
public sealed record Reason(
    string Topic,
    string Text,
    string Rule,
    RuleTag Tag,
    string Source,
    IReadOnlyList<School> Schools
)
{
    /// <summary>A reason that is a datum of the journal.</summary>
    public static Reason FromRecord(string topic, string text, string rule) =>
        new(topic, text, rule, RuleTag.Record, "your journal", []);
}

/// <summary>A computed value together with what it follows from.</summary>
/// <param name="Value">The value.</param>
/// <param name="Summary">The judgement in one plain sentence.</param>
/// <param name="Reasons">The steps that led to it, most telling first.</param>
public sealed record Answer<T>(T Value, string Summary, IReadOnlyList<Reason> Reasons);

/// <summary>Something wrong with an input, said so that a keeper can mend it.</summary>
/// <param name="Field">Name of the field as the caller knows it.</param>
/// <param name="Message">A sentence with the allowed range.</param>
public sealed record Problem(string Field, string Message);
