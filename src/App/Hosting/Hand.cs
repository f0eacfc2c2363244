using System.Security.Claims;
using Husbandry.Rooms;

namespace App.Hosting;

/// <summary>Whose hand an entry is written by: the person signed in, or the keeper of the room where nobody need sign in.</summary>
public static class Hand
{
    public static string Of(HttpContext context, Room room) =>
        context.User.FindFirstValue(ClaimTypes.Name) ?? room.Settings.KeeperName;
}
