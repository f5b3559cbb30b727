using System.Runtime.CompilerServices;

namespace JollyKnot.Server.Tests;

/// <summary>Where the checkout lies that these tests were built from.</summary>
internal static class Checkout
{
    /// <summary>Its folder.</summary>
    public static string Root { get; } = Path.GetFullPath(Path.Combine(Path.GetDirectoryName(Here())!, "..", ".."));

    private static string Here([CallerFilePath] string file = "") => file;
}
