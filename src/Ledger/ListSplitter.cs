using System.Buffers;
using System.Text.Json;

namespace Ledger;

/// <summary>An element of a list that was read on its own.</summary>
/// <param name="List">Name of the list.</param>
/// <param name="Index">Its place in it.</param>
/// <param name="Json">Its text; it holds until the next is read.</param>
public readonly record struct ListElement(string List, int Index, ReadOnlyMemory<byte> Json);

/// <summary>
/// Takes a JSON document apart as it is read: the elements of its long lists come one at a time, and what is left of it, with those
/// lists empty, is small enough to be read whole. So a room of ten years needs no more memory than one of its lines.
/// </summary>
/// <param name="text">The document, UTF-8.</param>
/// <param name="lists">Names of the long lists, fields of the document itself.</param>
public sealed class ListSplitter(Stream text, IReadOnlyList<string> lists)
{
    private const int FirstBuffer = 1 << 16;

    // A picture of the largest size in base 64, with room to spare.
    private const int LargestValue = 1 << 25;
    private const int LargestRest = 1 << 28;

    private readonly ArrayBufferWriter<byte> rest = new(FirstBuffer);
    private byte[] buffer = new byte[FirstBuffer];
    private int start;
    private int end;
    private bool begun;
    private bool ended;
    private JsonReaderState state;
    private string? named;
    private string? list;
    private int index;

    /// <summary>What is left once all elements were read: the document with its long lists empty.</summary>
    public ReadOnlySpan<byte> Rest => rest.WrittenSpan;

    /// <summary>Reads on to the next element.</summary>
    /// <exception cref="JsonException">It is no JSON, or one value in it is beyond reason.</exception>
    public bool Next(out ListElement found)
    {
        while (true)
        {
            var reader = new Utf8JsonReader(buffer.AsSpan(start, end - start), ended, state);
            if (!begun || !reader.Read())
            {
                if (ended)
                {
                    found = default;
                    return false;
                }

                Fill();
            }
            else if (list is null)
            {
                Keep(ref reader);
            }
            else if (reader is { TokenType: JsonTokenType.EndArray, CurrentDepth: 1 })
            {
                rest.Write("]"u8);
                list = null;
                Pass(ref reader);
            }
            else
            {
                var from = start + (int)reader.TokenStartIndex;
                if (reader.TrySkip())
                {
                    Pass(ref reader);
                    found = new ListElement(list, index++, buffer.AsMemory(from, start - from));
                    return true;
                }

                Fill();
            }
        }
    }

    /// <summary>Keeps a token of what is left, and notes where a long list begins.</summary>
    private void Keep(ref Utf8JsonReader reader)
    {
        if (rest.WrittenCount + reader.BytesConsumed > LargestRest)
        {
            throw new JsonException($"Beside {string.Join(" and ", lists)} it holds more than {LargestRest >> 20} MB.");
        }

        rest.Write(buffer.AsSpan(start, (int)reader.BytesConsumed));
        if (named is not null && reader.TokenType == JsonTokenType.StartArray)
        {
            (list, index) = (named, 0);
        }

        named =
            reader is { TokenType: JsonTokenType.PropertyName, CurrentDepth: 1 } && reader.GetString() is { } name
                ? lists.FirstOrDefault(l => l.Equals(name, StringComparison.OrdinalIgnoreCase))
                : null;
        Pass(ref reader);
    }

    private void Pass(ref Utf8JsonReader reader)
    {
        start += (int)reader.BytesConsumed;
        state = reader.CurrentState;
    }

    private void Fill()
    {
        if (start > 0)
        {
            buffer.AsSpan(start, end - start).CopyTo(buffer);
            (start, end) = (0, end - start);
        }

        if (end == buffer.Length)
        {
            if (buffer.Length >= LargestValue)
            {
                throw new JsonException($"One value in it is larger than {LargestValue >> 20} MB.");
            }

            Array.Resize(ref buffer, buffer.Length * 2);
        }

        var read = text.Read(buffer, end, buffer.Length - end);
        end += read;
        ended = read == 0;
        if (!begun && (end >= Mark.Length || ended))
        {
            begun = true;
            start = buffer.AsSpan(0, end).StartsWith(Mark) ? Mark.Length : 0;
        }
    }

    // Some editors begin a file of UTF-8 so.
    private static ReadOnlySpan<byte> Mark => [0xEF, 0xBB, 0xBF];
}
