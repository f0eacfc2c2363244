using System.Text.Json.Serialization;
using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace Husbandry.Rounds;

/// <summary>In which part of the walk a line stands.</summary>
public enum LineSection
{
    /// <summary>At its place on its shelf.</summary>
    Shelf,

    /// <summary>Before the first shelf: what must come out before anything else is walked to.</summary>
    First,

    /// <summary>Behind the last shelf: at an hour still to come.</summary>
    Later,
}

/// <summary>A page to which a line leads.</summary>
public enum LinePage
{
    /// <summary>What is known of the animal.</summary>
    Details,

    /// <summary>The pairing that goes on, or is to begin.</summary>
    Run,
}

/// <summary>Something that can be told at a line besides its choices.</summary>
/// <param name="Key">Its key, one letter.</param>
/// <param name="Label">What it says.</param>
/// <param name="Brief">The same for a phone.</param>
/// <param name="Acts">What is logged; none where a form or a page opens.</param>
/// <param name="Form">The form that opens; none when it is logged at once.</param>
/// <param name="Corrects">The entry that it corrects, so that one meal is not two on the record.</param>
/// <param name="IsMain">Whether it is the obvious thing to do at the line.</param>
/// <param name="Opens">The page to which it leads; none where something is logged.</param>
public sealed record LineOffer(
    string Key,
    string Label,
    string Brief,
    IReadOnlyList<Act> Acts,
    EntryForm? Form,
    Guid? Corrects,
    bool IsMain,
    LinePage? Opens
)
{
    /// <summary>One that is logged at once.</summary>
    internal static LineOffer OfAct(string key, string label, string brief, Act act, Guid? corrects = null) =>
        new(key, label, brief, [act], null, corrects, false, null);

    /// <summary>One that opens a form.</summary>
    internal static LineOffer OfForm(string key, string label, string brief, EntryForm form, bool isMain = false) =>
        new(key, label, brief, [], form, null, isMain, null);

    /// <summary>One that leads to a page.</summary>
    internal static LineOffer OfPage(string key, string label, string brief, LinePage page) =>
        new(key, label, brief, [], null, null, true, page);
}

/// <summary>What can be logged of a whole shelf in one go.</summary>
/// <param name="Word">What it is, the same for all that go together.</param>
/// <param name="Acts">What is logged of this one.</param>
public sealed record LineTogether(string Word, IReadOnlyList<Act> Acts);

/// <summary>What stands beside the choices of a line.</summary>
public sealed partial record RoundLine
{
    /// <summary>In which part of the walk it stands.</summary>
    public LineSection Section =>
        OutAt is not null ? LineSection.Later
        : Act == RoundAct.RemoveLeftovers ? LineSection.First
        : LineSection.Shelf;

    /// <summary>What can be logged of it together with its neighbours; none for what each must be looked at for.</summary>
    public LineTogether? Together =>
        Act switch
        {
            RoundAct.Feed => TogetherBy("f", "Fed as offered"),
            RoundAct.Water => TogetherBy("w", "Watered"),
            _ => null,
        };

    /// <summary>What can be told at it besides its choices; empty where nothing needs a hand.</summary>
    [JsonRequired]
    public IReadOnlyList<LineOffer> Beside { get; init; } = [];

    /// <summary>The same line with a look proposed: what it is worth, and that nothing was seen as something to log.</summary>
    public RoundLine WithLook() =>
        this with
        {
            Look = LookWorth?.Summary,
            Beside = [.. Beside, LineOffer.OfAct("v", "Looked: no sign", "No sign", new Looked())],
        };

    private LineTogether? TogetherBy(string key, string word) =>
        Choices.FirstOrDefault(c => c.Key == key) is { } choice ? new LineTogether(word, choice.Acts) : null;

    private static List<LineOffer> BesideOf(RoundLine line, Judgement j)
    {
        var tonight = j.Subject.Room.Tonight;
        var offers = new List<LineOffer>();
        var looks = line.Act == RoundAct.LookForMolt;
        if (looks)
        {
            offers.Add(LineOffer.OfForm("m", "Molted", "Molted", EntryForm.Molted, isMain: true));
        }

        if (line.Act == RoundAct.Ask)
        {
            offers.Add(LineOffer.OfPage("d", "Say it in her details", "Details", LinePage.Details));
        }

        if (line.Act == RoundAct.PartThem)
        {
            return [LineOffer.OfPage("p", "To the pairing", "Pairing", LinePage.Run)];
        }

        if (line.Act == RoundAct.LookAgain)
        {
            offers.Add(LineOffer.OfForm("f", "Some found", "Found", EntryForm.SecondLook));
        }

        if (line.Act == RoundAct.LookForAdult)
        {
            offers.Add(LineOffer.OfForm("o", "One is out", "Emerged", EntryForm.Ended));
            // "Not yet" is one of its choices, and says until when.
            return offers;
        }

        if (j.Upkeep.Value.DueOn(tonight).Any(c => c.Task.Id == CalciumLookedEntry.Task))
        {
            offers.Add(LineOffer.OfForm("u", "Calcium, source by source", "Calcium", EntryForm.CalciumLooked));
        }

        if (line.Act == RoundAct.LookAtTube)
        {
            offers.Add(
                LineOffer.OfForm("p", "What is in there: eggs, larvae, pupae, workers", "Peek", EntryForm.Peeked)
            );
        }

        if (line.Act == RoundAct.TellSex)
        {
            offers.Add(LineOffer.OfForm("x", "Told by something else", "Otherwise", EntryForm.SexSeen));
        }

        if (line.Act == RoundAct.CountYoung)
        {
            offers.Add(LineOffer.OfForm("n", "Counted", "Counted", EntryForm.Counted));
        }

        if (line.Act == RoundAct.PutApart)
        {
            offers.Add(LineOffer.OfForm("v", "Divided otherwise", "Otherwise", EntryForm.Divided));
        }

        if (line.Act == RoundAct.PairAgain)
        {
            offers.Add(LineOffer.OfPage("p", "Put them together", "Together", LinePage.Run));
        }

        if (line is { Vials: not null, Act: RoundAct.Feed, Offer: not null })
        {
            offers.Add(LineOffer.OfForm("o", "Some left it", "Some", EntryForm.Offered));
        }

        if (line.PreyIn is { } prey)
        {
            offers.Add(LineOffer.OfAct("t", "Taken after all", "Eaten", TakenLater(prey.Offer), prey.EntryId));
        }

        if (line.Signs)
        {
            offers.Add(LineOffer.OfForm("s", "Sign seen", "Sign", EntryForm.SignSeen));
        }

        var (label, brief) = looks ? ("Not yet", "Not yet") : ("Later", "Later");
        offers.Add(LineOffer.OfAct("l", label, brief, new PutOff(tonight.AddDays(1))));
        return offers;
    }

    private static Offered TakenLater(Offer offer) =>
        new(offer.FeederId, offer.SizeClassId, offer.Count, offer.Preparation, OfferOutcome.TakenLater);
}
