using System.Globalization;
using JollyKnot.Server.Guard;

namespace JollyKnot.Server.Hosting;

/// <summary>What the house is started with.</summary>
/// <param name="Data">The folder it keeps everything in.</param>
/// <param name="Demo">With the demo world, whose clock stands in for the household's.</param>
/// <param name="Speed">How fast its clock goes; 1 as every clock.</param>
/// <param name="Port">Where it listens.</param>
/// <param name="IsOpen">Open to the house's network, not to this machine alone.</param>
public sealed record HouseOptions(string Data, bool Demo, double Speed, int Port, bool IsOpen)
{
    private const double Fastest = 3600;

    /// <summary>As it was told at the start.</summary>
    /// <exception cref="ArgumentException">The speed is none.</exception>
    public static HouseOptions Of(IConfiguration settings)
    {
        ArgumentNullException.ThrowIfNull(settings);
        var demo = settings.GetValue("demo", false);
        return new(
            settings["data"] ?? UsualFolder(demo),
            demo,
            SpeedOf(settings["speed"] ?? "1"),
            HouseNetwork.PortOf(settings),
            settings.GetValue("house", false)
        );
    }

    private static string UsualFolder(bool demo) =>
        Path.Combine(
            Environment.GetFolderPath(Environment.SpecialFolder.LocalApplicationData, Environment.SpecialFolderOption.Create),
            demo ? "jolly-knot-demo" : "jolly-knot"
        );

    private static double SpeedOf(string typed) =>
        double.TryParse(typed, CultureInfo.InvariantCulture, out var speed) && speed is > 0 and <= Fastest
            ? speed
            : throw new ArgumentException("--speed is a number over 0, at most 3600.");
}
