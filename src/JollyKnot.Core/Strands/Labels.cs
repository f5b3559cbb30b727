// What is written on the picture, and where there is room for it: on no other words and on no other dough.
using System.Collections.Immutable;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Steps;

namespace JollyKnot.Core.Strands;

/// <summary>Where words or dough lie.</summary>
internal sealed record Box(double Left, double Top, double Right, double Bottom)
{
    /// <summary>Whether they lie on one another.</summary>
    public bool Meets(Box other) => Left < other.Right && other.Left < Right && Top < other.Bottom && other.Top < Bottom;
}

/// <summary>One bake with what of its drawing the labels need.</summary>
/// <param name="Bake">The bake.</param>
/// <param name="Hue">Which of the doughs' colours.</param>
/// <param name="Thickness">Of the whole dough, px.</param>
/// <param name="Middle">The middle of its row in a lane.</param>
/// <param name="Windows">Its ready windows.</param>
internal sealed record Named(
    Drawn Bake,
    int Hue,
    double Thickness,
    Func<Lane, double> Middle,
    ImmutableArray<WindowMark> Windows
);

/// <summary>Writes on the picture.</summary>
internal sealed class Labels(Frame frame, TimeAxis axis, IReadOnlyDictionary<Lane, LaneBox> boxes, List<Box> dough)
{
    // Room that words take, px.
    private const double OvenWords = 140,
        OvenTime = 66,
        WindowWords = 108,
        LetterWidth = 7.4,
        Bread = 76,
        SlimBread = 64,
        High = 18;
    private const int MassLetters = 9;

    private readonly List<Label> written = [];
    private readonly List<Box> taken = [];

    /// <summary>All labels of these bakes.</summary>
    public ImmutableArray<Label> Of(ImmutableArray<Named> bakes)
    {
        Breads(bakes);
        if (!frame.Slim)
        {
            var names = bakes.SelectMany(Names).ToList();
            foreach (var inside in names.Where(places => places.Length == 1))
                Write(inside[0].Label, inside[0].Wide);
            foreach (var places in names.Where(places => places.Length > 1))
                WriteBeside(places);
            foreach (var bake in bakes)
                OvenOn(bake);
            // Several doughs or batches share a lane: a window's times would lie on another's strand.
            if (bakes is [{ Bake.Batches.Length: 1 } only])
                Window(only);
        }
        return [.. written];
    }

    // Breads that come to the table at the same time stand side by side.
    private void Breads(ImmutableArray<Named> bakes)
    {
        var wide = frame.Slim ? SlimBread : Bread;
        var most = frame.Width - wide / 2;
        var order = bakes.OrderBy(b => b.Bake.Timetable.Ready).ToList();
        var at = order.Select(b => Math.Min(most, axis.X(b.Bake.Timetable.Ready))).ToArray();
        // Each pushes those before it to the left as far as half of what they lack, and those after it to the right.
        for (var i = 1; i < at.Length; i++)
            if (at[i - 1] + wide - at[i] is > 0 and var lacks)
            {
                at[i] = Math.Min(most, at[i] + lacks / 2);
                at[i - 1] = at[i] - wide;
                for (var k = i - 1; k > 0 && at[k - 1] > at[k] - wide; k--)
                    at[k - 1] = at[k] - wide;
            }
        foreach (var (named, x) in order.Zip(at))
        {
            var batches = named.Bake.Batches;
            var bread = batches.MaxBy(b => named.Bake.Eaches[b.Cut] * b.Pieces)!.Bread;
            written.Add(
                new(
                    LabelKind.Ready,
                    x,
                    named.Middle(Lane.Table),
                    Anchor.Middle,
                    Count: batches.Sum(b => b.Pieces),
                    At: named.Bake.Timetable.Ready,
                    Bread: named.Bake.Spec.LookOf(bread),
                    Hue: named.Hue
                )
            );
        }
    }

    // At the thick end of its strand, without its mass where that is too short; else behind it, before it, or beside it.
    private IEnumerable<(Label Label, double Wide)[]> Names(Named named)
    {
        var (bake, y) = (named.Bake, named.Middle(Lane.Machine));
        var machine = bake.Timetable.Slots.Where(s => s.Step.Holds == Lane.Machine && s.State != StepState.Passed).ToList();
        if (machine.Count == 0)
            return [];
        var (from, to) = (axis.X(machine.Min(s => s.Start)), axis.X(machine.Max(s => s.End)));
        var name = bake.Spec.Dough.Name.Length * LetterWidth;
        var wide = name + MassLetters * LetterWidth;
        Label Written(LabelKind kind, double x, Anchor anchor) => new(kind, x, y, anchor, bake.Spec.Dough.Name, bake.Dough);
        var inside = Written(LabelKind.Dough, from + 10, Anchor.Start);
        var room = named.Thickness >= 16 ? to - from : 0;
        if (room >= wide)
            return
            [
                [(inside, wide)],
            ];
        if (room >= name)
            return
            [
                [(inside with { Mass = null }, name)],
            ];
        var behind = Written(LabelKind.DoughBeside, to + StrandMaker.Fall + 8, Anchor.Start);
        var before = Written(LabelKind.DoughBeside, from - named.Thickness / 2 - 8, Anchor.End);
        // Under it or over it, without its mass.
        Label Beside(int side) =>
            Written(LabelKind.DoughBeside, from, Anchor.Start) with
            {
                Y = y + side * (named.Thickness + High) / 2,
                Mass = null,
            };
        return
        [
            [
                (behind, wide),
                (behind with { Mass = null }, name),
                (before, wide),
                (before with { Mass = null }, name),
                (Beside(1), name),
                (Beside(-1), name),
                .. Shortened(),
            ],
        ];

        // Its first word on its own dough: no other's is taken for it.
        IEnumerable<(Label, double)> Shortened()
        {
            var word = bake.Spec.Dough.Name.Split(' ')[0] + "…";
            var takes = word.Length * LetterWidth;
            return room >= takes ? [(inside with { Text = word, Mass = null }, takes)] : [];
        }
    }

    // Where no other dough and no other word is; else shortened, on its own dough; else where no other word is; else where there
    // is room at all.
    private void WriteBeside((Label Label, double Wide)[] places)
    {
        var within = places
            .Where(p => Around(p.Label, p.Wide) is { Left: >= 0, Top: >= 0 } at && at.Right <= frame.Width)
            .ToList();
        bool Free((Label Label, double Wide) place, IEnumerable<Box> of) => !of.Any(Around(place.Label, place.Wide).Meets);
        var onItsOwn = places.Where(p => p.Label.Kind == LabelKind.Dough && Free(p, taken));
        var (label, wide) = within
            .Where(p => Free(p, taken) && Free(p, dough))
            .Concat(onItsOwn)
            .Concat(within.Where(p => Free(p, taken)))
            .Concat(within)
            .Append(places[0])
            .First();
        Write(label, wide);
    }

    // Beside the foot of its ramp or behind the bread, the lower the better.
    private void OvenOn(Named named)
    {
        var (bake, box) = (named.Bake, boxes[Lane.Oven]);
        if (
            bake.Batches.FirstOrDefault(b => !b.Bread.OnGriddle) is not { Index: var heated }
            || bake.Timetable.At(Milestone.SwitchedOn, heated) is not { } on
            || bake.Timetable.At(Milestone.Hot, heated) is not { } preheat
        )
            return;
        var foot = axis.X(preheat.Start);
        var behind = bake.Timetable.At(Milestone.Out, heated) is { } unload ? axis.X(unload.End) + StrandMaker.Fall : foot;
        var places = Enumerable
            .Range(0, (int)(box.Height / High))
            .Select(row => box.Top + box.Height - 14 - row * High)
            .SelectMany(y =>
                new[]
                {
                    (X: foot - 8, Y: y, Anchor: Anchor.End),
                    (X: foot + 8, Y: y, Anchor: Anchor.Start),
                    (X: behind, Y: y, Anchor: Anchor.Start),
                }
            )
            .ToList();
        var heat = bake.Batches[0].Bread.Heat;
        // The whole of it; else only when, clear of dough; else clear of other words.
        List<Box> all = [.. taken, .. dough];
        if ((Clear(OvenWords, heat, all) ?? Clear(OvenTime, null, all) ?? Clear(OvenTime, null, taken)) is { } free)
            Write(free, free.Heat is null ? OvenTime : OvenWords);

        Label? Clear(double wide, Temperature? said, List<Box> of) =>
            places
                .Select(p => new Label(LabelKind.OvenOn, p.X, p.Y, p.Anchor, Heat: said, At: on.Start))
                .FirstOrDefault(l =>
                    Around(l, wide) is { Left: >= 0 } words && words.Right <= frame.Width && !of.Any(words.Meets)
                );
    }

    // Behind the window, or before it where there is no room.
    private void Window(Named named)
    {
        foreach (var mark in named.Windows)
        {
            var start = named.Bake.Timetable.At(Milestone.Proving)!.Start;
            var window = named.Bake.Forecasts[0].Proof.Window!;
            var behind = mark.Late + 8 + WindowWords <= frame.Width;
            Write(
                new(
                    LabelKind.Window,
                    behind ? mark.Late + 8 : mark.Early - 8,
                    boxes[Lane.Proof].Top + boxes[Lane.Proof].Height - 10,
                    behind ? Anchor.Start : Anchor.End,
                    At: start + window.Early,
                    Until: start + window.Late
                ),
                WindowWords
            );
        }
    }

    private void Write(Label label, double wide)
    {
        written.Add(label);
        taken.Add(Around(label, wide));
    }

    private static Box Around(Label label, double wide)
    {
        var left = label.Anchor == Anchor.End ? label.X - wide : label.X;
        return new(left, label.Y - High / 2, left + wide, label.Y + High / 2);
    }
}
