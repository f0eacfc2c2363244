using System.Text.Json;
using Ledger;
using Ledger.Safekeeping;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.Net.Http.Headers;

namespace App.Safekeeping;

/// <summary>
/// Answers what went wrong with the data file in a sentence that says what is safe and what to do. Whoever wrote keeps what was
/// not taken and sends it again.
/// </summary>
public sealed class TroubleHandler(RoomHealth health, ILogger<TroubleHandler> log) : IExceptionHandler
{
    private const string Unreadable =
        "What is stored of one animal cannot be read. It is put together anew from its journal: try again in a moment.";

    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        if (LedgerTrouble.Of(exception) is { } trouble)
        {
            if (trouble.Kind is TroubleKind.Damaged or TroubleKind.NotADatabase)
            {
                health.Note([exception.GetBaseException().Message]);
            }

            log.LogError("{Trouble} ({Detail})", trouble.Says, exception.GetBaseException().Message);
            var isFull = trouble.Kind == TroubleKind.Full;
            await AnswerAsync(
                httpContext,
                isFull ? StatusCodes.Status507InsufficientStorage : StatusCodes.Status503ServiceUnavailable,
                trouble.Says
            );
            return true;
        }

        if (exception is JsonException)
        {
            // Not what was sent, which is read before any of ours runs, but what is stored.
            log.LogError(exception, "Something stored could not be read");
            await httpContext.RequestServices.GetRequiredService<NightJudge>().AskAnewAsync(cancellationToken);
            await AnswerAsync(httpContext, StatusCodes.Status503ServiceUnavailable, Unreadable);
            return true;
        }

        return false;
    }

    private static Task AnswerAsync(HttpContext context, int status, string says)
    {
        context.Response.Headers[HeaderNames.RetryAfter] = "5";
        return Results.Problem(statusCode: status, title: says).ExecuteAsync(context);
    }
}
