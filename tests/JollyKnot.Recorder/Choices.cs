// What somebody could choose, by chance, from what the kitchen offers.
using System.Text.Json.Nodes;

namespace JollyKnot.Recorder;

internal sealed class Choices(JsonNode kitchen, Dice dice)
{
    private static readonly string[] Covers = ["greased-film", "damp-cloth", "dry-cloth", "bare"];
    private static readonly string[] Steams = ["none", "tray", "stones", "mist"];
    private static readonly string[] Coolings = ["rack", "cloth", "cooling-oven"];
    private static readonly string[] Laters = ["wait", "shaped-later", "held-cool"];
    private static readonly double[] Heats = [160, 175, 180, 190, 200, 210, 225, 240, 250];

    public JsonObject Bake(DateTimeOffset now, DateTimeOffset? readyBy = null)
    {
        var choice = new JsonObject
        {
            ["machineId"] = Of("machines"),
            ["ovenId"] = dice.Chance(.85) ? "wall" : Of("ovens"),
            ["placeId"] = Of("places"),
            ["cuts"] = Cuts(),
        };
        if (readyBy is { } by)
            choice["readyBy"] = by;
        else if (dice.Chance(.4))
            choice["readyBy"] = now.AddMinutes(15 * dice.Between(16, 60));
        if (dice.Chance(.2))
            choice["room"] = dice.Between(15, 28);
        if (dice.Chance(.15))
            choice["cold"] = 3600 * dice.Between(8, 14);
        if (dice.Chance(.15))
            choice["timer"] = 3600 * dice.Between(2, 8);
        if (dice.Chance(.25))
            choice["fresh"] = 900 * dice.Between(1, 8);
        if (dice.Chance(.3))
            choice["bath"] = dice.Chance(.5) ? "in-the-pot" : "dip-after-boil";
        if (dice.Chance(.3))
            choice["school"] = new JsonObject { ["bloom"] = dice.Chance(.5), ["holdBack"] = dice.Chance(.5) };
        if (dice.Chance(.4))
            choice["after"] = new JsonObject { ["early"] = dice.Chance(.3), ["bulk"] = 600 * dice.Between(0, 8) };
        if (dice.Chance(.5))
            choice["ways"] = Ways();
        return choice;
    }

    private JsonArray Cuts()
    {
        var cuts = new JsonArray();
        for (var i = dice.Between(1, dice.Chance(.6) ? 1 : 3); i > 0; i--)
            cuts.Add(Cut());
        if (dice.Chance(.1))
            cuts.Add(new JsonObject { ["each"] = 50 * dice.Between(2, 5) });
        return cuts;
    }

    private JsonObject Cut()
    {
        var family = dice.Of(kitchen["families"]!.AsArray())!;
        var cut = new JsonObject { ["familyId"] = family["id"]!.DeepClone() };
        if (dice.Chance(.5))
            cut["pieces"] = dice.Between(1, family["usual"]!.GetValue<double>() > 200 ? 3 : 16);
        else if (dice.Chance(.3))
            cut["each"] = Math.Round(dice.Around(family["usual"]!.GetValue<double>(), .2));
        if (dice.Chance(.15))
            cut["heat"] = dice.Of(Heats);
        if (dice.Chance(.2))
            cut["washId"] = Of("washes");
        if (dice.Chance(.2))
            cut["panId"] = Of("tins");
        if (dice.Chance(.15))
            cut["touching"] = dice.Chance(.5);
        if (dice.Chance(.1))
            cut["ovenId"] = Of("ovens");
        if (dice.Chance(.05))
            cut["cold"] = 3600 * dice.Between(6, 12);
        return cut;
    }

    private JsonObject Ways()
    {
        var ways = new JsonObject
        {
            ["cover"] = dice.Of(Covers),
            ["scoresFirst"] = dice.Chance(.3),
            ["washesFirst"] = dice.Chance(.3),
            ["buttered"] = dice.Chance(.3),
            ["later"] = dice.Of(Laters),
        };
        if (dice.Chance(.5))
            ways["steam"] = dice.Of(Steams);
        if (dice.Chance(.5))
            ways["cooling"] = dice.Of(Coolings);
        return ways;
    }

    private string Of(string list) => dice.Of(kitchen[list]!.AsArray())!["id"]!.GetValue<string>();
}
