using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace App.Doorway;

/// <summary>
/// The certificates under which the room is served on the network: a root of its own, made at the first use, and a leaf that
/// it signs for the names and addresses of this machine. The leaf is made anew before it runs out, and when the address of
/// the machine changes; the root that phones trust stays.
/// </summary>
public sealed class RoomCertificates(string folder, TimeProvider clock, Func<ServedNames> names)
{
    // Browsers take no leaf that holds for more than 398 days (CA/Browser Forum, Baseline Requirements 6.3.2).
    private const int LeafDays = 397;
    private const int RenewedDaysBefore = 30;
    private const string ServerAuthentication = "1.3.6.1.5.5.7.3.1";
    private const int SerialBytes = 16;
    private const UnixFileMode OwnerOnly = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    // Each connection asks; the machine's addresses are looked up now and then only.
    private static readonly TimeSpan LookAgain = TimeSpan.FromMinutes(1);

    private readonly Lock door = new();
    private X509Certificate2? root;
    private X509Certificate2? leaf;
    private ServedNames? servedAs;
    private DateTimeOffset lookedAt;

    /// <summary>The root, without its key, as phones are to trust it.</summary>
    public byte[] RootForPhones()
    {
        lock (door)
        {
            return Root(names()).Export(X509ContentType.Cert);
        }
    }

    /// <summary>Its fingerprint (SHA-256), by which a keeper can compare what a phone shows.</summary>
    public string Fingerprint()
    {
        lock (door)
        {
            var hash = Root(names()).GetCertHash(HashAlgorithmName.SHA256);
            return string.Join(' ', hash.Chunk(2).Select(Convert.ToHexString));
        }
    }

    /// <summary>The leaf under which the room is served now.</summary>
    public X509Certificate2 Leaf()
    {
        lock (door)
        {
            var now = clock.GetUtcNow();
            if (leaf is { } known && now - lookedAt < LookAgain && now >= lookedAt)
            {
                return known;
            }

            lookedAt = now;
            var served = names();
            if (leaf is { } kept && Same(served, servedAs!) && now < Renewal(kept))
            {
                return kept;
            }

            servedAs = served;
            return leaf = Sign(Root(served), served, now);
        }
    }

    private static DateTimeOffset Renewal(X509Certificate2 leaf) =>
        new DateTimeOffset(leaf.NotAfter.ToUniversalTime(), TimeSpan.Zero).AddDays(-RenewedDaysBefore);

    private static bool Same(ServedNames a, ServedNames b) =>
        a.Dns.SequenceEqual(b.Dns) && a.Addresses.SequenceEqual(b.Addresses);

    /// <summary>The root as it is kept; another one where it has run out, or may not sign for an address of this machine.</summary>
    private X509Certificate2 Root(ServedNames served)
    {
        if ((root ??= Kept()) is { } kept && Holds(kept) && RoomRoot.MaySignFor(kept, served))
        {
            return kept;
        }

        root = RoomRoot.Make(served, clock.GetUtcNow());
        Keep(root);
        return root;
    }

    private bool Holds(X509Certificate2 kept) =>
        new DateTimeOffset(kept.NotAfter.ToUniversalTime(), TimeSpan.Zero) > clock.GetUtcNow().AddDays(LeafDays);

    private string CertificateFile => Path.Combine(folder, "root.crt");

    private string KeyFile => Path.Combine(folder, "root.key");

    private X509Certificate2? Kept() =>
        File.Exists(CertificateFile) && File.Exists(KeyFile)
            ? X509Certificate2.CreateFromPemFile(CertificateFile, KeyFile)
            : null;

    private void Keep(X509Certificate2 fresh)
    {
        Directory.CreateDirectory(folder);
        using var key = fresh.GetECDsaPrivateKey()!;
        // Readable by the owner from the first byte on.
        var options = new FileStreamOptions { Mode = FileMode.Create, Access = FileAccess.Write };
        if (!OperatingSystem.IsWindows())
        {
            options.UnixCreateMode = OwnerOnly;
        }

        File.Delete(KeyFile);
        using (var writer = new StreamWriter(KeyFile, options))
        {
            writer.Write(key.ExportPkcs8PrivateKeyPem());
        }

        File.WriteAllText(CertificateFile, fresh.ExportCertificatePem());
    }

    private static X509Certificate2 Sign(X509Certificate2 root, ServedNames served, DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN={served.Machine}", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid(ServerAuthentication)], false));
        request.CertificateExtensions.Add(X509AuthorityKeyIdentifierExtension.CreateFromCertificate(root, true, false));
        var subject = new SubjectAlternativeNameBuilder();
        foreach (var name in served.Dns)
        {
            subject.AddDnsName(name);
        }

        foreach (IPAddress address in served.Addresses)
        {
            subject.AddIpAddress(address);
        }

        request.CertificateExtensions.Add(subject.Build());
        using var signed = request.Create(
            root,
            now.AddDays(-1),
            now.AddDays(LeafDays - 1),
            RandomNumberGenerator.GetBytes(SerialBytes)
        );
        return signed.CopyWithPrivateKey(key);
    }
}
