using Husbandry.Rooms;
using Husbandry.Vigils;
using Ledger;

namespace App.Hosting;

/// <summary>
/// Keeps what the room has taught. In a room of usual size it is learned anew before the next answer whenever something
/// was written that teaches; in a very large one in the background, and until then the former lessons hold.
/// </summary>
public sealed class LessonKeeper(RoomCache cache, IServiceScopeFactory scopes, ILogger<LessonKeeper> log)
{
    // Learning from so many takes a few hundredths of a second; from ten thousand a good second.
    private const int LearnedAtOnce = 1_500;

    private int learning;

    /// <summary>The lessons for a room.</summary>
    public async Task<Lessons> ForAsync(Room room, JournalReader reader, CancellationToken cancel)
    {
        var (fingerprint, night) = (room.Rules.Fingerprint, room.Tonight);
        if (cache.Taught is { } taught && taught.Fingerprint == fingerprint && taught.Night == night)
        {
            if (!cache.TaughtIsStale)
            {
                return taught.Lessons;
            }

            if (await reader.CountAsync(cancel) > LearnedAtOnce)
            {
                LearnInBackground(room);
                return taught.Lessons;
            }
        }

        return await LearnAsync(room, reader, cancel);
    }

    private async Task<Lessons> LearnAsync(Room room, JournalReader reader, CancellationToken cancel)
    {
        var changed = cache.BeginToLearn();
        var former = cache.Taught is { } taught && taught.Fingerprint == room.Rules.Fingerprint ? taught.Lessons : null;
        var learner = new Learner(room, former);
        await foreach (var standing in reader.StreamStandingsAsync(cancel))
        {
            learner.Add(standing);
        }

        var lessons = learner.Learn();
        cache.Taught = new RoomCache.TaughtUntil(lessons, room.Rules.Fingerprint, room.Tonight);
        foreach (var species in changed)
        {
            cache.SpeciesToJudge.Add(species);
        }

        return lessons;
    }

    private void LearnInBackground(Room room)
    {
        if (Interlocked.Exchange(ref learning, 1) == 1)
        {
            return;
        }

        _ = Task.Run(async () =>
        {
            try
            {
                using var scope = scopes.CreateScope();
                await LearnAsync(
                    room,
                    scope.ServiceProvider.GetRequiredService<JournalReader>(),
                    CancellationToken.None
                );
            }
            catch (Exception error)
            {
                // The former lessons go on holding; the next entry that teaches tries again.
                log.LogWarning(error, "What the room taught could not be learned anew");
            }
            finally
            {
                Interlocked.Exchange(ref learning, 0);
            }
        });
    }
}
