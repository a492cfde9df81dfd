using SkiaSharp;

namespace Umbracell.Formats.Documents;

/// <summary>Size of a printed page.</summary>
public enum PaperSize
{
    /// <summary>210 × 297 mm.</summary>
    A4,

    /// <summary>8 1/2 × 11 in.</summary>
    Letter,
}

/// <summary>The letters for documents are not on this machine.</summary>
public sealed class FontsMissingException()
    : Exception("The letters for documents are missing: install Debian's package fonts-dejavu-core.");

/// <summary>The letters of documents: Debian's DejaVu Sans, which knows every sign a figure is printed with.</summary>
internal sealed class PageFonts : IDisposable
{
    private const string Folder = "/usr/share/fonts/truetype/dejavu/";

    private PageFonts(SKTypeface regular, SKTypeface bold) => (Regular, Bold) = (regular, bold);

    public SKTypeface Regular { get; }

    public SKTypeface Bold { get; }

    public static PageFonts Open()
    {
        var (regular, bold) = (SKTypeface.FromFile(Folder + "DejaVuSans.ttf"), SKTypeface.FromFile(Folder + "DejaVuSans-Bold.ttf"));
        return regular is null || bold is null ? throw new FontsMissingException() : new(regular, bold);
    }

    public void Dispose()
    {
        Regular.Dispose();
        Bold.Dispose();
    }
}

/// <summary>Sets text on a page from the top down, broken where it would run past its column.</summary>
internal sealed class PageText(SKCanvas canvas, PageFonts fonts, float left, float right)
{
    private const float LineHeight = 1.32f;

    public float Left => left;

    public float Right => right;

    /// <summary>Where the next thing stands.</summary>
    public float At { get; private set; } = 48;

    public void Down(float by) => At += by;

    public void MoveTo(float at) => At = at;

    public void Paragraph(string text, float size, bool bold, SKColor color) =>
        At = Column(text, size, bold, color, left, right - left, At);

    /// <summary>Sets text into a column.</summary>
    /// <returns>Where it ends.</returns>
    public float Column(string text, float size, bool bold, SKColor color, float x, float width, float top)
    {
        using var font = new SKFont(bold ? fonts.Bold : fonts.Regular, size);
        using var paint = new SKPaint { Color = color, IsAntialias = true };
        foreach (var line in Broken(text, font, width))
        {
            top += size * LineHeight;
            canvas.DrawText(line, x, top - size * 0.3f, font, paint);
        }

        return top;
    }

    /// <summary>Sets text that ends at a column's right edge.</summary>
    /// <returns>Where it ends.</returns>
    public float RightColumn(string text, float size, bool bold, SKColor color, float end, float width, float top)
    {
        using var font = new SKFont(bold ? fonts.Bold : fonts.Regular, size);
        using var paint = new SKPaint { Color = color, IsAntialias = true };
        foreach (var line in Broken(text, font, width))
        {
            top += size * LineHeight;
            canvas.DrawText(line, end - font.MeasureText(line), top - size * 0.3f, font, paint);
        }

        return top;
    }

    public void Foot(float y, string text, float size, SKColor color)
    {
        using var font = new SKFont(fonts.Regular, size);
        using var paint = new SKPaint { Color = color, IsAntialias = true };
        canvas.DrawText(text, left, y, font, paint);
    }

    private static IEnumerable<string> Broken(string text, SKFont font, float width)
    {
        var line = "";
        foreach (var word in text.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            var longer = line.Length == 0 ? word : $"{line} {word}";
            if (line.Length > 0 && font.MeasureText(longer) > width)
            {
                yield return line;
                line = word;
            }
            else
            {
                line = longer;
            }
        }

        if (line.Length > 0)
        {
            yield return line;
        }
    }
}
