// The house vouches for itself: an authority of its own, made once, and a certificate for this machine, made at each start.
using System.Net;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;

namespace JollyKnot.Server.Guard;

/// <summary>Certificates for the house network. The authority's key lies in the household's folder, readable by its owner
/// only.</summary>
/// <param name="folder">The household's folder.</param>
internal sealed class HouseCertificates(string folder)
{
    private static readonly TimeSpan AuthorityLasts = TimeSpan.FromDays(3650),
        CertificateLasts = TimeSpan.FromDays(397),
        ClocksDiffer = TimeSpan.FromDays(1);

    private string File => Path.Combine(folder, "door", "authority.pfx");

    /// <summary>The authority that devices are asked to trust; made the first time.</summary>
    public X509Certificate2 Authority()
    {
        if (System.IO.File.Exists(File))
            return X509CertificateLoader.LoadPkcs12FromFile(File, null, X509KeyStorageFlags.Exportable);
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN=Jolly Knot on {Environment.MachineName}", key, HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        request.CertificateExtensions.Add(
            new X509KeyUsageExtension(X509KeyUsageFlags.KeyCertSign | X509KeyUsageFlags.CrlSign, true)
        );
        request.CertificateExtensions.Add(new X509SubjectKeyIdentifierExtension(request.PublicKey, false));
        var now = DateTimeOffset.UtcNow;
        var made = request.CreateSelfSigned(now - ClocksDiffer, now + AuthorityLasts);
        Keep(made.Export(X509ContentType.Pfx));
        return made;
    }

    private void Keep(byte[] pfx)
    {
        Directory.CreateDirectory(Path.GetDirectoryName(File)!);
        System.IO.File.WriteAllBytes(File, pfx);
        if (!OperatingSystem.IsWindows())
            System.IO.File.SetUnixFileMode(File, UnixFileMode.UserRead | UnixFileMode.UserWrite);
    }

    /// <summary>A certificate for this machine.</summary>
    /// <param name="addresses">Where others of the house reach it.</param>
    public X509Certificate2 ForThisMachine(IEnumerable<IPAddress> addresses)
    {
        using var authority = Authority();
        using var key = ECDsa.Create(ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest($"CN={Environment.MachineName}", key, HashAlgorithmName.SHA256);
        var names = new SubjectAlternativeNameBuilder();
        foreach (var name in (string[])["localhost", Environment.MachineName, $"{Environment.MachineName}.local"])
            names.AddDnsName(name);
        foreach (var address in addresses.Append(IPAddress.Loopback).Distinct())
            names.AddIpAddress(address);
        request.CertificateExtensions.Add(names.Build());
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(false, false, 0, true));
        request.CertificateExtensions.Add(new X509KeyUsageExtension(X509KeyUsageFlags.DigitalSignature, true));
        const string toServe = "1.3.6.1.5.5.7.3.1";
        request.CertificateExtensions.Add(new X509EnhancedKeyUsageExtension([new Oid(toServe)], false));
        var now = DateTimeOffset.UtcNow;
        var number = RandomNumberGenerator.GetBytes(16);
        using var made = request.Create(authority, now - ClocksDiffer + TimeSpan.FromMinutes(1), now + CertificateLasts, number);
        using var whole = made.CopyWithPrivateKey(key);
        // Some systems serve only with keys that were loaded.
        return X509CertificateLoader.LoadPkcs12(whole.Export(X509ContentType.Pfx), null);
    }
}
