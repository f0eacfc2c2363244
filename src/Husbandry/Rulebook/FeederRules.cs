namespace Husbandry.Rulebook;

/// <summary>A kind of food.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Name">Name, singular.</param>
/// <param name="Plural">Name, plural.</param>
/// <param name="Fatty">Rich in fat: not the daily food.</param>
/// <param name="CanBeCut">Whether cutting it up makes sense; flies and springtails are given whole.</param>
/// <param name="Serving">How to serve it.</param>
/// <param name="Classes">Size classes from small to large.</param>
public sealed record FeederRules(
    string Id,
    string Name,
    string Plural,
    bool Fatty,
    bool CanBeCut,
    string Serving,
    IReadOnlyList<FeederClass> Classes
);

/// <summary>A size class of a feeder.</summary>
/// <param name="Id">Identifier within the feeder.</param>
/// <param name="Name">Adjective before the feeder's name, e.g. "small"; empty when there is only one class.</param>
/// <param name="LengthMm">Body length; none for food that is not an animal, such as leaves.</param>
public sealed record FeederClass(string Id, string Name, Rule<Range>? LengthMm);
