// What past bakes say of a thing that is not what it was: another oven in its place, a shelf that was moved.
namespace JollyKnot.Core.Plans;

/// <summary>What was learned of a thing until then is forgotten.</summary>
/// <param name="Thing">The oven's or the place's id.</param>
/// <param name="Until">Bakes that ended by then say nothing of it.</param>
public sealed record Forgotten(string Thing, DateTimeOffset Until);
