using System.Reflection;
using System.Text.RegularExpressions;

namespace JollyKnot.Core.Tests;

/// <summary>The house: arrows point one way, and Core is pure.</summary>
public sealed partial class HouseTests
{
    private static readonly string[] Rooms =
    [
        "Measures",
        "Pantry",
        "Doughs",
        "Machines",
        "Dividing",
        "Shaping",
        "Proofing",
        "Baking",
        "Finishing",
        "Plans",
        "Steps",
        "Scheduling",
        "Days",
        "Bakes",
        "Strands",
        "Learning",
    ];

    private static readonly string Root = FindRoot();

    [Fact]
    public void A_room_of_Core_uses_only_rooms_before_it()
    {
        var wrong = Sources("src/JollyKnot.Core")
            .SelectMany(file =>
            {
                var room = Array.IndexOf(Rooms, Path.GetFileName(Path.GetDirectoryName(file)));
                room.ShouldBeGreaterThanOrEqualTo(0, $"{file} lies in no room of Core");
                return RoomUsed()
                    .Matches(File.ReadAllText(file))
                    .Select(m => m.Groups[1].Value)
                    .Where(used => Array.IndexOf(Rooms, used) > room)
                    .Select(used => $"{file} uses {used}");
            });
        wrong.ShouldBeEmpty();
    }

    [Fact]
    public void Core_is_pure()
    {
        Sources("src/JollyKnot.Core").Where(f => Impure().IsMatch(File.ReadAllText(f))).ShouldBeEmpty();
        Assembly
            .Load("JollyKnot.Core")
            .GetReferencedAssemblies()
            .Select(a => a.Name!)
            .ShouldAllBe(name =>
                name.StartsWith("System.", StringComparison.Ordinal) || name == "Superpower" || name == "Google.OrTools"
            );
        // The solver's types stay where days are laid out.
        Sources("src/JollyKnot.Core")
            .Where(f => File.ReadAllText(f).Contains("Google.OrTools", StringComparison.Ordinal))
            .Select(f => Path.GetFileName(f)!)
            .Order()
            .ShouldBe(["DayAim.cs", "DayModel.cs"]);
    }

    [Theory]
    [
        InlineData("Core", ""),
        InlineData("Store", "Core"),
        InlineData("Devices", "Core"),
        InlineData("Server", "Core Store Devices")
    ]
    public void Projects_point_one_way(string project, string allowed) =>
        ProjectUsed()
            .Matches(File.ReadAllText(Path.Combine(Root, $"src/JollyKnot.{project}/JollyKnot.{project}.csproj")))
            .Select(m => m.Groups[1].Value)
            .ShouldBeSubsetOf(allowed.Split(' ', StringSplitOptions.RemoveEmptyEntries));

    [Fact]
    public void Every_file_of_the_core_opens_with_what_it_is_for() =>
        Sources("src/JollyKnot.Core")
            .Where(f => !File.ReadLines(f).First().StartsWith("// ", StringComparison.Ordinal))
            .ShouldBeEmpty();

    [Fact]
    public void Views_change_at_three_sizes_only() =>
        Sources(Web, "*.css")
            .SelectMany(f => MediaSize().Matches(File.ReadAllText(f)).Select(m => m.Groups[1].Value))
            .Distinct()
            .Order()
            .ShouldBe(["max-height: 480px", "max-width: 760px", "max-width: 999px", "min-width: 1000px"]);

    [Fact]
    public void Every_class_of_a_views_own_styles_is_there_and_is_used()
    {
        foreach (var styles in Sources(Web, "*.module.css"))
        {
            var folder = Path.GetDirectoryName(styles)!;
            var there = OwnClass()
                .Matches(GlobalClass().Replace(File.ReadAllText(styles), ""))
                .Select(m => m.Groups[1].Value)
                .Distinct();
            var used = Directory
                .EnumerateFiles(folder, "*.tsx", SearchOption.AllDirectories)
                .SelectMany(f => UsedClass().Matches(File.ReadAllText(f)).Select(m => m.Groups[1].Value))
                .Distinct();
            used.Order().ShouldBe(there.Order(), styles);
        }
    }

    private const string Web = "src/web/src";

    private static IEnumerable<string> Sources(string folder, string pattern = "*.cs") =>
        Directory
            .EnumerateFiles(Path.Combine(Root, folder), pattern, SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/bin/", StringComparison.Ordinal));

    private static string FindRoot()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "JollyKnot.slnx")))
            folder = Path.GetDirectoryName(folder)!;
        return folder;
    }

    [GeneratedRegex(@"(?:using (?:static )?|[^.\w])JollyKnot\.Core\.(\w+)")]
    private static partial Regex RoomUsed();

    [GeneratedRegex(
        @"DateTime(Offset)?\.(Utc)?Now|TimeProvider|Random\.Shared|new Random\(|Console\.|File\.|HttpClient|Environment\."
    )]
    private static partial Regex Impure();

    [GeneratedRegex(@"@media [^{]*\(((?:min|max)-(?:width|height): \d+px)\)")]
    private static partial Regex MediaSize();

    [GeneratedRegex(@":global\([^)]*\)")]
    private static partial Regex GlobalClass();

    [GeneratedRegex(@"\.([a-z][A-Za-z0-9-]*)")]
    private static partial Regex OwnClass();

    [GeneratedRegex(@"\bcss\.([A-Za-z0-9]+)")]
    private static partial Regex UsedClass();

    [GeneratedRegex(@"ProjectReference Include=""[^""]*JollyKnot\.(\w+)\.csproj")]
    private static partial Regex ProjectUsed();
}
