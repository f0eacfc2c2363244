namespace App.Access;

/// <summary>Whether one must sign in, and as whom one is.</summary>
/// <param name="Needed">Whether the room listens on the network, so that everybody signs in.</param>
/// <param name="Name">Who is signed in; none when nobody is.</param>
/// <param name="IsOwner">Whether that is the owner; on this machine alone everybody is.</param>
/// <param name="PasswordSet">Whether the owner has a password.</param>
/// <param name="IsReader">Whether they read everything and write nothing.</param>
/// <param name="Token">To be sent with everything that changes something, as X-Lantern-Token.</param>
public sealed record SessionView(
    bool Needed,
    string? Name,
    bool IsOwner,
    bool PasswordSet,
    bool IsReader,
    string Token
);

/// <summary>Signing in.</summary>
public sealed record SignInRequest(string Name, string Password);

/// <summary>The owner's password, before or after the room is opened to the network.</summary>
/// <param name="Name">Name under which the owner signs in.</param>
/// <param name="Password">At least ten characters.</param>
/// <param name="Former">The former one, where there is one; who has forgotten it runs ./lantern password.</param>
public sealed record OwnerRequest(string Name, string Password, string? Former = null);

/// <summary>A changed password of one's own.</summary>
public sealed record PasswordRequest(string Former, string Password);

/// <summary>Somebody who may sign in.</summary>
/// <param name="Name">Name under which they sign in.</param>
/// <param name="Password">At least ten characters.</param>
/// <param name="IsReader">Whether they read everything and write nothing; else they help.</param>
public sealed record HelperRequest(string Name, string Password, bool IsReader = false);

/// <summary>Somebody who may sign in.</summary>
public sealed record PersonView(Guid Id, string Name, bool IsOwner, bool IsReader, DateTimeOffset AddedAt);

/// <summary>A browser in which somebody is signed in.</summary>
public sealed record OpenSession(
    Guid Id,
    string Person,
    string From,
    string Browser,
    DateTimeOffset MadeAt,
    DateTimeOffset SeenAt,
    bool IsThis
);

/// <summary>People and sessions.</summary>
public sealed record AccessView(
    IReadOnlyList<PersonView> People,
    IReadOnlyList<OpenSession> Sessions,
    IReadOnlyList<AccessNote> Log,
    bool Lan,
    string Address
);
