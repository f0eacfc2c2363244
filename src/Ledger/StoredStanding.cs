using System.Text.Json;
using Husbandry.Journal;
using Husbandry.Rounds;

namespace Ledger;

/// <summary>Reads standings as they are stored. They are made from the journal, so one that is broken is no loss.</summary>
public static class StoredStanding
{
    private const int LettersOfId = 4;

    /// <summary>The standing of a stored text; none when that is broken, and the standing is to be folded anew.</summary>
    public static Standing? Read(string state)
    {
        try
        {
            return LedgerJson.Read<Standing>(state);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    /// <summary>What lists show of an animal, as stored; none when that text is broken.</summary>
    public static Glance? Glance(string glance)
    {
        try
        {
            return LedgerJson.Read<Glance>(glance);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    /// <summary>What it is called where nothing of it can be read.</summary>
    public static string NameOf(Guid stockId) => $"No. {stockId.ToString()[..LettersOfId]}";
}
