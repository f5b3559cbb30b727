// The hands' minutes: when they are wanted, and when they are free again.
namespace JollyKnot.Core.Days;

/// <summary>For each minute of a day, by how many things hands are wanted then; nobody being there is one.</summary>
/// <param name="minutes">So many minutes are looked at.</param>
internal sealed class HandsTime(int minutes)
{
    private readonly byte[] wanted = new byte[minutes];

    /// <summary>Nothing is planned from this minute on.</summary>
    public int End => wanted.Length;

    /// <summary>Hands are wanted between these minutes.</summary>
    public void Take(int from, int to) => Mark(from, to, 1);

    /// <summary>They are not, after all.</summary>
    public void Give(int from, int to) => Mark(from, to, -1);

    /// <summary>The minute they are free again, if they are not all the time between these; null when they are.</summary>
    public int? BusyUntil(int from, int to)
    {
        var last = Math.Min(to, wanted.Length) - 1;
        while (last >= Math.Max(0, from) && wanted[last] == 0)
            last--;
        if (last < Math.Max(0, from))
            return null;
        while (last < wanted.Length && wanted[last] > 0)
            last++;
        return last;
    }

    private void Mark(int from, int to, int more)
    {
        for (var t = Math.Max(0, from); t < to && t < wanted.Length; t++)
            wanted[t] = (byte)(wanted[t] + more);
    }
}
