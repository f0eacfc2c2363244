using App.Demo;
using App.Hosting;

namespace App.Climate;

/// <summary>Registers what reads the room's air.</summary>
public static class ClimateServices
{
    public static void AddClimate(this IServiceCollection services, LanternOptions options)
    {
        services.AddSingleton<ClimateWatch>();
        services.AddScoped<AirReader>();
        services.AddScoped<ReadingTaker>();
        services.AddHostedService<ClimateRounds>();
        services.AddHostedService<MqttReader>();
        if (options.Demo)
        {
            services.AddHostedService<DemoGateway>();
        }
    }
}
