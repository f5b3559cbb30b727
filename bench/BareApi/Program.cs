// The empty app of the same stack: what a minimal API costs before it does anything.
var builder = WebApplication.CreateBuilder(args);
builder.Logging.SetMinimumLevel(LogLevel.Warning);
var app = builder.Build();
app.MapGet("/health", () => new { status = "ready" });
app.MapPost("/empty", (Body body) => body);
app.Run();

internal sealed record Body(string Name);
