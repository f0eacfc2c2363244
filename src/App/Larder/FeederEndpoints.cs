using App.Access;
using App.Hosting;
using App.Live;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Larder;

/// <summary>A size class of a feeder of the keeper's own.</summary>
/// <param name="Name">Adjective before the feeder's name, e.g. "small"; empty when there is only one class.</param>
/// <param name="FromMm">Shortest, 0.5 to 300 mm.</param>
/// <param name="ToMm">Longest.</param>
public sealed record OwnFeederClass(string Name, double FromMm, double ToMm);

/// <summary>A feeder of the keeper's own.</summary>
/// <param name="Name">Name, singular, 2–40 characters.</param>
/// <param name="Plural">Name, plural, 2–40 characters.</param>
/// <param name="Fatty">Rich in fat.</param>
/// <param name="CanBeCut">Whether it may be cut.</param>
/// <param name="Traits">What it does.</param>
/// <param name="KeepsDays">Days after which half of it is dead in stock, 1–730.</param>
/// <param name="Serving">How to serve it, up to 200 characters.</param>
/// <param name="Classes">Size classes, small to large, 1–6.</param>
public sealed record OwnFeeder(
    string Name,
    string Plural,
    bool Fatty,
    bool CanBeCut,
    IReadOnlyList<FeederTrait> Traits,
    double KeepsDays,
    string Serving,
    IReadOnlyList<OwnFeederClass> Classes
);

/// <summary>The catalogue of feeders.</summary>
public static class FeederEndpoints
{
    private const string Source = "keeper: added to the catalogue of this room";
    private const int MostClasses = 6;
    private const double LeastMm = 0.5;
    private const double MostMm = 300;

    public static void MapFeeders(this WebApplication app)
    {
        var feeders = app.MapGroup("/api/feeders").WithTags("Larder");
        feeders.MapGet("", ReadAsync).WithName("feeders");
        feeders
            .MapPut("{id}", WriteAsync)
            .WithName("setFeeder")
            .ForOwner()
            .Produces<FeederView>()
            .ProducesValidationProblem();
    }

    private static async Task<Ok<IReadOnlyList<FeederView>>> ReadAsync(RulebookStore store, CancellationToken cancel)
    {
        var rules = await store.ReadAsync(cancel);
        return TypedResults.Ok<IReadOnlyList<FeederView>>([.. rules.Feeders.Select(Show)]);
    }

    private static FeederView Show(FeederRules feeder) =>
        new(feeder, RuleSet.Shipped.Feeder(feeder.Id) is null, [.. feeder.Classes.Select(c => c.MassMg)]);

    private static async Task<IResult> WriteAsync(
        string id,
        OwnFeeder body,
        HttpContext context,
        RulebookStore store,
        RoomNow now,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var problems = Check(id, body).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var feeder = Rules(id, body);
        var wrong = await store.SetFeederAsync(feeder, cancel);
        if (wrong.Count > 0)
        {
            return Problems.Of(wrong);
        }

        live.Tell(LiveTopic.Rules, Hand.Of(context, await now.ReadAsync(cancel)));
        return TypedResults.Ok(Show(feeder));
    }

    private static IEnumerable<Problem> Check(string id, OwnFeeder body)
    {
        if (id.Length is < 2 or > 40 || id.Any(c => c is not ((>= 'a' and <= 'z') or (>= '0' and <= '9') or '-')))
        {
            yield return new Problem("id", "Write 2 to 40 small letters, digits or hyphens.");
        }

        foreach (var (field, text) in new[] { ("name", body.Name), ("plural", body.Plural) })
        {
            if (text.Trim().Length is < 2 or > 40)
            {
                yield return new Problem(field, "Write 2 to 40 characters.");
            }
        }

        if (body.Serving.Length > 200)
        {
            yield return new Problem("serving", "At most 200 characters.");
        }

        if (!(body.KeepsDays >= 1 && body.KeepsDays <= 730))
        {
            yield return new Problem("keepsDays", "Must be 1 to 730 days.");
        }

        if (body.Classes.Count is < 1 or > MostClasses)
        {
            yield return new Problem("classes", $"Give 1 to {MostClasses} sizes.");
        }

        for (var i = 0; i < body.Classes.Count; i++)
        {
            if (body.Classes[i] is not { } size)
            {
                yield return new Problem($"classes[{i}]", "Is missing.");
                continue;
            }

            if (!(size.FromMm >= LeastMm && size.FromMm <= size.ToMm && size.ToMm <= MostMm))
            {
                yield return new Problem($"classes[{i}].fromMm", $"Must rise from {LeastMm} to {MostMm} mm at most.");
            }

            if (size.Name.Length > 20 || (size.Name.Trim().Length == 0 && body.Classes.Count > 1))
            {
                yield return new Problem($"classes[{i}].name", "Name each size in 1 to 20 characters.");
            }
        }
    }

    private static FeederRules Rules(string id, OwnFeeder body)
    {
        Rule<T> Own<T>(T value, string unit) => new(value, unit, RuleTag.Keeper, Source);
        return new FeederRules(
            id,
            body.Name.Trim(),
            body.Plural.Trim(),
            body.Fatty,
            body.CanBeCut,
            body.Serving.Trim(),
            [
                .. body.Classes.Select(
                    (c, i) =>
                        new FeederClass(
                            c.Name.Trim().Length == 0 ? "one" : $"size-{i + 1}",
                            c.Name.Trim(),
                            Own(new Husbandry.Rulebook.Range(c.FromMm, c.ToMm), "mm")
                        )
                ),
            ],
            body.Traits,
            FeederFrom.Shop,
            Own(body.KeepsDays, "days"),
            null,
            null
        );
    }
}
