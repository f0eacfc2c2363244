using Husbandry.Reasons;

namespace Husbandry.Pairing;

/// <summary>Whether an animal may be paired, in one word.</summary>
public enum ReadyWord
{
    /// <summary>Everything that is asked of it holds.</summary>
    Ready,

    /// <summary>Something is not known; whoever looks can say.</summary>
    Ask,

    /// <summary>Only time is missing.</summary>
    Soon,

    /// <summary>Something stands against it: it is hushed, thin, too fat, away.</summary>
    Not,

    /// <summary>Its time is behind it.</summary>
    Past,
}

/// <summary>One thing that is asked of an animal before it is paired.</summary>
/// <param name="Word">How it stands.</param>
/// <param name="Why">What is known, with its rule.</param>
/// <param name="Makes">What would make it ready; none where it is, or where nothing would.</param>
/// <param name="From">Night from which it holds by itself, where that can be said.</param>
/// <param name="Until">Last night on which it holds, where that can be said.</param>
public sealed record ReadyCheck(
    ReadyWord Word,
    Reason Why,
    string? Makes = null,
    DateOnly? From = null,
    DateOnly? Until = null
);

/// <summary>Whether an animal may be paired tonight, and if not, what would make it ready.</summary>
/// <param name="Word">The word for all of it.</param>
/// <param name="Says">The same as a sentence.</param>
/// <param name="From">The night from which it may be; tonight when it may.</param>
/// <param name="Until">The last night of its time, where that can be said.</param>
/// <param name="Checks">Everything that was asked.</param>
public sealed record Readiness(
    ReadyWord Word,
    string Says,
    DateOnly? From,
    DateOnly? Until,
    IReadOnlyList<ReadyCheck> Checks
)
{
    // What stands against it outweighs what is over, that what is lacking, and that what nobody knows.
    private static readonly ReadyWord[] Weightiest =
    [
        ReadyWord.Not,
        ReadyWord.Past,
        ReadyWord.Soon,
        ReadyWord.Ask,
        ReadyWord.Ready,
    ];

    /// <summary>Adds up what was asked.</summary>
    internal static Readiness Of(IReadOnlyList<ReadyCheck> checks, DateOnly tonight, Wording words)
    {
        var word = Weightiest.First(w => checks.Any(c => c.Word == w));
        var weighty = checks.First(c => c.Word == word);
        var from = checks.Select(c => c.From).Max();
        var until = checks.Select(c => c.Until).Min();
        var says = word switch
        {
            ReadyWord.Ready when until is { } last => $"Ready, until about {words.Date(last)}.",
            ReadyWord.Ready => "Ready.",
            ReadyWord.Soon when from is { } first => $"From {words.Date(first)} on.",
            _ => weighty.Makes ?? weighty.Why.Text,
        };
        return new Readiness(word, says, word == ReadyWord.Ready ? tonight : from, until, checks);
    }
}
