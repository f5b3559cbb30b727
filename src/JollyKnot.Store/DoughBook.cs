using System.Collections.Concurrent;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using Microsoft.EntityFrameworkCore;

namespace JollyKnot.Store;

/// <summary>A dough in the book, at one of its versions.</summary>
/// <param name="Id">Made by whoever entered it.</param>
/// <param name="Version">1 when new, one more with each change.</param>
/// <param name="Dough">The dough.</param>
/// <param name="UpdatedAt">When this version was kept.</param>
public sealed record StoredDough(Guid Id, int Version, Dough Dough, DateTimeOffset UpdatedAt);

/// <summary>Part of the book.</summary>
/// <param name="Doughs">By name.</param>
/// <param name="Total">How many there are altogether.</param>
public sealed record DoughPart(IReadOnlyList<StoredDough> Doughs, int Total);

/// <summary>The household's doughs. Every version that was ever kept stays.</summary>
public sealed class DoughBook : IDisposable
{
    private readonly IDbContextFactory<JollyDb> dbs;
    private readonly SetAside aside;

    // One process owns the file, so what was read stays true until this writes.
    private readonly ConcurrentDictionary<Guid, StoredDough> read = new();

    // Two screens may keep the same dough at once; versions are counted one at a time.
    private readonly SemaphoreSlim writing = new(1);

    internal DoughBook(IDbContextFactory<JollyDb> dbs, SetAside aside)
    {
        this.dbs = dbs;
        this.aside = aside;
    }

    /// <summary>Doughs that were not put away, by name.</summary>
    /// <param name="search">Words that name or ingredients must hold, each of them; all doughs when empty.</param>
    /// <param name="skip">Leave out so many.</param>
    /// <param name="take">And then at most so many.</param>
    public async Task<DoughPart> List(string search, int skip, int take)
    {
        ArgumentNullException.ThrowIfNull(search);
        await using var db = await dbs.CreateDbContextAsync();
        var found = db.Doughs.AsNoTracking().Where(d => d.DeletedAt == null);
        foreach (var word in Composed.Folded(search).Split(' ', StringSplitOptions.RemoveEmptyEntries).Take(8))
            found = found.Where(d => d.Words.Contains(word));
        var rows = await found.OrderBy(d => d.Words).ThenBy(d => d.Id).Skip(skip).Take(take).ToListAsync();
        return new([.. rows.Select(Read).OfType<StoredDough>()], await found.CountAsync());
    }

    /// <summary>Names of all doughs that were not put away, or of those that were, in order.</summary>
    public async Task<IReadOnlyList<(Guid Id, string Name)>> Names(bool away = false)
    {
        await using var db = await dbs.CreateDbContextAsync();
        return
        [
            .. (
                await db
                    .Doughs.AsNoTracking()
                    .Where(d => d.DeletedAt != null == away)
                    .OrderBy(d => d.Words)
                    .Select(d => new { d.Id, d.Name })
                    .ToListAsync()
            ).Select(d => (d.Id, d.Name)),
        ];
    }

    /// <summary>A dough, also one that was put away; null when there never was one, or when it cannot be read, which <see
    /// cref="SetAside"/> says.</summary>
    public async Task<StoredDough?> Find(Guid id)
    {
        if (read.TryGetValue(id, out var known))
            return known;
        await using var db = await dbs.CreateDbContextAsync();
        if (await db.Doughs.FindAsync(id) is not { } row || Read(row) is not { } dough)
            return null;
        // What was kept meanwhile is newer.
        return read.AddOrUpdate(id, dough, (_, there) => there.Version > dough.Version ? there : dough);
    }

    /// <summary>Every version of a dough, the newest first; empty when there never was one.</summary>
    public async Task<IReadOnlyList<StoredDough>> Versions(Guid id)
    {
        await using var db = await dbs.CreateDbContextAsync();
        return
        [
            .. (await db.DoughVersions.AsNoTracking().Where(v => v.DoughId == id).OrderByDescending(v => v.Version).ToListAsync())
                .Select(v => Read(v.DoughId, v.Version, v.Document, v.SavedAt, $"version {v.Version} of a dough"))
                .OfType<StoredDough>(),
        ];
    }

    /// <summary>Keeps a dough: new under an id nobody used, else as that dough's next version. Saving what is already there
    /// changes nothing.</summary>
    public async Task<StoredDough> Save(Guid id, Dough dough, DateTimeOffset now) => (await SaveOver(null, id, dough, now))!;

    /// <summary>Keeps a dough as the next of the version it was made from; null, and nothing is kept, where another came after
    /// that one.</summary>
    /// <param name="version">The version it was made from; null over whatever is there.</param>
    public async Task<StoredDough?> SaveOver(int? version, Guid id, Dough dough, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(dough);
        await writing.WaitAsync();
        try
        {
            return await SaveAlone(version, id, dough, now);
        }
        finally
        {
            writing.Release();
        }
    }

    private async Task<StoredDough?> SaveAlone(int? version, Guid id, Dough dough, DateTimeOffset now)
    {
        await using var db = await dbs.CreateDbContextAsync();
        var text = Kinds.Dough.Write(dough);
        var row = await db.Doughs.FindAsync(id);
        if (
            row is not null
            && Kinds.Dough.Read(row.Document) is var kept
            && kept.Has(out var same)
            && Kinds.Dough.Write(same) == text
        )
        {
            row.DeletedAt = null;
            await db.SaveChangesAsync();
            return Read(row)!;
        }
        if (row is not null && version is { } of && row.Version != of)
            return null;
        if (row is null)
            db.Doughs.Add(
                row = new()
                {
                    Id = id,
                    Name = dough.Name,
                    Document = text,
                }
            );
        (row.Name, row.Document, row.Version, row.UpdatedAt, row.DeletedAt) = (
            dough.Name,
            text,
            row.Version + 1,
            now.UtcDateTime,
            null
        );
        row.Words = WordsOf(dough);
        db.DoughVersions.Add(
            new()
            {
                DoughId = id,
                Version = row.Version,
                Document = text,
                SavedAt = now.UtcDateTime,
            }
        );
        await db.SaveChangesAsync();
        return read[id] = Read(row)!;
    }

    /// <summary>Name and ingredients, folded: what a search looks through.</summary>
    internal static string WordsOf(Dough dough) =>
        Composed.Folded(string.Join(' ', dough.Everything.Select(r => r.Ingredient.Name).Prepend(dough.Name).Distinct()));

    /// <summary>Puts a dough away, or takes it out again. False when there is none.</summary>
    public async Task<bool> PutAway(Guid id, bool away, DateTimeOffset now)
    {
        await using var db = await dbs.CreateDbContextAsync();
        if (await db.Doughs.FindAsync(id) is not { } row)
            return false;
        row.DeletedAt = away ? now.UtcDateTime : null;
        await db.SaveChangesAsync();
        return true;
    }

    /// <inheritdoc/>
    public void Dispose() => writing.Dispose();

    private StoredDough? Read(DoughRow row) => Read(row.Id, row.Version, row.Document, row.UpdatedAt, row.Name);

    private StoredDough? Read(Guid id, int version, string document, DateTime at, string name)
    {
        var kept = Kinds.Dough.Read(document);
        if (kept.Has(out var dough))
            return new(id, version, dough, new(DateTime.SpecifyKind(at, DateTimeKind.Utc)));
        aside.Add(new(Kinds.Dough.Name, $"{id} {version}", name, kept.Problems[0]));
        return null;
    }
}
