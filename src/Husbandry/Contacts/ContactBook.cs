using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Contacts;

/// <summary>Somebody with whom the keeper deals: a keeper, a breeder, a borrower.</summary>
/// <param name="Id">Which.</param>
/// <param name="Name">Name.</param>
/// <param name="Note">The keeper's note.</param>
public sealed record Contact(Guid Id, string Name, string Note);

/// <summary>Everybody on the list, by name.</summary>
public sealed record ContactBook(IReadOnlyList<Contact> Contacts)
{
    /// <summary>Most people on the list.</summary>
    public const int MostContacts = 1000;

    /// <summary>The list as its journal leaves it.</summary>
    public static ContactBook Fold(IEnumerable<ContactEntry> entries) =>
        entries.Aggregate(new ContactBook([]), (book, entry) => book.After(entry.Act));

    /// <summary>The list after one more entry.</summary>
    public ContactBook After(ContactAct act) =>
        act switch
        {
            ContactSaid said => new ContactBook([
                .. Contacts
                    .Where(c => c.Id != said.ContactId)
                    .Append(new Contact(said.ContactId, said.Name, said.Note))
                    .OrderBy(c => c.Name, StringComparer.OrdinalIgnoreCase),
            ]),
            ContactDropped dropped => new ContactBook([.. Contacts.Where(c => c.Id != dropped.ContactId)]),
            _ => throw new ArgumentOutOfRangeException(nameof(act), act, "Nothing is known of such an entry."),
        };

    /// <summary>What is wrong with an entry; none when it may be written.</summary>
    public IEnumerable<Problem> Check(ContactAct act) =>
        act switch
        {
            ContactSaid said => EntryCheck
                .CheckText("act.name", said.Name, required: true, EntryCheck.LongestName)
                .Concat(EntryCheck.CheckText("act.note", said.Note, required: false, EntryCheck.LongestCaption))
                .Concat(
                    Contacts.Count >= MostContacts && Contacts.All(c => c.Id != said.ContactId)
                        ? [new Problem("act.name", $"At most {MostContacts} people on the list; drop one first.")]
                        : []
                ),
            ContactDropped dropped => Contacts.Any(c => c.Id == dropped.ContactId)
                ? []
                : [new Problem("act.contactId", "Nobody on the list has this id.")],
            _ => throw new ArgumentOutOfRangeException(nameof(act), act, "No check for such an entry."),
        };
}
