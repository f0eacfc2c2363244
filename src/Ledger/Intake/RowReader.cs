using System.Globalization;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Ledger.Intake;

/// <summary>Reads one row of a keeper's table.</summary>
internal sealed class RowReader(
    Room room,
    SpeciesFinder species,
    IntakeDates dates,
    LengthUnit unit,
    IReadOnlyList<ReadColumn> columns,
    IReadOnlyList<string> row,
    string? groupOfOthers
)
{
    private static readonly string[] Yes = ["yes", "y", "x", "✓", "ok"];
    private static readonly string[] No = ["no", "n", "-", "?"];

    // Fields of details by the column that says them, so that a problem is shown where it can be mended.
    private static readonly Dictionary<string, IntakeColumn> ColumnOfField = new(StringComparer.Ordinal)
    {
        ["details.nickname"] = IntakeColumn.Name,
        ["details.otherSpecies"] = IntakeColumn.Species,
        ["details.speciesId"] = IntakeColumn.Species,
        ["details.acquiredOn"] = IntakeColumn.CameOn,
        ["details.acquiredFrom"] = IntakeColumn.CameFrom,
        ["details.moltsAtArrival"] = IntakeColumn.Stage,
        ["details.hatchedOn"] = IntakeColumn.HatchedOn,
        ["details.count"] = IntakeColumn.Count,
        ["details.tags"] = IntakeColumn.Tags,
    };

    private readonly List<IntakeProblem> problems = [];

    public IntakeRow Read(int line, Place? said, bool isFree, FreePlaces places, NamesGiven names)
    {
        var place = PlaceOf(said, isFree, places);
        var (profile, group, other) = SpeciesOf();
        var lastMolt = Date(IntakeColumn.LastMolt);
        var lastMeal = Date(IntakeColumn.LastMeal);
        var lastWater = Date(IntakeColumn.LastWater);
        var sizeMm = Length();
        if (group is null)
        {
            return new IntakeRow(line, place, null, sizeMm, lastMolt, lastMeal, lastWater, "", problems);
        }

        var details = DetailsOf(profile, group, other, (lastMolt, lastWater), names);
        foreach (var problem in DetailsCheck.Check(details, room))
        {
            Say(ColumnOfField.GetValueOrDefault(problem.Field), problem.Message);
        }

        var read = new IntakeRow(line, place, details, sizeMm, lastMolt, lastMeal, lastWater, "", problems);
        return read with { Says = Sentence(read, profile?.ScientificName ?? other!, group) };
    }

    private string Cell(IntakeColumn column) => IntakeReader.Cell(row, columns, column);

    private void Say(IntakeColumn column, string message, IReadOnlyList<string>? instead = null)
    {
        var at = columns
            .Select((c, i) => (c.Column, Index: i))
            .FirstOrDefault(c => c.Column == column && column != IntakeColumn.Ignored);
        problems.Add(
            new IntakeProblem(
                at.Column == column && column != IntakeColumn.Ignored ? at.Index : null,
                message,
                instead ?? []
            )
        );
    }

    private Place? PlaceOf(Place? said, bool isFree, FreePlaces places)
    {
        var text = Cell(IntakeColumn.Place);
        if (text.Length == 0)
        {
            return places.Next();
        }

        if (said is null)
        {
            Say(IntakeColumn.Place, $"Write {Place.Form}; empty takes the next free place.");
        }
        else if (!isFree)
        {
            Say(
                IntakeColumn.Place,
                $"{said.Code} is taken, or stands twice in the table; empty takes the next free place."
            );
        }

        return said;
    }

    private (SpeciesProfile? Profile, GroupRules? Group, string? Other) SpeciesOf()
    {
        var name = Cell(IntakeColumn.Species);
        if (name.Length == 0)
        {
            Say(IntakeColumn.Species, "Which species is it?");
            return (null, null, null);
        }

        var found = species.Find(name);
        if (found.Species is { } profile)
        {
            return (profile, room.Rules.Group(profile.Group), null);
        }

        if (found.Near.Count == 0 && groupOfOthers is { } id && room.Rules.Group(id) is { } group)
        {
            return (null, group, name);
        }

        Say(
            IntakeColumn.Species,
            found.Near.Count > 0
                ? $"Which one is “{name}”?"
                : $"“{name}” is not in the rulebook: say to which group such species belong.",
            found.Near
        );
        return (null, null, null);
    }

    private StockDetails DetailsOf(
        SpeciesProfile? profile,
        GroupRules group,
        string? other,
        (DateOnly? Molt, DateOnly? Water) last,
        NamesGiven names
    )
    {
        var (sex, ofRatio) = SexOf();
        var count = CountOf() ?? ofRatio;
        // Whoever was given water here was here by then.
        var came = Date(IntakeColumn.CameOn) ?? (last.Water < room.Tonight ? last.Water.Value : room.Tonight);
        var (molts, adult) = StageOf(group);
        var name = Cell(IntakeColumn.Name);
        var from = Cell(IntakeColumn.CameFrom);
        var tags = Cell(IntakeColumn.Tags)
            .Split([',', ';'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        return new StockDetails(
            group.IsColonial ? StockKind.Colony
                : count > 1 ? StockKind.Brood
                : StockKind.Specimen,
            group.Id,
            profile?.Id,
            other,
            name.Length > 0 ? name : names.Next(profile?.ScientificName ?? other!),
            sex,
            came,
            from.Length == 0 ? null : from,
            // The table tells the instar of now; a molt on record since it came is counted on top of that of its arrival.
            molts is { } behind
            && last.Molt >= came
                ? behind - 1
                : molts,
            adult,
            Date(IntakeColumn.HatchedOn),
            count,
            tags.Length == 0 ? null : tags
        );
    }

    private (Sex Sex, int Count) SexOf()
    {
        var text = Cell(IntakeColumn.Sex);
        if (text.Length == 0)
        {
            return (Sex.Unknown, 1);
        }

        if (IntakeWords.SexOf(text) is { } sex)
        {
            return sex;
        }

        Say(IntakeColumn.Sex, "Write f, m, or leave it empty.");
        return (Sex.Unknown, 1);
    }

    private int? CountOf()
    {
        var text = Cell(IntakeColumn.Count).TrimStart('×', 'x', ' ');
        if (text.Length == 0)
        {
            return null;
        }

        if (int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var count) && count > 0)
        {
            return count;
        }

        Say(IntakeColumn.Count, "Write a whole number.");
        return null;
    }

    private (int? Molts, bool Adult) StageOf(GroupRules group)
    {
        var text = Cell(IntakeColumn.Stage);
        if (text.Length == 0)
        {
            return (null, false);
        }

        if (IntakeWords.Stage(text, group) is { } stage)
        {
            return stage;
        }

        Say(IntakeColumn.Stage, $"Write an instar like {group.InstarMark}6, “adult”, or leave it empty.");
        return (null, false);
    }

    private double? Length()
    {
        var text = Cell(IntakeColumn.Size);
        if (text.Length == 0 || No.Contains(text))
        {
            return null;
        }

        if (IntakeWords.LengthMm(text, unit) is { } mm)
        {
            return mm;
        }

        Say(IntakeColumn.Size, "Write a length such as 6 cm, 45 mm or 2.5 in.");
        return null;
    }

    private DateOnly? Date(IntakeColumn column)
    {
        var text = Cell(column);
        if (text.Length == 0 || No.Contains(text.ToLowerInvariant()))
        {
            return null;
        }

        if (Yes.Contains(text.ToLowerInvariant()))
        {
            return room.Tonight;
        }

        if (dates.Read(text) is not { } date)
        {
            Say(column, "Write a date such as 20/11, 20 Nov or 2026-11-20, or leave it empty.");
            return null;
        }

        if (date > room.Tonight)
        {
            Say(column, $"{room.Wording.Date(date)} lies beyond tonight, {room.Wording.Date(room.Tonight)}.");
        }

        return date;
    }

    private string Sentence(IntakeRow read, string scientific, GroupRules group)
    {
        var d = read.Details!;
        var words = room.Wording;
        string?[] parts =
        [
            scientific,
            d.Sex == Sex.Unknown ? null
            : d.Sex == Sex.Female ? "female"
            : "male",
            d.Count > 1 ? string.Create(CultureInfo.InvariantCulture, $"{d.Count} together") : null,
            d.MatureAtArrival ? "adult" : null,
            d.MoltsAtArrival is { } molts
                ? string.Create(
                    CultureInfo.InvariantCulture,
                    $"{group.InstarMark}{molts + group.InstarAtHatching + (read.LastMolt >= d.AcquiredOn ? 1 : 0)}"
                )
                : null,
            read.SizeMm is { } mm ? words.Length(mm) : null,
            read.LastMolt is { } molt ? $"molted {words.Date(molt)}" : null,
            read.LastMeal is { } meal ? $"fed {words.Date(meal)}" : null,
            read.LastWater is { } water ? $"watered {words.Date(water)}" : null,
            d.AcquiredOn == room.Tonight ? null : $"came {words.Date(d.AcquiredOn)}",
        ];
        return string.Join(", ", parts.Where(p => p is not null));
    }
}
