using Husbandry.Pairing;

namespace Husbandry.Tests;

/// <summary>Kinship and inbreeding against published pedigrees and the tabular method written out.</summary>
public sealed class PedigreeTests
{
    private const double Exact = 1e-12;

    /// <summary>Founders A–D; F1 and F2 full sibs of A × B, H half sib by A × C, and so on down.</summary>
    private static readonly Parentage[] Family =
    [
        new("A", null, null),
        new("B", null, null),
        new("C", null, null),
        new("D", null, null),
        new("full1", "A", "B"),
        new("full2", "A", "B"),
        new("half", "A", "C"),
        new("niece", "full2", "D"),
        new("C2", null, null),
        new("cousin1", "full1", "C2"),
        new("other1", "C", "D"),
        new("other2", "C", "D"),
        new("double1", "full1", "other1"),
        new("double2", "full2", "other2"),
        new("bySameDam1", "full1", "D"),
        new("bySameDam2", "full2", "D"),
        new("inbred", "full1", "full2"),
    ];

    // Source: Wright (1922), Am. Nat. 56:330–338; Malécot (1948).
    [Theory]
    [InlineData("A", "full1", 0.25)]
    [InlineData("full1", "full2", 0.25)]
    [InlineData("full1", "half", 0.125)]
    [InlineData("full1", "niece", 0.125)]
    [InlineData("A", "niece", 0.125)]
    [InlineData("niece", "cousin1", 0.0625)]
    [InlineData("double1", "double2", 0.125)]
    [InlineData("bySameDam1", "bySameDam2", 0.1875)]
    [InlineData("A", "A", 0.5)]
    [InlineData("inbred", "inbred", 0.625)]
    [InlineData("A", "D", 0)]
    public void Kinship_of_relatives_is_that_of_the_textbook(string one, string other, double expected)
    {
        Assert.Equal(expected, Of(Family).Kinship(one, other), Exact);
        Assert.Equal(expected, Of(Family).Kinship(other, one), Exact);
    }

    [Fact]
    public void A_published_pedigree_gives_its_published_relationships()
    {
        // Source: Mrode, Linear Models for the Prediction of Animal Breeding Values, example 2.1; Henderson (1976).
        double[][] published =
        [
            [1, 0, 0.5, 0.5, 0.5, 0.25],
            [0, 1, 0.5, 0, 0.25, 0.625],
            [0.5, 0.5, 1, 0.25, 0.625, 0.5625],
            [0.5, 0, 0.25, 1, 0.625, 0.3125],
            [0.5, 0.25, 0.625, 0.625, 1.125, 0.6875],
            [0.25, 0.625, 0.5625, 0.3125, 0.6875, 1.125],
        ];
        // Told in any order, the founders not listed.
        var pedigree = Of([new("6", "5", "2"), new("3", "1", "2"), new("5", "4", "3"), new("4", "1", null)]);
        for (var i = 0; i < 6; i++)
        {
            for (var j = 0; j < 6; j++)
            {
                Assert.Equal(published[i][j], 2 * pedigree.Kinship($"{i + 1}", $"{j + 1}"), Exact);
            }
        }

        Assert.Equal(0.125, pedigree.InbreedingOf("5"), Exact);
        Assert.Equal(0.125, pedigree.InbreedingOf("6"), Exact);
    }

    [Fact]
    public void Half_sibs_mated_again_and_again_follow_the_recurrence()
    {
        // A male and females by one sire and each of another dam, generation after generation: Fₜ = (1 + 6Fₜ₋₁ + Fₜ₋₂)/8.
        // Source: Wright (1921); Falconer & Mackay, Introduction to Quantitative Genetics, table 5.1.
        double[] published = [0.125, 0.21875, 0.3046875, 0.380859375, 0.4487304688, 0.5091552734];
        // One dam has the next male, the others a female each: there is one fewer every time.
        var dams = published.Length + 2;
        List<Parentage> animals =
        [
            new("0s", null, null),
            .. Enumerable.Range(0, dams).Select(d => new Parentage($"0d{d}", null, null)),
        ];
        for (var g = 1; g <= published.Length; g++)
        {
            animals.Add(new($"{g}s", $"{g - 1}s", $"{g - 1}d0"));
            animals.AddRange(
                Enumerable.Range(0, dams - g).Select(d => new Parentage($"{g}d{d}", $"{g - 1}s", $"{g - 1}d{d + 1}"))
            );
        }

        var pedigree = Of(animals);
        for (var t = 0; t < published.Length; t++)
        {
            Assert.Equal(published[t], pedigree.Kinship($"{t + 1}s", $"{t + 1}d0"), 1e-9);
        }
    }

    [Fact]
    public void Any_pedigree_agrees_with_the_table_written_out_cell_by_cell()
    {
        var random = new Random(15);
        for (var trial = 0; trial < 40; trial++)
        {
            var count = random.Next(3, 40);
            List<Parentage> animals = [];
            string? Some(int before) => before > 0 && random.NextDouble() < 0.8 ? $"{random.Next(before)}" : null;
            for (var k = 0; k < count; k++)
            {
                animals.Add(new($"{k}", Some(k), Some(k)));
            }

            var table = Tabular(animals);
            var shuffled = animals.OrderBy(_ => random.Next()).ToList();
            var pedigree = Of(shuffled);
            for (var i = 0; i < count; i++)
            {
                Assert.Equal(table[i, i] - 1, pedigree.InbreedingOf($"{i}"), Exact);
                for (var j = 0; j <= i; j++)
                {
                    Assert.Equal(table[i, j] / 2, pedigree.Kinship($"{i}", $"{j}"), Exact);
                }
            }
        }
    }

    [Fact]
    public void Five_thousand_generations_of_selfing_end_inbred_and_take_no_stack()
    {
        // F of the offspring of one selfed is ½; each generation halves what is left. Source: Wright (1921).
        const int Generations = 5000;
        var pedigree = Of([
            new("0", null, null),
            .. Enumerable.Range(1, Generations).Select(g => new Parentage($"{g}", $"{g - 1}", $"{g - 1}")),
        ]);
        Assert.Equal(0.5, pedigree.InbreedingOf("1"), Exact);
        Assert.Equal(0.75, pedigree.InbreedingOf("2"), Exact);
        Assert.Equal(1, pedigree.InbreedingOf($"{Generations}"), Exact);
    }

    [Fact]
    public void An_animal_that_is_its_own_ancestor_is_named_with_those_between()
    {
        var (pedigree, loop) = Pedigree.Of([
            new("free", null, null),
            new("a", "c", "free"),
            new("b", "a", null),
            new("c", "b", null),
            new("below", "a", null),
        ]);
        Assert.Null(pedigree);
        Assert.Equal(4, loop.Count);
        Assert.Equal(loop[0], loop[^1]);
        Assert.Equal(["a", "b", "c"], loop.Skip(1).Order());
        Assert.Equal(["self", "self"], Pedigree.Of([new("self", "self", null)]).Loop);
    }

    private static Pedigree Of(IReadOnlyCollection<Parentage> animals) => Pedigree.Of(animals).Pedigree!;

    /// <summary>The tabular method as it is printed: a row and a column for each animal, the parents' rows averaged.</summary>
    private static double[,] Tabular(List<Parentage> oldestFirst)
    {
        var a = new double[oldestFirst.Count, oldestFirst.Count];
        int? Row(string? id) => id is null ? null : int.Parse(id, System.Globalization.CultureInfo.InvariantCulture);
        for (var i = 0; i < oldestFirst.Count; i++)
        {
            var (sire, dam) = (Row(oldestFirst[i].Sire), Row(oldestFirst[i].Dam));
            for (var j = 0; j < i; j++)
            {
                a[i, j] = a[j, i] = (((sire is { } s ? a[j, s] : 0) + (dam is { } d ? a[j, d] : 0)) / 2);
            }

            a[i, i] = 1 + (sire is { } father && dam is { } mother ? a[father, mother] / 2 : 0);
        }

        return a;
    }
}
