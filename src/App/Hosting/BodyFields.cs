using System.Collections;
using System.Reflection;
using System.Text.Json.Serialization;
using Husbandry.Journal;
using Husbandry.Records;

namespace App.Hosting;

/// <summary>Finds what a field of a request body must be, so that a refusal can say it.</summary>
internal static class BodyFields
{
    /// <summary>The type at a JSON path such as <c>details.acquiredOn</c> or <c>points[2].lengthMm</c>; none when it has no such field.</summary>
    public static Type? TypeAt(Type? body, string path)
    {
        var type = body;
        foreach (var step in path.Split('.', StringSplitOptions.RemoveEmptyEntries))
        {
            var name = step.Split('[')[0];
            type = type is null ? null : FieldType(type, name);
            if (type is not null && step.Contains('[', StringComparison.Ordinal))
            {
                type = ItemType(type);
            }
        }

        return type is null ? null : Nullable.GetUnderlyingType(type) ?? type;
    }

    private static Type? FieldType(Type owner, string name) =>
        Forms(owner)
            .Prepend(owner)
            .Select(type =>
                type.GetProperty(
                    name,
                    BindingFlags.Public | BindingFlags.Instance | BindingFlags.IgnoreCase
                )?.PropertyType
            )
            .FirstOrDefault(type => type is not null);

    /// <summary>The records that a body of this type can be.</summary>
    private static IEnumerable<Type> Forms(Type owner) =>
        owner == typeof(Act)
            ? EntryKinds.All.Select(kind => kind.ActType)
            : owner.GetCustomAttributes<JsonDerivedTypeAttribute>().Select(derived => derived.DerivedType);

    private static Type? ItemType(Type list) =>
        typeof(IEnumerable).IsAssignableFrom(list) && list.IsGenericType ? list.GetGenericArguments()[0] : null;
}
