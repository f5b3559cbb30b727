// The house begins anew: with a copy that is to take the book's place, or with what was merged into it.
namespace JollyKnot.Server.Copying;

/// <summary>Outlives one run of the house, and tells the next which book to open.</summary>
public sealed class PutBack
{
    private string? copy;

    /// <summary>Whether the house is to begin anew when it has stopped.</summary>
    public bool IsWanted { get; private set; }

    /// <summary>Stops the house as soon as its answer is out, to begin anew.</summary>
    /// <param name="asked">The call that asks for it.</param>
    /// <param name="house">The house.</param>
    /// <param name="with">A copy to take the book's place; null for the book as it is.</param>
    public void Begin(HttpContext asked, IHostApplicationLifetime house, string? with = null)
    {
        ArgumentNullException.ThrowIfNull(asked);
        ArgumentNullException.ThrowIfNull(house);
        (IsWanted, copy) = (true, with);
        asked.Response.OnCompleted(() =>
        {
            house.StopApplication();
            return Task.CompletedTask;
        });
    }

    /// <summary>The house begins: the copy to begin with, null for the book as it is.</summary>
    public string? Take()
    {
        IsWanted = false;
        return Interlocked.Exchange(ref copy, null);
    }
}
