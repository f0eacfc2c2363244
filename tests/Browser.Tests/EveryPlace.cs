namespace Browser.Tests;

/// <summary>The places of the demo room that whoever comes in may see.</summary>
internal static class EveryPlace
{
    /// <summary>Every place, and a text that stands there once it is whole.</summary>
    public static readonly (string Path, string Text)[] Texts =
    [
        ("/", "Tonight’s round"),
        ("/stock", "Bramble"),
        ("/shelves", "Rack A"),
        ("/shelves/rehousing", "Have ready"),
        ("/climate", "sensors speak"),
        ("/larder", "Eight weeks of each food"),
        ("/larder/feeders", "flour-beetle larvae"),
        ("/chores", "Shared gear"),
        ("/pairing", "Dapple × Reeve"),
        ("/nursery", "What is hatching, and who lives?"),
        ("/nursery/unknown", "What is seen of it"),
        ("/colonies", "Tubs and their calcium"),
        ("/almanac", "Came in the last five weeks"),
        ("/rulebook", "Predatory ground beetles"),
        ("/rulebook/samia-ricini", "From molt to molt"),
        ("/honesty", "Brier score"),
        ("/paper/labels", "Label printer"),
        ("/paper/round", "Do not open"),
        ("/night/2026-12-01", "meal"),
        ("/about", "Licence"),
    ];
}
