using Husbandry.Growth;
using Husbandry.Hush;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>An animal as it is judged for a pairing.</summary>
/// <param name="Subject">The animal and its rules.</param>
/// <param name="Stage">Its stage of life.</param>
/// <param name="Size">Its size, when known.</param>
/// <param name="Condition">How well fed it is.</param>
/// <param name="Hush">What may be done to it tonight.</param>
/// <param name="Molt">Its next molt, where one is awaited.</param>
/// <param name="MoltsLeft">Molts left to adult, as far as they can be told.</param>
public sealed record Mate(
    Subject Subject,
    Stage Stage,
    BodySize? Size,
    Answer<Condition> Condition,
    HushTable Hush,
    VigilForecast? Molt,
    MoltsLeft? MoltsLeft
)
{
    /// <summary>What is left of an adult's life; of one that is not adult yet, the whole of it.</summary>
    /// <remarks>One in ten adults dies before the low end of its species' range and one in ten outlives its high end: house.</remarks>
    internal RemainingWait AdultLife
    {
        get
        {
            var range = Subject.AdultLife.Value;
            var whole = LogNormalWait.FromPrior(
                new WaitPrior(range.Low, Math.Sqrt(range.Low * range.High), Math.Max(range.High, range.Low * 1.01))
            );
            if (!Subject.Standing.IsMatureByRecord)
            {
                return new RemainingWait(whole, EffectiveDays.Zero);
            }

            var adult = Subject.Standing.Growth.Molts.FirstOrDefault(m => m.Ultimate);
            var since = Subject.NightsSince(adult?.When.Middle ?? Subject.Standing.ArrivedAt);
            return new RemainingWait(whole, new(Math.Max(0, since)));
        }
    }

    /// <summary>Whether it is an adult already, or cannot be told from one.</summary>
    internal bool IsAdult => Subject.Standing.IsMatureByRecord || Stage == Stage.Adult;
}
