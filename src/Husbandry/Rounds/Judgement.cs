using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Nursery;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>Everything the core says of one animal tonight, each part with its reasons.</summary>
/// <param name="Subject">The animal and its rules.</param>
/// <param name="Size">How large it is.</param>
/// <param name="Stage">Its stage of life.</param>
/// <param name="Condition">How well fed it is.</param>
/// <param name="Reading">What the signs add up to.</param>
/// <param name="Phases">All phases it is in, the one that speaks for all first.</param>
/// <param name="Molt">When the next molt is to be expected.</param>
/// <param name="Waits">Other waits that are under way, the oldest first: buried, pupa, founding, brooding.</param>
/// <param name="FirstMeal">When it may eat again after the last molt.</param>
/// <param name="Hush">What may be done, act by act.</param>
/// <param name="Prey">Largest prey and every feeder class; none while its size is unknown.</param>
/// <param name="Meal">The next meal.</param>
/// <param name="NotEating">Why it has not eaten for long, when it has not.</param>
/// <param name="Variety">How varied the last meals were and what it likes.</param>
/// <param name="Water">The water clock.</param>
/// <param name="Upkeep">What is done at regular times besides food and water.</param>
/// <param name="Leftover">Prey still in there.</param>
/// <param name="Inmates">Those that live in it, if it is a shared tank.</param>
public sealed record Judgement(
    Subject Subject,
    Answer<BodySize?> Size,
    Answer<Stage> Stage,
    Answer<Condition> Condition,
    Answer<PremoltReading> Reading,
    IReadOnlyList<Answer<Phase>> Phases,
    Answer<VigilForecast?> Molt,
    IReadOnlyList<Answer<VigilForecast?>> Waits,
    Answer<FirstMeal?> FirstMeal,
    HushTable Hush,
    Answer<PreyFit?> Prey,
    Answer<MealPlan> Meal,
    Answer<NotEating?> NotEating,
    Variety Variety,
    Answer<WaterPlan> Water,
    Answer<UpkeepPlan> Upkeep,
    Answer<Leftover?> Leftover,
    IReadOnlyList<Judgement> Inmates
)
{
    /// <summary>
    /// The same for one of many that are read together: one whose record cannot be judged keeps nobody from the others. The
    /// round names it with the reason.
    /// </summary>
    /// <returns>None when its record cannot be judged.</returns>
    public static Judgement? TryOf(Standing standing, Room room)
    {
        try
        {
            return Of(standing, room);
        }
        catch (Exception error) when (error is not OutOfMemoryException)
        {
            return null;
        }
    }

    /// <summary>Judges an animal. Pure: the same standing, rules, settings and instant give the same judgement.</summary>
    public static Judgement Of(Standing standing, Room room)
    {
        var subject = Subject.Of(standing, room);
        var life = LifeReading.Of(subject);
        var (_, size, stage, condition, reading) = life;
        var firstMeal = Vigils.FirstMeal.Of(subject, stage.Value, size.Value);
        var phases = Husbandry.Hush.Phases.Of(subject, reading, firstMeal);
        var molt = VigilForecast.OfMolt(life);
        phases =
        [
            Husbandry.Hush.Phases.BesideForecast(phases[0], reading.Value, molt.Value, subject),
            .. phases.Skip(1),
        ];
        var phase = phases[0];
        List<Answer<VigilForecast?>> waits =
        [
            .. subject.Waits.Select(w => VigilForecast.OfOther(subject, w, molt.Value)),
        ];
        var firstMealRule = Vigils.FirstMeal.RuleFor(subject.Group, stage.Value, size.Value?.SizeMm);
        var hush = HushTable.Of(
            subject,
            [.. phases.Select(p => p.Value)],
            reading.Value,
            condition.Value,
            molt.Value,
            [.. waits.Select(w => w.Value!)],
            firstMeal.Value,
            Vigils.FirstMeal.Days(firstMealRule, room.Settings.FirstMeal)
        );
        List<Judgement> inmates = [.. subject.Inmates.Select(i => Of(i, room))];
        var atRest = AtRest(inmates);
        if (atRest.Count > 0)
        {
            // Nothing is said to stand against its care while the floor of all is hushed for one of them.
            var text = $"{string.Join(", ", atRest)}: the floor stays as it is, the rest are fed.";
            phases = [phases[0] with { Summary = text }, .. phases.Skip(1)];
        }

        hush = inmates.Count == 0 ? hush : hush.And(inmates.Select(i => (i.Name, i.Hush)));
        var prey = PreyOf(subject, size, stage.Value);
        var variety = Feeding.Variety.Of(subject);
        var meal = MealPlan.Of(subject, stage, condition, firstMeal.Value, prey.Value, hush, variety);
        return new Judgement(
            subject,
            size,
            stage,
            condition,
            reading,
            phases,
            molt,
            waits,
            firstMeal,
            hush,
            prey,
            meal,
            Feeding.NotEating.Of(subject, phase.Value, condition.Value, meal.Value, reading.Value, molt.Value),
            variety,
            WaterPlan.Of(subject, stage.Value, meal.Value),
            UpkeepPlan.Of(subject, stage.Value, hush),
            Feeding.Leftover.Of(subject, stage.Value, phase.Value, meal.Value),
            inmates
        );
    }

    /// <summary>The clocks of its care: food, water, upkeep. Only those that its stage of life has.</summary>
    public IReadOnlyList<CareDue> Care =>
        [
            .. Meal.Value.Care(Subject) is { } food ? [food] : Array.Empty<CareDue>(),
            .. Water.Value.Clocks.Select(c => c.Care),
            .. Upkeep.Value.Clocks.Select(c => c.Care),
        ];

    /// <summary>Those in a shared tank that are left alone, each with the word for how it is: "Kelp (buried)".</summary>
    public IReadOnlyList<string> InmatesAtRest => AtRest(Inmates);

    private static List<string> AtRest(IEnumerable<Judgement> inmates) =>
        [
            .. inmates
                .Select(i => (i.Name, Mark: PhaseMark.Of(i.Phase.Value)))
                .Where(i => i.Mark.PassesBy)
                .Select(i => $"{i.Name} ({i.Mark.Word})"),
        ];

    private string Name => Subject.Standing.Details.Nickname;

    /// <summary>Where it stands: the phase that speaks for all.</summary>
    public Answer<Phase> Phase => Phases[0];

    /// <summary>The oldest of the other waits that are under way; no value when none is.</summary>
    public Answer<VigilForecast?> Wait =>
        Waits.Count > 0 ? Waits[0] : new Answer<VigilForecast?>(null, "Nothing else is awaited.", []);

    /// <summary>What a look tonight would tell of its next molt.</summary>
    public Answer<LookWorth?> LookWorth =>
        Vigils.LookWorth.Of(new LifeReading(Subject, Size, Stage, Condition, Reading));

    /// <summary>Skins and growth ratio; worked out when first asked for, as the round and the lists never do.</summary>
    public Answer<GrowthRecord?> Growth => field ??= GrowthRecord.Of(Subject);

    /// <summary>Whether it fits its enclosure, now and after the molts to come; worked out when first asked for.</summary>
    public Answer<HousingFit?> Fit => field ??= HousingFit.Of(Inmate);

    /// <summary>When its young are put apart; worked out when first asked for.</summary>
    public Answer<Apart?> Apart => field ??= Nursery.Apart.Of(Subject, Molt.Value, Wait.Value, FirstMeal.Value, Hush);

    /// <summary>What it needs of an enclosure when it has grown by a factor; its size must be known.</summary>
    /// <exception cref="InvalidOperationException">The size is not known.</exception>
    public Answer<ContainerPlan> NeedsWhenGrown(double by) => HousingFit.NeedsOf(Inmate, by);

    /// <summary>The present plan of meals beside another cadence.</summary>
    /// <param name="everyDays">Days between meals to compare with, &gt; 0.</param>
    public Answer<FeedingChoice?> FedEvery(double everyDays) =>
        FeedingChoice.Of(new FedAnimal(Subject, Stage.Value, Size, Molt, MoltsLeft.Value, Meal.Value), everyDays);

    /// <summary>The same for a pairing.</summary>
    public Mate Mate => new(Subject, Stage.Value, Size.Value, Condition, Hush, Molt.Value, MoltsLeft.Value);

    private Inmate Inmate => new(Subject, Stage.Value, Size, Molt.Value, MoltsLeft.Value);

    /// <summary>Molts left to adult; worked out when first asked for.</summary>
    public Answer<MoltsLeft?> MoltsLeft =>
        field ??= Husbandry.Growth.MoltsLeft.Of(
            Subject,
            Stage.Value,
            Size.Value,
            Growth.Value?.Corrected?.Ratio ?? Growth.Value?.Ratio ?? Subject.Profile.GrowthRatio.Value
        );

    /// <summary>Every hush reason, strictest first, for the "why" of the hush table.</summary>
    public IReadOnlyList<Reason> HushReasons =>
        [.. Hush.Causes.Select(c => c.Why), .. Phases.SelectMany(p => p.Reasons)];

    private static Answer<PreyFit?> PreyOf(Subject subject, Answer<BodySize?> size, Stage stage)
    {
        if (subject.Group.Feeding.Prey is null || subject.Group.At(stage).Food is null)
        {
            return new Answer<PreyFit?>(null, "Takes no prey: nothing has to be sized.", []);
        }

        if (size.Value is not { } known)
        {
            return new Answer<PreyFit?>(null, "Size unknown: measure first, then prey can be sized.", size.Reasons);
        }

        var foreleg = subject.Standing.Growth.Measures.LastOrDefault(m => m.Part == BodyPart.Foreleg);
        var grown = foreleg is null
            ? 1
            : Math.Pow(subject.Profile.GrowthRatio.Value, subject.Standing.Growth.Molts.Count - foreleg.MoltsHere);
        var fit = PreyFit.Of(
            subject.Group,
            known.BodyMm,
            subject.Room.Rules.Feeders,
            stage,
            foreleg?.LengthMm * grown,
            subject.Standing.Feeding.Taken
        );
        return new Answer<PreyFit?>(
            fit,
            $"Prey up to {subject.Room.Wording.Length(fit.MaxPreyMm)}.",
            [.. PreyFit.Why(subject.Group, fit, subject.Room.Wording), .. size.Reasons]
        );
    }
}
