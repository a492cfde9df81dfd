using System.Text;
using SkiaSharp;

namespace Umbracell.Formats.Papers;

/// <summary>The letters for papers are not on this machine.</summary>
public sealed class LettersMissingException()
    : Exception("The letters for papers are missing: install Debian's packages fonts-dejavu-core and fonts-unifont.");

/// <summary>The letters of papers: Debian's DejaVu Sans, which knows every sign a figure is printed with; what it lacks, such as the
/// writing of a name from elsewhere, is drawn from Unifont, which knows nearly every letter there is.</summary>
internal sealed class PaperLetters : IDisposable
{
    private const string Letters = "/usr/share/fonts/truetype/dejavu/",
        Fallback = "/usr/share/fonts/opentype/unifont/";

    private readonly SKTypeface[] _regular,
        _bold;

    private PaperLetters(SKTypeface[] regular, SKTypeface[] bold) => (_regular, _bold) = (regular, bold);

    /// <summary>The letters of this machine.</summary>
    /// <exception cref="LettersMissingException">They are not there.</exception>
    public static PaperLetters Open()
    {
        SKTypeface[] fallback = [Face(Fallback + "unifont.otf"), Face(Fallback + "unifont_upper.otf")];
        return new([Face(Letters + "DejaVuSans.ttf"), .. fallback], [Face(Letters + "DejaVuSans-Bold.ttf"), .. fallback]);
    }

    /// <summary>Letters of one size, the plain ones first.</summary>
    public SizedLetters Of(float size, bool bold) => new(bold ? _bold : _regular, size);

    public void Dispose() => Array.ForEach([.. _regular.Union(_bold)], face => face.Dispose());

    private static SKTypeface Face(string file) => SKTypeface.FromFile(file) ?? throw new LettersMissingException();
}

/// <summary>Letters of one size: measures text, breaks it into lines, and draws it.</summary>
internal sealed class SizedLetters(SKTypeface[] faces, float size) : IDisposable
{
    private const float LineHeight = 1.32f,
        Baseline = 0.3f;

    private readonly SKFont[] _fonts = [.. faces.Select(face => new SKFont(face, size))];

    /// <summary>From one line to the next.</summary>
    public float Line => size * LineHeight;

    public float WidthOf(string text) => Runs(text).Sum(run => run.Font.MeasureText(run.Text));

    /// <summary>Draws a line whose upper edge is given.</summary>
    public void Draw(SKCanvas canvas, string text, float x, float top, SKColor color)
    {
        using var paint = new SKPaint { Color = color, IsAntialias = true };
        foreach (var (part, font) in Runs(text))
        {
            canvas.DrawText(part, x, top + Line - size * Baseline, font, paint);
            x += font.MeasureText(part);
        }
    }

    /// <summary>Text in lines no wider than given: broken between words, and within a word that is wider by itself.</summary>
    public List<string> Broken(string text, float width)
    {
        List<string> lines = [];
        var line = "";
        foreach (var word in text.Split(' ', StringSplitOptions.RemoveEmptyEntries).SelectMany(word => Pieces(word, width)))
        {
            var longer = line.Length == 0 ? word : $"{line} {word}";
            if (line.Length > 0 && WidthOf(longer) > width)
            {
                lines.Add(line);
                line = word;
            }
            else
            {
                line = longer;
            }
        }

        return line.Length > 0 ? [.. lines, line] : lines;
    }

    public void Dispose() => Array.ForEach(_fonts, font => font.Dispose());

    private IEnumerable<string> Pieces(string word, float width)
    {
        var piece = "";
        foreach (var letter in word.EnumerateRunes())
        {
            if (piece.Length > 0 && WidthOf(piece + letter) > width)
            {
                yield return piece;
                piece = "";
            }

            piece += letter;
        }

        yield return piece;
    }

    // Parts of a text that the same letters can draw. What none knows is left to the first, which draws a box.
    private List<(string Text, SKFont Font)> Runs(string text)
    {
        List<(string Text, SKFont Font)> runs = [];
        foreach (var letter in text.EnumerateRunes())
        {
            var font = Array.Find(_fonts, f => f.Typeface!.ContainsGlyph(letter.Value)) ?? _fonts[0];
            if (runs.Count > 0 && (runs[^1].Font == font || IsPartOfTheLetterBefore(letter)))
            {
                runs[^1] = (runs[^1].Text + letter, runs[^1].Font);
            }
            else
            {
                runs.Add((letter.ToString(), font));
            }
        }

        return runs;
    }

    // An accent or a joiner is drawn by what draws its letter.
    private static bool IsPartOfTheLetterBefore(Rune letter) =>
        Rune.GetUnicodeCategory(letter)
            is System.Globalization.UnicodeCategory.NonSpacingMark
                or System.Globalization.UnicodeCategory.SpacingCombiningMark
                or System.Globalization.UnicodeCategory.EnclosingMark
                or System.Globalization.UnicodeCategory.Format;
}
