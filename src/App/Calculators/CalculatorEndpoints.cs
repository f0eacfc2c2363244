using Husbandry.Climate;
using Husbandry.Colonies;
using Husbandry.Housing;
using Husbandry.Reasons;

namespace App.Calculators;

/// <summary>A reason as the open calculators give it.</summary>
public sealed record CalcReason(string Text, string Rule, RuleTag Tag, string Source)
{
    internal static IReadOnlyList<CalcReason> From(IEnumerable<Reason> reasons) =>
        [.. reasons.Select(r => new CalcReason(r.Text, r.Rule, r.Tag, r.Source))];
}

/// <summary>Answer of an open calculator.</summary>
public sealed record CalcAnswer<T>(T Result, IReadOnlyList<CalcReason> Reasons);

/// <summary>The open calculators.</summary>
public static class CalculatorEndpoints
{
    public static void MapCalculators(this WebApplication app)
    {
        var calc = app.MapGroup("/api/calc").WithTags("Calculators");
        calc.MapPost("growth-fit", GrowthFitCalculator.Answer)
            .WithName("calcGrowthFit")
            .Produces<CalcAnswer<GrowthFitResult>>()
            .ProducesValidationProblem();
        calc.MapPost("vigil", VigilCalculator.Answer)
            .WithName("calcVigil")
            .Produces<CalcAnswer<VigilResult>>()
            .ProducesValidationProblem();
        calc.MapPost("prey", PreyCalculator.Answer)
            .WithName("calcPrey")
            .Produces<CalcAnswer<PreyResult>>()
            .ProducesValidationProblem();
        calc.MapPost("degree-days", ClimateCalculators.DegreeDaysOf)
            .WithName("calcDegreeDays")
            .Produces<CalcAnswer<DegreeDaysResult>>()
            .ProducesValidationProblem();
        calc.MapPost("air", ClimateCalculators.AirOf)
            .WithName("calcAir")
            .Produces<CalcAnswer<AirResult>>()
            .ProducesValidationProblem();
        calc.MapPost("hygrometer", ClimateCalculators.HygrometerOf)
            .WithName("calcHygrometer")
            .Produces<CalcAnswer<HygrometerResult>>()
            .ProducesValidationProblem();
        calc.MapPost("photo-measure", PhotoCalculator.Answer)
            .WithName("calcPhotoMeasure")
            .Produces<CalcAnswer<Husbandry.Growth.PhotoMeasure>>()
            .ProducesValidationProblem();
        calc.MapPost("mass", BodyCalculators.MassOf)
            .WithName("calcMass")
            .Produces<CalcAnswer<MassResult>>()
            .ProducesValidationProblem();
        calc.MapPost("diversity", DiversityCalculator.Answer)
            .WithName("calcDiversity")
            .Produces<CalcAnswer<DiversityResult>>()
            .ProducesValidationProblem();
        calc.MapPost("container", BodyCalculators.ContainerOf)
            .WithName("calcContainer")
            .Produces<CalcAnswer<ContainerResult>>()
            .ProducesValidationProblem();
        calc.MapPost("kinship", KinshipCalculator.Answer)
            .WithName("calcKinship")
            .Produces<CalcAnswer<KinshipResult>>()
            .ProducesValidationProblem();
        calc.MapPost("pairing-race", PairingCalculators.RaceOf)
            .WithName("calcPairingRace")
            .Produces<CalcAnswer<PairingRaceResult>>()
            .ProducesValidationProblem();
        calc.MapPost("overlap", PairingCalculators.OverlapOf)
            .WithName("calcOverlap")
            .Produces<CalcAnswer<OverlapResult>>()
            .ProducesValidationProblem();
        calc.MapPost("picture-count", PictureCountCalculator.AnswerAsync)
            .WithName("calcPictureCount")
            .Accepts<byte[]>("image/jpeg", "image/png", "image/webp")
            .Produces<CalcAnswer<PictureCountResult>>()
            .ProducesValidationProblem();
        calc.MapPost("survival", SurvivalCalculator.Answer)
            .WithName("calcSurvival")
            .Produces<CalcAnswer<SurvivalResult>>()
            .ProducesValidationProblem();
        calc.MapPost("weighed-count", WeighedCountCalculator.AnswerAsync)
            .WithName("calcWeighedCount")
            .Produces<CalcAnswer<WeighedCountResult>>()
            .ProducesValidationProblem();
        calc.MapPost("leaf-demand", LarvaCalculators.LeafDemandOf)
            .WithName("calcLeafDemand")
            .Produces<CalcAnswer<LeafDemandResult>>()
            .ProducesValidationProblem();
        calc.MapPost("chill", LarvaCalculators.ChillOf)
            .WithName("calcChill")
            .Produces<CalcAnswer<ChillDone>>()
            .ProducesValidationProblem();
        calc.MapPost("chain", ColonyCalculators.ChainOf)
            .WithName("calcChain")
            .Produces<CalcAnswer<ChainResult>>()
            .ProducesValidationProblem();
        calc.MapPost("population", ColonyCalculators.PopulationOf)
            .WithName("calcPopulation")
            .Produces<CalcAnswer<MarkRecapture>>()
            .ProducesValidationProblem();
        calc.MapPost("harvest", ColonyCalculators.HarvestOf)
            .WithName("calcHarvest")
            .Produces<CalcAnswer<HarvestResult>>()
            .ProducesValidationProblem();
        calc.MapPost("seawater", TankCalculators.SeawaterOf)
            .WithName("calcSeawater")
            .Produces<CalcAnswer<SeawaterResult>>()
            .ProducesValidationProblem();
        calc.MapPost("substrate", TankCalculators.SubstrateOf)
            .WithName("calcSubstrate")
            .Produces<CalcAnswer<SubstrateVolume>>()
            .ProducesValidationProblem();
    }

    /// <summary>A problem when a number is not finite or outside a range.</summary>
    internal static IEnumerable<Problem> Within(string field, double? value, double low, double high, string unit)
    {
        if (value is { } v && (!double.IsFinite(v) || v < low || v > high))
        {
            yield return new Problem(
                field,
                $"Must be {Wording.Plain(low)} to {Wording.Plain(high)} {unit}.".Replace(
                    " .",
                    ".",
                    StringComparison.Ordinal
                )
            );
        }
    }
}
