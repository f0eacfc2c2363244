using App.Hosting;
using Hosting.Tests;
using Ledger;
using Microsoft.Extensions.DependencyInjection;

namespace Browser.Tests;

/// <summary>Sitters' links of a room on this machine only, as its owner would make them on the network.</summary>
public static class SitterLinks
{
    /// <summary>Makes a link for the nights from the room's first on; its path.</summary>
    public static string Make(IServiceProvider services, string name, string contacts)
    {
        const string Secret = "a-secret-of-this-test";
        using var making = services.CreateScope();
        var db = making.ServiceProvider.GetRequiredService<LanternDb>();
        db.SitterLinks.Add(
            new SitterLinkRow
            {
                Id = Guid.NewGuid(),
                Name = name,
                TokenHash = Secrets.Hash(Secret),
                FromDay = new DateOnly(2026, 11, 23).DayNumber,
                ToDay = new DateOnly(2026, 11, 25).DayNumber,
                Contacts = contacts,
                Note = "",
                MadeTicks = LanternFactory.Evening.UtcTicks,
            }
        );
        db.SaveChanges();
        return "/sit/" + Secret;
    }
}
