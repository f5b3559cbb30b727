using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Text;
using JollyKnot.Store;

namespace JollyKnot.Server.Guard;

/// <summary>The house network: shut unless asked for with a passphrase; then whoever knows it comes in, and calendars by a key of
/// their own.</summary>
public sealed class HouseNetwork(Settings settings, IConfiguration configuration, Folder folder)
{
    /// <summary>What the keys are made with.</summary>
    internal static readonly DocumentKind<string> Salt = new("house-salt");

    private const string Said = "JOLLY_PASSPHRASE",
        Asked = "house";
    private const int Rounds = 200_000,
        KeyBytes = 32,
        UsualPort = 5210;

    private byte[]? key;

    /// <summary>Whether the network was asked for.</summary>
    public bool IsOpen { get; } = configuration.GetValue(Asked, false);

    /// <summary>Makes the keys from the passphrase; they stay the same as long as it does.</summary>
    /// <exception cref="NotOurBookException">The network is asked for without a passphrase long enough.</exception>
    public async Task Start()
    {
        if (!IsOpen)
            return;
        var said = configuration[Said];
        if (said is null || !Passphrase.IsLongEnough(said))
            throw new NotOurBookException(
                $"--{Asked} opens Jolly Knot to the house network: set {Said} to a passphrase of at least four words or "
                    + $"14 characters; for example: {Passphrase.Suggest()}"
            );
        var salt = await settings.Get(Salt);
        if (salt is null)
            await settings.Set(Salt, salt = Convert.ToBase64String(RandomNumberGenerator.GetBytes(KeyBytes)));
        key = Rfc2898DeriveBytes.Pbkdf2(said, Convert.FromBase64String(salt), Rounds, HashAlgorithmName.SHA256, KeyBytes);
    }

    /// <summary>The key that opens the house to a browser.</summary>
    public string Door => Token("door");

    /// <summary>The key in the calendar's address: it opens the calendar and nothing else.</summary>
    public string Calendar => Token("calendar");

    /// <summary>Whether this is the passphrase.</summary>
    public bool Knows(string said) => configuration[Said] is { } passphrase && Same(said, passphrase);

    /// <summary>Whether two keys are the same, in the same time whatever they are.</summary>
    public static bool Same(string a, string b) =>
        CryptographicOperations.FixedTimeEquals(
            SHA256.HashData(Encoding.UTF8.GetBytes(a)),
            SHA256.HashData(Encoding.UTF8.GetBytes(b))
        );

    /// <summary>Where this machine is answered.</summary>
    public static int PortOf(IConfiguration configuration) => configuration.GetValue("port", UsualPort);

    /// <summary>Where the house is answered without being heard: one further.</summary>
    public static int SecurePortOf(IConfiguration configuration) =>
        configuration.GetValue("secure-port", PortOf(configuration) + 1);

    /// <summary>Where a new device begins; null while the network is shut.</summary>
    public string? Address() => IsOpen ? $"http://{Reached()}:{PortOf(configuration)}" : null;

    /// <summary>Where a device goes that trusts the house.</summary>
    /// <param name="host">What it calls this machine.</param>
    public string SecureAddress(string host) => $"https://{host}:{SecurePortOf(configuration)}";

    /// <summary>The calendar's address for others in the house; null while the network is shut.</summary>
    public string? CalendarAddress() => IsOpen ? $"{SecureAddress(Reached())}/api/day.ics?key={Calendar}" : null;

    /// <summary>The authority's certificate, without its key.</summary>
    public byte[] Authority()
    {
        using var authority = new HouseCertificates(folder.Path).Authority();
        return authority.Export(System.Security.Cryptography.X509Certificates.X509ContentType.Cert);
    }

    private static string Reached() => Addresses().FirstOrDefault()?.ToString() ?? Environment.MachineName;

    /// <summary>Addresses of this machine that others in the house can reach.</summary>
    internal static IEnumerable<IPAddress> Addresses() =>
        NetworkInterface
            .GetAllNetworkInterfaces()
            .Where(n => n.OperationalStatus == OperationalStatus.Up)
            .SelectMany(n => n.GetIPProperties().UnicastAddresses)
            .Select(a => a.Address)
            .Where(a => a.AddressFamily == AddressFamily.InterNetwork && IsOfTheHouse(a) && !IPAddress.IsLoopback(a));

    /// <summary>Addresses that no router passes on: a name that points elsewhere is not one of ours.</summary>
    public static bool IsOfTheHouse(IPAddress address)
    {
        ArgumentNullException.ThrowIfNull(address);
        if (address.IsIPv4MappedToIPv6)
            address = address.MapToIPv4();
        if (IPAddress.IsLoopback(address) || address.IsIPv6LinkLocal || address.IsIPv6UniqueLocal)
            return true;
        return address.GetAddressBytes() is [var a, var b, _, _]
            && (a == 10 || (a == 172 && b is >= 16 and < 32) || (a == 192 && b == 168) || (a == 169 && b == 254));
    }

    private string Token(string what) =>
        Convert.ToHexStringLower(
            HMACSHA256.HashData(
                key ?? throw new InvalidOperationException("The house network is shut."),
                Encoding.UTF8.GetBytes(what)
            )
        );
}
