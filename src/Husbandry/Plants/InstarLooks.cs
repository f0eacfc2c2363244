using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Plants;

/// <summary>What larvae look like in their instar, and how they will after the next molt.</summary>
/// <param name="Now">How they look now; none where nobody wrote that down.</param>
/// <param name="Next">How they look when they change next; none where that is not known or they are full grown.</param>
/// <param name="NextInstar">The instar of that, as written.</param>
public sealed record InstarLooks(string? Now, string? Next, string? NextInstar)
{
    /// <summary>The looks of larvae whose instar is known; none of others, and of kinds without any cues.</summary>
    public static Answer<InstarLooks>? Of(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        if (subject.Profile.Larvae?.Cues is not { Count: > 0 } cues || subject.Instar is not { } instar)
        {
            return null;
        }

        var now = cues.LastOrDefault(c => c.Instar <= instar);
        var next = cues.FirstOrDefault(c => c.Instar > instar);
        var mark = subject.Group.InstarMark;
        var capsule = subject.Room.Rules.Room.Plants.HeadCapsule;
        return new Answer<InstarLooks>(
            new InstarLooks(now?.Looks.Value, next?.Looks.Value, next is null ? null : $"{mark}{next.Instar}"),
            now is null ? $"{mark}{instar}" : $"{mark}{instar}: {now.Looks.Value}",
            [
                .. now is null
                    ? Array.Empty<Reason>()
                    :
                    [
                        now.Looks.Because(
                            "Now",
                            $"species.cues.{cues.ToList().IndexOf(now)}.looks",
                            $"{mark}{now.Instar}: {now.Looks.Value}."
                        ),
                    ],
                .. next is null
                    ? Array.Empty<Reason>()
                    :
                    [
                        next.Looks.Because(
                            "Next",
                            $"species.cues.{cues.ToList().IndexOf(next)}.looks",
                            $"{mark}{next.Instar}: {next.Looks.Value}."
                        ),
                    ],
                capsule.Because("In the frass", "room.headCapsule", capsule.Value),
            ]
        );
    }
}
