using System.Collections.Immutable;
using JollyKnot.Core.Days;
using JollyKnot.Core.Plans;

namespace JollyKnot.Server.Day;

/// <summary>A plan on its way: the quick one at once, ever better ones, the best; and, when asked, what would save the
/// day.</summary>
internal sealed class DayPlanned : IDisposable
{
    private readonly CancellationTokenSource over = new();
    private volatile DayPlan now;

    public DayPlanned(ImmutableArray<DayBake> days, DateTimeOffset at, Closed closed, Kitchen kitchen, int most)
    {
        Large = DayPlan.IsLarge(days);
        now = DayPlan.Of(days, at, closed);
        var until = over.Token;
        Best = Task.Run(() => now = DayPlan.Best(days, at, closed, first: now, better: p => now = p, until: until));
        Fixes = new(() => Task.Run(() => DayChange.ThatWouldDo(days, kitchen, at, closed, most, until)));
    }

    public bool Large { get; }
    public Task Best { get; }
    public DayPlan Now => now;
    public Lazy<Task<ImmutableArray<DayChange>>> Fixes { get; }

    public void Dispose()
    {
        over.Cancel();
        over.Dispose();
    }
}
