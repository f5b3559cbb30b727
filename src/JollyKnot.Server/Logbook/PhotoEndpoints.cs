using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Logbook;

/// <summary>Pictures of bread over HTTP.</summary>
public static class PhotoEndpoints
{
    private const string Jpeg = "image/jpeg";

    /// <summary>Maps pictures.</summary>
    public static void MapPhotos(this Answers app)
    {
        app.MapGet("/api/photos", (Photos photos) => photos.All.ToImmutableArray())
            .WithName("photos")
            .WithSummary("Bakes that have a picture of their bread.");
        app.MapGet(
                "/api/bakes/{id:guid}/photo",
                Results<FileContentHttpResult, ProblemHttpResult> (Guid id, Photos photos) =>
                    photos.Find(id) is { } jpeg ? TypedResults.File(jpeg, Jpeg) : Problems.Missing("photo")
            )
            .WithName("photo")
            .Produces<byte[]>(StatusCodes.Status200OK, Jpeg);
        app.MapPut("/api/bakes/{id:guid}/photo", Keep).WithName("keepPhoto").Accepts<byte[]>(Jpeg);
        app.MapDelete(
                "/api/bakes/{id:guid}/photo",
                (Guid id, Photos photos) =>
                {
                    photos.Drop(id);
                    return TypedResults.NoContent();
                }
            )
            .WithName("dropPhoto");
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Keep(
        Guid id,
        HttpRequest request,
        BakeBook book,
        Photos photos
    )
    {
        if (await book.Find(id) is null)
            return Problems.Missing("bake");
        using var jpeg = new MemoryStream();
        await request.Body.CopyToAsync(jpeg, request.HttpContext.RequestAborted);
        return photos.Keep(id, jpeg.ToArray())
            ? TypedResults.NoContent()
            : Problems.Bad(new Problem("not-readable:photo", "body"));
    }
}
