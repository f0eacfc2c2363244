using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;
using Husbandry.Larder;

namespace App.Larder;

/// <summary>One line of the shopping list.</summary>
public sealed record ShoppingLine(string By, string Do, int Amount, string What, string NeededOn, string Why);

/// <summary>The plan's steps as a list to shop by.</summary>
public static class ShoppingList
{
    /// <summary>The lines, the most urgent first: what to start, then what to order, goods that run out last.</summary>
    public static IEnumerable<ShoppingLine> Of(LarderPlan plan) =>
        plan
            .Steps.Select(s => new ShoppingLine(
                Date(s.By),
                s.Do == LarderDo.StartCulture ? "start" : "order",
                s.Amount,
                s.What,
                Date(s.NeededOn),
                s.Why
            ))
            .Concat(
                plan.Goods.Where(g => g.OrderBy is not null)
                    .Select(g => new ShoppingLine(
                        Date(g.OrderBy!.Value),
                        "order",
                        (int)Math.Ceiling(g.Pack),
                        $"{g.Pack.ToString("0.#", CultureInfo.InvariantCulture)} {g.Unit} of {g.Name}",
                        Date(g.LastsUntil!.Value),
                        $"Used up about {Date(g.LastsUntil!.Value)}."
                    ))
            )
            .OrderBy(l => l.By, StringComparer.Ordinal);

    /// <summary>The list as CSV (RFC 4180), UTF-8.</summary>
    public static byte[] Csv(LarderPlan plan)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        var form = new CsvConfiguration(CultureInfo.InvariantCulture) { InjectionOptions = InjectionOptions.Escape };
        using (var csv = new CsvWriter(text, form))
        {
            csv.WriteRecords(Of(plan));
        }

        return Encoding.UTF8.GetBytes(text.ToString());
    }

    private static string Date(DateOnly date) => date.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
}
