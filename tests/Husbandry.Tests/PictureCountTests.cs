using Husbandry.Nursery;

namespace Husbandry.Tests;

/// <summary>Bodies counted in pictures of which the tests know how many lie in them.</summary>
public class PictureCountTests
{
    private static PictureCount Count(DrawnBrood drawn) => PictureCount.Of(drawn.Picture()).Value!;

    [Theory]
    [InlineData(1, 30, 34.0)]
    [InlineData(2, 120, 26.0)]
    [InlineData(3, 300, 18.0)]
    [InlineData(4, 600, 14.0)]
    public void Bodies_that_lie_apart_are_counted_within_five_in_a_hundred(int seed, int bodies, double length)
    {
        var plain = new DrawnBrood(seed).Bodies(bodies, length, apart: 1.25);
        Assert.InRange(Count(plain).Marks.Count, bodies * 0.95, bodies * 1.05);
        var hard = new DrawnBrood(seed + 50)
            .Bodies(bodies, length, apart: 1.25)
            .Shadows(length)
            .Frass(bodies / 2)
            .Vignette()
            .Grain();
        Assert.InRange(Count(hard).Marks.Count, bodies * 0.95, bodies * 1.05);
    }

    [Fact]
    public void Bodies_that_touch_are_told_by_their_area_and_the_doubt_is_said()
    {
        var drawn = new DrawnBrood(7).Bodies(60, 26).Touching(30, 26).Grain();
        var count = Count(drawn);
        Assert.InRange(count.Marks.Count, drawn.Count * 0.9, drawn.Count * 1.1);
        Assert.InRange(drawn.Count, count.Low, count.High);
        Assert.InRange(count.InHeaps, 40, 80);
        Assert.True(count.High - count.Low >= 4);
    }

    [Fact]
    public void Every_mark_lies_on_a_body()
    {
        var picture = new DrawnBrood(9).Bodies(80, 24).Touching(10, 24).Vignette().Picture();
        var count = PictureCount.Of(picture).Value!;
        var dark = count.Marks.Count(m =>
            picture.Luminance[((int)(m.Y * picture.Height) * picture.Width) + (int)(m.X * picture.Width)] < 120
        );
        Assert.True(dark >= count.Marks.Count * 0.95);
    }

    [Fact]
    public void Where_nothing_stands_out_a_sentence_says_so()
    {
        foreach (var empty in new[] { new DrawnBrood(1), new DrawnBrood(2).Vignette().Grain() })
        {
            var answer = PictureCount.Of(empty.Picture());
            Assert.Null(answer.Value);
            Assert.Equal(PictureCount.NoBodies, answer.Summary);
        }

        var noise = new byte[1200 * 900];
        new Random(3).NextBytes(noise);
        Assert.Null(PictureCount.Of(new GreyPicture(1200, 900, noise)).Value);
        Assert.Null(PictureCount.Of(new GreyPicture(40, 40, new byte[1600])).Value);
    }

    [Fact]
    public void One_body_alone_is_one()
    {
        var count = Count(new DrawnBrood(11, 300, 200).Bodies(1, 40));
        Assert.Single(count.Marks);
        Assert.True(count.Low >= 1);
    }
}
