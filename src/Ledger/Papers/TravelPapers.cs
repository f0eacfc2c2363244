using System.ComponentModel;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Ledger.Papers;

/// <summary>
/// What goes along with an animal or a batch that is handed on: what it is, whence, and what happened to its body. Nothing of the
/// giver's room, people, places, notes or prices is in it.
/// </summary>
[Description("Papers of an animal or a batch that is handed on from one room of Hushed Lantern to another.")]
public sealed record TravelPapers(
    [property: Description("Always \"hushed-lantern-papers\".")] string Format,
    [property: Description("Version of this form: 1.")] int Version,
    [property: Description("What it is called.")] string Name,
    [property: Description("Specimen, brood or colony.")] StockKind Kind,
    [property: Description("Group of the rulebook.")] string Group,
    [property: Description("Scientific name.")] string Species,
    [property: Description("The same in the rulebook; left out where it is in none.")] string? SpeciesId,
    [property: Description("What was known of a species that is in no rulebook.")] KnownOfSpecies? Known,
    [property: Description("Sex as far as known.")] Sex Sex,
    [property: Description("How many.")] int Count,
    [property: Description("Day of hatching, if known.")] DateOnly? HatchedOn,
    [property: Description("Molts behind it, if known.")] int? Molts,
    [property: Description("Whether it came to the giver as an adult.")] bool CameAdult,
    [property: Description("Line or locality.")] string? Line,
    [property: Description("Its mother, by name and species, where she is on record.")] string? Mother,
    [property: Description("Its father, likewise.")] string? Father,
    [property: Description("Whether it was taken from the wild; where, the giver keeps.")] bool FromTheWild,
    [property: Description("Why that was lawful.")] string? Permit,
    [property: Description("What it eats by now, in words.")] string? Eats,
    [property: Description("The plant it is fed with.")] string? Host,
    [property: Description("What happened to its body, in order: molts, measures, sex, pairings, waits and colds.")]
        IReadOnlyList<PapersEntry> History,
    [property: Description("Its pictures, each as pictures/ID.jpg beside this.")] IReadOnlyList<PapersPicture> Pictures
)
{
    /// <summary>What the format calls itself.</summary>
    public const string FormatName = "hushed-lantern-papers";

    /// <summary>Its version.</summary>
    public const int CurrentVersion = 1;

    private const int MostHistory = 2_000;
    private const int MostPictures = 20;
    private const int LongestText = 400;
    private const string PlaceUnsaid = "not told in the papers";

    /// <summary>The papers of an animal, from its journal.</summary>
    /// <param name="subject">The animal.</param>
    /// <param name="entries">Its entries that count.</param>
    /// <param name="mother">Its mother in words; none where she is not on record.</param>
    /// <param name="father">Its father, likewise.</param>
    /// <param name="eats">What it eats, in words.</param>
    public static TravelPapers Of(
        Subject subject,
        IReadOnlyList<JournalEntry> entries,
        string? mother,
        string? father,
        string? eats
    )
    {
        var (standing, details) = (subject.Standing, subject.Standing.Details);
        return new TravelPapers(
            FormatName,
            CurrentVersion,
            details.Nickname,
            details.Kind,
            details.Group,
            subject.SpeciesName,
            details.SpeciesId,
            details.Known,
            details.Sex,
            details.Count,
            details.HatchedOn,
            standing.MoltsInLife,
            details.MatureAtArrival,
            details.Line,
            mother,
            father,
            details.Wild is not null,
            details.Wild?.Permit,
            eats,
            standing.Feeding.Host?.Plant,
            [
                .. entries
                    .Select(e => (e.When, Act: EntryDefinition.Of(e.Act).ForPapers(e.Act)))
                    .Where(x => x.Act is not null)
                    .Select(x => new PapersEntry(x.When.To, x.When.From < x.When.To ? x.When.From : null, x.Act!)),
            ],
            [
                .. entries
                    .Where(e => e.Act is Husbandry.Growth.Pictured)
                    .Select(e => (e.When.To, Act: (Husbandry.Growth.Pictured)e.Act))
                    .DistinctBy(x => x.Act.PictureId)
                    // The newest of them: papers are sent by mail.
                    .TakeLast(MostPictures)
                    .Select(x => new PapersPicture(x.Act.PictureId, x.To, x.Act.OfExuvia)),
            ]
        );
    }

    /// <summary>What is wrong with their form; none when they can be taken in.</summary>
    /// <param name="rules">Rules of the room that takes it in.</param>
    public IEnumerable<Problem> Problems(RuleSet rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        if (Format != FormatName || Version != CurrentVersion)
        {
            yield return new Problem("format", $"Must be \"{FormatName}\" in version {CurrentVersion}.");
        }

        if (rules.Group(Group) is null)
        {
            yield return new Problem("group", $"The rulebook of this room knows no group \"{Group}\".");
        }

        if (Kind == StockKind.Tank)
        {
            yield return new Problem("kind", "A tank has no papers: each that lives in it has its own.");
        }

        if (History.Count > MostHistory || History.Any(h => h?.Act is null))
        {
            yield return new Problem("history", $"At most {MostHistory} entries, each with its act.");
        }
        else if (History.FirstOrDefault(h => EntryDefinition.Of(h.Act).ForPapers(h.Act) is null) is { } odd)
        {
            yield return new Problem("history", $"\"{odd.Act.Kind().Id}\" is nothing that papers tell.");
        }

        if (Pictures.Count > MostPictures || Pictures.Any(p => p is null))
        {
            yield return new Problem("pictures", $"At most {MostPictures}.");
        }

        foreach (
            var (field, text) in new[]
            {
                ("name", Name),
                ("species", Species),
                ("mother", Mother),
                ("father", Father),
                ("eats", Eats),
                ("permit", Permit),
                ("host", Host),
                ("line", Line),
            }.Where(x => x.Item2?.Length > LongestText)
        )
        {
            yield return new Problem(field, $"At most {LongestText} characters, has {text!.Length}.");
        }
    }

    /// <summary>The animal as it begins in the room that takes it in.</summary>
    /// <param name="rules">Rules of that room.</param>
    /// <param name="name">What it is called there.</param>
    /// <param name="count">How many came.</param>
    /// <param name="on">Night on which they came.</param>
    /// <param name="from">From whom, in the keeper's words.</param>
    public StockDetails DetailsFor(RuleSet rules, string name, int count, DateOnly on, string? from)
    {
        ArgumentNullException.ThrowIfNull(rules);
        var known = SpeciesId is not null && rules.Profile(SpeciesId) is { } profile && profile.Group == Group;
        return new StockDetails(
            Kind == StockKind.Brood && count == 1 ? StockKind.Specimen : Kind,
            Group,
            known ? SpeciesId : null,
            known ? null : Species,
            name,
            Sex,
            on,
            from,
            Molts,
            CameAdult,
            HatchedOn,
            count,
            Known: known ? null : Known,
            Line: Line,
            Wild: FromTheWild ? new WildFind(PlaceUnsaid, null, Permit) : null
        );
    }

    /// <summary>What the papers say of whence it is and what it eats, as a note; empty where they say nothing.</summary>
    public string Note() =>
        string.Join(
            " ",
            new[]
            {
                Mother is { Length: > 0 } mother ? $"Mother: {mother}." : "",
                Father is { Length: > 0 } father ? $"Father: {father}." : "",
                FromTheWild ? "Taken from the wild." : "",
                Permit is { Length: > 0 } permit ? $"Permit: {permit}." : "",
                Eats is { Length: > 0 } eats ? $"Eats: {eats}" : "",
            }.Where(t => t.Length > 0)
        );
}

/// <summary>Something that happened to its body.</summary>
public sealed record PapersEntry(
    [property: Description("When, or the latest that it can have been.")] DateTimeOffset At,
    [property: Description("The earliest, when it was only found later.")] DateTimeOffset? From,
    [property: Description("What happened: an object with a kind and that kind's fields.")] Act Act
);

/// <summary>A picture of it.</summary>
public sealed record PapersPicture(
    [property: Description("Id: its file is pictures/ID.jpg.")] Guid Id,
    [property: Description("When it was taken.")] DateTimeOffset At,
    [property: Description("Whether it shows a shed skin.")] bool OfExuvia
);
