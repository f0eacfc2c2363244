using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Benchmarks;
using CsCheck;
using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Worlds;

namespace Husbandry.Tests;

/// <summary>Sensors, alarms, programmes: what the room's air tells.</summary>
public class AirTests
{
    private static readonly RoomClimateRules Rules = RuleSet.Shipped.Room.Climate;
    private static readonly DateTimeOffset Now = new(2026, 7, 10, 15, 0, 0, TimeSpan.Zero);
    private static readonly NightClock Clock = new(TimeZoneInfo.Utc, NightClock.DefaultCutoverHour);

    private static Sensor Hung(string? zone, string name = "sensor", Guid? id = null) =>
        new(id ?? Guid.NewGuid(), name, Guid.Empty, name, [new SensorStay(Now.AddDays(-60), zone)], []);

    /// <summary>A sensor that read every ten minutes over some hours, the newest now.</summary>
    private static SensorState State(
        Sensor sensor,
        double hours,
        Func<DateTimeOffset, double> celsius,
        Func<DateTimeOffset, double>? humidity = null,
        double silentHours = 0
    )
    {
        List<SensorReading> readings =
        [
            .. Enumerable
                .Range(0, (int)(hours * 6) + 1)
                .Select(i => Now.AddHours(-silentHours).AddMinutes(-10 * i))
                .Reverse()
                .Select((at, i) => new SensorReading(at, celsius(at) + (i % 2 * 0.1), humidity?.Invoke(at))),
        ];
        return new SensorState(
            sensor,
            readings.Aggregate(SensorTrack.Empty, (t, r) => t.After(r)),
            AirSpan.Of(readings, TimeSpan.FromMinutes(10))
        );
    }

    private static AirNeed Need(
        string place,
        string group = "tarantula",
        string species = "tliltocatl-albopilosus",
        bool winters = false,
        bool molts = false,
        bool hushed = false,
        Ventilation? vents = Ventilation.FewHoles
    ) =>
        new(
            Guid.NewGuid(),
            place,
            group,
            Place.Parse(place)!,
            AirBand.Of(RuleSet.Shipped.Group(group)!, RuleSet.Shipped.Profile(species)),
            winters,
            molts,
            hushed,
            vents
        );

    private static IReadOnlyList<ClimateAlarm> Alarms(
        IReadOnlyList<SensorState> states,
        IReadOnlyList<AirNeed> needs,
        ClimateBook? book = null
    ) => ClimateAlarms.Of(states, needs, book ?? ClimateBook.Empty, Rules, Clock, Now);

    [Fact]
    public void Every_species_waits_at_a_warmth_that_is_right_for_it()
    {
        foreach (var species in RuleSet.Shipped.Species)
        {
            var band = AirBand.Of(RuleSet.Shipped.Group(species.Group)!, species);
            var good = band.GoodC.Value;
            Assert.InRange(species.Warmth.Value.ReferenceC, good.Low, good.High);
            Assert.True(band.FloorC.Value < good.Low && good.High < band.CeilingC.Value, species.Id);
            Assert.InRange(band.Humidity.Value.Low, 0, band.Humidity.Value.High);
        }
    }

    // Source: handbook figures of the trade: crabs 24–28 °C at 75–85 %, tubes of ants never above 30 °C.
    [Fact]
    public void Bands_of_crabs_and_ants_are_those_of_the_trade()
    {
        var crab = AirBand.Of(RuleSet.Shipped.Group("hermit-crab")!, RuleSet.Shipped.Profile("coenobita-clypeatus"));
        Assert.Equal((24, 28), (crab.GoodC.Value.Low, crab.GoodC.Value.High));
        Assert.Equal((75, 85), (crab.Humidity.Value.Low, crab.Humidity.Value.High));
        var ant = AirBand.Of(RuleSet.Shipped.Group("ant")!, RuleSet.Shipped.Profile("lasius-niger"));
        Assert.Equal(30, ant.CeilingC.Value);
    }

    [Fact]
    public void One_hot_reading_is_no_alarm_and_half_an_hour_is()
    {
        var sensor = Hung("A1");
        var need = Need("A1·03");
        Assert.Empty(Alarms([State(sensor, 12, at => at > Now.AddMinutes(-9) ? 39 : 25)], [need]));
        Assert.Empty(Alarms([State(sensor, 12, at => at > Now.AddMinutes(-19) ? 39 : 25)], [need]));
        var alarm = Assert.Single(Alarms([State(sensor, 12, at => at > Now.AddMinutes(-45) ? 33 : 25)], [need]));
        Assert.Equal(AlarmKind.Hot, alarm.Kind);
        Assert.False(alarm.IsDanger);
        Assert.Equal(need.StockId, Assert.Single(alarm.For).StockId);
        Assert.Contains("above 32 °C", alarm.Says, StringComparison.Ordinal);
        Assert.Equal(["group.ceilingC", "room.alarms.hotMinutes"], alarm.Why.Select(w => w.Rule));
        Assert.All(alarm.Why, w => Assert.NotEmpty(w.Source));
        Assert.True(
            Assert.Single(Alarms([State(sensor, 12, at => at > Now.AddMinutes(-45) ? 36 : 25)], [need])).IsDanger
        );
    }

    [Fact]
    public void The_nearest_that_lives_speaks_for_an_animal()
    {
        var need = Need("A1·03");
        var hotRoom = State(Hung(""), 12, _ => 36);
        Assert.Empty(Alarms([hotRoom, State(Hung("A1"), 12, _ => 25)], [need]));
        // The nearest fell silent: an old reading never beats a living one.
        var alarms = Alarms([hotRoom, State(Hung("A1", "shelf"), 12, _ => 25, silentHours: 2)], [need]);
        Assert.Equal([AlarmKind.Hot, AlarmKind.Silent], alarms.Select(a => a.Kind));
        // A shelf elsewhere is nobody's.
        Assert.Empty(Alarms([State(Hung("B1"), 12, _ => 36)], [need]));
    }

    [Fact]
    public void Ants_are_called_out_at_thirty_degrees_and_told_what_to_do_first()
    {
        var alarm = Assert.Single(
            Alarms([State(Hung("C2"), 3, _ => 31)], [Need("C2·01", "ant", "lasius-niger", hushed: true), Need("C2·02")])
        );
        Assert.Equal("C2·01", Assert.Single(alarm.For).Place);
        Assert.Contains(alarm.Now, s => s.StartsWith("Founding tubes", StringComparison.Ordinal));
        Assert.DoesNotContain(alarm.Now, s => s.Contains("Fill the dishes", StringComparison.Ordinal));
    }

    [Fact]
    public void A_winter_box_has_a_band_of_its_own_and_not_the_air_of_the_room()
    {
        var pupa = Need("K1·01", "moth", "saturnia-pyri", winters: true, hushed: true);
        Assert.Empty(Alarms([State(Hung("K"), 40, _ => 4)], [pupa]));
        Assert.Empty(Alarms([State(Hung(""), 40, _ => 24)], [pupa]));
        Assert.Equal(AlarmKind.WinterWarm, Assert.Single(Alarms([State(Hung("K"), 40, _ => 13)], [pupa])).Kind);
        Assert.Empty(Alarms([State(Hung("K"), 40, at => at > Now.AddHours(-20) ? 13 : 4)], [pupa]));
        Assert.Equal(AlarmKind.WinterFrost, Assert.Single(Alarms([State(Hung("K"), 40, _ => -5)], [pupa])).Kind);
    }

    [Fact]
    public void Dry_air_counts_in_the_box_itself_and_sooner_for_one_that_molts()
    {
        var molting = Need("A1·03", molts: true, hushed: true);
        var other = Need("A1·03");
        var shelf = State(Hung("A1"), 40, _ => 25, _ => 30);
        // Behind a lid the air of the shelf is not the animal's.
        Assert.Empty(Alarms([shelf], [molting, other]));
        Assert.Single(Alarms([shelf], [molting with { Vents = Ventilation.Mesh }]));
        var box = State(Hung("A1·03"), 40, _ => 25, at => at > Now.AddHours(-8) ? 40 : 75);
        Assert.Empty(Alarms([box], [other]));
        var alarm = Assert.Single(Alarms([box], [molting, other]));
        Assert.True(alarm is { Kind: AlarmKind.Dry, IsDanger: true });
        Assert.Contains("too dry for a molt", alarm.Says, StringComparison.Ordinal);
        Assert.Contains(alarm.Now, s => s.StartsWith("Do not open", StringComparison.Ordinal));
        Assert.DoesNotContain(alarm.Now, s => s.Contains("Damp the side", StringComparison.Ordinal));
    }

    [Fact]
    public void What_was_seen_is_silent_until_it_goes_on_too_long_and_a_new_one_is_new()
    {
        var (sensor, need) = (Hung("A1"), Need("A1·03"));
        var state = State(sensor, 12, at => at > Now.AddHours(-10) ? 34 : 25);
        var alarm = Assert.Single(Alarms([state], [need]));
        ClimateBook After(ClimateAct act, double hoursAgo) =>
            ClimateBook.Empty.After(new ClimateEntry(Guid.NewGuid(), 1, Now.AddHours(-hoursAgo), "Keeper", act));
        AlarmState With(ClimateAct act, double hoursAgo) =>
            Assert.Single(Alarms([state], [need], After(act, hoursAgo))).State;
        var seen = new AlarmSeen(alarm.Key, alarm.Since);
        Assert.Equal(AlarmState.Seen, With(seen, 1));
        Assert.Equal(AlarmState.SaidAgain, With(seen, 5));
        // Answered before this one began: that was another one.
        Assert.Equal(AlarmState.Open, With(seen, 30));
        var snoozed = new AlarmSnoozed(alarm.Key, alarm.Since, 60);
        Assert.Equal(AlarmState.Snoozed, With(snoozed, 0.5));
        Assert.Equal(AlarmState.SaidAgain, With(snoozed, 2));
    }

    /// <summary>What an alarm rests on can be looked up and changed: no name leads nowhere.</summary>
    [Fact]
    public void Every_alarm_names_rules_that_are_in_the_rulebook()
    {
        var needs = new[] { Need("A1·03", molts: true), Need("C1·01", "ant", "lasius-niger") };
        var json = new JsonSerializerOptions(JsonSerializerDefaults.Web)
        {
            Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
        };
        var roots = new Dictionary<string, JsonNode>
        {
            ["room"] = JsonSerializer.SerializeToNode(RuleSet.Shipped.Room, json)!,
            ["group"] = JsonSerializer.SerializeToNode(RuleSet.Shipped.Group("tarantula"), json)!,
        };
        foreach (var kind in Enum.GetValues<AlarmKind>())
        {
            var why = AlarmReasons.Of(kind, needs, Rules);
            Assert.NotEmpty(why);
            foreach (var (root, name) in why.Select(w => w.Rule.Split('.', 2)).Select(p => (p[0], p[1])))
            {
                Assert.NotNull(RulePath.Find(roots[root], name));
            }
        }
    }

    [Fact]
    public void Quiet_hours_go_over_midnight()
    {
        Assert.True(new QuietHours(23, 7).Hold(2));
        Assert.True(new QuietHours(23, 7).Hold(23));
        Assert.False(new QuietHours(23, 7).Hold(7));
        Assert.True(new QuietHours(1, 5).Hold(3));
        Assert.False(new QuietHours(0, 0).Hold(0));
    }

    [Fact]
    public void Two_salts_set_gain_and_offset_and_what_lies_over_salt_is_nobodys_air()
    {
        var id = Guid.NewGuid();
        var (book, n) = (ClimateBook.Empty, 0);
        void Say(double hoursAgo, ClimateAct act)
        {
            Assert.Empty(book.Check(act, Rules.Alarms, DateOnly.FromDateTime(Now.Date)));
            book = book.After(new ClimateEntry(Guid.NewGuid(), ++n, Now.AddHours(-hoursAgo), "Keeper", act));
        }

        Say(100, new SensorFound(id, "s", Guid.Empty));
        Say(100, new SensorPlaced(id, "Shelf", "A1"));
        Say(60, new SaltCheckBegun(id, [Salt.TableSalt, Salt.MagnesiumChloride]));
        Assert.Null(book.Sensor(id)!.Zone);
        Say(40, new SaltChecked(id, 80));
        Assert.Equal(Salt.MagnesiumChloride, book.Sensor(id)!.Salt!.Now);
        Say(20, new SaltChecked(id, 36));
        var sensor = book.Sensor(id)!;
        Assert.Equal("A1", sensor.Zone);
        Assert.Null(sensor.Salt);
        // Source: Greenspan (1977): 75.3 % and 32.8 % at 25 °C; the line through both points.
        Assert.Equal(75.3, sensor.Correct(80, Now)!.Value, 1e-9);
        Assert.Equal(32.8, sensor.Correct(36, Now)!.Value, 1e-9);
        // What was read before stays as it was said.
        Assert.Equal(80, sensor.Correct(80, Now.AddHours(-30))!.Value);
        Assert.Null(sensor.ZoneAt(Now.AddHours(-50)));
        Assert.NotEmpty(book.Check(new SaltChecked(id, 75), Rules.Alarms, DateOnly.FromDateTime(Now.Date)));
        Say(10, new SaltCheckBegun(id, [Salt.TableSalt]));
        var off = Assert.Single(book.Check(new SaltChecked(id, 40), Rules.Alarms, DateOnly.FromDateTime(Now.Date)));
        Assert.Contains("55.3 to 95.3", off.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void A_sensor_is_stuck_soon_where_day_and_night_differ_and_late_where_a_thermostat_holds()
    {
        static SensorTrack Track(double swing, double hoursStill)
        {
            var (track, random) = (SensorTrack.Empty, new Draws(5));
            for (var at = Now.AddDays(-6); at <= Now; at = at.AddMinutes(5))
            {
                var c = 24 + (swing / 2 * Math.Sin(at.TimeOfDay.TotalDays * 2 * Math.PI)) + (0.06 * random.Normal());
                var still = at > Now.AddHours(-hoursStill);
                track = track.After(new SensorReading(at, still ? 25 : Math.Round(c, 1), 60));
            }

            return track;
        }

        Assert.Null(Track(6, 1.5).StuckSince(Rules.Alarms));
        Assert.NotNull(Track(6, 6).StuckSince(Rules.Alarms));
        Assert.Null(Track(0.1, 6).StuckSince(Rules.Alarms));
        Assert.NotNull(Track(0.1, 24).StuckSince(Rules.Alarms));
    }

    // Goal: at least 95 of 100 faults in time, at most one false alarm for each sensor and quarter. A whole year of 40 sensors
    // is gone through by ./lantern bench climate.
    [Theory]
    [InlineData(11)]
    [InlineData(12)]
    public void Faults_of_made_up_instruments_are_found_in_time(int seed)
    {
        const int Days = 120;
        var draws = new Draws(seed);
        var tally = FaultTally.Of(
            Enumerable.Range(0, 8).Select(i => new Air(draws, Days, i % 4 == 0)),
            Days,
            Rules.Alarms
        );
        Assert.True(tally.Faults >= 20, $"{tally}");
        Assert.True(tally.Found >= 0.95 * tally.Faults, $"{tally}");
        Assert.True(tally.FalseAlarms <= tally.SensorQuarters, $"{tally}");
    }

    [Fact]
    public void A_sensor_that_goes_away_from_its_neighbours_is_noticed_and_a_warm_week_is_not()
    {
        const int Today = 20000;
        static IReadOnlyList<SensorDay> Days(double by, double humidBy, int seed, double warmWeek = 0)
        {
            var draws = new Draws(seed);
            return
            [
                .. Enumerable
                    .Range(Today - 40, 40)
                    .Select(d => new SensorDay(
                        d,
                        24 + Math.Sin(d / 3.0) + (0.1 * draws.Normal()) + (d >= Today - 6 ? by + warmWeek : 0),
                        60 + (0.5 * draws.Normal()) + (d >= Today - 6 ? humidBy : 0)
                    )),
            ];
        }

        IReadOnlyList<IReadOnlyList<SensorDay>> others = [Days(0, 0, 1), Days(0, 0, 2)];
        Assert.Null(SensorDrift.Of(Days(0, 0, 3), others, Today, Rules.Alarms));
        Assert.Equal(1.5, SensorDrift.Of(Days(1.5, 0, 3), others, Today, Rules.Alarms)!.ByC, 0.3);
        Assert.True(SensorDrift.Of(Days(0, 9, 3), others, Today, Rules.Alarms) is { OfHumidity: true });
        IReadOnlyList<IReadOnlyList<SensorDay>> warm = [Days(0, 0, 1, 4), Days(0, 0, 2, 4)];
        Assert.Null(SensorDrift.Of(Days(0, 0, 3, 4), warm, Today, Rules.Alarms));
    }

    [Fact]
    public void An_old_reading_never_beats_a_living_one()
    {
        static ZoneDay Day(string zone, int ago, double c) =>
            new(zone, DateOnly.FromDateTime(Now.Date).DayNumber - ago, c);
        // The shelf was three degrees warmer until its sensor went sixty days ago.
        var climate = RoomClimate.Of(
            [],
            [
                .. Enumerable.Range(0, 120).Select(ago => Day("", ago, ago < 30 ? 18 : 24)),
                .. Enumerable.Range(60, 60).Select(ago => Day("A1", ago, 27)),
            ]
        );
        var shelf = climate.RecentC(Place.Parse("A1·01")!, Rules, Now)!.Value;
        Assert.InRange(shelf, 18.1, 19.5);
        Assert.Equal(18, climate.RecentC(Place.Parse("B1·01")!, Rules, Now)!.Value, 1e-9);
        Assert.Equal(27, climate.RecentC(Place.Parse("A1·01")!, Rules, Now.AddDays(-60))!.Value, 1e-9);
    }

    /// <summary>A day that nobody read in the cold box is no cold day, whatever was read in the room around it.</summary>
    [Fact]
    public void What_is_made_up_from_around_a_place_is_no_reading_of_it()
    {
        var today = DateOnly.FromDateTime(Now.Date).DayNumber;
        var climate = RoomClimate.Of(
            [],
            [
                .. Enumerable.Range(0, 20).Select(ago => new ZoneDay("", today - ago, 22)),
                .. Enumerable
                    .Range(0, 20)
                    .Where(ago => ago is not (5 or 6))
                    .Select(ago => new ZoneDay("K", today - ago, 4)),
            ]
        );
        Stay[] stays = [new Stay(Place.Parse("K1·01")!, Now.AddDays(-40))];
        Assert.Equal(2, climate.ReadBetween(stays, Now.AddDays(-15), Now).Count(c => c is null));
        Assert.All(climate.ReadBetween(stays, Now.AddDays(-15), Now).OfType<double>(), c => Assert.Equal(4, c));
    }

    [Fact]
    public void Nothing_read_later_is_used_for_an_earlier_night() =>
        (from seed in Gen.Int[0, 10_000] from cut in Gen.Int[20, 80] select (seed, cut)).Sample(
            x =>
            {
                var draws = new Draws(x.seed);
                var first = DateOnly.FromDateTime(Now.Date).DayNumber - 100;
                var all = new[] { "", "A", "A1" }
                    .SelectMany(zone =>
                        Enumerable
                            .Range(0, 100)
                            .Where(_ => draws.Chance(0.5))
                            .Select(d => new ZoneDay(zone, first + d, 20 + (3 * draws.Normal())))
                    )
                    .ToList();
                var then = new DateTimeOffset(
                    DateOnly.FromDayNumber(first + x.cut).ToDateTime(TimeOnly.MinValue),
                    TimeSpan.Zero
                );
                var place = Place.Parse("A1·01")!;
                var whole = RoomClimate.Of([], all).RecentC(place, Rules, then);
                var cut = RoomClimate.Of([], all.Where(d => d.Day <= first + x.cut)).RecentC(place, Rules, then);
                Assert.Equal(cut!.Value, whole!.Value, 1e-9);
            },
            iter: 200
        );

    [Fact]
    public void A_programme_is_held_against_what_was_read_and_unread_days_count_for_nothing()
    {
        var tonight = DateOnly.FromDateTime(Now.Date);
        var plan = new AirProgramme(
            "Cool season",
            "C",
            [new ProgrammeStep(tonight.AddDays(-9), 14, 18), new ProgrammeStep(tonight.AddDays(5), 20, 24)],
            tonight.AddDays(30)
        );
        Assert.Empty(plan.Problems(tonight));
        var climate = RoomClimate.Of(
            [],
            [
                .. Enumerable.Range(0, 8).Select(ago => new ZoneDay("C", tonight.DayNumber - ago, ago < 2 ? 19 : 16)),
                new ZoneDay("C", tonight.DayNumber - 8, 12),
            ]
        );
        var kept = ProgrammeKept.Of(plan, climate, tonight, new Wording(LengthUnit.Mm, tonight));
        Assert.Equal((6, 2, 1, 1), (kept.Kept, kept.TooWarm, kept.TooCold, kept.Unread));
        Assert.Equal(20, kept.Next!.LowC);
        Assert.NotEmpty((plan with { Steps = [] }).Problems(tonight));
        Assert.NotEmpty((plan with { Until = tonight.AddDays(-20) }).Problems(tonight));
        Assert.NotEmpty((plan with { Steps = [new ProgrammeStep(tonight, 30, 20)] }).Problems(tonight));
    }

    [Fact]
    public void Whoever_stands_too_warm_is_told_of_a_shelf_that_suits_and_hushed_ones_stay()
    {
        IReadOnlyList<ZoneLevel> levels = [new("A1", 31, 30, 32), new("B2", 24, 23, 25), new("D", 29.5, 29, 30)];
        var (free, hushed) = (Need("A1·01"), Need("A1·02", hushed: true));
        var move = Assert.Single(BetterPlace.Of([free, hushed, Need("B2·01")], levels, 1));
        Assert.Equal("B2", move.Zone);
        Assert.Equal([free.StockId], move.StockIds);
        // A place is somebody's own box.
        Assert.Empty(BetterPlace.Of([free], [new("A1", 31, 30, 32), new("B2·01", 24, 23, 25)], 1));
        Assert.Empty(BetterPlace.Of([free], [new("A1", 28.5, 28, 29), new("B2", 24, 23, 25)], 1));
    }

    [Fact]
    public void A_tub_dries_with_the_deficit_its_vents_and_its_damp_floor()
    {
        var tub = new Enclosure(
            "3 L tub",
            200,
            150,
            120,
            40,
            Ventilation.FewHoles,
            DampSide.Left,
            HeatSource.Room,
            null
        );
        double Ml(Enclosure e, double kPa) => DryingTub.Of(e, null, kPa, Rules)!.Value.MlADay;
        // Source: Dalton's law: evaporation goes with the deficit.
        Assert.Equal(2 * Ml(tub, 0.8), Ml(tub, 1.6), 1e-9);
        Assert.True(Ml(tub with { Vents = Ventilation.Mesh }, 1) > Ml(tub with { Vents = Ventilation.Tight }, 1));
        Assert.True(Ml(tub with { Damp = DampSide.Whole }, 1) > Ml(tub, 1));
        Assert.Null(DryingTub.Of(tub with { Damp = DampSide.None }, null, 1, Rules));
        Assert.Null(DryingTub.Of(tub, null, null, Rules));
        var planned = DryingTub.Of(tub with { Mist = new MistPlan(1, 6, 3) }, 2, 1, Rules)!.Value;
        Assert.Equal((6, 2, 3), (planned.MlEach, planned.EveryDays, planned.MlADay));
    }

    // Source: FAO-56 eq. 11 by MoistAir, whose values are checked above against numpy.
    [Fact]
    public void Air_elsewhere_keeps_its_vapour()
    {
        var air = ZoneAir.Of(new MoistAir(24, 70));
        Assert.Equal(55.258749, air.WarmerHumidity, 1e-5);
        Assert.Equal(18.2, air.DewPointC!.Value, 0.05);
        Assert.Contains(ZoneAir.Of(new MoistAir(24, 95)).Says, s => s.Contains("it drips", StringComparison.Ordinal));
    }

    [Fact]
    public void Degree_days_count_read_days_and_look_ahead_by_the_season()
    {
        var today = DateOnly.FromDateTime(Now.Date);
        var climate = RoomClimate.Of(
            [],
            Enumerable.Range(0, 20).Where(ago => ago != 3).Select(ago => new ZoneDay("", today.DayNumber - ago, 22))
        );
        var sum = WarmDays.Of(climate, "A1", 10, today.AddDays(-9), 30, Rules, Now);
        Assert.Equal(9 * 12, sum.Done, 1e-9);
        Assert.Equal(1, sum.Unread);
        Assert.Equal(12 * 5, sum.Ahead[4], 1e-6);
    }
}
