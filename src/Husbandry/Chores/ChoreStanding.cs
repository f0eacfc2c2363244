namespace Husbandry.Chores;

/// <summary>A chore as it stands.</summary>
/// <param name="Id">Which.</param>
/// <param name="Plan">The plan.</param>
/// <param name="LastDone">Night on which it was last done.</param>
/// <param name="LastEntryId">Entry by which it was last done, so that it can be taken back.</param>
/// <param name="LastNote">What was found then.</param>
/// <param name="DoneBy">Who did it.</param>
/// <param name="DoneAt">When that was written.</param>
/// <param name="PutOffUntil">Night until which it was put off.</param>
/// <param name="PutOffReason">Why.</param>
public sealed record Chore(
    Guid Id,
    ChorePlan Plan,
    DateOnly? LastDone,
    Guid? LastEntryId,
    string LastNote,
    string DoneBy,
    DateTimeOffset? DoneAt,
    DateOnly? PutOffUntil,
    string PutOffReason
)
{
    /// <summary>Night on which it is next due; none when it is over.</summary>
    public DateOnly? Due =>
        Plan.DueAfter(LastDone) is not { } due ? null
        : PutOffUntil is { } until && until > due ? until
        : due;
}

/// <summary>A booking of gear.</summary>
public sealed record GearBooking(Guid Id, DateOnly From, DateOnly To, string For);

/// <summary>Gear that several projects share, with its bookings in order.</summary>
public sealed record Gear(Guid Id, string Name, IReadOnlyList<GearBooking> Bookings);

/// <summary>All chores and gear: a fold over their journal.</summary>
/// <param name="Chores">Chores, by title.</param>
/// <param name="Gear">Gear, by name.</param>
public sealed record ChoreStanding(IReadOnlyList<Chore> Chores, IReadOnlyList<Gear> Gear)
{
    /// <summary>Nothing planned.</summary>
    public static ChoreStanding Empty { get; } = new([], []);

    /// <summary>Folds the journal; entries that were withdrawn are left out.</summary>
    public static ChoreStanding Fold(IEnumerable<ChoreEntry> entries)
    {
        var all = entries.OrderBy(e => e.Sequence).ToList();
        var gone = all.Select(e => (e.Act as ChoreWithdrawn)?.EntryId).OfType<Guid>().ToHashSet();
        return all.Where(e => !gone.Contains(e.Id)).Aggregate(Empty, (standing, entry) => standing.After(entry));
    }

    /// <summary>Chores due by a night, the longest due first.</summary>
    public IReadOnlyList<Chore> DueBy(DateOnly night) =>
        [.. Chores.Where(c => c.Due <= night).OrderBy(c => c.Due).ThenBy(c => c.Plan.Title, StringComparer.Ordinal)];

    /// <summary>The state after one more entry.</summary>
    public ChoreStanding After(ChoreEntry entry) =>
        entry.Act switch
        {
            ChorePlanned p => this with { Chores = Planned(p) },
            ChoreDone d => Changed(
                d.ChoreId,
                c =>
                    c.LastDone > d.Night
                        ? c
                        : c with
                        {
                            LastDone = d.Night,
                            LastEntryId = entry.Id,
                            LastNote = d.Note,
                            DoneBy = entry.WrittenBy,
                            DoneAt = entry.At,
                            PutOffUntil = null,
                            PutOffReason = "",
                        }
            ),
            ChorePutOff p => Changed(p.ChoreId, c => c with { PutOffUntil = p.UntilNight, PutOffReason = p.Reason }),
            ChoreDropped d => this with { Chores = [.. Chores.Where(c => c.Id != d.ChoreId)] },
            GearAdded g => this with
            {
                Gear = [.. Gear.Append(new Gear(g.GearId, g.Name, [])).OrderBy(x => x.Name, StringComparer.Ordinal)],
            },
            GearDropped g => this with { Gear = [.. Gear.Where(x => x.Id != g.GearId)] },
            GearBooked b => Booked(
                b.GearId,
                list => [.. list.Append(new GearBooking(b.BookingId, b.From, b.To, b.For)).OrderBy(x => x.From)]
            ),
            BookingDropped b => this with
            {
                Gear = [.. Gear.Select(g => g with { Bookings = [.. g.Bookings.Where(x => x.Id != b.BookingId)] })],
            },
            ChoreWithdrawn => this,
            _ => throw new ArgumentOutOfRangeException(nameof(entry), entry.Act, "No fold for such an entry."),
        };

    private List<Chore> Planned(ChorePlanned p)
    {
        var former = Chores.FirstOrDefault(c => c.Id == p.ChoreId);
        var next = former is null
            ? new Chore(p.ChoreId, p.Plan, null, null, "", "", null, null, "")
            : former with
            {
                Plan = p.Plan,
            };
        return
        [
            .. Chores
                .Where(c => c.Id != p.ChoreId)
                .Append(next)
                .OrderBy(c => c.Plan.Title, StringComparer.Ordinal)
                .ThenBy(c => c.Id),
        ];
    }

    private ChoreStanding Changed(Guid id, Func<Chore, Chore> change) =>
        this with
        {
            Chores = [.. Chores.Select(c => c.Id == id ? change(c) : c)],
        };

    private ChoreStanding Booked(Guid gear, Func<IReadOnlyList<GearBooking>, IReadOnlyList<GearBooking>> change) =>
        this with
        {
            Gear = [.. Gear.Select(g => g.Id == gear ? g with { Bookings = change(g.Bookings) } : g)],
        };
}
