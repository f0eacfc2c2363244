using System.Collections;
using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;

namespace Ledger;

/// <summary>Something that was read from JSON lies outside what can be.</summary>
/// <param name="at">The field, as it stands in the JSON.</param>
/// <param name="message">What is allowed.</param>
public sealed class OutOfBoundsException(string at, string message) : JsonException(message)
{
    /// <summary>The field of the object at <see cref="JsonException.Path"/>.</summary>
    public string Field => at;
}

/// <summary>
/// Bounds that hold for everything that comes from outside, whatever it is about: no date outside two centuries and a bit, no
/// number that arithmetic cannot bear, no empty place in a list. Narrower bounds are the features' own.
/// </summary>
public static class InputBounds
{
    /// <summary>First year that is taken.</summary>
    public const int FirstYear = 1900;

    /// <summary>Last year that is taken.</summary>
    public const int LastYear = 2200;

    /// <summary>Largest number that is taken, either way from zero.</summary>
    public const double Largest = 1e12;

    /// <summary>Smallest number but zero that is taken.</summary>
    public const double Smallest = 1e-12;

    private static readonly NullabilityInfoContext Nullability = new();

    /// <summary>Whether a date can be taken.</summary>
    public static bool Holds(DateOnly date) => date.Year is >= FirstYear and <= LastYear;

    /// <summary>Whether an instant can be taken.</summary>
    public static bool Holds(DateTimeOffset instant) => instant.UtcDateTime.Year is >= FirstYear and <= LastYear;

    /// <summary>Whether a number can be taken.</summary>
    public static bool Holds(double number) => number == 0 || (Math.Abs(number) is >= Smallest and <= Largest);

    /// <summary>Has every object of a type looked at once it was read. For the options with which input is read.</summary>
    public static void Guard(JsonTypeInfo type)
    {
        if (type.Kind != JsonTypeInfoKind.Object)
        {
            return;
        }

        var looked = type
            .Properties.Where(p => p.Get is not null && (Matters(p.PropertyType) || IsOfAnyType(p)))
            .Select(p => (p.Name, Get: p.Get!, MayBeEmpty: MayHoldNull(p), MayBeMissing: !IsOfAnyType(p)))
            .ToList();
        if (looked.Count == 0)
        {
            return;
        }

        type.OnDeserialized += read =>
        {
            foreach (var (name, get, mayBeEmpty, mayBeMissing) in looked)
            {
                var value = get(read);
                if (value is null && !mayBeMissing)
                {
                    throw new OutOfBoundsException(name, Missing);
                }

                if (Problem(value, mayBeEmpty) is var (at, problem))
                {
                    throw new OutOfBoundsException(name + at, problem);
                }
            }
        };
    }

    /// <summary>What is wrong with a value, and at which place of a list; none when it can be taken.</summary>
    private static (string At, string Problem)? Problem(object? value, bool mayBeEmpty)
    {
        if (value is string or byte[] || value is not IEnumerable)
        {
            return Problem(value) is { } single ? ("", single) : null;
        }

        var i = 0;
        foreach (var element in value is IDictionary named ? named.Values : (IEnumerable)value)
        {
            var problem =
                element is not null ? Problem(element)
                : mayBeEmpty ? null
                : Missing;
            if (problem is not null)
            {
                return (string.Create(CultureInfo.InvariantCulture, $"[{i}]"), problem);
            }

            i++;
        }

        return null;
    }

    private static string? Problem(object? value) =>
        value switch
        {
            DateOnly date when !Holds(date) => Years,
            DateTimeOffset instant when !Holds(instant) => Years,
            double number when !Holds(number) => Numbers,
            _ => null,
        };

    private static readonly string Years = string.Create(
        CultureInfo.InvariantCulture,
        $"Must lie between the years {FirstYear} and {LastYear}."
    );

    private static readonly string Numbers = string.Create(
        CultureInfo.InvariantCulture,
        $"Must be 0, or a number of a size between {Smallest:0e0} and {Largest:0e0}."
    );

    private static bool Matters(Type type)
    {
        var bare = Nullable.GetUnderlyingType(type) ?? type;
        return bare == typeof(DateOnly)
            || bare == typeof(DateTimeOffset)
            || bare == typeof(double)
            || (typeof(IEnumerable).IsAssignableFrom(bare) && bare != typeof(string) && bare != typeof(byte[]));
    }

    /// <summary>Whether a property's type is left to who uses it: the serialiser does not see that such a one may not be null.</summary>
    private static bool IsOfAnyType(JsonPropertyInfo property) =>
        property.AttributeProvider is PropertyInfo { DeclaringType: { IsGenericType: true } closed } member
        && closed.GetGenericTypeDefinition().GetProperty(member.Name)?.PropertyType.IsGenericParameter == true;

    private const string Missing = "Is missing.";

    private static bool MayHoldNull(JsonPropertyInfo property)
    {
        if (property.AttributeProvider is not PropertyInfo member)
        {
            return true;
        }

        lock (Nullability)
        {
            var info = Nullability.Create(member);
            var element = info.ElementType ?? info.GenericTypeArguments.LastOrDefault();
            return element is null || element.ReadState != NullabilityState.NotNull;
        }
    }
}
