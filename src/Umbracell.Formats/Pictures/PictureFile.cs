using SkiaSharp;
using Umbracell.Formats.Tables;

namespace Umbracell.Formats.Pictures;

/// <summary>A photo as it is kept: drawn anew, so that nothing the camera wrote into it (the place among it) is left.</summary>
/// <param name="ContentType">image/jpeg or image/png.</param>
/// <param name="Bytes">The picture.</param>
/// <param name="Thumbnail">A JPEG no wider or higher than <see cref="ThumbnailSide"/>.</param>
/// <param name="Width">Dots across.</param>
/// <param name="Height">Dots down.</param>
public sealed record PictureFile(string ContentType, byte[] Bytes, byte[] Thumbnail, int Width, int Height)
{
    /// <summary>Largest file taken, bytes.</summary>
    public const int MostBytes = 20 * 1024 * 1024;

    /// <summary>Longest side of a thumbnail, dots.</summary>
    public const int ThumbnailSide = 320;

    // A small file can unpack to gigabytes: the header says how many dots before any are drawn. A JPEG can be drawn at a half, a quarter
    // or an eighth of its size, as long as it comes line by line; every other picture is drawn as large as it is.
    private const long MostDotsByLine = 120_000_000,
        MostDots = 16_000_000;
    private static readonly float[] SharesDrawn = [0.125f, 0.25f, 0.5f];
    private const int LongestSide = 3000;
    private const int Quality = 86,
        PngLevel = 3;

    /// <summary>Reads a photo.</summary>
    /// <exception cref="UnreadableFileException">HEIC, no picture, or too large.</exception>
    public static PictureFile Read(byte[] bytes)
    {
        var kind = KindOf(bytes);
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data) ?? throw new UnreadableFileException(FileFault.NotAPicture);
        var isByLine = kind == SKEncodedImageFormat.Jpeg && ComesByLine(bytes);
        if (DotsOf(codec) > (isByLine ? MostDotsByLine : MostDots))
        {
            throw new UnreadableFileException(FileFault.PictureTooLarge, 0, $"{codec.Info.Width} × {codec.Info.Height}");
        }

        using var drawn = Drawn(codec, isByLine) ?? throw new UnreadableFileException(FileFault.NotAPicture);
        using var fitted = Fit(drawn, LongestSide);
        using var upright = codec.EncodedOrigin == SKEncodedOrigin.TopLeft ? null : Upright(fitted, codec.EncodedOrigin);
        var kept = upright ?? fitted;
        using var small = Fit(kept, ThumbnailSide);
        return new(
            "image/" + (kind == SKEncodedImageFormat.Png ? "png" : "jpeg"),
            Encode(kept, kind),
            Encode(small, SKEncodedImageFormat.Jpeg),
            kept.Width,
            kept.Height
        );
    }

    private static long DotsOf(SKCodec codec) => (long)codec.Info.Width * codec.Info.Height;

    // The smallest of the sizes it can be drawn at that is not smaller than what is kept; four bytes a dot, whatever the file has.
    private static SKBitmap? Drawn(SKCodec codec, bool isByLine)
    {
        var sizes = SharesDrawn.Select(codec.GetScaledDimensions);
        var size = isByLine ? sizes.FirstOrDefault(s => Math.Max(s.Width, s.Height) >= LongestSide) : default;
        var info = codec
            .Info.WithSize(size.IsEmpty ? codec.Info.Size : size)
            .WithColorType(SKImageInfo.PlatformColorType)
            .WithAlphaType(codec.Info.IsOpaque ? SKAlphaType.Opaque : SKAlphaType.Premul)
            .WithColorSpace(null);
        return SKBitmap.Decode(codec, info);
    }

    // A progressive one, or one that brings a colour at a time, is held as a whole before it is drawn. The frame and the first scan say
    // which it is; segments stand one behind the other up to there.
    private static bool ComesByLine(ReadOnlySpan<byte> jpeg)
    {
        var colours = -1;
        for (var at = 2; at + 10 <= jpeg.Length && jpeg[at] == 0xFF; at += 2 + (jpeg[at + 2] << 8 | jpeg[at + 3]))
        {
            switch (jpeg[at + 1])
            {
                case 0xC0 or 0xC1:
                    colours = jpeg[at + 9];
                    break;
                case 0xDA:
                    return jpeg[at + 4] == colours;
            }
        }

        return false;
    }

    /// <summary>Whether bytes are a picture that carries nothing but dots: what this program wrote itself, which need not be drawn
    /// again.</summary>
    public static bool IsAsKept(byte[] bytes, byte[] thumbnail, string contentType) =>
        contentType switch
        {
            "image/jpeg" => IsBareJpeg(bytes) && IsBareJpeg(thumbnail),
            "image/png" => IsBarePng(bytes) && IsBareJpeg(thumbnail),
            _ => false,
        };

    // A JPEG's notes stand in application segments 1 to 15 and in comments; the picture itself needs segment 0 at most.
    private static bool IsBareJpeg(ReadOnlySpan<byte> bytes)
    {
        if (!bytes.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8]) || !Opens(bytes))
        {
            return false;
        }

        for (var at = 2; at + 4 <= bytes.Length && bytes[at] == 0xFF; at += 2 + (bytes[at + 2] << 8 | bytes[at + 3]))
        {
            if (bytes[at + 1] is (>= 0xE1 and <= 0xEF) or 0xFE)
            {
                return false;
            }

            if (bytes[at + 1] == 0xDA)
            {
                return true;
            }
        }

        return false;
    }

    private static bool IsBarePng(ReadOnlySpan<byte> bytes)
    {
        if (bytes.Length < 12 || !Opens(bytes))
        {
            return false;
        }

        for (var at = 8; at + 8 <= bytes.Length; )
        {
            var type = bytes[(at + 4)..(at + 8)];
            if (type.SequenceEqual("IEND"u8))
            {
                return true;
            }

            if (
                type.SequenceEqual("eXIf"u8)
                || type.SequenceEqual("tEXt"u8)
                || type.SequenceEqual("iTXt"u8)
                || type.SequenceEqual("zTXt"u8)
            )
            {
                return false;
            }

            var length = System.Buffers.Binary.BinaryPrimitives.ReadUInt32BigEndian(bytes[at..]);
            at += 12 + (int)Math.Min(length, int.MaxValue / 2);
        }

        return false;
    }

    private static bool Opens(ReadOnlySpan<byte> bytes)
    {
        using var data = SKData.CreateCopy(bytes);
        using var codec = SKCodec.Create(data);
        return codec is not null && DotsOf(codec) <= MostDots;
    }

    private static SKEncodedImageFormat KindOf(ReadOnlySpan<byte> bytes)
    {
        if (bytes.StartsWith((ReadOnlySpan<byte>)[0xFF, 0xD8, 0xFF]))
        {
            return SKEncodedImageFormat.Jpeg;
        }

        if (bytes.StartsWith((ReadOnlySpan<byte>)[0x89, 0x50, 0x4E, 0x47]))
        {
            return SKEncodedImageFormat.Png;
        }

        var isHeic = bytes.Length > 12 && bytes[4..8].SequenceEqual("ftyp"u8);
        throw new UnreadableFileException(isHeic ? FileFault.HeicPicture : FileFault.NotAPicture);
    }

    // Cameras write which way they were held beside the dots; that note goes with the rest, so the dots are turned.
    private static SKBitmap Upright(SKBitmap drawn, SKEncodedOrigin origin)
    {
        var turned =
            origin is SKEncodedOrigin.RightTop or SKEncodedOrigin.LeftBottom or SKEncodedOrigin.LeftTop or SKEncodedOrigin.RightBottom;
        var upright = new SKBitmap(turned ? drawn.Height : drawn.Width, turned ? drawn.Width : drawn.Height);
        using var canvas = new SKCanvas(upright);
        switch (origin)
        {
            case SKEncodedOrigin.BottomRight:
                canvas.RotateDegrees(180, drawn.Width / 2f, drawn.Height / 2f);
                break;
            case SKEncodedOrigin.RightTop:
                canvas.Translate(upright.Width, 0);
                canvas.RotateDegrees(90);
                break;
            case SKEncodedOrigin.LeftBottom:
                canvas.Translate(0, upright.Height);
                canvas.RotateDegrees(270);
                break;
        }

        canvas.DrawBitmap(drawn, 0, 0);
        return upright;
    }

    private static SKBitmap Fit(SKBitmap bitmap, int side)
    {
        var scale = Math.Min(1.0, (double)side / Math.Max(bitmap.Width, bitmap.Height));
        var info = new SKImageInfo(Math.Max(1, (int)Math.Round(bitmap.Width * scale)), Math.Max(1, (int)Math.Round(bitmap.Height * scale)));
        return bitmap.Resize(info, new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
    }

    private static byte[] Encode(SKBitmap bitmap, SKEncodedImageFormat format)
    {
        // Packed quickly rather than as tightly as can be.
        using var dots = bitmap.PeekPixels();
        using var image =
            format == SKEncodedImageFormat.Png
                ? dots.Encode(new SKPngEncoderOptions(SKPngEncoderFilterFlags.Sub | SKPngEncoderFilterFlags.Up, PngLevel))
                : dots.Encode(format, Quality);
        return image?.ToArray() ?? throw new UnreadableFileException(FileFault.NotAPicture);
    }
}
