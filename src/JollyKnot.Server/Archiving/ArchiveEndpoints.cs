// Everything to take along, or one dough or bake to give away; and such a file taken in.
using System.Collections.Immutable;
using System.Globalization;
using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Nodes;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Copying;
using JollyKnot.Server.Demo;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace JollyKnot.Server.Archiving;

/// <summary>What came of a file.</summary>
/// <param name="Said">In a sentence.</param>
/// <param name="Merged">In figures.</param>
/// <param name="BeginsAnew">Something was taken, and the house begins anew with it.</param>
public sealed record MergedView(string Said, Merged Merged, bool BeginsAnew);

/// <summary>The archive over HTTP.</summary>
public static class ArchiveEndpoints
{
    private const string Document = "jolly-knot.json",
        Schema = "jolly-knot.schema.json",
        Zip = "application/zip";

    // A year of bread is a few; a file that swells to more than this is none of ours.
    private const int LargestFile = 1 << 28;
    private const long LargestDocument = 1L << 29;

    // What opens the door stays here, and so does the clock, which may be a demo's.
    private static readonly ImmutableArray<string> StayHere =
    [
        HouseNetwork.Salt.Name,
        KnownDevices.Kept.Name,
        HouseClock.Kept.Name,
        DemoSeed.KeptAs,
    ];

    private static readonly JsonSerializerOptions Readable = new(Json.Documents) { WriteIndented = true, MaxDepth = 64 };

    /// <summary>Maps the archive.</summary>
    public static void MapArchive(this Answers app)
    {
        app.MapGet("/api/archive", Take)
            .WithName("archive")
            .WithSummary("Everything as one file, or with an id one dough or bake.")
            .Produces<byte[]>(StatusCodes.Status200OK, Zip);
        app.MapGet(
                "/api/archive/schema",
                () => TypedResults.Json(ArchiveSchema.Written(), contentType: "application/schema+json")
            )
            .WithName("archiveSchema")
            .WithSummary("The archive's shape as JSON Schema.")
            .ExcludeFromDescription();
        app.MapPost("/api/archive", Bring)
            .WithName("bringArchive")
            .WithSummary("Merges such a file, by id; a copy of the book is made before, and the house begins anew.")
            .Accepts<byte[]>(Zip)
            .WithMetadata(new RequestSizeLimitAttribute(LargestFile));
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Take(
        Guid? id,
        Archives archives,
        Photos photos,
        [FromKeyedServices(HouseClock.Wall)] TimeProvider wall
    )
    {
        var archive = await archives.Read(wall.GetUtcNow(), StayHere, id);
        if (id is not null && archive is { Doughs.IsEmpty: true, Bakes.IsEmpty: true })
            return Problems.Missing("dough");
        var day = wall.GetLocalNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        return TypedResults.File(Packed(archive, photos), Zip, $"jolly-knot-{day}.zip");
    }

    private static byte[] Packed(Archive archive, Photos photos)
    {
        using var packed = new MemoryStream();
        using (var zip = new ZipArchive(packed, ZipArchiveMode.Create))
        {
            Put(zip, Document, JsonSerializer.SerializeToUtf8Bytes(archive, Readable));
            Put(zip, Schema, JsonSerializer.SerializeToUtf8Bytes(ArchiveSchema.Written(), Readable));
            foreach (var (file, table) in Tables.Of(archive))
                Put(zip, file, table);
            foreach (var bake in archive.Bakes)
                if (photos.Find(bake.Id) is { } jpeg)
                    Put(zip, PhotoOf(bake.Id), jpeg);
        }
        return packed.ToArray();
    }

    private static string PhotoOf(Guid bake) => $"photos/{bake}.jpg";

    private static void Put(ZipArchive zip, string name, byte[] content)
    {
        using var entry = zip.CreateEntry(name).Open();
        entry.Write(content);
    }

    private static async Task<Results<Ok<MergedView>, ProblemHttpResult>> Bring(
        HttpContext context,
        Archives archives,
        Photos photos,
        Copies copies,
        PutBack anew,
        IHostApplicationLifetime house,
        [FromKeyedServices(HouseClock.Wall)] TimeProvider wall
    )
    {
        using var sent = new MemoryStream();
        await context.Request.Body.CopyToAsync(sent, context.RequestAborted);
        if (await Read(sent, context.RequestAborted) is not { } archive)
            return Problems.Bad(new Problem("not-readable:archive", "body"));
        if (archive.Format > Archive.CurrentFormat)
            return Problems.Bad(new Problem("unreadable:newer", "format"));
        copies.Make($"before-merging-{wall.GetLocalNow():yyyy-MM-dd'T'HHmmss}");
        var merged = await archives.Merge(archive);
        KeepPhotos(sent, archive, photos);
        if (merged.IsAnything)
            anew.Begin(context, house);
        return TypedResults.Ok(new MergedView(MergingWords.Of(merged), merged, merged.IsAnything));
    }

    // The document in the file, or null where there is none.
    private static async Task<Archive?> Read(MemoryStream sent, CancellationToken aborted)
    {
        sent.Position = 0;
        try
        {
            using var zip = new ZipArchive(sent, ZipArchiveMode.Read, leaveOpen: true);
            if (zip.GetEntry(Document) is not { Length: <= LargestDocument } entry)
                return null;
            await using var document = entry.Open();
            // Read through a node, so that what is left out of a list is not taken for something.
            var node = await JsonNode.ParseAsync(document, documentOptions: new() { MaxDepth = 64 }, cancellationToken: aborted);
            return node.Deserialize<Archive>(Readable) is { } archive && IsWhole(archive) ? archive : null;
        }
        catch (Exception broken) when (broken is InvalidDataException or JsonException or InvalidOperationException)
        {
            return null;
        }
    }

    // Pictures of bakes that have none here.
    private static void KeepPhotos(MemoryStream sent, Archive archive, Photos photos)
    {
        using var zip = new ZipArchive(sent, ZipArchiveMode.Read);
        foreach (var bake in archive.Bakes.Where(b => photos.Find(b.Id) is null))
            if (zip.GetEntry(PhotoOf(bake.Id)) is { Length: <= Photos.Largest } entry)
            {
                using var jpeg = new MemoryStream();
                using (var packed = entry.Open())
                    packed.CopyTo(jpeg);
                photos.Keep(bake.Id, jpeg.ToArray());
            }
    }

    private static bool IsWhole(Archive archive) =>
        !archive.Doughs.IsDefault
        && !archive.Bakes.IsDefault
        && !archive.Settings.IsDefault
        && archive.Doughs.All(d => d is not null && d.Id != Guid.Empty && d.Versions.All(v => v is { Dough: not null }))
        && archive.Bakes.All(b => b is { Plan: not null } && b.Id != Guid.Empty && b.Events.All(e => e is { Event: not null }))
        && archive.Settings.All(s => s is { Document: not null, Name: not null } && !StayHere.Contains(s.Name));
}
