// Everything a household keeps, as one document; and such a document merged into a book, with nothing doubled.
using System.Collections.Immutable;
using System.Text.Json.Nodes;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Steps;
using Microsoft.EntityFrameworkCore;

namespace JollyKnot.Store;

/// <summary>A version of a dough.</summary>
/// <param name="Version">From 1.</param>
/// <param name="SavedAt">When.</param>
/// <param name="Dough">In its envelope, as kept.</param>
public sealed record ArchivedVersion(int Version, DateTimeOffset SavedAt, JsonNode Dough);

/// <summary>A dough with all its versions, the oldest first.</summary>
/// <param name="Id">Its own.</param>
/// <param name="PutAwayAt">When it was put away; null when it is not.</param>
/// <param name="Versions">At least one.</param>
public sealed record ArchivedDough(Guid Id, DateTimeOffset? PutAwayAt, ImmutableArray<ArchivedVersion> Versions);

/// <summary>Something told of a bake.</summary>
/// <param name="Id">Made by whoever told it.</param>
/// <param name="Position">From 1, without gaps.</param>
/// <param name="ToldAt">When.</param>
/// <param name="Event">In its envelope, as kept.</param>
public sealed record ArchivedEvent(Guid Id, int Position, DateTimeOffset ToldAt, JsonNode Event);

/// <summary>A bake: its plan and its log.</summary>
/// <param name="Id">Its own.</param>
/// <param name="CreatedAt">When it was laid out.</param>
/// <param name="ClosedAt">When it was over; null while it is not.</param>
/// <param name="Plan">In its envelope, as kept.</param>
/// <param name="Closed">As it was when it closed, in its envelope; null while it is open.</param>
/// <param name="Events">In order.</param>
public sealed record ArchivedBake(
    Guid Id,
    DateTimeOffset CreatedAt,
    DateTimeOffset? ClosedAt,
    JsonNode Plan,
    JsonNode? Closed,
    ImmutableArray<ArchivedEvent> Events
);

/// <summary>A single document, such as the kitchen.</summary>
/// <param name="Name">Its own.</param>
/// <param name="Document">In its envelope, as kept.</param>
public sealed record ArchivedSetting(string Name, JsonNode Document);

/// <summary>Everything.</summary>
/// <param name="Format">The version of this shape.</param>
/// <param name="WrittenAt">When.</param>
/// <param name="Doughs">All, also those put away.</param>
/// <param name="Bakes">All.</param>
/// <param name="Settings">All but what opens the door and what the clock stands by.</param>
public sealed record Archive(
    int Format,
    DateTimeOffset WrittenAt,
    ImmutableArray<ArchivedDough> Doughs,
    ImmutableArray<ArchivedBake> Bakes,
    ImmutableArray<ArchivedSetting> Settings
)
{
    /// <summary>The version that is written, and the newest that is read.</summary>
    public const int CurrentFormat = 1;
}

/// <summary>What came of merging.</summary>
/// <param name="Doughs">Doughs that are new here.</param>
/// <param name="Versions">Versions that are new to doughs that were here.</param>
/// <param name="Bakes">Bakes that are new here.</param>
/// <param name="Events">Events that are new to bakes that were here.</param>
/// <param name="Settings">Single documents taken.</param>
/// <param name="Kept">Ids of bakes told differently in both; they stay as they were here.</param>
/// <param name="Unread">What this version cannot read; it was left out.</param>
public sealed record Merged(
    int Doughs,
    int Versions,
    int Bakes,
    int Events,
    int Settings,
    ImmutableArray<Guid> Kept,
    ImmutableArray<string> Unread
)
{
    /// <summary>Something was taken.</summary>
    public bool IsAnything => Doughs + Versions + Bakes + Events + Settings > 0;
}

/// <summary>Writes and merges archives.</summary>
public sealed class Archives
{
    private readonly IDbContextFactory<JollyDb> dbs;

    internal Archives(IDbContextFactory<JollyDb> dbs) => this.dbs = dbs;

    private static DateTimeOffset Utc(DateTime at) => new(DateTime.SpecifyKind(at, DateTimeKind.Utc));

    private static JsonNode Node(string document) => JsonNode.Parse(document)!;

    /// <summary>Everything, or one dough, or one bake.</summary>
    /// <param name="now">Now.</param>
    /// <param name="without">Settings that stay here.</param>
    /// <param name="only">The id of the one dough or bake; null for everything.</param>
    public async Task<Archive> Read(DateTimeOffset now, ImmutableArray<string> without, Guid? only = null)
    {
        await using var db = await dbs.CreateDbContextAsync();
        var versions = (
            await db.DoughVersions.AsNoTracking().Where(v => only == null || v.DoughId == only).ToListAsync()
        ).ToLookup(v => v.DoughId);
        var doughs = await db.Doughs.AsNoTracking().Where(d => only == null || d.Id == only).OrderBy(d => d.Id).ToListAsync();
        var events = (await db.Events.AsNoTracking().Where(e => only == null || e.BakeId == only).ToListAsync()).ToLookup(e =>
            e.BakeId
        );
        var bakes = await db
            .Bakes.AsNoTracking()
            .Where(b => only == null || b.Id == only)
            .OrderBy(b => b.CreatedAt)
            .ThenBy(b => b.Id)
            .ToListAsync();
        var settings = only is null ? await db.Settings.AsNoTracking().OrderBy(s => s.Key).ToListAsync() : [];
        return new(
            Archive.CurrentFormat,
            now,
            [.. doughs.Select(d => Of(d, versions[d.Id]))],
            [.. bakes.Select(b => Of(b, events[b.Id]))],
            [.. settings.Where(s => !without.Contains(s.Key)).Select(s => new ArchivedSetting(s.Key, Node(s.Document)))]
        );
    }

    private static ArchivedDough Of(DoughRow dough, IEnumerable<DoughVersionRow> versions) =>
        new(
            dough.Id,
            dough.DeletedAt is { } away ? Utc(away) : null,
            [.. versions.OrderBy(v => v.Version).Select(v => new ArchivedVersion(v.Version, Utc(v.SavedAt), Node(v.Document)))]
        );

    private static ArchivedBake Of(BakeRow bake, IEnumerable<EventRow> events) =>
        new(
            bake.Id,
            Utc(bake.CreatedAt),
            bake.ClosedAt is { } over ? Utc(over) : null,
            Node(bake.Document),
            bake.Closed is { } closed ? Node(closed) : null,
            [.. events.OrderBy(e => e.Position).Select(e => new ArchivedEvent(e.Id, e.Position, Utc(e.ToldAt), Node(e.Document)))]
        );

    /// <summary>Merges an archive into the book, by id: all of it or, where it fails, nothing. What was kept in memory is not
    /// told; the house is to begin anew after it.</summary>
    /// <param name="archive">Of this format.</param>
    public async Task<Merged> Merge(Archive archive)
    {
        ArgumentNullException.ThrowIfNull(archive);
        await using var db = await dbs.CreateDbContextAsync();
        await using var all = await db.Database.BeginTransactionAsync();
        var wasEmpty = !await db.Doughs.AnyAsync() && !await db.Bakes.AnyAsync();
        var merging = new Merging(db);
        foreach (var dough in archive.Doughs)
            await merging.Take(dough);
        foreach (var bake in archive.Bakes)
            await merging.Take(bake);
        foreach (var setting in archive.Settings)
            await merging.Take(setting, wasEmpty);
        await db.SaveChangesAsync();
        await all.CommitAsync();
        return merging.Sum;
    }

    private sealed class Merging(JollyDb db)
    {
        private readonly ImmutableArray<Guid>.Builder kept = ImmutableArray.CreateBuilder<Guid>();
        private readonly ImmutableArray<string>.Builder unread = ImmutableArray.CreateBuilder<string>();
        private int doughs,
            versions,
            bakes,
            events,
            settings;

        internal Merged Sum => new(doughs, versions, bakes, events, settings, kept.ToImmutable(), unread.ToImmutable());

        internal async Task Take(ArchivedDough theirs)
        {
            var there = await db.DoughVersions.AsNoTracking().Where(v => v.DoughId == theirs.Id).ToListAsync();
            var known = there.Select(v => Same(v.Document)).ToHashSet(StringComparer.Ordinal);
            var missing = theirs.Versions.Where(v => IsMissing(theirs.Id, v, known)).ToList();
            if (missing.Count == 0)
                return;
            var row = await db.Doughs.FindAsync(theirs.Id);
            doughs += row is null ? 1 : 0;
            versions += row is null ? 0 : missing.Count;
            var newestHere = there.Select(v => v.SavedAt).DefaultIfEmpty(DateTime.MinValue).Max();
            row ??= db.Doughs.Add(Empty(theirs)).Entity;
            foreach (var version in missing)
            {
                Add(row, version);
                if (version.SavedAt.UtcDateTime < newestHere)
                    continue;
                newestHere = version.SavedAt.UtcDateTime;
                MakeCurrent(row, version);
            }
        }

        // It can be read, and no version here says the same.
        private bool IsMissing(Guid dough, ArchivedVersion version, HashSet<string> known)
        {
            var text = version.Dough.ToJsonString();
            return IsRead(Kinds.Dough.Read(text), $"dough {dough} {version.Version}") && !known.Contains(Same(text));
        }

        private void Add(DoughRow row, ArchivedVersion version) =>
            db.DoughVersions.Add(
                new()
                {
                    DoughId = row.Id,
                    Version = ++row.Version,
                    Document = version.Dough.ToJsonString(),
                    SavedAt = version.SavedAt.UtcDateTime,
                }
            );

        private static void MakeCurrent(DoughRow row, ArchivedVersion version)
        {
            row.Document = version.Dough.ToJsonString();
            row.UpdatedAt = version.SavedAt.UtcDateTime;
            var dough = Kinds.Dough.Read(row.Document).Value;
            row.Name = dough.Name;
            row.Words = DoughBook.WordsOf(dough);
        }

        private static DoughRow Empty(ArchivedDough theirs) =>
            new()
            {
                Id = theirs.Id,
                Name = "",
                Document = "",
                DeletedAt = theirs.PutAwayAt?.UtcDateTime,
            };

        // Two versions are the same where they say the same as this version writes it.
        private static string Same(string document) =>
            Kinds.Dough.Read(document) is var read && read.Has(out var dough) ? Kinds.Dough.Write(dough) : document;

        private bool IsRead<T>(Outcome<T> read, string what)
            where T : class
        {
            if (!read.IsOk)
                unread.Add(what);
            return read.IsOk;
        }

        internal async Task Take(ArchivedBake theirs)
        {
            var row = await db.Bakes.FindAsync(theirs.Id);
            var ours = await db.Events.AsNoTracking().Where(e => e.BakeId == theirs.Id).OrderBy(e => e.Position).ToListAsync();
            var theirIds = theirs.Events.Select(e => e.Id).ToList();
            var ourIds = ours.Select(e => e.Id).ToList();
            var same = ourIds.Zip(theirIds).All(pair => pair.First == pair.Second);
            if (row is not null && !same)
                kept.Add(theirs.Id);
            if (row is not null && (!same || theirIds.Count <= ourIds.Count))
                return;
            var taken = theirs.Events[ourIds.Count..];
            if (!await CanBeTaken(theirs, taken))
            {
                unread.Add($"bake {theirs.Id}");
                return;
            }
            bakes += row is null ? 1 : 0;
            events += row is null ? 0 : taken.Length;
            row ??= db.Bakes.Add(Planned(theirs)).Entity;
            (row.ClosedAt, row.Closed) = (theirs.ClosedAt?.UtcDateTime, theirs.Closed?.ToJsonString());
            db.Events.AddRange(taken.Select(e => Told(theirs.Id, e)));
        }

        // Whole, in order, readable, and with ids nobody else used.
        private async Task<bool> CanBeTaken(ArchivedBake theirs, ImmutableArray<ArchivedEvent> taken)
        {
            var rows = theirs.Events.Select(e => Told(theirs.Id, e)).ToList();
            var ids = taken.Select(e => e.Id).ToList();
            return rows.Select((e, i) => e.Position == i + 1).All(inOrder => inOrder)
                && ids.Distinct().Count() == ids.Count
                && !await db.Events.AnyAsync(e => ids.Contains(e.Id))
                && BakeBook.CanBeRead(Planned(theirs), rows);
        }

        private static BakeRow Planned(ArchivedBake bake) =>
            new()
            {
                Id = bake.Id,
                Document = bake.Plan.ToJsonString(),
                CreatedAt = bake.CreatedAt.UtcDateTime,
                ClosedAt = bake.ClosedAt?.UtcDateTime,
                Closed = bake.Closed?.ToJsonString(),
            };

        private static EventRow Told(Guid bake, ArchivedEvent told) =>
            new()
            {
                Id = told.Id,
                BakeId = bake,
                Position = told.Position,
                ToldAt = told.ToldAt.UtcDateTime,
                Document = told.Event.ToJsonString(),
            };

        // The kitchen here stays the kitchen here; one that has nothing yet takes theirs.
        internal async Task Take(ArchivedSetting theirs, bool instead)
        {
            var text = theirs.Document.ToJsonString();
            var row = await db.Settings.FindAsync(theirs.Name);
            if (row is not null && theirs.Name == Kinds.Larder.Name)
                text = Joined(row.Document, text);
            else if (row is not null && !instead)
                return;
            if (row?.Document == text)
                return;
            settings++;
            if (row is null)
                db.Settings.Add(new() { Key = theirs.Name, Document = text });
            else
                row.Document = text;
        }
    }

    // What lies in the cold there lies there for this book too, unless one of them cannot be read.
    private static string Joined(string ours, string theirs) =>
        Kinds.Larder.Read(ours).Has(out var here) && Kinds.Larder.Read(theirs).Has(out var there)
            ? Kinds.Larder.Write(here.JoinedWith(there))
            : ours;

    /// <summary>What of an archive is told of a bake, for tables.</summary>
    /// <param name="bake">One of an archive.</param>
    public static IEnumerable<(ArchivedEvent Told, BakeEvent Event)> Events(ArchivedBake bake)
    {
        ArgumentNullException.ThrowIfNull(bake);
        foreach (var told in bake.Events)
            if (Kinds.Event.Read(told.Event.ToJsonString()).Has(out var read))
                yield return (told, read);
    }
}
