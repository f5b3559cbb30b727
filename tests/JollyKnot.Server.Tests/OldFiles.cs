using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;
using JollyKnot.Server.Demo;
using JollyKnot.Store;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Microsoft.Extensions.DependencyInjection;

namespace JollyKnot.Server.Tests;

/// <summary>Files of earlier versions, and two hands on one book.</summary>
public sealed class OldFiles : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("jolly-old-").FullName;

    private static readonly Dough Rolls = Dough
        .Create(new("Old rolls", [new("flour", Mass.FromGrams(500)), new("water", Mass.FromGrams(300))]))
        .Value;

    private ServiceProvider Open()
    {
        var services = new ServiceCollection();
        JollyStore.AddTo(services, folder);
        return services.BuildServiceProvider();
    }

    [Fact]
    public async Task A_book_from_before_there_were_versions_keeps_what_it_had()
    {
        var id = Guid.NewGuid();
        await using (
            var before = new JollyDb(
                new DbContextOptionsBuilder<JollyDb>().UseSqlite($"Data Source={Path.Combine(folder, "jolly-knot.db")}").Options
            )
        )
        {
            await before.GetService<IMigrator>().MigrateAsync("First");
            // As that version wrote it: a name and rows, and nothing of what came later.
            var document = """
                {"name":"Old rolls","rows":[
                {"ingredient":{"name":"plain flour","role":"flour","allergens":["wheat/gluten"]},"mass":500,"atBeep":false},
                {"ingredient":{"name":"water","role":"liquid","water":1},"mass":300,"atBeep":false}]}
                """;
            await before.Database.ExecuteSqlAsync(
                $"""
                INSERT INTO Doughs (Id, Name, Version, Document, UpdatedAt)
                VALUES ({id}, 'Old rolls', 3, {document}, '2026-11-01 08:00:00')
                """
            );
        }
        SqliteConnection.ClearAllPools();

        await using var services = Open();
        await services.GetRequiredService<JollyStore>().Open();
        var book = services.GetRequiredService<DoughBook>();
        (await book.List("ROLLS water", 0, 10))
            .Doughs.Single()
            .ShouldSatisfyAllConditions(
                d => (d.Id, d.Version, d.Dough.Total.Grams).ShouldBe((id, 3, 800)),
                d => d.Dough.Parts.ShouldBeEmpty(),
                d => d.Dough.Notes.ShouldBe("")
            );
        (await book.Versions(id)).Select(v => v.Version).ShouldBe([3]);
        await book.Save(id, Rolls.Scale(2), DateTimeOffset.UtcNow);
        (await book.Versions(id)).Select(v => (v.Version, v.Dough.Total.Grams)).ShouldBe([(4, 1600), (3, 800)]);
    }

    [Fact]
    public async Task A_bake_from_before_there_were_cut_lists_goes_on()
    {
        var (id, now) = (Guid.NewGuid(), DateTimeOffset.UtcNow);
        var spec = BakeDecision
            .Of(Rolls, new("blue", "wall", "counter") { Cuts = [new("pan-roll", 9)], Meant = true }, DemoWorld.Kitchen, now)
            .Value;
        await using (var services = Open())
        {
            await services.GetRequiredService<JollyStore>().Open();
            var plan = System.Text.Json.Nodes.JsonNode.Parse(
                System.Text.Json.JsonSerializer.Serialize(Layout.Of(spec, now).Plan, Json.Documents)
            )!;
            // As that version wrote it: all in one list; family, pieces, heat and wash beside the oven.
            var groups = plan["spec"]!.AsObject();
            var old = new System.Text.Json.Nodes.JsonObject();
            foreach (var group in new[] { "made", "tools", "handling", "around", "wish" })
                foreach (var member in groups[group]!.AsObject())
                    old[member.Key] = member.Value?.DeepClone();
            plan["spec"] = old;
            var bread = old["cuts"]![0]!["bread"]!;
            foreach (var field in new[] { "family", "heat", "wash" })
                old[field] = bread[field]!.DeepClone();
            old["pieces"] = 9;
            old.Remove("cuts");
            await using var db = new JollyDb(
                new DbContextOptionsBuilder<JollyDb>().UseSqlite($"Data Source={Path.Combine(folder, "jolly-knot.db")}").Options
            );
            await db.Database.ExecuteSqlAsync(
                $"INSERT INTO Bakes (Id, Document, CreatedAt) VALUES ({id}, {plan.ToJsonString()}, '2026-11-01 08:00:00')"
            );
        }
        SqliteConnection.ClearAllPools();
        await using var again = Open();
        await again.GetRequiredService<JollyStore>().Open();
        var bakes = again.GetRequiredService<BakeBook>();
        (await bakes.Tell(id, Guid.NewGuid(), 0, new StepDone("paddle"), now)).ShouldBeOfType<Told.Kept>();
        var cut = (await bakes.Find(id))!.Plan.Spec.Cuts.Single();
        (cut.Pieces, cut.Bread!.Family.Id, cut.Bread.Heat.Celsius).ShouldBe((9, "pan-roll", 190));
    }

    [Fact]
    public async Task Two_hands_on_one_dough_lose_no_version()
    {
        await using var services = Open();
        await services.GetRequiredService<JollyStore>().Open();
        var (book, id) = (services.GetRequiredService<DoughBook>(), Guid.NewGuid());
        await Task.WhenAll(Enumerable.Range(1, 20).Select(i => book.Save(id, Rolls.Scale(i), DateTimeOffset.UtcNow)));
        var versions = await book.Versions(id);
        versions.Select(v => v.Version).ShouldBe(Enumerable.Range(1, 20).Reverse());
        versions.Select(v => v.Dough.Total.Grams).Order().ShouldBe(Enumerable.Range(1, 20).Select(i => 800d * i));
        // Put away and taken out again, nothing of it is gone.
        (await book.PutAway(id, true, DateTimeOffset.UtcNow)).ShouldBeTrue();
        (await book.Names()).ShouldBeEmpty();
        (await book.Find(id)).ShouldNotBeNull();
        (await book.PutAway(Guid.NewGuid(), true, DateTimeOffset.UtcNow)).ShouldBeFalse();
    }

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, true);
    }
}
