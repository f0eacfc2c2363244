using System.Text.Json;
using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Rules as they hold in this room: the shipped rulebook, the keeper's own species, and changed rules.</summary>
public sealed class RulebookStore(LanternDb db, RoomCache cache, ClimateStore air, SensorStore sensors)
{
    /// <summary>The rules now.</summary>
    public async Task<RuleSet> ReadAsync(CancellationToken cancel)
    {
        if (cache.Rules is { } cached && !db.ChangeTracker.HasChanges() && db.Database.CurrentTransaction is null)
        {
            return cached;
        }

        var rules = (await WithSpeciesAsync([], cancel)).Rules!.With(await OverridesAsync(cancel)).Rules!;
        if (db.Database.CurrentTransaction is null)
        {
            cache.Rules = rules;
        }

        return rules;
    }

    /// <summary>Changed rules that hold now.</summary>
    public async Task<IReadOnlyList<RuleOverride>> OverridesAsync(CancellationToken cancel)
    {
        var rows = await db
            .Overrides.AsNoTracking()
            .Where(o => o.EndedTicks == null)
            .OrderBy(o => o.SetTicks)
            .ToListAsync(cancel);
        return [.. rows.Select(r => LedgerJson.Read<RuleOverride>(r.Override))];
    }

    /// <summary>The rules as they were at any time: changes keep when they were made and when they were given up.</summary>
    public async Task<RuleHistory> HistoryAsync(CancellationToken cancel)
    {
        var own = (await WithSpeciesAsync([], cancel)).Rules!;
        var rows = await db.Overrides.AsNoTracking().OrderBy(o => o.SetTicks).ToListAsync(cancel);
        var instants = rows.SelectMany(r => new[] { r.SetTicks, r.EndedTicks ?? r.SetTicks }).Distinct().Order();
        var changes = new List<RulesSince>();
        foreach (var ticks in instants)
        {
            var held = rows.Where(r => r.SetTicks <= ticks && (r.EndedTicks ?? long.MaxValue) > ticks)
                .Select(r => LedgerJson.Read<RuleOverride>(r.Override));
            // What was sound when it was set may not be beside the rules of a later version: then it is left out.
            if (own.With([.. held]).Rules is { } rules)
            {
                changes.Add(new RulesSince(new DateTimeOffset(ticks, TimeSpan.Zero), rules));
            }
        }

        return new RuleHistory(own, changes);
    }

    /// <summary>The keeper's own species.</summary>
    public async Task<IReadOnlyList<SpeciesProfile>> SpeciesAsync(CancellationToken cancel)
    {
        var rows = await db.Species.AsNoTracking().OrderBy(s => s.Id).ToListAsync(cancel);
        return [.. rows.Select(r => LedgerJson.Read<SpeciesProfile>(r.Profile))];
    }

    /// <summary>Sets a rule; one that was set for the same rule and reach ends.</summary>
    /// <returns>What is wrong with it; then nothing was written.</returns>
    public async Task<WriteResult> SetAsync(RuleOverride change, DateTimeOffset now, CancellationToken cancel)
    {
        var text = JsonSerializer.Serialize(change, LedgerJson.Options);
        if (
            await db.Overrides.Where(o => o.Id == change.Id).Select(o => o.Override).FirstOrDefaultAsync(cancel) is
            { } former
        )
        {
            // As it would be written today: a later version may write more of it.
            var known = JsonSerializer.Serialize(LedgerJson.Read<RuleOverride>(former), LedgerJson.Options);
            return WriteResult.Again(known, text);
        }

        var standing = await OverridesAsync(cancel);
        var others = standing.Where(o => !SameReach(o, change)).ToList();
        var own = await WithSpeciesAsync([], cancel);
        var reading = own.Rules!.With([.. others, change]);
        if (reading.Rules is null)
        {
            return WriteResult.Refuse(reading.Problems);
        }

        await EndAsync(standing.Where(o => SameReach(o, change)).Select(o => o.Id), now, cancel);
        db.Overrides.Add(
            new OverrideRow
            {
                Id = change.Id,
                Override = text,
                SetTicks = now.UtcTicks,
            }
        );
        await db.SaveChangesAsync(cancel);
        cache.Rules = null;
        return WriteResult.Written;
    }

    /// <summary>Gives a changed rule up, so that the rulebook's holds again.</summary>
    /// <returns>False when there is no such change.</returns>
    public async Task<bool> GiveUpAsync(Guid id, DateTimeOffset now, CancellationToken cancel)
    {
        var ended = await EndAsync([id], now, cancel);
        await db.SaveChangesAsync(cancel);
        cache.Rules = null;
        return ended > 0;
    }

    /// <summary>Adds species of the keeper's own.</summary>
    /// <param name="profiles">The profiles.</param>
    /// <param name="replace">Whether one of the same id may be replaced; shipped ones never are.</param>
    /// <param name="cancel">Cancels.</param>
    /// <returns>What is wrong; then nothing was written.</returns>
    public async Task<IReadOnlyList<Problem>> AddSpeciesAsync(
        IReadOnlyList<SpeciesProfile> profiles,
        bool replace,
        CancellationToken cancel
    )
    {
        if (profiles.Count == 0)
        {
            return [];
        }

        foreach (var profile in profiles)
        {
            if (RuleSet.Shipped.Profile(profile.Id) is not null)
            {
                return
                [
                    new Problem("id", $"{profile.Id} is in the shipped rulebook; change single rules of it instead."),
                ];
            }

            if (!replace && await db.Species.AnyAsync(s => s.Id == profile.Id, cancel))
            {
                return [new Problem("id", $"{profile.Id} is there already.")];
            }
        }

        var reading = await WithSpeciesAsync(profiles, cancel);
        if (reading.Rules is null)
        {
            return reading.Problems;
        }

        foreach (var profile in profiles)
        {
            var row = await db.Species.FirstOrDefaultAsync(s => s.Id == profile.Id, cancel);
            var json = JsonSerializer.Serialize(profile, LedgerJson.Options);
            if (row is null)
            {
                db.Species.Add(new SpeciesRow { Id = profile.Id, Profile = json });
            }
            else
            {
                row.Profile = json;
            }
        }

        await db.SaveChangesAsync(cancel);
        cache.Rules = null;
        return [];
    }

    /// <summary>The keeper's own feeders.</summary>
    public async Task<IReadOnlyList<FeederRules>> FeedersAsync(CancellationToken cancel)
    {
        var rows = await db.Feeders.AsNoTracking().OrderBy(f => f.Id).ToListAsync(cancel);
        return [.. rows.Select(r => LedgerJson.Read<FeederRules>(r.Feeder))];
    }

    /// <summary>Adds a feeder of the keeper's own, or changes one; shipped ones never are.</summary>
    /// <returns>What is wrong; then nothing was written.</returns>
    public async Task<IReadOnlyList<Problem>> SetFeederAsync(FeederRules feeder, CancellationToken cancel)
    {
        if (RuleSet.Shipped.Feeder(feeder.Id) is not null)
        {
            return [new Problem("id", $"{feeder.Id} is in the shipped catalogue; give yours another id.")];
        }

        var others = (await FeedersAsync(cancel)).Where(f => f.Id != feeder.Id);
        var reading = Read(await SpeciesAsync(cancel), [.. others, feeder]);
        if (reading.Rules is null)
        {
            return reading.Problems;
        }

        var row = await db.Feeders.FirstOrDefaultAsync(f => f.Id == feeder.Id, cancel);
        var json = JsonSerializer.Serialize(feeder, LedgerJson.Options);
        if (row is null)
        {
            db.Feeders.Add(new FeederRow { Id = feeder.Id, Feeder = json });
        }
        else
        {
            row.Feeder = json;
        }

        await db.SaveChangesAsync(cancel);
        cache.Rules = null;
        return [];
    }

    private static RuleSetReading Read(IReadOnlyList<SpeciesProfile> species, IReadOnlyList<FeederRules> feeders) =>
        species.Count + feeders.Count == 0
            ? new RuleSetReading(RuleSet.Shipped, [])
            : RuleSet.Read([
                .. RuleSet.ShippedDocuments(),
                .. species.Select(RuleSet.Document),
                .. feeders.Select(RuleSet.Document),
            ]);

    /// <summary>Temperatures read in the room.</summary>
    public async Task<RoomClimate> ClimateAsync(CancellationToken cancel)
    {
        if (cache.Climate is { } cached && db.Database.CurrentTransaction is null)
        {
            return cached;
        }

        await db.SaveChangesAsync(cancel);
        var rows = await db.Climate.AsNoTracking().ToListAsync(cancel);
        var sensed = await SensedAsync(cancel);
        var climate =
            rows.Count + sensed.Count == 0 ? RoomClimate.Unread : RoomClimate.Of(rows.Select(Reading), sensed);
        if (db.Database.CurrentTransaction is null)
        {
            cache.Climate = climate;
        }

        return climate;
    }

    /// <summary>Days of sensors where they hung, corrected. A day on which one was moved or lay over salt counts for nothing.</summary>
    private async Task<IReadOnlyList<ZoneDay>> SensedAsync(CancellationToken cancel)
    {
        var book = await air.BookAsync(cancel);
        if (book.Sensors.Count == 0)
        {
            return [];
        }

        var days = await sensors.DaysAsync(DateTimeOffset.UnixEpoch, DateTimeOffset.MaxValue, cancel);
        return [.. book.Sensors.SelectMany(s => s.DaysByZone(days.GetValueOrDefault(s.Id, [])))];
    }

    internal static ClimateReading Reading(ClimateRow row) =>
        new(new DateTimeOffset(row.Ticks, TimeSpan.Zero), row.TemperatureC, row.RelativeHumidity, row.Zone);

    private async Task<RuleSetReading> WithSpeciesAsync(IReadOnlyList<SpeciesProfile> more, CancellationToken cancel)
    {
        var own = (await SpeciesAsync(cancel)).Where(s => more.All(m => m.Id != s.Id)).Concat(more).ToList();
        return Read(own, await FeedersAsync(cancel));
    }

    private async Task<int> EndAsync(IEnumerable<Guid> ids, DateTimeOffset now, CancellationToken cancel)
    {
        var wanted = ids.ToList();
        var rows = await db.Overrides.Where(o => wanted.Contains(o.Id) && o.EndedTicks == null).ToListAsync(cancel);
        foreach (var row in rows)
        {
            row.EndedTicks = now.UtcTicks;
        }

        return rows.Count;
    }

    private static bool SameReach(RuleOverride a, RuleOverride b) =>
        (a.Scope, a.Group, a.SpeciesId, a.StockId, a.Rule) == (b.Scope, b.Group, b.SpeciesId, b.StockId, b.Rule);
}
