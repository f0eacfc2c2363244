using System.Globalization;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Nursery;

/// <summary>Whether the young of a brood live together or each alone.</summary>
public enum ApartState
{
    /// <summary>They may be together still; each will live alone one day.</summary>
    Together,

    /// <summary>They should be put apart now.</summary>
    Due,

    /// <summary>They should be apart, and must be left alone first: they are soft, or about to molt.</summary>
    AfterTheMolt,

    /// <summary>Each lives alone.</summary>
    Apart,
}

/// <summary>When the young of a brood are put apart in time, and what that takes.</summary>
/// <param name="State">Where they stand.</param>
/// <param name="Instar">The instar from which each lives alone, as written.</param>
/// <param name="On">Night from which it is done; none while nobody knows, and once it was.</param>
/// <param name="BeforeMolt">Whether that is before the molt, rather than after it.</param>
/// <param name="MoltFrom">Night from which the molt is to be expected that ends their living together (one in ten is earlier).</param>
/// <param name="MoltLikely">Half of such molts are over by then.</param>
/// <param name="MoltTo">Nine in ten are.</param>
/// <param name="Vials">Vials to have ready, one for each; of eggs that nobody counted as many as such a brood usually has.</param>
/// <param name="Vial">Of what kind.</param>
/// <param name="Seed">Cleaners that go into them before, in words; none where none do.</param>
/// <param name="ShelfMm">Length of shelf for all of them in one row.</param>
/// <param name="Minutes">Minutes that it takes.</param>
public sealed record Apart(
    ApartState State,
    string Instar,
    DateOnly? On,
    bool BeforeMolt,
    DateOnly? MoltFrom,
    DateOnly? MoltLikely,
    DateOnly? MoltTo,
    int Vials,
    string Vial,
    string? Seed,
    double ShelfMm,
    double Minutes
)
{
    /// <summary>Whether and when a brood goes apart; none for what may stay together, and where no instar is known.</summary>
    /// <param name="brood">The brood.</param>
    /// <param name="molt">Its next molt.</param>
    /// <param name="hatch">When it hatches, while it is eggs.</param>
    /// <param name="firstMeal">When it may eat after its last molt.</param>
    /// <param name="hush">What may be done to it.</param>
    public static Answer<Apart?> Of(
        Subject brood,
        VigilForecast? molt,
        VigilForecast? hatch,
        FirstMeal? firstMeal,
        HushTable hush
    )
    {
        ArgumentNullException.ThrowIfNull(brood);
        ArgumentNullException.ThrowIfNull(hush);
        if (
            !brood.IsBrood
            || brood.Standing.Departure is not null
            || brood.Group.Nursery is not { ApartFrom: { } from } rules
        )
        {
            return new Answer<Apart?>(null, "They may stay together.", []);
        }

        var room = brood.Room.Rules.Room.Nursery;
        if (brood.AllWaitFor(VigilKind.Hatching))
        {
            return AfterHatching(brood, hatch, rules, from, room);
        }

        if (brood.Instar is not { } instar)
        {
            return new Answer<Apart?>(
                null,
                "How many molts they have behind them is not known: nobody can say when they go apart.",
                []
            );
        }

        var state = StateOf(brood, instar, from.Value, hush);
        // Until then more than one molt may lie between; only the last of them ends it.
        var next = instar == from.Value - 1 ? molt : null;
        var before = rules.ApartBeforeMolt!.Value;
        var ready = before ? next?.P10.AddDays(-room.ApartAheadNights.Value) : next?.P10;
        var on = state switch
        {
            ApartState.Apart => null,
            ApartState.Due => brood.Room.Tonight,
            ApartState.AfterTheMolt => instar >= from.Value && firstMeal?.Night > brood.Room.Tonight
                ? firstMeal.Night
                : null,
            ApartState.Together => ready,
            _ => throw new ArgumentOutOfRangeException(nameof(brood), state, "No night for such a state."),
        };
        if (state == ApartState.Together && before && on <= brood.Room.Tonight)
        {
            state = ApartState.Due;
        }

        var apart = Sized(
            new Apart(
                state,
                brood.Group.InstarMark + from.Value.ToString(CultureInfo.InvariantCulture),
                on,
                before,
                next?.P10,
                next?.P50,
                next?.P90,
                brood.Standing.Details.Count,
                "",
                null,
                0,
                0
            ),
            rules,
            room
        );
        return new Answer<Apart?>(apart, Say(apart, brood), Why(apart, brood, rules, from, room));
    }

    private static Apart Sized(Apart apart, NurseryRules rules, RoomNurseryRules room) =>
        apart with
        {
            Vial = rules.Vial!.Value.Name,
            Seed = rules.Seed?.Value is { } seed
                ? string.Create(
                    CultureInfo.InvariantCulture,
                    $"{seed.Each * apart.Vials} {seed.What}, {seed.Each} in each"
                )
                : null,
            ShelfMm = Math.Ceiling(apart.Vials * rules.Vial!.Value.WidthMm * room.VialPitch.Value),
            Minutes = Math.Ceiling(apart.Vials * room.ApartSeconds.Value / 60),
        };

    /// <summary>
    /// Of eggs: so long after the hatching as the first instars last, so that vials and flies are there before. Where each lives
    /// alone from a later instar than the second nothing is said yet.
    /// </summary>
    private static Answer<Apart?> AfterHatching(
        Subject eggs,
        VigilForecast? hatch,
        NurseryRules rules,
        Rule<int> from,
        RoomNurseryRules room
    )
    {
        if (VigilForecast.IsHeldByCold(eggs, VigilKind.Hatching))
        {
            return new Answer<Apart?>(null, "In the cold: when they go apart is told once they are warm.", []);
        }

        var first = eggs.Profile.MoltInterval.GetValueOrDefault(Stage.Sling)?.Value;
        var usual = eggs.Profile.Pairing?.BroodSize.Value;
        var vials =
            eggs.Standing.Details.Count > 1 ? eggs.Standing.Details.Count
            : usual is null ? 0
            : (int)Math.Round(usual.Middle);
        if (hatch is null || first is null || vials == 0 || from.Value != eggs.Group.InstarAtHatching + 1)
        {
            return new Answer<Apart?>(null, $"Each lives alone from {eggs.Group.InstarMark}{from.Value} on.", []);
        }

        DateOnly After(DateOnly night, double days) => night.AddDays((int)Math.Round(days));
        var (p10, p50, p90) = (After(hatch.P10, first.P10), After(hatch.P50, first.P50), After(hatch.P90, first.P90));
        var apart = Sized(
            new Apart(
                ApartState.Together,
                eggs.Group.InstarMark + from.Value.ToString(CultureInfo.InvariantCulture),
                rules.ApartBeforeMolt!.Value ? p10.AddDays(-room.ApartAheadNights.Value) : p10,
                rules.ApartBeforeMolt.Value,
                p10,
                p50,
                p90,
                vials,
                "",
                null,
                0,
                0
            ),
            rules,
            room
        );
        var text =
            $"Each alone {(apart.BeforeMolt ? "before" : "after")} the first molt, likely between {eggs.Room.Wording.Between(p10, p90)}: about {vials} × {apart.Vial}.";
        return new Answer<Apart?>(
            apart,
            text,
            [
                Reason.FromRecord(
                    "Hatching",
                    $"Hatches between {eggs.Room.Wording.Between(hatch.P10, hatch.P90)}.",
                    "record.began"
                ),
                eggs
                    .Profile.MoltInterval[Stage.Sling]
                    .Because(
                        "First molt",
                        "species.moltInterval.sling",
                        $"The first instar lasts {Wording.Plain(first.P10)}–{Wording.Plain(first.P90)} days, half of them {Wording.Plain(first.P50)}; earliest is added to earliest and latest to latest, so that the band is rather too wide."
                    ),
                .. Why(apart, eggs, rules, from, room),
            ]
        );
    }

    private static ApartState StateOf(Subject brood, int instar, int from, HushTable hush)
    {
        // Who came at that instar or later came in vials; who came out of a sac or off a back here did not.
        var bornHere = brood.Standing.Counts[0].Change == CountChange.Born;
        var molts = brood.Standing.Growth.Molts.Count(m => m.When.To >= brood.Standing.ArrivedAt);
        var cameApart = !bornHere && instar - molts >= from;
        return brood.Standing.Tray.IsDivided || brood.Standing.Details.Count == 1 || cameApart ? ApartState.Apart
            : hush[CareAct.Rehouse].Verdict != Verdict.Fine ? ApartState.AfterTheMolt
            : instar >= from || (bornHere && brood.Group.Nursery?.EatsFrom is not null) ? ApartState.Due
            : ApartState.Together;
    }

    private static string Say(Apart a, Subject brood)
    {
        var words = brood.Room.Wording;
        var until = a is { BeforeMolt: true, MoltFrom: { } p10 }
            ? $", before the molt of {words.Dates(p10, a.MoltTo!.Value)}"
            : "";
        return a.State switch
        {
            ApartState.Apart => "Each lives alone.",
            ApartState.Due => $"Put each alone now{until}: {a.Vials} × {a.Vial}.",
            ApartState.AfterTheMolt when a.On is { } on =>
                $"Each alone when they have hardened, from {words.Day(on)}: {a.Vials} × {a.Vial}. Until then leave them be, with room and cover.",
            ApartState.AfterTheMolt when brood.Group.ChecksFangs && a.MoltFrom is null =>
                $"Each alone once their fangs are seen black: {a.Vials} × {a.Vial}. Until then leave them be, with room and cover.",
            ApartState.AfterTheMolt =>
                $"Leave them be now, with room and cover, and put each alone when they have molted and hardened: {a.Vials} × {a.Vial}.",
            ApartState.Together when a is { BeforeMolt: false, MoltFrom: { } from } =>
                $"Together until they have molted to {a.Instar} and hunt, likely {words.Dates(from, a.MoltTo!.Value)}; then each alone: {a.Vials} × {a.Vial}.",
            ApartState.Together when a.On is { } on =>
                $"Together until {words.Day(on)}; then each alone{until}: {a.Vials} × {a.Vial}.",
            ApartState.Together => $"Together for now; each alone from {a.Instar} on: {a.Vials} × {a.Vial}.",
            _ => throw new ArgumentOutOfRangeException(nameof(a), a.State, "No words for such a state."),
        };
    }

    private static IReadOnlyList<Reason> Why(
        Apart a,
        Subject brood,
        NurseryRules rules,
        Rule<int> from,
        RoomNurseryRules room
    ) =>
        [
            from.Because("Apart", "group.apartFrom", $"Each lives alone from {a.Instar} on. {rules.Keeping.Value}"),
            room.ApartAheadNights.Because(
                "In time",
                "room.apartAheadNights",
                a.BeforeMolt
                    ? $"{Wording.Nights(room.ApartAheadNights.Value)} before the earliest likely molt."
                    : "After that molt, when they have hardened and hunt."
            ),
            rules.Vial!.Because(
                "Vials",
                "group.vial",
                $"{a.Vials} of {a.Vial}: {brood.Room.Wording.Length(a.ShelfMm)} of shelf in one row, about {Wording.Plain(a.Minutes)} minutes."
            ),
            .. rules.Seed is { } cleaners
                ?
                [
                    cleaners.Because(
                        "Cleaners",
                        "group.seed",
                        $"{a.Seed}, before the young: they eat mold and what is left."
                    ),
                ]
                : Array.Empty<Reason>(),
        ];
}
