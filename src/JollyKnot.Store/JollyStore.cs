using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace JollyKnot.Store;

/// <summary>The one file everything is kept in.</summary>
public sealed class JollyStore
{
    private readonly IDbContextFactory<JollyDb> dbs;

    internal JollyStore(IDbContextFactory<JollyDb> dbs) => this.dbs = dbs;

    /// <summary>Registers the store and its books; the file lies in the folder, which is made if need be.</summary>
    public static void AddTo(IServiceCollection services, string folder)
    {
        Directory.CreateDirectory(folder);
        var connection = new SqliteConnectionStringBuilder { DataSource = Path.Combine(folder, "jolly-knot.db"), ForeignKeys = true };
        services.AddDbContextFactory<JollyDb>(o => o.UseSqlite(connection.ToString()));
        services.AddSingleton(s => new JollyStore(s.GetRequiredService<IDbContextFactory<JollyDb>>()));
        services.AddSingleton<SetAside>();
        services.AddSingleton(s => new DoughBook(s.GetRequiredService<IDbContextFactory<JollyDb>>(), s.GetRequiredService<SetAside>()));
        services.AddSingleton(s => new BakeBook(s.GetRequiredService<IDbContextFactory<JollyDb>>(), s.GetRequiredService<SetAside>(), s.GetService<Closer>()));
        services.AddSingleton(s => new Settings(s.GetRequiredService<IDbContextFactory<JollyDb>>(), s.GetRequiredService<SetAside>()));
    }

    /// <summary>Brings the file up to this version. Write-ahead logging stays on from then; each commit reaches the disk.</summary>
    /// <exception cref="NotOurBookException">A newer version wrote the file. It is left as it is.</exception>
    public async Task Open()
    {
        await using var db = await dbs.CreateDbContextAsync();
        var newer = (await db.Database.GetAppliedMigrationsAsync()).Except(db.Database.GetMigrations()).ToList();
        if (newer.Count > 0) throw new NotOurBookException($"This book was written by a newer Jolly Knot ({newer[0]}). Start that one, or put back a copy made before. Nothing was changed.");
        await db.Database.MigrateAsync();
        await db.Database.ExecuteSqlRawAsync("PRAGMA journal_mode=WAL;");
        await FoldWords(db);
    }

    // How words are folded for searching and sorting; raised, those of every dough are folded anew.
    private const int Folding = 1;

    private static async Task FoldWords(JollyDb db)
    {
        if (await db.Database.SqlQueryRaw<int>("SELECT user_version AS Value FROM pragma_user_version").SingleAsync() >= Folding) return;
        foreach (var row in await db.Doughs.ToListAsync())
            if (Kinds.Dough.Read(row.Document).Has(out var dough)) row.Words = DoughBook.WordsOf(dough);
        await db.SaveChangesAsync();
        await db.Database.ExecuteSqlRawAsync($"PRAGMA user_version={Folding}");
    }

    /// <summary>Whether the file answers.</summary>
    public async Task<bool> IsReady()
    {
        await using var db = await dbs.CreateDbContextAsync();
        return await db.Settings.CountAsync() >= 0;
    }

    /// <summary>Whether nothing was ever kept.</summary>
    public async Task<bool> IsEmpty()
    {
        await using var db = await dbs.CreateDbContextAsync();
        return !await db.Bakes.AnyAsync() && !await db.Doughs.AnyAsync();
    }

    /// <summary>What is kept, in short: the same text as long as nobody told, changed or kept anything.</summary>
    /// <param name="except">Settings that do not count.</param>
    public async Task<string> Held(ImmutableArray<string> except)
    {
        await using var db = await dbs.CreateDbContextAsync();
        var bakes = await db.Bakes.Select(b => b.Id).OrderBy(id => id).ToListAsync();
        var events = await db.Events.Select(e => e.Id).OrderBy(id => id).ToListAsync();
        var doughs = await db.Doughs.OrderBy(d => d.Id).Select(d => $"{d.Id} {d.Version} {d.DeletedAt}").ToListAsync();
        var settings = await db.Settings.OrderBy(s => s.Key).Where(s => !except.Contains(s.Key)).Select(s => s.Document).ToListAsync();
        var all = string.Join('\n', bakes.Concat(events).Select(id => id.ToString()).Concat(doughs).Concat(settings));
        return Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(all)));
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
    }
}

/// <summary>The file cannot be opened by this version; the message says why and what to do, in one sentence or two.</summary>
public sealed class NotOurBookException(string message) : Exception(message);
