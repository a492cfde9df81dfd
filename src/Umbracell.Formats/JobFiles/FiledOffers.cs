using Umbracell.Documents;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Formats.JobFiles;

/// <summary>A bid as it was made: its lines in the order they add up, and what each surface was priced for.</summary>
public sealed record FiledBid
{
    public required DateTimeOffset MadeAt { get; init; }

    public required string MadeBy { get; init; }

    public required DateOnly? WorkDate { get; init; }

    public required double Net { get; init; }

    public required double Price { get; init; }

    public required IReadOnlyList<KeptLine> Lines { get; init; }

    public required IReadOnlyList<KeptSurface> Surfaces { get; init; }
}

/// <summary>A paper as it was made.</summary>
public sealed record FiledPaper(PaperKind Kind, bool ShowsPrices, DateTimeOffset MadeAt, string MadeBy, PaperDocument Document);

/// <summary>A product sheet the job is figured with: its own file within this one.</summary>
/// <param name="ProductSheet">JSON of the schema of product sheets.</param>
public sealed record FiledSheet(string ProductSheet)
{
    /// <summary>What is wrong with it; null where it reads.</summary>
    public string? Fault()
    {
        try
        {
            _ = ProductSheetFile.Read("sheet", ProductSheet);
            return null;
        }
        catch (DataFileException e)
        {
            return e.Faults[0].ToString();
        }
    }
}

/// <summary>A material or batt of the firm's own that a filed job is laid with.</summary>
/// <param name="OwnMaterial">Its id, which says what it is like and what it is called.</param>
/// <param name="Figures">The figures the firm holds of it, in SI.</param>
/// <param name="Source">Where they come from; empty where that was not said.</param>
public sealed record FiledMaterial(string OwnMaterial, IReadOnlyList<FiledMaterialFigure> Figures, string Source);

/// <summary>A figure of a material.</summary>
/// <param name="Figure">Its name: conductivity, permeability, density, emittance, thickness, rated.</param>
/// <param name="Si">Its value, in SI.</param>
public sealed record FiledMaterialFigure(string Figure, double Si);
