using System.Text.Json.Serialization;

namespace Husbandry.Contacts;

/// <summary>What is said of the people outside with whom the keeper deals; only ever added to.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ContactSaid), "contactSaid")]
[JsonDerivedType(typeof(ContactDropped), "contactDropped")]
public abstract record ContactAct;

/// <summary>Somebody was put on the list, or what is known of them changed.</summary>
/// <param name="ContactId">Id made by the client.</param>
/// <param name="Name">Name, 1–60 characters.</param>
/// <param name="Note">Whatever the keeper wants to remember, at most 200 characters; nothing else is kept of anybody.</param>
public sealed record ContactSaid(Guid ContactId, string Name, string Note = "") : ContactAct;

/// <summary>Somebody is not on the list any more.</summary>
public sealed record ContactDropped(Guid ContactId) : ContactAct;

/// <summary>One line of the journal of contacts.</summary>
/// <param name="Id">Id made by the client.</param>
/// <param name="Sequence">Order of writing.</param>
/// <param name="At">When it was written.</param>
/// <param name="WrittenBy">Who wrote it.</param>
/// <param name="Act">What was said.</param>
public sealed record ContactEntry(Guid Id, long Sequence, DateTimeOffset At, string WrittenBy, ContactAct Act);
