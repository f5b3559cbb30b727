// Plaits are words: a repeating list of moves, each a strand crossing its neighbours, over or under.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using Superpower;
using Superpower.Model;
using Superpower.Parsers;

namespace JollyKnot.Core.Shaping;

/// <summary>One crossing of neighbours.</summary>
/// <param name="Place">The left one's place; 1 for the outermost on the left.</param>
/// <param name="LeftOver">The strand that comes from the left lies on top.</param>
public readonly record struct Crossing(int Place, bool LeftOver)
{
    /// <summary>The same seen in a mirror, of so many strands.</summary>
    public Crossing Mirrored(int strands) => new(strands - Place, !LeftOver);
}

/// <summary>A strand taken across its neighbours.</summary>
/// <param name="From">The place it lies in, counted from the left.</param>
/// <param name="To">The place it goes to.</param>
/// <param name="Over">For each neighbour it passes, in order: over it, or under.</param>
public sealed record Move(int From, int To, ImmutableArray<bool> Over)
{
    /// <summary>Over every neighbour on the way.</summary>
    public static Move AllOver(int from, int to) => new(from, to, [.. Enumerable.Repeat(true, Math.Abs(to - from))]);

    /// <summary>To the right.</summary>
    public bool Rightwards => To > From;

    /// <summary>The crossings it is made of, in order.</summary>
    public IEnumerable<Crossing> Crossings =>
        Over.Select((over, i) => Rightwards ? new Crossing(From + i, over) : new Crossing(From - 1 - i, !over));

    /// <summary>The same seen in a mirror, of so many strands.</summary>
    public Move Mirrored(int strands) => this with { From = strands + 1 - From, To = strands + 1 - To };

    /// <inheritdoc/>
    public bool Equals(Move? other) =>
        other is not null && From == other.From && To == other.To && Over.SequenceEqual(other.Over);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(From, To, Over.Length);
}

/// <summary>What a plait word amounts to.</summary>
/// <param name="Rounds">Times the word is worked until every strand lies where it began: the least common multiple of its
/// cycles.</param>
/// <param name="EveryStrandTravels">None just hangs there.</param>
/// <param name="SameWay">All strands go the same way, one after the other.</param>
/// <param name="HoldsTogether">No strand or group of strands lies on top of all the others throughout, so nothing can be lifted
/// off.</param>
public sealed record PlaitCheck(int Rounds, bool EveryStrandTravels, bool SameWay, bool HoldsTogether)
{
    /// <summary>A plait that can be baked.</summary>
    public bool IsGood => EveryStrandTravels && HoldsTogether;
}

/// <summary>A plait.</summary>
/// <param name="Strands">2 to <see cref="MostStrands"/>.</param>
/// <param name="Word">The moves that repeat; at least one.</param>
/// <param name="Lead">Moves made once before.</param>
public sealed record Plait(int Strands, ImmutableArray<Move> Word, ImmutableArray<Move> Lead = default)
{
    /// <summary>More no pair of hands plaits.</summary>
    public const int MostStrands = 8;

    /// <summary>The longest word.</summary>
    public const int MostMoves = 40;

    /// <summary>The usual plait of so many strands; null when there is none. Bakers' usage; places counted anew after each
    /// move.</summary>
    /// <param name="strands">2, 3, 4 or 6.</param>
    public static Plait? Usual(int strands) =>
        strands switch
        {
            2 => new(2, [Move.AllOver(1, 2)]),
            3 => new(3, [Move.AllOver(3, 2), Move.AllOver(1, 2)]),
            4 => new(4, [Move.AllOver(4, 2), Move.AllOver(1, 3), Move.AllOver(2, 3)]),
            6 => new(6, [Move.AllOver(2, 6), Move.AllOver(1, 3), Move.AllOver(5, 1), Move.AllOver(6, 4)], [Move.AllOver(6, 1)]),
            _ => null,
        };

    /// <summary>The same for a left hand, or for the half worked from the middle the other way.</summary>
    public Plait Mirrored =>
        new(
            Strands,
            [.. Word.Select(m => m.Mirrored(Strands))],
            Lead.IsDefault ? default : [.. Lead.Select(m => m.Mirrored(Strands))]
        );

    /// <summary>So many moves: the lead, then the word over and over.</summary>
    public IEnumerable<Move> Moves(int count) =>
        (Lead.IsDefault ? [] : Lead).Concat(Enumerable.Range(0, count).Select(i => Word[i % Word.Length])).Take(count);

    /// <summary>The strands from left to right before, and after each of these moves. Strands are numbered from the left as they
    /// begin.</summary>
    public static IEnumerable<ImmutableArray<int>> Orders(int strands, IEnumerable<Move> moves)
    {
        var order = Enumerable.Range(1, strands).ToImmutableArray();
        yield return order;
        foreach (var move in moves)
        {
            foreach (var crossing in move.Crossings)
                order = order
                    .SetItem(crossing.Place - 1, order[crossing.Place])
                    .SetItem(crossing.Place, order[crossing.Place - 1]);
            yield return order;
        }
    }

    /// <summary>What the word amounts to.</summary>
    public PlaitCheck Check()
    {
        var order = Orders(Strands, Word).Last();
        // Where the strand that began in each place ends up.
        var goes = Enumerable.Range(1, Strands).Select(s => order.IndexOf(s)).ToArray();
        var (rounds, longest) = (1L, 0);
        foreach (var cycle in Cycles(goes))
            (rounds, longest) = (Lcm(rounds, cycle), Math.Max(longest, cycle));
        // Over a whole repeat, who ever lies on whom.
        var on = new bool[Strands + 1, Strands + 1];
        var travels = new bool[Strands + 1];
        var now = Enumerable.Range(1, Strands).ToArray();
        for (var r = 0; r < rounds; r++)
            foreach (var crossing in Word.SelectMany(m => m.Crossings))
            {
                var (left, right) = (now[crossing.Place - 1], now[crossing.Place]);
                on[crossing.LeftOver ? left : right, crossing.LeftOver ? right : left] = true;
                travels[left] = travels[right] = true;
                (now[crossing.Place - 1], now[crossing.Place]) = (right, left);
            }
        return new(
            (int)rounds,
            Enumerable.Range(1, Strands).All(s => travels[s]),
            longest == Strands,
            Reaches(on, false) && Reaches(on, true)
        );
    }

    /// <summary>Reads a plait as typed: moves with commas between them, places counted from the left, such as <c>4 over 3 under
    /// 2, 1 over 2</c>.</summary>
    /// <param name="strands">2 to <see cref="MostStrands"/>.</param>
    /// <param name="text">The word.</param>
    /// <returns>The plait, or what is wrong with it, naming the move.</returns>
    public static Outcome<Plait> Read(int strands, string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (strands is < 2 or > MostStrands)
            return new Problem("out-of-range:between", "strands", 2, MostStrands);
        if (PlainText.CheckNote(text, "word") is { } bad)
            return bad;
        if (string.IsNullOrWhiteSpace(text))
            return new Problem("empty:move", "word");
        var read = MovesText.TryParse(text.Trim().ToLowerInvariant());
        if (!read.HasValue)
            return new Problem("unreadable:move", "word", Near(text.Trim(), read.ErrorPosition));
        if (read.Value.Length > MostMoves)
            return new Problem("too-long:moves", "word", MostMoves);
        var moves = ImmutableArray.CreateBuilder<Move>();
        foreach (var (from, steps) in read.Value)
        {
            var places = steps.Select(s => s.Place).Prepend(from).ToArray();
            if (places.Any(p => p < 1 || p > strands))
                return new Problem("unknown:place-of-strand", "word", moves.Count + 1, strands);
            var way = places[1] > from ? 1 : -1;
            if (places.Zip(places.Skip(1), (a, b) => b - a).Any(d => d != way))
                return new Problem("not-neighbours", "word", moves.Count + 1);
            moves.Add(new(from, places[^1], [.. steps.Select(s => s.Over)]));
        }
        return new Plait(strands, moves.ToImmutable());
    }

    private static readonly TextParser<bool> OverText = Span.EqualTo("over")
        .Value(true)
        .Try()
        .Or(Span.EqualTo("under").Value(false));
    private static readonly TextParser<int> PlaceText = Numerics
        .Integer.Where(s => s.Length <= 2)
        .Select(s => int.Parse(s.ToStringValue(), System.Globalization.CultureInfo.InvariantCulture));
    private static readonly TextParser<Unit> Space = Character.WhiteSpace.IgnoreMany();

    private static readonly TextParser<(int From, (bool Over, int Place)[] Steps)> MoveText =
        from place in PlaceText
        from steps in (from _ in Space.Try() from over in OverText from __ in Space from to in PlaceText select (over, to))
            .Try()
            .AtLeastOnce()
        select (place, steps);

    private static readonly TextParser<(int From, (bool Over, int Place)[] Steps)[]> MovesText = MoveText
        .AtLeastOnceDelimitedBy(Space.Then(_ => Character.In(',', ';').IgnoreThen(Space)).Try())
        .AtEnd();

    private static string Near(string text, Position at) =>
        text[Math.Clamp(at.Absolute, 0, Math.Max(0, text.Length - 1))..] is var rest && rest.Length > 12
            ? rest[..12] + "…"
            : rest;

    private static IEnumerable<int> Cycles(int[] goes)
    {
        var seen = new bool[goes.Length];
        for (var i = 0; i < goes.Length; i++)
        {
            var length = 0;
            for (var at = i; !seen[at]; at = goes[at])
                (seen[at], length) = (true, length + 1);
            if (length > 0)
                yield return length;
        }
    }

    // Whether strand 1 reaches every other by lying on, or being lain on: both together mean no group lies on top of the rest.
    private bool Reaches(bool[,] on, bool backwards)
    {
        var (reached, next) = (new HashSet<int> { 1 }, new Queue<int>([1]));
        while (next.TryDequeue(out var a))
            for (var b = 1; b <= Strands; b++)
                if ((backwards ? on[b, a] : on[a, b]) && reached.Add(b))
                    next.Enqueue(b);
        return reached.Count == Strands;
    }

    private static long Lcm(long a, long b)
    {
        var (x, y) = (a, b);
        while (y != 0)
            (x, y) = (y, x % y);
        return a / x * b;
    }
}
