// The folder everything is kept in: one server at a time, and a plain word where it cannot be used.
using System.Globalization;
using Microsoft.Data.Sqlite;

namespace JollyKnot.Store;

/// <summary>The household's folder.</summary>
/// <param name="path">Where it lies.</param>
public sealed class Folder(string path) : IDisposable
{
    private FileStream? held;

    /// <summary>Where it lies.</summary>
    public string Path { get; } = System.IO.Path.GetFullPath(path);

    /// <summary>The book.</summary>
    public string Book => In("jolly-knot.db");

    /// <summary>Bytes of the book, with the log beside it.</summary>
    public long Size => new[] { Book, Book + "-wal" }.Where(File.Exists).Sum(file => new FileInfo(file).Length);

    /// <summary>Copies of the book, one a day.</summary>
    public string Copies => In("copies");

    /// <summary>What was put away when a copy took its place.</summary>
    public string Aside => In("set-aside");

    /// <summary>Pictures of bread, one a bake.</summary>
    public string Photos => In("photos");

    /// <summary>How far the book was told.</summary>
    public string HowFar => In("how-far.txt");

    private string Lock => In("in-use.lock");

    private string Who => In("in-use.txt");

    private string In(string name) => System.IO.Path.Combine(Path, name);

    /// <summary>Holds the folder until this is disposed, or the process ends in whatever way.</summary>
    /// <exception cref="NotOurBookException">Another server holds it, or nothing can be written there.</exception>
    public void Hold()
    {
        try
        {
            Directory.CreateDirectory(Path);
            held ??= new FileStream(Lock, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
            SayWho();
        }
        catch (UnauthorizedAccessException)
        {
            throw new NotOurBookException(
                $"Nothing can be written in {Path}. Give another folder with --data, or make it yours."
            );
        }
        catch (IOException) when (held is null && File.Exists(Who))
        {
            throw new NotOurBookException(
                $"Another Jolly Knot has {Path} open ({ReadWho()}). Use that one, or give another folder with --data."
            );
        }
        catch (IOException trouble)
        {
            throw new NotOurBookException($"{Path} cannot be used: {trouble.Message}");
        }
    }

    private void SayWho() =>
        File.WriteAllText(Who, string.Create(CultureInfo.InvariantCulture, $"process {Environment.ProcessId}"));

    /// <summary>Whether something can be written there now.</summary>
    public bool IsWritable()
    {
        try
        {
            SayWho();
            return true;
        }
        catch (Exception failed) when (failed is IOException or UnauthorizedAccessException)
        {
            return false;
        }
    }

    /// <summary>Nobody else on this machine reads the book; what SQLite lays beside it is as closed.</summary>
    public void Close()
    {
        if (!OperatingSystem.IsWindows() && File.Exists(Book))
            File.SetUnixFileMode(Book, UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }

    private string ReadWho()
    {
        try
        {
            return File.ReadAllText(Who).Trim();
        }
        catch (IOException)
        {
            return "nobody knows which";
        }
    }

    /// <summary>What a failure of the file means for whoever starts the server.</summary>
    /// <param name="trouble">What SQLite says.</param>
    public NotOurBookException Said(SqliteException trouble)
    {
        ArgumentNullException.ThrowIfNull(trouble);
        var what = trouble.SqliteErrorCode switch
        {
            SQLitePCL.raw.SQLITE_NOTADB => "is no book of Jolly Knot",
            SQLitePCL.raw.SQLITE_CORRUPT => "is damaged",
            SQLitePCL.raw.SQLITE_READONLY or SQLitePCL.raw.SQLITE_CANTOPEN => "cannot be written",
            SQLitePCL.raw.SQLITE_FULL => "has no room left on its disk",
            _ => $"cannot be opened: {trouble.Message}",
        };
        return Cannot(what);
    }

    /// <summary>What a book says whose pages do not hang together.</summary>
    public NotOurBookException Damaged() => Cannot("is damaged");

    private NotOurBookException Cannot(string what) =>
        new($"{Book} {what}. Nothing was changed. Copies lie in {Copies}; ./jolly restore FILE puts one in its place.");

    /// <inheritdoc/>
    public void Dispose() => held?.Dispose();
}
