// A day made as good as can be by a constraint solver, one aim after the other, from the plan that is there.

namespace JollyKnot.Core.Days;

/// <summary>Improves a day and says whether it can be improved further. </summary>
internal static class DaySolver
{
    // More bakes than this are improved a few at a time, with so much effort each. After measured days.
    public const int Whole = 6;
    private const int AtATime = 5,
        Anyhow = 60;
    private const double EffortForSome = .02;

    /// <summary>Whether a day is improved a few bakes at a time.</summary>
    /// <param name="day">The day.</param>
    public static bool InParts(DayBlocks day) => Open(day).Count > Whole;

    private static List<int> Open(DayBlocks day) => [.. day.Blocks.Where(b => b.Fixed is null).Select(b => b.Bake).Distinct()];

    /// <summary>The best starts found, and whether every aim is proven.</summary>
    /// <param name="day">The day.</param>
    /// <param name="first">Starts that keep every rule; or not, then they only give the horizon.</param>
    /// <param name="before">Where blocks were before, so that what need not move stays; null when nothing was.</param>
    /// <param name="effort">Deterministic seconds for each aim; over 0. The same effort gives the same plan.</param>
    /// <param name="better">Told of better starts on the way.</param>
    /// <param name="until">Stops it; what was found until then is given.</param>
    public static (int[] Starts, bool Proven) Improve(
        DayBlocks day,
        int[] first,
        int?[]? before,
        double effort,
        Action<int[]>? better,
        CancellationToken until
    ) =>
        InParts(day)
            ? (PartByPart(day, first, before, int.MaxValue, better, until), false)
            : new DayModel(day, first).Solve(first, before, effort, better, until);

    /// <summary>Better starts of a large day: so many parts of it are tried, and only what spoils bread or keeps people waiting
    /// counts.</summary>
    /// <param name="day">The day.</param>
    /// <param name="first">Starts that keep every rule.</param>
    /// <param name="parts">How many parts; over 0. The same number gives the same plan.</param>
    public static int[] Hurry(DayBlocks day, int[] first, int parts) => PartByPart(day, first, null, parts, null, default, true);

    private static int[] PartByPart(
        DayBlocks day,
        int[] starts,
        int?[]? before,
        int parts,
        Action<int[]>? better,
        CancellationToken until,
        bool onlyHurt = false
    ) => new Parts(day, starts, before, better, until).Improved(parts, onlyHurt);

    // A large day, a few of its bakes at a time.
    private sealed class Parts(DayBlocks day, int[] starts, int?[]? before, Action<int[]>? better, CancellationToken until)
    {
        private readonly List<int> open = Open(day);
        private DayAims best = DayAims.Of(day, starts);
        private int[] starts = starts;
        private int taken;

        // As long as one part of it helped, from the start again.
        public int[] Improved(int parts, bool onlyHurt)
        {
            var helped = true;
            while (helped && parts > 0 && !until.IsCancellationRequested)
            {
                helped = false;
                foreach (var part in All(onlyHurt))
                {
                    if (parts-- <= 0 || until.IsCancellationRequested)
                        break;
                    helped |= Helps(part);
                }
            }
            return starts;
        }

        private bool Helps(Part part)
        {
            var (found, _) = new DayModel(day, starts, part.Free, part.OnlyHurt).Solve(
                starts,
                before,
                EffortForSome,
                null,
                until
            );
            var then = DayAims.Of(day, found);
            if (then >= best)
                return false;
            (starts, best) = (found, then);
            better?.Invoke(starts);
            return true;
        }

        // Bakes that may move; and whether only what spoils bread or keeps people waiting counts.
        private sealed record Part(int[] Free, bool OnlyHurt);

        // What is late first, with what is beside it; then neighbours in time, and any few.
        private IEnumerable<Part> All(bool onlyHurt)
        {
            foreach (var late in open.Where(i => LateBy(i) > 0).OrderByDescending(LateBy).ToList())
            {
                var beside = Neighbours()
                    .Where(w => w.Contains(late))
                    .Concat(Any(Anyhow / 10).Select(c => c.Append(late).Distinct().ToArray()));
                foreach (var some in beside)
                    yield return new(some, true);
            }
            if (onlyHurt)
                yield break;
            foreach (var some in Neighbours().Concat(Any(Anyhow)))
                yield return new(some, false);
        }

        private int LateBy(int bake) =>
            day.Wanted[bake] is { } wanted ? day.Ready[bake].Max(r => starts[r.Block] + r.Minutes) - wanted : 0;

        private int Begins(int bake) =>
            Enumerable.Range(0, starts.Length).Where(b => day.Blocks[b].Bake == bake).Min(b => starts[b]);

        // Those that begin one after the other.
        private List<int[]> Neighbours()
        {
            var inTime = open.OrderBy(Begins).ToArray();
            return [.. Enumerable.Range(0, open.Count - AtATime + 1).Select(i => inTime[i..(i + AtATime)])];
        }

        // Strides that go through all of them in another order each.
        private IEnumerable<int[]> Any(int times)
        {
            for (var i = 0; i < times; i++)
            {
                var k = taken++;
                int[] strides = [k, k * 3 + k / open.Count + 1, k * 5 + 2];
                yield return [.. strides.Select(n => open[n % open.Count]).Distinct()];
            }
        }
    }
}
