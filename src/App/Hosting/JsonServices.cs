using System.Text.Json;
using System.Text.Json.Serialization;

namespace App.Hosting;

/// <summary>How the API reads and writes JSON.</summary>
public static class JsonServices
{
    public static void AddLanternJson(this IServiceCollection services) =>
        services.ConfigureHttpJsonOptions(json =>
        {
            var options = json.SerializerOptions;
            options.NumberHandling = JsonNumberHandling.Strict;
            options.AllowOutOfOrderMetadataProperties = true;
            options.RespectNullableAnnotations = true;
            options.RespectRequiredConstructorParameters = true;
            options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        });
}
