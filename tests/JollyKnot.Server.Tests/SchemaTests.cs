using JollyKnot.Store;

namespace JollyKnot.Server.Tests;

/// <summary>What is written to disk has a shape of its own, which no other change changes.</summary>
public sealed class SchemaTests
{
    private static readonly string Schemas = Path.Combine(Checkout.Root, "docs", "schemas");

    private static IEnumerable<IDocumentKind> All =>
        DocumentSchemas.In(typeof(Kinds).Assembly).Concat(DocumentSchemas.In(typeof(Program).Assembly));

    [Fact]
    public async Task The_shape_of_each_document_is_the_committed_one_of_its_version()
    {
        All.Select(k => k.Name).ShouldBeUnique();
        foreach (var kind in All)
        {
            var file = Path.Combine(Schemas, DocumentSchemas.FileOf(kind));
            var committed = File.Exists(file) ? await File.ReadAllTextAsync(file) : "";
            (DocumentSchemas.Of(kind) == committed).ShouldBeTrue(
                $"{kind.Name} {kind.Version} is written otherwise than {file} says. Give it an upcast from version "
                    + $"{kind.Version}, then ./jolly golden."
            );
        }
    }

    [Fact]
    public void Every_older_version_has_its_schema_too() =>
        All.SelectMany(k => Enumerable.Range(1, k.Version).Select(v => $"{k.Name}.{v}.json"))
            .ShouldAllBe(file => File.Exists(Path.Combine(Schemas, file)));
}
