// A picture of the bread of a bake: small, and without where and with what it was taken.
namespace JollyKnot.Store;

/// <summary>Pictures in the household's folder, one a bake.</summary>
/// <param name="folder">The household's.</param>
public sealed class Photos(Folder folder)
{
    /// <summary>The most a picture may take, bytes. Ours.</summary>
    public const int Largest = 600_000;

    // A JPEG's marks: its beginning, a segment's first byte, the picture itself, and what may be told beside it.
    private const byte Mark = 0xFF,
        Begins = 0xD8,
        Scan = 0xDA,
        FirstTold = 0xE1,
        LastTold = 0xEF,
        Comment = 0xFE;

    /// <summary>The bakes that have one.</summary>
    public IEnumerable<Guid> All =>
        Directory.Exists(folder.Photos)
            ? Directory
                .EnumerateFiles(folder.Photos, "*.jpg")
                .Select(f => Guid.TryParse(Path.GetFileNameWithoutExtension(f), out var id) ? id : Guid.Empty)
                .Where(id => id != Guid.Empty)
                .Order()
            : [];

    /// <summary>A bake's picture; null where it has none.</summary>
    /// <param name="bake">The bake.</param>
    public byte[]? Find(Guid bake) => File.Exists(FileOf(bake)) ? File.ReadAllBytes(FileOf(bake)) : null;

    /// <summary>Keeps a bake's picture instead of the one it has.</summary>
    /// <param name="bake">The bake.</param>
    /// <param name="jpeg">The picture.</param>
    /// <returns>Whether it is one.</returns>
    public bool Keep(Guid bake, byte[] jpeg)
    {
        if (Bare(jpeg) is not { } bare)
            return false;
        Directory.CreateDirectory(folder.Photos);
        var half = FileOf(bake) + ".half";
        File.WriteAllBytes(half, bare);
        File.Move(half, FileOf(bake), overwrite: true);
        return true;
    }

    /// <summary>Throws a bake's picture away.</summary>
    /// <param name="bake">The bake.</param>
    public void Drop(Guid bake)
    {
        if (File.Exists(FileOf(bake)))
            File.Delete(FileOf(bake));
    }

    /// <summary>The picture without what is told beside it: place, time, camera, comments. Null where it is no JPEG.</summary>
    /// <param name="jpeg">The picture.</param>
    public static byte[]? Bare(byte[] jpeg)
    {
        ArgumentNullException.ThrowIfNull(jpeg);
        if (jpeg.Length < 4 || jpeg.Length > Largest || jpeg[0] != Mark || jpeg[1] != Begins)
            return null;
        using var bare = new MemoryStream(jpeg.Length);
        bare.Write(jpeg, 0, 2);
        var at = 2;
        while (at + 4 <= jpeg.Length && jpeg[at] == Mark)
        {
            var kind = jpeg[at + 1];
            if (kind == Scan)
            {
                bare.Write(jpeg, at, jpeg.Length - at);
                return bare.ToArray();
            }
            var length = 2 + (jpeg[at + 2] << 8) + jpeg[at + 3];
            if (length < 4 || at + length > jpeg.Length)
                return null;
            if (kind is not ((>= FirstTold and <= LastTold) or Comment))
                bare.Write(jpeg, at, length);
            at += length;
        }
        return null;
    }

    private string FileOf(Guid bake) => Path.Combine(folder.Photos, $"{bake}.jpg");
}
