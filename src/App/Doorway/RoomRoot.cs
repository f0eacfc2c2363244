using System.Formats.Asn1;
using System.Net;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace App.Doorway;

/// <summary>
/// The room's own root: a phone that trusts it believes this room and nothing else. It may sign for addresses of a home
/// network and for this machine's names only (RFC 5280, 4.2.1.10), so that nobody who steals its key can pass for a bank.
/// </summary>
public static class RoomRoot
{
    private const int Years = 10;
    private const string NameConstraints = "2.5.29.30";

    // Context-specific tags of a GeneralName: dNSName [2], iPAddress [7].
    private static readonly Asn1Tag DnsName = new(TagClass.ContextSpecific, 2);
    private static readonly Asn1Tag IpAddress = new(TagClass.ContextSpecific, 7);

    // Addresses that no network outside the house uses: RFC 1918, 3927, 4193, 4291, and loopback.
    private static readonly IPNetwork[] HomeNetworks =
    [
        IPNetwork.Parse("10.0.0.0/8"),
        IPNetwork.Parse("172.16.0.0/12"),
        IPNetwork.Parse("192.168.0.0/16"),
        IPNetwork.Parse("169.254.0.0/16"),
        IPNetwork.Parse("127.0.0.0/8"),
        IPNetwork.Parse("fc00::/7"),
        IPNetwork.Parse("fe80::/10"),
    ];

    /// <summary>A new root with its key.</summary>
    /// <param name="names">Names and addresses of this machine beyond those of a home network.</param>
    /// <param name="now">From when it holds.</param>
    public static X509Certificate2 Make(ServedNames names, DateTimeOffset now)
    {
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN=Hushed Lantern on {names.Machine}", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        request.CertificateExtensions.Add(
            new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign | X509KeyUsageFlags.CrlSign, true)
        );
        request.CertificateExtensions.Add(
            new X509SubjectKeyIdentifierExtension(
                request.PublicKey,
                X509SubjectKeyIdentifierHashAlgorithm.Sha256,
                false
            )
        );
        request.CertificateExtensions.Add(new X509Extension(NameConstraints, Permitted(names), critical: true));
        return request.CreateSelfSigned(now.AddDays(-1), now.AddYears(Years));
    }

    /// <summary>Whether a root may sign for all of the names.</summary>
    public static bool MaySignFor(X509Certificate2 root, ServedNames names)
    {
        var (dns, networks) = PermittedBy(root);
        return names.Dns.All(name => dns.Contains(name, StringComparer.OrdinalIgnoreCase))
            && names.Addresses.All(address => networks.Any(network => network.Contains(address)));
    }

    /// <summary>NameConstraints ::= SEQUENCE { permittedSubtrees [0] GeneralSubtrees } of RFC 5280.</summary>
    private static byte[] Permitted(ServedNames names)
    {
        var writer = new AsnWriter(AsnEncodingRules.DER);
        using (writer.PushSequence())
        using (writer.PushSequence(new Asn1Tag(TagClass.ContextSpecific, 0)))
        {
            foreach (var name in names.Dns)
            {
                using (writer.PushSequence())
                {
                    writer.WriteCharacterString(UniversalTagNumber.IA5String, name, DnsName);
                }
            }

            var beyond = names
                .Addresses.Where(address => !HomeNetworks.Any(network => network.Contains(address)))
                .Select(address => new IPNetwork(address, address.GetAddressBytes().Length * 8));
            foreach (var network in HomeNetworks.Concat(beyond))
            {
                using (writer.PushSequence())
                {
                    writer.WriteOctetString(AddressAndMask(network), IpAddress);
                }
            }
        }

        return writer.Encode();
    }

    private static (IReadOnlyList<string> Dns, IReadOnlyList<IPNetwork> Networks) PermittedBy(X509Certificate2 root)
    {
        var (dns, networks) = (new List<string>(), new List<IPNetwork>());
        if (root.Extensions.FirstOrDefault(e => e.Oid?.Value == NameConstraints) is not { } constraints)
        {
            return (dns, networks);
        }

        var subtrees = new AsnReader(constraints.RawData, AsnEncodingRules.DER)
            .ReadSequence()
            .ReadSequence(new Asn1Tag(TagClass.ContextSpecific, 0));
        while (subtrees.HasData)
        {
            var subtree = subtrees.ReadSequence();
            if (subtree.PeekTag().HasSameClassAndValue(DnsName))
            {
                dns.Add(subtree.ReadCharacterString(UniversalTagNumber.IA5String, DnsName));
            }
            else
            {
                networks.Add(NetworkOf(subtree.ReadOctetString(IpAddress)));
            }
        }

        return (dns, networks);
    }

    private static byte[] AddressAndMask(IPNetwork network)
    {
        var address = network.BaseAddress.GetAddressBytes();
        var mask = new byte[address.Length];
        for (var bit = 0; bit < network.PrefixLength; bit++)
        {
            mask[bit / 8] |= (byte)(0x80 >> (bit % 8));
        }

        return [.. address, .. mask];
    }

    private static IPNetwork NetworkOf(byte[] addressAndMask)
    {
        var half = addressAndMask.Length / 2;
        var bits = addressAndMask[half..].Sum(b => int.PopCount(b));
        return new IPNetwork(new IPAddress(addressAndMask[..half]), bits);
    }
}

/// <summary>Under what a machine is served on its network.</summary>
/// <param name="Machine">Its name.</param>
/// <param name="Dns">Names by which it is found.</param>
/// <param name="Addresses">Its addresses.</param>
public sealed record ServedNames(string Machine, IReadOnlyList<string> Dns, IReadOnlyList<IPAddress> Addresses)
{
    /// <summary>The names of this machine now.</summary>
    /// <param name="given">Address under which phones find the room, when the keeper gave one.</param>
    public static ServedNames Now(string? given)
    {
        var machine = Environment.MachineName.ToLowerInvariant();
        var dns = new List<string> { "localhost", machine, $"{machine}.local" };
        var addresses = new List<IPAddress> { IPAddress.Loopback };
        addresses.AddRange(Hosting.OwnAddresses.OnNetwork());
        if (Uri.TryCreate(given, UriKind.Absolute, out var uri))
        {
            if (!IPAddress.TryParse(uri.Host.Trim('[', ']'), out var address))
            {
                dns.Add(uri.Host.ToLowerInvariant());
            }
            else
            {
                addresses.Add(address);
            }
        }

        return new ServedNames(
            machine,
            [.. dns.Distinct(StringComparer.Ordinal).Order(StringComparer.Ordinal)],
            [
                .. addresses
                    .Where(a => a.AddressFamily is AddressFamily.InterNetwork or AddressFamily.InterNetworkV6)
                    .Distinct()
                    .OrderBy(a => a.ToString(), StringComparer.Ordinal),
            ]
        );
    }
}
