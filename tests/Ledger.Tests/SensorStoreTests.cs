using Husbandry.Climate;

namespace Ledger.Tests;

/// <summary>Readings of sensors in the file: four widths that always agree, and nothing counted twice.</summary>
public sealed class SensorStoreTests : LedgerFolder
{
    private static readonly Guid Shelf = Guid.NewGuid();

    private static List<SensedReading> Minutes(DateTimeOffset from, int minutes, int every = 1) =>
        [
            .. Enumerable
                .Range(0, minutes / every)
                .Select(i => from.AddMinutes(i * every))
                .Select(at => new SensedReading(
                    Shelf,
                    new SensorReading(at, 20 + (at.Minute % 10 * 0.1), at.Minute % 2 == 0 ? 60 : null)
                )),
        ];

    private static async Task<IReadOnlyList<AirSpan>> SpansAsync(
        SensorStore store,
        DateTimeOffset from,
        DateTimeOffset to,
        int most,
        DateTimeOffset? now = null
    ) => (await store.SpansAsync([], from, to, most, now ?? Evening, Cancel))[Shelf];

    [Fact]
    public async Task Every_width_tells_the_same_and_what_comes_twice_counts_once()
    {
        await using var db = Open();
        var store = new SensorStore(db);
        var from = Evening.AddHours(-30);
        var readings = Minutes(from, 29 * 60);
        Assert.Equal(readings.Count, (await store.AddAsync(readings, Evening, Cancel)).Count);
        Assert.Empty(await store.AddAsync(readings, Evening, Cancel));
        Assert.Empty(await store.AddAsync([.. readings.Take(5)], Evening, Cancel));
        foreach (var most in new[] { 1800, 180, 30, 2 })
        {
            var spans = await SpansAsync(store, Evening.AddDays(-2), Evening, most);
            Assert.InRange(spans.Count, 1, (1.5 * most) + 2);
            Assert.Equal(readings.Count, spans.Sum(s => s.Count));
            Assert.Equal(20, spans.Min(s => s.MinC), 1e-9);
            Assert.Equal(20.9, spans.Max(s => s.MaxC), 1e-9);
            Assert.Equal(20.45, spans.Sum(s => s.MeanC * s.Count) / readings.Count, 1e-6);
            Assert.All(spans, s => Assert.True(s.MeanHumidity is null or 60));
        }

        Assert.Equal(readings.Count, (await store.SinceAsync(Evening.AddDays(-2), Cancel)).Count);
    }

    [Fact]
    public async Task A_cold_box_below_freezing_keeps_its_sign()
    {
        await using var db = Open();
        var store = new SensorStore(db);
        await store.AddAsync(
            [
                new SensedReading(Shelf, new SensorReading(Evening.AddHours(-2), -4.5, null)),
                new SensedReading(Shelf, new SensorReading(Evening.AddHours(-1), -1.5, null)),
            ],
            Evening,
            Cancel
        );
        var day = Assert.Single(await SpansAsync(store, Evening.AddDays(-3), Evening, 1));
        Assert.Equal((-4.5, -3, -1.5), (day.MinC, day.MeanC, day.MaxC));
        Assert.Null(day.MeanHumidity);
    }

    [Fact]
    public async Task Minutes_go_after_a_month_and_ten_minutes_after_a_year_and_days_stay()
    {
        await using var db = Open();
        var store = new SensorStore(db);
        await store.AddAsync(Minutes(Evening.AddDays(-20), 600), Evening, Cancel);
        var later = Evening.AddDays(15);
        await store.PruneAsync(later, Cancel);
        Assert.Empty(await store.SinceAsync(Evening.AddDays(-60), Cancel));
        Assert.Equal(
            600,
            (await SpansAsync(store, Evening.AddDays(-20.5), Evening.AddDays(-19), 400, later)).Sum(s => s.Count)
        );
        await store.PruneAsync(Evening.AddDays(400), Cancel);
        var days = (await store.DaysAsync(Evening.AddDays(-60), Evening, Cancel))[Shelf];
        Assert.Equal(600, days.Sum(d => d.Count));
    }

    [Fact]
    public async Task Of_readings_of_long_ago_only_hours_that_are_new_count()
    {
        await using var db = Open();
        var store = new SensorStore(db);
        var old = Minutes(Evening.AddDays(-400), 120, 10);
        Assert.Equal(old.Count, (await store.AddAsync(old, Evening, Cancel)).Count);
        Assert.Empty(await store.AddAsync(old, Evening, Cancel));
        Assert.Empty(await store.SinceAsync(DateTimeOffset.UnixEpoch, Cancel));
        var days = (await store.DaysAsync(DateTimeOffset.UnixEpoch, Evening, Cancel))[Shelf];
        Assert.Equal(old.Count, days.Sum(d => d.Count));
    }

    [Fact]
    public async Task A_day_that_came_whole_is_not_counted_again_by_its_hours()
    {
        await using var db = Open();
        var store = new SensorStore(db);
        var day = DateOnly.FromDateTime(Evening.AddDays(-400).UtcDateTime);
        var whole = new RoomFileSensorDay(Shelf, day, 144, 19, 20, 21, 50, 60, 70);
        await store.AddDaysAsync([whole, whole], Cancel);
        await store.AddDaysAsync([whole], Cancel);
        var hours = new DateTimeOffset(day.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero);
        Assert.Empty(await store.AddAsync(Minutes(hours, 600, 10), Evening, Cancel));
        Assert.NotEmpty(await store.AddAsync(Minutes(hours.AddDays(2), 600, 10), Evening, Cancel));
        var kept = (await store.DaysAsync(hours, hours.AddDays(1), Cancel))[Shelf];
        Assert.Equal(144, Assert.Single(kept).Count);
        // The week beside it says the same of both days.
        var weeks = await SpansAsync(store, Evening.AddDays(-1200), Evening, 100);
        Assert.Equal(144 + 60, weeks.Sum(w => w.Count));
    }

    [Fact]
    public async Task Nothing_is_written_when_the_writing_is_given_up()
    {
        await using (var db = Open())
        {
            await using var transaction = await db.Database.BeginTransactionAsync(Cancel);
            await new SensorStore(db).AddAsync(Minutes(Evening.AddHours(-3), 60), Evening, Cancel);
        }

        await using var again = Open();
        Assert.Empty(await new SensorStore(again).SinceAsync(Evening.AddDays(-1), Cancel));
    }
}
