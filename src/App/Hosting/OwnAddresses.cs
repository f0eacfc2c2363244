using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;

namespace App.Hosting;

/// <summary>Addresses of this machine.</summary>
public static class OwnAddresses
{
    /// <summary>Its IPv4 addresses on networks that are up; none of the loopback.</summary>
    public static IEnumerable<IPAddress> OnNetwork() =>
        NetworkInterface
            .GetAllNetworkInterfaces()
            .Where(n =>
                n.OperationalStatus == OperationalStatus.Up && n.NetworkInterfaceType != NetworkInterfaceType.Loopback
            )
            .SelectMany(n => n.GetIPProperties().UnicastAddresses)
            .Select(a => a.Address)
            .Where(a => a.AddressFamily == AddressFamily.InterNetwork && !IPAddress.IsLoopback(a));
}
