// A folder that is gone afterwards.
namespace JollyKnot.Recorder;

internal sealed class Folder : IDisposable
{
    public string Path { get; } = Directory.CreateTempSubdirectory("jolly-recorded-").FullName;

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(Path, true);
    }
}
