// Copies of the book: made while it is written to, checked, kept by day and by month; and one put back in its place.
using System.Collections.Immutable;
using System.Globalization;
using Microsoft.Data.Sqlite;

namespace JollyKnot.Store;

/// <summary>A copy of the book.</summary>
/// <param name="Name">Its file.</param>
/// <param name="At">When it was made.</param>
/// <param name="Size">Bytes.</param>
public sealed record Copy(string Name, DateTimeOffset At, long Size);

/// <summary>The copies of a household's book.</summary>
/// <param name="folder">Its folder.</param>
public sealed class Copies(Folder folder)
{
    // A copy a day for two weeks, and the first of each month for a year. Ours.
    private const int Days = 14,
        Months = 12;

    private const string Daily = "yyyy-MM-dd";

    private static readonly Lock Making = new();

    /// <summary>All there are, the newest first.</summary>
    public ImmutableArray<Copy> All =>
        Directory.Exists(folder.Copies)
            ? [.. new DirectoryInfo(folder.Copies).GetFiles("*.db").Select(Of).OrderByDescending(c => c.At)]
            : [];

    /// <summary>Books that a copy took the place of, the newest first.</summary>
    public ImmutableArray<Copy> Aside =>
        Directory.Exists(folder.Aside)
            ?
            [
                .. new DirectoryInfo(folder.Aside)
                    .GetDirectories()
                    .SelectMany(then => then.GetFiles("*.db"))
                    .Select(file => Of(file) with { Name = file.Directory!.Name })
                    .OrderByDescending(c => c.Name, StringComparer.Ordinal),
            ]
            : [];

    /// <summary>The file of a copy, or of a book set aside, by its name; null when there is none.</summary>
    /// <param name="name">As in <see cref="All"/> or <see cref="Aside"/>.</param>
    public string? FileNamed(string name) =>
        All.Any(c => c.Name == name) ? Path.Combine(folder.Copies, name)
        : Aside.Any(c => c.Name == name) ? Path.Combine(folder.Aside, name, Path.GetFileName(folder.Book))
        : null;

    private static Copy Of(FileInfo file) => new(file.Name, file.LastWriteTimeUtc, file.Length);

    /// <summary>Whether today has its copy.</summary>
    /// <param name="now">Now.</param>
    public bool HasOf(DateTimeOffset now) => File.Exists(FileOf(NameOf(now)));

    /// <summary>Makes the day's copy anew.</summary>
    /// <param name="now">Now.</param>
    /// <exception cref="NotOurBookException">What was written does not read as a whole book.</exception>
    public Copy Make(DateTimeOffset now)
    {
        var made = Make(NameOf(now));
        foreach (var old in Superfluous())
            File.Delete(FileOf(old.Name));
        return made;
    }

    private static string NameOf(DateTimeOffset now) => now.ToString(Daily, CultureInfo.InvariantCulture);

    private string FileOf(string name) =>
        Path.Combine(folder.Copies, name.EndsWith(".db", StringComparison.Ordinal) ? name : name + ".db");

    /// <summary>Makes a copy of a name.</summary>
    /// <param name="name">Without what files end with.</param>
    /// <exception cref="NotOurBookException">What was written does not read as a whole book.</exception>
    public Copy Make(string name)
    {
        lock (Making)
        {
            Directory.CreateDirectory(folder.Copies);
            var (half, whole) = (FileOf(name) + ".half", FileOf(name));
            File.Delete(half);
            Write(folder.Book, half);
            // A half-written copy never has a copy's name.
            File.Move(half, whole, overwrite: true);
            return Of(new FileInfo(whole));
        }
    }

    // Days and months that are old enough to go; what has another name is the baker's own.
    private IEnumerable<Copy> Superfluous()
    {
        var dated = All.Where(c => DateTime.TryParseExact(c.Name[..^3], Daily, null, DateTimeStyles.None, out _))
            .OrderByDescending(c => c.Name, StringComparer.Ordinal)
            .ToList();
        var months = dated.GroupBy(c => c.Name[..7]).Select(month => month.Last()).Take(Months);
        return dated.Except(dated.Take(Days)).Except(months);
    }

    // SQLite's own online copy: it has all that was told, also what still lies in the log beside the book.
    private static void Write(string from, string to)
    {
        using (var source = Opened(from, SqliteOpenMode.ReadOnly))
        using (var target = Opened(to, SqliteOpenMode.ReadWriteCreate))
        {
            source.BackupDatabase(target);
            // One file, with no log beside it.
            Ask(target, "PRAGMA journal_mode=DELETE");
        }
        Check(to);
    }

    private static void Check(string file)
    {
        using var book = Opened(file, SqliteOpenMode.ReadOnly);
        if (Ask(book, "PRAGMA integrity_check") != "ok")
            throw new NotOurBookException($"{file} is damaged. Nothing was changed.");
    }

    /// <summary>Whether this version can open it: whole, and not of a newer one.</summary>
    /// <param name="file">The copy.</param>
    /// <exception cref="NotOurBookException">It is damaged, newer, or no book.</exception>
    public static void CheckCanOpen(string file)
    {
        try
        {
            Check(file);
            using var book = Opened(file, SqliteOpenMode.ReadOnly);
            var newest = Ask(book, "SELECT max(MigrationId) FROM __EFMigrationsHistory");
            if (string.CompareOrdinal(newest, JollyStore.NewestMigration) > 0)
                throw new NotOurBookException(
                    $"{file} was written by a newer Jolly Knot ({newest}). Start that one. Nothing was changed."
                );
        }
        catch (SqliteException trouble)
        {
            throw new NotOurBookException($"{file} is no book of Jolly Knot ({trouble.Message}). Nothing was changed.");
        }
    }

    private static string? Ask(SqliteConnection book, string question)
    {
        using var asked = book.CreateCommand();
#pragma warning disable CA2100 // Written here, never by anybody else.
        asked.CommandText = question;
#pragma warning restore CA2100
        return asked.ExecuteScalar() as string;
    }

    private static SqliteConnection Opened(string file, SqliteOpenMode mode)
    {
        var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder
            {
                DataSource = file,
                Mode = mode,
                Pooling = false,
            }.ToString()
        );
        connection.Open();
        return connection;
    }

    /// <summary>Puts a copy in the place of the book; the book and the log beside it are set aside, and can be put back the same
    /// way. No server may have the folder open.</summary>
    /// <param name="file">The copy.</param>
    /// <param name="now">Now.</param>
    /// <returns>Where the book that was lies; null where there was none.</returns>
    /// <exception cref="NotOurBookException">The copy is none, is damaged, or a server runs.</exception>
    public string? Restore(string file, DateTimeOffset now)
    {
        if (!File.Exists(file))
            throw new NotOurBookException($"There is no file {file}. Nothing was changed.");
        folder.Hold();
        // A line to the book that was, kept open for the next who asks, would go on writing to it.
        SqliteConnection.ClearAllPools();
        CheckCanOpen(file);
        var half = Fresh + ".half";
        File.Delete(half);
        Write(file, half);
        File.Move(half, Fresh, overwrite: true);
        var aside = SetAside(now);
        TakePlace();
        return aside;
    }

    // A whole copy that waits to take the place of the book.
    private string Fresh => folder.Book + ".new";

    // A book that comes from elsewhere was told what it was told.
    private void TakePlace()
    {
        File.Delete(folder.HowFar);
        File.Move(Fresh, folder.Book);
    }

    /// <summary>Ends what <see cref="Restore"/> began when the power went. The book is the first to be set aside: while it is
    /// there, nothing has happened; once it is gone, what lies beside it follows, and the copy takes its place.</summary>
    internal void FinishRestoring()
    {
        if (!File.Exists(Fresh))
            return;
        if (File.Exists(folder.Book))
        {
            File.Delete(Fresh);
            return;
        }
        if (Aside.FirstOrDefault() is { } then)
            Move(Path.Combine(folder.Aside, then.Name));
        TakePlace();
    }

    private static readonly ImmutableArray<string> Ends = ["", "-wal", "-shm"];

    // The book with the log beside it: the log of one would be played over the other.
    private string? SetAside(DateTimeOffset now)
    {
        if (!Beside.Any())
            return null;
        var aside = Path.Combine(folder.Aside, now.ToString("yyyy-MM-dd'T'HHmmss", CultureInfo.InvariantCulture));
        Directory.CreateDirectory(aside);
        Move(aside);
        return Path.Combine(aside, Path.GetFileName(folder.Book));
    }

    private IEnumerable<string> Beside => Ends.Select(end => folder.Book + end).Where(File.Exists);

    private void Move(string aside)
    {
        foreach (var file in Beside.ToList())
            File.Move(file, Path.Combine(aside, Path.GetFileName(file)));
    }
}
