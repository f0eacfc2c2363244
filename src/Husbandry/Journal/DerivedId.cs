using System.Security.Cryptography;
using System.Text;

namespace Husbandry.Journal;

/// <summary>Ids of entries that are written along with another, so that a retry makes the same ones.</summary>
public static class DerivedId
{
    private const int GuidBytes = 16;

    /// <summary>The id of a part of something that has an id.</summary>
    public static Guid Of(Guid id, string part) =>
        new(SHA256.HashData([.. id.ToByteArray(), .. Encoding.UTF8.GetBytes(part)]).AsSpan(0, GuidBytes));
}
