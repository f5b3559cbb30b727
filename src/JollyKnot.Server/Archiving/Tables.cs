// What a household keeps as tables, for a spreadsheet: RFC 4180, and nothing in a cell that a spreadsheet would run.
using System.Globalization;
using System.Text;
using CsvHelper;
using JollyKnot.Core.Steps;
using JollyKnot.Store;

namespace JollyKnot.Server.Archiving;

/// <summary>Writes the tables of an archive.</summary>
internal static class Tables
{
    private static readonly CsvWriterOptions Rules = new()
    {
        FormatProvider = CultureInfo.InvariantCulture,
        NewLine = "\r\n",
        Injection = CsvInjection.Escape,
    };

    /// <summary>Each table by its file's name. Weights in grams, temperatures in °C.</summary>
    public static IEnumerable<(string File, byte[] Table)> Of(Archive archive)
    {
        var told = archive.Bakes.SelectMany(ToldOf).ToList();
        yield return ("log.csv", Written(["bake", "dough", "position", "at", "what", "document"], told.Select(Log)));
        yield return ("weights.csv", Written(["bake", "dough", "at", "what", "grams"], told.Select(Weight)));
        yield return ("looks.csv", Written(["bake", "dough", "at", "step", "seen"], told.Select(Look)));
        yield return ("probe.csv", Written(["bake", "dough", "at", "what", "celsius"], told.Select(Probe)));
        yield return ("doses.csv", Written(["bake", "dough", "at", "feel", "water", "flour"], told.Select(Dose)));
        yield return (
            "doughs.csv",
            Written(["dough", "name", "version", "ingredient", "grams"], archive.Doughs.SelectMany(RowsOf))
        );
    }

    // A line that is null is of another table.
    private static byte[] Written(string[] header, IEnumerable<object[]?> lines)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = CsvWriter.Create(text, Rules))
        {
            csv.WriteRecord(header);
            foreach (var line in lines.OfType<object[]>())
            {
                foreach (var cell in line)
                    csv.WriteField(cell);
                csv.EndRecord();
            }
        }
        return Encoding.UTF8.GetBytes(text.ToString());
    }

    private sealed record Told(Guid Bake, string Dough, ArchivedEvent As, BakeEvent Event)
    {
        public string At => (Event.At ?? As.ToldAt).ToString("O", CultureInfo.InvariantCulture);
    }

    private static IEnumerable<Told> ToldOf(ArchivedBake bake)
    {
        var dough = Kinds.Plan.Read(bake.Plan.ToJsonString()).Has(out var plan) ? plan.Spec.Dough.Name : "";
        return Archives.Events(bake).Select(told => new Told(bake.Id, dough, told.Told, told.Event));
    }

    private static string KindOf(Told told) =>
        told.As.Event["document"]?["type"]?.GetValue<string>() ?? told.As.Event["type"]?.GetValue<string>() ?? "";

    private static object[] Log(Told told) =>
        [told.Bake, told.Dough, told.As.Position, told.At, KindOf(told), told.As.Event.ToJsonString()];

    private static object[]? Weight(Told told) =>
        told.Event switch
        {
            IngredientWeighed weighed => [told.Bake, told.Dough, told.At, $"{weighed.Step}", weighed.Mass.Grams],
            DoughWeighed weighed => [told.Bake, told.Dough, told.At, "dough", weighed.Mass.Grams],
            PartWeighed weighed => [told.Bake, told.Dough, told.At, $"part {weighed.Number}", weighed.Mass.Grams],
            _ => null,
        };

    private static object[]? Look(Told told) =>
        told.Event is ProofLooked looked ? [told.Bake, told.Dough, told.At, $"{looked.Step}", $"{looked.Seen}"] : null;

    private static object[]? Probe(Told told) =>
        told.Event switch
        {
            ProbeRead read => [told.Bake, told.Dough, told.At, $"core, {read.Load}", read.Core.Celsius],
            PlaceMeasured place => [told.Bake, told.Dough, told.At, $"place, {place.Proof}", place.Heat.Celsius],
            _ => null,
        };

    private static object[]? Dose(Told told) =>
        told.Event switch
        {
            DoughChecked check => [told.Bake, told.Dough, told.At, $"{check.Feel}", check.Water.Grams, check.Flour.Grams],
            KneadedIn more => [told.Bake, told.Dough, told.At, "on the table", more.Water.Grams, more.Flour.Grams],
            _ => null,
        };

    private static IEnumerable<object[]> RowsOf(ArchivedDough dough) =>
        from version in dough.Versions
        let read = Kinds.Dough.Read(version.Dough.ToJsonString())
        where read.IsOk
        from row in read.Value.Everything
        select new object[] { dough.Id, read.Value.Name, version.Version, row.Ingredient.Name, row.Mass.Grams };
}
