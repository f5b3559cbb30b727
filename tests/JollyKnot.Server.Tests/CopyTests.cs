using JollyKnot.Core.Doughs;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Guard;
using JollyKnot.Store;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;

namespace JollyKnot.Server.Tests;

/// <summary>Copies of the book, and one put back: a year of bread belongs to the household.</summary>
public sealed class CopyTests : IDisposable
{
    private static readonly DateTimeOffset Today = new(2026, 11, 27, 9, 0, 0, TimeSpan.Zero);

    private readonly string data = Directory.CreateTempSubdirectory("jolly-copies-").FullName;

    private ServiceProvider Open()
    {
        var services = new ServiceCollection();
        JollyStore.AddTo(services, data);
        return services.BuildServiceProvider();
    }

    private static Dough Named(string name) =>
        Dough.Create(new(name, [new("flour", Mass.FromGrams(500)), new("water", Mass.FromGrams(300))])).Value;

    private async Task<string[]> NamesNow()
    {
        await using var services = Open();
        await services.GetRequiredService<JollyStore>().Open();
        var page = await services.GetRequiredService<DoughBook>().Names();
        return [.. page.Select(d => d.Name).Order()];
    }

    private async Task Keep(params string[] names)
    {
        await using var services = Open();
        await services.GetRequiredService<JollyStore>().Open();
        foreach (var name in names)
            await services.GetRequiredService<DoughBook>().Save(Guid.NewGuid(), Named(name), Today);
    }

    private Copies Copies => new(new Folder(data));

    [Fact]
    public async Task A_copy_has_all_that_was_told_also_what_lies_in_the_log_beside_the_book()
    {
        await using var services = Open();
        await services.GetRequiredService<JollyStore>().Open();
        await services.GetRequiredService<DoughBook>().Save(Guid.NewGuid(), Named("Quay rolls"), Today);
        new FileInfo(new Folder(data).Book + "-wal").Length.ShouldBeGreaterThan(0);
        var copy = services.GetRequiredService<Copies>().Make(Today);
        copy.Name.ShouldBe("2026-11-27.db");
        using var read = new SqliteConnection($"Data Source={Path.Combine(data, "copies", copy.Name)};Pooling=False");
        read.Open();
        using var asked = read.CreateCommand();
        asked.CommandText = "SELECT count(*) FROM Doughs";
        asked.ExecuteScalar().ShouldBe(1L);
    }

    [Fact]
    public async Task Restoring_over_a_left_over_log_gives_the_copy_and_nothing_of_the_log_and_can_be_undone()
    {
        await Keep("Quay rolls");
        Copies.Make(Today);
        await Killed("Later loaf");

        string? aside;
        using (var folder = new Folder(data))
            aside = new Copies(folder).Restore(Path.Combine(data, "copies", "2026-11-27.db"), Today);
        (await NamesNow()).ShouldBe(["Quay rolls"]);
        SqliteConnection.ClearAllPools();
        using (var folder = new Folder(data))
            new Copies(folder).Restore(aside!, Today.AddSeconds(1));
        (await NamesNow()).ShouldBe(["Later loaf", "Quay rolls"]);
    }

    // The folder as a server that was killed leaves it, with these told last: all of them in the log beside the book.
    private async Task<byte[]> Killed(params string[] names)
    {
        await using var services = Open();
        await services.GetRequiredService<JollyStore>().Open();
        var (book, log) = (new Folder(data).Book, new Folder(data).Book + "-wal");
        (byte[] Book, byte[] Log) left;
        // While somebody looks into it, nobody who closes it writes the log into the book.
        using (var looks = new SqliteConnection($"Data Source={book};Pooling=False"))
        {
            looks.Open();
            using var asked = looks.CreateCommand();
            asked.CommandText = "SELECT count(*) FROM Doughs";
            asked.ExecuteScalar();
            foreach (var name in names)
                await services.GetRequiredService<DoughBook>().Save(Guid.NewGuid(), Named(name), Today);
            left = (await File.ReadAllBytesAsync(book), await File.ReadAllBytesAsync(log));
        }
        await services.DisposeAsync();
        SqliteConnection.ClearAllPools();
        await File.WriteAllBytesAsync(book, left.Book);
        await File.WriteAllBytesAsync(log, left.Log);
        return left.Log;
    }

    [Theory]
    [InlineData(0)]
    [InlineData(0.2)]
    [InlineData(0.5)]
    [InlineData(0.99)]
    [InlineData(1)]
    public async Task A_log_that_was_cut_is_said_with_how_much_is_missing(double left)
    {
        const int doughs = 12;
        var log = await Killed([.. Enumerable.Range(1, doughs).Select(i => $"Rolls {i}")]);
        await File.WriteAllBytesAsync(new Folder(data).Book + "-wal", log[..(int)(log.Length * left)]);
        await using var services = Open();
        await services.GetRequiredService<JollyStore>().Open();
        var there = (await services.GetRequiredService<DoughBook>().Names()).Count;
        (services.GetRequiredService<HowFar>().Lost?.Missing ?? 0).ShouldBe(doughs - there);
        there.ShouldBeLessThan(left < 1 ? doughs : doughs + 1);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public async Task A_book_that_was_told_something_is_not_begun_anew_when_it_is_empty_or_gone(bool gone)
    {
        await Keep("Quay rolls");
        Copies.Make(Today);
        SqliteConnection.ClearAllPools();
        var book = new Folder(data).Book;
        File.Delete(book);
        if (!gone)
            await File.WriteAllTextAsync(book, "");
        var refused = await Should.ThrowAsync<NotOurBookException>(() => NamesNow());
        refused.Message.ShouldContain("(1 entries)");
        using (var folder = new Folder(data))
            new Copies(folder).Restore(Path.Combine(data, "copies", "2026-11-27.db"), Today);
        (await NamesNow()).ShouldBe(["Quay rolls"]);
    }

    [Fact]
    public async Task A_book_that_is_damaged_in_its_midst_is_said_before_anything_is_told_to_it()
    {
        await Keep("Quay rolls", "Lamp buns", "Rope loaf");
        Copies.Make(Today);
        SqliteConnection.ClearAllPools();
        var book = new Folder(data).Book;
        var bytes = await File.ReadAllBytesAsync(book);
        // All pages but the first one, which says that it is a book.
        Array.Fill(bytes, (byte)0x5A, 4096, bytes.Length - 4096);
        await File.WriteAllBytesAsync(book, bytes);
        var refused = await Should.ThrowAsync<NotOurBookException>(() => NamesNow());
        refused.Message.ShouldContain("is damaged. Nothing was changed.");
        (await File.ReadAllBytesAsync(book)).ShouldBe(bytes);
        using (var folder = new Folder(data))
            new Copies(folder).Restore(Path.Combine(data, "copies", "2026-11-27.db"), Today);
        (await NamesNow()).ShouldBe(["Lamp buns", "Quay rolls", "Rope loaf"]);
    }

    // A copy that is put back moves four files, the book first; the power goes after so many of them.
    [Theory]
    [InlineData(0, "Quay rolls", "Rolls 1", "Rolls 2")]
    [InlineData(1, "Quay rolls")]
    [InlineData(2, "Quay rolls")]
    [InlineData(3, "Quay rolls")]
    public async Task The_power_goes_while_a_copy_is_put_back_and_the_book_is_whole_again(int moved, params string[] names)
    {
        await Keep("Quay rolls");
        var (copy, book) = (Path.Combine(data, "copies", Copies.Make(Today).Name), new Folder(data).Book);
        await Killed("Rolls 1", "Rolls 2");
        await File.WriteAllTextAsync(book + "-shm", "");
        File.Copy(copy, book + ".new");
        var aside = Path.Combine(new Folder(data).Aside, "2026-11-27T090000");
        if (moved > 0)
            Directory.CreateDirectory(aside);
        foreach (var end in ((string[])["", "-wal", "-shm"]).Take(moved))
            File.Move(book + end, Path.Combine(aside, Path.GetFileName(book) + end));
        (await NamesNow()).ShouldBe(names);
        File.Exists(book + ".new").ShouldBeFalse();
        if (moved == 0)
            return;
        // And what was there lies aside with all that belongs to it.
        SqliteConnection.ClearAllPools();
        using (var folder = new Folder(data))
            new Copies(folder).Restore(Path.Combine(aside, Path.GetFileName(book)), Today.AddSeconds(1));
        (await NamesNow()).ShouldBe(["Quay rolls", "Rolls 1", "Rolls 2"]);
    }

    [Fact]
    public async Task What_is_no_book_is_not_put_back_and_nothing_changes()
    {
        await Keep("Quay rolls");
        SqliteConnection.ClearAllPools();
        var wrong = Path.Combine(data, "wrong.db");
        await File.WriteAllTextAsync(
            wrong,
            "A shopping list, and long enough to be taken for something else by its length alone."
        );
        using (var folder = new Folder(data))
        {
            Should.Throw<NotOurBookException>(() => new Copies(folder).Restore(wrong, Today)).Message.ShouldContain("no book");
            Should
                .Throw<NotOurBookException>(() => new Copies(folder).Restore(wrong + "x", Today))
                .Message.ShouldContain("no file");
        }
        (await NamesNow()).ShouldBe(["Quay rolls"]);
    }

    [Fact]
    public async Task Two_weeks_of_days_and_a_year_of_months_are_kept_and_what_has_another_name()
    {
        await Keep("Quay rolls");
        Copies.Make("before-a-change");
        for (var day = Today.AddDays(-500); day <= Today; day = day.AddDays(1))
            if (day >= Today.AddDays(-20) || day.Day is 1 or 2)
                Copies.Make(day);
        var names = Copies.All.Select(c => c.Name[..^3]).ToList();
        names.ShouldContain("before-a-change");
        names.Count(n => n.StartsWith("2026-11-", StringComparison.Ordinal)).ShouldBe(15);
        names.ShouldContain("2026-11-14");
        names.ShouldNotContain("2026-11-13");
        names.ShouldContain("2026-11-01");
        names.ShouldContain("2025-12-01");
        names.ShouldNotContain("2025-11-01");
        names.ShouldNotContain("2025-12-02");
    }

    [Fact]
    public async Task A_second_server_on_one_folder_is_refused_and_told_who_has_it()
    {
        await using var first = Open();
        await first.GetRequiredService<JollyStore>().Open();
        await using var second = Open();
        var refused = await Should.ThrowAsync<NotOurBookException>(() => second.GetRequiredService<JollyStore>().Open());
        refused.Message.ShouldContain($"process {Environment.ProcessId}");
        await first.DisposeAsync();
        await second.GetRequiredService<JollyStore>().Open();
    }

    [Theory]
    [InlineData("", "is no book|is damaged", false)]
    [InlineData(
        "This was a book once, and somebody wrote a letter over it. It is long enough to look like one.",
        "is no book",
        true
    )]
    public async Task A_book_that_cannot_be_read_is_said_in_one_sentence(string content, string said, bool isRefused)
    {
        await File.WriteAllTextAsync(new Folder(data).Book, content);
        await using var services = Open();
        if (!isRefused)
        {
            // An empty file is a new book.
            await services.GetRequiredService<JollyStore>().Open();
            return;
        }
        var refused = await Should.ThrowAsync<NotOurBookException>(() => services.GetRequiredService<JollyStore>().Open());
        refused.Message.ShouldContain(said);
        refused.Message.ShouldContain("./jolly restore");
        (await File.ReadAllTextAsync(new Folder(data).Book)).ShouldBe(content);
    }

    [Theory]
    [InlineData("""{"a":[null]}""", "a[0]")]
    [InlineData("""{"a":{"b":[1,{"c":[[2],null]}]}}""", "a.b[1].c[1]")]
    [InlineData("""[{"x":null},null]""", "[1]")]
    [InlineData("""{"a":null,"b":[{"c":null}]}""", null)]
    [InlineData("""{"a":[nul""", null)]
    public void The_first_hole_in_a_list_is_named(string json, string? at) =>
        WholeBodies.HoleIn(System.Text.Encoding.UTF8.GetBytes(json)).ShouldBe(at);

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(data, true);
    }
}
