using System.Globalization;
using SkiaSharp;
using Umbracell.Core.Quantities;
using Umbracell.Documents;

namespace Umbracell.Formats.Papers;

/// <summary>The pages of a paper, filled from the top down.</summary>
internal sealed class PaperPages : IDisposable
{
    /// <summary>Around what stands on a page, points.</summary>
    public const float Margin = 48;

    private const float Bottom = 62,
        FootSize = 8;

    private readonly SKDocument _document;
    private readonly PaperDocument _paper;
    private readonly PaperLetters _letters;
    private readonly float _scale;
    private readonly SKSize _size;

    public PaperPages(SKDocument document, PaperDocument paper, PaperLetters letters, float scale)
    {
        (_document, _paper, _letters, _scale) = (document, paper, letters, scale);
        _size = paper.Units == UnitSystem.Us ? new(612, 792) : new(595, 842);
        Begin();
    }

    /// <summary>Pages begun.</summary>
    public int Count { get; private set; }

    public SKCanvas Canvas { get; private set; } = null!;

    public float Width => _size.Width - 2 * Margin;

    /// <summary>Where the next thing stands.</summary>
    public float At { get; set; }

    /// <summary>A length at the scale of the paper.</summary>
    public float Scaled(float length) => length * _scale;

    public SizedLetters Letters(float size, bool bold = false) => _letters.Of(Scaled(size), bold);

    /// <summary>Makes room for what must not be torn apart: on this page, or on the next.</summary>
    /// <returns>Whether a page was begun.</returns>
    public bool Room(float height)
    {
        if (At + height <= _size.Height - Bottom || At <= Margin)
        {
            return false;
        }

        End();
        Begin();
        return true;
    }

    public void End()
    {
        using var letters = _letters.Of(FootSize, bold: false);
        var foot = string.Create(CultureInfo.InvariantCulture, $"{_paper.Firm}  ·  {_paper.Title}  ·  {Count}");
        letters.Draw(Canvas, letters.Broken(foot, Width)[0], Margin, _size.Height - 38, PaperTones.Quiet);
        _document.EndPage();
    }

    public void Dispose() => Canvas.Dispose();

    private void Begin()
    {
        Canvas = _document.BeginPage(_size.Width, _size.Height);
        (Count, At) = (Count + 1, Margin);
    }
}
