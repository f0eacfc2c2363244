using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>What the rulebook alone expects of one wait, on ln effective days.</summary>
/// <param name="Mu">Centre.</param>
/// <param name="Sigma">Spread.</param>
/// <param name="Part">Part of life: 0–7 for the eighths of growing up, 8 for adults; of crabs underground by size, 0 for other waits.</param>
/// <param name="NextLonger">How many times as long the wait after it is, where its end may go unseen; none where it cannot.</param>
public sealed record IntervalPrior(double Mu, double Sigma, int Part = 0, double? NextLonger = null)
{
    /// <summary>Parts of life that are told apart.</summary>
    public const int Parts = 9;

    /// <summary>Of them those of growing up.</summary>
    public const int Growing = Parts - 1;

    private const int Adult = Parts - 1;

    private const double LeastSling = 1;

    /// <summary>
    /// Molt intervals lengthen with every molt: ln of the median runs straight between the middles of the species'
    /// stages. Adults have one median of their own.
    /// </summary>
    /// <param name="profile">The species.</param>
    /// <param name="stage">The stage while waiting.</param>
    /// <param name="molts">Molts behind it, if known.</param>
    /// <param name="sizeMm">Size, used where the number of molts is not known.</param>
    /// <param name="sex">Sex.</param>
    public static IntervalPrior ForMolt(SpeciesProfile profile, Stage stage, int? molts, double? sizeMm, Sex sex)
    {
        var own = LogNormalWait.FromPrior(profile.MoltInterval[stage].Value);
        var toAdult = sex switch
        {
            Sex.Male => profile.MoltsToAdult.Male.Value.Middle,
            Sex.Female => profile.MoltsToAdult.Female.Value.Middle,
            _ => (profile.MoltsToAdult.Male.Value.Middle + profile.MoltsToAdult.Female.Value.Middle) / 2,
        };
        if (stage is Stage.Adult or Stage.Pupa)
        {
            return new IntervalPrior(own.Mu, own.Sigma, Adult, stage == Stage.Adult ? 1 : null);
        }

        var logRatio = Math.Log(profile.GrowthRatio.Value);
        double MoltsAt(double size) => toAdult - (Math.Log(profile.AdultSizeOf(sex).Value.Middle / size) / logRatio);
        var slingEnd = Math.Clamp(MoltsAt(profile.SlingUntilMm.Value), LeastSling, Math.Max(LeastSling, toAdult - 2));
        (double At, Stage Stage)[] middles =
        [
            ((slingEnd - 1) / 2, Stage.Sling),
            ((slingEnd + toAdult - 2) / 2, Stage.Juvenile),
            (toAdult - 1, Stage.SubAdult),
        ];
        var middle = middles.First(m => m.Stage == stage).At;
        var k = molts ?? (sizeMm is { } size ? MoltsAt(size) : middle);
        double Mu(Stage s) => Math.Log(profile.MoltInterval[s].Value.P50);
        var (a, b) = k < middles[1].At ? (middles[0], middles[1]) : (middles[1], middles[2]);
        var slope = b.At - a.At > 0.5 ? (Mu(b.Stage) - Mu(a.Stage)) / (b.At - a.At) : 0;
        // Beyond the middles of the first and last stage the line is not drawn out further than one molt.
        var within = Math.Clamp(k, middles[0].At - 1, middles[2].At + 1);
        var eighth = (int)Math.Clamp(Growing * k / toAdult, 0, Growing - 1);
        return new IntervalPrior(Mu(a.Stage) + (slope * (within - a.At)), own.Sigma, eighth, Math.Exp(slope));
    }

    /// <summary>The wait that a prior alone describes.</summary>
    public LogNormalWait Alone => new(Mu, Sigma);
}
