using System.Net;
using System.Security.Cryptography.X509Certificates;
using App.Doorway;
using Hosting.Tests;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.Time.Testing;

namespace App.Tests;

/// <summary>
/// The room's own root and the leaf that it signs. Limits: CA/Browser Forum, Baseline Requirements 6.3.2 (398 days); RFC 5280,
/// 4.2.1.10 (name constraints), as the platform's own validation understands them.
/// </summary>
public sealed class DoorwayTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("lantern-tls-").FullName;
    private readonly FakeTimeProvider clock = new(DateTimeOffset.UtcNow);
    private ServedNames names = Names("192.168.7.20");

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private static ServedNames Names(params string[] addresses) =>
        new("loft", ["localhost", "loft", "loft.local"], [.. addresses.Select(IPAddress.Parse)]);

    private RoomCertificates Room() => new(folder, clock, () => names);

    private static bool Holds(X509Certificate2 leaf, byte[] root, out string status)
    {
        using var chain = new X509Chain();
        chain.ChainPolicy.TrustMode = X509ChainTrustMode.CustomRootTrust;
        chain.ChainPolicy.CustomTrustStore.Add(X509CertificateLoader.LoadCertificate(root));
        chain.ChainPolicy.RevocationMode = X509RevocationMode.NoCheck;
        var holds = chain.Build(leaf);
        status = string.Join(", ", chain.ChainStatus.Select(s => s.Status));
        return holds;
    }

    [Fact]
    public void A_leaf_holds_under_the_root_for_the_names_and_addresses_of_the_machine()
    {
        var room = Room();
        var leaf = room.Leaf();
        Assert.True(Holds(leaf, room.RootForPhones(), out var status), status);
        Assert.True(leaf.MatchesHostname("loft.local") && leaf.MatchesHostname("192.168.7.20"));
        Assert.False(leaf.MatchesHostname("192.168.7.21"));
        Assert.True((leaf.NotAfter - leaf.NotBefore).TotalDays <= 398);
        Assert.True(leaf.HasPrivateKey);
        Assert.False(X509CertificateLoader.LoadCertificate(room.RootForPhones()).HasPrivateKey);
    }

    [Fact]
    public void The_root_can_speak_for_no_other_website()
    {
        names = Names("192.168.7.20") with { Dns = ["loft", "bank.example"] };
        var own = RoomRoot.Make(Names("192.168.7.20"), clock.GetUtcNow());
        Assert.False(RoomRoot.MaySignFor(own, names));
        Assert.True(RoomRoot.MaySignFor(own, Names("10.1.2.3", "fd00::7")));
        Assert.False(RoomRoot.MaySignFor(own, Names("8.8.8.8")));
        using var key = System.Security.Cryptography.ECDsa.Create();
        var request = new CertificateRequest(
            "CN=bank.example",
            key,
            System.Security.Cryptography.HashAlgorithmName.SHA256
        );
        var subject = new SubjectAlternativeNameBuilder();
        subject.AddDnsName("bank.example");
        request.CertificateExtensions.Add(subject.Build());
        using var forged = request.Create(own, clock.GetUtcNow(), clock.GetUtcNow().AddDays(9), [1, 2, 3]);
        Assert.False(Holds(forged, own.Export(X509ContentType.Cert), out var status));
        Assert.Contains("NameConstraint", status, StringComparison.Ordinal);
    }

    [Fact]
    public void A_new_address_or_the_end_of_its_time_renews_the_leaf_and_the_root_stays()
    {
        var room = Room();
        var (first, root) = (room.Leaf(), room.RootForPhones());
        Assert.Same(first, room.Leaf());
        names = Names("192.168.7.99");
        clock.Advance(TimeSpan.FromMinutes(2));
        var moved = room.Leaf();
        Assert.True(moved.MatchesHostname("192.168.7.99"));
        clock.Advance(TimeSpan.FromDays(200));
        Assert.Same(moved, room.Leaf());
        clock.Advance(TimeSpan.FromDays(170));
        Assert.NotSame(moved, room.Leaf());
        Assert.Equal(root, room.RootForPhones());
        // Also over a restart; the key is the owner's alone.
        Assert.Equal(root, Room().RootForPhones());
        if (!OperatingSystem.IsWindows())
        {
            Assert.Equal(
                UnixFileMode.UserRead | UnixFileMode.UserWrite,
                File.GetUnixFileMode(Path.Combine(folder, "root.key"))
            );
        }
    }

    [Fact]
    public void An_address_for_which_the_root_may_not_speak_needs_another_root()
    {
        var room = Room();
        var root = room.RootForPhones();
        names = Names("8.8.8.8");
        clock.Advance(TimeSpan.FromMinutes(2));
        Assert.True(Holds(room.Leaf(), room.RootForPhones(), out var status), status);
        Assert.NotEqual(root, room.RootForPhones());
    }

    [Fact]
    public async Task Where_nothing_is_encrypted_yet_a_phone_gets_the_root_and_nothing_of_the_room()
    {
        using var app = new LanternFactory(demo: false, lan: true, encrypted: true);
        using var plain = app.CreateClient();
        foreach (var path in new[] { "/", "/api/round", "/api/session", "/stock" })
        {
            var page = await plain.GetStringAsync(path);
            Assert.Contains("Let this phone trust the room", page, StringComparison.Ordinal);
        }

        var root = await plain.GetAsync("/root.crt");
        Assert.Equal("application/x-x509-ca-cert", root.Content.Headers.ContentType?.MediaType);
        Assert.StartsWith(
            "CN=Hushed Lantern",
            X509CertificateLoader.LoadCertificate(await root.Content.ReadAsByteArrayAsync()).Subject,
            StringComparison.Ordinal
        );
        using var secure = app.CreateClient(
            new WebApplicationFactoryClientOptions { BaseAddress = new Uri("https://localhost") }
        );
        Assert.Equal(HttpStatusCode.Unauthorized, (await secure.GetAsync("/api/round")).StatusCode);
    }

    [Fact]
    public async Task Codes_to_scan_lead_into_the_room_only()
    {
        using var app = new LanternFactory();
        using var api = new Api(app);
        var door = await api.GetAsync("/api/doorway");
        Assert.False(door["onNetwork"]!.GetValue<bool>());
        using var http = app.CreateClient();
        var code = await http.GetAsync("/api/doorway/code.svg?path=/stock");
        Assert.Equal("image/svg+xml", code.Content.Headers.ContentType?.MediaType);
        Api.Refused(
            await api.SendAsync(HttpMethod.Get, "/api/doorway/code.svg?path=https://elsewhere.example"),
            "path",
            "begin with /"
        );
    }
}
