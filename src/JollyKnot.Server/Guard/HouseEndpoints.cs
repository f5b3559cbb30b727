// Who of the house came in, where the house is, and how to leave.
using System.Collections.Immutable;
using JollyKnot.Server.Hosting;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Http.HttpResults;

namespace JollyKnot.Server.Guard;

/// <summary>A device that came in.</summary>
/// <param name="IsThis">It is the one that asks.</param>
public sealed record DeviceView(Guid Id, string Name, DateTimeOffset Since, DateTimeOffset Seen, bool IsThis);

/// <summary>The house network.</summary>
/// <param name="IsOpen">Whether it was asked for.</param>
/// <param name="Address">Where a new device begins; null while it is shut.</param>
/// <param name="Devices">Who came in.</param>
public sealed record HouseView(bool IsOpen, string? Address, ImmutableArray<DeviceView> Devices);

/// <summary>The house over HTTP.</summary>
public static class HouseEndpoints
{
    /// <summary>Maps the house.</summary>
    public static void MapHouse(this Answers app)
    {
        app.MapGet("/api/house", Show).WithName("house").WithSummary("The house network, and who came in.");
        app.MapDelete("/api/house/devices/{id:guid}", SendAway).WithName("sendAway").WithSummary("Sends a device away.");
        app.MapPost("/api/house/out", LogOut).WithName("logOut").WithSummary("Lets this device leave.");
    }

    private static async Task<HouseView> Show(HttpContext context, HouseNetwork house, KnownDevices devices)
    {
        var here = Door.DeviceOf(context.User);
        return new(
            house.IsOpen,
            house.Address(),
            [
                .. (house.IsOpen ? await devices.All() : []).Select(d => new DeviceView(
                    d.Id,
                    d.Name,
                    d.Since,
                    d.Seen,
                    d.Id == here
                )),
            ]
        );
    }

    private static async Task<Results<Ok<HouseView>, ProblemHttpResult>> SendAway(
        Guid id,
        HttpContext context,
        HouseNetwork house,
        KnownDevices devices
    ) => await devices.Leave(id) ? TypedResults.Ok(await Show(context, house, devices)) : Problems.Missing("device");

    private static async Task<NoContent> LogOut(HttpContext context, KnownDevices devices)
    {
        if (Door.DeviceOf(context.User) is { } id)
        {
            await devices.Leave(id);
            await context.SignOutAsync(Door.Scheme);
        }
        return TypedResults.NoContent();
    }
}
