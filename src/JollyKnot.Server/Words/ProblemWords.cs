using System.Collections.Frozen;
using System.Globalization;
using System.Text.RegularExpressions;
using JollyKnot.Core.Measures;

namespace JollyKnot.Server.Words;

/// <summary>What cannot be, said: a sentence for each code, in the household's units.</summary>
/// <param name="units">What the household reads.</param>
public sealed partial class ProblemWords(HouseholdUnits units)
{
    // What the household of this request reads: problems are told from everywhere, also where nothing else is known of it.
    private static readonly AsyncLocal<ProblemWords?> Reading = new();

    /// <summary>In grams, degrees Celsius and centimetres.</summary>
    public static ProblemWords Plain { get; } = new(HouseholdUnits.Plain);

    /// <summary>As the household reads whose request this is; plain where there is none.</summary>
    public static ProblemWords OfHousehold => Reading.Value ?? Plain;

    /// <summary>From here on this request is one of a household that reads these.</summary>
    /// <param name="units">What it reads.</param>
    public static void Read(HouseholdUnits units) => Reading.Value = new(units);

    private readonly Measured measured = new(units);

    /// <summary>Why something cannot be done, and the way out.</summary>
    public string Of(Problem problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        var sentence =
            Sentences.GetValueOrDefault(problem.Code)
            ?? throw new ArgumentException($"No words for {problem.Code}.", nameof(problem));
        return Placeholder()
            .Replace(sentence, hole => Said(problem.Says[int.Parse(hole.ValueSpan[1..^1], CultureInfo.InvariantCulture)]));
    }

    /// <summary>Every code there are words for.</summary>
    public static IEnumerable<string> Codes => Sentences.Keys;

    /// <summary>Whether there is a sentence for a code.</summary>
    public static bool Knows(string code) => Sentences.ContainsKey(code);

    private string Said(object value) =>
        value switch
        {
            Problem inner => Of(inner),
            string text => text,
            Mass mass => measured.Grams(mass),
            Temperature heat => measured.Degree(heat),
            Length length => measured.Length(length),
            Volume volume => string.Create(CultureInfo.InvariantCulture, $"{volume.Millilitres:0.#} mL"),
            Power power => string.Create(CultureInfo.InvariantCulture, $"{power.Watts:0} W"),
            Share share => string.Create(CultureInfo.InvariantCulture, $"{share.Percent:0.#} %"),
            TimeSpan span => Hours(span),
            IFormattable number => number.ToString("#,0.###", CultureInfo.InvariantCulture),
            _ => value.ToString() ?? "",
        };

    private static string Hours(TimeSpan span) =>
        span.TotalHours switch
        {
            0 => "nothing",
            1 => "1 hour",
            var hours when hours >= 1 && hours == Math.Floor(hours) => string.Create(
                CultureInfo.InvariantCulture,
                $"{hours:0} hours"
            ),
            _ => Measured.Span(span),
        };

    private static readonly FrozenDictionary<string, string> Sentences = new Dictionary<string, string>
    {
        // Anything typed.
        ["out-of-range:between"] = "From {0} to {1} is wanted here.",
        ["out-of-range:over"] = "Over {0} and up to {1} is wanted here.",
        ["out-of-range:at-least"] = "{0} or more is wanted here.",
        ["out-of-range:at-most"] = "{0} are the most.",
        ["out-of-range:zone"] = "A time zone by its name is wanted here, such as Europe/Berlin.",
        ["out-of-range:id"] = "Each wants an id of its own.",
        ["not-positive"] = "More than nothing is wanted here.",
        ["negative"] = "Nothing or more is wanted here.",
        ["unknown:answer"] = "Not one of the answers.",
        ["unknown:change"] = "There is no such change.",
        ["empty:id"] = "A new id is wanted here.",
        ["empty:thing"] = "Something is wanted here.",
        ["empty:member"] = "Something is wanted here.",
        ["no-room"] =
            "Nothing more can be written: the disk is full, or the folder cannot be written to. All told before is kept. "
            + "Make room, then tell this again.",
        ["not-put-back"] = "{0}",
        ["no-copy"] = "No copy was made: {0}",
        ["empty:time"] = "A time is wanted here.",
        ["empty:change"] = "A change is wanted here.",
        ["empty:name"] = "A name is wanted here.",
        ["empty:note"] = "A note is wanted here; it may be empty text.",
        ["too-long:name"] = "This name has {0} characters; {1} are the most.",
        ["too-long:note"] = "This note has {0} characters; {1} are the most.",
        ["not-plain:name"] = "A name is plain words: leave out < and >, pictures and control characters.",
        ["not-plain:note"] = "Leave out control characters.",

        // The dough and its ingredients.
        ["empty:dough"] = "A dough needs at least one row.",
        ["empty:part"] = "A part needs at least one row.",
        ["too-many:rows"] = "{0} rows; {1} are the most.",
        ["too-many:parts"] = "{0} parts; {1} are the most.",
        ["too-many:own"] = "{0} own ingredients are the most.",
        ["too-many:corrections"] = "That is more than a recipe teaches.",
        ["too-light"] = "No kitchen scale shows so little; {0} is the least.",
        ["too-heavy:row"] = "{0} is more than a kitchen weighs; {1} is the most.",
        ["no-liquid"] = "There is hardly any liquid in this dough: was a line left out?",
        ["no-leaven"] = "Nothing in this dough makes it rise: no yeast, starter, soda or baking powder.",
        ["no-flour"] = "None of these is flour. Say which row is, and percentages can be reckoned.",
        ["caustic"] =
            "A lye bath burns skin and eyes and needs gloves, goggles and trained practice: it is not supported. A soda "
            + "bath does nearly as well.",
        ["unknown-ingredient"] = "The pantry does not know “{0}”. Say what it does in the dough.",
        ["unknown-role"] = "Not one of the roles.",
        ["unknown:allergen"] = "Not one of the major allergens.",
        ["out-of-range:of-its-weight"] = "From {0} to {1} is wanted here, as a share of its weight.",
        ["out-of-range:whole"] = "Water, fat and sugar together are more than the whole.",
        ["too-long:line"] = "A line of a recipe is wanted here.",
        ["salt-low"] = "{0} salt; {1} to {2} is usual. It will taste flat and rise too fast. Add {3}.",
        ["salt-high"] = "{0} salt; {1} to {2} is usual. It will taste salty and rise slowly. Take away {3}.",
        ["yeast-low"] = "{0} yeast; {1} to {2} is usual. The rise may not fit the dough cycle. Add {3}.",
        ["yeast-high"] = "{0} yeast; {1} to {2} is usual. It will rise fast and taste of yeast. Take away {3}.",
        ["hydration-low"] = "{0} hydration; {1} to {2} is usual. The dough will be tight for this shape: water. Add {3}.",
        ["hydration-high"] = "{0} hydration; {1} to {2} is usual. The dough will be slack for this shape: water. Take away {3}.",
        ["starter-only"] =
            "Starter alone does not rise within a dough cycle: let the machine only knead, and give it hours in a bowl.",
        ["sugar-high"] = "{0} sugar slows ordinary yeast: allow more time, or use a yeast made for sweet dough.",

        // Changes to a dough.
        ["out-of-range:share"] = "More than none of it, and less than all.",
        ["out-of-range:times"] = "That is {0} times this dough; {1} to {2} times can be made.",
        ["unknown:yeast"] = "There is no such yeast in the pantry.",
        ["unknown:starter"] = "There is no such starter in the pantry.",
        ["unknown:flour"] = "There is no such flour in the pantry.",
        ["unknown:oil"] = "There is no such oil in the pantry.",
        ["nothing-to-swap:yeast"] = "There is no other yeast in this dough.",
        ["nothing-to-swap:starter"] = "There is not that much flour to take off.",
        ["nothing-to-swap:flour"] = "There is no such flour in this dough.",
        ["nothing-to-swap:milk"] = "There is no milk in this dough.",
        ["nothing-to-swap:butter"] = "There is no butter in this dough.",
        ["too-dry"] = "There is not that much water to take away.",

        // Recipes that are read.
        ["empty:recipe"] = "There is nothing here to read.",
        ["too-long:recipe"] = "This has {0} characters; a recipe of up to {1} can be read.",
        ["not-readable:json"] = "This is no JSON that can be read.",
        ["not-readable:json-line"] = "This JSON breaks off or is too deep, in line {0}.",
        ["not-readable:no-recipe"] = "There is no recipe in this.",
        ["unknown:format"] = "json-ld, text or markdown.",

        // Machine, pan and liquid.
        ["capacity:flour"] = "{0} of flour is over the {1} of {2}. Scale the dough to {3} and it fits.",
        ["capacity:dough"] = "{0} of dough is over the {1} of {2}. Scale the dough to {3} and it fits.",
        ["unknown:machine"] = "There is no such machine in this kitchen.",
        ["unknown:program"] = "There is no such program on this machine.",
        ["delay-start"] = "{0} may not stand for more than {1} at {2}. Start now.",
        ["delay-start:untold"] = "Whether {0} may stand is not known. Say in the pantry whether it spoils, or start now.",
        ["delay-start:milk"] = "{0} may not stand for more than {1} at {2}. Use dried milk and water, or start now.",
        ["out-of-range:timer"] = "Up to {0} on a timer.",
        ["by-hand"] = "Hands have no timer.",
        ["at-the-beep"] = "Somebody has to be there for what goes in at the beep.",
        ["refused"] = "Over {0} scalds, and kills the yeast. Let it cool and measure again.",
        ["hot-liquid"] = "Over {0} kills yeast. Let it cool and measure again.",

        // What it is cut into, and the shape.
        ["cuts"] = "From 1 to {0} cuts are wanted here, one of them to bake.",
        ["pieces:at-least-one"] = "1 or more is wanted here.",
        ["shaped:already"] = "These are {0} pieces, shaped already: they become nothing else.",
        ["pieces:of-one"] = "{0} pieces? From 1 to {1} can be divided.",
        ["pieces:altogether"] = "{0} pieces altogether? Up to {1} can be divided.",
        ["pieces:divided"] = "From 1 to {0} can be divided.",
        ["too-small"] = "{0} each is too small to shape; {1} is the least.",
        ["two-rests"] = "One line already takes the rest. Say how many here, and how heavy.",
        ["too-much"] = "These want {0}, and there will be {1} of dough.",
        ["left-over"] = "{0} of dough would be left over.",
        ["unknown:family"] = "There is no such bread.",
        ["unknown:wash"] = "There is no such wash.",
        ["unknown:pan"] = "There is no such pan in this kitchen.",
        ["does-not-fit:pan"] = "{0} does not hold even one of these.",
        ["empty:move"] = "A move is wanted here, such as “3 over 2”.",
        ["unreadable:move"] = "Not understood at “{0}”. A move is like “4 over 3 under 2”; commas between moves.",
        ["too-long:moves"] = "Up to {0} moves; the word repeats by itself.",
        ["unknown:place-of-strand"] = "Move {0}: there are {1} places, counted from the left.",
        ["not-neighbours"] = "Move {0}: a strand passes its neighbours one by one, in one direction.",
        ["out-of-range:moves"] = "From 0 to {0} moves.",
        ["out-of-range:log"] = "From {0} to {1} of log.",

        // Proof and oven.
        ["unknown:place"] = "There is no such place in this kitchen.",
        ["unknown:oven"] = "There is no such oven in this kitchen.",
        ["unknown:ways"] = "Not one of the ways.",
        ["room"] = "A kitchen of {0}? {1} to {2} can be reckoned with.",
        ["out-of-range:fridge"] = "Up to {0} in the fridge.",
        ["out-of-range:length"] = "From {0} to {1} is possible here.",
        ["out-of-range:bowl"] = "Up to {0} in the bowl.",
        ["too-cool"] = "Bread does not bake under {0}.",
        ["off-the-dial"] = "{0} goes from {1} to {2}.",
        ["does-not-fit:oven"] = "The {0} does not take this bread on its trays, or not this hot.",
        ["over-boiling"] = "Bread does not get to {0} inside: the tip touches the tin or has come out.",
        ["over-boiling:fahrenheit"] = "Bread does not get to {0} inside. {1} °F would be {2}: is the probe set to °F?",
        ["too-cold"] = "A piece in the oven is not frozen. Look at the probe.",
        ["falling"] = "It was {0} before. Push the tip into the middle again.",
        ["jumping"] = "From {0} to {1} in {2} min? The tip may touch the tin.",
        ["no-hint"] = "Past checks of this dough do not agree: there is nothing to write into it.",
        ["not-on-the-table"] = "The dough is not on the table.",
        ["not-in-the-oven"] = "These are not in the oven.",

        // The day.
        ["past"] = "This time has passed. Choose a later one.",
        ["far-off"] = "More than {0} days ahead. Choose a nearer time.",
        ["out-of-range:fresh"] = "Fresh within some minutes, up to {0}.",
        ["begun"] = "{0} has begun.",
        ["one-tray"] = "It is one tray; nothing is left without it.",
        ["unknown:bake"] = "There is no such bake.",
        ["unknown:open-step"] = "No such step is open.",
        ["out-of-range:ahead"] = "Up to {0} days ahead.",

        // The bench.
        ["future"] = "This time has not come yet.",
        ["too-long-ago"] = "More than {0} ago.",
        ["nothing-to-undo"] = "There is nothing at this place of the log to take back, or it was taken back already.",
        ["nothing-to-undo:day"] = "There is nothing to go back to.",
        ["bake-over"] = "This bake is over. Take back its end first.",
        ["unknown:part"] = "There are {0} parts, from 1.",
        ["unknown:load"] = "Nothing is loaded by this step.",
        ["unknown:proof"] = "Nothing is set to proof by this step.",
        ["unknown:step"] = "This bake has no such step.",
        ["out-of-range:rules"] = "There are no such newer rules to take.",
        ["out-of-range:place"] = "From {0} to {1} is a place for dough, or an oven cooling down.",
        ["already-done"] = "This step is behind us. Take it back first to tell it anew.",
        ["needs-answer"] = "This step ends with a reading or an answer.",
        ["wrong-event"] = "This is not how this step ends.",
        ["out-of-range:stars"] = "From 1 to 5.",
        ["too-heavy:scale"] = "No kitchen scale reads more than {0}.",
        ["id-used"] = "This id was used for another bake.",
        ["changed"] = "Somebody else changed this since you read it. Read it again, then say which holds.",
        ["conflict"] = "Something else was told in between. This is how it stands now; tell yours again if it still holds.",

        // The kitchen.
        ["empty:ovens"] = "A kitchen needs an oven.",
        ["out-of-range:by-hand"] = "Two hands are always there.",
        ["out-of-range:program-names"] = "Each program wants a name of its own.",
        ["out-of-range:phases"] = "One phase kneads; up to {0} in all.",
        ["out-of-range:phase"] = "Each phase takes from {0} to {1}.",
        ["out-of-range:dial"] = "From a lower to a higher setting, {0} to {1}.",
        ["out-of-range:hours"] = "From one time of the day to another.",
        ["out-of-range:gone"] = "From one time to a later one; up to {0}.",
        ["out-of-range:errand"] = "An errand ends within {0} days.",

        // What is kept, and what is sent.
        ["unreadable:newer"] = "It was written by a newer Jolly Knot.",
        ["unreadable:impossible"] = "It says what cannot be.",
        ["unreadable:unknown"] = "It holds something this version does not know.",
        ["unreadable:damaged"] = "It is damaged.",
        ["unreadable:damaged-at"] = "It is damaged at {0}.",
        ["unreadable:rules"] = "It cannot be reckoned by this version's rules.",
        ["unreadable:event"] = "Event {0}: {1}",
        ["set-aside"] = "This {0} is kept as it is, but cannot be read here: {1}",
        ["unknown:thing"] = "There is no such {0}.",
        ["not-readable:photo"] = "This is no picture of up to 600 kB as phones take them (JPEG).",
        ["not-readable:archive"] = "This is no file that Jolly Knot wrote: nothing was taken from it.",
        ["not-readable:sent"] = "This cannot be read: {0}",
        ["not-readable:missing"] = "This is missing.",
        ["not-readable:kind"] = "This is not what belongs here.",
        ["not-readable:value"] = "“{0}” cannot be read here.",
        ["not-readable:nothing"] = "Nothing was sent.",
        ["not-readable:type"] = "Say of which type this is.",
        ["not-readable:request"] = "{0}",
        ["not-readable:media"] = "Only JSON is read here.",
        ["too-large"] = "This is larger than anything a kitchen sends.",
        ["refused:address"] = "This address does not take that.",
        ["fault"] = "Something broke here. What was told before is kept.",
    }.ToFrozenDictionary();

    [GeneratedRegex(@"\{\d+\}")]
    private static partial Regex Placeholder();
}
