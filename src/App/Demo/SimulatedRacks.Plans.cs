using Husbandry.Rulebook;

namespace App.Demo;

/// <summary>How the growing animals of the demo live.</summary>
internal sealed partial class SimulatedRacks
{
    private static readonly (string Sign, double From, double Deceives)[] SpiderSigns =
    [
        ("plump", 0, 0.05),
        ("dark-under-hair", 0.5, 0.004),
        ("dull", 0.35, 0.012),
        ("sluggish", 0.3, 0.02),
    ];

    private static readonly (int, string, string)[] SpiderFood =
    [
        (0, "fruit-fly-large", "one"),
        (4, "cricket", "small"),
        (7, "roach-nymph", "medium"),
    ];

    private static readonly (int, string, string)[] MantisFood =
    [
        (0, "fruit-fly-small", "one"),
        (2, "fruit-fly-large", "one"),
        (4, "house-fly", "one"),
        (6, "blue-bottle-fly", "one"),
    ];

    private static readonly (string, double, double)[] MantisSigns =
    [
        ("stops-striking", 0.3, 0.02),
        ("hangs-still", 0.6, 0.02),
        ("rear-swollen", 0.2, 0.04),
    ];

    private static readonly LifePlan[] Plans =
    [
        new(
            "tliltocatl-albopilosus",
            4.5,
            30,
            1.2,
            8,
            3,
            10,
            true,
            420,
            SpiderFood,
            1.2,
            BodyPart.Carapace,
            SpiderSigns
        ),
        new("tliltocatl-vagans", 5, 38, 1.2, 9, 3, 10, true, 420, SpiderFood, 1.2, BodyPart.Carapace, SpiderSigns),
        new(
            "acanthoscurria-geniculata",
            4,
            22,
            1.21,
            7,
            3,
            10,
            true,
            0,
            SpiderFood,
            1.5,
            BodyPart.Carapace,
            SpiderSigns
        ),
        new(
            "caribena-versicolor",
            4.5,
            32,
            1.19,
            8,
            3,
            9,
            true,
            0,
            SpiderFood,
            1.4,
            BodyPart.Carapace,
            [("plump", 0, 0.05), ("dull", 0.4, 0.015), ("sluggish", 0.3, 0.02)]
        ),
        new(
            "hyllus-diardi",
            3,
            13,
            1.1,
            5,
            1.5,
            8,
            false,
            260,
            [
                (0, "fruit-fly-small", "one"),
                (3, "fruit-fly-large", "one"),
                (5, "house-fly", "one"),
                (7, "green-bottle-fly", "one"),
            ],
            0.7,
            BodyPart.Carapace,
            [("sealed-hammock", 0.4, 0.02), ("plump", 0, 0.08)]
        ),
        new(
            "heterometrus-silenus",
            6,
            60,
            1.2,
            12,
            4,
            6,
            false,
            4000,
            [(0, "fruit-fly-large", "one"), (2, "cricket", "small"), (4, "roach-nymph", "medium")],
            3,
            BodyPart.Carapace,
            [("hides-for-days", 0.2, 0.06), ("segments-parted", 0.6, 0.004)]
        ),
        new(
            "babycurus-jacksoni",
            5,
            36,
            1.22,
            9,
            3,
            6,
            false,
            4000,
            [(0, "fruit-fly-large", "one"), (2, "cricket", "small"), (4, "roach-nymph", "medium")],
            1.8,
            BodyPart.Carapace,
            [("hides-for-days", 0.2, 0.06), ("segments-parted", 0.6, 0.004)]
        ),
        new("hierodula-membranacea", 2, 9, 1.09, 3, 1, 8, false, 130, MantisFood, 6, BodyPart.Body, MantisSigns),
        new("sphodromantis-lineola", 2, 10, 1.09, 3, 1, 7, false, 130, MantisFood, 5.5, BodyPart.Body, MantisSigns),
    ];
}
