using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Rooms;

/// <summary>One animal or brood together with the rules that hold for it.</summary>
/// <param name="Standing">Its present state.</param>
/// <param name="Group">Rules of its group.</param>
/// <param name="Profile">Its species, or what the group's species have in common for another species.</param>
/// <param name="Room">The room.</param>
public sealed record Subject(Standing Standing, GroupRules Group, SpeciesProfile Profile, Room Room)
{
    /// <summary>Looks up the rules for a standing.</summary>
    /// <exception cref="InvalidOperationException">The group is not in the rulebook; entries are checked for that before they are written.</exception>
    public static Subject Of(Standing standing, Room room)
    {
        var rules = room.Rules.For(standing.Details.Species, standing.StockId);
        return new Subject(standing, rules.Group, rules.Profile, room);
    }

    /// <summary>Scientific name as shown.</summary>
    public string SpeciesName => Standing.Details.OtherSpecies ?? Profile.ScientificName;

    /// <summary>
    /// The waits under way other than the one for a molt, the oldest first. A lone queen founds from the day she came,
    /// though nobody wrote it down: she is never treated as a colony. What its group does not know is no wait: the group may have
    /// been mended since.
    /// </summary>
    public IReadOnlyList<VigilEvent> Waits
    {
        get
        {
            // Paired as a female and told to be a male since, he waits for nothing.
            List<VigilEvent> open =
            [
                .. Standing.Vigils.Open.Where(w =>
                    Group.Knows(w.Vigil) && !(w.Vigil == VigilKind.EggCase && Standing.Details.Sex == Sex.Male)
                ),
            ];
            if (open.Count == 0 && IsQueenAlone)
            {
                var came = Occurrence.At(Standing.ArrivedAt);
                open.Add(new VigilEvent(Standing.StockId, VigilKind.FirstWorkers, came, null, null));
            }

            return open;
        }
    }

    /// <summary>The waits under way that are those of all; of many a few may wait while the rest go on.</summary>
    public IEnumerable<VigilEvent> WaitsOfAll => Waits.Where(w => w.Count is null);

    /// <summary>Whether all of it waits for something of a kind.</summary>
    public bool AllWaitFor(VigilKind vigil) => WaitsOfAll.Any(w => w.Vigil == vigil);

    /// <summary>Whether it is a queen without workers.</summary>
    public bool IsQueenAlone =>
        Group.Feeding.Diet == Diet.SugarAndProtein
        && Standing.Details is { Count: 1, Sex: not Sex.Male, Kind: not StockKind.Tank }
        && Standing.Vigils.All.All(v => v is not { Vigil: VigilKind.FirstWorkers, Ended: not null });

    /// <summary>The shared tank in which it lives; none where its enclosure is its own.</summary>
    public Standing? Tank => Standing.TankId is null ? null : Room.Tanks.TankOf(Standing);

    /// <summary>Those that live in this tank; none of anything else.</summary>
    public IReadOnlyList<Standing> Inmates => Standing.IsTank ? Room.Tanks.InmatesOf(Standing.StockId) : [];

    /// <summary>With whom it eats and drinks, when that is not seen to by itself here: its tank, or the keeper to whom it is lent.</summary>
    public string? FedWith => Standing.Loan?.To ?? Tank?.Details.Nickname;

    /// <summary>Where it stands: where its tank does, if it shares one.</summary>
    public Place Place => (Tank ?? Standing).OwnPlace;

    /// <summary>What it lives in, once that was measured.</summary>
    public HouseEvent? House => (Tank ?? Standing).House;

    /// <summary>Where it stood, in order; of the time in a tank, where the tank stood.</summary>
    public IReadOnlyList<Stay> Stays
    {
        get
        {
            if (Standing.Stays.All(s => s.TankId is null))
            {
                return Standing.Stays;
            }

            var ends = Standing.Stays.Skip(1).Select(s => s.From).Append(DateTimeOffset.MaxValue);
            return [.. Standing.Stays.Zip(ends).SelectMany(x => StaysOf(x.First, x.Second))];
        }
    }

    private IEnumerable<Stay> StaysOf(Stay stay, DateTimeOffset until)
    {
        if (stay.TankId is not { } id || Room.Tanks.Find(id) is not { } tank)
        {
            return [stay];
        }

        var before = tank.Stays.LastOrDefault(t => t.From <= stay.From) ?? tank.Stays[0];
        return tank
            .Stays.Where(t => t.From > stay.From && t.From < until)
            .Prepend(before with { From = stay.From })
            .Select(t => t with { TankId = id });
    }

    /// <summary>Whether it is in the cold now.</summary>
    public bool IsChilled => Standing.Vigils.Chill is { To: null };

    /// <summary>Days an adult of its species and sex lives.</summary>
    public Rule<Rulebook.Range> AdultLife =>
        (Profile.AdultLifeDays ?? Group.Growth.AdultLifeDays).Of(Standing.Details.Sex);

    /// <summary>Whether it is a full-grown larva, whose next molt makes the pupa.</summary>
    public bool PupatesNext(Stage stage) =>
        Group.Has(Stage.Pupa) && stage == Stage.SubAdult && !Standing.IsMatureByRecord;

    /// <summary>Whether it is a brood rather than one animal.</summary>
    public bool IsBrood => Standing.Details.Kind == StockKind.Brood;

    /// <summary>Animals to be fed: of a brood, those that have not left their last meals; of a tank, those that wait for nothing.</summary>
    public int Mouths =>
        IsBrood ? Math.Max(1, Standing.Details.Count - RestingVials.Count)
        : Standing.IsTank ? Math.Max(1, Inmates.Sum(i => i.Vigils.Open.Any(w => w.Count is null) ? 0 : i.Details.Count))
        : 1;

    /// <summary>Vials of a brood that left so many meals in a row that they are left in peace for now.</summary>
    public IReadOnlyList<VialEvent> RestingVials =>
        [.. Standing.Feeding.Vials.Where(v => v.Times >= Room.Rules.Room.Feeding.VialRestsAfter.Value)];

    /// <summary>Whether it is spoken of as many: a brood or a colony.</summary>
    public bool IsMany => Standing.Details.Kind != StockKind.Specimen;

    /// <summary>"she", "he", "it" or "they", for sentences.</summary>
    public string It =>
        IsMany ? "they"
        : Standing.Details.Sex == Sex.Female ? "she"
        : Standing.Details.Sex == Sex.Male ? "he"
        : "it";

    /// <summary>"her", "him", "it" or "them".</summary>
    public string Them =>
        IsMany ? "them"
        : Standing.Details.Sex == Sex.Female ? "her"
        : Standing.Details.Sex == Sex.Male ? "him"
        : "it";

    /// <summary>"her", "his", "its" or "their".</summary>
    public string Its =>
        IsMany ? "their"
        : Standing.Details.Sex == Sex.Female ? "her"
        : Standing.Details.Sex == Sex.Male ? "his"
        : "its";

    /// <summary>The night of an instant.</summary>
    public DateOnly Night(DateTimeOffset instant) => Room.Clock.NightOf(instant);

    /// <summary>Nights from an instant to tonight.</summary>
    public int NightsSince(DateTimeOffset instant) => Room.Tonight.DayNumber - Night(instant).DayNumber;

    /// <summary>Instar number now, when known.</summary>
    public int? Instar => Standing.MoltsInLife is { } molts ? molts + Group.InstarAtHatching : null;

    /// <summary>Instar as written, e.g. "i6", or <see langword="null"/>.</summary>
    public string? InstarText => Instar is { } instar ? $"{Group.InstarMark}{instar}" : null;
}
