using App.Hosting;
using App.Live;
using Husbandry.Contacts;
using Ledger;

namespace App.Contacts;

/// <summary>An entry for the list of contacts.</summary>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="Act">What is said.</param>
public sealed record ContactRequest(Guid Id, ContactAct Act);

/// <summary>The people outside with whom the keeper deals: name and note, nothing else.</summary>
public static class ContactEndpoints
{
    public static void MapContacts(this WebApplication app)
    {
        var contacts = app.MapGroup("/api/contacts").WithTags("Contacts");
        contacts
            .MapGet(
                "",
                async (ContactStore store, CancellationToken cancel) =>
                    TypedResults.Ok((await store.BookAsync(cancel)).Contacts)
            )
            .WithName("contacts");
        contacts
            .MapPost("journal", WriteAsync)
            .WithName("sayContact")
            .Produces<IReadOnlyList<Contact>>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<IResult> WriteAsync(
        ContactRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        ContactStore store,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        var by = Hand.Of(context, room);
        var result = await store.WriteAsync(body.Id, body.Act, at, by, cancel);
        if (Problems.ForFailure(result, room) is { } failure)
        {
            return failure;
        }

        live.Tell(LiveTopic.Contacts, by, body.Id);
        return TypedResults.Ok((await store.BookAsync(cancel)).Contacts);
    }
}
