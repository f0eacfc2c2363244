namespace Husbandry.Rounds;

/// <summary>What a line of the round asks for.</summary>
public enum RoundAct
{
    /// <summary>Nothing tonight.</summary>
    None,

    /// <summary>Give water at once: a sign that needs help was seen.</summary>
    Help,

    /// <summary>Take leftovers out.</summary>
    RemoveLeftovers,

    /// <summary>Look whether it has molted.</summary>
    LookForMolt,

    /// <summary>Look at the fangs.</summary>
    CheckFangs,

    /// <summary>Offer food.</summary>
    Feed,

    /// <summary>Give water.</summary>
    Water,

    /// <summary>Look at the water of a tube.</summary>
    LookAtTube,

    /// <summary>Damp one side, once, as premolt begins.</summary>
    DampSide,

    /// <summary>Something about it must be said before it can be cared for.</summary>
    Ask,

    /// <summary>It was lent and should be back.</summary>
    AskBack,

    /// <summary>It is somebody else's, and should go back.</summary>
    GiveBack,

    /// <summary>Do what is done at regular times besides food and water.</summary>
    Tend,

    /// <summary>Two are together: stay by them, part them, log how it ended.</summary>
    PartThem,

    /// <summary>Look whether he has spun a new sperm web.</summary>
    LookForWeb,

    /// <summary>Put her together with her mate once more.</summary>
    PairAgain,

    /// <summary>Look whether an adult has come out of its pupa.</summary>
    LookForAdult,

    /// <summary>Take a pupa out of the cold, as planned.</summary>
    WarmUp,

    /// <summary>Look at the marks that tell its sex since the last molt.</summary>
    TellSex,

    /// <summary>Put the young of a brood apart, each alone.</summary>
    PutApart,

    /// <summary>Count young that have hatched.</summary>
    CountYoung,

    /// <summary>Look a second time for those that were missing at a count.</summary>
    LookAgain,
}

/// <summary>Which part of the round a line belongs to.</summary>
public enum LineState
{
    /// <summary>Needs a hand tonight.</summary>
    Due,

    /// <summary>Hushed: pass by.</summary>
    PassBy,

    /// <summary>Nothing to do tonight.</summary>
    Quiet,
}
