// How far the book was told, in a small file beside it: a book that ends before that has lost something.
using System.Globalization;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace JollyKnot.Store;

/// <summary>What a book lost, as it was found.</summary>
/// <param name="Missing">How many entries and versions of doughs are missing at its end.</param>
/// <param name="LastAt">When the last entry that is there was told; null where there is none.</param>
public sealed record Lost(long Missing, DateTimeOffset? LastAt);

/// <summary>Notes how far the book was told after each change, and compares at the start. SQLite takes a log that was cut for one
/// that ended there, and says nothing.</summary>
/// <param name="folder">The household's.</param>
public sealed class HowFar(Folder folder) : SaveChangesInterceptor
{
    private readonly Lock noting = new();

    /// <summary>What the book had lost when it was opened; null where it was whole.</summary>
    public Lost? Lost { get; private set; }

    // Rows are only ever added to these, so that the last one's number says how many were told.
    private static async Task<long> Told(DbContext db) =>
        await db
            .Database.SqlQueryRaw<long>(
                """
                SELECT ifnull((SELECT max(rowid) FROM Events), 0) + ifnull((SELECT max(rowid) FROM DoughVersions), 0) AS Value
                """
            )
            .SingleAsync();

    private long Noted() =>
        File.Exists(folder.HowFar)
        && long.TryParse(File.ReadAllText(folder.HowFar), NumberStyles.None, CultureInfo.InvariantCulture, out var noted)
            ? noted
            : 0;

    /// <summary>Before the book is opened: one that is empty or gone, and was told something, is not begun anew
    /// unasked.</summary>
    /// <exception cref="NotOurBookException">It is.</exception>
    internal void CheckIsThere()
    {
        if (new FileInfo(folder.Book) is { Exists: true, Length: > 0 } || Noted() is not (> 0 and var noted))
            return;
        throw new NotOurBookException(
            $"{folder.Book} is empty or gone, though something was told to it ({noted} entries). "
                + $"Put a copy back with ./jolly restore FILE (they lie in {folder.Copies}), "
                + $"or take {folder.HowFar} away to begin anew."
        );
    }

    /// <summary>Once it is open: compares.</summary>
    internal async Task Compare(JollyDb db)
    {
        var missing = Noted() - await Told(db);
        if (missing <= 0)
            return;
        var last = await db.Events.MaxAsync(e => (DateTime?)e.ToldAt);
        Lost = new(missing, last is { } at ? new(DateTime.SpecifyKind(at, DateTimeKind.Utc)) : null);
    }

    /// <summary>Notes how far it is now.</summary>
    internal async Task Note(DbContext db)
    {
        var told = await Told(db);
        try
        {
            lock (noting)
                File.WriteAllText(folder.HowFar, told.ToString("D10", CultureInfo.InvariantCulture));
        }
        catch (Exception full) when (full is IOException or UnauthorizedAccessException)
        {
            // What is told is in the book. A note that is behind says nothing false.
        }
    }

    /// <inheritdoc/>
    public override async ValueTask<int> SavedChangesAsync(
        SaveChangesCompletedEventData eventData,
        int result,
        CancellationToken cancellationToken = default
    )
    {
        // Within something larger nothing is certain yet.
        if (eventData?.Context is { Database.CurrentTransaction: null } db)
            await Note(db);
        return result;
    }
}
