namespace Husbandry.Rounds;

/// <summary>The form in which an entry is said; named after the entry.</summary>
public enum EntryForm
{
    /// <summary>Food offered.</summary>
    Offered,

    /// <summary>A sign seen.</summary>
    SignSeen,

    /// <summary>A molt.</summary>
    Molted,

    /// <summary>A length.</summary>
    Measured,

    /// <summary>Moved to another place.</summary>
    Moved,

    /// <summary>Counted.</summary>
    Counted,

    /// <summary>Young born, a runaway found, some put in.</summary>
    Gained,

    /// <summary>Put together with a mate.</summary>
    Paired,

    /// <summary>Something done to it.</summary>
    Handled,

    /// <summary>A limb lost or growing.</summary>
    LimbNoted,

    /// <summary>Sex told.</summary>
    SexSeen,

    /// <summary>A note.</summary>
    Noted,

    /// <summary>Put off with a reason.</summary>
    PutOff,

    /// <summary>What it lives in.</summary>
    Housed,

    /// <summary>Put into a shared tank.</summary>
    Placed,

    /// <summary>Leaves the collection.</summary>
    Departed,

    /// <summary>Water given.</summary>
    Watered,

    /// <summary>The water of a tube.</summary>
    TubeSeen,

    /// <summary>Condition by eye.</summary>
    ConditionSeen,

    /// <summary>A wait began.</summary>
    Began,

    /// <summary>A wait ended.</summary>
    Ended,

    /// <summary>Into the cold or out of it.</summary>
    Chilled,

    /// <summary>Some of many parted from them.</summary>
    Parted,

    /// <summary>Young came out.</summary>
    GaveBirth,

    /// <summary>Lent to somebody.</summary>
    Lent,

    /// <summary>Back from a loan.</summary>
    Returned,

    /// <summary>A second look for those missing at a count.</summary>
    SecondLook,

    /// <summary>An egg case taken from its mother.</summary>
    CaseTaken,

    /// <summary>A brood divided into vials.</summary>
    Divided,

    /// <summary>Skins found in some vials of a brood.</summary>
    VialsMolted,

    /// <summary>A brood graded by size.</summary>
    Graded,

    /// <summary>Young promised to somebody.</summary>
    Promised,

    /// <summary>How many young are wanted.</summary>
    Capped,

    /// <summary>The plant that larvae are fed with.</summary>
    HostChosen,

    /// <summary>Calcium of a tub, source by source.</summary>
    CalciumLooked,

    /// <summary>How larvae are kept.</summary>
    Boxed,

    /// <summary>Some of many do not thrive.</summary>
    SickSeen,

    /// <summary>The night on which a pupa is taken out of the cold.</summary>
    WarmUpPlanned,

    /// <summary>How a queen was caught.</summary>
    QueenCaught,

    /// <summary>A look at a queen's brood.</summary>
    Peeked,

    /// <summary>A colony moves into another nest.</summary>
    NestMoved,

    /// <summary>A look into a tub.</summary>
    TubLooked,

    /// <summary>Some of a tub marked.</summary>
    Marked,

    /// <summary>Some of a tub caught again.</summary>
    Recaught,

    /// <summary>Equal scoops of a tub.</summary>
    Scooped,

    /// <summary>Who of a shared tank is up.</summary>
    LookedRound,

    /// <summary>The shell a crab wears.</summary>
    ShellTaken,

    /// <summary>Empty shells of a tank.</summary>
    ShellsCounted,

    /// <summary>Marks of a molt on a crab that came up.</summary>
    MoltMarksSeen,

    /// <summary>Over a crab that is down: who digs there, and the sleeve.</summary>
    BurialGuarded,

    /// <summary>A line of a tank's mating log.</summary>
    MatingSeen,
}
