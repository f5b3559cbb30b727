namespace JollyKnot.Server.Day;

/// <summary>The last thing that was made for a key; the one before it ends when the next is there.</summary>
/// <typeparam name="T">What is made.</typeparam>
internal sealed class LastOf<T>
    where T : class, IDisposable
{
    private readonly Lock @lock = new();
    private string? key;
    private T? last;

    /// <summary>What was made for this key last, or made now. When making fails, what was there stays.</summary>
    public T For(string wanted, Func<T> make)
    {
        lock (@lock)
        {
            if (last is not null && key == wanted)
                return last;
            var made = make();
            last?.Dispose();
            (key, last) = (wanted, made);
            return made;
        }
    }

    /// <summary>Ends it: whatever is asked for next is made anew.</summary>
    public void Forget()
    {
        lock (@lock)
        {
            last?.Dispose();
            last = null;
        }
    }
}
