// What a drawing has to know of a bread.
namespace JollyKnot.Core.Shaping;

/// <summary>How a bread looks when it is baked.</summary>
/// <param name="Form">Its form.</param>
/// <param name="Tie">What its rope is tied into; null where it is none.</param>
/// <param name="Slashes">How it was slashed.</param>
/// <param name="Dark">Brown from a soda bath.</param>
/// <param name="Strewn">With something strewn on top.</param>
public sealed record BreadLook(Form Form, Ties.Kind? Tie, Slashes Slashes, bool Dark, bool Strewn = false)
{
    /// <summary>How a family's bread looks.</summary>
    /// <param name="family">Which family.</param>
    public static BreadLook Of(Family family)
    {
        ArgumentNullException.ThrowIfNull(family);
        // A bun is no flat bread, though it is pressed.
        var form = family is { Form: Form.Disc, Thickness: null } ? Form.Ball : family.Form;
        return new(form, Ties.Of(family), family.Slashes, family.Bathed);
    }
}
