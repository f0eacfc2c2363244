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
                    return Task.CompletedTask;
                }
            );
            api.AddSchemaTransformer(
                (schema, context, _) =>
                {
                    if (context.JsonTypeInfo.Type == typeof(Place))
                    {
                        schema.Type = JsonSchemaType.String;
                        schema.Description = $"Where an enclosure stands: {Place.Form}.";
                    }

                    return Task.CompletedTask;
                }
            );
        });
}
