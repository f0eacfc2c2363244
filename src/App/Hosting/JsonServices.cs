using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Husbandry.Records;
using Ledger;
using Microsoft.AspNetCore.Http.Json;

namespace App.Hosting;

/// <summary>How the API reads and writes JSON.</summary>
public static class JsonServices
{
    public static void AddLanternJson(this IServiceCollection services)
    {
        services.AddSingleton<RoomZone>();
        services
            .AddOptions<JsonOptions>()
            .Configure<RoomZone>((json, zone) => json.SerializerOptions.Converters.Add(new RoomTimeConverter(zone)));
        services.ConfigureHttpJsonOptions(json =>
        {
            var options = json.SerializerOptions;
            options.NumberHandling = JsonNumberHandling.Strict;
            options.AllowOutOfOrderMetadataProperties = true;
            options.RespectNullableAnnotations = true;
            options.RespectRequiredConstructorParameters = true;
            options.TypeInfoResolver = (options.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver())
                .WithAddedModifier(EntryKinds.Describe)
                .WithAddedModifier(InputBounds.Guard);
            options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        });
    }
}
