using System.Text.Json.Serialization;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>An adult or maturing animal at the pairing desk.</summary>
/// <param name="StockId">The animal.</param>
/// <param name="Name">Its name.</param>
/// <param name="SpeciesName">Scientific name.</param>
/// <param name="Line">The line or locality that it belongs to, where that is on record.</param>
/// <param name="Sex">Its sex.</param>
/// <param name="Stage">What a keeper calls its stage.</param>
/// <param name="Readiness">Whether it may be paired.</param>
/// <param name="Race">Her race against the molt; none of males, of juveniles and of what is not known to be mature.</param>
/// <param name="Useful">His span, where his ultimate molt is on record.</param>
/// <param name="Paired">How often it was paired since its last molt.</param>
/// <param name="LastPaired">When last.</param>
/// <param name="IsTogether">Whether it is together with a mate now.</param>
/// <param name="IsAdult">Whether it is an adult already.</param>
/// <param name="Span">When it is adult, and how long; none where that cannot be told.</param>
/// <param name="Steering">How it could be adult sooner or later.</param>
public sealed record Candidate(
    Guid StockId,
    string Name,
    string SpeciesName,
    string? Line,
    Sex Sex,
    string Stage,
    Readiness Readiness,
    Answer<HerRace>? Race,
    MaleSpan? Useful,
    int Paired,
    DateOnly? LastPaired,
    bool IsTogether,
    bool IsAdult,
    [property: JsonIgnore] AdultSpan? Span,
    [property: JsonIgnore] IReadOnlyList<SteeredSpan> Steering
)
{
    /// <summary>As kinship is asked of it.</summary>
    internal Kin Kin => new(StockId, Name, Line);

    /// <summary>The animal at the desk.</summary>
    /// <param name="mate">One that <see cref="ReadinessChecks.Concerns"/>.</param>
    public static Candidate Of(Mate mate)
    {
        var (subject, molt) = (mate.Subject, mate.Molt);
        var readiness = ReadinessChecks.Of(mate);
        var span = Meeting.SpanOf(mate);
        var (details, tonight) = (subject.Standing.Details, subject.Room.Tonight);
        var pairings = subject.Standing.PairingsNow.ToList();
        var from = readiness.From is { } first && first > tonight ? first : tonight;
        var races =
            details.Sex == Sex.Female
            && mate.IsAdult
            // What goes on molting as an adult, such as a crab, carries its eggs within hours: nothing races.
            && subject.Group.Growth.AdultsMolt.Value != AdultMolting.Both
            // A mother that guards her brood has won hers.
            && !subject.AllWaitFor(VigilKind.Young)
            // Where she molts before she may be paired there is nothing to race against yet.
            && !(from > tonight && molt?.P50 <= from);
        return new Candidate(
            subject.Standing.StockId,
            details.Nickname,
            subject.SpeciesName,
            details.Line,
            details.Sex,
            subject.Group.StageWord(mate.Stage),
            readiness,
            races ? HerRace.Of(mate, from) : null,
            details.Sex == Sex.Male ? MaleSpan.Of(subject) : null,
            pairings.Count,
            pairings.Count > 0 ? subject.Night(pairings[^1].At) : null,
            subject.Standing.OpenPairing is not null,
            mate.IsAdult,
            span,
            Meeting.SteeringOf(mate, span)
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
