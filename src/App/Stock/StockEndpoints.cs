using App.Hosting;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Ledger;
using Ledger.Intake;

namespace App.Stock;

/// <summary>A first measure taken when an animal is added.</summary>
public sealed record FirstMeasure(BodyPart Part, double LengthMm);

/// <summary>A new animal or brood.</summary>
/// <param name="Id">Id of the animal, made by the client.</param>
/// <param name="EntryId">Id of the journal entry, made by the client.</param>
/// <param name="Measure">A first measure, if taken.</param>
/// <param name="Place">Where it stands; the next free place when left out.</param>
/// <param name="LastMoltOn">Night of its last molt, if known.</param>
/// <param name="TankId">The shared tank that it goes into; its place is then that of the tank.</param>
/// <param name="LastMealOn">Night of its last meal, if known.</param>
/// <param name="LastWaterOn">Night on which water was given last, if known.</param>
public sealed record NewStock(
    Guid Id,
    Guid EntryId,
    StockDetails Details,
    Place? Place = null,
    FirstMeasure? Measure = null,
    DateOnly? LastMoltOn = null,
    Guid? TankId = null,
    DateOnly? LastMealOn = null,
    DateOnly? LastWaterOn = null
);

/// <summary>One of an animal's family, here or gone.</summary>
public sealed record Relative(Guid StockId, string Name, string Species, Place Place, bool Here);

/// <summary>Parents and young of an animal, as far as they are on record here.</summary>
public sealed record FamilyView(Relative? Mother, Relative? Father, IReadOnlyList<Relative> Young);

/// <summary>Changed details.</summary>
/// <param name="Version">Version that was on screen.</param>
public sealed record StockChange(Guid EntryId, long Version, StockDetails Details, Place Place);

/// <summary>The stock list, one animal, adding and changing.</summary>
public static class StockEndpoints
{
    public static void MapStock(this WebApplication app)
    {
        var stock = app.MapGroup("/api/stock").WithTags("Stock");
        stock.MapGet("", ListAsync).WithName("stockList").Produces<StockStretch>().ProducesValidationProblem();
        stock.MapGet("{id:guid}", ReadAsync).WithName("animal").Produces<AnimalView>().ProducesProblem(404);
        stock
            .MapGet("{id:guid}/fed", FedAsync)
            .WithName("fedOtherwise")
            .Produces<Answer<FeedingChoice?>>()
            .ProducesValidationProblem()
            .ProducesProblem(404);
        stock.MapGet("{id:guid}/family", FamilyAsync).WithName("family").Produces<FamilyView>().ProducesProblem(404);
        stock
            .MapPost("", AddAsync)
            .WithName("addStock")
            .Produces<AnimalView>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
        stock
            .MapPut("{id:guid}", ChangeAsync)
            .WithName("changeStock")
            .Produces<AnimalView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .Produces<BothSides>(409, "application/problem+json");
    }

    /// <summary>The animal's page after a write, or the failure.</summary>
    public static async Task<IResult> AnswerAsync(
        Guid id,
        WriteResult result,
        Room room,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        if (Problems.ForFailure(result, room) is { } failure)
        {
            return failure;
        }

        var standing = await reader.StandingAsync(id, cancel);
        var after = room.With(room.Tanks.With([standing!]));
        return TypedResults.Ok(AnimalView.Of(standing!, await reader.ReadAsync(id, cancel), after));
    }

    private const int MostLines = 200;

    private static async Task<IResult> ListAsync(
        RoomNow now,
        StockLists lists,
        [AsParameters] StockQuery query,
        CancellationToken cancel,
        int from = 0,
        int take = 100
    )
    {
        if (from < 0)
        {
            return Problems.Of("from", "Must be 0 or more.");
        }

        if (take is < 1 or > MostLines)
        {
            return Problems.Of("take", $"Must be 1 to {MostLines} lines.");
        }

        if (query.Problems().ToList() is { Count: > 0 } wrong)
        {
            return Problems.Of(wrong);
        }

        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var list = lists.Of(index, query);
        if (query.Show == StockQuery.Changed)
        {
            var changed = room.Rules.Overrides.Select(o => o.StockId).OfType<Guid>().ToHashSet();
            list = [.. list.Where(g => changed.Contains(g.StockId))];
        }

        return TypedResults.Ok(
            new StockStretch(
                room.Tonight,
                list.Count,
                list.Where(g => g.Who.Kind != StockKind.Tank).Sum(g => g.Who.Count),
                from,
                [.. list.Skip(from).Take(take).Select(StockLine.Of)],
                lists.ChoicesOf(index)
            )
        );
    }

    private static async Task<IResult> ReadAsync(Guid id, RoomNow now, JournalReader reader, CancellationToken cancel)
    {
        var standing = await reader.StandingAsync(id, cancel);
        return standing is null
            ? Problems.NotFound("animal")
            : TypedResults.Ok(AnimalView.Of(standing, await reader.ReadAsync(id, cancel), await now.ReadAsync(cancel)));
    }

    /// <summary>What would come of feeding it every so many days instead; nothing is stored.</summary>
    private static async Task<IResult> FedAsync(
        Guid id,
        double every,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        const double LeastDays = 0.5;
        const double MostDays = 120;
        if (!(every >= LeastDays && every <= MostDays))
        {
            return Problems.Of("every", $"Must be {LeastDays} to {MostDays} days.");
        }

        var standing = await reader.StandingAsync(id, cancel);
        return standing is null
            ? Problems.NotFound("animal")
            : TypedResults.Ok(Judgement.Of(standing, await now.ReadAsync(cancel)).FedEvery(every));
    }

    private static async Task<IResult> FamilyAsync(Guid id, RoomNow now, CancellationToken cancel)
    {
        await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        if (index.Find(id) is not { } animal)
        {
            return Problems.NotFound("animal");
        }

        Relative? Of(Guid? of) =>
            of is { } known && index.Find(known) is { } g
                ? new Relative(g.StockId, g.Who.Name, g.Who.Species, g.Where.Place, g.IsHere)
                : null;
        return TypedResults.Ok(
            new FamilyView(
                Of(animal.Who.MotherId),
                Of(animal.Who.FatherId),
                [
                    .. index
                        .Here.Concat(index.Gone)
                        .Where(g => g.Who.MotherId == id || g.Who.FatherId == id)
                        .Select(g => Of(g.StockId)!),
                ]
            )
        );
    }

    private static string PartOf(Act act) =>
        act switch
        {
            Molted => "molt",
            Measured => "measure",
            Offered => "meal",
            _ => "water",
        };

    /// <summary>What is wrong with what is told of the time before.</summary>
    private static IEnumerable<Problem> Before(NewStock body, Room room)
    {
        foreach (
            var (field, on) in new[]
            {
                ("lastMoltOn", body.LastMoltOn),
                ("lastMealOn", body.LastMealOn),
                ("lastWaterOn", body.LastWaterOn),
            }
        )
        {
            if (on > room.Tonight)
            {
                yield return new Problem(field, $"Must not lie beyond tonight, {room.Wording.Date(room.Tonight)}.");
            }
        }

        if (body.LastMoltOn is { } molted && body.Details.HatchedOn is { } hatched && molted < hatched)
        {
            yield return new Problem(
                "lastMoltOn",
                $"A molt cannot lie before it hatched, {room.Wording.Date(hatched)}."
            );
        }

        if (body.LastWaterOn < body.Details.AcquiredOn)
        {
            yield return new Problem(
                "lastWaterOn",
                $"Must not lie before the day it came, {room.Wording.Date(body.Details.AcquiredOn)}."
            );
        }
    }

    /// <summary>The next free place; that which it has where it was written before and is sent again.</summary>
    private static async Task<Place> NextPlaceAsync(
        Guid id,
        RoomNow now,
        JournalReader reader,
        Room room,
        CancellationToken cancel
    )
    {
        if (await reader.StandingAsync(id, cancel) is { } standing)
        {
            return standing.OwnPlace;
        }

        var index = await now.IndexAsync(cancel);
        var taken = index.Here.Where(g => g.Where.TankId is null).Select(g => g.Where.Place);
        return new FreePlaces(taken, room.Layout).Next();
    }

    private static async Task<IResult> AddAsync(
        NewStock body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        // Everything that is wrong at once; and before an instant is made of a day that cannot be.
        var wrong = DetailsCheck.Check(body.Details, room).Concat(Before(body, room)).ToList();
        if (wrong.Count > 0)
        {
            return Problems.Of(wrong);
        }

        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        var history = new History(
            body.LastMoltOn,
            body.Measure is { } measure ? new Measured(measure.Part, measure.LengthMm) : null,
            body.LastMealOn,
            body.LastWaterOn
        );
        var place = body.Place ?? await NextPlaceAsync(body.Id, now, reader, room, cancel);
        var entries = IntakeEntries
            .Acts(body.Details, place, history, at, room)
            .Select(a => new NewEntry(
                a.Act is Acquired ? body.EntryId : DerivedId.Of(body.EntryId, PartOf(a.Act)),
                a.When,
                null,
                a.Act
            ))
            .ToList();
        if (body.TankId is { } tank)
        {
            entries.Add(new NewEntry(DerivedId.Of(body.EntryId, "tank"), Occurrence.At(at), null, new Placed(tank)));
        }

        var by = Hand.Of(context, room);
        var result = await store.WriteAsync(
            body.Id,
            [.. entries.Select(e => e with { WrittenAt = at, WrittenBy = by })],
            null,
            room,
            cancel
        );
        return await AnswerAsync(body.Id, result, room, reader, cancel);
    }

    /// <summary>What somebody else has set otherwise since the form was opened.</summary>
    private static async Task<IResult> StaleAsync(
        Standing standing,
        StockChange body,
        Room room,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var there = new StockChange(body.EntryId, body.Version, standing.Details, Subject.Of(standing, room).Place);
        var relatives = new Dictionary<string, string>();
        foreach (
            var known in new[]
            {
                there.Details.MotherId,
                there.Details.FatherId,
                body.Details.MotherId,
                body.Details.FatherId,
            }.OfType<Guid>()
        )
        {
            relatives[$"{known}"] = (await reader.StandingAsync(known, cancel))?.Details.Nickname ?? "unknown";
        }

        IReadOnlyList<Difference> differences =
        [
            .. Differences.Between("details", there.Details, body.Details, room.Wording, relatives.GetValueOrDefault),
            .. Differences
                .Between("", there, body with { Details = there.Details }, room.Wording)
                .Select(d => d with { Field = d.Field.TrimStart('.') }),
        ];
        return differences.Count == 0
            ? await AnswerAsync(standing.StockId, WriteResult.WrittenBefore, room, reader, cancel)
            : Problems.Conflict(BothSides.OfVersion(standing.DetailsVersion, differences));
    }

    private static async Task<IResult> ChangeAsync(
        Guid id,
        StockChange body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var standing = await reader.StandingAsync(id, cancel);
        if (standing is null)
        {
            return Problems.NotFound("animal");
        }

        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        var entries = new List<NewEntry>
        {
            new(body.EntryId, Occurrence.At(at), null, new DetailsChanged(body.Details)),
        };
        if (body.Place != Subject.Of(standing, room).Place)
        {
            entries.Add(
                new NewEntry(DerivedId.Of(body.EntryId, "place"), Occurrence.At(at), null, new Moved(body.Place))
            );
        }

        var by = Hand.Of(context, room);
        var result = await store.WriteAsync(
            id,
            [.. entries.Select(e => e with { WrittenAt = at, WrittenBy = by })],
            body.Version,
            room,
            cancel
        );
        return result.Outcome == WriteOutcome.Stale
            ? await StaleAsync(standing, body, room, reader, cancel)
            : await AnswerAsync(id, result, room, reader, cancel);
    }
}
