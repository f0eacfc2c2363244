using System.Diagnostics.CodeAnalysis;

namespace Husbandry.Journal;

/// <summary>What happened: the content of a journal entry. Each kind is a record of its feature.</summary>
public abstract record Act
{
    /// <summary>What entries of this kind mean. A method, so that it is never written with the act.</summary>
    [SuppressMessage("Design", "CA1024:Use properties where appropriate", Justification = "Acts are stored as JSON.")]
    public abstract EntryKind Kind();

    /// <summary>The earlier entry that this one takes back, if it is an undo.</summary>
    public virtual Guid? Withdraws() => null;

    /// <summary>Another of the collection that it names, so that the name of that night stays on record; none for most.</summary>
    public virtual Guid? Names() => null;

    /// <summary>The act with that name noted.</summary>
    public virtual Act Naming(string name) => this;
}
