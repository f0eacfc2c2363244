using Husbandry.Reasons;

namespace Husbandry.Climate;

/// <summary>What somebody said to an alarm.</summary>
/// <param name="Alarm">Which alarm.</param>
/// <param name="Since">Since when it held then.</param>
/// <param name="At">When it was said.</param>
/// <param name="By">Who said it.</param>
/// <param name="Until">It is silent until then; none where it was seen.</param>
public sealed record AlarmAnswer(
    string Alarm,
    DateTimeOffset Since,
    DateTimeOffset At,
    string By,
    DateTimeOffset? Until
);

/// <summary>Hours in which only a danger is called out.</summary>
/// <param name="FromHour">Local hour at which they begin.</param>
/// <param name="ToHour">Local hour at which they end; the same for none.</param>
public sealed record QuietHours(int FromHour, int ToHour)
{
    /// <summary>Whether an hour of the day lies in them.</summary>
    public bool Hold(int hour) =>
        FromHour <= ToHour ? hour >= FromHour && hour < ToHour : hour >= FromHour || hour < ToHour;
}

/// <summary>A programme under its id.</summary>
public sealed record PlannedProgramme(Guid Id, AirProgramme Plan);

/// <summary>Instruments, answers to alarms and programmes, as their journal leaves them.</summary>
/// <param name="Sensors">Every instrument that ever was, those put away included.</param>
/// <param name="Answers">Newest answer to each alarm.</param>
/// <param name="Quiet">Hours in which only a danger is called out.</param>
/// <param name="Programmes">Programmes, past ones included.</param>
public sealed record ClimateBook(
    IReadOnlyList<Sensor> Sensors,
    IReadOnlyList<AlarmAnswer> Answers,
    QuietHours Quiet,
    IReadOnlyList<PlannedProgramme> Programmes
)
{
    /// <summary>Most instruments of a room.</summary>
    public const int MostSensors = 200;

    private const int MostProgrammes = 100;
    private const int LongestName = 60;
    private const int ShortestSnooze = 10;
    private const int LongestSnooze = 720;
    private const int LastHour = 23;

    /// <summary>A book in which nothing stands.</summary>
    public static ClimateBook Empty { get; } = new([], [], new QuietHours(0, 0), []);

    /// <summary>The book as its journal leaves it.</summary>
    public static ClimateBook Fold(IEnumerable<ClimateEntry> entries) =>
        entries.Aggregate(Empty, (book, entry) => book.After(entry));

    /// <summary>An instrument; none when there is no such.</summary>
    public Sensor? Sensor(Guid id) => Sensors.FirstOrDefault(s => s.Id == id);

    /// <summary>The book after one more entry.</summary>
    public ClimateBook After(ClimateEntry entry)
    {
        ArgumentNullException.ThrowIfNull(entry);
        var at = entry.At;
        return entry.Act switch
        {
            SensorFound f => this with
            {
                Sensors = [.. Sensors, new Sensor(f.SensorId, f.Key, f.Gateway, f.Key, [new SensorStay(at, null)], [])],
            },
            SensorPlaced p => Changed(
                p.SensorId,
                s => Hung(s, p.Zone, at) with { Name = p.Name.Trim(), RetiredAt = null, Salt = null }
            ),
            SensorRetired r => Changed(r.SensorId, s => Hung(s, null, at) with { RetiredAt = at, Salt = null }),
            // What it says in the jar is nobody's air.
            SaltCheckBegun b => Changed(
                b.SensorId,
                s =>
                    Hung(s, null, at) with
                    {
                        Salt = new SaltCheck(at, b.Salts, [], s.Salt is { } on ? on.Home : s.Zone),
                    }
            ),
            SaltChecked c => Changed(c.SensorId, s => Checked(s, c.Reading, at)),
            SaltCheckDropped d => Changed(
                d.SensorId,
                s => s.Salt is { } on ? Hung(s, on.Home, at) with { Salt = null } : s
            ),
            CorrectionDropped d => Changed(
                d.SensorId,
                s =>
                    s with
                    {
                        Corrections = [.. s.Corrections, new SensorCorrection(at, new HygrometerCheck(1, 0), [])],
                    }
            ),
            AlarmSeen seen => Answered(new AlarmAnswer(seen.Alarm, seen.Since, at, entry.WrittenBy, null)),
            AlarmSnoozed z => Answered(
                new AlarmAnswer(z.Alarm, z.Since, at, entry.WrittenBy, at + TimeSpan.FromMinutes(z.Minutes))
            ),
            QuietHoursSet q => this with { Quiet = new QuietHours(q.FromHour, q.ToHour) },
            ProgrammeSet p => this with
            {
                Programmes =
                [
                    .. Programmes.Where(x => x.Id != p.ProgrammeId),
                    new PlannedProgramme(p.ProgrammeId, p.Plan),
                ],
            },
            ProgrammeDropped d => this with { Programmes = [.. Programmes.Where(x => x.Id != d.ProgrammeId)] },
            _ => throw new ArgumentOutOfRangeException(nameof(entry), entry, "Nothing is known of such an entry."),
        };
    }

    /// <summary>What is wrong with an entry; none when it may be written.</summary>
    /// <param name="act">What is said.</param>
    /// <param name="rules">How far off a salt may find an instrument.</param>
    /// <param name="tonight">Tonight.</param>
    public IEnumerable<Problem> Check(ClimateAct act, Rulebook.RoomAlarmRules rules, DateOnly tonight) =>
        act switch
        {
            SensorFound f => Sensors.Count >= MostSensors
                ? [new Problem("act.key", $"At most {MostSensors} sensors; put one away first.")]
                : EntryCheckText("act.key", f.Key),
            SensorPlaced p => Known(p.SensorId)
                .Concat(EntryCheckText("act.name", p.Name))
                .Concat(
                    p.Zone is { } zone && AirProgramme.ZoneProblem(zone) is { } wrong
                        ? [new Problem("act.zone", wrong)]
                        : []
                ),
            SensorRetired r => Known(r.SensorId),
            SaltCheckBegun b => Known(b.SensorId)
                .Concat(
                    b.Salts.Count is 1 or 2 && b.Salts.Distinct().Count() == b.Salts.Count
                        ? []
                        : [new Problem("act.salts", "Choose one salt, or both, each once.")]
                ),
            SaltChecked c => CheckSalt(c, rules),
            SaltCheckDropped d => Known(d.SensorId),
            CorrectionDropped d => Known(d.SensorId),
            AlarmSeen or ProgrammeDropped => [],
            AlarmSnoozed z => z.Minutes is >= ShortestSnooze and <= LongestSnooze
                ? []
                : [new Problem("act.minutes", $"Must be {ShortestSnooze} to {LongestSnooze} minutes.")],
            QuietHoursSet q => q.FromHour is >= 0 and <= LastHour && q.ToHour is >= 0 and <= LastHour
                ? []
                : [new Problem("act.fromHour", $"Hours are 0 to {LastHour}.")],
            ProgrammeSet p => p
                .Plan.Problems(tonight)
                .Select(x => x with { Field = $"act.plan.{x.Field}" })
                .Concat(
                    Programmes.Count >= MostProgrammes && Programmes.All(x => x.Id != p.ProgrammeId)
                        ? [new Problem("act.plan", $"At most {MostProgrammes} programmes; drop one first.")]
                        : []
                ),
            _ => throw new ArgumentOutOfRangeException(nameof(act), act, "No check for such an entry."),
        };

    private IEnumerable<Problem> CheckSalt(SaltChecked c, Rulebook.RoomAlarmRules rules)
    {
        if (Sensor(c.SensorId) is not { } sensor)
        {
            return Known(c.SensorId);
        }

        if (sensor.Salt?.Now is not { } salt)
        {
            return [new Problem("act.sensorId", "It lies over no salt: begin a check first.")];
        }

        var truth = HygrometerCheck.Over(salt);
        var most = rules.SaltMostOff.Value;
        return Math.Abs(c.Reading - truth) <= most
            ? []
            :
            [
                new Problem(
                    "act.reading",
                    $"Must be {Wording.Plain(truth - most)} to {Wording.Plain(Math.Min(100, truth + most))} per cent over {HygrometerCheck.NameOf(salt)}: an instrument that is further off is broken, or was not closed in long enough."
                ),
            ];
    }

    private static Sensor Checked(Sensor sensor, double reading, DateTimeOffset at)
    {
        if (sensor.Salt is not { Now: { } salt } check)
        {
            return sensor;
        }

        List<HygrometerPoint> points = [.. check.Points, new HygrometerPoint(HygrometerCheck.Over(salt), reading)];
        if (points.Count < check.Salts.Count)
        {
            return sensor with { Salt = check with { Begun = at, Points = points } };
        }

        // Two salts that read the same give no line: then the last one moves it.
        var line = HygrometerCheck.Of(points[0], points.ElementAtOrDefault(1)) ?? HygrometerCheck.Of(points[^1], null)!;
        return Hung(sensor, check.Home, at) with
        {
            Salt = null,
            Corrections = [.. sensor.Corrections, new SensorCorrection(at, line, points)],
        };
    }

    private static Sensor Hung(Sensor sensor, string? zone, DateTimeOffset at) =>
        sensor.Zone == zone ? sensor : sensor with { Stays = [.. sensor.Stays, new SensorStay(at, zone)] };

    private IEnumerable<Problem> Known(Guid id) =>
        Sensor(id) is null ? [new Problem("act.sensorId", "There is no such sensor.")] : [];

    private static IEnumerable<Problem> EntryCheckText(string field, string text) =>
        string.IsNullOrWhiteSpace(text) || text.Length > LongestName
            ? [new Problem(field, $"Write 1 to {LongestName} characters.")]
            : [];

    private ClimateBook Changed(Guid id, Func<Sensor, Sensor> change) =>
        this with
        {
            Sensors = [.. Sensors.Select(s => s.Id == id ? change(s) : s)],
        };

    private ClimateBook Answered(AlarmAnswer answer) =>
        this with
        {
            Answers = [.. Answers.Where(a => a.Alarm != answer.Alarm), answer],
        };
}
