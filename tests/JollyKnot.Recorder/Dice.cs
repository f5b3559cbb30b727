// The same throws on every machine, for the same seed.
namespace JollyKnot.Recorder;

internal sealed class Dice(int seed)
{
    private readonly Random random = new(seed);

    public int Below(int most) => random.Next(most);

    public int Between(int least, int most) => random.Next(least, most + 1);

    public bool Chance(double share) => random.NextDouble() < share;

    public double Around(double middle, double spread) => middle * (1 + spread * (random.NextDouble() * 2 - 1));

    public T Of<T>(IList<T> choices) => choices[random.Next(choices.Count)];

    public Guid Id()
    {
        var bytes = new byte[16];
        random.NextBytes(bytes);
        return new Guid(bytes);
    }
}
