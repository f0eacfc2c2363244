using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>How many molts an animal has left to adult.</summary>
/// <param name="BySizeLow">By size and growth ratio, to the smallest adult.</param>
/// <param name="BySizeHigh">To the largest adult.</param>
/// <param name="ByInstarLow">By the species' number of molts, at least; none where its instar is not known.</param>
/// <param name="ByInstarHigh">At most.</param>
/// <param name="Agree">Whether both ways overlap, or only one is to be had.</param>
public sealed record MoltsLeft(int? BySizeLow, int? BySizeHigh, int? ByInstarLow, int? ByInstarHigh, bool Agree)
{
    /// <summary>Counts the molts left.</summary>
    /// <returns>No value for adults, and where neither size nor instar is known.</returns>
    public static Answer<MoltsLeft?> Of(Subject subject, Stage stage, BodySize? size, double ratio)
    {
        if (stage is Stage.Adult or Stage.Pupa || subject.IsMany)
        {
            return new Answer<MoltsLeft?>(null, "Adult, or not followed one by one.", []);
        }

        var profile = subject.Profile;
        var sex = subject.Standing.Details.Sex;
        var adult = profile.AdultSizeOf(sex);
        var words = subject.Room.Wording;
        var reasons = new List<Reason>();
        (int Low, int High)? bySize = null;
        if (size is { } now)
        {
            var nearly = subject.Room.Rules.Room.Growth.NearlyAdultMolts.Value;
            int Steps(double to) =>
                Math.Max(1, (int)Math.Ceiling((Math.Log(to / now.SizeMm) / Math.Log(ratio)) - nearly));
            bySize = (Steps(adult.Value.Low), Steps(adult.Value.High));
            reasons.Add(
                adult.Because(
                    "By size",
                    "species.adultSizeMm",
                    $"{words.Length(now.SizeMm)} now, × {ratio:0.00} per molt, adults have {words.Lengths(adult.Value.Low, adult.Value.High)}: {Span(bySize.Value.Low, bySize.Value.High)}."
                )
            );
        }

        (int Low, int High)? byInstar = null;
        if (subject.Standing.MoltsInLife is { } molts)
        {
            var toAdult = sex == Sex.Male ? profile.MoltsToAdult.Male : profile.MoltsToAdult.Female;
            byInstar = (Math.Max(0, (int)toAdult.Value.Low - molts), Math.Max(0, (int)toAdult.Value.High - molts));
            reasons.Add(
                toAdult.Because(
                    "By instar",
                    "species.moltsToAdult",
                    $"{molts} molts behind {subject.Them}, adult after {toAdult.Value.Low:0}–{toAdult.Value.High:0}: {Span(byInstar.Value.Low, byInstar.Value.High)}."
                )
            );
        }

        if (bySize is null && byInstar is null)
        {
            return new Answer<MoltsLeft?>(null, "Neither size nor instar is known.", reasons);
        }

        var listed = profile.Id.Length > 0;
        if (!listed && bySize is null && byInstar is { High: 0 })
        {
            return new Answer<MoltsLeft?>(
                null,
                "As many molts behind it as is usual in its group: adult, or nearly so. A guess, as its species is not in the rulebook.",
                reasons
            );
        }

        var agree = bySize is not { } s || byInstar is not { } i || (s.Low <= i.High && i.Low <= s.High);
        var left = new MoltsLeft(bySize?.Low, bySize?.High, byInstar?.Low, byInstar?.High, agree);
        var summary =
            !agree
                ? $"By size {Span(bySize!.Value.Low, bySize.Value.High)}, by instar {Span(byInstar!.Value.Low, byInstar.Value.High)}: they disagree. A molt nobody saw, a wrong instar or a small adult."
            : bySize is { } b && byInstar is { } k
                ? $"{Span(Math.Max(b.Low, k.Low), Math.Min(b.High, k.High))} to adult."
            : $"{Span((bySize ?? byInstar)!.Value.Low, (bySize ?? byInstar)!.Value.High)} to {(subject.Group.Has(Stage.Pupa) ? "the pupa" : "adult")}.";
        if (!listed)
        {
            summary += " A guess from its group, as its species is not in the rulebook.";
        }

        return new Answer<MoltsLeft?>(left, summary, reasons);
    }

    private static string Span(int low, int high) =>
        low == high ? $"{low} molt{(low == 1 ? "" : "s")} left" : $"{low}–{high} molts left";
}
