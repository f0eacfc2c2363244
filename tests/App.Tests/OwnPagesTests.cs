using System.Net;
using System.Text;
using Hosting.Tests;

namespace App.Tests;

/// <summary>No web page but the room's own can change anything, signed in or not.</summary>
public sealed class OwnPagesTests : IDisposable
{
    private readonly LanternFactory app = new();

    public void Dispose() => app.Dispose();

    private async Task<HttpStatusCode> SendAsync(HttpMethod method, string path, string? origin, string? site)
    {
        using var http = app.CreateClient();
        using var request = new HttpRequestMessage(method, path);
        if (origin is not null)
        {
            request.Headers.Add("Origin", origin);
        }

        if (site is not null)
        {
            request.Headers.Add("Sec-Fetch-Site", site);
        }

        if (method != HttpMethod.Get)
        {
            request.Content = new StringContent("{}", Encoding.UTF8, "text/plain");
        }

        using var response = await http.SendAsync(request);
        Assert.Equal("same-origin", response.Headers.GetValues("Cross-Origin-Resource-Policy").Single());
        return response.StatusCode;
    }

    // Fetch standard, "Origin" header; Fetch Metadata, "Sec-Fetch-Site": a no-cors POST of another page bears both.
    [Theory]
    [InlineData("https://elsewhere.example", null)]
    [InlineData("null", null)]
    [InlineData(null, "cross-site")]
    [InlineData("http://localhost", "cross-site")]
    [InlineData("http://localhost:9999", null)]
    public async Task A_change_from_elsewhere_is_refused(string? origin, string? site)
    {
        Assert.Equal(HttpStatusCode.Forbidden, await SendAsync(HttpMethod.Post, "/api/almanac/feed", origin, site));
        Assert.Equal(HttpStatusCode.Forbidden, await SendAsync(HttpMethod.Post, "/api/stock", origin, site));
    }

    [Theory]
    [InlineData("http://localhost", "same-origin")]
    [InlineData(null, null)]
    public async Task A_change_from_the_rooms_own_page_is_looked_at(string? origin, string? site) =>
        Assert.NotEqual(HttpStatusCode.Forbidden, await SendAsync(HttpMethod.Post, "/api/stock", origin, site));

    [Fact]
    public async Task Reading_is_not_held_up() =>
        Assert.Equal(
            HttpStatusCode.OK,
            await SendAsync(HttpMethod.Get, "/api/round", "https://elsewhere.example", "cross-site")
        );
}
