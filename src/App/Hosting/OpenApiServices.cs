using System.Reflection;
using System.Text.Json.Serialization.Metadata;
using App.Stock;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Stock;
using Microsoft.OpenApi;

namespace App.Hosting;

/// <summary>The OpenAPI document from which the client's types are generated.</summary>
public static class OpenApiServices
{
    public static void AddLanternOpenApi(this IServiceCollection services) =>
        services.AddOpenApi(api =>
        {
            api.AddDocumentTransformer(
                (document, _, _) =>
                {
                    document.Info = new OpenApiInfo { Title = "Hushed Lantern", Version = "1" };
                    document.Servers = [];
                    foreach (
                        var (name, schema) in document.Components?.Schemas ?? new Dictionary<string, IOpenApiSchema>()
                    )
                    {
                        RequireKind(schema);
                        DropNull(name, schema);
                        AllowNull(name, schema);
                    }

                    return Task.CompletedTask;
                }
            );
            api.AddSchemaTransformer(
                (schema, context, _) =>
                {
                    RequireWorkedOut(schema, context.JsonTypeInfo);
                    if (
                        context.JsonTypeInfo.Type == typeof(DateTimeOffset)
                        || context.JsonTypeInfo.Type == typeof(DateTimeOffset?)
                    )
                    {
                        // Written by a converter of our own, of which the generator knows nothing.
                        schema.Type =
                            context.JsonTypeInfo.Type == typeof(DateTimeOffset)
                                ? JsonSchemaType.String
                                : JsonSchemaType.String | JsonSchemaType.Null;
                        schema.Format = "date-time";
                    }

                    if (context.JsonTypeInfo.Type == typeof(Place))
                    {
                        schema.Type = JsonSchemaType.String;
                        schema.Description = $"Where an enclosure stands: {Place.Form}.";
                    }

                    return Task.CompletedTask;
                }
            );
        });

    /// <summary>The word that tells acts apart is always there, so that clients can switch on it.</summary>
    private static void RequireKind(IOpenApiSchema schema)
    {
        if (
            schema is OpenApiSchema concrete
            && concrete.Properties?.TryGetValue("kind", out var kind) == true
            && kind.Enum?.Count == 1
        )
        {
            (concrete.Required ??= new HashSet<string>()).Add("kind");
        }
    }

    /// <summary>What is worked out from the rest is always there; the generator asks only for what a constructor takes.</summary>
    private static void RequireWorkedOut(OpenApiSchema schema, JsonTypeInfo type)
    {
        foreach (var property in type.Properties)
        {
            if (
                property is { Set: null, AssociatedParameter: null, Get: not null }
                && schema.Properties?.TryGetValue(property.Name, out var said) == true
            )
            {
                (schema.Required ??= new HashSet<string>()).Add(property.Name);
                if (said is OpenApiSchema concrete && !property.IsGetNullable)
                {
                    concrete.Type &= ~JsonSchemaType.Null;
                }
            }
        }
    }

    /// <summary>
    /// The generator takes every generic <c>T</c> for nullable. A rule always has a value, and an answer has one
    /// wherever the animal's page declares it so.
    /// </summary>
    private static void DropNull(string name, IOpenApiSchema schema)
    {
        if (
            name.StartsWith("CalcAnswerOf", StringComparison.Ordinal)
            && schema.Properties?.TryGetValue("result", out var result) == true
            && result.OneOf?.FirstOrDefault(s => s.Type != JsonSchemaType.Null) is { } sure
        )
        {
            schema.Properties["result"] = sure;
        }

        if (
            (name.StartsWith("RuleOf", StringComparison.Ordinal) || CertainAnswers.Contains(name))
            && schema.Properties?.TryGetValue("value", out var value) == true
            && value.OneOf?.FirstOrDefault(s => s.Type != JsonSchemaType.Null) is { } certain
        )
        {
            schema.Properties["value"] = certain;
        }
    }

    /// <summary>The generator forgets that what is worked out may be nothing, where that is a record of its own.</summary>
    private static void AllowNull(string name, IOpenApiSchema schema)
    {
        if (name != nameof(RoundLine) || schema.Properties is not { } properties)
        {
            return;
        }

        const string Together = "together";
        properties[Together] = new OpenApiSchema
        {
            OneOf = [new OpenApiSchema { Type = JsonSchemaType.Null }, properties[Together]],
        };
    }

    private static readonly HashSet<string> CertainAnswers =
    [
        .. typeof(AnimalView)
            .GetProperties()
            .Where(p => p.PropertyType.IsGenericType && p.PropertyType.GetGenericTypeDefinition() == typeof(Answer<>))
            .Select(p => new NullabilityInfoContext().Create(p).GenericTypeArguments[0])
            .Where(argument => argument.ReadState == NullabilityState.NotNull)
            .Select(argument => $"AnswerOf{argument.Type.Name}"),
    ];
}
