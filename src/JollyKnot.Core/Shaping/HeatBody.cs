// A piece as the heat sees it: simple bodies whose middle can be reckoned. Each family brings its own.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;

namespace JollyKnot.Core.Shaping;

/// <summary>Simple bodies with a known series for the temperature of their middle.</summary>
public enum Body
{
    /// <summary>A sphere, by its radius.</summary>
    Sphere,

    /// <summary>A long cylinder, by its radius.</summary>
    Cylinder,

    /// <summary>A wide slab, by half its thickness.</summary>
    Slab,
}

/// <summary>One of the bodies a piece is made of; their solutions are multiplied.</summary>
/// <param name="Body">Which.</param>
/// <param name="Size">Its radius or half thickness; over 0.</param>
public sealed record HeatPart(Body Body, Length Size);

/// <summary>A piece as the heat sees it. Fitted so that the minutes to the wanted core are those bakers measure.</summary>
/// <param name="Parts">At least one.</param>
/// <param name="Heaviness">How many times the heat of plain dough it takes, for water, filling and tin; over 0.</param>
/// <param name="Transfer">Heat transfer in W/m²K, over 0; the oven's when null.</param>
public sealed record HeatBody(ImmutableArray<HeatPart> Parts, double Heaviness, double? Transfer = null)
{
    /// <summary>A round piece.</summary>
    /// <param name="millimetres">Its radius.</param>
    internal static HeatBody Sphere(double millimetres) => Made((Body.Sphere, millimetres));

    /// <summary>A flat piece.</summary>
    /// <param name="millimetres">Half its thickness.</param>
    internal static HeatBody Slab(double millimetres) => Made((Body.Slab, millimetres));

    /// <summary>A rope, or a piece that is round from above.</summary>
    /// <param name="millimetres">Its radius.</param>
    /// <param name="half">Half its length or thickness; endless when null.</param>
    internal static HeatBody Cylinder(double millimetres, double? half = null) =>
        half is { } end ? Made((Body.Cylinder, millimetres), (Body.Slab, end)) : Made((Body.Cylinder, millimetres));

    /// <summary>A loaf in a tin.</summary>
    /// <param name="halfLength">Half its length.</param>
    /// <param name="halfWidth">Half its width.</param>
    /// <param name="halfHeight">Half its height.</param>
    internal static HeatBody Block(double halfLength, double halfWidth, double halfHeight) =>
        Made((Body.Slab, halfLength), (Body.Slab, halfWidth), (Body.Slab, halfHeight));

    /// <summary>The same, grown or shrunk.</summary>
    /// <param name="times">Each length so many times; over 0.</param>
    public HeatBody Scaled(double times) => this with { Parts = [.. Parts.Select(p => p with { Size = p.Size * times })] };

    /// <summary>A cylinder of the same mass, longer and thinner.</summary>
    /// <param name="times">So many times as long; over 0.</param>
    public HeatBody Stretched(double times) =>
        times == 1
            ? this
            : this with
            {
                Parts =
                [
                    .. Parts.Select(p => p with { Size = p.Size * (p.Body == Body.Cylinder ? 1 / Math.Sqrt(times) : times) }),
                ],
            };

    /// <summary>Equal when made of equal parts.</summary>
    public bool Equals(HeatBody? other) =>
        other is not null
        && Heaviness.Equals(other.Heaviness)
        && Transfer.Equals(other.Transfer)
        && Parts.SequenceEqual(other.Parts);

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(Heaviness, Transfer, Parts.Length, Parts[0]);

    private static HeatBody Made(params (Body Body, double Millimetres)[] parts) =>
        new([.. parts.Select(p => new HeatPart(p.Body, Length.FromMillimetres(p.Millimetres)))], 1);
}
