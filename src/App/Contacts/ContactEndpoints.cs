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
            .ProducesProblem(409);
    }

    private static async Task<IResult> WriteAsync(
        ContactRequest body,
        HttpContext context,
        RoomNow now,
        ContactStore store,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var by = Hand.Of(context, room);
        var result = await store.WriteAsync(body.Id, body.Act, by, room, cancel);
        if (Problems.ForFailure(result) is { } failure)
        {
            return failure;
        }

        live.Tell("contacts", body.Id, by);
        return TypedResults.Ok((await store.BookAsync(cancel)).Contacts);
    }
}
