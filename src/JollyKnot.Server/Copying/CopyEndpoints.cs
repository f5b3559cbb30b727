// Where the household's bread is kept, and a copy of it now.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Copying;

/// <summary>Where everything is kept.</summary>
/// <param name="Folder">The folder.</param>
/// <param name="Size">Bytes of the book.</param>
/// <param name="Free">Bytes left on its disk.</param>
/// <param name="Copies">Its copies, the newest first.</param>
/// <param name="Aside">Books that a copy took the place of, the newest first.</param>
public sealed record WhereKeptView(string Folder, long Size, long Free, ImmutableArray<Copy> Copies, ImmutableArray<Copy> Aside)
{
    internal static WhereKeptView Of(Folder folder, Copies copies) =>
        new(folder.Path, folder.Size, new DriveInfo(folder.Path).AvailableFreeSpace, copies.All, copies.Aside);
}

/// <summary>A copy to put back.</summary>
/// <param name="Name">Of a copy, or of a book set aside.</param>
public sealed record WantedBack(string Name);

/// <summary>Copies over HTTP.</summary>
public static class CopyEndpoints
{
    /// <summary>Maps copies.</summary>
    public static void MapCopies(this Answers app)
    {
        app.MapGet("/api/copies", (Folder folder, Copies copies) => TypedResults.Ok(WhereKeptView.Of(folder, copies)))
            .WithName("copies")
            .WithSummary("Where everything is kept, and the copies of it.");
        app.MapPost("/api/copies", Make).WithName("makeCopy").WithSummary("Makes the day's copy now.");
        app.MapPost("/api/copies/back", Back)
            .WithName("putBack")
            .WithSummary("Puts a copy in the place of the book, which is set aside; the house begins anew.");
    }

    private static Results<Ok<WhereKeptView>, ProblemHttpResult> Make(
        Folder folder,
        Copies copies,
        [FromKeyedServices(HouseClock.Wall)] TimeProvider clock
    )
    {
        try
        {
            copies.Make(clock.GetLocalNow());
            return TypedResults.Ok(WhereKeptView.Of(folder, copies));
        }
        catch (Exception failed) when (failed is IOException or NotOurBookException or Microsoft.Data.Sqlite.SqliteException)
        {
            return Problems.Conflict(new Problem("no-copy", "", failed.Message));
        }
    }

    private static Results<Accepted, ProblemHttpResult> Back(
        WantedBack wanted,
        HttpContext context,
        Copies copies,
        PutBack putBack,
        IHostApplicationLifetime house
    )
    {
        if (copies.FileNamed(wanted.Name) is not { } file)
            return Problems.Missing("copy");
        try
        {
            Copies.CheckCanOpen(file);
        }
        catch (NotOurBookException refused)
        {
            return Problems.Conflict(new Problem("not-put-back", "name", refused.Message));
        }
        putBack.Begin(context, house, file);
        return TypedResults.Accepted((string?)null);
    }
}
