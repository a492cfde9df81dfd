using SkiaSharp;

namespace Umbracell.Formats.Papers;

/// <summary>Tones of papers. A layer's own words stand beside its drawing, so that no tone must be known.</summary>
internal static class PaperTones
{
    public static readonly SKColor Ink = new(0x2a, 0x21, 0x40),
        Quiet = new(0x5b, 0x53, 0x70),
        Rule = new(0xd8, 0xcf, 0xb8),
        Copper = new(0xa3, 0x4a, 0x14);

    private static readonly SKColor Other = new(0xcf, 0xc8, 0xbc);

    private static readonly Dictionary<string, SKColor> Layers = new()
    {
        ["closed"] = new(0xe8, 0xcb, 0x84),
        ["open"] = new(0xfb, 0xee, 0xc8),
        ["freeSpace"] = SKColors.White,
        ["ventChannel"] = SKColors.White,
        ["gypsum-board"] = new(0xec, 0xea, 0xe2),
        ["osb"] = new(0xd0, 0xa0, 0x6c),
        ["plywood"] = new(0xd6, 0xa8, 0x78),
        ["wood-siding"] = new(0xc8, 0x98, 0x64),
        ["fibre-batt"] = new(0xf3, 0xd6, 0xc4),
        ["brick"] = new(0xc8, 0x78, 0x68),
        ["concrete"] = new(0xb4, 0xb0, 0xa6),
        ["steel-skin"] = new(0xa8, 0xb0, 0xc4),
    };

    public static SKColor OfLayer(string key) => Layers.GetValueOrDefault(key, Other);
}
