using JollyKnot.Server.Day;

namespace JollyKnot.Server.Tests;

/// <summary>A plan that failed is not in the way of the next.</summary>
public sealed class LastOfTests
{
    private sealed class Made : IDisposable
    {
        public bool Over { get; private set; }

        public void Dispose() => Over = true;
    }

    [Fact]
    public void What_failed_leaves_what_was_there_and_the_next_is_made()
    {
        var last = new LastOf<Made>();
        var first = last.For("lunch", () => new Made());
        last.For("lunch", () => throw new InvalidOperationException("Made twice.")).ShouldBeSameAs(first);
        Should.Throw<OverflowException>(() => last.For("the year 9999", () => throw new OverflowException()));
        first.Over.ShouldBeFalse();
        last.For("lunch", () => new Made()).ShouldBeSameAs(first);

        var second = last.For("supper", () => new Made());
        (first.Over, second.Over).ShouldBe((true, false));
        last.Forget();
        second.Over.ShouldBeTrue();
        last.For("supper", () => new Made()).ShouldNotBeSameAs(second);
    }
}
