using Microsoft.Data.Sqlite;

namespace JollyKnot.Server.Tests;

/// <summary>What a test does to a file behind the server's back.</summary>
internal static class Sql
{
    /// <summary>Runs an order; its parameters are @0, @1 and so on.</summary>
    public static void Run(this SqliteConnection db, string order, params object[] values)
    {
        using var command = Command(db, order, values);
        command.ExecuteNonQuery().ShouldBeGreaterThan(-2);
    }

    /// <summary>The one text that a question finds.</summary>
    public static string Ask(this SqliteConnection db, string question, params object[] values)
    {
        using var command = Command(db, question, values);
        return (string)command.ExecuteScalar()!;
    }

    private static SqliteCommand Command(SqliteConnection db, string text, object[] values)
    {
        var command = db.CreateCommand();
#pragma warning disable CA2100 // Written in the tests.
        command.CommandText = text;
#pragma warning restore CA2100
        for (var i = 0; i < values.Length; i++)
            command.Parameters.AddWithValue($"@{i}", values[i]);
        return command;
    }
}
