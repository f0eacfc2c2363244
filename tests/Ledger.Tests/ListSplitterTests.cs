using System.Globalization;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;

namespace Ledger.Tests;

// Whatever the document, and however few bytes come at a time: its parts put together are the document again.
public sealed class ListSplitterTests
{
    private static readonly string[] Long = ["journal", "pictures"];

    [Fact]
    public void The_parts_of_any_document_are_the_document_again()
    {
        var random = new Random(20);
        for (var i = 0; i < 400; i++)
        {
            var whole = new JsonObject();
            foreach (
                var name in new[] { "format", "journal", "stock", "pictures", "room" }.Where(_ => random.Next(4) > 0)
            )
            {
                whole[name] = name is "journal" or "pictures"
                    ? new JsonArray([.. Enumerable.Range(0, random.Next(6)).Select(_ => Value(random, 0))])
                    : Value(random, 0);
            }

            var text = whole.ToJsonString(new JsonSerializerOptions { WriteIndented = random.Next(2) == 0 });
            var (rest, parts) = Split(text, random.Next(1, 40));
            var joined = JsonNode.Parse(rest)!.AsObject();
            foreach (var (list, index, json) in parts)
            {
                var array = joined[list]!.AsArray();
                Assert.Equal(array.Count, index);
                array.Add(JsonNode.Parse(json));
            }

            Assert.True(JsonNode.DeepEquals(whole, joined), text);
        }
    }

    [Fact]
    public void A_list_of_that_name_deeper_down_and_one_that_is_none_stay_where_they_are()
    {
        const string Text = """{"stock":[{"journal":[1,2]}],"pictures":null,"journal":{"a":[3]}}""";
        var (rest, parts) = Split(Text, 7);
        Assert.Empty(parts);
        Assert.Equal(Text, rest);
    }

    [Theory]
    [InlineData("\uFEFF{\"Journal\":[1, 2]}", 2)]
    [InlineData("{\"journal\":[],\"journal\":[7]}", 1)]
    [InlineData("{}", 0)]
    public void A_mark_at_the_beginning_and_capitals_are_borne(string text, int parts) =>
        Assert.Equal(parts, Split(text, 3).Parts.Count);

    [Theory]
    [InlineData("")]
    [InlineData("{\"journal\":[1,")]
    [InlineData("{\"journal\":[1}")]
    [InlineData("{\"journal\":[{\"a\":1]]}")]
    [InlineData("{\"journal\":[1] \"stock\":2}")]
    public void What_is_no_document_is_refused(string text) =>
        // As the serialiser's own reading refuses it, so that nothing is taken in part.
        Assert.ThrowsAny<JsonException>(() => JsonNode.Parse(Split(text, 5).Left));

    [Fact]
    public void One_value_beyond_reason_is_refused_before_it_is_held()
    {
        using var endless = new Endless("{\"journal\":[\""u8.ToArray());
        var splitter = new ListSplitter(endless, Long);
        Assert.Contains(
            "larger than 32 MB",
            Assert.Throws<JsonException>(() => splitter.Next(out _)).Message,
            StringComparison.Ordinal
        );
    }

    private static (string Left, List<(string List, int Index, string Json)> Parts) Split(string text, int atATime)
    {
        using var slow = new Slow(Encoding.UTF8.GetBytes(text), atATime);
        var (splitter, parts) = (new ListSplitter(slow, Long), new List<(string, int, string)>());
        while (splitter.Next(out var element))
        {
            parts.Add((element.List, element.Index, Encoding.UTF8.GetString(element.Json.Span)));
        }

        return (Encoding.UTF8.GetString(splitter.Rest), parts);
    }

    private static JsonNode? Value(Random random, int depth) =>
        random.Next(depth > 3 ? 4 : 6) switch
        {
            0 => null,
            1 => JsonValue.Create(random.Next(2) == 0),
            2 => JsonValue.Create(random.NextDouble() * Math.Pow(10, random.Next(-9, 9))),
            3 => JsonValue.Create(
                string.Concat(Enumerable.Range(0, random.Next(12)).Select(_ => "aé\"\\]}{[,:\n🕷"[random.Next(11)]))
            ),
            4 => new JsonArray([.. Enumerable.Range(0, random.Next(4)).Select(_ => Value(random, depth + 1))]),
            _ => new JsonObject(
                Enumerable
                    .Range(0, random.Next(4))
                    .Select(i =>
                        KeyValuePair.Create(i.ToString(CultureInfo.InvariantCulture), Value(random, depth + 1))
                    )
            ),
        };

    /// <summary>Gives so many bytes at a time, as a slow disk or line does.</summary>
    private sealed class Slow(byte[] bytes, int atATime) : MemoryStream(bytes)
    {
        public override int Read(byte[] buffer, int offset, int count) =>
            base.Read(buffer, offset, Math.Min(count, atATime));
    }

    /// <summary>Begins as given, and then never ends.</summary>
    private sealed class Endless(byte[] beginning) : MemoryStream(beginning)
    {
        public override int Read(byte[] buffer, int offset, int count)
        {
            var read = base.Read(buffer, offset, count);
            buffer.AsSpan(offset + read, count - read).Fill((byte)'x');
            return count;
        }
    }
}
