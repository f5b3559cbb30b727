// The picture of a day, as data a drawing follows: lanes, strands, heat, beats, labels. All lengths in pixels of the picture.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Strands;

/// <summary>What the picture has to fit.</summary>
/// <param name="Width">Pixels, 200 to 4000.</param>
/// <param name="Slim">A strip for a phone: low lanes, few labels.</param>
/// <param name="UtcOffset">The household's offset from UTC, so that hours are marked where its clocks strike.</param>
public sealed record Frame(double Width, bool Slim, TimeSpan UtcOffset)
{
    /// <summary>Time that is shown in any case, so that two pictures can be set one over the other; only what is needed when
    /// null.</summary>
    public TimeBand? Shows { get; init; }

    /// <summary>When nobody is up or in.</summary>
    public ImmutableArray<TimeBand> Away { get; init; } = [];
}

/// <summary>Hours in which there are no hands.</summary>
/// <param name="From">Left end.</param>
/// <param name="To">Right end.</param>
public sealed record AwayMark(double From, double To);

/// <summary>A point.</summary>
public sealed record Point(double X, double Y);

/// <summary>A lane: one sort of place the dough passes, top to bottom.</summary>
/// <param name="Lane">Which.</param>
/// <param name="Top">Its upper edge.</param>
/// <param name="Height">Its height.</param>
public sealed record LaneBox(Lane Lane, double Top, double Height);

/// <summary>A length of dough to draw. Points follow one another by curves that are level at each point.</summary>
/// <param name="Points">At least two, left to right.</param>
/// <param name="Thickness">Over 0.</param>
/// <param name="Shade">0, 1 or 2: neighbours differ.</param>
public sealed record Ribbon(ImmutableArray<Point> Points, double Thickness, int Shade);

/// <summary>The heat of an oven over time: a line from cold to cold.</summary>
/// <param name="Outline">Closed outline.</param>
public sealed record Heat(ImmutableArray<Point> Outline);

/// <summary>A time the baker's hands are wanted.</summary>
/// <param name="From">Left end.</param>
/// <param name="To">Right end.</param>
/// <param name="Y">Height.</param>
/// <param name="State">How the step stands.</param>
public sealed record HandsMark(double From, double To, double Y, StepState State);

/// <summary>The ready window of a proof.</summary>
/// <param name="Early">From here it can be baked.</param>
/// <param name="Best">At its best.</param>
/// <param name="Late">From here it begins to be over.</param>
/// <param name="Y">Height.</param>
public sealed record WindowMark(double Early, double Best, double Late, double Y);

/// <summary>What a label tells.</summary>
public enum LabelKind
{
    /// <summary>The dough's name and mass, on its strand.</summary>
    Dough,

    /// <summary>The same beside it, where the strand is too short or too thin for words.</summary>
    DoughBeside,

    /// <summary>When the oven goes on, and to what.</summary>
    OvenOn,

    /// <summary>The ready window's ends.</summary>
    Window,

    /// <summary>When bread is ready.</summary>
    Ready,
}

/// <summary>Where a label's text goes from its point.</summary>
public enum Anchor
{
    /// <summary>The text starts here.</summary>
    Start,

    /// <summary>The text is centred here.</summary>
    Middle,

    /// <summary>The text ends here.</summary>
    End,
}

/// <summary>A label.</summary>
/// <param name="Bread">What comes to the table.</param>
/// <param name="Hue">Which of the doughs' colours it has.</param>
public sealed record Label(
    LabelKind Kind,
    double X,
    double Y,
    Anchor Anchor,
    string? Text = null,
    Mass? Mass = null,
    Temperature? Heat = null,
    int? Count = null,
    DateTimeOffset? At = null,
    DateTimeOffset? Until = null,
    BreadLook? Bread = null,
    int? Hue = null
);

/// <summary>One dough's strand.</summary>
/// <param name="Name">The dough.</param>
/// <param name="Hue">Which of the doughs' colours, from 0.</param>
/// <param name="Ribbons">What to draw, in drawing order: later ones lie on top.</param>
public sealed record Strand(string Name, int Hue, ImmutableArray<Ribbon> Ribbons);

/// <summary>The picture.</summary>
public sealed record Picture(
    double Width,
    double Height,
    double Left,
    double Right,
    DateTimeOffset From,
    DateTimeOffset To,
    ImmutableArray<AxisPoint> Axis,
    ImmutableArray<LaneBox> Lanes,
    ImmutableArray<DateTimeOffset> Ticks,
    ImmutableArray<AwayMark> Away,
    ImmutableArray<Strand> Strands,
    ImmutableArray<Heat> Heats,
    ImmutableArray<HandsMark> Hands,
    ImmutableArray<WindowMark> Windows,
    ImmutableArray<Label> Labels,
    ImmutableArray<TautLine> Taut,
    ImmutableArray<Grip> Grips
);
