namespace Ledger;

/// <summary>Somebody who may sign in.</summary>
public sealed class PersonRow
{
    /// <summary>Id.</summary>
    public Guid Id { get; set; }

    /// <summary>Name by which they sign in, and under which their entries are written.</summary>
    public required string Name { get; set; }

    /// <summary>Whether they own the room; one does.</summary>
    public bool IsOwner { get; set; }

    /// <summary>Password, hashed and salted.</summary>
    public required string PasswordHash { get; set; }

    /// <summary>When they were added, UTC ticks.</summary>
    public long AddedTicks { get; set; }

    /// <summary>When they were taken off the list, UTC ticks.</summary>
    public long? RemovedTicks { get; set; }

    /// <summary>Whether they read everything and write nothing.</summary>
    public bool IsReader { get; set; }

    /// <summary>Hash of the secret in the address of their calendar; none before they asked for one.</summary>
    public string? CalendarHash { get; set; }
}

/// <summary>One line of who came in and who may.</summary>
public sealed class AccessNoteRow
{
    /// <summary>Order of writing; the primary key.</summary>
    public long Id { get; set; }

    /// <summary>When, UTC ticks.</summary>
    public long AtTicks { get; set; }

    /// <summary>What, by its name.</summary>
    public required string What { get; set; }

    /// <summary>Who did it, or tried to.</summary>
    public required string Who { get; set; }

    /// <summary>Whom or what it was about.</summary>
    public string? Whom { get; set; }

    /// <summary>Network address.</summary>
    public required string From { get; set; }
}

/// <summary>A browser in which somebody is signed in.</summary>
public sealed class SessionRow
{
    /// <summary>Id.</summary>
    public Guid Id { get; set; }

    /// <summary>Who.</summary>
    public Guid PersonId { get; set; }

    /// <summary>When it began, UTC ticks.</summary>
    public long MadeTicks { get; set; }

    /// <summary>When it was last seen, UTC ticks, to a few minutes.</summary>
    public long SeenTicks { get; set; }

    /// <summary>Network address it began from.</summary>
    public required string From { get; set; }

    /// <summary>What the browser calls itself, shortened.</summary>
    public required string Browser { get; set; }

    /// <summary>When it was ended, UTC ticks.</summary>
    public long? EndedTicks { get; set; }
}

/// <summary>A link that opens tonight's sheet for somebody who minds the room.</summary>
public sealed class SitterLinkRow
{
    /// <summary>Id.</summary>
    public Guid Id { get; set; }

    /// <summary>Name of the sitter, under which the ticks are written.</summary>
    public required string Name { get; set; }

    /// <summary>Hash of the secret in the link; the secret itself is shown once and not kept.</summary>
    public required string TokenHash { get; set; }

    /// <summary>First night on which it opens, as a day number.</summary>
    public int FromDay { get; set; }

    /// <summary>Last night on which it opens, as a day number.</summary>
    public int ToDay { get; set; }

    /// <summary>Whether animals that need two people are shown at all.</summary>
    public bool TwoPeople { get; set; }

    /// <summary>Whom to call, in the keeper's words.</summary>
    public required string Contacts { get; set; }

    /// <summary>What else the sitter should know.</summary>
    public required string Note { get; set; }

    /// <summary>When it was made, UTC ticks.</summary>
    public long MadeTicks { get; set; }

    /// <summary>When it was withdrawn, UTC ticks.</summary>
    public long? EndedTicks { get; set; }
}
