using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
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
        services.AddSingleton(s => new DoughBook(s.GetRequiredService<IDbContextFactory<JollyDb>>()));
        services.AddSingleton(s => new BakeBook(s.GetRequiredService<IDbContextFactory<JollyDb>>()));
        services.AddSingleton(s => new Settings(s.GetRequiredService<IDbContextFactory<JollyDb>>()));
    }

    /// <summary>Brings the file up to this version. Write-ahead logging stays on from then; each commit reaches the disk.</summary>
    public async Task Open()
    {
        await using var db = await dbs.CreateDbContextAsync();
        await db.Database.MigrateAsync();
        await db.Database.ExecuteSqlRawAsync("PRAGMA journal_mode=WAL;");
    }

    /// <summary>Whether the file answers.</summary>
    public async Task<bool> IsReady()
    {
        await using var db = await dbs.CreateDbContextAsync();
        return await db.Settings.CountAsync() >= 0;
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

/// <summary>Single documents by name, such as the kitchen.</summary>
public sealed class Settings
{
    private readonly IDbContextFactory<JollyDb> dbs;

    internal Settings(IDbContextFactory<JollyDb> dbs) => this.dbs = dbs;

    /// <summary>The document of this name, or null.</summary>
    public async Task<T?> Get<T>(string key) where T : class
    {
        await using var db = await dbs.CreateDbContextAsync();
        return await db.Settings.FindAsync(key) is { } row ? JsonSerializer.Deserialize<T>(row.Document, Json.Documents) : null;
    }

    /// <summary>Keeps a document under this name.</summary>
    public async Task Set<T>(string key, T document)
    {
        await using var db = await dbs.CreateDbContextAsync();
        var text = JsonSerializer.Serialize(document, Json.Documents);
        if (await db.Settings.FindAsync(key) is { } row) row.Document = text;
        else db.Settings.Add(new() { Key = key, Document = text });
        await db.SaveChangesAsync();
    }
}
