// What opens the house: long enough not to be guessed, and easy to say across a kitchen.
using System.Security.Cryptography;

namespace JollyKnot.Server.Guard;

/// <summary>Passphrases.</summary>
internal static class Passphrase
{
    private const int LeastWords = 4,
        LeastLetters = 14,
        Suggested = 5,
        LettersOfAWord = 2;

    /// <summary>Whether it has at least four different words, or fourteen letters that are not a few over and over.</summary>
    public static bool IsLongEnough(string? said)
    {
        if (said is null)
            return false;
        var words = said.Split(' ', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Where(w => w.Length >= LettersOfAWord)
            .Distinct(StringComparer.OrdinalIgnoreCase);
        var letters = said.Trim();
        return words.Count() >= LeastWords || (letters.Length >= LeastLetters && letters.Distinct().Count() >= LeastLetters / 2);
    }

    /// <summary>One to take: five words by chance.</summary>
    public static string Suggest() =>
        string.Join(' ', Enumerable.Range(0, Suggested).Select(_ => Words[RandomNumberGenerator.GetInt32(Words.Length)]));

    // Plain, short, and told apart by ear.
    private static readonly string[] Words =
    [
        .. """
            acorn amber anchor apple apron arrow autumn bakery barley barn basil basket beacon beech bell berry birch blanket
            bloom blue board boat bottle bowl branch brass bread brick bridge broom brown brush bucket bundle butter button cabin
            candle canoe canvas cedar cellar chalk cherry chest chimney cider cinnamon clay cliff clock clover cloud coal coast
            cobalt copper coral corner cotton cradle crane creek crumb crust cup curtain daisy dawn deer dill dove drift drum dusk
            eagle elbow elder elm ember evening fable falcon fennel fern ferry field finch fire flax flint flour flute forest fork
            fox frost garden garlic gate ginger glass glove goose grain granite grape grass green grove gull hammer harbor harvest
            hazel heather hedge hill honey horn island ivory ivy jacket jar juniper kettle kitchen kite ladder lake lamp lantern
            larch lark lavender lemon lilac linen lion loaf lock lunar magnet maple marble march meadow melon mill mint mirror
            moon morning moss mountain nettle night north nutmeg oak oat ocean olive onion orange orchard otter oven owl paddle
            paper parsley peach pear pebble pepper pillow pine pink plum pocket pond poppy potato quarry quill quilt rabbit rain
            raven reed ribbon river robin rocket roof rope rose rye saddle saffron sage sail salt sand satin scarf seed shadow
            shell shore silver slate sleet snow sorrel south sparrow spice spring spruce star stone straw stream sugar summer
            swallow swan table thistle thread thunder thyme timber tower trout tulip tunnel turnip valley velvet violet wagon
            walnut water wheat willow window winter wood wool wren yarrow yeast yellow
            """.Split([' ', '\n', '\r'], StringSplitOptions.RemoveEmptyEntries),
    ];
}
