using System.Collections.Immutable;
using System.Text.Json.Serialization.Metadata;
using Husbandry.Colonies;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Plants;
using Husbandry.Rooms;
using Husbandry.Tanks;
using Husbandry.Trays;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace Husbandry.Records;

/// <summary>Every kind of entry there is, and how entries are told apart in JSON.</summary>
public static class EntryKinds
{
    /// <summary>The property by which stored entries say their kind.</summary>
    public const string Discriminator = "kind";

    /// <summary>All kinds; the order is that of the published types.</summary>
    public static ImmutableArray<EntryDefinition> All { get; } =
    [
        AcquiredEntry.It,
        DetailsChangedEntry.It,
        OfferedEntry.It,
        LeftoversRemovedEntry.It,
        WateredEntry.It,
        TubeSeenEntry.It,
        ConditionSeenEntry.It,
        LookedEntry.It,
        SignSeenEntry.It,
        MoltedEntry.It,
        FangsCheckedEntry.It,
        MeasuredEntry.It,
        MovedEntry.It,
        CountedEntry.It,
        NotedEntry.It,
        PutOffEntry.It,
        DepartedEntry.It,
        BeganEntry.It,
        EndedEntry.It,
        ChilledEntry.It,
        LimbNotedEntry.It,
        SexSeenEntry.It,
        PicturedEntry.It,
        HandledEntry.It,
        HousedEntry.It,
        WithdrawnEntry.It,
        GainedEntry.It,
        PairedEntry.It,
        PlacedEntry.It,
        PartedEntry.It,
        GaveBirthEntry.It,
        LentEntry.It,
        ReturnedEntry.It,
        TendedEntry.It,
        PairingSeenEntry.It,
        PairingEndedEntry.It,
        WebLookedEntry.It,
        CaseTakenEntry.It,
        SecondLookEntry.It,
        DividedEntry.It,
        VialsMoltedEntry.It,
        GradedEntry.It,
        PromisedEntry.It,
        CappedEntry.It,
        HostChosenEntry.It,
        BoxedEntry.It,
        QueenCaughtEntry.It,
        PeekedEntry.It,
        NestMovedEntry.It,
        TubLookedEntry.It,
        MarkedEntry.It,
        RecaughtEntry.It,
        ScoopedEntry.It,
        LookedRoundEntry.It,
        ShellTakenEntry.It,
        ShellsCountedEntry.It,
        MoltMarksEntry.It,
        BurialGuardedEntry.It,
        MatingSeenEntry.It,
        SickSeenEntry.It,
        WarmUpPlannedEntry.It,
        CalciumLookedEntry.It,
    ];

    /// <summary>
    /// Tells the serialiser of acts which kinds there are: an unknown one is refused. A modifier of its resolver, because the
    /// journal itself does not know the features to which its entries belong.
    /// </summary>
    public static void Describe(JsonTypeInfo type)
    {
        if (type?.Type != typeof(Act))
        {
            return;
        }

        type.PolymorphismOptions = new JsonPolymorphismOptions { TypeDiscriminatorPropertyName = Discriminator };
        foreach (var kind in All)
        {
            type.PolymorphismOptions.DerivedTypes.Add(new JsonDerivedType(kind.ActType, kind.Id));
        }
    }
}
