// A book made long: its last closed bake again and again, each time with names of its own.
using System.Globalization;
using Microsoft.Data.Sqlite;

internal static class Books
{
    /// <summary>Copies what is over in a demo's book until there are so many; an hour apart, back from then.</summary>
    public static void Lengthen(string book, int bakes)
    {
        using var connection = new SqliteConnection($"Data Source={book}");
        connection.Open();
        using var all = connection.BeginTransaction();
        for (var i = 1; i <= bakes; i++)
        {
            var (id, at) = (
                New(i, 0),
                DateTime.UtcNow.AddHours(-i).ToString("yyyy-MM-dd HH:mm:ss", CultureInfo.InvariantCulture)
            );
            const string model = "(SELECT Id FROM Bakes WHERE Closed IS NOT NULL LIMIT 1)";
            Run(
                $"INSERT INTO Bakes (Id, Document, CreatedAt, ClosedAt, Closed) SELECT '{id}', Document, '{at}', '{at}', Closed "
                    + $"FROM Bakes WHERE Id = {model}"
            );
            Run(
                "INSERT INTO Events (Id, BakeId, Position, ToldAt, Document) "
                    + $"SELECT '{New(i, 1)[..24]}' || printf('%012X', Position), '{id}', Position, '{at}', Document "
                    + $"FROM Events WHERE BakeId = {model}"
            );
        }
        all.Commit();

        void Run(string sql)
        {
            using var command = connection.CreateCommand();
#pragma warning disable CA2100 // Numbers and times of its own making.
            command.CommandText = sql;
#pragma warning restore CA2100
            command.Transaction = all;
            command.ExecuteNonQuery();
        }
    }

    private static string New(int number, int kind) =>
        string.Create(CultureInfo.InvariantCulture, $"{number:X8}-{kind:X4}-4B00-8000-000000000000");
}
