using Ledger;

namespace App.Safekeeping;

/// <summary>Registers what keeps the record safe.</summary>
public static class SafekeepingServices
{
    public static void AddSafekeeping(this IServiceCollection services)
    {
        services.AddSingleton<WriteGate>();
        services.AddSingleton<RoomHealth>();
        services.AddScoped<Keeping>();
        services.AddScoped<OpenTables>();
        services.AddSingleton<SafekeepingRounds>();
        services.AddHostedService(provider => provider.GetRequiredService<SafekeepingRounds>());
        services.AddExceptionHandler<TroubleHandler>();
    }

    /// <summary>Says at start that this machine's clock is behind the record, when it is.</summary>
    public static async Task SayClockAsync(this WebApplication app)
    {
        using var scope = app.Services.CreateScope();
        var behind = await app
            .Services.GetRequiredService<RoomHealth>()
            .ClockBehindAsync(scope.ServiceProvider.GetRequiredService<LanternDb>(), CancellationToken.None);
        if (behind is not null)
        {
            app.Logger.LogWarning("{Behind}", behind);
        }
    }

    public static void UseWriteGate(this WebApplication app) =>
        app.Use(app.Services.GetRequiredService<WriteGate>().GuardAsync);
}
