using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;

namespace Husbandry.Guide;

/// <summary>The guided readings for one group or one animal: only what can be seen of it, with its figures, and without questions whose answer is known.</summary>
public static class GuideReading
{
    /// <summary>Readings for any animal of a group.</summary>
    /// <param name="rules">The rulebook.</param>
    /// <param name="group">Its rules of the group.</param>
    /// <param name="settings">Schools that the room follows.</param>
    public static IReadOnlyList<GuideCase> OfGroup(RuleSet rules, GroupRules group, RoomSettings settings) =>
        Of(rules, new GuideAsked(group, rules.Room, settings.FirstMeal, Peeking: settings.Peeking));

    /// <summary>Readings for one animal, by the rules that hold for it.</summary>
    public static IReadOnlyList<GuideCase> OfAnimal(Judgement judgement)
    {
        var subject = judgement.Subject;
        var stage = judgement.Stage.Value;
        return Of(
            subject.Room.Rules,
            new GuideAsked(
                subject.Group,
                subject.Room.Rules.Room,
                subject.Room.Settings.FirstMeal,
                stage,
                judgement.Size.Value?.SizeMm,
                subject.Standing.Details.Sex,
                subject.Profile.Moisture.Value,
                subject.Profile.Founding?.Value,
                Vigils.VigilForecast.PremoltRule(subject, stage).Value,
                subject.Room.Settings.Peeking
            )
        );
    }

    private static List<GuideCase> Of(RuleSet rules, GuideAsked asked) =>
        [
            .. rules
                .Guide.Where(c => c.Groups.Contains(asked.Group.Id))
                .Where(c => c.Stages is null || asked.Stage is not { } stage || c.Stages.Contains(stage))
                .Select(c => For(c, asked)),
        ];

    private static GuideCase For(GuideCase guide, GuideAsked asked)
    {
        string Past(string id)
        {
            var known = guide
                .Questions.FirstOrDefault(q => q.Id == id)
                ?.Answers.Where(a => a.When is { } fact && asked.Knows(fact) == true)
                .ToList();
            return known is [var only] ? Past(only.To) : id;
        }

        string Text(string text) => GuideFigures.Fill(text, asked);
        var start = Past(guide.Start);
        var questions = guide.Questions.ToDictionary(
            q => q.Id,
            q => new GuideQuestion(
                q.Id,
                Text(q.Text),
                [.. q.Answers.Select(a => new GuideAnswer(Text(a.Text), Past(a.To), a.When))]
            )
        );
        var reached = Reached(start, questions);
        return guide with
        {
            Title = Text(guide.Title),
            Start = start,
            Questions = [.. questions.Values.Where(q => reached.Contains(q.Id))],
            Outcomes =
            [
                .. guide
                    .Outcomes.Where(o => reached.Contains(o.Id))
                    .Select(o =>
                        o with
                        {
                            Likely = Text(o.Likely),
                            Now = [.. o.Now.Select(Text)],
                            Never = [.. o.Never.Select(Text)],
                            Ask = Text(o.Ask),
                        }
                    ),
            ],
        };
    }

    private static HashSet<string> Reached(string start, Dictionary<string, GuideQuestion> questions)
    {
        var reached = new HashSet<string>();
        var open = new Stack<string>([start]);
        while (open.TryPop(out var id))
        {
            if (reached.Add(id) && questions.TryGetValue(id, out var question))
            {
                foreach (var answer in question.Answers)
                {
                    open.Push(answer.To);
                }
            }
        }

        return reached;
    }
}
