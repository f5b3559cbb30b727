using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;
using JollyKnot.Server.Words;

namespace JollyKnot.Server.Tests;

/// <summary>What cannot be is a code with its arguments; the words are the server's, in the household's units.</summary>
public sealed partial class ProblemsSaid
{
    [Theory]
    [InlineData(
        "room",
        "A kitchen of 45 °C? 5 °C to 40 °C can be reckoned with.",
        "A kitchen of 113 °F? 41 °F to 104 °F can be reckoned with."
    )]
    [InlineData(
        "too-small",
        "9.5 g each is too small to shape; 10 g is the least.",
        "0.34 oz each is too small to shape; 0.35 oz is the least."
    )]
    [InlineData(
        "too-light",
        "No kitchen scale shows so little; 0.01 g is the least.",
        "No kitchen scale shows so little; 0.0004 oz is the least."
    )]
    [InlineData("unreadable:event", "Event 3: It is damaged at step.", "Event 3: It is damaged at step.")]
    [InlineData("out-of-range:fridge", "Up to 24 hours in the fridge.", "Up to 24 hours in the fridge.")]
    [InlineData("out-of-range:phase", "Each phase takes from 1 min to 1 h 30 min.", "Each phase takes from 1 min to 1 h 30 min.")]
    [InlineData(
        "too-long:note",
        "This note has 4,001 characters; 4,000 are the most.",
        "This note has 4,001 characters; 4,000 are the most."
    )]
    [InlineData(
        "capacity:flour",
        "500 g of flour is over the 420 g of White. Scale the dough to 84 % and it fits.",
        "17.6 oz of flour is over the 14.8 oz of White. Scale the dough to 84 % and it fits."
    )]
    public void A_problem_is_said_in_the_units_of_the_household(string code, string metric, string customary)
    {
        object[] says = code switch
        {
            "room" => [Temperature.FromCelsius(45), Temperature.FromCelsius(5), Temperature.FromCelsius(40)],
            "too-small" => [Mass.FromGrams(9.5), Mass.FromGrams(10)],
            "too-light" => [Mass.FromGrams(.01)],
            "unreadable:event" => [3, new Problem("unreadable:damaged-at", "", "step")],
            "out-of-range:fridge" => [TimeSpan.FromHours(24)],
            "out-of-range:phase" => [TimeSpan.FromMinutes(1), TimeSpan.FromMinutes(90)],
            "too-long:note" => [4001, 4000],
            _ => [Mass.FromGrams(500), Mass.FromGrams(420), "White", Share.FromPercent(84)],
        };
        var problem = new Problem(code, "", [.. says]);
        ProblemWords.Plain.Of(problem).ShouldBe(metric);
        new ProblemWords(new(MassUnit.Ounces, TemperatureUnit.Fahrenheit, LengthUnit.Inches)).Of(problem).ShouldBe(customary);
    }

    [Fact]
    public void Every_code_has_words_and_no_words_are_left_over()
    {
        var sources = Directory
            .EnumerateFiles(Path.Combine(Checkout.Root, "src"), "*.cs", SearchOption.AllDirectories)
            .Where(f =>
                !f.Contains("/obj/", StringComparison.Ordinal) && !f.EndsWith("ProblemWords.cs", StringComparison.Ordinal)
            )
            .Select(File.ReadAllText)
            .ToList();
        var codes = sources
            .SelectMany(s => Code().Matches(s))
            .Select(m => m.Groups[1].Value + m.Groups[2].Value)
            .Distinct()
            .ToList();
        codes.Count.ShouldBeGreaterThan(100);
        codes.Where(c => !ProblemWords.Knows(c) && c != "jk:dough").ShouldBeEmpty();

        // Those put together of two parts.
        string[] made = ["unreadable:", "-low", "-high"];
        ProblemWords
            .Codes.Where(c => !made.Any(c.Contains) && !sources.Any(s => s.Contains($"\"{c}\"", StringComparison.Ordinal)))
            .ShouldBeEmpty();
    }

    [GeneratedRegex("\"([a-z]+(?:-[a-z]+)*:[a-z]+(?:-[a-z]+)*)\"|new Problem\\(\"([a-z:-]+)\"")]
    private static partial Regex Code();
}
