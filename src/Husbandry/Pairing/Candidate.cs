using Husbandry.Growth;
using Husbandry.Hush;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>An adult or maturing animal at the pairing desk.</summary>
/// <param name="StockId">The animal.</param>
/// <param name="Name">Its name.</param>
/// <param name="SpeciesName">Scientific name.</param>
/// <param name="Sex">Its sex.</param>
/// <param name="Stage">What a keeper calls its stage.</param>
/// <param name="Readiness">Whether it may be paired.</param>
/// <param name="Race">Her race against the molt; none of males, of juveniles and of what is not known to be mature.</param>
/// <param name="Span">His span in nights from tonight, where his ultimate molt is on record.</param>
/// <param name="Paired">How often it was paired since its last molt.</param>
/// <param name="LastPaired">When last.</param>
public sealed record Candidate(
    Guid StockId,
    string Name,
    string SpeciesName,
    Sex Sex,
    string Stage,
    Readiness Readiness,
    Answer<HerRace>? Race,
    MaleSpan? Span,
    int Paired,
    DateOnly? LastPaired
)
{
    /// <summary>The animal at the desk.</summary>
    /// <param name="subject">One that <see cref="ReadinessChecks.Concerns"/>.</param>
    /// <param name="stage">Its stage of life.</param>
    /// <param name="condition">How well fed it is.</param>
    /// <param name="pairing">What the hush says of pairing it.</param>
    /// <param name="molt">Its next molt, where one is awaited.</param>
    public static Candidate Of(
        Subject subject,
        Stage stage,
        Answer<Condition> condition,
        HushLine pairing,
        VigilForecast? molt
    )
    {
        var readiness = ReadinessChecks.Of(subject, stage, condition, pairing, molt);
        var (details, tonight) = (subject.Standing.Details, subject.Room.Tonight);
        var pairings = subject.Standing.PairingsNow.ToList();
        var from = readiness.From is { } first && first > tonight ? first : tonight;
        var races =
            details.Sex == Sex.Female
            && (subject.Standing.IsMatureByRecord || stage == Rulebook.Stage.Adult)
            // A mother that guards her brood has won hers.
            && !subject.AllWaitFor(VigilKind.Young)
            // Where she molts before she may be paired there is nothing to race against yet.
            && !(from > tonight && molt?.P50 <= from);
        return new Candidate(
            subject.Standing.StockId,
            details.Nickname,
            subject.SpeciesName,
            details.Sex,
            subject.Group.StageWord(stage),
            readiness,
            races ? HerRace.Of(subject, molt, from) : null,
            details.Sex == Sex.Male ? MaleSpan.Of(subject) : null,
            pairings.Count,
            pairings.Count > 0 ? subject.Night(pairings[^1].At) : null
        );
    }
}

/// <summary>Between which nights a male is of use.</summary>
/// <param name="From">First night.</param>
/// <param name="Until">Last night.</param>
/// <param name="Used">Share of it that is over (0–1).</param>
public sealed record MaleSpan(DateOnly From, DateOnly Until, double Used)
{
    /// <summary>His span; none where his ultimate molt is not on record.</summary>
    public static MaleSpan? Of(Subject subject)
    {
        if (subject.Standing.Growth.Molts.LastOrDefault(m => m.Ultimate) is not { } molt)
        {
            return null;
        }

        var range = subject.Profile.Pairing!.MaleNights.Value;
        var matured = subject.Night(molt.When.Middle);
        var (from, until) = (matured.AddDays((int)Math.Ceiling(range.Low)), matured.AddDays((int)range.High));
        var nights = Math.Max(1, until.DayNumber - from.DayNumber);
        return new MaleSpan(
            from,
            until,
            Math.Clamp((subject.Room.Tonight.DayNumber - from.DayNumber) / (double)nights, 0, 1)
        );
    }
}
