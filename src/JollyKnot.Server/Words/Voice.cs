using System.Collections.Immutable;
using System.Globalization;
using JollyKnot.Core.Baking;
using JollyKnot.Core.Cautions;
using JollyKnot.Core.Dividing;
using JollyKnot.Core.Doughs;
using JollyKnot.Core.Finishing;
using JollyKnot.Core.Learning;
using JollyKnot.Core.Machines;
using JollyKnot.Core.Measures;
using JollyKnot.Core.Plans;
using JollyKnot.Core.Proofing;
using JollyKnot.Core.Scheduling;
using JollyKnot.Core.Shaping;
using JollyKnot.Core.Steps;

namespace JollyKnot.Server.Words;

/// <summary>How a step is said.</summary>
/// <param name="Short">In a list: what, in a few words.</param>
/// <param name="Say">The bench sentence.</param>
/// <param name="Detail">What else helps, smaller; may be empty.</param>
/// <param name="Button">What the one control says.</param>
/// <param name="Figure">The number that matters.</param>
public sealed record Phrase(string Short, string Say, string Detail, string Button, Figure? Figure = null);

/// <summary>The words of the bench. All of them, so that one voice speaks, in the household's units.</summary>
/// <param name="units">What the household reads.</param>
public sealed class Voice(HouseholdUnits units)
{
    private readonly Measured measured = new(units);

    /// <summary>The household's own, for a scale of this step.</summary>
    public static ScaleUnitView Scale(Mass step) => Measured.Scale(step);

    /// <summary>How a step is said.</summary>
    public Phrase Of(Step step, BakeSpec spec, Station? station = null)
    {
        var about = step.About ?? new About();
        var batch = spec.Batches[step.Batch ?? 0];
        var (bread, family) = (batch.Bread, batch.Bread.Family);
        var (thing, count) = (about.Thing ?? "", about.Count ?? 0);
        return step.Kind switch
        {
            StepKind.FetchOut => new($"{Sentence(about.Thing!)} out of the fridge", $"Take the {about.Thing} out of the fridge.", "In an hour they are as warm as the room.", "Out"),
            StepKind.ComesToRoom => new($"The {about.Thing} warm up", "Butter and eggs come to the room.", "", ""),
            StepKind.FeedStarter => new(
                "Feed the starter", $"Feed the {thing}.", $"{Grams(about.Mass)} of it is wanted ripe, and some to keep. It is ripe when it domes and smells mild.", "Fed"),
            StepKind.MakePart => new(
                $"Make the {thing}", $"Make the {thing}.",
                $"{Grams(about.Mass)}: {string.Join(", ", Part(step, spec)?.Rows.Select(r => $"{Grams(r.Mass)} {r.Ingredient.Name}") ?? [])}.{(about.Length > TimeSpan.Zero ? $" {Span(about.Length)} at the hob; stir every 5." : "")} {Share(step, spec)}".Trim(), "Made"),
            StepKind.Bloom => new(
                "Bloom the yeast", $"Stir the yeast into warm {thing}.", $"At {Celsius(LiquidTemperature.Bloom.From)} to {Celsius(LiquidTemperature.Bloom.To)}, with a pinch of sugar. It foams within {Span(LoadSchool.Blooming)} if it is alive.",
                "Stirred in", Kilo(about.Mass)),
            StepKind.Knead => new("Knead", "Knead until smooth and springy, then cover the bowl.", $"About {Span(step.Length)}. Leave it to double.", "Kneaded and covered"),
            StepKind.Paddle => new(
                count > 1 ? $"{count} paddles in" : "Paddle in",
                count > 1 ? $"Put both paddles in the {Lower(thing)}." : $"Put the paddle in the {Lower(thing)}.",
                "Push until it sits. Have the scale and the pan at hand.", "In"),
            StepKind.WeighIn => new(
                $"Weigh in {thing}", $"Weigh in the {thing}.",
                $"{Grams(about.Running)} in the pan after this. {PanNote(about.Spot, spec.Machine)}".Trim(), "It is in", Kilo(about.Mass)),
            StepKind.StartCycle when spec.Machine.ByHand => new(
                "Mix it", "Mix it to a rough dough.", "No dry flour left at the bottom of the bowl.", "Mixed"),
            StepKind.StartCycle => new(
                "Start the dough cycle", $"Start program {spec.Machine.Program} on the {Lower(thing)}{(spec.Handling.Timer is { } timer ? $", its timer set so that it begins in {Span(timer)}" : "")}.",
                spec.Machine.Pulled ? $"This program runs on: you will be called after {Span(about.Length)}."
                    : $"It takes {Span(about.Length)}{(spec.Machine.Warms ? $", the first {Span(spec.Machine.KneadStart)} of it warming: nothing moves" : "")}; {(spec.Machine.Display == Display.FinishClock ? "its display shows the time of day it ends" : "its display counts down")}.",
                "It is running", new(spec.Machine.Program, "program")),
            StepKind.PaddleTurns => new(
                count > 1 ? "Do the paddles turn?" : "Does the paddle turn?",
                count > 1 ? "Do both paddles turn?" : "Does the paddle turn?", "Lift the lid and look; the dough should move.", "It turns"),
            StepKind.Check => new(
                count > 1 ? "Check the dough again" : "Check the dough", "Check the dough: look and touch.",
                (about.Mass is { } held ? $"{Grams(held)} {thing} held back: pour in what it wants, and tell how much. " : "")
                    + (spec.Machine.ByHand ? "Wanted: a ball, slightly tacky, that leaves the bowl clean." : "Scrape the corners down with a soft spatula first. Wanted: a ball, slightly tacky, walls clean."), "Kept"),
            StepKind.AddIns => new(
                $"Add {thing}", $"Add the {thing} now.", "Lid down again when it is mixed in.", "Added", Kilo(about.Mass)),
            StepKind.TakeOut when spec.Machine.ByHand => new(
                "Turn the dough out", "Turn the dough out and press the gas out gently.", "It should have about doubled in the bowl.", "It is out"),
            StepKind.TakeOut => new(
                "Take the dough out", "Take the dough out and press the gas out gently.",
                (spec.Handling.After is { Early: true } ? "Stop the machine first: the dough rises in a bowl. " : "") + (count > 1 ? $"Find all {count} paddles in it. " : "Find the paddle in it. ") + "Soak the pan at once.", "It is out"),
            StepKind.WeighDough => new(
                "Weigh the whole dough", "Weigh the whole dough.", "Every piece follows from this figure, not from the recipe.", "That is all of it", Kilo(about.Mass)),
            StepKind.Bulk => new("Rises in a bowl", "The dough is rising in its bowl.", "", ""),
            StepKind.Divide => new(
                $"Divide into {count}",
                station?.Next is { } next ? $"{Sentence(Piece(next, spec))}." : $"Divide into {count}.",
                "A few grams off is fine.", "Take it as it is"),
            StepKind.KeepCold => new(
                $"{Grams(about.Mass)} into the fridge", $"Put {Grams(about.Mass)} into the fridge.", "In an oiled, covered bowl with room to grow. It keeps until tomorrow.", "It is cold", Kilo(about.Mass)),
            StepKind.Shape => new($"Shape {Counted(batch)}", $"Shape {Counted(batch)}.", Shaping(family, about), "All shaped", AimFigure(about)),
            StepKind.StartProof => new(
                Marked("Set to proof", batch, spec), $"Cover {The(batch, spec)} and set them {thing}.",
                spec.Place.StartsAt is { } safe && spec.ColdOf(bread) is null
                    ? $"First let the oven fall to {Celsius(safe)} or below: after {Celsius(bread.Heat)} that takes {Span(Place.SafeAfter(bread.Heat, spec.Room))}; its dial begins at {Celsius(spec.Oven.Dial.From)}. No cloth or film in it."
                    : Of(spec.Way.Cover), "They are there"),
            StepKind.OutOfFridge => new(
                Marked(spec.ColdOf(bread) is null ? "Out of the cold" : "Out of the fridge", batch, spec), $"Take {The(batch, spec)} out of the {(spec.ColdOf(bread) is null ? "cold" : "fridge")} and set them {thing}.", "Cold dough wants its time: a big piece most.", "They are there"),
            StepKind.ColdProof => new(Marked("In the fridge", batch, spec), $"{Sentence(The(batch, spec, "they"))} are rising slowly {thing}.", "", ""),
            StepKind.Score => new(Marked("Score", batch, spec), $"Score {The(batch, spec)}.", "5 to 6 mm deep, a thin or serrated blade, once or in a cross.", "Scored"),
            StepKind.GriddleOn => new("Griddle on", $"Put the {Lower(thing)} on, {Celsius(about.Heat)}.", "Low heat: inside they need their time.", "It is on", measured.DegreeFigure(about.Heat!.Value)),
            StepKind.GriddleHeats => new("The griddle heats", "The griddle is heating.", "", ""),
            StepKind.Look => new(
                Marked(count > 1 ? "Look at the proof again" : "Look at the proof", batch, spec), $"Look at {The(batch, spec, "the proof")}: how much have they grown?",
                "Size decides, not the clock.", "Seen"),
            StepKind.ClearOven => new(
                "Dough out of the oven", $"Take the dough out of the {Lower(thing)} first.", "It goes on rising on the counter while the oven heats.", "It is out"),
            StepKind.OvenOn when step.InTimeFor is null || about.From is not null => new(
                $"Oven to {Dial(batch, spec)}", $"Turn the {Lower(thing)} to {Dial(batch, spec)}.", bread.Heat < (about.From ?? batch.WaitsFor(spec.Batches, spec.OvenOf(bread).Racks)?.Bread.Heat) ? "Leave the door ajar until it is there." : "", "Turned",
                DialFigure(batch, spec)),
            StepKind.OvenOn => new(
                $"{(spec.Batches.Any(b => b.Bread.Oven != bread.Oven) ? thing : "Oven")} on, {Dial(batch, spec)}", $"Switch the {Lower(thing)} on: {Dial(batch, spec)}.",
                $"See that it is empty{(bread.Pan is { IsStone: true } stone ? $", with the {Lower(stone.Name)} in it" : "")}.{(spec.SteamFor(bread) switch { Steam.Tray => " An old tray goes on the lowest rack.", Steam.Stones => " The steam stones go on the lowest rack in their tray, dry: only kinds sold for heat.", _ => "" })}", "It is on",
                DialFigure(batch, spec)),
            StepKind.PotOn => new(
                "Pot on", $"Put the {Lower(thing)} on to boil.", $"{spec.Pot.Litres.ToString("0.#", CultureInfo.InvariantCulture)} litres of water{(about.Mass is { } soda ? $"; {Grams(soda)} of baking soda, slowly, once it boils" : $"; and a litre of warm water with {Grams(Pot.DipSoda)} of baking soda for the dip")}.", "It is on",
                new(spec.Pot.Litres.ToString("0.#", CultureInfo.InvariantCulture), "litres")),
            StepKind.Bath => new(
                Marked("Through the soda bath", batch, spec), $"Boil {The(batch, spec)} {Text(about.Length!.Value.TotalSeconds)} s a side, {count} {(count == 1 ? "batch" : "batches")}.",
                (spec.Handling.Bath == PotSchool.DipAfterBoil ? $"Then {Text(Pot.Dip.TotalSeconds)} s in the warm soda dip. " : "") + "Drain a minute or two; salt while wet.", "All through", new(Text(about.Length.Value.TotalSeconds), "s a side")),
            StepKind.Brush => new(
                Marked($"Brush with {thing}", batch, spec), $"Brush {The(batch, spec)} with {thing}.", about.Mass is { Grams: > 0 } m ? $"About {Grams(m)} does all {count}{Egg(bread.Wash, m)}." : "", "Brushed"),
            StepKind.Load when bread.OnGriddle => new(
                Marked("The first on the griddle", batch, spec), $"Lay the first {Text(Math.Min(count, bread.AtOnce ?? 1))} on the {Lower(thing)}.", $"{Counted(batch)}, {bread.AtOnce} at a time; {Minutes(family.Bake.Length / 2)} a side.", "They are on", measured.DegreeFigure(about.Heat!.Value)),
            StepKind.Load => new(
                Marked("Load the oven", batch, spec), $"Load the {Lower(thing)}{(spec.Batches.Length > 1 ? $": {Counted(batch)}" : "")}.", $"{count} {family.Name}, {Dial(batch, spec)}.{(bread.Pan is { } pan ? pan.IsStone ? $" Straight onto the hot {Lower(pan.Name)}." : $" In or on the {Lower(pan.Name)}." : "")}{spec.SteamFor(bread) switch { Steam.Tray => $" A cup of hot water, {Text(Steaming.Cup)} mL, into the hot tray below.", Steam.Stones => " Half a cup of hot water over the stones.", Steam.Mist => " Spray the walls as you shut the door, not the glass or the lamp.", _ => "" }}", "They are in", DialFigure(batch, spec)),
            StepKind.Mist => new(Marked("Spray again", batch, spec), "Spray once more, quickly.", "Not on the glass or the lamp.", "Sprayed"),
            StepKind.Butter => new(Marked("Butter them", batch, spec), $"Brush {The(batch, spec)} with butter while hot.", $"About {Grams(about.Mass)} does all {count}.", "Buttered", Kilo(about.Mass)),
            StepKind.Turn => family.Thickness is null
                ? new(Marked(bread.Racks > 1 ? "Swap the racks" : "Turn the tray", batch, spec),
                    $"{(spec.SteamFor(bread).Stands() ? "Take the steam tray out. " : "")}{(bread.Racks > 1 ? "Swap the racks, and turn the trays round." : "Turn the tray round.")}", spec.SteamFor(bread).Stands() ? "From here the crust dries." : "", "Turned")
                : new("Flip them", "Flip the flatbreads.", "", "Flipped"),
            StepKind.FirstLook => new(Marked("First look", batch, spec), "Take a first look at the colour.",
                $"Through the glass, light on.{(family.Bake.Length >= BakeWindow.Tented ? " Brown already? Lay foil over, loosely." : "")}", "Looked"),
            StepKind.Unload when bread.OnGriddle => new(Marked("Off the griddle", batch, spec), $"Take the last of {The(batch, spec)} off the griddle.", "Under a cloth they stay soft. Doughy inside: a few minutes in an oven at 160 °C finish them.", "They are off"),
            StepKind.Unload => new(Marked("Out of the oven", batch, spec), $"Take {The(batch, spec)} out if they are brown and sound hollow.", $"Off the hot tray at once, or the base goes soggy. {Of(Keeping.Of(spec.Formula, family, about.Mass ?? family.Usual, false, spec.Way.Cooling).Cooling)}", "They are out"),
            StepKind.Review => new("Ready to eat", $"{Sentence(Bread(spec))}: ready. How were they?", "Break one open and look.", "Keep"),
            StepKind.Timer => new("The timer runs", "", "", ""),
            StepKind.Cycle => new("Dough cycle", "", "", ""),
            StepKind.StarterRipens => new("The starter ripens", "The starter is ripening.", "", ""),
            StepKind.PartCools => new($"The {thing} cools", $"The {thing} is cooling.", "", ""),
            StepKind.Blooms => new("The yeast blooms", "The yeast is blooming.", "", ""),
            StepKind.Proof or StepKind.ProofOnCounter => new(Marked("Second proof", batch, spec), $"{Sentence(The(batch, spec, "they"))} are rising {thing}.", "", ""),
            StepKind.Preheat => new("The oven heats", "The oven is heating.", "", ""),
            StepKind.PotHeats => new("The pot heats", "The pot is heating.", "", ""),
            StepKind.Bake when bread.OnGriddle => new(Marked("Griddle", batch, spec), $"{Sentence(The(batch, spec, "they"))} are on the griddle: turn each after {Minutes(about.Length!.Value)}.", "", ""),
            StepKind.Bake => new(Marked("Bake", batch, spec), $"{Sentence(The(batch, spec, "they"))} are baking.", "", ""),
            StepKind.Cool => new("Cool", "They are cooling.", "", ""),
            _ => throw new InvalidOperationException($"No words for {step.Kind}."),
        };
    }

    /// <summary>What goes on while nothing is wanted of the baker.</summary>
    public string Meanwhile(Slot? stretch, BakeSpec spec, DateTimeOffset now) => stretch switch
    {
        null => "Nothing to do yet.",
        { Step.Kind: StepKind.Timer } => "The machine waits for its timer.",
        { Step.Kind: StepKind.Cycle } when spec.Machine.ByHand => "The dough is rising in its bowl.",
        { Step.Kind: StepKind.Cycle } => spec.Machine.PhaseAt(now - stretch.Start)?.Kind switch
        {
            PhaseKind.Warm => $"The {Lower(spec.Machine.Name)} is warming. Nothing moves yet.",
            PhaseKind.Knead => $"The {Lower(spec.Machine.Name)} is kneading.",
            PhaseKind.Rise => "The dough is rising in the machine.",
            _ => "The dough cycle is nearly over.",
        },
        _ => Of(stretch.Step, spec).Say,
    };

    /// <summary>What is felt, in the order offered.</summary>
    public static string Of(DoughFeel feel) => feel switch
    {
        DoughFeel.Ragged => "Ragged, flour in the corners",
        DoughFeel.Stiff => "Stiff, knocks",
        DoughFeel.Right => "Right",
        DoughFeel.Sticky => "Sticks to the finger",
        _ => "Pools round the paddle",
    };

    /// <summary>A dose in grams and spoons.</summary>
    public string Of(Dose dose) => dose switch
    {
        { Water.Grams: > 0 } => $"{Grams(dose.Water)} water, {Spoons(dose.Water / DoughCheck.WaterSpoon)}",
        { Flour.Grams: > 0 } => $"{Grams(dose.Flour)} flour, {Spoons(dose.Flour / DoughCheck.FlourSpoon)}",
        _ => "Leave it alone",
    };

    /// <summary>What was put right with a change to a dough.</summary>
    public string Of(PutRight note) => note switch
    {
        EggsWhole eggs => $"{eggs.Count} whole {eggs.Egg}{(eggs.Count > 1 ? "s" : "")} instead of {Grams(eggs.InsteadOf)}; {eggs.Liquid} makes up the rest",
        OtherWater { By: var by } => $"{Grams(by > Mass.Zero ? by : Mass.Zero - by)} {(by > Mass.Zero ? "more" : "less")} water",
        _ => throw new ArgumentOutOfRangeException(nameof(note), note, null),
    };

    /// <summary>What past checks say, a line each.</summary>
    public ImmutableArray<string> Of(DoseMemory memory, Mass flour)
    {
        ArgumentNullException.ThrowIfNull(memory);
        var lines = memory.Past.Take(1).Select(p =>
            $"{(p.SameDough ? "Last time" : "Same flour")}, {p.Season.ToString().ToLowerInvariant()}: {(p.Added == Dose.None ? "nothing added" : Of(p.Added))}{(p.Feel is { } felt ? $", {Felt(felt).ToLowerInvariant()} at take-out" : "")}.");
        return Math.Abs(memory.Lately.Fraction) < DoseMemory.Noise.Fraction ? [.. lines]
            : [.. lines, $"On average it wanted {Grams(flour * Math.Abs(memory.Lately.Fraction))} {(memory.Lately.Fraction > 0 ? "more" : "less")} water."];
    }

    /// <summary>How the dough felt at take-out.</summary>
    public static string Felt(DoughFeel feel) => feel switch { DoughFeel.Stiff or DoughFeel.Ragged => "Tight", DoughFeel.Right => "Right", _ => "Still sticky" };

    /// <summary>What likely went wrong.</summary>
    public static string Of(Slip slip) => slip switch
    {
        Slip.ForgottenLiquid => "A liquid was left out: egg, butter, the rest of the milk?",
        Slip.ForgottenFlour => "Flour was left out, or a liquid went in twice?",
        Slip.DippedCups => "Cups dipped into the flour hold a sixth more.",
        Slip.WetAddIn => "Something wet gave up more water than reckoned.",
        Slip.DrinksLate => "Wholemeal, rye and oats drink late: give it ten minutes.",
        _ => "Another flour than usual?",
    };

    /// <summary>What is seen at a look.</summary>
    public static string Of(Seen seen) => seen switch
    {
        Seen.Nothing => "Nothing yet",
        Seen.Third => "A third",
        Seen.Half => "Half",
        Seen.ThreeQuarters => "Three quarters",
        Seen.Doubled => "Doubled",
        Seen.SpringsBack => "Springs straight back",
        Seen.SlowDent => "Comes back slowly",
        Seen.Stays => "The dent stays",
        _ => "More than doubled",
    };

    /// <summary>What to do when a proof goes wrong, kindly.</summary>
    public static string Of(ProofTrouble trouble, Family family)
    {
        ArgumentNullException.ThrowIfNull(family);
        return trouble switch
        {
            ProofTrouble.DeadYeast => "Two looks and nothing: the yeast is most likely dead. It is nobody's fault. Knead in fresh yeast stirred in a spoon of warm water and give it an hour, or roll it thin and bake it flat on a hot pan.",
            ProofTrouble.Over => family.Form is Form.Plait or Form.Coil or Form.Rope
                ? "Risen too far. Into the hot oven now, and gently: it will be flatter but good. What has collapsed is rolled up anew and given half the time."
                : family.Form is Form.Loaf or Form.Swirl ? "Risen too far. Press it down, shape it again and give it half the time, or bake it now and expect a dip in the middle."
                : "Risen too far. Round them again and give them half the time, or press them flat, oil them and bake flatbread.",
            ProofTrouble.Contradicts => "That does not fit what was seen before. Both are kept; look once more.",
            ProofTrouble.TooWarm => "It is too warm there: over 45 °C the yeast stops, and dies a little later. Move them somewhere cooler now.",
            _ => "They will not get there where they stand. Somewhere warmer, or an evening in the fridge on purpose.",
        };
    }

    /// <summary>What lies over the second proof.</summary>
    public static string Of(Cover cover) => cover switch
    {
        Cover.GreasedFilm => "Greased film does not stick.",
        Cover.DampCloth => "A damp cloth; lift it off before it sticks.",
        Cover.DryCloth => "A light dry cloth.",
        _ => "Uncovered: spray or wash them if the skin dries.",
    };

    /// <summary>How it cools.</summary>
    public static string Of(CoolingWay way) => way switch
    {
        CoolingWay.Rack => "On a rack, uncovered: the crust stays crisp.",
        CoolingWay.Cloth => "Under a cloth the crust stays soft.",
        _ => "Back in the oven, off and ajar, for ten minutes: the crust dries crisp. Wet steam trays out first.",
    };

    // On the oven's own dial where it is marked in °F, whatever the household reads elsewhere.
    private string Dial(Batch batch, BakeSpec spec) => DialFigure(batch, spec) is var f ? $"{f.Value} {f.Unit}" : "";

    private Figure DialFigure(Batch batch, BakeSpec spec) => spec.OvenOf(batch.Bread).Marks == DialMarks.Celsius5
        ? measured.DegreeFigure(batch.Bread.Heat) : new(Text(batch.Bread.Heat.Fahrenheit), "°F");

    private static string Egg(Wash wash, Mass mass) => !wash.Egg ? "" : Keeping.EggFor(mass) switch
    {
        EggNeed.Yolk => ": a yolk and a spoon of water is enough",
        _ when wash.Id == "yolk" => $": {Math.Ceiling(mass / Keeping.YolkWash)} yolks, each with a spoon of water",
        EggNeed.Half => ": half an egg; the rest goes in the fridge and into an omelette within 2 days",
        _ => "",
    };

    /// <summary>A caution.</summary>
    public string Of(Caution caution, BakeSpec spec) => caution switch
    {
        Caution.MachineHands => "Fingers, hair and sleeves stay out while the paddle turns. Soft spatula only. Unplug before reaching for the paddle.",
        Caution.RawDough => "Raw flour and raw egg can carry germs. Do not taste; wash hands and tools.",
        Caution.WarmOvenProof => "No heating while dough is inside; a light or a proof setting is fine. Leave a note on the knob. No cloth or film in a warm oven.",
        Caution.TooWarm => "The dough gets warmer than 38 °C here: the skin dries and the yeast slows. A cooler place is safer.",
        Caution.BoilingBath => "Fill a wide pot no more than half. Soda foams: add it slowly. Slotted spoon, no aluminium, children away.",
        Caution.HotSurfaces => $"Dry gloves. Check the parchment's limit: many end at 220 °C. Above it, cornmeal or a bare hot tray.{(spec.Batches.Any(b => b.Bread.Pan?.IsStone == true) ? " The stone stays hot for an hour." : "")}",
        Caution.ChokingAllergen => $"Contains {string.Join(", ", spec.Dough.Allergens)}.",
        Caution.HoneyInfant => "Honey inside: not for babies under 12 months.",
        Caution.CoolDown => "The centre stays above 90 °C for minutes. Wait before breaking one.",
        Caution.Garlic => "Raw garlic and herbs in butter or oil: chill within 2 hours, use within 4 days, or freeze.",
        Caution.KeepCold => "Filled or topped with what spoils: into the fridge within 2 hours, eaten within 3 days.",
        Caution.HotLiquid => $"Over {Celsius(LiquidTemperature.OnYeast)} kills bare yeast, over {Celsius(LiquidTemperature.Refused)} scalds. Measure again before it touches the yeast.",
        Caution.Steam => "Steam burns. Gloves, face away, open the door slowly; no water on the glass or the lamp.",
        Caution.Blade => "Cut away from the hand that holds.",
        Caution.ColdGlass => "A cold glass or ceramic dish can shatter in a hot oven: let it warm first, or use metal.",
        Caution.LeftoverWash => "Egg wash left over goes in the fridge now, and into something cooked within 2 days.",
        _ => throw new InvalidOperationException($"No words for {caution}."),
    };

    private static string PanNote(Spot? spot, Machine machine) => spot switch
    {
        Spot.Dimple => "Into a dimple in the flour, dry, away from the salt.",
        Spot.Bottom when machine.ByHand => "",
        Spot.Bottom => "First, on the bottom, where it stays dry.",
        Spot.FirstCorner => "Into a corner, away from the yeast.",
        Spot.SecondCorner => "Into the corner across.",
        _ => "",
    };

    private static Part? Part(Step step, BakeSpec spec) => spec.Dough.Parts.Where((_, i) => Chain.PartStep(i) == step.Id).FirstOrDefault();

    // Shared out like the dough: each piece its part.
    private string Share(Step step, BakeSpec spec) => Part(step, spec) is { Kind: not PartKind.Wash } part ? $"{Grams(part.Total / spec.Batches.Sum(b => b.Pieces))} for each." : "";

    private string Shaping(Family family, About about)
    {
        var size = about.Aim switch
        {
            { Rope: { } rope, Thickness: { } thick } => $"{(family.Strands > 1 ? "Strands" : family.Form == Form.Log ? "Logs" : "Ropes")} of {Millimetres(rope)}, about {Millimetres(thick)} thick; roll {Millimetres(Length.FromMillimetres(rope.Millimetres * (1 + Sizes.ShrinkBack)))}, they shrink back.",
            { Sheet: { } sheet, Thickness: { } thick } => $"Flatten it to {Millimetres(sheet.Length)} by {Millimetres(sheet.Width)}, {Millimetres(thick)} thick.",
            { Across: { } across, Thickness: { } thick } => $"Rolled {Millimetres(thick)} thin they are {Millimetres(across)} across.",
            { Across: { } across } => $"About {Millimetres(across)} across, skin stretched, seam under.",
            _ => "",
        };
        return $"{size} {How(family.Form)} {Sticky(family.Sticky)}".Trim();
    }

    /// <summary>A filling or topping shared out among the bread, in whole scale units that add up to all of it, and what of it each piece of a cut gets.</summary>
    public string Shared(Part part, Station station, BakeSpec spec, int cut)
    {
        var pieces = station.Pieces.Where(p => spec.Cuts[p.Cut].Bread is not null).GroupBy(p => (p.Cut, p.Of)).ToList();
        var shares = Targets.Share(station.Units(part.Total), [.. pieces.Select(g => g.Sum(p => p.Weighed ?? p.Target))]);
        var own = pieces.Zip(shares).Where(p => p.First.Key.Cut == cut).GroupBy(p => p.Second).OrderByDescending(g => g.Count()).ToList();
        return $"{Sentence(part.Name)}: {(own.Count == 1 ? $"{Grams(spec.Step * own[0].Key)} for each" : string.Join(", ", own.OrderBy(g => g.Key).Select(g => $"{Grams(spec.Step * g.Key)} for {g.Count()}")))}.";
    }

    /// <summary>What the hands do, in a sentence or two.</summary>
    public static string How(Form form) => form switch
    {
        Form.Ball => "Gather under, pinch the base, keep the skin on top whole.",
        Form.Disc => "Ball, rest, then press or roll out; keep turning it.",
        Form.Rope => "Roll from the middle out; thin ends.",
        Form.Plait => "Roll the strands even. Pinch both ends and turn them under.",
        Form.Log => "Flatten, roll up towards you, pinch the seam; seam down, ends tucked.",
        Form.Coil => "Wind it round itself, loosely, and seal the end underneath.",
        Form.Loaf => "Flatten to the tin's length, roll up, pinch the seam; seam down.",
        Form.Swirl => "Roll to a rectangle, fill to the edges less a finger, roll up, pinch.",
        Form.Tray => "Stretch with fingertips to the corners; rest it if it pulls back.",
        _ => "Roll the sheet even, press out, gather the scraps and roll once or twice more.",
    };

    /// <summary>What helps against sticking.</summary>
    public static string Sticky(StickySchool school) => school switch
    {
        StickySchool.Flour => "A little flour if it sticks; water tears it.",
        StickySchool.Oil => "Oiled hands if it sticks.",
        _ => "Wet hands if it sticks.",
    };

    /// <summary>Before the first move of a plait.</summary>
    public static string Start(int strands) => $"Lay {strands} strands side by side, pinched together at the top.";

    /// <summary>Between the halves of a plait worked from the middle.</summary>
    public const string TurnRound = "Turn it round. The other half is the mirror image.";

    /// <summary>A move of a plait.</summary>
    public static string Of(Move move)
    {
        ArgumentNullException.ThrowIfNull(move);
        var runs = new List<(bool Over, int Count)>();
        foreach (var over in move.Over)
            if (runs.Count > 0 && runs[^1].Over == over) runs[^1] = (over, runs[^1].Count + 1);
            else runs.Add((over, 1));
        return $"Strand {move.From} {string.Join(", ", runs.Select(r => $"{(r.Over ? "over" : "under")} {r.Count} {(r.Count == 1 ? "neighbour" : "neighbours")}"))}, to the {(move.Rightwards ? "right" : "left")}.";
    }

    /// <summary>A plait's moves as one would type them.</summary>
    public static string Of(Plait plait)
    {
        ArgumentNullException.ThrowIfNull(plait);
        return string.Join(", ", plait.Word.Select(m => $"{m.From} {string.Join(" ", m.Over.Select((over, i) => $"{(over ? "over" : "under")} {m.From + (m.Rightwards ? i + 1 : -i - 1)}"))}"));
    }

    /// <summary>What a plait word amounts to.</summary>
    public static ImmutableArray<string> Of(PlaitCheck check, Plait plait)
    {
        ArgumentNullException.ThrowIfNull(check);
        ArgumentNullException.ThrowIfNull(plait);
        return
        [
            check.EveryStrandTravels ? check.SameWay ? "Every strand travels, all the same way." : "Every strand travels." : "A strand just hangs there: no move takes it along.",
            check.HoldsTogether ? "It holds together." : "It falls apart: some strands only ever lie on top of the others.",
            $"It repeats every {Count(plait.Word.Length, "move")}; after {Count(check.Rounds, "round")} each strand lies where it began.",
        ];

        static string Count(int n, string what) => n == 1 ? $"1 {what}" : $"{n} {what}s";
    }

    /// <summary>Steps of a tie.</summary>
    public static ImmutableArray<string> Steps(Ties.Kind tie) => tie switch
    {
        Ties.Kind.Knot => ["Lay the rope straight.", "Make a loop: one end over the other.", "Take the end once through the loop and draw it snug."],
        Ties.Kind.Pretzel => ["Lay a U, thin ends up.", "Cross the ends once.", "Cross them again: one full twist.", "Fold the ends down over the curve and press them on."],
        _ => ["Begin in the middle, a small hook.", "Wind it round itself, loosely.", "All wound: seal the end underneath."],
    };

    /// <summary>A beat at the pot.</summary>
    public static string Of(PotBeat beat)
    {
        ArgumentNullException.ThrowIfNull(beat);
        return beat.Act switch
        {
            PotAct.In => $"Batch {beat.Batch}: {beat.Pieces} in.",
            PotAct.Turn => "Turn them.",
            PotAct.Dip => "Into the warm dip.",
            _ => "Out. Drain, and salt while wet.",
        };
    }

    /// <summary>Between the machine and the divide, in a few words.</summary>
    public static string Of(AfterCycle after)
    {
        ArgumentNullException.ThrowIfNull(after);
        return after.Bulk <= TimeSpan.Zero ? "divide now"
            : after.Early ? $"out early, {Span(after.Bulk)} in a bowl"
            : after.IsRest ? $"rest {Span(after.Bulk)}" : $"{Span(after.Bulk)} in a bowl";
    }

    /// <summary>Which piece or strand.</summary>
    public static string Piece(Piece piece, BakeSpec spec)
    {
        var cut = spec.Cuts[piece.Cut];
        if (cut.Bread is null) return "the share for the fridge";
        var one = spec.Cuts.Length > 1 ? One(cut.Bread.Family.Name) : "piece";
        return cut.Strands > 1 ? $"strand {piece.Strand} of {cut.Strands}, {(cut.Bread.Family.Form == Form.Plait ? "plait" : one)} {piece.Of} of {cut.Pieces}" : $"{one} {piece.Of} of {cut.Pieces}";
    }

    /// <summary>What a bake becomes.</summary>
    public static string Bread(BakeSpec spec) => string.Join(", ", spec.Cuts.Where(c => c.Bread is not null).Select(c => Counted(c.Pieces, c.Bread!.Family)));

    // Where several batches go their own ways, each is named.
    private string Marked(string text, Batch batch, BakeSpec spec) => spec.Batches.Length == 1 ? text : $"{text}: {Which(batch, spec)}";
    private string The(Batch batch, BakeSpec spec, string? alone = null) => spec.Batches.Length == 1 ? alone ?? "them" : $"the {Which(batch, spec)}";
    private string Which(Batch batch, BakeSpec spec)
    {
        var name = spec.Cuts.Count(c => c.Bread?.Family == batch.Bread.Family) > 1 ? $"{batch.Bread.Family.Name} of {Grams(spec.Cuts[batch.Cut].Each)}" : batch.Bread.Family.Name;
        return spec.Batches.Count(b => b.Cut == batch.Cut) > 1 ? $"{name}, load {batch.Load}" : name;
    }

    private Figure? AimFigure(About about) => about.Aim switch
    {
        { Rope: { } rope } => measured.LengthFigure(rope, "long"),
        { Across: { } across } => measured.LengthFigure(across, "across"),
        { Sheet: { } sheet } => measured.LengthFigure(sheet.Length, "long"),
        _ => null,
    };

    private static string Counted(Batch batch) => Counted(batch.Pieces, batch.Bread.Family);
    private static string Counted(int pieces, Family family) => pieces == 1 ? "one " + One(family.Name) : $"{pieces} {family.Name}";
    private static string One(string plural) => plural.EndsWith("loaves", StringComparison.Ordinal) ? plural[..^3] + "f" : plural[..^1];
    private static string Sentence(string text) => char.ToUpperInvariant(text[0]) + text[1..];
    private static string Lower(string name) => name.Length > 1 && char.IsUpper(name[0]) && char.IsLower(name[1]) ? char.ToLowerInvariant(name[0]) + name[1..] : name;
    private string Celsius(Temperature? heat) => measured.Degree(heat!.Value);

    /// <summary>A temperature in the household's degrees.</summary>
    public string Degree(Temperature heat) => measured.Degree(heat);

    /// <summary>A mark to cut at.</summary>
    public string Mark(Length at) => measured.Mark(at);

    /// <summary>A mass as a kitchen weighs it.</summary>
    public string Grams(Mass? mass) => measured.Grams(mass);

    private string Millimetres(Length length) => measured.Length(length);
    private Figure? Kilo(Mass? mass) => measured.MassFigure(mass);
    private static string Spoons(double spoons) => Measured.Spoons(spoons);
    private static string Text(double value) => Measured.Whole(value);
    private static string Minutes(TimeSpan span) => Measured.Minutes(span);

    /// <summary>A length of time as people say it.</summary>
    public static string Span(TimeSpan? span) => Measured.Span(span);
}
