using JollyKnot.Core.Bakes;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Steps;

namespace JollyKnot.Server.Words;

// What was told, as the log and the undo button have it.
public sealed partial class Voice
{
    /// <summary>What was told, in a few </summary>
    public string Told(BakeEvent told, BakeState state)
    {
        string Short(StepId step) => state.Timetable[step] is { } slot ? Of(slot.Step, state.Plan.Spec).Short : step.ToString();
        return told switch
        {
            PartWeighed e when state.Station.Pieces.FirstOrDefault(p => p.Number == e.Number) is { } piece =>
                $"{Sentences.Capital(Piece(piece, state.Plan.Spec))}: {Grams(e.Mass)}",
            DoughWeighed e => $"Dough: {Grams(e.Mass)}",
            IngredientWeighed e => $"{Short(e.Step)}: {Grams(e.Mass)}",
            DoughChecked e => $"{Short(e.Step)}: {Of(e.Feel)}; {Of(new Dose(e.Water, e.Flour))}",
            KneadedIn e => $"Kneaded in: {Of(new Dose(e.Water, e.Flour))}",
            DoughTakenOut { Risen: { } risen } e => $"{Short(e.Step)}: {InPan(risen)}, {Of(e.Feel)}",
            DoughTakenOut e => $"{Short(e.Step)}: {Of(e.Feel)}",
            ProbeRead e => $"Probe: {Degree(e.Core)}",
            ProofMoved e => $"Moved: {e.To.Name}",
            PlaceMeasured e => $"Place: {Degree(e.Heat)}",
            ProofLooked e => $"{Short(e.Step)}: {Of(e.Seen)}",
            StepSkipped e => $"Skipped: {Short(e.Step)}",
            StepEvent e => Short(e.Step),
            Arranged => "The day laid out anew",
            RulesTaken => "New steps taken over",
            PartWeighed e => $"Part {e.Number}: {Grams(e.Mass)}",
            Stopped => "Bake stopped",
            AlarmsHushed => "Heard",
            Undone e => $"Taken back: no. {e.Position}",
            _ => throw new InvalidOperationException($"No words for {told.GetType().Name}."),
        };
    }
}
