namespace Husbandry.Rulebook;

/// <summary>Stage of life that stage-keyed rules use. Decided by one function: <c>StageReading</c>.</summary>
public enum Stage
{
    /// <summary>The youngest stage: sling, scorpling, first nymphs, young larva, manca. Fed and watered as a mouthful.</summary>
    Sling,

    /// <summary>Growing, past the rules for the youngest.</summary>
    Juvenile,

    /// <summary>About one molt from adult.</summary>
    SubAdult,

    /// <summary>Mature.</summary>
    Adult,

    /// <summary>Pupa: neither eats nor moves about.</summary>
    Pupa,

    /// <summary>Eggs, kept as such.</summary>
    Egg,
}

/// <summary>Sex as far as the keeper knows it.</summary>
public enum Sex
{
    /// <summary>Not known.</summary>
    Unknown,

    /// <summary>Female.</summary>
    Female,

    /// <summary>Male.</summary>
    Male,
}

/// <summary>What kind of thing is kept.</summary>
public enum StockKind
{
    /// <summary>One animal.</summary>
    Specimen,

    /// <summary>A counted cohort kept and fed as one, such as a tray of slings.</summary>
    Brood,

    /// <summary>Ants or isopods living as one.</summary>
    Colony,

    /// <summary>An enclosure that several animals share, each with a record of its own.</summary>
    Tank,
}
