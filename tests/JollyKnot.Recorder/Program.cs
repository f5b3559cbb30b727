// Writes what this version says of hundreds of bakes and days, to be held against another version's;
// a data folder that later versions must open; or the shapes of the documents in it.
using System.Globalization;
using JollyKnot.Store;

namespace JollyKnot.Recorder;

internal static class Recorder
{
    private const int Bakes = 300,
        Days = 60;

    private static async Task<int> Main(string[] args)
    {
        switch (args)
        {
            case ["record", var file, .. var counts]:
                await using (var to = new StreamWriter(file))
                    await new Recording().Write(to, Number(counts, 0, Bakes), Number(counts, 1, Days));
                return 0;
            case ["schemas", var folder]:
                foreach (
                    var kind in DocumentSchemas
                        .In(typeof(Kinds).Assembly)
                        .Concat(DocumentSchemas.In(typeof(global::Program).Assembly))
                )
                    await File.WriteAllTextAsync(Path.Combine(folder, DocumentSchemas.FileOf(kind)), DocumentSchemas.Of(kind));
                return 0;
            case ["golden", var folder]:
                await Golden.Write(folder);
                return 0;
            default:
                await Console.Error.WriteLineAsync("usage: record FILE [BAKES [DAYS]] | schemas FOLDER | golden FOLDER");
                return 2;
        }
    }

    private static int Number(string[] counts, int index, int usual) =>
        counts.Length > index ? int.Parse(counts[index], CultureInfo.InvariantCulture) : usual;
}
