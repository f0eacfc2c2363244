using App.About;
using App.Access;
using App.Almanac;
using App.Calculators;
using App.Chores;
using App.Climate;
using App.Colonies;
using App.Contacts;
using App.Doorway;
using App.Growth;
using App.Guide;
using App.Honesty;
using App.Hosting;
using App.Housing;
using App.Intake;
using App.Journal;
using App.Labels;
using App.Larder;
using App.Live;
using App.Nursery;
using App.Pairing;
using App.Papers;
using App.Rooms;
using App.Rounds;
using App.Rulebook;
using App.Safekeeping;
using App.Sitter;
using App.Stock;
using App.Tanks;
using Husbandry.Rulebook;
using Ledger;
using Ledger.Safekeeping;
using Microsoft.AspNetCore.Connections;
using Serilog;
using Serilog.Events;

// Matrices here are small, and several species are learned at once: to share one matrix out among threads costs more than it spares.
MathNet.Numerics.Control.UseSingleThread();
var options = LanternOptions.FromEnvironment(args);
if (options.Refusal is { } refusal)
{
    await Console.Error.WriteLineAsync(refusal);
    return LanternOptions.RefusedExitCode;
}

if (options.Errand is { } errand)
{
    return await new Errands(options, Console.In, Console.Out, Console.Error).RunAsync(errand);
}

var builder = WebApplication.CreateBuilder(
    new WebApplicationOptions
    {
        Args = args,
        ContentRootPath = AppContext.BaseDirectory,
        WebRootPath = options.ClientFolder,
    }
);
if (LanternOptions.IsServer)
{
    builder.WebHost.UseDoorway(options);
}

builder.Host.UseSerilog(
    (_, log) =>
        log
            .MinimumLevel.Information()
            .MinimumLevel.Override("Microsoft", LogEventLevel.Warning)
            // The keys lie beside the data, readable by whoever can read that; nothing is gained by encrypting them there.
            .MinimumLevel.Override("Microsoft.AspNetCore.DataProtection", LogEventLevel.Error)
            .WriteTo.Console(outputTemplate: "{Timestamp:HH:mm:ss} {Level:u3} {Message:lj}{NewLine}{Exception}")
);
builder.Services.AddSingleton(options);
builder.Services.AddSingleton(TimeProvider.System);
builder.Services.AddSingleton(RuleSet.Shipped);
builder.Services.AddLedger();
builder.Services.AddLanternJson();
builder.Services.AddLanternProblems();
builder.Services.AddSafekeeping();
builder.Services.AddOutputCache();
builder.Services.AddLanternOpenApi();
builder.Services.AddSingleton<BuiltClient>();
builder.Services.AddScoped<RoomNow>();
builder.Services.AddScoped<NightsReader>();
builder.Services.AddScoped<RoundReader>();
builder.Services.AddScoped<ShelfReader>();
builder.Services.AddScoped<SitterReader>();
builder.Services.AddLists();
builder.Services.AddSingleton<LineCache>();
builder.Services.AddSingleton<StockLists>();
builder.Services.AddSingleton<LiveRoom>();
builder.Services.AddHostedService<NightWatch>();
builder.Services.AddClimate(options);
builder.Services.AddLabels();
builder.Services.AddAccess();
builder.Services.AddDoorway();

var app = builder.Build();
app.UseTrustDoor();
app.UseExceptionHandler();
app.UseStatusCodePages();
app.UseHostFiltering();
app.UseSecurityHeaders();
app.UseClientName();
app.UseOwnPagesOnly();
app.UseAccess();
app.UseWriteGate();
app.UseOutputCache();
app.UseClientFiles();
app.MapOpenApi("/api/openapi.json").CacheOutput(policy => policy.Expire(TimeSpan.FromDays(1)));
app.MapHealth();
app.MapSafekeeping();
app.MapRound();
app.MapLive();
app.MapStock();
app.MapIntake();
app.MapLists();
app.MapPapers();
app.MapTanks();
app.MapContacts();
app.MapJournal();
app.MapBatch();
app.MapChores();
app.MapShelves();
app.MapAlmanac();
app.MapLabels();
app.MapAccess();
app.MapDoorway();
app.MapSitterLinks();
app.MapSitterSheet();
app.MapLarder();
app.MapFeeders();
app.MapRulebook();
app.MapSpecies();
app.MapOverrides();
app.MapGuide();
app.MapPairing();
app.MapNursery();
app.MapLarvaGuess();
app.MapColonies();
app.MapPromote();
app.MapHonesty();
app.MapPictures();
app.MapClimate();
app.MapAir();
app.MapGateways();
app.MapReadingFiles();
app.MapSettings();
app.MapAbout();
app.MapCalculators();
app.MapClient();

if (!LanternOptions.IsDocumentGeneration)
{
    try
    {
        await app.PrepareLedgerAsync();
    }
    catch (Exception error) when (error is LedgerFileException || LedgerTrouble.Of(error) is not null)
    {
        await Console.Error.WriteLineAsync(
            LedgerTrouble.Of(error) is { } trouble ? $"{options.DataFile}: {trouble.Says}" : error.Message
        );
        return LanternOptions.RefusedExitCode;
    }

    if (options.Lan && !await app.HasOwnerAsync())
    {
        await Console.Error.WriteLineAsync(AccessServices.OwnerFirst);
        return LanternOptions.RefusedExitCode;
    }

    await app.SayClockAsync();
    if (LanternOptions.IsServer)
    {
        app.Lifetime.ApplicationStarted.Register(() =>
            Console.WriteLine(
                options.DoorAddress is { } door
                    ? $"Hushed Lantern is lit: {options.PublicAddress} (phones first learn to trust it at {door})"
                    : $"Hushed Lantern is lit: {options.PublicAddress}"
            )
        );
    }
}

try
{
    await app.RunAsync();
    return 0;
}
catch (IOException error) when (error.InnerException is AddressInUseException)
{
    // Another program took the port between the check and now.
    await Console.Error.WriteLineAsync(LanternOptions.BusyPort(options.Port));
    return LanternOptions.RefusedExitCode;
}

/// <summary>Entry point, named for the test host.</summary>
public partial class Program;
