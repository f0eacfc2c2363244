using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Records;

/// <summary>Checks what a keeper says of an animal before it is written.</summary>
public static class DetailsCheck
{
    /// <summary>Most tags of one animal.</summary>
    public const int MostTags = 12;

    /// <summary>Longest tag, characters.</summary>
    public const int LongestTag = 30;

    /// <summary>Details of an animal as it may come.</summary>
    internal static StockDetails Example { get; } =
        new(
            StockKind.Specimen,
            "tarantula",
            "brachypelma-hamorii",
            OtherSpecies: null,
            "Example",
            Sex.Unknown,
            new DateOnly(2025, 1, 10),
            AcquiredFrom: null,
            MoltsAtArrival: null,
            MatureAtArrival: false,
            HatchedOn: null,
            Count: 1
        );

    /// <summary>Problems of the details of an animal or brood.</summary>
    public static IEnumerable<Problem> Check(StockDetails d, Room room)
    {
        if (room.Rules.Group(d.Group) is null)
        {
            yield return new Problem(
                "details.group",
                $"Unknown group. Known: {string.Join(", ", room.Rules.Groups.Select(g => g.Id))}."
            );
        }
        else if (d.SpeciesId is not null && room.Rules.Profile(d.SpeciesId)?.Group != d.Group)
        {
            var known = string.Join(", ", room.Rules.Species.Where(s => s.Group == d.Group).Select(s => s.Id));
            yield return new Problem(
                "details.speciesId",
                $"Unknown species in this group. Known: {known}; or leave it out and name another species."
            );
        }

        if (d.SpeciesId is null && string.IsNullOrWhiteSpace(d.OtherSpecies))
        {
            yield return new Problem("details.otherSpecies", "Choose a species, or write the name of another one.");
        }

        foreach (
            var problem in EntryCheck
                .CheckText("details.otherSpecies", d.OtherSpecies, required: false, EntryCheck.LongestName)
                .Concat(EntryCheck.CheckText("details.nickname", d.Nickname, required: true, EntryCheck.LongestName))
                .Concat(EntryCheck.CheckText("details.acquiredFrom", d.AcquiredFrom, required: false))
                .Concat(EntryCheck.CheckText("details.line", d.Line, required: false, EntryCheck.LongestName))
                .Concat(CheckBorrowed(d))
                .Concat(CheckWild(d))
        )
        {
            yield return problem;
        }

        var earliest = room.Tonight.AddYears(-EntryCheck.LongestRecordYears);
        if (d.AcquiredOn > room.Tonight || d.AcquiredOn < earliest)
        {
            yield return new Problem(
                "details.acquiredOn",
                $"Must be between {room.Wording.Date(earliest)} and tonight, {room.Wording.Date(room.Tonight)}."
            );
        }

        if (d.HatchedOn is { } hatched && (hatched > d.AcquiredOn || hatched < earliest))
        {
            yield return new Problem(
                "details.hatchedOn",
                $"Must not be after the day it came, {room.Wording.Date(d.AcquiredOn)}, nor before {room.Wording.Date(earliest)}."
            );
        }

        if (d.Known is not null && d.SpeciesId is not null)
        {
            yield return new Problem("details.known", "Said only of a species that is not in the rulebook.");
        }

        if (d.MoltsAtArrival is < 0 or > EntryCheck.MostMolts)
        {
            yield return new Problem(
                "details.moltsAtArrival",
                $"Must be 0 to {EntryCheck.MostMolts} molts, or left out."
            );
        }

        if (
            d.Tags is { } tags
            && (
                tags.Count > MostTags
                || tags.Any(t =>
                    string.IsNullOrWhiteSpace(t) || t.Length > LongestTag || t.Contains('|', StringComparison.Ordinal)
                )
            )
        )
        {
            yield return new Problem(
                "details.tags",
                $"At most {MostTags} tags of 1 to {LongestTag} characters, without the sign |."
            );
        }

        if (d.Kind == StockKind.Tank)
        {
            if (room.Rules.Group(d.Group) is { Shared.Value: false } group)
            {
                yield return new Problem("details.kind", EntryCheck.Alone(group));
            }

            if (d.Count != 1 || d.Sex != Sex.Unknown || d.MoltsAtArrival is not null || d.MatureAtArrival)
            {
                yield return new Problem(
                    "details.kind",
                    "A tank is no animal: count 1, no sex, no molts. Those in it have records of their own."
                );
            }
        }

        if (d.Kind == StockKind.Specimen && d.Count != 1)
        {
            yield return new Problem("details.count", "A specimen is one animal: 1.");
        }

        if (d.Kind == StockKind.Colony && d.Count is < 1 or > EntryCheck.MostInColony)
        {
            yield return new Problem(
                "details.count",
                $"A colony has 1 to {EntryCheck.MostInColony} animals, as far as counted."
            );
        }

        if (d.Kind == StockKind.Brood && d.Count is < 1 or > EntryCheck.MostAnimals)
        {
            yield return new Problem("details.count", $"A brood has 1 to {EntryCheck.MostAnimals} animals.");
        }
    }

    private static IEnumerable<Problem> CheckBorrowed(StockDetails d)
    {
        if (d.Borrowed is not { } borrowed)
        {
            yield break;
        }

        foreach (
            var problem in EntryCheck
                .CheckText("details.borrowed.owner", borrowed.Owner, required: true, EntryCheck.LongestName)
                .Concat(
                    EntryCheck.CheckText(
                        "details.borrowed.share",
                        borrowed.Share,
                        required: false,
                        EntryCheck.LongestCaption
                    )
                )
        )
        {
            yield return problem;
        }

        if (borrowed.BackBy < d.AcquiredOn)
        {
            yield return new Problem("details.borrowed.backBy", "Must not lie before the day it came.");
        }
    }

    private static IEnumerable<Problem> CheckWild(StockDetails d) =>
        d.Wild is not { } wild
            ? []
            : EntryCheck
                .CheckText("details.wild.place", wild.Place, required: true, EntryCheck.LongestName)
                .Concat(EntryCheck.CheckText("details.wild.host", wild.Host, required: false, EntryCheck.LongestName))
                .Concat(
                    EntryCheck.CheckText("details.wild.permit", wild.Permit, required: false, EntryCheck.LongestCaption)
                )
                .Concat(
                    d.MotherId is null
                        ? []
                        :
                        [
                            new Problem(
                                "details.wild",
                                "What was born in the room was not found outside: leave one of the two out."
                            ),
                        ]
                );

    /// <summary>Problems of another kind: a tank never becomes an animal.</summary>
    public static IEnumerable<Problem> AgainstKind(StockDetails d, Standing? standing)
    {
        if (standing is not null && standing.IsTank != (d.Kind == StockKind.Tank))
        {
            yield return new Problem("details.kind", "A tank stays a tank, and an animal an animal.");
        }
    }

    /// <summary>Problems of another group against the waits on record.</summary>
    public static IEnumerable<Problem> AgainstWaits(StockDetails d, Standing? standing, Room room)
    {
        if (
            room.Rules.Group(d.Group) is { } group
            && standing?.Vigils.All.FirstOrDefault(w => !group.Knows(w.Vigil)) is { } wait
        )
        {
            yield return new Problem(
                "details.group",
                $"It {VigilDefinition.Of(wait.Vigil).Began} here on {room.Wording.Date(room.Clock.NightOf(wait.Began.To))}, which does not happen to a {group.One}: take that entry back first."
            );
        }
    }

    /// <summary>Problems of dates against the molts on record.</summary>
    public static IEnumerable<Problem> AgainstMolts(StockDetails d, Standing? standing, Room room)
    {
        if (standing is null || standing.Growth.Molts.Count == 0)
        {
            yield break;
        }

        var first = room.Clock.NightOf(standing.Growth.Molts[0].When.To);

        if (d.HatchedOn > first)
        {
            yield return new Problem(
                "details.hatchedOn",
                $"Must not be after its first molt on record, {room.Wording.Date(first)}."
            );
        }
    }
}
