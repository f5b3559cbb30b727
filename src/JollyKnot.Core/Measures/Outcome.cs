// Expected failures are results with a reason; exceptions are for bugs.
using System.Collections.Immutable;
using System.Diagnostics.CodeAnalysis;

namespace JollyKnot.Core.Measures;

/// <summary>Why something cannot be done: a code with its arguments. The sentence is the interface's.</summary>
/// <param name="Code">What is wrong, such as <c>too-heavy</c>. What it is about, where that has to be told apart, follows a
/// colon: <c>out-of-range:fridge</c>.</param>
/// <param name="Field">The field at fault, as the caller named it, such as <c>rows[2].mass</c>; empty when it is the
/// whole.</param>
/// <param name="Says">What the sentence tells: quantities, numbers and names, in its order.</param>
public sealed record Problem(string Code, string Field, params ImmutableArray<object> Says)
{
    /// <summary>The code without what it is about: stable, and part of the open formats.</summary>
    public string Type => Code.Split(':')[0];
}

/// <summary>Collects what is wrong with something typed, each with its field.</summary>
public sealed class ProblemList
{
    private readonly ImmutableArray<Problem>.Builder found = ImmutableArray.CreateBuilder<Problem>();

    /// <summary>Everything found.</summary>
    public ImmutableArray<Problem> All => found.ToImmutable();

    /// <summary>How many were found.</summary>
    public int Count => found.Count;

    /// <summary>One more, if there is one.</summary>
    public void Add(Problem? problem)
    {
        if (problem is not null)
            found.Add(problem);
    }

    /// <summary>Several more.</summary>
    public void Add(IEnumerable<Problem> problems) => found.AddRange(problems);

    /// <summary>One more, if this is wrong.</summary>
    /// <inheritdoc cref="Problem(string, string, ImmutableArray{object})"/>
    public void If(bool wrong, string code, string field, params ImmutableArray<object> says)
    {
        if (wrong)
            found.Add(new(code, field, says));
    }

    /// <summary>A value is missing, or lies between two others, both included.</summary>
    public void Between<T>(T? value, T from, T to, string field)
        where T : struct, IComparable<T> =>
        If(value is { } v && !new Band<T>(from, to).Holds(v), "out-of-range:between", field, from, to);

    /// <summary>A value is missing, or over one limit and not over another.</summary>
    public void Over<T>(T? value, T over, T most, string field)
        where T : struct, IComparable<T> =>
        If(value is { } v && (v.CompareTo(over) <= 0 || v.CompareTo(most) > 0), "out-of-range:over", field, over, most);

    /// <summary>A value is missing, or at least so much.</summary>
    public void AtLeast<T>(T? value, T least, string field)
        where T : struct, IComparable<T> => If(value is { } v && v.CompareTo(least) < 0, "out-of-range:at-least", field, least);

    /// <summary>A value is one of those there are.</summary>
    public void Known<T>(T? value, string field)
        where T : struct, Enum => If(value is { } v && !Enum.IsDefined(v), "unknown:answer", field);

    /// <summary>What was looked for is there.</summary>
    /// <param name="thing">What was found; null when nothing was.</param>
    /// <param name="code">Which kind of thing is missing, such as <c>unknown:oven</c>.</param>
    /// <param name="field">Where it was named.</param>
    public T? Found<T>(T? thing, string code, string field)
        where T : class
    {
        If(thing is null, code, field);
        return thing;
    }
}

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
    public T Value => IsOk ? value! : throw new InvalidOperationException($"{Problems[0].Code} at {Problems[0].Field}");

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
