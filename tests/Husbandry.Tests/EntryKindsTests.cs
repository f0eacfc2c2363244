using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using CsCheck;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>Laws that hold for every kind of entry; a new kind is under them as soon as it is listed.</summary>
public class EntryKindsTests
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { EntryKinds.Describe } },
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase) },
        AllowOutOfOrderMetadataProperties = true,
    };

    public static TheoryData<string> Ids => [.. EntryKinds.All.Select(k => k.Id)];

    private static EntryDefinition Kind(string id) => EntryKinds.All.Single(k => k.Id == id);

    [Fact]
    public void Every_act_there_is_has_its_kind_in_the_list_and_every_kind_its_own_id()
    {
        var acts = typeof(Act).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Act)) && !t.IsAbstract);
        Assert.Equal(acts.Select(t => t.Name).Order(), EntryKinds.All.Select(k => k.ActType.Name).Order());
        Assert.Distinct(EntryKinds.All.Select(k => k.Id));
        Assert.Equal(["acquired"], EntryKinds.All.Where(k => k.Begins).Select(k => k.Id));
    }

    /// <summary>What was once written with an id must be readable for ever.</summary>
    [Fact]
    public void No_id_that_was_ever_written_is_gone() =>
        Assert.Superset(
            new HashSet<string>
            {
                "acquired",
                "detailsChanged",
                "offered",
                "leftoversRemoved",
                "watered",
                "tubeSeen",
                "conditionSeen",
                "looked",
                "signSeen",
                "molted",
                "fangsChecked",
                "measured",
                "moved",
                "counted",
                "noted",
                "putOff",
                "departed",
                "began",
                "ended",
                "chilled",
                "limbNoted",
                "sexSeen",
                "pictured",
                "handled",
                "housed",
                "withdrawn",
            },
            EntryKinds.All.Select(k => k.Id).ToHashSet()
        );

    [Theory]
    [MemberData(nameof(Ids))]
    public void Its_examples_are_of_the_kind_are_told_in_words_and_come_back_from_json(string id)
    {
        var kind = Kind(id);
        var words = Diary.Room().Wording;
        Assert.NotEmpty(kind.Examples);
        foreach (var act in kind.Examples)
        {
            Assert.Same(kind, EntryDefinition.Of(act));
            Assert.IsType(kind.ActType, act);
            var said = kind.Say(act, RuleSet.Shipped, words);
            Assert.False(string.IsNullOrWhiteSpace(said), id);
            Assert.DoesNotContain("  ", said, StringComparison.Ordinal);

            var json = JsonSerializer.Serialize(act, Json);
            Assert.StartsWith($$"""{"kind":"{{id}}""", json, StringComparison.Ordinal);
            var back = JsonSerializer.Deserialize<Act>(json, Json)!;
            Assert.IsType(kind.ActType, back);
            Assert.Equal(json, JsonSerializer.Serialize(back, Json));
        }
    }

    [Fact]
    public void An_unknown_kind_is_refused() =>
        Assert.Throws<JsonException>(() => JsonSerializer.Deserialize<Act>("""{"kind":"sung"}""", Json));

    /// <summary>
    /// On stock of every species, kind and stage: every example is either refused with a field or can be folded, judged and
    /// shown; the seconds it takes are a rule of the room.
    /// </summary>
    [Fact]
    public void Every_example_is_refused_with_a_field_or_leaves_stock_that_can_be_judged() =>
        Gen.Int[0, 1_000_000]
            .Sample(
                seed =>
                {
                    var diary = AnyStock.Of(seed);
                    var room = Diary.Room();
                    var standing = diary.Standing();
                    var kind = EntryKinds.All[seed % EntryKinds.All.Length];
                    foreach (var act in kind.Examples)
                    {
                        var problems = EntryCheck.Check(act, Occurrence.At(room.Now), standing, room);
                        Assert.All(
                            problems,
                            p =>
                                Assert.False(string.IsNullOrWhiteSpace(p.Field) || string.IsNullOrWhiteSpace(p.Message))
                        );
                        Assert.True(
                            kind.Pace(act) is not { } pace || room.Rules.Room.Rounds.SecondsPerAct.ContainsKey(pace)
                        );
                        if (problems.Count == 0 && act.Withdraws() is null)
                        {
                            var after = standing.Apply(diary.Entry(act));
                            Assert.Equal(diary.Entries.Count + 1, after.LatestSequence);
                            Assert.True(RoundLine.Of(Judgement.Of(after, room)).StockId == standing.StockId);
                        }
                    }
                },
                iter: 400
            );
}
