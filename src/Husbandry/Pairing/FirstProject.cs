using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>A species as a first project of pairing.</summary>
/// <param name="Species">Scientific name.</param>
/// <param name="Own">The keeper's own adult or maturing animals of it, by name; empty where there are none.</param>
/// <param name="Met">How many of the things that make a first project easy hold for it.</param>
/// <param name="Asked">Of how many.</param>
/// <param name="Says">What speaks for it and what against, in a sentence.</param>
/// <param name="Why">Reasons, those that hold first.</param>
public sealed record FirstProject(
    string Species,
    IReadOnlyList<string> Own,
    int Met,
    int Asked,
    string Says,
    IReadOnlyList<Reason> Why
)
{
    private sealed record Point(bool Holds, string Word, string Against, Reason Why);

    /// <summary>Species by how fit they are for a first project, the keeper's own first.</summary>
    /// <param name="rules">The rulebook.</param>
    /// <param name="own">The keeper's own animals at the desk, by the id of their species.</param>
    /// <remarks>
    /// Calm and easy to breed, the male usually lives, a sac soon, slow, mild, no season needed: each counts alike. Source: common
    /// practice, no published source; the limits are rules.
    /// </remarks>
    public static IReadOnlyList<FirstProject> Ranked(RuleSet rules, ILookup<string, string> own)
    {
        var room = rules.Room.Pairing.FirstProject;
        var all = rules
            .Species.Where(s => s.Pairing is not null && rules.Group(s.Group)!.Knows(VigilKind.EggCase))
            .Select(s => (Profile: s, Points: PointsOf(s, room)))
            .OrderByDescending(s => s.Points.Count(p => p.Holds))
            .ThenBy(s => s.Profile.BreedingDifficulty.Value)
            .ThenBy(s => s.Profile.Pairing!.SacWait.Value.P50)
            .Select(s => Of(s.Profile, s.Points, [.. own[s.Profile.Id]]))
            .ToList();
        return
        [
            .. all.Where(p => p.Own.Count > 0).Take(room.Named.Value),
            .. all.Where(p => p.Own.Count == 0).Take(room.Named.Value),
        ];
    }

    private static FirstProject Of(SpeciesProfile profile, IReadOnlyList<Point> points, IReadOnlyList<string> own)
    {
        var (good, bad) = (points.Where(p => p.Holds).ToList(), points.Where(p => !p.Holds).ToList());
        var says = string.Join(", ", good.Select(p => p.Word)).ToUpperFirst();
        var but = bad.Count == 0 ? "." : $"; but {string.Join(", ", bad.Select(p => p.Against))}.";
        return new FirstProject(
            profile.ScientificName,
            own,
            good.Count,
            points.Count,
            says + but,
            [.. good.Concat(bad).Select(p => p.Why)]
        );
    }

    private static List<Point> PointsOf(SpeciesProfile profile, FirstProjectRules rules)
    {
        var pairing = profile.Pairing!;
        var hazard = profile.Hazard;
        return
        [
            new(
                profile.BreedingDifficulty.Value <= rules.EasyUntil.Value,
                "pairs calmly",
                "is not easy to breed",
                profile.BreedingDifficulty.Because(
                    "Breeding",
                    "species.breedingDifficulty",
                    $"{profile.BreedingDifficulty.Value} of 5 in difficulty."
                )
            ),
            new(
                pairing.MaleLives.Value >= rules.MaleLivesFrom.Value,
                "the male usually lives",
                "the male often does not live",
                pairing.MaleLives.Because(
                    "The male",
                    "species.maleLives",
                    $"{Wording.Chance(pairing.MaleLives.Value)} males come out alive."
                )
            ),
            new(
                pairing.SacWait.Value.P50 <= rules.SacWithinDays.Value,
                "a result soon",
                $"about {Wording.Plain(Math.Round(pairing.SacWait.Value.P50))} days of waiting",
                pairing.SacWait.Because(
                    "The wait",
                    "species.sacWait",
                    $"Half of them within {Wording.Plain(pairing.SacWait.Value.P50)} days."
                )
            ),
            new(
                profile.Quick?.Value != true,
                "slow",
                "quick",
                profile.Quick is { } quick
                    ? quick.Because("Quick", "species.quick", quick.Value ? "Runs or jumps fast." : "Slow.")
                    : Reason.FromRecord("Quick", "Not known as quick.", "species.quick")
            ),
            new(
                hazard?.Value is null or Hazard.None or Hazard.IrritantHairs,
                "mild",
                hazard?.Value == Hazard.PainfulSting ? "its sting hurts" : "its venom is dangerous",
                hazard is not null
                    ? hazard.Because("Hazard", "species.hazard", "What it can do to people.")
                    : Reason.FromRecord("Hazard", "Nothing beyond a pinch.", "species.hazard")
            ),
            new(
                pairing.Season is null,
                "no season needed",
                "needs its season",
                pairing.Season is { } season
                    ? season.Because("Season", "species.season", $"{season.Value.ToUpperFirst()}.")
                    : Reason.FromRecord("Season", "Any time of the year will do.", "species.season")
            ),
        ];
    }
}
