using Microsoft.EntityFrameworkCore;

namespace JollyKnot.Store;

/// <summary>Single documents by name, such as the kitchen.</summary>
public sealed class Settings
{
    private readonly IDbContextFactory<JollyDb> dbs;
    private readonly SetAside aside;

    internal Settings(IDbContextFactory<JollyDb> dbs, SetAside aside)
    {
        this.dbs = dbs;
        this.aside = aside;
    }

    /// <summary>The document of this kind; null when there is none, or none that can be read, which <see cref="SetAside"/>
    /// says.</summary>
    public async Task<T?> Get<T>(DocumentKind<T> kind)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        await using var db = await dbs.CreateDbContextAsync();
        if (await db.Settings.FindAsync(kind.Name) is not { } row)
            return null;
        var kept = kind.Read(row.Document);
        if (kept.Has(out var document))
            return document;
        aside.Add(new(kind.Name, kind.Name, kind.Name, kept.Problems[0]));
        return null;
    }

    /// <summary>Keeps a document of this kind. One that cannot be read is not overwritten but kept beside it.</summary>
    public async Task Set<T>(DocumentKind<T> kind, T document)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        await using var db = await dbs.CreateDbContextAsync();
        var text = kind.Write(document);
        if (await db.Settings.FindAsync(kind.Name) is not { } row)
            db.Settings.Add(new() { Key = kind.Name, Document = text });
        else
        {
            if (!kind.Read(row.Document).IsOk)
                db.Settings.Add(new() { Key = $"{kind.Name} set aside {Guid.NewGuid():N}", Document = row.Document });
            row.Document = text;
        }
        await db.SaveChangesAsync();
        aside.Remove(kind.Name, kind.Name);
    }
}
