using System.Collections.Immutable;
using System.Reflection;
using System.Security.Cryptography;
using System.Text;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;

namespace JollyKnot.Store;

/// <summary>The one file everything is kept in.</summary>
public sealed class JollyStore
{
    private readonly IDbContextFactory<JollyDb> dbs;
    private readonly Folder folder;
    private readonly Copies copies;
    private readonly HowFar howFar;

    internal JollyStore(IDbContextFactory<JollyDb> dbs, Folder folder, Copies copies, HowFar howFar) =>
        (this.dbs, this.folder, this.copies, this.howFar) = (dbs, folder, copies, howFar);

    /// <summary>Registers the store and its books; the file lies in the folder, which is made if need be.</summary>
    public static void AddTo(IServiceCollection services, string folder)
    {
        // Made by the container, which closes it with the server.
        services.AddSingleton(_ => new Folder(folder));
        services.AddSingleton<Photos>();
        services.AddSingleton<Copies>();
        var connection = new SqliteConnectionStringBuilder { DataSource = new Folder(folder).Book, ForeignKeys = true };
        services.AddSingleton<HowFar>();
        services.AddDbContextFactory<JollyDb>(
            (s, o) => o.UseSqlite(connection.ToString()).AddInterceptors(s.GetRequiredService<HowFar>())
        );
        services.AddSingleton(s => new JollyStore(
            s.GetRequiredService<IDbContextFactory<JollyDb>>(),
            s.GetRequiredService<Folder>(),
            s.GetRequiredService<Copies>(),
            s.GetRequiredService<HowFar>()
        ));
        services.AddSingleton<SetAside>();
        services.AddSingleton(s => new DoughBook(
            s.GetRequiredService<IDbContextFactory<JollyDb>>(),
            s.GetRequiredService<SetAside>()
        ));
        services.AddSingleton(s => new BakeBook(
            s.GetRequiredService<IDbContextFactory<JollyDb>>(),
            s.GetRequiredService<SetAside>(),
            s.GetService<Closer>()
        ));
        services.AddSingleton(s => new Archives(s.GetRequiredService<IDbContextFactory<JollyDb>>()));
        services.AddSingleton(s => new Settings(
            s.GetRequiredService<IDbContextFactory<JollyDb>>(),
            s.GetRequiredService<SetAside>()
        ));
    }

    /// <summary>The last change of the file's shape that this version knows.</summary>
    internal static string NewestMigration { get; } =
        typeof(JollyDb)
            .Assembly.GetTypes()
            .Select(t => t.GetCustomAttribute<MigrationAttribute>()?.Id)
            .OfType<string>()
            .Max(StringComparer.Ordinal)!;

    /// <summary>Brings the file up to this version. Write-ahead logging stays on from then; each commit reaches the
    /// disk.</summary>
    /// <exception cref="NotOurBookException">A newer version wrote the file, another server has it, or it cannot be used. It is
    /// left as it is.</exception>
    public async Task Open()
    {
        folder.Hold();
        copies.FinishRestoring();
        howFar.CheckIsThere();
        try
        {
            await Opened();
        }
        catch (SqliteException trouble)
        {
            throw folder.Said(trouble);
        }
    }

    private async Task Opened()
    {
        await using var db = await dbs.CreateDbContextAsync();
        if ((await Ask(db, "PRAGMA quick_check(1)")) is not ["ok"])
            throw folder.Damaged();
        var (known, applied) = (db.Database.GetMigrations().ToList(), await Applied(db));
        if (applied.Except(known).FirstOrDefault() is { } newer)
            throw new NotOurBookException(
                $"This book was written by a newer Jolly Knot ({newer}). Start that one, or put back a copy made before. "
                    + "Nothing was changed."
            );
        if (known.Except(applied).Any())
        {
            if (applied.Count > 0)
                copies.Make($"before-{known[^1]}");
            await db.Database.MigrateAsync();
        }
        await Ask(db, "PRAGMA journal_mode=WAL");
        folder.Close();
        await howFar.Compare(db);
        await FoldWords(db);
    }

    // How words are folded for searching and sorting; raised, those of every dough are folded anew.
    private const int Folding = 1;

    private static async Task FoldWords(JollyDb db)
    {
        if ((await Ask(db, "PRAGMA user_version"))[0] == $"{Folding}")
            return;
        foreach (var row in await db.Doughs.ToListAsync())
            if (Kinds.Dough.Read(row.Document).Has(out var dough))
                row.Words = DoughBook.WordsOf(dough);
        await db.SaveChangesAsync();
        await Ask(db, $"PRAGMA user_version={Folding}");
    }

    private static async Task<List<string>> Applied(JollyDb db)
    {
        const string history = "__EFMigrationsHistory";
        var isNew = (await Ask(db, $"SELECT name FROM sqlite_master WHERE name = '{history}'")).Count == 0;
        return isNew ? [] : await Ask(db, $"SELECT MigrationId FROM {history}");
    }

    // The first column of what a question finds. Asked without the mapper, which takes its time the first time.
    private static async Task<List<string>> Ask(JollyDb db, string question)
    {
        await db.Database.OpenConnectionAsync();
        await using var command = db.Database.GetDbConnection().CreateCommand();
#pragma warning disable CA2100 // Written here, never by anybody else.
        command.CommandText = question;
#pragma warning restore CA2100
        await using var reader = await command.ExecuteReaderAsync();
        var found = new List<string>();
        while (await reader.ReadAsync())
            found.Add(reader.GetValue(0).ToString() ?? "");
        return found;
    }

    /// <summary>Whether the file answers.</summary>
    public async Task<bool> IsReady()
    {
        await using var db = await dbs.CreateDbContextAsync();
        return (await Ask(db, "SELECT count(*) FROM Settings")).Count == 1;
    }

    /// <summary>Whether nothing was ever kept.</summary>
    public async Task<bool> IsEmpty()
    {
        await using var db = await dbs.CreateDbContextAsync();
        return (await Ask(db, "SELECT Id FROM Bakes UNION ALL SELECT Id FROM Doughs LIMIT 1")).Count == 0;
    }

    /// <summary>What is kept, in short: the same text as long as nobody told, changed or kept anything.</summary>
    /// <param name="except">Settings that do not count.</param>
    public async Task<string> Held(ImmutableArray<string> except)
    {
        await using var db = await dbs.CreateDbContextAsync();
        var things = await Ask(
            db,
            """
            SELECT Id FROM Bakes
            UNION ALL SELECT Id FROM Events
            UNION ALL SELECT Id || Version || ifnull(DeletedAt, '') FROM Doughs
            ORDER BY 1
            """
        );
        var settings = await Ask(db, "SELECT Key || ' ' || Document FROM Settings ORDER BY 1");
        var all = things.Concat(settings.Where(s => !except.Contains(s.Split(' ')[0])));
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(string.Join('\n', all))));
    }

    /// <summary>Forgets everything. Only for the demo, where nobody told anything.</summary>
    /// <param name="except">Settings that stay.</param>
    public async Task Clear(ImmutableArray<string> except)
    {
        await using var db = await dbs.CreateDbContextAsync();
        await using var all = await db.Database.BeginTransactionAsync();
        await db.Events.ExecuteDeleteAsync();
        await db.Bakes.ExecuteDeleteAsync();
        await db.DoughVersions.ExecuteDeleteAsync();
        await db.Doughs.ExecuteDeleteAsync();
        await db.Settings.Where(s => !except.Contains(s.Key)).ExecuteDeleteAsync();
        await all.CommitAsync();
        await howFar.Note(db);
    }
}

/// <summary>The file cannot be opened by this version; the message says why and what to do, in one sentence or two.</summary>
public sealed class NotOurBookException(string message) : Exception(message);
