namespace Worlds;

/// <summary>Writes what a keeper notes of a life.</summary>
internal static class Diary
{
    /// <summary>Signs of which keepers of a group speak: those that are easily mistaken, and the one that hardly is.</summary>
    private static (string[] Soft, string Strong) SignsOf(string group) =>
        group switch
        {
            "tarantula" => (["sluggish", "dull"], "dark-under-hair"),
            "jumping-spider" => (["sluggish", "dull"], "dark-line"),
            "scorpion" => (["sluggish", "dull"], "segments-parted"),
            "mantis" => (["stops-striking", "rear-swollen"], "hangs-still"),
            _ => throw new ArgumentOutOfRangeException(nameof(group), group, "Nobody looks for signs in these."),
        };

    public static (List<Note> Notes, HashSet<double> Unseen) Of(
        Life life,
        double came,
        double end,
        Habits habits,
        Draws draws
    )
    {
        var notes = new List<Note> { new(came, came, What.Came) };
        var unseen = new HashSet<double>();
        if (draws.Chance(Math.Max(0.5, habits.Measures)))
        {
            var now = life.Waits.FirstOrDefault(w => w.To > came)?.Molts ?? life.MoltsToAdult;
            Measure(notes, life, now, came, draws);
        }

        foreach (var wait in life.Waits.Where(w => !w.Pupa && w.To > came && w.To <= end))
        {
            if (life.Kind.PupaDays is not null && wait.Molts + 1 == life.MoltsToAdult)
            {
                // The molt that makes the pupa is written down as such.
                continue;
            }

            if (draws.Chance(habits.MissesMolt))
            {
                unseen.Add(wait.To);
                continue;
            }

            Molt(notes, life, wait, came, end, habits, draws);
        }

        Meals(notes, life, came, end, habits, draws);
        Looks(notes, life, came, end, habits, draws);
        Pupa(notes, life, came, end, habits, draws);
        return (notes, unseen);
    }

    private static void Molt(
        List<Note> notes,
        Life life,
        TrueWait wait,
        double came,
        double end,
        Habits habits,
        Draws draws
    )
    {
        var found = Math.Min(end, wait.To + draws.Between(0, habits.FoundWithinDays));
        var before = Math.Max(came, wait.To - draws.Between(0, habits.FoundWithinDays));
        var adult = wait.Molts + 1 == life.MoltsToAdult && life.Kind.PupaDays is null;
        var crab = life.Kind.Group == "hermit-crab";
        if (crab)
        {
            // Under ground from some days before until it has hardened; nobody sees the molt itself.
            var down = Math.Max(
                came,
                Math.Max(wait.From + 1, wait.To - ((wait.To - wait.From) * draws.Between(0.06, 0.16)))
            );
            var up = wait.To + ((wait.To - down) * draws.Between(0.5, 1));
            if (up > end)
            {
                return;
            }

            notes.Add(new Note(down, down, What.Down));
            // Coming up is the molt.
            notes.Add(new Note(up, up, What.Up));
            return;
        }

        // Of the molts that end in adulthood most are known as such where a male or wings show it.
        var told = adult && (life.IsMale || !life.Kind.AdultsMolt) && draws.Chance(0.9);
        notes.Add(new Note(found, Math.Min(before, found), What.Molt, told ? "adult" : ""));
        if (draws.Chance(habits.Measures))
        {
            Measure(notes, life, wait.Molts + 1, Math.Min(end, found + 0.1), draws);
        }
    }

    private static void Measure(List<Note> notes, Life life, int molts, double at, Draws draws) =>
        notes.Add(new Note(at, at, What.Length, "", life.Kind.LengthAfter(molts) * Math.Exp(0.03 * draws.Normal())));

    private static void Meals(List<Note> notes, Life life, double came, double end, Habits habits, Draws draws)
    {
        if (life.Kind.Group is "moth" or "hermit-crab")
        {
            return;
        }

        foreach (var wait in life.Waits.Where(w => w.To > came && w.From < end))
        {
            var every = Math.Clamp((wait.To - wait.From) / 9, 2, 12);
            for (
                var at = Math.Max(came, wait.From + every);
                at < Math.Min(end, wait.To);
                at += every * draws.Between(0.8, 1.2)
            )
            {
                var within = at > wait.Premolt ? (at - wait.Premolt) / Math.Max(0.01, wait.To - wait.Premolt) : 0;
                // Appetite goes gradually, and some refuse now and then for no reason.
                var refuses = draws.Chance(within > 0 ? 0.25 + (0.7 * within) : 0.12);
                if (draws.Chance(habits.WritesMeals))
                {
                    notes.Add(new Note(at, at, refuses ? What.Refusal : What.Meal));
                }
            }
        }
    }

    private static void Looks(List<Note> notes, Life life, double came, double end, Habits habits, Draws draws)
    {
        if (habits.LookEveryDays is not { } every || life.Kind.Group is "moth" or "hermit-crab")
        {
            return;
        }

        var (soft, strong) = SignsOf(life.Kind.Group);
        for (var at = came + draws.Between(0, every); at < end; at += every)
        {
            if (life.Waits.FirstOrDefault(w => w.From <= at && w.To > at) is not { } wait)
            {
                continue;
            }

            var within = at > wait.Premolt ? (at - wait.Premolt) / Math.Max(0.01, wait.To - wait.Premolt) : 0;
            var sign =
                within > 0.5 && draws.Chance(habits.SeesSign * 0.7) ? strong
                : within > 0 && draws.Chance(habits.SeesSign) ? soft[draws.Whole(0, 1)]
                : draws.Chance(habits.SeesWrong) ? soft[draws.Whole(0, 1)]
                : null;
            notes.Add(new Note(at, at, sign is null ? What.CleanLook : What.Sign, sign ?? ""));
        }
    }

    private static void Pupa(List<Note> notes, Life life, double came, double end, Habits habits, Draws draws)
    {
        if (life.Waits.FirstOrDefault(w => w.Pupa) is not { } rest)
        {
            return;
        }

        var pupated = life.Waits.Last(w => !w.Pupa).To;
        if (pupated > came && pupated <= end)
        {
            notes.Add(new Note(pupated, pupated, What.Pupated));
            foreach (var (at, what) in new[] { (life.ColdFrom, What.Cold), (life.ColdTo, What.Warm) })
            {
                if (at is { } then && then <= end)
                {
                    notes.Add(new Note(then, then, what));
                }
            }

            var seen = rest.To + draws.Between(0, Math.Min(2, habits.FoundWithinDays));
            if (seen <= end)
            {
                notes.Add(new Note(seen, Math.Min(rest.To, seen), What.Emerged));
            }
        }
    }
}
