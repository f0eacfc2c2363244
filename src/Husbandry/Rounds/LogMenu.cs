using Husbandry.Colonies;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Tanks;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>One thing that can be logged of an animal as it is tonight: at once, or in a form.</summary>
/// <param name="Key">The letter or digit that picks it.</param>
/// <param name="Label">What it says.</param>
/// <param name="Acts">What is logged at once; the start of the form where there is one.</param>
/// <param name="Form">The form that opens; none when it is logged at once.</param>
/// <param name="Care">What the hush table calls it, when it may be against the hush.</param>
public sealed record LogOffer(string Key, string Label, IReadOnlyList<Act> Acts, EntryForm? Form, CareAct? Care = null);

/// <summary>
/// Everything that can be logged of one animal as it is tonight, by what its stage of life has: an egg is not measured for
/// molts, a pupa is not fed, a colony has no limbs.
/// </summary>
/// <param name="Head">What stands at the head of its page, food last.</param>
/// <param name="AtOnce">Logged with one tap.</param>
/// <param name="Found">Mostly found after the fact: opens a form in which the night is said.</param>
/// <param name="Forms">Everything else with a form of its own.</param>
public sealed record LogMenu(
    IReadOnlyList<LogOffer> Head,
    IReadOnlyList<LogOffer> AtOnce,
    IReadOnlyList<LogOffer> Found,
    IReadOnlyList<LogOffer> Forms
)
{
    // As many as any stage has tasks; the rulebook is held to it.
    private static readonly string[] TendKeys = ["i", "b"];

    /// <summary>Composes the menu of an animal.</summary>
    public static LogMenu Of(Judgement j)
    {
        if (j.Subject.Standing.Loan is not null)
        {
            return OnLoan(j);
        }

        var waterForm = j.Water.Value.Clocks.Any(c => c.Kind is not null);
        var tube = j.Water.Value.Clocks.Any(c => c.Way == WaterWay.Tube);
        return new LogMenu(
            [.. Marked(j, HeadOf(j, tube))],
            [.. Marked(j, AtOnceOf(j))],
            [.. FoundOf(j)],
            [.. FormsOf(j, waterForm, tube)]
        );
    }

    /// <summary>What is logged at once bears what the strictest of its entries is for the hush table.</summary>
    private static IEnumerable<LogOffer> Marked(Judgement j, IEnumerable<LogOffer> offers) =>
        offers.Select(offer =>
            offer.Form is not null
                ? offer
                : offer with
                {
                    Care = offer
                        .Acts.Select(act => EntryDefinition.Of(act).Care(act, j.Subject))
                        .OfType<CareAct>()
                        .Select(care => (CareAct?)care)
                        .MaxBy(care => j.Hush[care!.Value].Verdict),
                }
        );

    /// <summary>Of one that is with somebody else: that it is back, and what is told of it from there.</summary>
    private static LogMenu OnLoan(Judgement j)
    {
        EntryForm[] told = [EntryForm.Molted, EntryForm.SexSeen, EntryForm.Paired, EntryForm.Noted];
        return new LogMenu(
            [Form("b", "Back from its loan", EntryForm.Returned)],
            [],
            [],
            [.. FormsOf(j, waterForm: false, tube: false).Where(f => told.Contains(f.Form!.Value))]
        );
    }

    /// <summary>Whether signs can be seen on it: not on eggs or pupae, and on a grown animal only such as call for help.</summary>
    public static bool ShowsSigns(Judgement j)
    {
        var signs = j.Subject.Room.Rules.Signs.Where(sign => sign.Groups.Contains(j.Subject.Group.Id));
        return !IsShut(j)
            && !j.Subject.Standing.IsTank
            && (
                MayMolt(j)
                    ? signs.Any()
                    : j.Subject.Group.Feeding.Diet == Diet.Prey
                        && signs.Any(sign => sign.Strength == SignStrength.Opposite)
            );
    }

    /// <summary>Whether a molt may be logged of it: not of eggs, pupae, colonies or those that are done with molting.</summary>
    public static bool MayMolt(Judgement j) =>
        !IsShut(j) && Molting.Follows(j.Subject) && (j.Molt.Value is not null || j.Stage.Value != Stage.Adult);

    /// <summary>Whether it takes food at its stage of life, hushed or not.</summary>
    public static bool Eats(Judgement j) => !IsShut(j) && !j.Meal.Value.EatsNothing;

    /// <summary>Whether it is an egg or a pupa: shut in, with neither food nor signs.</summary>
    private static bool IsShut(Judgement j) =>
        j.Stage.Value is Stage.Egg or Stage.Pupa
        || j.Subject.AllWaitFor(VigilKind.Emergence)
        || j.Subject.AllWaitFor(VigilKind.Hatching);

    private static IEnumerable<LogOffer> HeadOf(Judgement j, bool tube)
    {
        if (ShowsSigns(j))
        {
            yield return Form("s", "Sign seen", EntryForm.SignSeen);
        }

        if (tube)
        {
            yield return Form("w", "Tube", EntryForm.TubeSeen);
        }
        else if (Given(j) is { Count: > 0 } waters)
        {
            yield return new LogOffer("w", "Water", [.. waters.Select(w => new Watered(w))], null);
        }

        if (MayMolt(j))
        {
            yield return Form("m", "Molted", EntryForm.Molted);
        }

        if (j.Subject.WaitsOfAll.FirstOrDefault() is { } wait)
        {
            yield return Ended(MayMolt(j) ? "y" : "m", wait.Vigil, VigilEnd.AsHoped, j.Subject);
        }

        if (Eats(j) && j.Subject.Tank is null)
        {
            var care = j.Subject.Group.Feeding.Prey?.LiveOnly.Value == true ? CareAct.FeedLive : CareAct.FeedDead;
            yield return new LogOffer("f", "Feed", [], EntryForm.Offered, care);
        }
    }

    private static IEnumerable<LogOffer> AtOnceOf(Judgement j)
    {
        var way = j.Subject.Tank is null ? j.Subject.Group.At(j.Stage.Value).WaterWay.Value : WaterWay.None;
        LogOffer Water(string key, string label, WaterKind kind) => new(key, label, [new Watered(kind)], null);
        if (way == WaterWay.Dish)
        {
            yield return Water("d", "Dish filled", WaterKind.Dish);
        }

        if (way == WaterWay.Pools)
        {
            yield return Water("d", "Both pools filled", WaterKind.Pools);
        }

        if (way is WaterWay.Dish or WaterWay.Drops || (way == WaterWay.ColdMist && j.Subject.IsChilled))
        {
            yield return Water("i", "Misted", WaterKind.Mist);
        }

        if (way is WaterWay.Dish or WaterWay.DampEnd)
        {
            yield return Water("j", "Damp side moistened", WaterKind.Damp);
        }

        if (ShowsSigns(j))
        {
            yield return new LogOffer("l", "Looked: no sign", [new Looked()], null);
        }

        if (Eats(j) && j.Subject.Tank is null)
        {
            yield return new LogOffer("x", "Leftovers taken out", [new LeftoversRemoved()], null);
        }

        for (var (i, clocks) = (0, j.Upkeep.Value.Clocks); i < clocks.Count; i++)
        {
            if (!clocks[i].IsTold)
            {
                yield return new LogOffer(TendKeys[i], clocks[i].Task.Done.ToUpperFirst(), [clocks[i].Done], null);
            }
        }

        if (j.Subject.Group.Courtship?.SpermWeb.Value == true && PairingTasks.MaySpin(j.Subject, j.Stage.Value))
        {
            var look = PairingTasks.WebDue(j.Subject);
            yield return new LogOffer("8", "New sperm web, cleared", [WebTask.Of(look, WebLook.New)], null);
            yield return new LogOffer("0", "Looked: no sperm web", [WebTask.Of(look, WebLook.None)], null);
        }

        if (j.Subject.Group.ChecksFangs && !j.Subject.Standing.IsTank)
        {
            yield return new LogOffer("b", "Fangs black", [new FangsChecked(true)], null);
        }
    }

    private static IEnumerable<LogOffer> FoundOf(Judgement j)
    {
        var s = j.Subject;
        var key = 1;
        foreach (var wait in s.Waits)
        {
            foreach (var end in VigilDefinition.Of(wait.Vigil).AllEnds)
            {
                yield return Ended($"{key++}", wait.Vigil, end.Id, s);
            }
        }

        // Who waits for her sac and guards it begins to when she has it.
        var has = s.AllWaitFor(VigilKind.EggCase);
        foreach (var vigil in VigilForecast.MayBegin(s, j.Stage.Value).Where(v => !(has && v == VigilKind.Young)))
        {
            yield return new LogOffer(
                $"{key++}",
                $"{VigilDefinition.Of(vigil).Began.ToUpperFirst()}…",
                [new Began(vigil)],
                EntryForm.Began
            );
        }

        if (ChilledEntry.MayBeChilled(s) && !s.Standing.IsTank)
        {
            yield return s.IsChilled
                ? new LogOffer($"{key++}", "Taken out of the cold…", [new Chilled(false)], EntryForm.Chilled)
                : new LogOffer($"{key++}", "Put into the cold…", [new Chilled(true)], EntryForm.Chilled);
        }

        if (WarmUpPlannedEntry.MayBePlanned(s))
        {
            yield return Form($"{key}", "Night out of the cold, planned…", EntryForm.WarmUpPlanned);
        }
    }

    private static IEnumerable<LogOffer> FormsOf(Judgement j, bool waterForm, bool tube)
    {
        var s = j.Subject;
        var follows = Molting.Follows(s) && !IsShut(j);
        var tank = s.Standing.IsTank;
        var others = s.Room.Tanks.Standings.Values.Any(t => t.IsTank && t.StockId != s.Standing.TankId);
        (string Key, string Label, EntryForm Form, bool Fits)[] forms =
        [
            ("o", "Other food offered…", EntryForm.Offered, Eats(j)),
            ("m", "Molted…", EntryForm.Molted, follows),
            ("e", "Measured…", EntryForm.Measured, j.Stage.Value != Stage.Egg && !tank),
            ("g", "Limb lost or growing…", EntryForm.LimbNoted, follows),
            ("s", "Sex told…", EntryForm.SexSeen, !tank && SexTelling.Showing(s, j.Stage.Value, s.Instar).Any()),
            (
                "a",
                tank ? "Cleaned or changed…"
                : s.IsMany ? "Something done to them…"
                : "Something done to it…",
                EntryForm.Handled,
                true
            ),
            ("v", s.Tank is null ? "Moved…" : "Out of the tank, to a place of its own…", EntryForm.Moved, true),
            (
                "h",
                s.Tank is null ? "Into a shared tank…" : "Into another tank…",
                EntryForm.Placed,
                others && PlacedEntry.MayShare(s)
            ),
            ("u", "Enclosure…", EntryForm.Housed, s.Tank is null),
            ("t", "Note…", EntryForm.Noted, true),
            ("w", "Later, with a reason…", EntryForm.PutOff, true),
            ("c", "Counted…", EntryForm.Counted, s.IsMany && !tank),
            (
                "0",
                "Looked again for those missing…",
                EntryForm.SecondLook,
                SecondLookEntry.MissingOf(s.Standing) is not null
            ),
            ("f", "Divided into vials…", EntryForm.Divided, IsTray(j)),
            ("8", "Skins found, by vial…", EntryForm.VialsMolted, IsTray(j) && follows),
            ("r", "Graded by size…", EntryForm.Graded, IsTray(j)),
            ("r", "Paired…", EntryForm.Paired, !s.IsMany && j.Stage.Value == Stage.Adult && !s.IsQueenAlone),
            ("z", "Born, found or put in…", EntryForm.Gained, s.IsMany && !tank),
            (
                "7",
                "Some parted from them…",
                EntryForm.Parted,
                s.IsMany && !tank && PartedEntry.MayBeParted(s.Group, s.Standing)
            ),
            ("f", "Young came out…", EntryForm.GaveBirth, MayBear(j)),
            (
                "c",
                $"{(s.Group.EggCase ?? "eggs").ToUpperFirst()} taken, to be kept apart…",
                EntryForm.CaseTaken,
                MayBear(j) && CaseTakenEntry.MayBeTaken(s)
            ),
            (",", "Young promised to somebody…", EntryForm.Promised, PromisedEntry.MayBePromised(s)),
            ("-", "Calcium, source by source…", EntryForm.CalciumLooked, CalciumLookedEntry.Concerns(s)),
            (";", "Food plant…", EntryForm.HostChosen, HostChosenEntry.HasHost(s, j.Stage.Value)),
            ("[", "How they are kept…", EntryForm.Boxed, HostChosenEntry.HasHost(s, j.Stage.Value)),
            ("=", "Some do not thrive…", EntryForm.SickSeen, SickSeenEntry.Concerns(s, j.Stage.Value)),
            ("[", "How she was caught…", EntryForm.QueenCaught, QueenCaughtEntry.Concerns(s)),
            ("=", "Peek: what is in there…", EntryForm.Peeked, QueenCaughtEntry.Concerns(s)),
            ("]", "Into another nest…", EntryForm.NestMoved, NestMovedEntry.MayMove(s)),
            ("!", "Pouches, young, trouble in the tub…", EntryForm.TubLooked, TubLookedEntry.Concerns(s)),
            ("]", "Some marked and put back…", EntryForm.Marked, TubLookedEntry.Concerns(s)),
            (
                "'",
                "Caught again, some marked…",
                EntryForm.Recaught,
                TubLookedEntry.Concerns(s) && s.Standing.Colony.Marked is not null
            ),
            ("+", "Equal scoops counted…", EntryForm.Scooped, TubLookedEntry.Concerns(s)),
            ("[", "Shell it wears…", EntryForm.ShellTaken, ShellTakenEntry.Wears(s)),
            ("[", "Who is up…", EntryForm.LookedRound, tank && s.Group.Growth.SizePart == BodyPart.Claw),
            ("]", "Empty shells counted…", EntryForm.ShellsCounted, tank && s.Group.Growth.SizePart == BodyPart.Claw),
            ("]", "Did it molt? Marks…", EntryForm.MoltMarksSeen, ShellTakenEntry.Wears(s) && !IsShut(j)),
            ("=", "Others dig there; the sleeve…", EntryForm.BurialGuarded, BurialGuardedEntry.Concerns(s)),
            ("=", "Mating log…", EntryForm.MatingSeen, tank && s.Group.Growth.SizePart == BodyPart.Claw),
            (".", "How many young are wanted…", EntryForm.Capped, PromisedEntry.MayBePromised(s)),
            ("9", "Lent to somebody…", EntryForm.Lent, !tank && s.Standing.Details.Borrowed is null),
            (
                "k",
                "Thin, normal, full…",
                EntryForm.ConditionSeen,
                s.Group.Feeding.ConditionByEye.Value && !IsShut(j) && !tank
            ),
            ("y", "Water of the tube…", EntryForm.TubeSeen, tube),
            ("n", "Water, another night…", EntryForm.Watered, waterForm),
        ];
        return forms.Where(f => f.Fits).Select(f => Form(f.Key, f.Label, f.Form));
    }

    /// <summary>Whether it is a brood whose young live in numbered vials, now or later.</summary>
    private static bool IsTray(Judgement j) =>
        j.Subject is { IsBrood: true, Standing.Details.Count: > 1 } && !IsShut(j);

    /// <summary>Whether it may have had young: an adult that is no male, and no queen, whose young are her colony.</summary>
    private static bool MayBear(Judgement j) =>
        !j.Subject.IsMany
        && j.Stage.Value == Stage.Adult
        && j.Subject.Standing.Details.Sex != Sex.Male
        && j.Subject.Group.Feeding.Diet != Diet.SugarAndProtein;

    /// <summary>How water is given to it: what is due first, else the first of its clocks.</summary>
    internal static IReadOnlyList<WaterKind> Given(Judgement j)
    {
        var poured = j.Water.Value.Clocks.Where(c => c.Kind is not null).ToList();
        var due = poured.Where(c => c.Due <= j.Subject.Room.Tonight).ToList();
        return [.. (due.Count > 0 ? due : poured.Take(1)).Select(c => c.Kind!.Value).Distinct()];
    }

    private static LogOffer Form(string key, string label, EntryForm form) => new(key, label, [], form);

    /// <summary>The end of a wait; a mother that guards what she was waiting for begins to do so with it.</summary>
    private static LogOffer Ended(string key, VigilKind vigil, string end, Subject s)
    {
        var label = $"{VigilDefinition.Of(vigil).End(end).PastOf(s.Group).ToUpperFirst()}…";
        // One that guards an earlier brood already goes on doing so.
        var begins =
            vigil == VigilKind.EggCase
            && end == VigilEnd.AsHoped
            && s.Group.Knows(VigilKind.Young)
            && VigilForecast.InTheWay(s.Standing, VigilKind.Young) is null;
        return begins
            ? new LogOffer(key, label, [new Began(VigilKind.Young)], EntryForm.Began)
            : new LogOffer(key, label, [new Ended(vigil, end)], EntryForm.Ended);
    }
}
