using Umbracell.Core.Quantities;

namespace Umbracell.Core.Findings;

/// <summary>What a judgement or a figure rests on: a standard, a code, a line of a product sheet, a reading, the firm's own figures. The
/// sentence is the catalogue's, chosen by the key and filled with words and figures.</summary>
public sealed record Citation
{
    internal Citation(string key) => Key = key;

    /// <summary>Which sentence.</summary>
    public string Key { get; }

    /// <summary>Words of the sentence, by name: a product, its edition.</summary>
    public IReadOnlyDictionary<string, string> Words { get; init; } = new Dictionary<string, string>();

    /// <summary>Figures of the sentence, by name.</summary>
    public IReadOnlyDictionary<string, Figure> Figures { get; init; } = new Dictionary<string, Figure>();
}

/// <summary>Lines of a product sheet that are cited.</summary>
public enum SheetLine
{
    /// <summary>Lifts.</summary>
    SheetLifts,

    /// <summary>Window of the substrate.</summary>
    SheetSubstrate,

    /// <summary>Window of the air.</summary>
    SheetAir,

    /// <summary>Window of the drums.</summary>
    SheetDrums,

    /// <summary>Greatest humidity.</summary>
    SheetHumidity,

    /// <summary>Moisture of the substrate.</summary>
    SheetMoisture,

    /// <summary>Permeability of the bulk.</summary>
    SheetPermeability,

    /// <summary>Depth from which it is an air barrier.</summary>
    SheetAirBarrier,

    /// <summary>Yield.</summary>
    SheetYield,

    /// <summary>Yield by the temperature of the substrate.</summary>
    SheetYieldBySubstrate,

    /// <summary>Yield by the temperature of the drums.</summary>
    SheetYieldByDrum,

    /// <summary>Temperatures and pressure of the rig.</summary>
    SheetSetPoints,

    /// <summary>Aged R by thickness.</summary>
    SheetAgedR,

    /// <summary>When people without protection can come back.</summary>
    SheetReEntry,

    /// <summary>Density of a cut sample.</summary>
    SheetDensity,

    /// <summary>Adhesion.</summary>
    SheetAdhesion,
}
