// A line's text before it is read: slips put right, and what is told as one parted in two.
using System.Globalization;
using System.Text.RegularExpressions;

namespace JollyKnot.Core.Pantry;

/// <summary>The text of single lines, as their grammar wants it.</summary>
internal static partial class LineText
{
    // Slips of scanning, thin blanks in thousands, and semicolons between two ways of telling the same.
    public static string Tidied(string line)
    {
        line = LetterForOne().Replace(line, "1/");
        line = Leader().Replace(line, " ");
        line = NakedPoint().Replace(line, "0.");
        line = PartOfAPack().Replace(line, "$1 x ${size} ");
        line = PartOfA().Replace(line, "$1 ");
        line = Thousands().Replace(line, "$1$2");
        line = NameAndNumber().Replace(line, "$1 $2");
        line = BrushWith().Replace(line, "$1");
        line = SoakedBehind().Replace(line, " + ${what}");
        line = UpToMore().Replace(line, ", plus more");
        line = TypeBehind().Replace(line, " ");
        line = ForIt().Replace(line, "$1: ");
        line = SaltAndPepper().Replace(line, "salt and black pepper");
        line = AndAYolk().Replace(line, m => $" plus {CountOf(m.Groups["count"].Value)} egg {m.Groups["part"].Value}");
        line = PinchEach().Replace(line, "1 ${pinch} each");
        line = CookedAndCooled().Replace(line, "cooked ");
        line = MilkOfACheese().Replace(line, m => m.Groups["whose"].Success ? $"{m.Groups["whose"].Value} " : "");
        line = HowWarm().Replace(line, "");
        line = IfAnother().Replace(line, "(${amount})");
        line = OutOfEggs().Replace(line, "${count} egg ${part}");
        line = PacketOfYeast().Replace(line, "${count} 0.25 ");
        line = Packed()
            .Replace(line, m => $"{CountOf(m.Groups["count"].Value)} x {m.Groups["size"].Value} {m.Groups["unit"].Value} ");
        line = CountInBrackets().Replace(line, "${count} ${name}");
        line = UseThenAmount().Replace(line, "${amount} ${name}, plus more ${use}");
        line = Between().Replace(line, "${from} - ");
        line = GradeInBrackets().Replace(line, " ${grade}");
        line = ForExample().Replace(line, "");
        line = AnotherFor().Replace(line, " plus 1 ");
        line = Misread().Replace(line, m => m.Value == "1" ? "l" : "o");
        line = LetterAlone().Replace(line, "1");
        line = CubeOfYeast().Replace(line, "${cube} fresh yeast");
        line = UnitThenNumber().Replace(line, m => $" {m.Groups["n"].Value} {m.Groups["unit"].Value}");
        line = GradeAsAWord().Replace(line, "${grade}");
        line = DriedInBrackets().Replace(line, " ${how}${amount}");
        line = MixedAtTheEnd().Replace(line, "");
        line = HalfAWord().Replace(line, "${tail}");
        return SemicolonInBrackets().Replace(line, m => m.Value.Replace(';', '/'));
    }

    // "lager ........ 375 ml".
    [GeneratedRegex(@"\s*(?:\.{3,}|…+)\s*(?=[\d½¼¾⅓⅔])")]
    private static partial Regex Leader();

    // ".25 oz".
    [GeneratedRegex(@"(?<![\p{L}\p{N}.,])\.(?=\d)")]
    private static partial Regex NakedPoint();

    // "plus up to 1/4 cup more as needed": some more, nobody knows how much.
    [GeneratedRegex(
        @"[,(]?\s*\b(?:plus|and|\+)\s+(?:up to\s+)?[\d½¼¾⅓⅔⅛][\d./ ½¼¾⅓⅔⅛-]*\s*"
            + @"(?:cups?|c|tbsp|tablespoons?|tsp|teaspoons?|g|grams?|ml|oz|ounces?)\.?\s+(?:more|extra)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex UpToMore();

    // "one large egg and one yolk".
    [GeneratedRegex(
        @"(?<=\beggs?),?\s+(?:and|plus|\+)\s+(?<count>\d|one|two|three|an?)\s+(?:egg\s+)?(?<part>yolk|white)s?\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex AndAYolk();

    // "whole milk ricotta": what it is made of is not what it is.
    [GeneratedRegex(
        @"\b(?:whole|full[- ]fat|low[- ]fat|part[- ]skim|skim(?:med)?|semi[- ]skimmed|"
            + @"(?<whose>(?:goat|sheep|cow)['’]?s))[- ]milk\s+"
            + @"(?=ricotta|yogh?urt|mozzarella|quark|curd|kefir|cheese|feta|skyr)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex MilkOfACheese();

    // "300 ml water (about 40C)".
    [GeneratedRegex(
        @"\(\s*(?:about|around|approx\.?|at|roughly|~)?\s*\d{2,3}\s*°?\s*[CF]\b[^()]*\)|,?\s*\bat\s+(?:about"
            + @"\s+)?\d{2,3}\s*°?\s*[CF]\b"
    )]
    private static partial Regex HowWarm();

    // "2 tsp salt (1 tsp if using table salt)": which of them it is, is asked.
    [GeneratedRegex(
        @"\(\s*(?:or\s+)?(?<amount>[\d½¼¾⅓⅔][^()]{0,24}?)\s+if\s+(?:you\s+)?(?:us\w+|it|table|fine)\b[^()]*\)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex IfAnother();

    // "pinch each of salt and sugar".
    [GeneratedRegex(@"^\s*(?:an?\s+)?(?:good\s+|generous\s+)?(?<pinch>pinch|dash)\s+each\b", RegexOptions.IgnoreCase)]
    private static partial Regex PinchEach();

    // "cooked, cooled oatmeal".
    [GeneratedRegex(@"\bcooked\s*(?:,|and)\s*cool(?:ed)?\s+(?=\p{L})", RegexOptions.IgnoreCase)]
    private static partial Regex CookedAndCooled();

    // "egg white from 1 large egg", "yolks of 2 eggs".
    [GeneratedRegex(
        @"^\s*(?:the\s+)?(?:egg\s+)?(?<part>white|yolk)s?\s+(?:from|of)\s+(?<count>\d{1,2}|one|two|three|an?)\s+"
            + @"(?:(?:small|medium|large)\s+)?eggs?\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex OutOfEggs();

    // "100 g linseed, overnight in 150 ml of water soaked", as German has it.
    [GeneratedRegex(
        @"[,(]?\s*\b(?:über nacht\s+|(?:für\s+)?[\d½]+\s*(?:stunden?|std\.?|h|minuten|min\.?)\s+)?(?:in|mit)\s+(?=[\d½¼¾])"
            + @"(?<what>[^,;()]+?)\s+(?:eingeweicht|übergossen|überbrüht|gequollen|gelöst|aufgelöst|verrührt"
            + @"|angerührt|zerdrückt|"
            + @"(?:an)?gedünstet|"
            + @"(?:an)?gebraten)\b\)?",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex SoakedBehind();

    // "1 1/4 ounce package yeast": one of a quarter of an ounce, as the trade packs it.
    [GeneratedRegex(
        @"^\s*(?<count>[1-9])\s+1/4[-\s]?"
            + @"(?=(?:ounces?|oz)\.?\s+(?:packages?|packets?|envelopes?|pkgs?|packs?|sachets?)\b.*yeast)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex PacketOfYeast();

    // "one 14-ounce can".
    [GeneratedRegex(
        @"^\s*(?<count>\d{1,2}|one|two|three|four)\s+(?<size>\d{1,4}(?:\.\d+)?)[-\s]?(?<unit>ounces?|oz|g|grams?|ml)\.?\s+"
            + @"(?:cans?|tins?|jars?|packages?|packs?|cartons?|bags?|boxes|box|tubs?|bottles?|pots?)\b\s*(?:of\s+)?",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Packed();

    private static string CountOf(string word) =>
        word.ToLowerInvariant() switch
        {
            "one" or "a" or "an" => "1",
            "two" => "2",
            "three" => "3",
            "four" => "4",
            _ => word,
        };

    // "butter, for greasing, plus 25 g": these are the dough's.
    [GeneratedRegex(
        @"^\s*(?<name>\p{L}[\p{L} ]{2,40}),?\s+(?<use>for\s[\p{L} ]{3,30}),?\s+(?:plus|\+)"
            + @"\s+(?<amount>[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔ ]*\s?\p{L}{1,11})\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex UseThenAmount();

    // "eggs (2)".
    [GeneratedRegex(@"^\s*(?<name>(?:\p{L}+\s)*eggs?(?:\s\p{L}+)?)\s*\((?<count>\d{1,2})\)\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex CountInBrackets();

    // "between 320 and 340 ml".
    [GeneratedRegex(
        @"\b(?:between|zwischen|entre|tra|fra)\s+(?<from>\d[\d.,/]*)\s*(?:and|und|et|y|e)\s+(?=\d)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Between();

    // "flour (type 550)": the grade is a part of the name.
    [GeneratedRegex(
        @"\s*\(\s*(?<grade>(?:weizen(?:mehl)?\s+(?:type\s*)?|type|typ|tipo|t|w)[\s.]*\d{1,4})\s*\)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex GradeInBrackets();

    // "seeds (e.g. poppy, sesame)".
    [GeneratedRegex(
        @"\s*\((?:e\. ?g\.|for example|such as|z\. ?B\.|zum Beispiel|par ex(?:emple|\.)|p\. ?ej\.|por ejemplo"
            + @"|ad es(?:empio|\.))[^()]*\)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex ForExample();

    // "1 egg + another for brushing".
    [GeneratedRegex(
        @"\s*(?:\+|\band|\bplus)\s+(?:another(?: one)?|one more|otr[oa]|un autre|un altro|ein weiteres)"
            + @"\s+(?=(?:for|to|para|per|pour|zum|für)\b)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex AnotherFor();

    // "sa1t", "f1our": as a scanner reads a letter.
    [GeneratedRegex(@"(?<=\p{L})[10](?=\p{Ll})")]
    private static partial Regex Misread();

    // "l cup milk".
    [GeneratedRegex(@"^[lI](?=\s+(?:cups?|tbsp|tsp|tablespoons?|teaspoons?|c|lb|oz|egg|pint|packet|cake|package|pkg)\b)")]
    private static partial Regex LetterAlone();

    // "1 cake of yeast" is fresh: dried yeast comes in no cube.
    [GeneratedRegex(@"\b(?<cube>cubes?|cakes?)\s+(?:of\s+)?(?:bakers?['’]?s?['’]?\s+)?yeast\b", RegexOptions.IgnoreCase)]
    private static partial Regex CubeOfYeast();

    // "latte ml 220", "uova n. 1": the unit, or none, before the number.
    [GeneratedRegex(
        @"(?<=[\p{L}\p{N}])\s+(?:(?<unit>gr?|ml|cl|dl|l|kg|oz|lb|tsp|tbsp)\.?|(?:n|nr|no|st|stk|pz)\.?[º°]?)"
            + @"\s+(?<n>\d[\d.,/½¼¾]*)\s*(?=$|[,;(])",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex UnitThenNumber();

    // "Mehl 550er".
    [GeneratedRegex(@"(?<=\p{L}\s+)(?<grade>\d{3,4})er\b")]
    private static partial Regex GradeAsAWord();

    // "milk and water mixed, hand-hot".
    [GeneratedRegex(@"\s+mixed(?: together)?(?=\s*(?:,|$))", RegexOptions.IgnoreCase)]
    private static partial Regex MixedAtTheEnd();

    // "yeast (dried)", "yeast 20 g (fresh)": which of two it is, is a part of the name.
    [GeneratedRegex(
        @"(?<=hefe|yeast|levure|levadura|lievito)(?<amount>\s+\d[\d.,/½¼¾]*\s*\p{L}{0,6})?\s*\("
            + @"\s*(?<how>trocken|frisch|dried|dry|fresh|fraîche|sèche|seca|fresca|secco|fresco)\s*\)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex DriedInBrackets();

    // "Sonnenblumen-, Lein- und Kürbiskerne": each hyphen stands for the end of the last word.
    [GeneratedRegex(
        @"(?<=\p{L}{3})-(?=(?:,?\s+(?:(?:und|oder)\s+)?\p{L}{3,30}-){0,4},?\s+(?:und|oder)\s+\p{L}{2,30}?"
            + @"(?<tail>kernen?|samen|saaten?|mehl|flocken|nüssen?|öl|pulver|zucker|käse|milch)\b)",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex HalfAWord();

    // What is told as one, and is two: "yeast dissolved in ¼ cup water", "zest and juice of half an orange".
    public static string InTwo(string text)
    {
        text = WithALittle().Replace(text, "with 1 splash of ");
        text = PerLitre().Replace(text, " for boiling");
        text = InSomeWater().Replace(text, ", soaked");
        text = FriedIn().Replace(text, "${how} plus ");
        text = InSomeOfTheSame().Replace(text, ", ${how}");
        text = DissolvedIn().Replace(text, "and ");
        text = PlusInBrackets().Replace(text, "${amount} ${name}${line} plus ${more}");
        text = EachItsUse().Replace(text, m => $"{Part(m, "one", "use")} plus {Part(m, "other", "otherUse")}");
        text = HalfEach()
            .Replace(text, m => $"{Half(m)} {m.Groups["name"]} plus {Half(m)} {m.Groups["name"]} for {m.Groups["use"]}");
        text = SomeInTheDough().Replace(text, "${one} ${name} plus ${other} ${name} ${use}");
        text = KeptBack().Replace(text, InTwoParts);
        text = SomeForElse().Replace(text, SoMuchLess);
        text = HalfAndHalf().Replace(text, m => $"{Half(m)} {m.Groups["one"]} flour plus {Half(m)} {m.Groups["other"]} flour");
        text = OfWhich().Replace(text, m => $"{Left(m)} g {m.Groups["name"].Value} plus {m.Groups["part"].Value} g ");
        text = PartInBrackets()
            .Replace(text, m => IsPart(m.Groups["part"].Value) ? $"{m.Groups["part"].Value}: {m.Groups["of"].Value}" : m.Value);
        text = ZestOfTwo().Replace(text, "${one} ${fruit} zest plus ${two} ${other} zest");
        text = ZestOf().Replace(text, m => $"{Many(m)} {m.Groups["fruit"]} zest");
        text = ZestThenJuice()
            .Replace(
                text,
                m => $"{Many(m)} {m.Groups["fruit"]} zest plus {Counted(m.Groups["of"].Value)} {m.Groups["fruit"]} juice"
            );
        return ZestAndJuice().Replace(text, m => $"{Many(m)} {m.Groups["fruit"]} zest plus {Many(m)} {m.Groups["fruit"]} juice");

        static string Many(Match m) => Counted(m.Groups["n"].Value);

        static string Counted(string word) =>
            word.ToLowerInvariant() switch
            {
                "half a" or "half an" or "half" or "half of one" => "1/2",
                "" or "a" or "an" or "the" => "1",
                var n => n,
            };
    }

    // "grated zest of an unwaxed lemon": as the pantry has it.
    [GeneratedRegex(
        @"^\s*(?:the\s+|\p{L}{2}\s+)?(?:finely\s+|grated\s+)*zest\s+(?:grated\s+)?(?:of\s+|from\s+)?"
            + @"(?<n>\d[\d./]*|[½¼¾]|half an?|half|an?|the|one|two|three)?\s*"
            + @"(?:large\s+|small\s+|medium\s+|unwaxed\s+|organic\s+)*(?<fruit>orange|lemon)s?\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex ZestOf();

    // "zest of 1 orange and 1 lemon".
    [GeneratedRegex(
        @"^\s*(?:the\s+)?(?:finely\s+|grated\s+)*zest\s+of\s+(?<one>\d|[½¼]|an?|one|two)\s+(?<fruit>orange"
            + @"|lemon|lime)s?\s+(?:and|plus|\+|&)\s+"
            + @"(?<two>\d|[½¼]|an?|one|two)\s+(?<other>orange|lemon|lime)s?\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex ZestOfTwo();

    // "zest of 2 oranges and juice of half".
    [GeneratedRegex(
        @"^\s*(?:the\s+)?(?:grated\s+)?zest\s+of\s+(?<n>\d[\d./]*|[½¼¾]|half an?|an?|one|two|three)\s+"
            + @"(?:large\s+|unwaxed\s+|organic\s+)*(?<fruit>orange|lemon)s?,?\s+(?:and|plus)\s+(?:the\s+)?juice\s+of\s+"
            + @"(?<of>half of one|half|one|two|\d[\d./]*|[½¼¾])(?:\s+(?:orange|lemon)s?)?\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex ZestThenJuice();

    // "60 g seeds (plus 20 g for rolling)"; "Seeds: 60 g (plus 20 g for rolling)".
    [GeneratedRegex(
        @"^(?:(?<name>\p{L}[\p{L} ]*?)[\s|:–-]*(?<amount>[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔ ]*\p{L}{1,11})|(?<line>[^()]*?))\s*"
            + @"\(\s*(?:plus|and|\+)\s+(?<more>[\d½¼¾⅓⅔][^()]*\s(?:for|to)\s[^()]*)\)\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex PlusInBrackets();

    // "2 eggs, 1 for the dough and 1 for brushing".
    [GeneratedRegex(
        @"^\s*\d[\d.,/½¼¾⅓⅔]*\s*(?:(?<unit>g|ml|tbsp|tsp|cups?|oz)\s+)?(?:of\s+)?(?<name>\p{L}[\p{L}"
            + @" ]{1,40}?)(?:,\s*\p{L}+)?\s*[,;(:–-]\s*"
            + @"(?:divided\s*[:,]?\s*)?(?<one>\d[\d./½¼¾⅓⅔]*(?:\s?\p{L}{1,11})??)\s+"
            + @"(?<use>for\s+[\p{L} ]+?)\s*(?:,|;|\+|\band\b)\s*"
            + @"(?<other>\d[\d./½¼¾⅓⅔]*(?:\s?\p{L}{1,11})??)\s+(?<otherUse>for\s+[\p{L} ]+?)\s*\)?\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex EachItsUse();

    // "4 tbsp butter, divided: 3 for the dough, 1 for brushing": each in the unit of all.
    private static string Part(Match m, string amount, string use) =>
        $"{InUnitOf(m.Groups["unit"].Value, m.Groups[amount].Value)} {m.Groups["name"]} {m.Groups[use]}";

    private static string InUnitOf(string unit, string amount) => amount.Any(char.IsLetter) ? amount : $"{amount} {unit}";

    // "50 g cheddar, half in the dough, half on top".
    [GeneratedRegex(
        @"^\s*(?<all>\d{1,5}(?:\.\d+)?)\s*(?<unit>g|ml|oz|cups?|tbsp|tsp)\s+(?:of\s+)?(?<name>\p{L}[\p{L}"
            + @" ]{1,40}?)\s*[-–,;(:]\s*"
            + @"half\s+(?:of\s+it\s+)?(?:in|into|for|through)\s+the\s+dough\s*(?:,|;|\band\b)+\s*(?:the\s+other\s+)?"
            + @"(?:half|the rest)\s+(?:on|for|over)\s+(?:the\s+)?(?<use>top\w*)\b.*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex HalfEach();

    // "2 tbsp sunflower seeds for the dough, 2 tbsp for sprinkling".
    [GeneratedRegex(
        @"^\s*(?<one>[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔ ]*\p{L}{1,11})\s+(?:of\s+)?(?<name>\p{L}[\p{L} ]{1,40}?),?\s+for\s+the\s+dough\s*"
            + @"(?:,|;|\+|\band\b|\bplus\b)+\s*(?<other>[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔ ]*\p{L}{1,11})\s+(?<use>(?:for|to)\s[^,;()]+)$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex SomeInTheDough();

    // "75 g cheddar, grated - keep a third back for the top".
    [GeneratedRegex(
        @"^\s*(?<all>\d{1,5}(?:\.\d+)?)\s*(?:(?<unit>g|ml|oz|cups?|tbsp|tsp)\s+)?(?:\([^()]*\)\s*)?(?:of\s+)?"
            + @"(?<name>\p{L}[^\d]{1,60}?)\s*[-–,;(]\s*"
            + @"(?:divided\s*[:,]?\s*)?(?:half\s+(?:of\s+it\s+)?(?:in|into|for)\s+the\s+dough\s*(?:,|\band\b)\s*)?"
            + @"(?:(?:keep|hold|reserve|reserving|save|saving|set|with)\s+)?(?:an?\s+)?(?<part>third|half|quarter)\s+"
            + @"(?:of\s+it\s+)?"
            + @"(?:(?:kept|held|saved|set)\s+)?(?:back\s+|aside\s+|reserved\s+)?(?<use>for\s+[^()]+?)\)?\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex KeptBack();

    private static string InTwoParts(Match m)
    {
        var all = double.Parse(m.Groups["all"].ValueSpan, CultureInfo.InvariantCulture);
        var back = m.Groups["part"].Value.ToLowerInvariant() switch
        {
            "third" => all / 3,
            "half" => all / 2,
            _ => all / 4,
        };
        var (unit, name, use) = (m.Groups["unit"].Value, m.Groups["name"].Value, m.Groups["use"].Value);
        var bare = name.Split(',')[0];
        return FormattableString.Invariant($"{all - back:0.##} {unit} {name} plus {back:0.##} {unit} {bare} {use}");
    }

    // "250 ml milk, of which 2 tbsp for brushing"; "150 g cheese, grated (50 g for the top)"; "2 eggs, of which 1 yolk for
    // brushing".
    [GeneratedRegex(
        @"^\s*(?<all>[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔ ]*\s*(?:g|kg|ml|cl|dl|l|oz|cups?|tbsp|tsp)?)"
            + @"(?:\s*/\s*[\d½¼¾⅓⅔][^/,;()]{0,8}(?:oz|lb|ml|g|cups?))?\s+(?:of\s+)?"
            + @"(?<name>\p{L}[\p{L}'’ ,-]{1,50}?)\s*(?:\([^()]*\)\s*)?(?:,\s*(?:lightly\s+)?\p{L}+(?=,))?"
            + @"(?:[-–,;(]\s*(?:of which|of them|including|incl\.?|keep(?:ing)?|reserv(?:e|ing)|sav(?:e|ing))\s+|\(\s*(?=\d))"
            + @"(?<part>[\d½¼¾⅓⅔][\d.,/½¼¾⅓⅔]*(?:\s*(?:g|ml|cl|oz|cups?|tbsp|tsp)\b)?)\s*(?<yolk>(?:egg )?yolks?\s+)?"
            + @"(?:(?:melted|softened|beaten|grated|chopped)\s+)?"
            + @"(?<use>for\s+[^()]+?)\)?\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex SomeForElse();

    // The white of an egg whose yolk is brushed on stays in the dough.
    private static string SoMuchLess(Match m)
    {
        var (all, name, part, use) = (
            m.Groups["all"].Value,
            m.Groups["name"].Value.TrimEnd(' ', ','),
            m.Groups["part"].Value,
            m.Groups["use"].Value
        );
        // How much of an egg a spoon is, nobody reckons.
        if (!all.Any(char.IsLetter) && part.Any(char.IsLetter))
            return m.Value;
        part = InUnitOf(new([.. all.Where(char.IsLetter)]), part);
        var left = int.TryParse(all, out var of) && int.TryParse(part, out var some) ? $"{of - some}" : $"{all} less {part}";
        var less = $"{left} {name} plus ";
        return m.Groups["yolk"].Success ? $"{less}{part} egg white plus {part} egg yolk {use}" : $"{less}{part} {name} {use}";
    }

    // "350 g flour (half white, half wholemeal)".
    [GeneratedRegex(
        @"^\s*(?<all>\d{1,5}(?:\.\d+)?)\s*(?<unit>g|oz|cups?)\s+(?:of\s+)?(?:plain\s+)?flour\s*[,(]\s*half\s+"
            + @"(?<one>\p{L}[\p{L} ]{1,30}?)\s*(?:,|\band\b)+\s*half\s+(?<other>\p{L}[\p{L} ]{1,30}?)\s*\)?\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex HalfAndHalf();

    private static string Half(Match m) =>
        FormattableString.Invariant(
            $"{double.Parse(m.Groups["all"].ValueSpan, CultureInfo.InvariantCulture) / 2:0.##} {m.Groups["unit"].Value}"
        );

    // "450 g flour, of which 50 g rye".
    [GeneratedRegex(
        @"^\s*(?<all>\d{1,5})\s*g\s+(?:of\s+)?(?<name>\p{L}[\p{L} ]{1,40}?),?\s*\(?\s*(?:of which|of them|including|incl\.?)\s+"
            + @"(?<part>\d{1,5})\s*g\s+",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex OfWhich();

    private static int Left(Match m) =>
        Math.Max(
            0,
            int.Parse(m.Groups["all"].ValueSpan, CultureInfo.InvariantCulture)
                - int.Parse(m.Groups["part"].ValueSpan, CultureInfo.InvariantCulture)
        );

    // "egg wash (1 egg + 1 tbsp water)": the bracket tells what the part is made of.
    [GeneratedRegex(@"^(?<part>[\p{L} ]{3,30}?)\s*\((?<of>[^()]*\d[^()]*)\)\s*$")]
    private static partial Regex PartInBrackets();

    private static bool IsPart(string heading) =>
        Uses.OfHeading(heading) is Use.Wash or Use.Topping or Use.Filling or Use.Bath && !Ingredients.IsName(heading);

    // "1 onion, chopped and fried in 1 tbsp butter".
    [GeneratedRegex(
        @"\b(?<how>fried|sautéed|softened|cooked|caramelised|caramelized)\s+in\s+(?=[\d½¼¾⅓⅔⅛])",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex FriedIn();

    // "beaten with a little milk".
    [GeneratedRegex(@"\bwith\s+alittle\s+(?:of\s+)?(?=(?:\p{L}+\s+)?(?:milk|water|cream)\b)", RegexOptions.IgnoreCase)]
    private static partial Regex WithALittle();

    // "1 tbsp baking soda for each litre of water".
    [GeneratedRegex(
        @"[,\s]+(?:for|to|per)\s+(?:each\s+|every\s+|a\s+|the\s+)?(?:lit(?:re|er)|l)\s+(?:of\s+)?water\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex PerLitre();

    // "raisins soaked in warm water": how they are, not how much water the dough gets.
    [GeneratedRegex(
        @"[,\s]+soaked\s+(?:overnight\s+)?in\s+(?:(?:luke)?(?:warm|hot|cold|boiling)\s+)?water"
            + @"(?:\s+(?:luke)?(?:warm|hot|cold))?\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex InSomeWater();

    // "8 g salt dissolved in 20 g of the water": of what has its own line.
    [GeneratedRegex(
        @",?\s*\b(?<how>dissolved|proofed|proved|bloomed|soaked|steeped|stirred|softened|whisked|mixed)\s+(?:in|into|with)\s+"
            + @"(?:(?:[\d½¼¾⅓⅔⅛][\d.,/½¼¾⅓⅔]*\s*\p{L}{1,11}\.?|some|alittle|half)\s+of\s+)?(?:the|your|this)\s+[^,;()]+",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex InSomeOfTheSame();

    [GeneratedRegex(
        @"\b(?:(?:dissolved|proofed|proved|bloomed|soaked|steeped|stirred|softened|sprinkled|whisked|beaten|mixed|"
            + @"crushed|mashed|pounded|worked|rubbed|blended|folded|grated)\s+"
            + @"(?:overnight\s+|for\s+[\w½]+\s+(?:minutes?|mins?|hours?|h)\s+)?(?:in|into|over|on|with)|per)\s+(?=[\d½¼¾⅓⅔⅛])",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex DissolvedIn();

    [GeneratedRegex(
        @"^\s*(?:the\s+|finely\s+|grated\s+)*(?:zest and juice|juice and zest)\s+of\s+"
            + @"(?<n>\d[\d./]*|[½¼¾]|half an?|half|an?|the|one|two|three)?\s*"
            + @"(?:large\s+|small\s+|medium\s+|unwaxed\s+|organic\s+)*(?<fruit>orange|lemon)s?\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex ZestAndJuice();

    // "Weizenmehl, Type 550" is one name.
    [GeneratedRegex(@"(?<=mehl|farine|harina|farina),\s+(?=(?:type|tipo|t)\s*\d)", RegexOptions.IgnoreCase)]
    private static partial Regex TypeBehind();

    // "For the filling 100 g brown sugar": as if a colon stood there.
    [GeneratedRegex(@"^(\s*for\s+(?:the\s+)?\p{L}+(?:\s\p{L}+)?)\s+(?=[\d½¼¾⅓⅔⅛])", RegexOptions.IgnoreCase)]
    private static partial Regex ForIt();

    [GeneratedRegex(@"\bsalt\s*(?:and|&|,)\s*pepper\b", RegexOptions.IgnoreCase)]
    private static partial Regex SaltAndPepper();

    [GeneratedRegex(@"(?<![\p{L}\p{N}])[lI]/(?=\d)")]
    private static partial Regex LetterForOne();

    [GeneratedRegex(@"([½¼¾⅓⅔⅛]|\d/\d)\s+an?\s+", RegexOptions.IgnoreCase)]
    private static partial Regex PartOfA();

    // "1/2 a 400 g tin".
    [GeneratedRegex(
        @"([½¼¾⅓⅔⅛]|\d/\d)\s+(?:of\s+)?an?\s+(?=\d+\s?(?:g|ml|oz)\b)(?<size>\d+\s?(?:g|ml|oz))\s+(?:tin|can"
            + @"|jar|tub|carton|pack|packet|bag)s?\s+(?:of\s+)?",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex PartOfAPack();

    [GeneratedRegex(@"(?<![\d/])(\d{1,2})[\u2009\u202f\u00a0 ](\d{3})(?=\s*(?:g|ml|gr|gram|grams|grammes)\b)")]
    private static partial Regex Thousands();

    [GeneratedRegex(@"^(\p{L}[^:\d]*):\s*(\d+(?:[.,]\d+)?)\s*$")]
    private static partial Regex NameAndNumber();

    [GeneratedRegex(
        @"^([^:]{1,40}:\s*)?(?:brush|sprinkle|dust|top|spread|drizzle|cover)\s+(?:it\s+|them\s+)?with\s+",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex BrushWith();

    [GeneratedRegex(@"\([^()]*\)")]
    private static partial Regex SemicolonInBrackets();
}
