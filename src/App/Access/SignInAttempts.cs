using System.Threading.RateLimiting;

namespace App.Access;

/// <summary>
/// How often one may try to sign in under a name from one address. Counted for both together: whoever guesses from elsewhere
/// shuts themself out and not the one whose name it is.
/// </summary>
public sealed class SignInAttempts : IDisposable
{
    private const int Most = 12;
    private static readonly TimeSpan Window = TimeSpan.FromMinutes(15);

    private readonly PartitionedRateLimiter<(string Name, string From)> limiter = PartitionedRateLimiter.Create<
        (string Name, string From),
        string
    >(attempt =>
        RateLimitPartition.GetFixedWindowLimiter(
            $"{attempt.From} {attempt.Name.Trim().ToUpperInvariant()}",
            _ => new FixedWindowRateLimiterOptions { PermitLimit = Most, Window = Window }
        )
    );

    /// <summary>Takes one attempt.</summary>
    /// <returns>How long to wait; none when the attempt may be made.</returns>
    public TimeSpan? Take(string name, string from)
    {
        using var lease = limiter.AttemptAcquire((name, from));
        return lease.IsAcquired ? null
            : lease.TryGetMetadata(MetadataName.RetryAfter, out var wait) ? wait
            : Window;
    }

    /// <inheritdoc/>
    public void Dispose() => limiter.Dispose();
}
