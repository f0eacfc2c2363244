using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>How sure a guided reading can be. It never diagnoses.</summary>
public enum Sureness
{
    /// <summary>Hardly ever anything else.</summary>
    AlmostCertain,

    /// <summary>More likely than anything else.</summary>
    Likely,

    /// <summary>One of several things.</summary>
    Possible,
}

/// <summary>A guided reading for a worried keeper: what is seen, two or three questions, what it most likely is.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Title">What is seen, as a keeper says it.</param>
/// <param name="Drawing">Name of the drawing.</param>
/// <param name="Groups">Groups in which it can be seen.</param>
/// <param name="Start">First question.</param>
/// <param name="Questions">Questions.</param>
/// <param name="Outcomes">What it can come to.</param>
/// <param name="Stages">Stages in which it can be seen; all where none is named.</param>
/// <param name="During">Phases in which its page names it; none for most cases.</param>
public sealed record GuideCase(
    string Id,
    string Title,
    string Drawing,
    IReadOnlyList<string> Groups,
    string Start,
    IReadOnlyList<GuideQuestion> Questions,
    IReadOnlyList<GuideOutcome> Outcomes,
    IReadOnlyList<Stage>? Stages = null,
    IReadOnlyList<Phase>? During = null
);

/// <summary>A question with its answers.</summary>
public sealed record GuideQuestion(string Id, string Text, IReadOnlyList<GuideAnswer> Answers);

/// <summary>An answer and the question or outcome that it leads to.</summary>
/// <param name="Text">The answer.</param>
/// <param name="To">Question or outcome.</param>
/// <param name="When">What, known of the animal, gives this answer without asking.</param>
public sealed record GuideAnswer(string Text, string To, GuideFact? When = null);

/// <summary>What may be known of an animal before its keeper is asked.</summary>
public enum GuideFact
{
    /// <summary>Adult.</summary>
    Adult,

    /// <summary>Not adult yet: sling, nymph or larva.</summary>
    Young,

    /// <summary>In the stage before the last molt.</summary>
    LastStage,

    /// <summary>Younger than that.</summary>
    NotLastStage,

    /// <summary>Will molt again.</summary>
    MoltsLeft,

    /// <summary>Will never molt again.</summary>
    NoMoltsLeft,

    /// <summary>A queen that founds on her reserves.</summary>
    Claustral,

    /// <summary>A queen that must be fed while she founds.</summary>
    SemiClaustral,
}

/// <summary>What it most likely is, and what to do.</summary>
/// <param name="Id">Identifier within the case.</param>
/// <param name="Likely">What it most likely is.</param>
/// <param name="Sureness">How sure that is.</param>
/// <param name="Now">What to do now.</param>
/// <param name="Never">What never to do.</param>
/// <param name="Ask">When to ask an experienced keeper or a vet.</param>
/// <param name="Signs">Signs that can be logged with it.</param>
/// <param name="Tag">How far to trust it.</param>
/// <param name="Source">Where it comes from.</param>
public sealed record GuideOutcome(
    string Id,
    string Likely,
    Sureness Sureness,
    IReadOnlyList<string> Now,
    IReadOnlyList<string> Never,
    string Ask,
    IReadOnlyList<string> Signs,
    RuleTag Tag,
    string Source
);

/// <summary>What the guide must satisfy: every answer leads somewhere, nowhere in a circle, and every question decides something.</summary>
internal static class GuideChecks
{
    private const int MostQuestions = 3;

    public static IEnumerable<Problem> Check(GuideCase guide, RuleSet rules)
    {
        var at = $"guide.json {guide.Id}";
        foreach (var group in guide.Groups.Where(g => rules.Group(g) is null))
        {
            yield return new Problem($"{at}.groups", $"No group {group}.");
        }

        foreach (var sign in guide.Outcomes.SelectMany(o => o.Signs).Where(s => rules.Sign(s) is null))
        {
            yield return new Problem($"{at}.signs", $"No sign {sign}.");
        }

        foreach (var idle in guide.Questions.Where(q => q.Answers.Select(a => a.To).Distinct().Count() < 2))
        {
            yield return new Problem(
                $"{at}.questions.{idle.Id}",
                "Must decide something: all its answers lead to the same."
            );
        }

        var led = guide.Questions.SelectMany(q => q.Answers).Select(a => a.To).Append(guide.Start).ToHashSet();
        foreach (
            var lost in guide
                .Questions.Select(q => q.Id)
                .Concat(guide.Outcomes.Select(o => o.Id))
                .Where(x => !led.Contains(x))
        )
        {
            yield return new Problem($"{at}.{lost}", "No answer leads to it.");
        }

        if (Depth(guide, guide.Start, 0) > MostQuestions)
        {
            yield return new Problem($"{at}.start", $"Must come to an outcome within {MostQuestions} questions.");
        }
    }

    private static int Depth(GuideCase guide, string id, int asked) =>
        guide.Outcomes.Any(o => o.Id == id) ? asked
        : asked > MostQuestions ? asked
        : guide.Questions.FirstOrDefault(q => q.Id == id) is { Answers.Count: > 0 } question
            ? question.Answers.Max(a => Depth(guide, a.To, asked + 1))
        : int.MaxValue;
}
