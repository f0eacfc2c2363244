using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace App.Demo;

/// <summary>How a species lives in the simulation; every figure is invented for the demo.</summary>
/// <param name="Species">Rulebook species.</param>
/// <param name="FeedEvery">Nights between offers.</param>
/// <param name="FeedDays">Days of good feeding that the first instar needs until it is ready to molt.</param>
/// <param name="Longer">Factor on that with every molt.</param>
/// <param name="PremoltDays">Days of premolt in the first instar; grows with the square root of the feeding days.</param>
/// <param name="HardenDays">Days without food after a molt in the first instar.</param>
/// <param name="AdultMolts">Molts to adult of a female; a male needs one fewer.</param>
/// <param name="FemaleMoltsOn">Whether an adult female goes on molting.</param>
/// <param name="AdultDays">Days that an adult lives once it molts no more.</param>
/// <param name="Feeder">What is offered, by molts: the last whose limit is passed.</param>
/// <param name="FirstMm">Length of the measured part in the first instar.</param>
/// <param name="Part">The part measured on shed skins.</param>
/// <param name="Signs">Signs of premolt with the share of premolt after which they can be seen, and how often they deceive.</param>
internal sealed record LifePlan(
    string Species,
    double FeedEvery,
    double FeedDays,
    double Longer,
    double PremoltDays,
    double HardenDays,
    int AdultMolts,
    bool FemaleMoltsOn,
    double AdultDays,
    IReadOnlyList<(int FromMolts, string Feeder, string Size)> Feeder,
    double FirstMm,
    BodyPart Part,
    IReadOnlyList<(string Sign, double From, double Deceives)> Signs
);

/// <summary>
/// Simulates the life of one animal night by night. It is a model of a body, not of a forecast: food fills a store; when
/// the store is full the animal stops eating, premolt runs its course by warmth, and it molts. The keeper sees only part.
/// </summary>
internal sealed class SimulatedLife(
    LifePlan plan,
    LifeWriter life,
    Random random,
    SimulatedWeather weather,
    string rack
)
{
    private const double ReferenceC = 24;
    private const double WarmthPerDegree = 0.055;
    private const double SkippedRounds = 0.08;
    private const double NotesASign = 0.3;
    private const double NotesNothing = 0.12;
    private const double NeverLogged = 0.02;
    private const double MeasuresSkin = 0.8;

    private readonly double appetite = random.Between(0.72, 0.97);
    private readonly double thrift = Math.Exp(0.16 * Chance.Normal(random));
    private readonly double ratioNoise = 1 + (0.02 * Chance.Normal(random));
    private double store;
    private double premoltLeft = double.NaN;
    private double premoltWhole = 1;
    private int hardUntil = int.MaxValue;
    private int lastSeen;
    private int adultSince = -1;

    /// <summary>Runs the life from a night ago to tonight.</summary>
    /// <param name="arrived">Nights ago on which it came.</param>
    /// <param name="molts">Molts behind it then.</param>
    /// <param name="sex">Its sex.</param>
    /// <param name="growthRatio">Growth per molt of its species.</param>
    public void Run(int arrived, int molts, Sex sex, double growthRatio)
    {
        lastSeen = arrived;
        store = random.Between(0, 0.7);
        var toAdult = plan.AdultMolts - (sex == Sex.Male ? 1 : 0);
        var length = plan.FirstMm * Math.Pow(growthRatio * ratioNoise, molts);
        var nextOffer = (double)(arrived - 2);
        for (var ago = arrived - 1; ago >= 1; ago--)
        {
            var warmth = Math.Exp(WarmthPerDegree * (weather.Celsius(ago, rack) - ReferenceC));
            if (adultSince >= 0 && adultSince - ago > plan.AdultDays)
            {
                life.At(ago, new Departed(DepartureKind.Died, "old age"));
                return;
            }

            if (!double.IsNaN(premoltLeft))
            {
                premoltLeft -= warmth;
                if (premoltLeft <= 0)
                {
                    molts++;
                    var ultimate = molts == toAdult && !plan.FemaleMoltsOn || (molts == toAdult && sex == Sex.Male);
                    Molt(ago, ultimate, length);
                    length *= growthRatio * ratioNoise * (1 + (0.015 * Chance.Normal(random)));
                    adultSince = ultimate ? ago : adultSince;
                }
            }

            if (ago <= nextOffer && ago < hardUntil)
            {
                nextOffer = ago - (plan.FeedEvery * random.Between(0.85, 1.15));
                if (random.NextDouble() >= SkippedRounds)
                {
                    Visit(ago, molts, warmth, ultimateReached: adultSince >= 0);
                }
            }
        }

        life.Watered(1 + random.Next(2));
    }

    private double FeedDaysNow(int molts) => plan.FeedDays * Math.Pow(plan.Longer, molts) * thrift;

    private void Visit(int ago, int molts, double warmth, bool ultimateReached)
    {
        var inPremolt = !double.IsNaN(premoltLeft);
        var progress = inPremolt ? 1 - (premoltLeft / premoltWhole) : 0;
        var willing = inPremolt ? (progress < 0.25 ? appetite * 0.5 : 0.06) : appetite * (store > 0.85 ? 0.8 : 1);
        var (_, feeder, size) = plan.Feeder.Last(f => molts >= f.FromMolts);
        var eats = random.NextDouble() < willing;
        life.At(
            ago,
            new Offered(
                feeder,
                size,
                1,
                Preparation.Live,
                eats ? OfferOutcome.Eaten
                    : random.NextDouble() < 0.6 ? OfferOutcome.BattedAway
                    : OfferOutcome.Fled,
                false
            )
        );
        if (eats)
        {
            store += plan.FeedEvery * Math.Sqrt(warmth) * random.Between(0.8, 1.2) / FeedDaysNow(molts);
            if (store >= 1 && !inPremolt && !ultimateReached)
            {
                premoltWhole = Chance.Gamma(
                    random,
                    9,
                    plan.PremoltDays * Math.Sqrt(FeedDaysNow(molts) / plan.FeedDays)
                );
                premoltLeft = premoltWhole;
            }
        }

        var noted = false;
        foreach (var (sign, from, deceives) in plan.Signs)
        {
            var shows = inPremolt && progress >= from;
            if (random.NextDouble() < (shows ? NotesASign : deceives))
            {
                life.Sign(ago, sign);
                noted = true;
            }
        }

        if (!noted && random.NextDouble() < NotesNothing)
        {
            life.At(ago, new Looked());
        }

        lastSeen = ago;
    }

    private void Molt(int ago, bool ultimate, double lengthBefore)
    {
        (store, premoltLeft) = (0, double.NaN);
        var harden = plan.HardenDays * Math.Sqrt(lengthBefore / plan.FirstMm);
        hardUntil = ago - (int)Math.Ceiling(harden * random.Between(0.9, 1.3));
        if (!ultimate && random.NextDouble() < NeverLogged)
        {
            return;
        }

        // Found at once, or on one of the next rounds.
        var found = Math.Max(
            1,
            ago - (random.NextDouble() < 0.55 ? 0 : 1 + random.Next((int)Math.Ceiling(plan.FeedEvery)))
        );
        life.Molted(found, found == ago ? found : Math.Max(found, Math.Min(lastSeen, ago + 6)), ultimate);
        if (random.NextDouble() < MeasuresSkin)
        {
            life.At(found, new Measured(plan.Part, Math.Round(lengthBefore, 2), true), minute: 30);
        }
    }
}
