using Microsoft.AspNetCore.Routing.Patterns;

namespace JollyKnot.Server.Hosting;

/// <summary>
/// Who answers at which address. An answer is put together when it is first asked for: a house is open before all of them are.
/// </summary>
/// <param name="house">Where calls arrive.</param>
/// <param name="atOnce">All are put together at once, for the API's document: it says what each hears and answers.</param>
public sealed class Answers(IEndpointRouteBuilder house, bool atOnce)
{
    /// <summary>Says something.</summary>
    public RouteHandlerBuilder MapGet(string address, Delegate answer) => Map(HttpMethods.Get, address, answer);

    /// <summary>Takes something, or reckons it.</summary>
    public RouteHandlerBuilder MapPost(string address, Delegate answer) => Map(HttpMethods.Post, address, answer);

    /// <summary>Keeps something in the place of what was there.</summary>
    public RouteHandlerBuilder MapPut(string address, Delegate answer) => Map(HttpMethods.Put, address, answer);

    /// <summary>Takes something away.</summary>
    public RouteHandlerBuilder MapDelete(string address, Delegate answer) => Map(HttpMethods.Delete, address, answer);

    private RouteHandlerBuilder Map(string method, string address, Delegate answer) =>
        atOnce
            ? house.MapMethods(address, [method], answer)
            : new([house.MapMethods(address, [method], Later(method, address, answer))]);

    private RequestDelegate Later(string method, string address, Delegate answer)
    {
        var made = new Lazy<RequestDelegate>(() =>
            RequestDelegateFactory
                .Create(
                    answer,
                    new()
                    {
                        ServiceProvider = house.ServiceProvider,
                        RouteParameterNames = RoutePatternFactory.Parse(address).Parameters.Select(p => p.Name),
                        ThrowOnBadRequest = true,
                        DisableInferBodyFromParameters = HttpMethods.IsGet(method) || HttpMethods.IsDelete(method),
                    }
                )
                .RequestDelegate
        );
        return call => made.Value(call);
    }
}
