using System.Collections.Concurrent;
using System.Text.Json;
using JollyKnot.Core.Bakes;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Scheduling;
using Microsoft.EntityFrameworkCore;

namespace JollyKnot.Store;

/// <summary>A bake as kept: its plan and its log.</summary>
public sealed record StoredBake(Guid Id, DateTimeOffset CreatedAt, BakePlan Plan, BakeLog Log);

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
    private readonly SemaphoreSlim writing = new(1);
    // One process owns the file, so what was read stays true until this writes.
    private readonly ConcurrentDictionary<Guid, StoredBake> read = new();

    internal BakeBook(IDbContextFactory<JollyDb> dbs) => this.dbs = dbs;

    /// <summary>Called after a bake changed, with its id.</summary>
    public event Action<Guid>? Changed;

    /// <summary>A bake, or null.</summary>
    public async Task<StoredBake?> Find(Guid id)
    {
        if (read.TryGetValue(id, out var known)) return known;
        await using var db = await dbs.CreateDbContextAsync();
        return await Load(db, id);
    }

    /// <summary>Bakes that are not over, oldest first.</summary>
    public Task<IReadOnlyList<StoredBake>> Open() => Listed(b => b.Where(x => x.ClosedAt == null).OrderBy(x => x.CreatedAt));

    /// <summary>Bakes that are over, the latest first.</summary>
    /// <param name="most">At most so many.</param>
    public Task<IReadOnlyList<StoredBake>> Closed(int most) => Listed(b => b.Where(x => x.ClosedAt != null).OrderByDescending(x => x.ClosedAt).Take(most));

    /// <summary>When the last thing was told; null when nothing was.</summary>
    public async Task<DateTimeOffset?> LastTold()
    {
        await using var db = await dbs.CreateDbContextAsync();
        return await db.Events.MaxAsync(e => (DateTime?)e.ToldAt) is { } at ? new(DateTime.SpecifyKind(at, DateTimeKind.Utc)) : null;
    }

    /// <summary>Keeps a new bake. Keeping it again changes nothing.</summary>
    /// <param name="id">Made by whoever laid it out.</param>
    /// <param name="plan">Its plan.</param>
    /// <param name="now">The time now.</param>
    /// <param name="log">What happened in it already, for a bake that comes from elsewhere; all of it is kept, or nothing.</param>
    /// <exception cref="ArgumentException">The bake would not take an event of the log.</exception>
    public async Task<StoredBake> Add(Guid id, BakePlan plan, DateTimeOffset now, BakeLog? log = null)
    {
        var (past, over) = (new BakeLog([]), (DateTimeOffset?)null);
        foreach (var entry in log?.Entries ?? [])
        {
            if (BakeRules.Refuses(BakeState.Of(plan, past, entry.At), entry.Event) is { } problem) throw new ArgumentException($"Event {entry.Position}: {problem.Reason}", nameof(log));
            past = new(past.Entries.Add(entry));
        }
        if (past.Position > 0 && BakeState.Of(plan, past, now).Status is BakeStatus.Finished or BakeStatus.Stopped) over = past.Entries[^1].At;
        await writing.WaitAsync();
        try
        {
            await using var db = await dbs.CreateDbContextAsync();
            if (await Load(db, id) is { } there) return there;
            db.Bakes.Add(new() { Id = id, Document = JsonSerializer.Serialize(plan, Json.Documents), CreatedAt = now.UtcDateTime, ClosedAt = over?.UtcDateTime });
            db.Events.AddRange(past.Entries.Select(e => new EventRow
            {
                Id = Guid.NewGuid(),
                BakeId = id,
                Position = e.Position,
                ToldAt = e.At.UtcDateTime,
                Document = JsonSerializer.Serialize(e.Event, Json.Documents),
            }));
            await db.SaveChangesAsync();
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
            if (await Load(db, id) is not { } stored || BakeState.Of(stored.Plan, stored.Log, now).Status != BakeStatus.Planned) return false;
            (await db.Bakes.SingleAsync(b => b.Id == id)).Document = JsonSerializer.Serialize(plan, Json.Documents);
            await db.SaveChangesAsync();
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
                return before.BakeId == bake ? new Told.Kept(before.Position, true)
                    : new Told.Refused(new("id-used", "id", "This id was used for another bake."));
            if (await Load(db, bake) is not { } stored) return new Told.Unknown();
            if (stored.Log.Position != basedOn) return new Told.Conflict(stored.Log.Position);

            var dated = told with { At = told.At ?? now };
            var state = BakeState.Of(stored.Plan, stored.Log, now);
            if (BakeRules.Refuses(state, dated) is { } problem) return new Told.Refused(problem);
            dated = dated.Composed();
            var log = new BakeLog(stored.Log.Entries.Add(new(basedOn + 1, dated)));
            var over = BakeState.Of(stored.Plan, log, now).Status is BakeStatus.Finished or BakeStatus.Stopped;
            db.Events.Add(new() { Id = id, BakeId = bake, Position = basedOn + 1, ToldAt = now.UtcDateTime, Document = JsonSerializer.Serialize(dated, Json.Documents) });
            var row = await db.Bakes.SingleAsync(b => b.Id == bake);
            row.ClosedAt = over ? row.ClosedAt ?? dated.At?.UtcDateTime : null;
            await db.SaveChangesAsync();
            read[bake] = stored with { Log = log };
        }
        finally
        {
            writing.Release();
        }
        Changed?.Invoke(bake);
        return new Told.Kept(basedOn + 1, false);
    }

    /// <inheritdoc/>
    public void Dispose() => writing.Dispose();

    private async Task<IReadOnlyList<StoredBake>> Listed(Func<IQueryable<BakeRow>, IQueryable<BakeRow>> which)
    {
        await using var db = await dbs.CreateDbContextAsync();
        var bakes = new List<StoredBake>();
        foreach (var id in await which(db.Bakes.AsNoTracking()).Select(b => b.Id).ToListAsync())
            if (await Load(db, id) is { } bake) bakes.Add(bake);
        return bakes;
    }

    private async Task<StoredBake?> Load(JollyDb db, Guid id)
    {
        if (read.TryGetValue(id, out var known)) return known;
        if (await db.Bakes.AsNoTracking().FirstOrDefaultAsync(b => b.Id == id) is not { } row) return null;
        var events = await db.Events.AsNoTracking().Where(e => e.BakeId == id).OrderBy(e => e.Position).ToListAsync();
        var bake = new StoredBake(
            id, new(DateTime.SpecifyKind(row.CreatedAt, DateTimeKind.Utc)),
            PlanDocuments.Read(row.Document),
            new([.. events.Select(e => new Entry(e.Position, JsonSerializer.Deserialize<BakeEvent>(e.Document, Json.Documents)!))]));
        // A read that raced a write must not overwrite what the write put there.
        return read.GetOrAdd(id, bake);
    }
}
