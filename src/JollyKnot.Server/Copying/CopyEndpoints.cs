// Where the household's bread is kept, and a copy of it now.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Copying;

/// <summary>Where everything is kept.</summary>
/// <param name="Folder">The folder.</param>
/// <param name="Size">Bytes of the book.</param>
/// <param name="Free">Bytes left on its disk.</param>
/// <param name="Copies">Its copies, the newest first.</param>
public sealed record WhereKeptView(string Folder, long Size, long Free, ImmutableArray<Copy> Copies)
{
    internal static WhereKeptView Of(Folder folder, Copies copies) =>
        new(
            folder.Path,
            File.Exists(folder.Book) ? new FileInfo(folder.Book).Length : 0,
            new DriveInfo(folder.Path).AvailableFreeSpace,
            copies.All
        );
}

/// <summary>Copies over HTTP.</summary>
public static class CopyEndpoints
{
    /// <summary>Maps copies.</summary>
    public static void MapCopies(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/copies", (Folder folder, Copies copies) => TypedResults.Ok(WhereKeptView.Of(folder, copies)))
            .WithName("copies")
            .WithSummary("Where everything is kept, and the copies of it.");
        app.MapPost("/api/copies", Make).WithName("makeCopy").WithSummary("Makes the day's copy now.");
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
}
