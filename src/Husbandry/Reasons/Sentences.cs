namespace Husbandry.Reasons;

/// <summary>Turns the beginning of a text into that of a sentence, or back.</summary>
public static class Sentences
{
    /// <summary>The text with its first letter small.</summary>
    public static string ToLowerFirst(this string text) =>
        text.Length == 0 ? text : char.ToLowerInvariant(text[0]) + text[1..];

    /// <summary>The text with its first letter capital.</summary>
    public static string ToUpperFirst(this string text) =>
        text.Length == 0 ? text : char.ToUpperInvariant(text[0]) + text[1..];
}
