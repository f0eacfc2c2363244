using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Hosting.Tests;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;

namespace App.Tests;

/// <summary>A room that listens on the network.</summary>
public abstract class NetworkRoom : IDisposable
{
    public const string Password = "a long enough one";

    protected LanternFactory App { get; } = new(lan: true);

    public void Dispose()
    {
        App.Dispose();
        GC.SuppressFinalize(this);
    }

    /// <summary>The owner, whose password was set on the machine itself.</summary>
    protected async Task<Visitor> OwnerAsync()
    {
        using var scope = App.Services.CreateScope();
        await scope
            .ServiceProvider.GetRequiredService<Access.People>()
            .SetOwnerAsync("Keeper", Password, App.Clock.GetUtcNow(), CancellationToken.None);
        var owner = new Visitor(App);
        Assert.Equal(HttpStatusCode.OK, (await owner.SignInAsync("Keeper")).Status);
        return owner;
    }

    protected static async Task<string> AddAsync(Visitor who, JsonObject? body = null)
    {
        var (status, animal) = await who.SendAsync(HttpMethod.Post, "/api/stock", body ?? Api.New());
        Assert.Equal(HttpStatusCode.OK, status);
        return animal!["stockId"]!.GetValue<string>();
    }
}

/// <summary>A browser: keeps its cookies and sends the token of its open page.</summary>
public sealed class Visitor(LanternFactory app) : IDisposable
{
    private readonly HttpClient http = app.CreateClient(
        new WebApplicationFactoryClientOptions { HandleCookies = true }
    );
    private string token = "";

    public async Task<(HttpStatusCode Status, JsonNode? Body)> SendAsync(
        HttpMethod method,
        string path,
        JsonNode? body = null,
        params (string Name, string Value)[] headers
    )
    {
        using var request = new HttpRequestMessage(method, path);
        request.Headers.Add("X-Lantern-Token", token);
        foreach (var (name, value) in headers)
        {
            request.Headers.Add(name, value);
        }

        if (body is not null)
        {
            request.Content = new StringContent(body.ToJsonString(), Encoding.UTF8, "application/json");
        }

        using var response = await http.SendAsync(request);
        var text = await response.Content.ReadAsStringAsync();
        return (response.StatusCode, text.Length > 0 && text[0] is '{' or '[' ? JsonNode.Parse(text) : null);
    }

    public async Task<HttpStatusCode> GetAsync(string path) => (await SendAsync(HttpMethod.Get, path)).Status;

    public async Task<(HttpStatusCode Status, JsonNode? Body)> SignInAsync(
        string name,
        string password = NetworkRoom.Password
    )
    {
        var answer = await SendAsync(
            HttpMethod.Post,
            "/api/session/sign-in",
            new JsonObject { ["name"] = name, ["password"] = password }
        );
        token = answer.Body?["token"]?.GetValue<string>() ?? "";
        return answer;
    }

    public void ForgetToken() => token = "";

    public void Dispose() => http.Dispose();
}
