// Goes through a recipe's lines: name, rows of the dough, rows of each part, and the method.
using System.Collections.Frozen;
using System.Collections.Immutable;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Pantry;

namespace JollyKnot.Core.Doughs;

/// <summary>Reads one recipe, line by line.</summary>
internal sealed partial class RecipeReader(HouseholdPantry pantry, RecipeLanguage language)
{
    private sealed class Section(Use? use, string name)
    {
        public Use? Use { get; } = use;
        public string Name { get; } = name;
        public PartWork? Work { get; init; }
        public PartMoment? Moment { get; init; }
        public bool IsAsked { get; init; }
        public List<ReadLine> Lines { get; } = [];

        public Section For(Use other)
        {
            var section = new Section(other, Name) { Work = Work, Moment = Moment };
            section.Lines.AddRange(Lines);
            return section;
        }
    }

    // A line that begins so tells what to do or how much comes of it.
    private static readonly FrozenSet<string> Doing = (
        "mix knead bake preheat heat place put into onto add combine stir let leave cover shape divide roll brush "
        + "sprinkle serve serves make makes yield yields prep cook rest turn set pour dissolve proof prove rise remove "
        + "cool store transfer in when if then once oven time total use take cut press work form tip grease line "
        + "meanwhile after before while this these boil "
        + "fold pull stretch dip drain score slash flip repeat allow transfer weigh whisk warm scald braid"
        + " plait twist tie fill "
        + "spread top drizzle enjoy store freeze slice "
        + "mischen kneten backen den die das alles teig ofen ergibt reicht melanger petrir cuire faire laisser"
        + " dans prechauffer "
        + "mezclar amasar hornear dejar en precalentar mescolare impastare cuocere lasciare infornare in preriscaldare"
    )
        .Split(' ')
        .ToFrozenSet();

    private readonly List<Section> sections = [new(Use.Dough, "")];
    private readonly List<string> leftOver = [];
    private string title = "";
    private bool headsDough,
        isTitled,
        byHand,
        ownOrder,
        isNotes;

    public ReadRecipe Read(string text)
    {
        var lines = new PastedCells(language, IsHeading, BeginsTheRest).Joined(text.Split('\n')).SelectMany(Sentences).ToList();
        headsDough = lines.Any(l => l.Trim() is [.., ':'] && IsDoughHeading(Unmarked(l.Trim()).TrimEnd(':')));
        var listAt = ListAt(lines);
        for (var i = 0; i < lines.Count; i++)
        {
            var line = lines[i].Trim();
            var plain = Unmarked(line);
            if (plain.Length == 0 || PageWords.IsToPress(plain))
                continue;
            if (i < listAt)
            {
                ReadHead(line, plain, lines[i]);
                continue;
            }
            if (BeginsTheRest(line, plain))
            {
                isNotes = plain.TrimEnd(':').Trim() == RecipeText.NotesMark;
                leftOver.Add(string.Join('\n', lines.Skip(isNotes ? i + 1 : i)).Trim());
                break;
            }
            var isAlone =
                i > 0 && i + 1 < lines.Count && string.IsNullOrWhiteSpace(lines[i - 1]) && BeginsWithAmount(lines[i + 1]);
            ReadLine(line, plain, lines[i], isAlone || IsWhatRowsAreFor(plain, lines.ElementAtOrDefault(i + 1)));
        }
        if (!isNotes && (!HasIts(Role.Flour) || !HasIts(Role.Liquid)))
            ReadTold();
        var method = string.Join('\n', leftOver.Where(l => l.Length > 0));
        var told = new RowsByMethod(method, pantry, language);
        foreach (var section in sections.Where(s => s.Use == Use.Dough))
            told.PutRight(section.Lines);
        foreach (var section in sections)
            told.Share(section.Lines, section.Use);
        foreach (var section in sections.Where(s => s.Use == Use.Topping))
            Brush(section.Lines);
        if (MethodReading.BrushesOnlyHot(method))
            foreach (var section in sections.Where(s => !s.Lines.Any(IsIcing)))
                RowsByMethod.Put(
                    section.Lines,
                    row => InSection(row, section) == Use.Wash,
                    row => row with { Use = Use.HotBrush }
                );
        FillBeforeOven(method);
        byHand |= MethodReading.IsByHand(method);
        ImmutableArray<ReadSection> read = [.. Sections().Select(told.AsTold)];
        return new(title, read, byHand, string.Join('\n', leftOver.Where(l => l.Length > 0)))
        {
            Language = language,
            Plan = MethodReading.Of($"{title}\n{method}"),
            OwnOrder = ownOrder || MethodReading.TellsOrder(method),
        };
    }

    // Garlic butter that goes on before the oven is no butter for hot bread.
    private void FillBeforeOven(string method)
    {
        for (var i = 0; i < sections.Count; i++)
            if (
                sections[i] is { Use: Use.HotBrush, Work: null } section
                && Phrase.Split(section.Name).SkipWhile(w => IsArticle().IsMatch(w)).ToList() is { Count: > 0 } words
                && string.Join(' ', words) is var name
                && section.Lines.SelectMany(l => l.Rows).Any(r => r.Role != Role.Fat)
                && MethodReading.TakesBeforeOven(name, method)
            )
                sections[i] = section.For(Use.Filling);
    }

    [GeneratedRegex("^(?:for|the|für|die|das|den|pour|le|la|l|para|el|per|il)$", RegexOptions.IgnoreCase)]
    private static partial Regex IsArticle();

    private bool HasIts(Role role) =>
        sections.Where(s => s.Use == Use.Dough).SelectMany(s => s.Lines).SelectMany(l => l.Rows).Any(r => r.Role == role);

    // Without flour or liquid among its rows a recipe is told: "Warm 250 g of milk with 40 g of butter".
    private void ReadTold()
    {
        var has = sections.SelectMany(s => s.Lines).SelectMany(l => l.Rows).Select(r => r.Ingredient).ToHashSet();
        foreach (var sentence in leftOver.SelectMany(MethodReading.Sentences).Where(s => !PageWords.IsTold(s)).ToList())
        {
            var use = MethodReading.UseOf(sentence);
            var rows = Amounts()
                .Split(sentence)
                .Select(ToldIn)
                .OfType<ReadRow>()
                .Where(row => has.Add(row.Ingredient))
                .Select(row => row with { Use = use });
            if (rows.ToImmutableArray() is { Length: > 0 } told)
                Add(new(sentence, told));
        }
    }

    // The longest beginning that asks for something; what follows tells what is done.
    private ReadRow? ToldIn(string words)
    {
        var all = words.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        for (var count = Math.Min(all.Length, MostWords); count > 1 && BeginsWithAmount(words); count--)
            if (LineReading.Of(string.Join(' ', all[..count]), pantry, language) is [{ Known: true, Mass: not null } row])
                return row;
        return null;
    }

    [GeneratedRegex(@"(?:^|\s|,)(?=[\d½¼¾⅓⅔]+[.,/]?\d*\s*\p{L})|,\s")]
    private static partial Regex Amounts();

    // Where a page's list of ingredients is headed; what stands before it is its name, and what is told of it. -1 where nothing
    // heads it, or rows stand before.
    private int ListAt(List<string> lines)
    {
        var at = lines.FindIndex(l => RestOfListHeading(Unmarked(l.Trim()).TrimEnd(':').Trim()) is not null);
        var before = lines.Take(Math.Max(at, 0)).Select(l => l.Trim()).Where(l => l.Length > 0 && BeginsWithAmount(l));
        return before.Count(l => IngredientIn(l)?.Rows.Any(r => r is { Known: true, Mass: not null }) == true) < 2 ? at : -1;
    }

    // "Mix all ingredients" tells what to do.
    private static string? RestOfListHeading(string heading) => IsDoing(heading) ? null : PageWords.RestOfListHeading(heading);

    private void ReadHead(string line, string plain, string whole)
    {
        var isMarked = line.StartsWith("# ", StringComparison.Ordinal);
        // "Pull-apart loaf" is a name too.
        var isName =
            isMarked
            || IsTitle(line, plain)
            || (IsDoing(plain) && plain.Count(c => c == ' ') < 5 && char.IsLetterOrDigit(plain[^1]));
        if (!isTitled && !PageWords.IsTold(plain) && isName)
            Title(plain.TrimEnd(':').Trim());
        else
            leftOver.Add(whole.TrimEnd());
    }

    private void ReadLine(string line, string plain, string whole, bool isAlone)
    {
        var heading = plain.TrimEnd(':').Trim();
        if (!isTitled && line.StartsWith(RecipeText.TitleMark, StringComparison.Ordinal))
            Title(line[RecipeText.TitleMark.Length..]);
        else if (line == RecipeText.ByHandLine)
            byHand = true;
        else if (line == RecipeText.OwnOrderLine)
            ownOrder = true;
        else if (!isTitled && line.StartsWith("# ", StringComparison.Ordinal))
            Title(line[2..].Trim());
        else if (RecipeText.Headed(plain) is { } own)
            sections.Add(new(UseOf(own.Kind), own.Name) { Work = own.Work, Moment = own.Moment });
        else if (RestOfListHeading(heading) is { } rest)
            ListHeaded(rest, whole);
        else if (PageWords.IsTold(plain))
            leftOver.Add(whole.TrimEnd());
        else if (IsHeading(line, plain) || (isAlone && IsAHeadingAlone(plain)))
            Headed(heading, isAlone || plain[^1] == ':');
        else if (IsTitle(line, plain))
            Title(heading);
        else if (IngredientIn(line) is { } read)
            Add(read);
        else
            leftOver.Add(whole.TrimEnd());
    }

    private void ListHeaded(string rest, string whole)
    {
        isTitled = true;
        if (Uses.OfHeading(InEnglish(rest)) is not null)
            Headed(rest, isMarked: true);
        else if (rest.Any(char.IsDigit))
            leftOver.Add(whole.TrimEnd());
    }

    private void Title(string name)
    {
        // "Baps | Makes 8 | Cook 15 min": what is told of them is no name.
        if (name.Split(" | ", 2) is [var alone, var told] && HoldsFigure(told))
        {
            leftOver.Add(told.Replace(" | ", "\n", StringComparison.Ordinal));
            name = alone;
        }
        (title, isTitled) = (PlainText.AsName(Recipe().Replace(name, "")), true);
    }

    [GeneratedRegex(@"^(?:recipe|rezept|recette|receta|ricetta)\s*:\s*", RegexOptions.IgnoreCase)]
    private static partial Regex Recipe();

    // The first line without an amount is the name, whatever it mentions.
    private bool IsTitle(string line, string plain)
    {
        if (isTitled || plain.Length > PlainText.LongestName || IsDoing(plain))
            return false;
        // "Honey loaf (for a 2 lb machine)" asks for nothing.
        var rows = LineReading.Of(InBrackets().Replace(line, ""), pantry, language);
        return !rows.Any(r => r.Mass is not null || r.Use != Use.Dough);
    }

    [GeneratedRegex(@"(?<=\p{L}\s*)\([^)]*\)")]
    private static partial Regex InBrackets();

    private void Headed(string heading, bool isMarked)
    {
        var use = Uses.OfHeading(InEnglish(heading));
        if (!isTitled && use is null or Use.Dough && !IsDoughHeading(heading))
        {
            Title(heading);
            return;
        }
        isTitled = true;
        // "For two loaves you need:" is no part of anything.
        if (use is null && !headsDough && sections.All(section => section.Lines.Count == 0))
            return;
        var name = PlainText.AsName(heading);
        sections.Add(use is null && isMarked ? new(null, name) { IsAsked = true } : new(use ?? Use.Dough, name));
    }

    private bool IsDoughHeading(string heading) => Uses.OfHeading(InEnglish(heading)) == Use.Dough;

    private void Add(ReadLine read)
    {
        isTitled = true;
        // "Ingredients for 30 breadsticks: 500 g flour, ..." tells how many.
        var label = read.Text[..Math.Max(0, read.Text.IndexOf(':', StringComparison.Ordinal))];
        if (PageWords.RestOfListHeading(label) is { } rest && rest.Any(char.IsDigit))
            leftOver.Add(label);
        sections[^1].Lines.Add(read);
    }

    // "To finish: 1 egg yolk beaten with milk": brushed on, whatever else goes on top.
    private static void Brush(List<ReadLine> lines)
    {
        for (var i = 0; i < lines.Count; i++)
            if (IsBeaten(lines[i].Rows))
                lines[i] = lines[i] with { Rows = [.. lines[i].Rows.Select(r => r with { Use = Use.Wash })] };

        static bool IsBeaten(ImmutableArray<ReadRow> rows) =>
            rows.Any(r => r.Role == Role.Egg)
            && rows.All(r => r is { Use: Use.Dough, Role: Role.Egg or Role.Liquid })
            && (rows.Length > 1 || rows[0].Preparation.Contains("beaten", StringComparison.OrdinalIgnoreCase));
    }

    // Rows in order of what they are for: the dough first, then each part under its heading.
    private ImmutableArray<ReadSection> Sections()
    {
        var made = ImmutableArray.CreateBuilder<ReadSection>();
        var dough = sections.Where(s => s.Use == Use.Dough).SelectMany(s => Only(s, Use.Dough)).ToImmutableArray();
        if (dough.Length > 0)
            made.Add(new(null, "", null, dough));
        foreach (var section in sections)
            foreach (var use in UsesIn(section))
            {
                var lines = Only(section, use).ToImmutableArray();
                if (use == Use.Serving)
                    leftOver.Insert(0, string.Join('\n', lines.Select(l => l.Text)));
                else
                    made.AddRange(Parts(section, use, lines));
            }
        return made.ToImmutable();
    }

    // What stands under a heading belongs together, but for what has a moment of its own; seeds and cheese among the rows of
    // the dough each go on by themselves.
    private static IEnumerable<ReadSection> Parts(Section section, Use use, ImmutableArray<ReadLine> lines)
    {
        var isOwn = section.Use == use || section.IsAsked;
        var apart = lines.Where(l => use == Use.Topping && (!isOwn || l.Rows.Any(r => r.Moment is not null))).ToImmutableArray();
        // A glaze of icing sugar is for bread that is cold.
        var iced = lines.Where(l => use == Use.Wash && IsIcing(l)).ToImmutableArray();
        if (iced.Length > 0 && isOwn)
            iced = lines;
        if (iced.Length > 0)
            yield return new(PartKind.Topping, "icing", section.Work, iced) { Moment = PartMoment.Cold };
        var together = lines.RemoveRange(apart).RemoveRange(iced);
        if (together.Length > 0)
            yield return new(
                KindOf(use),
                isOwn && section.Name.Length > 0 ? section.Name : NameOf(use, together),
                section.Work,
                together
            )
            {
                IsAsked = section.IsAsked && use == Use.Dough,
                Moment =
                    section.Moment ?? together.SelectMany(l => l.Rows).Select(r => r.Moment).FirstOrDefault(m => m is not null),
            };
        foreach (var row in apart.SelectMany(l => l.Rows.Select(r => l with { Rows = [r] })))
            yield return new(KindOf(use), row.Rows[0].Called ?? row.Rows[0].Ingredient, section.Work, [row])
            {
                Moment = row.Rows[0].Moment ?? section.Moment,
            };
    }

    private static IEnumerable<Use> UsesIn(Section section)
    {
        var uses = section.Lines.SelectMany(l => l.Rows).Select(r => InSection(r, section)).Distinct().Order();
        return section.IsAsked ? uses : uses.Where(u => u != Use.Dough);
    }

    private static IEnumerable<ReadLine> Only(Section section, Use use) =>
        section
            .Lines.Select(l =>
                l with
                {
                    Rows = [.. l.Rows.Where(r => InSection(r, section) == use).Select(r => LineReading.For(use, r))],
                }
            )
            .Where(l => l.Rows.Length > 0);

    // What a row says of itself comes before what its heading says.
    private static Use InSection(ReadRow row, Section section) =>
        row.Use != Use.Dough ? row.Use
        : section is { Use: Use.Wash, Work: null } && LineReading.IsStrewn(row.Ingredient) ? Use.Topping
        : section is { Use: Use.Topping, Work: null } && row.Role is Role.Egg or Role.Liquid && IsBrushed(section) ? Use.Wash
        : section.Use ?? Use.Dough;

    private static bool IsBrushed(Section section)
    {
        var rows = section.Lines.SelectMany(l => l.Rows).ToList();
        return rows.Any(r => r.Role == Role.Egg) && rows.All(IsOnACrust);
    }

    // An egg among seeds and sugar is brushed on; among leeks and cream it is the topping's own.
    private static bool IsOnACrust(ReadRow row) =>
        row.Use != Use.Dough
        || row.Role is Role.Egg or Role.Sugar or Role.Salt
        || (row.Role == Role.Liquid && row.Mass <= LineReading.MostInAWash)
        || LineReading.IsStrewn(row.Ingredient);

    private static PartKind? KindOf(Use use) =>
        use switch
        {
            Use.Filling => PartKind.Filling,
            Use.Topping => PartKind.Topping,
            Use.Wash => PartKind.Wash,
            Use.HotBrush => PartKind.Butter,
            Use.Bath => PartKind.Bath,
            Use.Surface => PartKind.Surface,
            _ => null,
        };

    private static Use UseOf(PartKind kind) => Enum.GetValues<Use>().First(u => KindOf(u) == kind);

    private static bool IsIcing(ReadLine line) => line.Rows.Any(r => r.Ingredient == "icing sugar");

    private static string NameOf(Use use, ImmutableArray<ReadLine> lines) =>
        use switch
        {
            Use.Filling => "filling",
            Use.Topping => "topping",
            Use.Wash => "wash",
            Use.HotBrush => lines.Any(l => l.Rows.Any(r => r.Role == Role.Fat)) ? "butter" : "glaze",
            Use.Bath => "bath",
            Use.Surface => "surface",
            _ => "",
        };

    internal static string Unmarked(string line) => line.TrimStart('#', ' ', '*', '=', '_', '|').TrimEnd(' ', '*', '=', '_', '|');

    private static bool IsMarked(string line) =>
        line.Length > 0
        && (
            line[0] == '#'
            || (
                line.StartsWith("**", StringComparison.Ordinal)
                && line.EndsWith("**", StringComparison.Ordinal)
                && line.Length > 4
            )
        );

    private static bool BeginsTheRest(string line, string plain)
    {
        var heading = plain.TrimEnd(':').Trim();
        if (heading == RecipeText.NotesMark)
            return IsMarked(line) || plain[^1] == ':';
        return PageWords.HeadsMethod(heading) || PageWords.HeadsNutrition(plain);
    }

    // "For the filling:", "Topping", "**Glaze**".
    private bool IsHeading(string line, string plain)
    {
        if (plain.Any(char.IsDigit) || plain.Length > PlainText.LongestName)
            return false;
        if (IsMarked(line) || plain[^1] == ':')
            return true;
        var words = Phrase.Split(plain).ToList();
        if (words.Count is 0 or > 4)
            return false;
        var english = InEnglish(plain);
        var isToDo = Phrase.Split(english).FirstOrDefault() is "for" or "to";
        var use = Uses.OfHeading(english);
        var isPart = words.Count <= (isTitled ? 2 : 1) && use is not (null or Use.HotBrush) && (isTitled || use != Use.Dough);
        // "Butter for the tin" is a row: something the pantry knows stands in it.
        return (isToDo || isPart) && !LineReading.Of(plain, pantry, language).Any(r => r.Known);
    }

    // "Garlic butter", a blank line before it and amounts under it: what they are for.
    private bool IsAHeadingAlone(string plain) =>
        isTitled
        && !plain.Any(c => char.IsDigit(c) || c is ',' or '.')
        && Phrase.Split(plain).Count() <= 4
        && !IsDoing(plain)
        && (Uses.OfHeading(InEnglish(plain)) is not null || !LineReading.Of(plain, pantry, language).Any(r => r.Known));

    // "For the garlic butter", amounts under it.
    private bool IsWhatRowsAreFor(string plain, string? next) =>
        next is not null
        && ForWhat().IsMatch(InEnglish(plain))
        && Uses.Of($" {InEnglish(plain)}").Use is null
        && IngredientIn(next) is { Rows: [{ Known: true, Mass: not null }, ..] };

    [GeneratedRegex(@"^(?:for|to)\s", RegexOptions.IgnoreCase)]
    private static partial Regex ForWhat();

    private string InEnglish(string words) => language.Put(words).Text;

    // "300ml warm water" tells of water, "1 Warm the milk" what to do.
    private static bool IsDoing(string line) =>
        Phrase.Split(line).SkipWhile(w => w.All(char.IsDigit)).FirstOrDefault() is { } first
        && char.IsLetter(first[0])
        && Doing.Contains(Composed.Folded(first))
        && !WarmIsHow().IsMatch(line);

    [GeneratedRegex(@"^\s*\d[^.)]*\swarm\s", RegexOptions.IgnoreCase)]
    private static partial Regex WarmIsHow();

    // "4 personnes" tells how many it feeds.
    [GeneratedRegex(
        @"^\s*\d{1,3}(?:\s*[-–]\s*\d{1,3})?\s+(?:person(?:s|nes|as|e|en)?|people|servings?|portion(?:s|en)?"
            + @"|porciones|porzioni|raciones|Stück|pi[eè]ces?|pezzi|piezas|unidades|rolls|buns|Brötchen)\.?\s*$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Feeds();

    // A line that asks for something: an amount of it, or at least a thing the pantry knows and few words. What tells what to do
    // asks for nothing.
    private ReadLine? IngredientIn(string line)
    {
        if (Listed(line) is { } list)
            return list;
        if (line.Length > LineGrammar.LongestLine)
            return null;
        var isLabelled = line.IndexOf(':', StringComparison.Ordinal) is > 0 and < 40;
        if ((IsDoing(line) && !isLabelled) || Feeds().IsMatch(line) || IsTelling(line))
            return null;
        var rows = LineReading.Of(line, pantry, language);
        if (rows.Length == 0)
            return null;
        if (rows.Any(r => r.Mass is not null && (r.Known || !IsSentence(line))))
            return new(line, rows);
        // What a label says is no part of what it asks for.
        var asked = isLabelled ? line[(line.IndexOf(':', StringComparison.Ordinal) + 1)..] : line;
        // "Sesame seeds: to taste." is no sentence.
        var isNamed = isLabelled && IsNamed(line[..line.IndexOf(':', StringComparison.Ordinal)]);
        var isShort = Phrase.Split(asked).Count() <= MostWords && (isNamed || !IsSentence(line));
        var asks = rows.Any(r => r.Role is not null) || BeginsWithNumber(line);
        return asks && isShort ? new(line, rows) : null;
    }

    // "Into the pan: milk, eggs, salt. Run the dough programme. Shape 12 rolls of 75 g."
    private static bool IsTelling(string line) =>
        !BeginsWithNumber(line) && EndOfSentence().IsMatch(line) && Phrase.Split(line).Count() > MostWords;

    // A longer line without an amount is no ingredient. Ours.
    private const int MostWords = 9;

    // "q.b.", as much as it takes, ends no sentence.
    private static bool IsSentence(string line) =>
        line[^1] == '.' && !line.EndsWith(".b.", StringComparison.OrdinalIgnoreCase) && Phrase.Split(line).Count() > 4;

    private static bool BeginsWithNumber(string line) =>
        line.TrimStart('-', '*', '•', '+', ' ', '[', ']', '(') is { Length: > 0 } rest
        && (char.IsDigit(rest[0]) || LineGrammar.Vulgars.ContainsKey(rest[0]));

    // "2. Shape it" is a step.
    private static bool BeginsWithAmount(string line) => BeginsWithNumber(line) && !Numbered().IsMatch(line);

    [GeneratedRegex(@"^\s*\d{1,2}[.)]\s")]
    private static partial Regex Numbered();

    /// <summary>Whether a printed row reads as a row again.</summary>
    internal static bool IsPlainRow(string line, HouseholdPantry pantry)
    {
        var reader = new RecipeReader(pantry, RecipeLanguage.English) { isTitled = true };
        return !line.Contains(':', StringComparison.Ordinal)
            && !reader.IsHeading(line, Unmarked(line))
            && reader.IngredientIn(line) is { Rows: [{ Use: Use.Dough, IsOptional: false, Instead: null }] };
    }

    // "Dough: 3 cups flour; 1 tsp salt; 1 egg", "500 g flour, 300 ml water, 10 g salt, seeds": what each of them asks for; null
    // where it is no list.
    private ReadLine? Listed(string line)
    {
        if (line.AsSpan().IndexOfAny(Between) < 0 || line.Length > LongestList)
            return null;
        var colon = line.IndexOf(':', StringComparison.Ordinal);
        var label = colon is > 0 and < 40 ? line[..(colon + 1)] : "";
        var told = Items().Split(line[label.Length..].TrimEnd(' ', '.', ';')).Select(i => i.Trim()).ToList();
        if (told.Count(HoldsFigure) < FewestListed)
            return null;
        var items = new List<string>();
        foreach (var item in told.Select(AsAsked))
            // How a thing is, is no other thing.
            if (items.Count == 0 || HoldsFigure(item) || IsNamed(item))
                items.Add(item);
            else
                items[^1] += $", {item}";
        var amounts = items.Where(HoldsFigure).ToList();
        if (amounts.Count(IsNamed) is var known && (known < FewestListed || known * 2 <= amounts.Count))
            return null;
        if (PageWords.RestOfListHeading(label.TrimEnd(':').Trim()) is not null)
            label = "";
        return new(line, [.. items.SelectMany(item => LineReading.Of($"{label} {item}".Trim(), pantry, language))]);
    }

    // "rub in 30 g lard" asks for lard.
    private string AsAsked(string item) =>
        !IsNamed(item) && item.IndexOfAny(Figures) is > 0 and var at && IsNamed(item[at..]) ? item[at..] : item;

    private static readonly char[] Figures = [.. "0123456789", .. LineGrammar.Vulgars.Keys];

    private static bool HoldsFigure(string item) => item.IndexOfAny(Figures) >= 0;

    private bool IsNamed(string item) =>
        item.Length is > 0 and <= LineGrammar.LongestLine
        && Phrase.Split(item).Any(w => !Naming.Manner.Contains(w))
        && LineReading.Of(item, pantry, language) is [{ Known: true }, ..];

    // Of fewer amounts a line tells one thing otherwise; and a whole list of ingredients is no longer. Ours.
    private const int FewestListed = 3,
        LongestList = 1000;

    private static readonly System.Buffers.SearchValues<char> Between = System.Buffers.SearchValues.Create(";,·•");

    [GeneratedRegex(@"(?:[;·•]|,(?=\s)|\s(?:and|und|et|y|e)\s(?=\d))(?![^(]*\))")]
    private static partial Regex Items();

    // A row and what follows in the same line: "20 g melted butter. Rise until it has doubled."
    private IEnumerable<string> Sentences(string line)
    {
        var isRow =
            EndOfSentence().Match(line) is { Success: true } end
            && IsDoing(line[(end.Index + 2)..])
            && IngredientIn(line[..end.Index].Trim()) is { } read
            && read.Rows.Any(r => r is { Known: true, Mass: not null });
        if (!isRow)
            return [line];
        var at = EndOfSentence().Match(line).Index;
        return [line[..at], line[(at + 2)..]];
    }

    [GeneratedRegex(@"(?<=\p{Ll}{2}|\))\. (?=\p{Lu})")]
    private static partial Regex EndOfSentence();
}
