// Expected failures are results with a reason; exceptions are for bugs.
using System.Collections.Immutable;
using System.Diagnostics.CodeAnalysis;

namespace JollyKnot.Core.Measures;

/// <summary>Why something cannot be done, told so that a person can mend it.</summary>
/// <param name="Code">Stable and short, such as <c>too-heavy</c>; part of the open formats.</param>
/// <param name="Field">The field at fault, as the caller named it, such as <c>rows[2].mass</c>; empty when it is the whole.</param>
/// <param name="Reason">What is wrong and the way out, in one or two sentences.</param>
public sealed record Problem(string Code, string Field, string Reason);

/// <summary>A value, or the problems that stood in its way.</summary>
/// <typeparam name="T">What was asked for.</typeparam>
public sealed class Outcome<T>
{
    private readonly T? value;

    private Outcome(T? value, ImmutableArray<Problem> problems) => (this.value, Problems) = (value, problems);

    /// <summary>What stood in the way; empty when there is a value.</summary>
    public ImmutableArray<Problem> Problems { get; }

    /// <summary>Whether there is a value.</summary>
    public bool IsOk => Problems.IsEmpty;

    /// <summary>The value.</summary>
    /// <exception cref="InvalidOperationException">There is none: ask <see cref="IsOk"/> first.</exception>
    public T Value => IsOk ? value! : throw new InvalidOperationException(Problems[0].Reason);

    /// <summary>Whether there is a value, and which.</summary>
    public bool Has([MaybeNullWhen(false)] out T found)
    {
        found = value;
        return IsOk;
    }

    /// <summary>A value.</summary>
    public static implicit operator Outcome<T>(T value) => new(value, []);

    /// <summary>One problem.</summary>
    public static implicit operator Outcome<T>(Problem problem) => new(default, [problem]);

    /// <summary>Several problems; at least one.</summary>
    public static implicit operator Outcome<T>(ImmutableArray<Problem> problems) => new(default, problems);
}
