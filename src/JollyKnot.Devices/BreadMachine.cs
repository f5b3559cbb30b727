using JollyKnot.Core.Machines;

namespace JollyKnot.Devices;

/// <summary>What a bread machine does at a moment.</summary>
/// <param name="Phase">The phase that runs.</param>
/// <param name="Left">Until the next one.</param>
/// <param name="Paddling">The paddle turns.</param>
/// <param name="Shows">Its display; null where it says nothing of the dough.</param>
public sealed record MachineReading(PhaseKind Phase, TimeSpan Left, bool Paddling, DisplayShows? Shows);

/// <summary>A bread machine that can be asked.</summary>
public interface IBreadMachine
{
    /// <summary>What it does now; null while it stands still.</summary>
    MachineReading? Read();
}

/// <summary>A stand-in that goes through its program's phases.</summary>
/// <param name="time">Its clock.</param>
public sealed class SimulatedMachine(TimeProvider time) : IBreadMachine
{
    private (Machine Machine, DateTimeOffset Started)? runs;

    /// <summary>Starts it, or stops it.</summary>
    public void Run((Machine Machine, DateTimeOffset Started)? what) => runs = what;

    /// <inheritdoc/>
    public MachineReading? Read()
    {
        if (runs is not var (machine, started))
            return null;
        var since = time.GetUtcNow() - started;
        if (machine.PhaseAt(since) is not { } phase)
            return null;
        var end = TimeSpan.Zero;
        foreach (var p in machine.Phases)
        {
            end += p.Length;
            if (since < end)
                break;
        }
        return new(
            phase.Kind,
            end - since,
            phase.Kind is PhaseKind.Knead or PhaseKind.KnockBack,
            machine.Shows(started, time.GetUtcNow())
        );
    }
}
