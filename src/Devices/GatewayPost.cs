using System.Net.Http.Headers;
using System.Net.Http.Json;

namespace Devices;

/// <summary>Brings what a made-up gateway says to the address to which a real one would post, with the same token.</summary>
/// <param name="http">Client whose base address is the room's.</param>
/// <param name="token">The gateway's secret.</param>
public sealed class GatewayPost(HttpClient http, string token)
{
    /// <summary>Posts readings.</summary>
    /// <returns>Whether they were taken.</returns>
    public async Task<bool> SendAsync(IEnumerable<SimulatedReading> readings, CancellationToken cancel)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, new Uri("api/gateway/readings", UriKind.Relative))
        {
            Content = JsonContent.Create(new { readings = readings.ToList() }),
        };
        request.Headers.Authorization = new AuthenticationHeaderValue("Bearer", token);
        using var response = await http.SendAsync(request, cancel);
        return response.IsSuccessStatusCode;
    }
}
