using App.Growth;
using App.Hosting;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Ledger;
using Ledger.Papers;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;

namespace App.Papers;

/// <summary>Papers as they were read, before anything is written.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Species">Scientific name.</param>
/// <param name="IsKnown">Whether the rulebook of this room knows the species.</param>
/// <param name="Kind">Specimen, brood or colony.</param>
/// <param name="Count">How many.</param>
/// <param name="Sex">Sex as far as known.</param>
/// <param name="HatchedOn">Day of hatching.</param>
/// <param name="Molts">Molts behind it.</param>
/// <param name="Note">Whence it is and what it eats.</param>
/// <param name="History">What the papers tell, oldest first.</param>
/// <param name="Pictures">Pictures.</param>
public sealed record PapersRead(
    string Name,
    string Species,
    bool IsKnown,
    StockKind Kind,
    int Count,
    Sex Sex,
    DateOnly? HatchedOn,
    int? Molts,
    string Note,
    IReadOnlyList<PapersLine> History,
    int Pictures
);

/// <summary>Something that the papers tell.</summary>
/// <param name="Night">When.</param>
/// <param name="Text">What, in words.</param>
public sealed record PapersLine(DateOnly Night, string Text);

/// <summary>An animal that was taken in with its papers.</summary>
/// <param name="StockId">The animal.</param>
public sealed record TakenIn(Guid StockId);

/// <summary>What the keeper says of an animal that comes with papers.</summary>
/// <param name="Id">Made by the client: the same taking in is written once.</param>
/// <param name="Place">Where it stands from tonight.</param>
/// <param name="Name">What it is called here, 1–60 characters.</param>
/// <param name="Count">How many came.</param>
/// <param name="From">From whom, at most 60 characters.</param>
public sealed record TakeIn(
    [FromQuery] Guid Id,
    [FromQuery] string Place,
    [FromQuery] string Name,
    [FromQuery] int Count,
    [FromQuery] string? From
);

/// <summary>Papers of animals that are handed on: written for one that goes, read and taken in with one that comes.</summary>
public static class PapersEndpoints
{
    private const int MostBytes = 24 * 1024 * 1024;

    public static void MapPapers(this WebApplication app)
    {
        app.MapGet("/api/stock/{id:guid}/papers", WriteAsync)
            .WithName("papers")
            .WithTags("Papers")
            .Produces(200, contentType: "application/zip")
            .ProducesValidationProblem()
            .ProducesProblem(404);
        var papers = app.MapGroup("/api/papers").WithTags("Papers");
        papers
            .MapPost("read", ReadAsync)
            .WithName("readPapers")
            .Accepts<byte[]>("application/zip")
            .Produces<PapersRead>()
            .ProducesValidationProblem();
        papers
            .MapPost("", TakeInAsync)
            .WithName("takeIn")
            .Accepts<byte[]>("application/zip")
            .Produces<TakenIn>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<IResult> WriteAsync(
        Guid id,
        RoomNow now,
        JournalReader reader,
        LanternDb db,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (await reader.StandingAsync(id, cancel) is not { } standing)
        {
            return Problems.NotFound("animal");
        }

        if (standing.IsTank)
        {
            return Problems.Of("id", "A tank has no papers: each that lives in it has its own.");
        }

        if (Judgement.TryOf(standing, room) is not { } judged)
        {
            return Problems.Of("id", "It cannot be judged by the rules as they are: see to its record first.");
        }

        var index = await now.IndexAsync(cancel);
        string? Parent(Guid? of) =>
            of is { } known && index.Find(known) is { } g ? $"{g.Who.Name}, {g.Who.Species}" : null;
        var papers = TravelPapers.Of(
            judged.Subject,
            Chronicle.Effective(await reader.ReadAsync(id, cancel)),
            Parent(standing.Details.MotherId),
            Parent(standing.Details.FatherId),
            Eats(judged)
        );
        return TypedResults.File(
            await PapersFile.WriteAsync(db, papers, cancel),
            "application/zip",
            $"{standing.Details.Nickname}.papers.zip"
        );
    }

    private static string? Eats(Judgement judged)
    {
        if (!LogMenu.Eats(judged))
        {
            return null;
        }

        var (meal, rules) = (judged.Meal.Value, judged.Subject.Room.Rules);
        var what =
            judged.Subject.Group.Feeding.Diet == Diet.Prey
                ? judged.Prey.Summary.TrimEnd('.')
                : LineChoice
                    .Offers(meal.Offer)
                    .Select(o => rules.Feeder(o.FeederId)?.Name)
                    .FirstOrDefault(name => name is not null);
        return what is null ? null : $"{what}, every {Wording.Days(Math.Round(meal.EveryDays))}.";
    }

    private static async Task<IResult> ReadAsync(HttpRequest request, RoomNow now, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var (opened, problems) = await OpenAsync(request, room, cancel);
        if (opened is null)
        {
            return Problems.Of(problems);
        }

        using (opened)
        {
            var papers = opened.Papers;
            return TypedResults.Ok(
                new PapersRead(
                    papers.Name,
                    papers.Species,
                    room.Rules.Profile(papers.SpeciesId) is not null,
                    papers.Kind,
                    papers.Count,
                    papers.Sex,
                    papers.HatchedOn,
                    papers.Molts,
                    papers.Note(),
                    [
                        .. papers
                            .History.OrderBy(h => h.At)
                            .Select(h => new PapersLine(
                                room.Clock.NightOf(h.At),
                                EntryDefinition.Of(h.Act).Say(h.Act, room.Rules, room.Wording)
                            )),
                    ],
                    papers.Pictures.Count
                )
            );
        }
    }

    private static async Task<(OpenPapers? Papers, IReadOnlyList<Problem> Problems)> OpenAsync(
        HttpRequest request,
        Room room,
        CancellationToken cancel
    )
    {
        if (await SentPicture.ReadAsync(request, MostBytes, cancel) is not { } bytes)
        {
            return (null, [new Problem("file", $"At most {MostBytes / 1024 / 1024} MB.")]);
        }

        var (opened, problems) = PapersFile.Open(bytes);
        if (opened is null)
        {
            return (null, problems);
        }

        List<Problem> wrong = [.. opened.Papers.Problems(room.Rules)];
        if (wrong.Count == 0)
        {
            return (opened, []);
        }

        opened.Dispose();
        return (null, wrong);
    }

    private static async Task<IResult> TakeInAsync(
        [AsParameters] TakeIn said,
        [AsParameters] Tap tap,
        HttpRequest request,
        RoomNow now,
        LanternDb db,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        if (Place.Parse(said.Place) is not { } place)
        {
            return Problems.Of("place", $"Write it like {Place.Form}.");
        }

        var (opened, problems) = await OpenAsync(request, room, cancel);
        if (opened is null)
        {
            return Problems.Of(problems);
        }

        using (opened)
        {
            var stock = DerivedId.Of(said.Id, "stock");
            // Sent again after a lost answer, it is there.
            if (await reader.StandingAsync(stock, cancel) is not null)
            {
                return TypedResults.Ok(new TakenIn(stock));
            }

            var (pictures, wrong) = Pictures(opened, stock);
            if (wrong is not null)
            {
                return Problems.Of("pictures", wrong);
            }

            var details = opened.Papers.DetailsFor(
                room.Rules,
                said.Name,
                said.Count,
                room.Clock.NightOf(at),
                said.From
            );
            var acts = ActsOf(opened.Papers, details, place, pictures, at, room);
            var hand = Hand.Of(request.HttpContext, room);
            List<NewEntry> entries =
            [
                .. acts.Select(
                    (a, i) => new NewEntry(DerivedId.Of(stock, $"entry {i}"), a.When, null, a.Act, at, hand)
                ),
            ];
            return await KeepAsync(stock, entries, pictures, at, room, db, store, cancel);
        }
    }

    /// <summary>Pictures first, as an entry without its picture would be a promise broken; both or neither.</summary>
    private static async Task<IResult> KeepAsync(
        Guid stock,
        IReadOnlyList<NewEntry> entries,
        IReadOnlyList<(PapersPicture Told, Guid Id, StoredPicture Picture)> pictures,
        DateTimeOffset at,
        Room room,
        LanternDb db,
        JournalStore store,
        CancellationToken cancel
    )
    {
        db.Pictures.AddRange(
            pictures.Select(p => new PictureRow
            {
                Id = p.Id,
                StockId = stock,
                AddedTicks = at.UtcTicks,
                Width = p.Picture.Width,
                Height = p.Picture.Height,
                Jpeg = p.Picture.Jpeg,
            })
        );
        await db.SaveChangesAsync(cancel);
        var result = await store.WriteAsync(stock, entries, null, room, cancel);
        if (result.Outcome is not (WriteOutcome.Written or WriteOutcome.WrittenBefore))
        {
            var ids = pictures.Select(p => p.Id).ToList();
            await db.Pictures.Where(p => ids.Contains(p.Id)).ExecuteDeleteAsync(cancel);
        }

        return Problems.ForFailure(result, room) ?? TypedResults.Ok(new TakenIn(stock));
    }

    private static (
        IReadOnlyList<(PapersPicture Told, Guid Id, StoredPicture Picture)> Pictures,
        string? Wrong
    ) Pictures(OpenPapers opened, Guid stock)
    {
        var pictures = new List<(PapersPicture, Guid, StoredPicture)>();
        foreach (var told in opened.Papers.Pictures.DistinctBy(p => p.Id))
        {
            // Drawn anew like any other that comes from outside.
            if (opened.Jpeg(told.Id) is not { } bytes || StoredPicture.From(bytes) is not { } picture)
            {
                return ([], $"The picture {told.Id} is missing, damaged, too large or no picture.");
            }

            pictures.Add((told, DerivedId.Of(stock, $"picture {told.Id}"), picture));
        }

        return (pictures, null);
    }

    private static List<(Occurrence When, Act Act)> ActsOf(
        TravelPapers papers,
        StockDetails details,
        Place place,
        IReadOnlyList<(PapersPicture Told, Guid Id, StoredPicture Picture)> pictures,
        DateTimeOffset at,
        Room room
    )
    {
        // All that the papers tell lies before it came, whatever the giver's clock said.
        DateTimeOffset Past(DateTimeOffset told) => told < at ? told : at.AddSeconds(-1);
        var acts = new List<(Occurrence When, Act Act)> { (Occurrence.At(at), new Acquired(details, place)) };
        acts.AddRange(
            papers.History.OrderBy(h => h.At).Select(h => (new Occurrence(Past(h.From ?? h.At), Past(h.At)), h.Act))
        );
        acts.AddRange(
            pictures.Select(p =>
                (Occurrence.At(Past(p.Told.At)), (Act)new Pictured(p.Id, "from its papers", p.Told.OfExuvia))
            )
        );
        if (papers.Host is { Length: > 0 } host)
        {
            acts.Add((Occurrence.At(at), new HostChosen(host, Anyway: true)));
        }

        if (papers.Note() is { Length: > 0 } note)
        {
            acts.Add((Occurrence.At(at), new Noted(note)));
        }

        return acts;
    }
}
