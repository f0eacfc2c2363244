using System.Text.Json.Serialization;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>What happened in the larder, one record per kind; only ever added to.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(FoodCounted), "foodCounted")]
[JsonDerivedType(typeof(FoodGained), "foodGained")]
[JsonDerivedType(typeof(FoodLost), "foodLost")]
[JsonDerivedType(typeof(CultureStarted), "cultureStarted")]
[JsonDerivedType(typeof(CultureSplit), "cultureSplit")]
[JsonDerivedType(typeof(CultureChilled), "cultureChilled")]
[JsonDerivedType(typeof(MitesSeen), "mitesSeen")]
[JsonDerivedType(typeof(CultureEnded), "cultureEnded")]
[JsonDerivedType(typeof(OrderPlaced), "orderPlaced")]
[JsonDerivedType(typeof(OrderArrived), "orderArrived")]
[JsonDerivedType(typeof(OrderCancelled), "orderCancelled")]
[JsonDerivedType(typeof(GoodsCounted), "goodsCounted")]
[JsonDerivedType(typeof(PlantAdded), "plantAdded")]
[JsonDerivedType(typeof(PlantSeen), "plantSeen")]
[JsonDerivedType(typeof(PlantCut), "plantCut")]
[JsonDerivedType(typeof(PlantWatered), "plantWatered")]
[JsonDerivedType(typeof(PlantEnded), "plantEnded")]
[JsonDerivedType(typeof(LarderWithdrawn), "larderWithdrawn")]
public abstract record LarderAct;

/// <summary>A food was counted: so many are there.</summary>
public sealed record FoodCounted(FoodKey Food, int Quantity) : LarderAct;

/// <summary>More came, other than by an order on record.</summary>
public sealed record FoodGained(FoodKey Food, int Quantity) : LarderAct;

/// <summary>Some died, escaped or were thrown away.</summary>
public sealed record FoodLost(FoodKey Food, int Quantity) : LarderAct;

/// <summary>A culture was started, or a pot of pupae set out to hatch.</summary>
/// <param name="CultureId">Id made by the client.</param>
/// <param name="FeederId">What it gives.</param>
/// <param name="Pots">Pots, 1–200.</param>
/// <param name="AgeDays">Days it was along already.</param>
public sealed record CultureStarted(Guid CultureId, string FeederId, int Pots, double AgeDays = 0) : LarderAct;

/// <summary>Some pots of a culture were parted from it, mostly to put one half into the cold.</summary>
public sealed record CultureSplit(Guid CultureId, Guid NewCultureId, int Pots, bool IntoCold) : LarderAct;

/// <summary>A culture was put into the cold, or taken out of it.</summary>
public sealed record CultureChilled(Guid CultureId, bool IntoCold) : LarderAct;

/// <summary>Mites were seen in a culture.</summary>
public sealed record MitesSeen(Guid CultureId) : LarderAct;

/// <summary>Why a culture ended.</summary>
public enum CultureEnd
{
    /// <summary>Nothing comes any more.</summary>
    Spent,

    /// <summary>Moldy.</summary>
    Mold,

    /// <summary>Mites.</summary>
    Mites,

    /// <summary>It never gave anything.</summary>
    Failed,
}

/// <summary>A culture was thrown away.</summary>
public sealed record CultureEnded(Guid CultureId, CultureEnd End) : LarderAct;

/// <summary>One line of an order: animals of a food, pots of a culture, or goods.</summary>
/// <param name="ItemId">Feeder or kind of goods.</param>
/// <param name="SizeClassId">Size class of a feeder; empty for goods.</param>
/// <param name="Quantity">Animals, pots, or units of goods, 1–1,000,000.</param>
public sealed record OrderLine(string ItemId, string SizeClassId, int Quantity);

/// <summary>Something was ordered.</summary>
/// <param name="OrderId">Id made by the client.</param>
/// <param name="Lines">What.</param>
/// <param name="PromisedOn">Day on which it was promised.</param>
public sealed record OrderPlaced(Guid OrderId, IReadOnlyList<OrderLine> Lines, DateOnly PromisedOn) : LarderAct;

/// <summary>An order arrived; what is short of it is not coming.</summary>
public sealed record OrderArrived(Guid OrderId, IReadOnlyList<OrderLine> Lines) : LarderAct;

/// <summary>An order was given up.</summary>
public sealed record OrderCancelled(Guid OrderId) : LarderAct;

/// <summary>Goods were counted.</summary>
public sealed record GoodsCounted(string GoodsId, double Quantity) : LarderAct;

/// <summary>An entry of the larder was a mistake.</summary>
public sealed record LarderWithdrawn(Guid EntryId) : LarderAct;

/// <summary>One line of the larder's journal.</summary>
/// <param name="Id">Id made by the client.</param>
/// <param name="Sequence">Order of writing.</param>
/// <param name="At">When it happened.</param>
/// <param name="WrittenBy">Who wrote it.</param>
/// <param name="Act">What happened.</param>
public sealed record LarderEntry(Guid Id, long Sequence, DateTimeOffset At, string WrittenBy, LarderAct Act);
