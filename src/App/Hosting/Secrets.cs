using System.Buffers.Text;
using System.Security.Cryptography;
using System.Text;

namespace App.Hosting;

/// <summary>Secrets in links.</summary>
public static class Secrets
{
    private const int Bytes = 24;

    /// <summary>A new secret of 192 random bits that may stand in an address.</summary>
    public static string New() => Base64Url.EncodeToString(RandomNumberGenerator.GetBytes(Bytes));

    /// <summary>What is kept of a secret that is shown only once.</summary>
    public static string Hash(string secret) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(secret)));

    /// <summary>Compares two secrets in a time that does not tell how far they agree.</summary>
    public static bool Same(string a, string b) =>
        CryptographicOperations.FixedTimeEquals(Encoding.UTF8.GetBytes(a), Encoding.UTF8.GetBytes(b));
}
