using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Documents;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Section;

/// <summary>Members in a question.</summary>
public sealed record MembersShape
{
    public required MemberMaterial Material { get; init; }

    [Range(0, 1000)]
    public required double DepthMm { get; init; }

    [Range(0, 3000)]
    public required double SpacingMm { get; init; }

    [Range(0, 90)]
    public required double SharePct { get; init; }

    [Range(5, 500)]
    public double? FlangeMm { get; init; }

    [Range(0.3, 20)]
    public double? WebMm { get; init; }

    [Range(0.2, 20)]
    public double? SkinMm { get; init; }
}

/// <summary>A target in a question.</summary>
public sealed record TargetShape([property: Range(0.01, 10), JsonPropertyName("uWM2K")] double UWM2K, string Edition);

/// <summary>All that decides a section, SI, units in the names. A brief answer, for a hand in motion, leaves out workings, the inch
/// ledger and the depth to order.</summary>
public sealed record SectionQuestion
{
    public required SurfaceKind Kind { get; init; }

    public string? SheetId { get; init; }

    [Range(ThicknessLimits.LeastMm, ThicknessLimits.GreatestMm)]
    public double? ThicknessMm { get; init; }

    [Required, MaxLength(30)]
    public required IReadOnlyList<LayerDocument> Outboard { get; init; }

    [Required, MaxLength(30)]
    public required IReadOnlyList<LayerDocument> Inboard { get; init; }

    [Required]
    public required MembersShape Members { get; init; }

    [Range(0, 300)]
    public required double VentChannelMm { get; init; }

    public LayerDocument? Baffle { get; init; }

    public required FoamSide FoamAgainst { get; init; }

    public required HeatFlow HeatFlow { get; init; }

    public required Exposure Exposure { get; init; }

    public required FilmSet Films { get; init; }

    [Range(-30, 45)]
    public required double IndoorC { get; init; }

    [Range(1, 100)]
    public required double IndoorRhPct { get; init; }

    [Range(-60, 50)]
    public required double OutdoorC { get; init; }

    [Range(1, 100)]
    public required double OutdoorRhPct { get; init; }

    public TargetShape? Target { get; init; }

    public string? ClimateZone { get; init; }

    public YearShape? Year { get; init; }

    [MaxLength(6)]
    public IReadOnlyList<FillDocument>? Further { get; init; }

    public bool Brief { get; init; }

    public DoorShape? Door { get; init; }

    [Range(-60, 50)]
    public double? BeyondEdgeC { get; init; }

    public SlabTargetShape? SlabTarget { get; init; }

    public bool VentedCladding { get; init; }
}

/// <summary>What the insulation of a slab on ground must have.</summary>
public sealed record SlabTargetShape(
    [property: Range(0.01, 50)] double LeastRM2KW,
    [property: Range(1, 20_000)] double AlongMm,
    [property: Required] string Edition
);

/// <summary>What an overhead door can carry more, and the area covered.</summary>
public sealed record DoorShape([property: Range(0, 500)] double? SpareKg, [property: Range(0, 1000)] double? TreatedM2);

/// <summary>Air on both sides.</summary>
public sealed record AirShape(double IndoorC, double IndoorRhPct, double OutdoorC, double OutdoorRhPct)
{
    /// <summary>Design air as it is told.</summary>
    /// <param name="air">Air on both sides.</param>
    public static AirShape Of(DesignAir air) =>
        new(air.Indoor.Celsius, air.IndoorHumidity.Percent, air.Outdoor.Celsius, air.OutdoorHumidity.Percent);
}

/// <summary>Monthly means on both sides, January first.</summary>
public sealed record YearShape(
    [property: Required, MinLength(12), MaxLength(12)] IReadOnlyList<double> OutdoorTempC,
    [property: Required, MinLength(12), MaxLength(12)] IReadOnlyList<double> OutdoorRhPct,
    [property: Required, MinLength(12), MaxLength(12)] IReadOnlyList<double> IndoorTempC,
    [property: Required, MinLength(12), MaxLength(12)] IReadOnlyList<double> IndoorRhPct
);

/// <summary>Mean air of a month on both sides, as it was asked.</summary>
public sealed record MonthAirAnswer(FigureAnswer OutdoorTemp, FigureAnswer OutdoorRh, FigureAnswer IndoorTemp, FigureAnswer IndoorRh);

/// <summary>A month of the section's year.</summary>
public sealed record MonthAnswer
{
    /// <summary>Where most water lies, or the dampest place that water can harm: what lies on either side, as <c>osb|foam</c>.</summary>
    public required string At { get; init; }

    /// <summary>Temperature there.</summary>
    public required FigureAnswer AtTemp { get; init; }

    /// <summary>Humidity there.</summary>
    public required FigureAnswer AtRh { get; init; }

    /// <summary>Humidity of the year's dampest place, for the chart.</summary>
    public required double DampestRhPct { get; init; }

    /// <summary>Condensed in the month in the whole section.</summary>
    public required FigureAnswer Condensed { get; init; }

    /// <summary>Lying in the section at its end.</summary>
    public required FigureAnswer Stored { get; init; }

    /// <summary>The same, for the chart.</summary>
    public required double StoredKgM2 { get; init; }

    /// <summary>At the inner surface.</summary>
    public required FigureAnswer SurfaceRh { get; init; }
}

/// <summary>A year of monthly means through the section. A brief answer leaves out the air, which no thickness changes.</summary>
public sealed record YearAnswer
{
    public required IReadOnlyList<MonthAnswer> Months { get; init; }

    public required IReadOnlyList<MonthAirAnswer> Air { get; init; }

    public required string Dampest { get; init; }

    public required FigureAnswer DampestRh { get; init; }

    public required double GreatestStoredKgM2 { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}

/// <summary>A part of the section in two dimensions: a metal member's cell (half of it, from the member's middle to half-way to the
/// next), or the edge of a slab.</summary>
public sealed record MemberCellAnswer
{
    /// <summary><c>member</c> or <c>slabEdge</c>.</summary>
    public required string Kind { get; init; }

    /// <summary>Edges of the volumes across.</summary>
    public required IReadOnlyList<double> AcrossMm { get; init; }

    /// <summary>Edges of the volumes from outside in.</summary>
    public required IReadOnlyList<double> ThroughMm { get; init; }

    /// <summary>Row by row from outside in; null where it is room.</summary>
    public required IReadOnlyList<double?> TempC { get; init; }

    /// <summary>Room air.</summary>
    public required double IndoorC { get; init; }

    /// <summary>Outdoor air.</summary>
    public required double OutdoorC { get; init; }

    /// <summary>Dew point of the room's air.</summary>
    public required double DewC { get; init; }

    /// <summary>coldest, dew, indoor, outdoor; psi, estimate and wholeU of a member; wrapped and saved of a slab's edge.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }
}

/// <summary>A place in the section.</summary>
public sealed record ProfilePointAnswer
{
    public required string Key { get; init; }

    public required double DepthMm { get; init; }

    public required double TempC { get; init; }

    public required double DewPointC { get; init; }

    public required double VapourPressurePa { get; init; }

    public required FigureAnswer Temp { get; init; }

    public required FigureAnswer Dew { get; init; }
}

/// <summary>The place nearest its dew point at design.</summary>
public sealed record NearestDewAnswer(string Key, FigureAnswer Margin, bool Crosses);

/// <summary>A notch of the tape.</summary>
public sealed record NotchAnswer(string Key, double ThicknessMm, FigureAnswer Thickness);

/// <summary>One figure of the section with its working.</summary>
public sealed record WorkedFigure(FigureAnswer Figure, WorkingAnswer? Working);

/// <summary>The lifts of one foam.</summary>
/// <param name="Foam">Product.</param>
/// <param name="Count">How many.</param>
/// <param name="Each">Thickness of each.</param>
/// <param name="Wait">Least time from one to the next.</param>
/// <param name="CoolBelow">Foam temperature below which the next may go on.</param>
public sealed record LiftsAnswer(string Foam, int Count, FigureAnswer Each, FigureAnswer Wait, FigureAnswer CoolBelow);

/// <summary>What a thickness gives.</summary>
public sealed record SectionAnswer
{
    /// <summary>R of all that is put in.</summary>
    public required double FoamRM2KW { get; init; }

    /// <summary>R through the cavity, surface to surface.</summary>
    public required double CavityRM2KW { get; init; }

    /// <summary>U by parallel paths.</summary>
    [JsonPropertyName("parallelUWM2K")]
    public required double ParallelUWM2K { get; init; }

    /// <summary>U by the combined method; null where there is none for the members.</summary>
    [JsonPropertyName("combinedUWM2K")]
    public required double? CombinedUWM2K { get; init; }

    /// <summary>U of the whole assembly, the figure targets are held to.</summary>
    [JsonPropertyName("uWM2K")]
    public required double UWM2K { get; init; }

    /// <summary>U with nothing put in.</summary>
    [JsonPropertyName("bareUWM2K")]
    public required double BareUWM2K { get; init; }

    /// <summary>Share of the bare assembly's heat loss that is cut.</summary>
    public required double HeatCutPct { get; init; }

    /// <summary>Permeance of all that is put in, ng/(Pa·s·m²).</summary>
    public required double FoamPermeanceNg { get; init; }

    /// <summary>Thickness of still air that resists vapour as much.</summary>
    public required double FoamSdM { get; init; }

    /// <summary>Its vapour class.</summary>
    public required VapourClass FoamClass { get; init; }

    /// <summary>Permeance of the whole assembly, ng/(Pa·s·m²).</summary>
    public required double WholePermeanceNg { get; init; }

    /// <summary>Vapour pressure indoors over that outdoors.</summary>
    public required double OutwardDrivePa { get; init; }

    /// <summary>Thickness of every lift in the order they are sprayed.</summary>
    public required IReadOnlyList<double> LiftsMm { get; init; }

    /// <summary>Lifts by foam.</summary>
    public required IReadOnlyList<LiftsAnswer> Lifts { get; init; }

    /// <summary>Least time from the first lift to the last.</summary>
    public required double LeastTimeMin { get; init; }

    /// <summary>Least thickness that meets the target; null where none does.</summary>
    public required double? ThicknessForTargetMm { get; init; }

    /// <summary>Thickest foam that fits behind a hard face; null where nothing bounds it.</summary>
    public required double? GreatestFitMm { get; init; }

    /// <summary>Its layers as they are drawn.</summary>
    public required LaidSection Laid { get; init; }

    /// <summary>Figures by name, each with its working.</summary>
    public required IReadOnlyDictionary<string, WorkedFigure> Figures { get; init; }

    /// <summary>Temperature and dew point from outdoors to the room.</summary>
    public required IReadOnlyList<ProfilePointAnswer> Profile { get; init; }

    /// <summary>The place nearest its dew point.</summary>
    public required NearestDewAnswer NearestDew { get; init; }

    /// <summary>Thicknesses that mean something.</summary>
    public required IReadOnlyList<NotchAnswer> Notches { get; init; }

    /// <summary>Findings at design.</summary>
    public required IReadOnlyList<FindingAnswer> Findings { get; init; }

    /// <summary>The worst of them and of the year's.</summary>
    public required Verdict Verdict { get; init; }

    /// <summary>A year of months; null where no air is known.</summary>
    public required YearAnswer? Year { get; init; }

    /// <summary>What each further step of foam gives; empty in a brief answer.</summary>
    public required IReadOnlyList<InchAnswer> Inches { get; init; }
}

/// <summary>A line of the inch ledger.</summary>
public sealed record InchAnswer(FigureAnswer Thickness, FigureAnswer U, FigureAnswer Cut, FigureAnswer Further, double CutPct);
