using Husbandry.Colonies;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Trays;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>
/// Random stock of every species, kind and stage with journals in which every entry is one that would have been accepted
/// when it was written.
/// </summary>
internal static class AnyStock
{
    private static readonly string[] Tasks =
    [
        .. RuleSet.Shipped.Groups.SelectMany(g => g.Tasks).Select(t => t.Id).Distinct(),
    ];

    private const int Steps = 40;

    private static readonly RuleSet Rules = RuleSet.Shipped;

    private static readonly Func<Random, Act>[] Makers =
    [
        r => Offer(r),
        r => Offer(r),
        _ => new LeftoversRemoved(),
        r => new Watered(Pick<WaterKind>(r)),
        r => new TubeSeen(Pick<TubeWater>(r)),
        r => new Tended(Tasks[r.Next(Tasks.Length)]),
        _ => new Looked(),
        r => new SignSeen(Rules.Signs[r.Next(Rules.Signs.Count)].Id, Some(r)),
        r => new Molted(Ultimate: r.Next(6) == 0, Mismolt: r.Next(8) == 0),
        r => new FangsChecked(r.Next(3) > 0),
        r => new Measured(Pick<BodyPart>(r), Math.Round(Math.Exp(r.NextDouble() * 4) + 0.5, 1), r.Next(3) == 0),
        r => new ConditionSeen(Pick<BodyCondition>(r)),
        r => new Began(Pick<VigilKind>(r), Some(r)),
        r => new Ended(Pick<VigilKind>(r), (r.Next(2) == 0 ? VigilEnd.AsHoped : VigilEnd.Otherwise), Some(r)),
        r => new Chilled(r.Next(2) == 0),
        r => new LimbNoted("leg 3 left", Pick<LimbState>(r)),
        r => new SexSeen(Pick<Sex>(r), Pick<SexEvidence>(r)),
        r => new Moved(new Place("B", 1 + r.Next(4), 1 + r.Next(9))),
        r => new Counted(1 + r.Next(60)),
        r => new Counted(20, r.Next(21), 20 + r.Next(40), Pick<CountMethod>(r), r.Next(2) == 0 ? "cup 3" : null),
        r => new Counted(r.Next(30), Container: $"cup {r.Next(3)}", Reason: r.Next(2) == 0 ? "moved over" : null),
        r => new Gained(Pick<GainKind>(r), 1 + r.Next(5)),
        r => new Handled(Pick<CareAct>(r)),
        r => new PutOff(DateOnly.FromDateTime(Diary.Evening.AddDays(r.Next(20) - 10).DateTime), "busy"),
        r => new Departed(Pick<DepartureKind>(r), null, 1 + r.Next(3)),
        r => new Lent("a friend", null, r.Next(2) == 0 ? new DateOnly(2026, 12, 1) : null),
        _ => new Returned(),
        r => new Parted(Guid.NewGuid(), 1 + r.Next(4), "tray 2", new Place("F", 1, 1)),
        r => new GaveBirth(Guid.NewGuid(), 1 + r.Next(40), "the sac", new Place("F", 1, 2)),
        r => new CaseTaken(Guid.NewGuid(), "the sac", new Place("F", 1, 3), Eggs: r.Next(2) == 0 ? 30 : null),
        r => new SecondLook(r.Next(3)),
        r => new CalciumLooked(
            r.Next(2) == 0 ? [] : [new CalciumLook("powder", Pick<CalciumLeft>(r))],
            ["powder", "cuttlebone"]
        ),
        r => new HostChosen(r.Next(2) == 0 ? "oak" : "nettle", r.Next(2) == 0),
        _ => new LookedRound([]),
        r => new ShellTaken(Pick<ShellShape>(r), r.Next(2) == 0 ? null : 5 + r.Next(30)),
        r => new ShellsCounted([new ShellLot(10 + r.Next(20), Pick<ShellShape>(r), 1 + r.Next(5))]),
        r => new BurialGuarded(r.Next(2) == 0, [.. Enum.GetValues<SleeveStep>().Where(_ => r.Next(2) == 0)]),
        r => new MoltMarksSeen([.. Enum.GetValues<MoltMark>().Where(_ => r.Next(3) == 0)]),
        r => new MatingSeen(Guid.NewGuid(), Guid.NewGuid(), Pick<MatingSight>(r)),
        r => new QueenCaught(Pick<CatchWay>(r), r.Next(2) == 0),
        r => new Peeked(
            [.. Enum.GetValues<BroodSeen>().Where(_ => r.Next(3) == 0 || r.Next(9) == 0)],
            Water: r.Next(2) == 0 ? Pick<TubeWater>(r) : null
        ),
        r => new NestMoved(Pick<NestStep>(r), NestSchool.Connect),
        r => new TubLooked([.. Enum.GetValues<TubSign>().Where(_ => r.Next(4) == 0)]),
        r => new Marked(5 + r.Next(40)),
        r => new Recaught(10 + r.Next(30), r.Next(10)),
        r => new Scooped([r.Next(30), r.Next(30), r.Next(30)], r.Next(2) == 0),
        r => new Boxed(
            (BoxSchool)r.Next(5),
            r.Next(2) == 0 ? null : r.Next(1, 9),
            r.Next(3) == 0 ? null : 0.5,
            Numbers: r.Next(2) == 0 ? null : [r.Next(9), r.Next(9)]
        ),
        r => new SickSeen(r.Next(4) == 0 ? [SickSign.OddColour] : [(SickSign)r.Next(4)], null),
        r => new WarmUpPlanned(
            r.Next(4) == 0 ? null : DateOnly.FromDateTime(Diary.Evening.DateTime).AddDays(r.Next(-9, 90))
        ),
        r => new Promised(r.Next(2) == 0 ? "Ada" : "Ben", r.Next(9)),
        r => new Capped(r.Next(3) == 0 ? null : r.Next(60)),
        r => new Divided(1 + r.Next(20)),
        r => new VialsMolted([1 + r.Next(20), 21 + r.Next(5)]),
        r => new VialsMolted([.. Enumerable.Range(1, 1 + r.Next(20))]),
        r => new Graded([new VialGrade(1 + r.Next(20), Pick<SizeGrade>(r), r.Next(2) == 0 ? 4 : null)]),
        r => new Departed(DepartureKind.Died, null, null, Pick<LossCause>(r), 1 + r.Next(20)),
        _ => new Noted("a note"),
        r => new Paired(null, "a mate of a friend", Pick<PairingMethod>(r)),
        r => new Housed(
            new Enclosure(
                "box",
                40 + r.Next(300),
                40 + r.Next(200),
                60 + r.Next(300),
                r.Next(50),
                Pick<Ventilation>(r),
                Pick<DampSide>(r),
                HeatSource.Room,
                r.Next(3) == 0 ? new MistPlan(1, 3, 3) : null
            ),
            r.Next(2) == 0
        ),
    ];

    /// <summary>Stock from a seed: species and kind go round, everything else is drawn.</summary>
    public static Diary Of(int seed)
    {
        return OfSpecies(Rules.Species[seed % Rules.Species.Count], new Random(seed));
    }

    /// <summary>Stock of a species: everything else is drawn.</summary>
    public static Diary OfSpecies(SpeciesProfile species, Random random)
    {
        var kind = random.Next(5) switch
        {
            0 => StockKind.Brood,
            2 when Rules.Group(species.Group)!.Shared.Value => StockKind.Tank,
            1 when Rules.Group(species.Group)!.Feeding.Diet is Diet.Litter or Diet.SugarAndProtein => StockKind.Colony,
            _ => StockKind.Specimen,
        };
        var molts = random.Next(3) == 0 ? (int?)null : random.Next(12);
        var tank = kind == StockKind.Tank;
        var diary = new Diary(
            species.Id,
            tank ? Sex.Unknown : Pick<Sex>(random),
            300,
            !tank && random.Next(4) == 0,
            tank ? null : molts,
            kind: kind,
            other: random.Next(8) == 0 ? "Nova species" : null
        );
        // Nights in which much happens lie close together: most stock has a wait, a sign or a cold of its own.
        var nights = Enumerable.Range(0, Steps).Select(_ => Math.Round(random.NextDouble() * 290, 2)).OrderDescending();
        foreach (var ago in nights)
        {
            var act = Makers[random.Next(Makers.Length)](random);
            var when = Occurrence.At(Diary.Evening.AddDays(-ago));
            var then = Diary.Room(now: Diary.Evening.AddDays(-ago));
            if (diary.Standing().Departure is null && EntryCheck.Check(act, when, diary.Standing(), then).Count == 0)
            {
                diary.Add(ago, act);
            }
        }

        return diary;
    }

    private static int? Some(Random random) => random.Next(3) == 0 ? 1 + random.Next(4) : null;

    private static Offered Offer(Random random)
    {
        var feeder = Rules.Feeders[random.Next(Rules.Feeders.Count)];
        return new Offered(
            feeder.Id,
            feeder.Classes[random.Next(feeder.Classes.Count)].Id,
            1 + random.Next(3),
            Pick<Preparation>(random),
            Pick<OfferOutcome>(random),
            random.Next(4) == 0 ? true : null
        );
    }

    private static T Pick<T>(Random random)
        where T : struct, Enum => Enum.GetValues<T>()[random.Next(Enum.GetValues<T>().Length)];
}
