using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Husbandry.Reasons;
using Ledger;

namespace App.Hosting;

/// <summary>Says in which fields two of a kind differ, in the words of a keeper.</summary>
public static partial class Differences
{
    private const string Nothing = "nothing";

    /// <summary>The fields in which they differ, each by itself.</summary>
    /// <param name="field">Path of the whole, as in the body.</param>
    /// <param name="theirs">What is there.</param>
    /// <param name="yours">What was sent.</param>
    /// <param name="words">How dates are said.</param>
    /// <param name="names">Names of what is referred to by id.</param>
    public static IReadOnlyList<Difference> Between<T>(
        string field,
        T theirs,
        T yours,
        Wording words,
        Func<string, string?>? names = null
    )
    {
        var (there, sent) = (Members(theirs), Members(yours));
        return
        [
            .. there
                .Select(member => member.Key)
                .Where(name => !JsonNode.DeepEquals(there[name], sent[name]))
                .Select(name => new Difference(
                    $"{field}.{name}",
                    Label(name),
                    Say(there[name], words, names),
                    Say(sent[name], words, names),
                    JsonSerializer.SerializeToElement(there[name])
                )),
        ];
    }

    private static JsonObject Members<T>(T value) =>
        JsonSerializer.SerializeToNode(value, LedgerJson.Options) as JsonObject ?? [];

    /// <summary>"acquiredOn" as it is said: "Acquired on"; ids are of what they stand for.</summary>
    private static string Label(string name)
    {
        var spoken = CapitalPattern()
            .Replace(
                name.EndsWith("Id", StringComparison.Ordinal) ? name[..^2] : name,
                m => " " + m.Value.ToLowerInvariant()
            );
        return char.ToUpperInvariant(spoken[0]) + spoken[1..];
    }

    private static string Say(JsonNode? value, Wording words, Func<string, string?>? names) =>
        value switch
        {
            null => Nothing,
            JsonArray { Count: 0 } => Nothing,
            JsonArray list => string.Join(", ", list.Select(item => Say(item, words, names))),
            JsonObject whole => string.Join(
                ", ",
                whole.Where(m => m.Value is not null).Select(m => $"{Label(m.Key)} {Say(m.Value, words, names)}")
            ),
            _ when value.GetValueKind() is JsonValueKind.True => "yes",
            _ when value.GetValueKind() is JsonValueKind.False => "no",
            _ when value.GetValueKind() is JsonValueKind.String => SayText(value.GetValue<string>(), words, names),
            _ => value.ToString(),
        };

    private static string SayText(string text, Wording words, Func<string, string?>? names) =>
        text.Length == 0 ? Nothing
        : DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var date)
            ? words.Date(date)
        : names?.Invoke(text) ?? text;

    [GeneratedRegex("[A-Z]")]
    private static partial Regex CapitalPattern();
}
