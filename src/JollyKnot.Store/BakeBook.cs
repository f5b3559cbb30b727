using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Nodes;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using Microsoft.EntityFrameworkCore;

namespace JollyKnot.Store;

/// <summary>A bake as kept: its plan and its log.</summary>
/// <param name="Closed">The bake as it was when it closed; null while it is open.</param>
public sealed record StoredBake(Guid Id, DateTimeOffset CreatedAt, BakePlan Plan, BakeLog Log, ClosedBake? Closed = null);

/// <summary>A bake that is over, as the logbook has it.</summary>
public sealed record PastBake(Guid Id, ClosedBake Bake);

/// <summary>Keeps a bake that is over, with the words shown then.</summary>
public delegate ClosedBake Closer(BakeState over);

/// <summary>What became of an event that was told.</summary>
public abstract record Told
{
    /// <summary>It stands in the log, now or since it was first told.</summary>
    /// <param name="Position">Where.</param>
    /// <param name="Again">It had been told before; nothing changed.</param>
    public sealed record Kept(int Position, bool Again) : Told;

    /// <summary>Somebody else told something in between; nothing changed.</summary>
    /// <param name="Position">The log's end now.</param>
    public sealed record Conflict(int Position) : Told;

    /// <summary>The bake does not take it; nothing changed.</summary>
    public sealed record Refused(Problem Problem) : Told;

    /// <summary>There is no such bake.</summary>
    public sealed record Unknown : Told;
}

/// <summary>The household's bakes. Events are written by one path, one at a time.</summary>
public sealed class BakeBook : IDisposable
{
    private readonly IDbContextFactory<JollyDb> dbs;
    private readonly SetAside aside;
    private readonly Closer close;
    private readonly SemaphoreSlim writing = new(1);

    // One process owns the file, so what was read stays true until this writes.
    private readonly ConcurrentDictionary<Guid, StoredBake> read = new();
    private readonly ConcurrentDictionary<Guid, PastBake> past = new();

    // The bakes that are over, the latest first; null when that is to be asked anew.
    private volatile List<Guid>? over;

    internal BakeBook(IDbContextFactory<JollyDb> dbs, SetAside aside, Closer? close)
    {
        this.dbs = dbs;
        this.aside = aside;
        this.close = close ?? (over => ClosedBake.Of(over, "", step => step.Id.ToString()));
    }

    /// <summary>Called after a bake changed, with its id.</summary>
    public event Action<Guid>? Changed;

    /// <summary>A bake, or null; null too when it cannot be read, which <see cref="SetAside"/> says.</summary>
    public async Task<StoredBake?> Find(Guid id)
    {
        if (read.TryGetValue(id, out var known))
            return known;
        await using var db = await dbs.CreateDbContextAsync();
        return await Load(db, id);
    }

    /// <summary>Bakes that are not over, oldest first.</summary>
    public async Task<IReadOnlyList<StoredBake>> Open()
    {
        await using var db = await dbs.CreateDbContextAsync();
        var bakes = new List<StoredBake>();
        foreach (
            var id in await db
                .Bakes.AsNoTracking()
                .Where(b => b.ClosedAt == null)
                .OrderBy(b => b.CreatedAt)
                .Select(b => b.Id)
                .ToListAsync()
        )
            if (await Load(db, id) is { } bake)
                bakes.Add(bake);
        return bakes;
    }

    /// <summary>Bakes that are over as they were, the latest first. No log is read for it.</summary>
    /// <param name="most">At most so many.</param>
    public async Task<IReadOnlyList<PastBake>> Closed(int most)
    {
        var ids = (over ??= await Over()).Take(most).ToList();
        if (ids.Where(id => !past.ContainsKey(id)).ToList() is { Count: > 0 } unread)
            await Remember(unread);
        return [.. ids.Select(id => past.GetValueOrDefault(id)).OfType<PastBake>()];
    }

    /// <summary>Bakes that are over and are meant, the latest first. Every one is read for it, the first time.</summary>
    /// <param name="isMeant">Which.</param>
    /// <param name="most">At most so many.</param>
    public async Task<IReadOnlyList<PastBake>> Closed(Func<ClosedBake, bool> isMeant, int most) =>
        [.. (await Closed(int.MaxValue)).Where(b => isMeant(b.Bake)).Take(most)];

    private async Task<List<Guid>> Over()
    {
        await using var db = await dbs.CreateDbContextAsync();
        return await db
            .Bakes.AsNoTracking()
            .Where(b => b.ClosedAt != null && b.Closed != null)
            .OrderByDescending(b => b.ClosedAt)
            .Select(b => b.Id)
            .ToListAsync();
    }

    // Each is read from the disk once.
    private async Task Remember(List<Guid> unread)
    {
        await using var db = await dbs.CreateDbContextAsync();
        foreach (var row in await db.Bakes.AsNoTracking().Where(b => unread.Contains(b.Id)).ToListAsync())
            AsPast(row.Id, row.Closed!, out _);
    }

    private bool AsPast(Guid id, string document, out PastBake? bake)
    {
        var kept = Kinds.Closed.Read(document);
        bake = kept.Has(out var closed) ? past.GetOrAdd(id, new PastBake(id, closed)) : null;
        if (bake is null)
            aside.Add(new(Kinds.Closed.Name, $"{id}", "a bake that is over", kept.Problems[0]));
        return bake is not null;
    }

    /// <summary>Keeps bakes that were over before closed bakes were kept, as they are now.</summary>
    /// <param name="now">The time now.</param>
    /// <returns>How many.</returns>
    public async Task<int> CloseOld(DateTimeOffset now)
    {
        await using var db = await dbs.CreateDbContextAsync();
        var count = 0;
        foreach (var row in await db.Bakes.Where(b => b.ClosedAt != null && b.Closed == null).ToListAsync())
        {
            if (await Load(db, row.Id) is not { } bake)
                continue;
            var closed = close(BakeState.Of(bake.Plan, bake.Log, now));
            row.Closed = Kinds.Closed.Write(closed);
            read[row.Id] = bake with { Closed = closed };
            count++;
        }
        await db.SaveChangesAsync();
        this.over = null;
        return count;
    }

    /// <summary>When the last thing was told; null when nothing was.</summary>
    public async Task<DateTimeOffset?> LastTold()
    {
        await using var db = await dbs.CreateDbContextAsync();
        return await db.Events.MaxAsync(e => (DateTime?)e.ToldAt) is { } at
            ? new(DateTime.SpecifyKind(at, DateTimeKind.Utc))
            : null;
    }

    /// <summary>Keeps a new bake. Keeping it again changes nothing.</summary>
    /// <param name="id">Made by whoever laid it out.</param>
    /// <param name="plan">Its plan.</param>
    /// <param name="now">The time now.</param>
    /// <param name="log">What happened in it already, for a bake that comes from elsewhere; all of it is kept, or
    /// nothing.</param>
    /// <exception cref="ArgumentException">The bake would not take an event of the log.</exception>
    public async Task<StoredBake> Add(Guid id, BakePlan plan, DateTimeOffset now, BakeLog? log = null)
    {
        var told = new BakeLog([]);
        foreach (var entry in log?.Entries ?? [])
        {
            if (BakeRules.Refuses(BakeState.Of(plan, told, entry.At), entry.Event) is { } problem)
                throw new ArgumentException($"Event {entry.Position}: {problem.Code}", nameof(log));
            told = new(told.Entries.Add(entry));
        }
        // A bake that comes with its end is as it was then.
        var over = told.Position > 0 && BakeState.Of(plan, told, told.Entries[^1].At) is { IsOver: true } end ? end : null;
        await writing.WaitAsync();
        try
        {
            await using var db = await dbs.CreateDbContextAsync();
            if (await Load(db, id) is { } there)
                return there;
            db.Bakes.Add(
                new()
                {
                    Id = id,
                    Document = Kinds.Plan.Write(plan),
                    CreatedAt = now.UtcDateTime,
                    ClosedAt = over?.SoFar.Now.UtcDateTime,
                    Closed = over is null ? null : Kinds.Closed.Write(close(over)),
                }
            );
            db.Events.AddRange(
                told.Entries.Select(e => new EventRow
                {
                    Id = Guid.NewGuid(),
                    BakeId = id,
                    Position = e.Position,
                    ToldAt = e.At.UtcDateTime,
                    Document = Kinds.Event.Write(e.Event),
                })
            );
            await db.SaveChangesAsync();
            this.over = null;
        }
        finally
        {
            writing.Release();
        }
        Changed?.Invoke(id);
        return (await Find(id))!;
    }

    /// <summary>Changes the plan of a bake that has not begun.</summary>
    /// <returns>Whether it was changed: false when it has begun, is over, or is not there.</returns>
    public async Task<bool> Replan(Guid id, BakePlan plan, DateTimeOffset now)
    {
        await writing.WaitAsync();
        try
        {
            await using var db = await dbs.CreateDbContextAsync();
            if (await Load(db, id) is not { } stored || BakeState.Of(stored.Plan, stored.Log, now).Status != BakeStatus.Planned)
                return false;
            (await db.Bakes.SingleAsync(b => b.Id == id)).Document = Kinds.Plan.Write(plan);
            await db.SaveChangesAsync();
            this.over = null;
            read[id] = stored with { Plan = plan };
        }
        finally
        {
            writing.Release();
        }
        Changed?.Invoke(id);
        return true;
    }

    /// <summary>Tells an event. It is on disk before this returns <see cref="Told.Kept"/>.</summary>
    /// <param name="bake">The bake.</param>
    /// <param name="id">Made by whoever tells it; a repeat changes nothing.</param>
    /// <param name="basedOn">The log position the teller saw.</param>
    /// <param name="told">The event; without a time it happened now.</param>
    /// <param name="now">The time now.</param>
    public async Task<Told> Tell(Guid bake, Guid id, int basedOn, BakeEvent told, DateTimeOffset now)
    {
        await writing.WaitAsync();
        try
        {
            await using var db = await dbs.CreateDbContextAsync();
            if (await db.Events.AsNoTracking().FirstOrDefaultAsync(e => e.Id == id) is { } before)
                return before.BakeId == bake
                    ? new Told.Kept(before.Position, true)
                    : new Told.Refused(new Problem("id-used", "id"));
            if (await Load(db, bake) is not { } stored)
                return new Told.Unknown();
            if (stored.Log.Position != basedOn)
                return new Told.Conflict(stored.Log.Position);

            var dated = told with { At = told.At ?? now };
            var state = BakeState.Of(stored.Plan, stored.Log, now);
            if (BakeRules.Refuses(state, dated) is { } problem)
                return new Told.Refused(problem);
            dated = dated.Composed();
            var log = new BakeLog(stored.Log.Entries.Add(new(basedOn + 1, dated)));
            var after = BakeState.Of(stored.Plan, log, now);
            var closed =
                !after.IsOver ? null
                : dated is Reviewed anew && stored.Closed is { } was ? was.Judged(anew)
                : close(after);
            db.Events.Add(
                new()
                {
                    Id = id,
                    BakeId = bake,
                    Position = basedOn + 1,
                    ToldAt = now.UtcDateTime,
                    Document = Kinds.Event.Write(dated),
                }
            );
            var row = await db.Bakes.SingleAsync(b => b.Id == bake);
            row.ClosedAt = after.IsOver ? row.ClosedAt ?? dated.At?.UtcDateTime : null;
            row.Closed = closed is null ? null : Kinds.Closed.Write(closed);
            await db.SaveChangesAsync();
            this.over = null;
            read[bake] = stored with { Log = log, Closed = closed };
            past.TryRemove(bake, out _);
        }
        finally
        {
            writing.Release();
        }
        Changed?.Invoke(bake);
        return new Told.Kept(basedOn + 1, false);
    }

    /// <summary>An event as a page of an older version tells it, brought up to this one. One of this version stays as it
    /// is.</summary>
    /// <param name="told">The event.</param>
    /// <param name="version">The version it is of.</param>
    /// <param name="bake">The bake it is told to.</param>
    public static JsonNode BroughtUp(JsonNode told, int version, StoredBake bake)
    {
        ArgumentNullException.ThrowIfNull(bake);
        var spec = new Lazy<JsonNode>(() => JsonSerializer.SerializeToNode(bake.Plan.Spec, Json.Documents)!);
        return Kinds.Event.BroughtUp(
            told,
            version,
            (from, document) => from == 1 ? WeighInNames.InEvent(document, WeighInNames.Of(spec.Value)) : document
        );
    }

    /// <inheritdoc/>
    public void Dispose() => writing.Dispose();

    private async Task<StoredBake?> Load(JollyDb db, Guid id)
    {
        if (read.TryGetValue(id, out var known))
            return known;
        if (await db.Bakes.AsNoTracking().FirstOrDefaultAsync(b => b.Id == id) is not { } row)
            return null;
        var events = await db.Events.AsNoTracking().Where(e => e.BakeId == id).OrderBy(e => e.Position).ToListAsync();
        var made = Read(row, events);
        // A read that raced a write must not overwrite what the write put there.
        if (made.Has(out var bake))
            return read.GetOrAdd(id, bake);
        aside.Add(new(Kinds.Plan.Name, $"{id}", TitleOf(row.Document), made.Problems[0]));
        return null;
    }

    /// <summary>Whether a bake that comes from elsewhere can be read and shown.</summary>
    internal static bool CanBeRead(BakeRow row, List<EventRow> events) => Read(row, events).IsOk;

    // A bake as its rows have it; or why it cannot be read, or shown.
    private static Outcome<StoredBake> Read(BakeRow row, List<EventRow> events)
    {
        var kept = Kinds.Plan.Read(row.Document);
        if (!kept.Has(out var plan))
            return kept.Problems;
        var names = new Lazy<IReadOnlyList<string>>(() => WeighInNames.Of(Envelope.Open(row.Document).Document["spec"]!));
        var entries = ImmutableArray.CreateBuilder<Entry>(events.Count);
        foreach (var told in events)
        {
            var heard = Kinds.Event.Read(
                told.Document,
                (from, document) => from == 1 ? WeighInNames.InEvent(document, names.Value) : document
            );
            if (!heard.Has(out var @event))
                return new Problem("unreadable:event", "", told.Position, heard.Problems[0]);
            entries.Add(new(told.Position, @event));
        }
        var log = new BakeLog(entries.ToImmutable());
        var closed =
            row.Closed is null ? null
            : Kinds.Closed.Read(row.Closed) is var page && page.Has(out var was) ? was
            : null;
        var created = new DateTimeOffset(DateTime.SpecifyKind(row.CreatedAt, DateTimeKind.Utc));
        return CanBeShown(plan, log, created)
            ? new StoredBake(row.Id, created, plan, log, closed)
            : new Problem("unreadable:rules", "");
    }

    // Whatever is handed out can be shown: one odd row must not break a page for all others.
    private static bool CanBeShown(BakePlan plan, BakeLog log, DateTimeOffset at)
    {
        try
        {
            return BakeState.Of(plan, log, log.Entries.IsEmpty ? at : log.Entries[^1].At).Timetable.Slots.Length > 0;
        }
        catch (Exception odd)
            when (odd
                    is ArgumentException
                        or InvalidOperationException
                        or NullReferenceException
                        or OverflowException
                        or KeyNotFoundException
                        or IndexOutOfRangeException
            )
        {
            return false;
        }
    }

    // The dough's name, where that much can be read.
    private static string TitleOf(string document)
    {
        try
        {
            return Envelope.Open(document).Document["spec"]?["dough"]?["name"]?.GetValue<string>() ?? "a bake";
        }
        catch (Exception broken) when (broken is JsonException or InvalidOperationException)
        {
            return "a bake";
        }
    }
}
