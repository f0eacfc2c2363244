using System.ComponentModel;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Husbandry.Chores;
using Husbandry.Climate;
using Husbandry.Contacts;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Ledger;

/// <summary>A whole room in one JSON document: settings, stock, journal, climate, own species and changed rules.</summary>
[Description(
    "A whole room of Hushed Lantern: settings, stock, journal with its measures, climate, own species, changed rules."
)]
public sealed record RoomFile(
    [property: Description("Always \"hushed-lantern-room\".")] string Format,
    [property: Description("Version of this form: 1.")] int Version,
    [property: Description("Settings of the room; left out, those of the room loaded into stay.")] RoomSettings? Room,
    [property: Description("Every animal, brood and colony that is or was in the room.")]
        IReadOnlyList<RoomFileStock> Stock,
    [property: Description("Everything that happened to them, in any order.")] IReadOnlyList<RoomFileEntry> Journal,
    [property: Description("Temperatures and humidities read in the room.")]
        IReadOnlyList<ClimateReading>? Climate = null,
    [property: Description("Species of the keeper's own that the rulebook does not have.")]
        IReadOnlyList<SpeciesProfile>? Species = null,
    [property: Description("Rules that the keeper has changed.")] IReadOnlyList<RuleOverride>? Overrides = null,
    [property: Description("Pictures that the journal speaks of.")] IReadOnlyList<RoomFilePicture>? Pictures = null,
    [property: Description("Feeders of the keeper's own.")] IReadOnlyList<FeederRules>? Feeders = null,
    [property: Description("The journal of the larder: food, cultures, orders, goods.")]
        IReadOnlyList<LarderEntry>? Larder = null,
    [property: Description("Racks and shelves, and the order in which they are walked.")] RoomLayout? Layout = null,
    [property: Description("The journal of chores and gear.")] IReadOnlyList<ChoreEntry>? Chores = null,
    [property: Description("The journal of the people outside with whom the keeper deals.")]
        IReadOnlyList<ContactEntry>? Contacts = null,
    [property: Description("The journal of the room's air: sensors, answers to alarms, programmes.")]
        IReadOnlyList<ClimateEntry>? ClimateNotes = null,
    [property: Description("Days of sensors, as they said it; hours and minutes are in air.csv of an archive.")]
        IReadOnlyList<RoomFileSensorDay>? SensorDays = null
)
{
    /// <summary>What <see cref="Format"/> must say.</summary>
    public const string FormatName = "hushed-lantern-room";

    /// <summary>Version written.</summary>
    public const int CurrentVersion = 1;

    /// <summary>How room files are written.</summary>
    public static JsonSerializerOptions Json { get; } =
        new(LedgerJson.Options)
        {
            WriteIndented = true,
            RespectNullableAnnotations = true,
            RespectRequiredConstructorParameters = true,
            Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
            TypeInfoResolver = new DefaultJsonTypeInfoResolver
            {
                Modifiers = { EntryKinds.Describe, LetNullsBeLeftOut, InputBounds.Guard },
            },
        };

    private static void LetNullsBeLeftOut(JsonTypeInfo type)
    {
        foreach (var property in type.Properties.Where(p => p is { IsRequired: true, IsSetNullable: true }))
        {
            property.IsRequired = false;
        }
    }
}

/// <summary>A picture.</summary>
public sealed record RoomFilePicture(
    [property: Description("Id of the picture; kept.")] Guid Id,
    [property: Description("The animal that it is of.")] Guid StockId,
    [property: Description("When it was added.")] DateTimeOffset AddedAt,
    [property: Description("Width, pixels.")] int Width,
    [property: Description("Height, pixels.")] int Height,
    [property: Description("The JPEG in base 64; in an archive it lies beside, as pictures/ID.jpg.")]
        byte[]? Jpeg = null
)
{
    // Far more than any camera gives.
    private const int MostPixels = 20_000;

    /// <summary>What is wrong with it; none when it can be.</summary>
    /// <param name="isFirst">Whether its id is given for the first time.</param>
    /// <param name="isKnown">Whether its animal is in the file.</param>
    internal string? Problem(bool isFirst, bool isKnown) =>
        !isFirst ? "This id is given twice."
        : !isKnown ? "No such animal in stock."
        : Width is < 1 or > MostPixels || Height is < 1 or > MostPixels
            ? $"Width and height must lie between 1 and {MostPixels} pixels."
        : null;
}

/// <summary>One animal, brood or colony and how it came.</summary>
public sealed record RoomFileStock(
    [property: Description("Id of the animal; kept.")] Guid Id,
    [property: Description("Rulebook group, e.g. tarantula.")] string Group,
    [property: Description("Day it came.")] DateOnly AcquiredOn,
    [property: Description("Rulebook species, or left out when otherSpecies names one.")] string? SpeciesId = null,
    [property: Description("Scientific name of a species that the rulebook does not have.")]
        string? OtherSpecies = null,
    [property: Description("Where it stood when it came, like A1·03; left out, the next free place in rack Z.")]
        Place? Place = null,
    [property: Description("Name in the room; left out, made from the id.")] string? Nickname = null,
    [property: Description("specimen, brood or colony.")] StockKind Kind = StockKind.Specimen,
    [property: Description("Sex as known when it came.")] Sex Sex = Sex.Unknown,
    [property: Description("Where it came from.")] string? AcquiredFrom = null,
    [property: Description("Molts behind it when it came, if known.")] int? MoltsAtArrival = null,
    [property: Description("Whether it came as an adult.")] bool MatureAtArrival = false,
    [property: Description("Day it hatched, if known.")] DateOnly? HatchedOn = null,
    [property: Description("Number of animals.")] int Count = 1,
    [property: Description("Id of the entry by which it came; left out, made from the id.")] Guid? EntryId = null,
    [property: Description("Instant at which it came; left out, the start of that night.")]
        DateTimeOffset? AcquiredAt = null,
    [property: Description("When its coming was written down; left out, when it came.")]
        DateTimeOffset? WrittenAt = null,
    [property: Description("Who wrote it down.")] string? WrittenBy = null,
    [property: Description("The keeper's own words for finding it.")] IReadOnlyList<string>? Tags = null,
    [property: Description("Its mother, where she is or was in the room.")] Guid? MotherId = null,
    [property: Description("Its father, likewise.")] Guid? FatherId = null,
    [property: Description("What its keeper knows of a species that the rulebook does not have.")]
        KnownOfSpecies? Known = null,
    [property: Description("The line or locality that it belongs to; lines are not mixed.")] string? Line = null,
    [property: Description("Whose it is, when it is only here for a time.")] Borrowed? Borrowed = null,
    [property: Description("Where it was found, when it was taken from the wild.")] WildFind? Wild = null
)
{
    /// <summary>The line of an animal from the entry by which it came.</summary>
    public static RoomFileStock Of(Guid id, Acquired came, Guid entryId, DateTimeOffset at)
    {
        var details = came.Details;
        return new RoomFileStock(
            id,
            details.Group,
            details.AcquiredOn,
            details.SpeciesId,
            details.OtherSpecies,
            came.Place,
            details.Nickname,
            details.Kind,
            details.Sex,
            details.AcquiredFrom,
            details.MoltsAtArrival,
            details.MatureAtArrival,
            details.HatchedOn,
            details.Count,
            entryId,
            at,
            Tags: details.Tags,
            MotherId: details.MotherId,
            FatherId: details.FatherId,
            Known: details.Known,
            Line: details.Line,
            Borrowed: details.Borrowed,
            Wild: details.Wild
        );
    }

    /// <summary>The details as the journal keeps them.</summary>
    public StockDetails Details() =>
        new(
            Kind,
            Group,
            SpeciesId,
            OtherSpecies,
            Nickname ?? $"No. {Id.ToString()[..4]}",
            Sex,
            AcquiredOn,
            AcquiredFrom,
            MoltsAtArrival,
            MatureAtArrival,
            HatchedOn,
            Count,
            Tags,
            MotherId,
            FatherId,
            Known,
            Line,
            Borrowed,
            Wild
        );
}

/// <summary>One line of the journal.</summary>
public sealed record RoomFileEntry(
    [property: Description("Id of the entry; kept, so that loading twice adds nothing.")] Guid Id,
    [property: Description("The animal.")] Guid StockId,
    [property: Description("What happened: an object with a kind and that kind's fields.")] Act Act,
    [property: Description("When it happened, or the latest that it can have been. Give at or night.")]
        DateTimeOffset? At = null,
    [property: Description("The night on which it happened or was found; its evening is taken.")]
        DateOnly? Night = null,
    [property: Description("The earliest that it can have been, when it was only found later.")]
        DateTimeOffset? From = null,
    [property: Description(
        "When it was written down; left out, when it happened. Forecasts of the backtest do not see it before."
    )]
        DateTimeOffset? WrittenAt = null,
    [property: Description("Who wrote it.")] string? WrittenBy = null,
    [property: Description("The entry that this one corrects.")] Guid? Supersedes = null,
    [property: Description("What the hush table said against it when it was written.")] string? Against = null
);

/// <summary>One day of a sensor, uncorrected.</summary>
public sealed record RoomFileSensorDay(
    [property: Description("The sensor, as the journal of the room's air calls it.")] Guid SensorId,
    [property: Description("The UTC day.")] DateOnly Day,
    [property: Description("Readings on it, 1 to 100,000.")] int Count,
    [property: Description("Lowest temperature, −20 to 60 °C.")] double MinC,
    [property: Description("Mean temperature.")] double MeanC,
    [property: Description("Highest temperature.")] double MaxC,
    [property: Description("Lowest humidity, 0 to 100 per cent.")] double? MinHumidity = null,
    [property: Description("Mean humidity.")] double? MeanHumidity = null,
    [property: Description("Highest humidity.")] double? MaxHumidity = null
)
{
    // A mean of many equal readings is off by its last digits.
    private const double Rounding = 1e-6;
    private const int MostReadings = 100_000;
    private const int FirstYear = 2000;
    private const int LastYear = 2200;

    /// <summary>What is wrong with it; none when it can be.</summary>
    internal string? Problem(ClimateBook book) =>
        book.Sensor(SensorId) is null ? "No such sensor in climateNotes."
        : Day.Year is < FirstYear or > LastYear ? $"The day must lie between {FirstYear} and {LastYear}."
        : Count is < 1 or > MostReadings ? $"Must have 1 to {MostReadings} readings."
        : !(MinC <= MeanC + Rounding && MeanC <= MaxC + Rounding) ? "The mean must lie between lowest and highest."
        : new[] { MinC, MaxC }
            .Select(c => new ClimateReading(DateTimeOffset.UnixEpoch, c, MinHumidity).Problem)
            .Concat([new ClimateReading(DateTimeOffset.UnixEpoch, MeanC, MaxHumidity).Problem])
            .FirstOrDefault(p => p is not null)
            ?? (
                MeanHumidity < MinHumidity || MeanHumidity > MaxHumidity
                    ? "The mean must lie between lowest and highest."
                    : null
            );
}
