using System.Text.Json.Nodes;

namespace Husbandry.Rulebook;

/// <summary>How far a changed rule reaches.</summary>
public enum OverrideScope
{
    /// <summary>The whole room.</summary>
    Room,

    /// <summary>One species.</summary>
    Species,

    /// <summary>One animal, brood or colony.</summary>
    Animal,
}

/// <summary>One value of the rulebook that the keeper has changed.</summary>
/// <param name="Id">Made by the client.</param>
/// <param name="Scope">How far it reaches.</param>
/// <param name="Group">Group whose rules it changes; for room rules empty.</param>
/// <param name="SpeciesId">The species, when it reaches one species.</param>
/// <param name="StockId">The animal, when it reaches one animal.</param>
/// <param name="Rule">
/// Dotted name of the rule as reasons give it, e.g. <c>species.moltInterval.juvenile</c>,
/// <c>group.cadence.adult.default</c> or <c>room.settleDays</c>.
/// </param>
/// <param name="Value">The new value, of the same shape as the old one.</param>
/// <param name="Remark">Why, in the keeper's words; 0–200 characters.</param>
public sealed record RuleOverride(
    Guid Id,
    OverrideScope Scope,
    string Group,
    string? SpeciesId,
    Guid? StockId,
    string Rule,
    JsonNode Value,
    string Remark
);
