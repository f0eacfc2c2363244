using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>The form of a rule's value, so that it can be shown and changed.</summary>
public enum RuleForm
{
    /// <summary>A number.</summary>
    Number,

    /// <summary>A low and a high end.</summary>
    Range,

    /// <summary>Three quantiles of a wait.</summary>
    Wait,

    /// <summary>Yes or no.</summary>
    YesNo,

    /// <summary>One of several words.</summary>
    Choice,

    /// <summary>Words to read.</summary>
    Text,

    /// <summary>Several figures that belong together.</summary>
    Other,
}

/// <summary>One value of the rulebook as a line to read.</summary>
/// <param name="Name">Dotted name.</param>
/// <param name="Section">Heading under which it stands.</param>
/// <param name="Label">What it is, in words.</param>
/// <param name="Form">Form of its value.</param>
/// <param name="Text">Value with unit, in words.</param>
/// <param name="Value">The value as JSON text, for changing it.</param>
/// <param name="Choices">Words to choose from.</param>
/// <param name="Unit">Unit.</param>
/// <param name="Tag">How far to trust it.</param>
/// <param name="Source">Where it comes from.</param>
/// <param name="School">Which school it is the value of; empty where there are none.</param>
public sealed record RuleLine(
    string Name,
    string Section,
    string Label,
    RuleForm Form,
    string Text,
    string Value,
    IReadOnlyList<string> Choices,
    string Unit,
    RuleTag Tag,
    string Source,
    string School
);

/// <summary>Lays the rules of a group, a species or the room out as lines.</summary>
public static class RuleSheet
{
    private static readonly Dictionary<string, (string Section, string Label)> Labels = new(StringComparer.Ordinal)
    {
        ["moisture"] = ("Keeping", "Moisture school"),
        ["goodC"] = ("Keeping", "Right warmth"),
        ["ceilingC"] = ("Keeping", "Too hot from"),
        ["floorC"] = ("Keeping", "Too cold below"),
        ["humidity"] = ("Keeping", "Right humidity"),
        ["adultSizeMm"] = ("Growth", "Adult size"),
        ["slingUntilMm"] = ("Growth", "Youngest stage until"),
        ["subAdultFromShare"] = ("Growth", "Sub-adult from"),
        ["moltsToAdult"] = ("Growth", "Molts to adult"),
        ["growthRatio"] = ("Growth", "Growth per molt"),
        ["moltInterval"] = ("Waits", "From molt to molt"),
        ["premoltDays"] = ("Waits", "Length of premolt"),
        ["warmth"] = ("Waits", "Warmth"),
        ["waits"] = ("Waits", "Other waits"),
        ["diapause"] = ("Waits", "Winter rest"),
        ["keepingDifficulty"] = ("Keeping", "Difficulty of keeping"),
        ["breedingDifficulty"] = ("Keeping", "Difficulty of breeding"),
        ["cautions"] = ("Hazards, origin, law", "Caution"),
        ["origin"] = ("Hazards, origin, law", "Origin"),
        ["lawNote"] = ("Hazards, origin, law", "Law"),
        ["falseFriends"] = ("Signs", "False friend"),
        ["moltsFollowed"] = ("Growth", "Molts followed one by one"),
        ["prey"] = ("Feeding", "Prey"),
        ["cadence"] = ("Feeding", "Days between meals"),
        ["matureMaleCadence"] = ("Feeding", "Mature males wait"),
        ["retry"] = ("Feeding", "Offered again after a refusal"),
        ["firstMeal"] = ("After a molt", "First meal"),
        ["fangCheck"] = ("After a molt", "Fangs must be seen black"),
        ["fangCheckLapses"] = ("After a molt", "Fang check lapses after"),
        ["condition"] = ("Feeding", "Condition"),
        ["livePreyHours"] = ("Feeding", "Live prey may stay"),
        ["deadPreyHours"] = ("Feeding", "Dead food may stay"),
        ["imminentDays"] = ("Waits", "Imminent signs before the molt"),
        ["waterEveryDays"] = ("Keeping", "Water"),
        ["slingWaterEveryDays"] = ("Keeping", "Water for the youngest"),
        ["bodyPerSize"] = ("Growth", "Body per size"),
        ["hardPartPerBody"] = ("Growth", "Hard part per body"),
        ["sizeLimitMm"] = ("Growth", "Sizes taken for possible"),
        ["adultsMolt"] = ("Growth", "Adults that molt again"),
        ["waterWay"] = ("Keeping", "How water is given"),
        ["conditionByEye"] = ("Feeding", "Condition shows by eye"),
        ["messyEater"] = ("Feeding", "Bits taken out the night after"),
        ["dampSideInPremolt"] = ("Keeping", "One side damped in premolt"),
        ["hazardUntilKnown"] = ("Hazards, origin, law", "Unlisted species count as"),
        ["sexing"] = ("Growth", "Telling the sex"),
        ["traceForQueens"] = ("Keeping", "A trace of honey for a thin queen"),
        ["larvaLitres"] = ("Keeping", "Room for one larva"),
        ["quick"] = ("Hazards, origin, law", "Quick: catch cup at hand"),
        ["adultFeeds"] = ("Feeding", "Adults feed"),
        ["leaf"] = ("Feeding", "Kind of leaf"),
        ["emergenceWatch"] = ("Waits", "As adults come out"),
        ["comesOut"] = ("Larvae", "Adults come out"),
        ["looks"] = ("Larvae", "Looks of the grown larva"),
        ["eggs"] = ("Founding", "From the catch to eggs"),
        ["larvae"] = ("Founding", "From eggs to larvae"),
        ["pupae"] = ("Founding", "From larvae to pupae"),
        ["workers"] = ("Founding", "From pupae to workers"),
        ["flies"] = ("Founding", "Flies"),
        ["wintersFirst"] = ("Founding", "Lays only after her winter"),
        ["winter"] = ("Founding", "Winter rest"),
        ["moveWorkers"] = ("Founding", "Moves out of the tube with"),
        ["spinsCocoons"] = ("Founding", "Larvae spin cocoons"),
        ["largestWorkerMm"] = ("Founding", "Largest workers"),
        ["finalWorkers"] = ("Founding", "Workers of a grown colony"),
        ["queens"] = ("Founding", "Queens of a colony"),
        ["cues"] = ("Larvae", "Looks instar by instar"),
        ["togetherUntil"] = ("Larvae", "Keep company until"),
        ["leafOfLifeG"] = ("Larvae", "Leaf in one life"),
        ["hosts"] = ("Larvae", "Food plants"),
        ["hostMayChange"] = ("Larvae", "Takes another plant midway"),
        ["malesEarlierDays"] = ("Larvae", "Males come out earlier by"),
        ["pupatesIn"] = ("Keeping", "Needs to pupate"),
        ["mass"] = ("Growth", "Mass from length"),
        ["containers"] = ("Keeping", "Enclosure"),
        ["shared"] = ("Keeping", "Several may share a tank"),
        ["longWait"] = ("Waits", "Longer than normal"),
        ["underground"] = ("Waits", "Nights underground"),
        ["deadPreyHoursCool"] = ("Feeding", "Dead food may stay in a cool room"),
        ["adultLifeDays"] = ("Growth", "Adult life"),
        ["pacePerFood"] = ("Feeding", "Waits by food"),
        ["founding"] = ("Keeping", "Founding"),
        ["hazard"] = ("Hazards, origin, law", "Hazard"),
        ["upkeep"] = ("Keeping", "Upkeep"),
        ["method"] = ("Pairing", "How they are put together"),
        ["afterMoltNights"] = ("Pairing", "She is best paired"),
        ["sacWait"] = ("Pairing", "From pairing to egg case"),
        ["takeRate"] = ("Pairing", "Pairings that take"),
        ["maleLives"] = ("Pairing", "Males that come out alive"),
        ["maleNights"] = ("Pairing", "He is of use"),
        ["season"] = ("Pairing", "Season"),
        ["programme"] = ("Pairing", "Season programme"),
        ["callingHour"] = ("Pairing", "Hour of calling"),
        ["casesPerPairing"] = ("Pairing", "Egg cases"),
        ["broodSize"] = ("Pairing", "Size of a brood"),
        ["courtship"] = ("Pairing", "Courtship"),
        ["otherEnds"] = ("Waits", "Ends otherwise than hoped"),
        ["keeping"] = ("Nursery", "How the young are kept"),
        ["casesChill"] = ("Nursery", "Egg cases may be given a winter"),
        ["takenDays"] = ("Nursery", "A sac may be taken"),
        ["apartFrom"] = ("Nursery", "Each alone from"),
        ["apartBeforeMolt"] = ("Nursery", "Put apart before that molt"),
        ["vial"] = ("Nursery", "What each goes into"),
        ["seed"] = ("Nursery", "Cleaners in each vial"),
        ["eatsFrom"] = ("Nursery", "They eat from"),
        ["leaveFrom"] = ("Nursery", "None leaves before"),
        ["leaveBetterFrom"] = ("Nursery", "Travels well from"),
        ["earlyLoss"] = ("Nursery", "Lost before they are hardy"),
        ["hardyFrom"] = ("Nursery", "Hardy from"),
        ["laterLoss"] = ("Nursery", "Lost after that"),
        ["searchIn"] = ("Nursery", "Missing ones are looked for"),
        ["lookAt"] = ("Nursery", "Where more are lost than usual"),
    };

    private static readonly HashSet<string> Schools = ["often", "lean", "default", "quick", "cautious"];

    private static readonly string[] BurialWords = ["leaveAndSleeve", "isolate"];
    private static readonly string[] MoistureWords = ["dry", "damp"];
    private static readonly string[] HazardWords =
    [
        "irritantHairs",
        "painfulSting",
        "medicallySignificant",
        "unknown",
        "none",
    ];
    private static readonly string[] MethodWords =
    [
        "watched",
        "tubToTub",
        "netOvernight",
        "leftTogether",
        "throughMesh",
    ];
    private static readonly string[] HourWords = ["evening", "night", "daylight"];
    private static readonly string[] AdultWords = ["femalesOnly", "neither", "both"];

    /// <summary>Every rule of a group.</summary>
    public static IReadOnlyList<RuleLine> Of(GroupRules group) => Lines("group", group);

    /// <summary>Every rule of a species.</summary>
    public static IReadOnlyList<RuleLine> Of(SpeciesProfile profile) => Lines("species", profile);

    /// <summary>One line from the JSON of a rule.</summary>
    public static RuleLine Line(string name, JsonObject rule)
    {
        var parts = name.Split('.')[1..];
        var (section, label) = Labels.GetValueOrDefault(parts[0], ("Other", Words(parts[0])));
        var school = Schools.Contains(parts[^1]) ? parts[^1] : "";
        var rest = parts[1..]
            .Where(p => p != school && p != UpkeepTask.Interval && !int.TryParse(p, out _))
            .Select(Words)
            .ToList();
        var value = rule["value"]!;
        var unit = rule["unit"]!.GetValue<string>();
        var choices =
            parts[0] == "moisture" ? MoistureWords
            : parts[0] == "burial" ? BurialWords
            : parts[0] == "adultsMolt" ? AdultWords
            : parts[0] == "hazard" ? HazardWords
            : parts[0] == "method" ? MethodWords
            : parts[0] == "callingHour" ? HourWords
            : [];
        var form = FormOf(value, choices);
        return new RuleLine(
            name,
            section,
            rest.Count == 0 ? label : $"{label}, {string.Join(", ", rest)}",
            form,
            TextOf(value, form, unit),
            value.ToJsonString(),
            choices,
            unit,
            Enum.Parse<RuleTag>(rule["tag"]!.GetValue<string>(), ignoreCase: true),
            rule["source"]!.GetValue<string>(),
            school
        );
    }

    private static List<RuleLine> Lines<T>(string root, T rules) =>
        [
            .. RulePath
                .All(JsonSerializer.SerializeToNode(rules, RuleSet.Strict)!)
                .Select(r => Line($"{root}.{r.Name}", r.Rule)),
        ];

    private static RuleForm FormOf(JsonNode value, string[] choices) =>
        value switch
        {
            JsonObject o when o.ContainsKey("low") => RuleForm.Range,
            JsonObject o when o.ContainsKey("p50") => RuleForm.Wait,
            JsonObject or JsonArray => RuleForm.Other,
            _ when choices.Length > 0 => RuleForm.Choice,
            _ => value.GetValueKind() switch
            {
                JsonValueKind.Number => RuleForm.Number,
                JsonValueKind.True or JsonValueKind.False => RuleForm.YesNo,
                _ => RuleForm.Text,
            },
        };

    private static string TextOf(JsonNode value, RuleForm form, string unit)
    {
        string Number(string key) => value[key]!.GetValue<double>().ToString("0.###", CultureInfo.InvariantCulture);
        string One(string number, string many) => number == "1" && many == "days" ? "day" : many;
        string Counted(string number) => $"{number} {One(number, unit)}";
        return form switch
        {
            RuleForm.Range when Number("low") == Number("high") => Counted(Number("low")),
            RuleForm.Range => $"{Number("low")}–{Number("high")} {unit}",
            RuleForm.Wait => $"{Number("p10")} · {Number("p50")} · {Number("p90")} {unit}",
            RuleForm.Number when unit.StartsWith("1 easy", StringComparison.Ordinal) =>
                $"{value.GetValue<double>():0} of 5, 1 being easy",
            RuleForm.Number => Counted(value.GetValue<double>().ToString("0.###", CultureInfo.InvariantCulture)),
            RuleForm.YesNo => value.GetValue<bool>() ? "yes" : "no",
            RuleForm.Choice => Words(value.GetValue<string>()),
            RuleForm.Text => value.GetValue<string>(),
            _ when value is JsonArray listed => string.Join(", ", listed.Select(p => p!.GetValue<string>())),
            _ => string.Join(
                ", ",
                ((JsonObject)value)
                    .Where(p => p.Value is not null)
                    .Select(p =>
                        Part(
                            p.Key,
                            p.Value!.GetValueKind() switch
                            {
                                JsonValueKind.True => "yes",
                                JsonValueKind.False => "no",
                                _ => p.Value.ToJsonString().Trim('"'),
                            }
                        )
                    )
            ),
        };
    }

    /// <summary>One figure of a compound value, with the unit that its name ends in, e.g. "reference 25 °C".</summary>
    private static string Part(string name, string value) =>
        Units.FirstOrDefault(u => name.EndsWith(u.Ending, StringComparison.Ordinal)) is { Unit: { } unit } found
            ? $"{Words(name[..^found.Ending.Length])} {value} {unit}"
            : $"{Words(name)} {value}";

    private static readonly (string Ending, string Unit)[] Units =
    [
        ("C", "°C"),
        ("Weeks", "weeks"),
        ("Days", "days"),
        ("Mm", "mm"),
    ];

    /// <summary>A name in code as words, e.g. <c>adultAbove120</c> as "adult above 120".</summary>
    private static string Words(string name) =>
        string.Concat(
                name.Select(
                    (c, i) =>
                        char.IsUpper(c) && i > 0 ? $" {char.ToLowerInvariant(c)}"
                        : char.IsDigit(c) && i > 1 && char.IsLetter(name[i - 1]) ? $" {c}"
                        : $"{c}"
                )
            )
            .Replace("sub adult", "sub-adult", StringComparison.Ordinal);
}
