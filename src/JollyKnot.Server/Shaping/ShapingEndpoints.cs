using System.Collections.Immutable;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Shaping;
using JollyKnot.Server.Bakes;
using JollyKnot.Server.Clock;
using JollyKnot.Server.Guard;
using JollyKnot.Server.Hosting;
using JollyKnot.Server.Kitchens;
using JollyKnot.Server.Words;
using JollyKnot.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Shaping;

/// <summary>A plait or tie to be drawn.</summary>
/// <param name="Tie">A rope tied or wound; null for a plait.</param>
/// <param name="Strands">Strands of a plait.</param>
/// <param name="Word">Its moves as typed; the usual ones when empty.</param>
/// <param name="Moves">How many moves of it, 0 to <see cref="MostMoves"/>.</param>
/// <param name="Mirrored">For a left hand.</param>
/// <param name="FromTheMiddle">Worked from the middle: the other half is the mirror image.</param>
public sealed record DrawPlait(Ties.Kind? Tie, int Strands, string Word, int Moves, bool Mirrored, bool FromTheMiddle)
{
    /// <summary>No drawing is longer.</summary>
    public const int MostMoves = 60;
}

/// <summary>A plait drawn.</summary>
/// <param name="Word">The moves that repeat, as one would type them.</param>
/// <param name="Say">What to do in each step; the first is the start.</param>
/// <param name="Check">What the word amounts to, in words; empty for ties.</param>
/// <param name="IsGood">It can be baked.</param>
/// <param name="Half">The drawing; worked from the middle, of the near half.</param>
/// <param name="OtherHalf">The far half, for plaits worked from the middle.</param>
public sealed record PlaitView(
    string Word,
    ImmutableArray<string> Say,
    ImmutableArray<string> Check,
    bool IsGood,
    Weave Half,
    Weave? OtherHalf
);

/// <summary>A log to be cut.</summary>
/// <param name="Log">Its length.</param>
public sealed record RulerRequest(Length Log);

/// <summary>A mark on the log.</summary>
/// <param name="Number">The piece to the left of it.</param>
/// <param name="Cut">Which cut it is of.</param>
/// <param name="At">From the left end.</param>
/// <param name="Text">The same, as precise as a hand cuts.</param>
public sealed record RulerMark(int Number, int Cut, Length At, string Text);

/// <summary>Shaping and dividing without a scale, over HTTP.</summary>
public static class ShapingEndpoints
{
    private static readonly Band<double> LogLengths = new(50, 5000);

    /// <summary>Maps plaits and the ruler.</summary>
    public static void MapShaping(this Answers app)
    {
        app.MapPost(
                "/api/plaits",
                Results<Ok<PlaitView>, ProblemHttpResult> (DrawPlait draw) =>
                {
                    if (draw.Moves is < 0 or > DrawPlait.MostMoves)
                        return Problems.Bad(new Problem("out-of-range:moves", "moves", DrawPlait.MostMoves));
                    if (draw.Tie is { } tie)
                        return TypedResults.Ok(new PlaitView("", Voice.Steps(tie), [], true, Ties.Of(tie), null));
                    var read =
                        draw.Word.Length == 0 && Plait.Usual(draw.Strands) is { } usual
                            ? usual
                            : Plait.Read(draw.Strands, draw.Word);
                    if (!read.Has(out var plait))
                        return Problems.Bad(read.Problems);
                    if (draw.Mirrored)
                        plait = plait.Mirrored;
                    var (check, near, far) = (
                        plait.Check(),
                        Weave.Of(plait, draw.Moves),
                        draw.FromTheMiddle ? Weave.Of(plait.Mirrored, draw.Moves) : null
                    );
                    return TypedResults.Ok(
                        new PlaitView(
                            Voice.Of(plait),
                            [
                                Voice.Start(plait.Strands),
                                .. plait.Moves(draw.Moves).Select(Voice.Of),
                                .. draw.FromTheMiddle
                                    ? [Voice.TurnRound, .. plait.Mirrored.Moves(draw.Moves).Select(Voice.Of)]
                                    : Array.Empty<string>(),
                            ],
                            Voice.Of(check, plait),
                            check.IsGood,
                            near,
                            far
                        )
                    );
                }
            )
            .WithName("drawPlait")
            .WithSummary("A plait of any word, or a tie, drawn step by step and checked.");
        app.MapPost(
                "/api/bakes/{id:guid}/ruler",
                async Task<Results<Ok<ImmutableArray<RulerMark>>, ProblemHttpResult>> (
                    Guid id,
                    RulerRequest request,
                    BakeBook book,
                    HouseClock clock,
                    KitchenKeeper keeper
                ) =>
                {
                    if (await book.Find(id) is not { } bake)
                        return Problems.Missing("bake");
                    if (!LogLengths.Holds(request.Log.Millimetres))
                        return Problems.Bad(
                            new Problem(
                                "out-of-range:log",
                                "log",
                                Length.FromMillimetres(LogLengths.From),
                                Length.FromMillimetres(LogLengths.To)
                            )
                        );
                    var pieces = BakeEndpoints.State(bake, clock).Station.Pieces.Where(p => p.Weighed is null).ToList();
                    if (pieces.Count == 0)
                        return TypedResults.Ok(ImmutableArray<RulerMark>.Empty);
                    return TypedResults.Ok(
                        Ruler
                            .Marks(request.Log, [.. pieces.Select(p => p.Target)])
                            .Select((m, i) => new RulerMark(pieces[i].Number, pieces[i].Cut, m, keeper.Voice.Mark(m)))
                            .ToImmutableArray()
                    );
                }
            )
            .WithName("ruler")
            .WithSummary("Where to cut a log of this length; pieces that are weighed already are left out.");
    }
}
