using CsCheck;
using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>What goes into a forecast, and what may not.</summary>
public class ForecastTests
{
    private static RoomClimate Warmth(IEnumerable<(int Day, double Celsius)> days) =>
        RoomClimate.Of(days.Select(d => new ClimateReading(Diary.Evening.AddDays(d.Day), d.Celsius)));

    [Fact]
    public void What_is_read_later_changes_nothing_that_was_known_before() =>
        Gen.Select(Gen.Int[1, 20], Gen.Double[15, 30], Gen.Double[15, 30], Gen.Int[1, 60])
            .Sample(
                (every, before, after, later) =>
                {
                    var past = Enumerable
                        .Range(0, 30)
                        .Select(k => (Day: -200 + (k * every), Celsius: before + (k % 4)));
                    var known = past.Where(d => d.Day <= 0).ToList();
                    var (then, now) = (Warmth(known), Warmth([.. known, (later, after), (later + 30, after)]));
                    Pace At(RoomClimate climate) => Subject.Of(new Diary().Standing(), Diary.Room().With(climate)).Pace;
                    var (a, b) = (At(then), At(now));
                    foreach (var from in new[] { -380, -150, -40, -3 })
                    {
                        var at = Diary.Evening.AddDays(from);
                        Assert.Equal(a.Between(at, Diary.Evening).Value, b.Between(at, Diary.Evening).Value, 1e-9);
                    }

                    Assert.Equal(a.Ahead(new(100)).Value, b.Ahead(new(100)).Value, 1e-9);
                },
                iter: 40
            );

    [Fact]
    public void A_warm_spell_fades_into_the_course_of_former_years()
    {
        // Two even years of 22 °C, and 27 °C for the last weeks.
        var climate = Warmth(Enumerable.Range(-800, 800).Select(d => (d, d > -20 ? 27.0 : 22)));
        var pace = Subject.Of(new Diary().Standing(), Diary.Room().With(climate)).Pace;
        double Rate(int day) => pace.Within(new(day + 1)).Value - pace.Within(new(day)).Value;
        var usual = Pace.Rate(
            RuleSet.Shipped.Profile("tliltocatl-albopilosus")!.Warmth.Value,
            RuleSet.Shipped.Room.Climate,
            22
        );
        Assert.True(Rate(0) > 1.2 * usual);
        Assert.Equal(usual, Rate(200), 0.02 * usual);
    }

    [Fact]
    public void A_pupa_of_summer_waits_for_the_winter_and_not_for_weeks_from_tonight()
    {
        var july = new DateTimeOffset(2026, 7, 1, 21, 0, 0, TimeSpan.Zero);
        var diary = new Diary("saturnia-pyri", Sex.Unknown, cameNightsAgo: 300).With(
            150,
            new Began(VigilKind.Emergence)
        );
        var wait = VigilForecast.OfOther(
            Subject.Of(diary.Standing(), Room.At(RuleSet.Shipped, Diary.Settings, july)),
            diary.Standing().Vigils.OpenOf(VigilKind.Emergence)!,
            molt: null
        );
        // Common practice, no published source: in the cold from about November for 14 weeks, out in spring.
        Assert.InRange(wait.Value!.P10, new DateOnly(2027, 2, 1), new DateOnly(2027, 4, 15));
        Assert.InRange(wait.Value.P90, new DateOnly(2027, 3, 15), new DateOnly(2027, 6, 30));
    }

    [Fact]
    public void A_winter_teaches_nothing_of_how_long_the_warmth_takes()
    {
        Standing Moth(int pupated) =>
            new Diary("saturnia-pyri", Sex.Unknown, cameNightsAgo: 700)
                .With(pupated, new Began(VigilKind.Emergence))
                .With(240, new Chilled(true))
                .With(120, new Chilled(false))
                .With(85, new Ended(VigilKind.Emergence, VigilEnd.AsHoped))
                .Standing();
        var (autumn, spring) = (Moth(260), Moth(600));
        double Length(Standing s) => PastWaits.Of(Subject.Of(s, Diary.Room()), VigilKind.Emergence)[0].Length.Value;
        Assert.Equal(35, Length(autumn), 0.5);
        Assert.Equal(35, Length(spring), 0.5);
        // Nor is the wait of the pupa one of a larva.
        Assert.DoesNotContain(
            PastWaits.Of(Subject.Of(spring, Diary.Room()), VigilKind.Molt),
            w => w.IsWhole && w.Length.Value > 300
        );
    }

    [Fact]
    public void Size_alone_makes_no_adult_where_adults_molt_no_more()
    {
        var judgement = new Diary("phidippus-regius", Sex.Female, cameNightsAgo: 100)
            .LegSpan(28, 60)
            .With(40, new Molted())
            .Judge();
        Assert.Equal(Stage.SubAdult, judgement.Stage.Value);
        // Common practice, no published source: sub-adults wait for weeks; two hundred days are the life of an adult.
        Assert.InRange(judgement.Molt.Value!.P90.DayNumber - Diary.Room().Tonight.DayNumber, 1, 60);
    }

    [Fact]
    public void Waits_that_have_only_just_begun_say_nothing_of_how_they_end()
    {
        Standing Failed(int k) =>
            new Diary("coenobita-perlatus", Sex.Unknown, cameNightsAgo: 400)
                .With(300 - k, new Began(VigilKind.Surfacing))
                .With(296 - k, new Ended(VigilKind.Surfacing, VigilEnd.Otherwise))
                .Standing();
        Standing Begun() =>
            new Diary("coenobita-perlatus", Sex.Unknown, cameNightsAgo: 400)
                .With(0.2, new Began(VigilKind.Surfacing))
                .Standing();
        double Otherwise(int begun)
        {
            Standing[] all =
            [
                .. Enumerable.Range(0, 8).Select(Failed),
                .. Enumerable.Range(0, begun).Select(_ => Begun()),
            ];
            var room = Diary.Room().With(Lessons.Of(all, Diary.Room()));
            return room.Lessons.EndsOf(Subject.Of(all[0], room), VigilKind.Surfacing)!.Shares[VigilEnd.Otherwise];
        }

        Assert.Equal(Otherwise(0), Otherwise(10), 0.02);
    }

    [Fact]
    public void The_age_of_one_that_came_with_its_last_molt_unseen_says_how_long_it_has_waited()
    {
        DateOnly Half(int hatchedNightsAgo) =>
            new Diary(cameNightsAgo: 3, molts: 2, hatched: Diary.Room().Tonight.AddDays(-hatchedNightsAgo))
                .Judge()
                .Molt.Value!.P50;
        // Two molts behind it: at sixty days it has just molted, at a hundred the next one is near.
        Assert.True(Half(60).DayNumber > Half(100).DayNumber + 5);
    }

    [Fact]
    public void Worlds_know_nothing_of_the_product()
    {
        var folder = Path.Combine(LayerTests.Root, "benchmarks", "Worlds");
        var project = File.ReadAllText(Path.Combine(folder, "Worlds.csproj"));
        Assert.DoesNotContain("Reference", project, StringComparison.Ordinal);
        Assert.All(
            Directory.EnumerateFiles(folder, "*.cs"),
            file => Assert.DoesNotContain("Husbandry", File.ReadAllText(file), StringComparison.Ordinal)
        );
    }
}
