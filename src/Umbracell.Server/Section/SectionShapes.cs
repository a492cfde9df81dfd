using System.ComponentModel.DataAnnotations;
using System.Text.Json.Serialization;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Server.Answers;

namespace Umbracell.Server.Section;

/// <summary>A layer in a question.</summary>
public sealed record LayerShape([property: Required] string Material, [property: Range(0.01, 3000)] double ThicknessMm);

/// <summary>Members in a question.</summary>
public sealed record MembersShape(MemberMaterial Material, [property: Range(0, 1000)] double DepthMm, [property: Range(0, 3000)] double SpacingMm, [property: Range(0, 90)] double SharePct,
    [property: Range(5, 500)] double? FlangeMm = null, [property: Range(0.3, 20)] double? WebMm = null, [property: Range(0.2, 20)] double? SkinMm = null);

/// <summary>A target in a question.</summary>
public sealed record TargetShape([property: Range(0.01, 10), JsonPropertyName("uWM2K")] double UWM2K, string Edition);

/// <summary>All that decides a section, SI, units in the names.</summary>
public sealed record SectionQuestion(
    SurfaceKind Kind,
    [property: Required] string SheetId,
    [property: Range(0.1, 1000)] double ThicknessMm,
    [property: Required, MaxLength(30)] IReadOnlyList<LayerShape> Outboard,
    [property: Required, MaxLength(30)] IReadOnlyList<LayerShape> Inboard,
    [property: Required] MembersShape Members,
    [property: Range(0, 300)] double VentChannelMm,
    LayerShape? Baffle,
    FoamSide FoamAgainst,
    HeatFlow HeatFlow,
    Exposure Exposure,
    FilmSet Films,
    [property: Range(-30, 45)] double IndoorC,
    [property: Range(1, 100)] double IndoorRhPct,
    [property: Range(-40, 50)] double OutdoorC,
    [property: Range(1, 100)] double OutdoorRhPct,
    TargetShape? Target,
    string? ClimateZone,
    YearShape? Year = null);

/// <summary>Monthly means on both sides, January first.</summary>
public sealed record YearShape(
    [property: Required, MinLength(12), MaxLength(12)] IReadOnlyList<double> OutdoorTempC, [property: Required, MinLength(12), MaxLength(12)] IReadOnlyList<double> OutdoorRhPct,
    [property: Required, MinLength(12), MaxLength(12)] IReadOnlyList<double> IndoorTempC, [property: Required, MinLength(12), MaxLength(12)] IReadOnlyList<double> IndoorRhPct);

/// <summary>A month of the section's year.</summary>
public sealed record MonthAnswer(
    FigureAnswer OutdoorTemp, FigureAnswer OutdoorRh, FigureAnswer IndoorTemp, FigureAnswer IndoorRh, FigureAnswer InterfaceTemp, FigureAnswer InterfaceRh, double InterfaceRhPct, FigureAnswer Condensed, FigureAnswer Stored, double StoredKgM2, FigureAnswer SurfaceRh);

/// <summary>A year of monthly means through the section.</summary>
public sealed record YearAnswer(IReadOnlyList<MonthAnswer> Months, string InterfaceKey, double GreatestStoredKgM2, IReadOnlyList<FindingAnswer> Findings);

/// <summary>A place in the section.</summary>
public sealed record ProfilePointAnswer(string Key, double DepthMm, double TempC, double DewPointC, double VapourPressurePa, FigureAnswer Temp, FigureAnswer Dew);

/// <summary>The place nearest its dew point at design.</summary>
public sealed record NearestDewAnswer(string Key, FigureAnswer Margin, bool Crosses);

/// <summary>A notch of the tape.</summary>
public sealed record NotchAnswer(string Key, double ThicknessMm, FigureAnswer Thickness);

/// <summary>One figure of the section with its working.</summary>
public sealed record WorkedFigure(FigureAnswer Figure, WorkingAnswer? Working);

/// <summary>What a thickness gives.</summary>
public sealed record SectionAnswer(
    double FoamRM2KW,
    double CavityRM2KW,
    double ParallelUWM2K,
    double? CombinedUWM2K,
    [property: JsonPropertyName("uWM2K")] double UWM2K,
    double BareUWM2K,
    double HeatCutPct,
    double FoamPermeanceNg,
    double FoamSdM,
    VapourClass FoamClass,
    double WholePermeanceNg,
    double OutwardDrivePa,
    IReadOnlyList<double> LiftsMm,
    double LeastTimeMin,
    double? ThicknessForTargetMm,
    double? GreatestFitMm,
    double? FoamDepthMm,
    double ThickestRatedMm,
    double FreeSpaceMm,
    IReadOnlyDictionary<string, WorkedFigure> Figures,
    IReadOnlyList<ProfilePointAnswer> Profile,
    NearestDewAnswer NearestDew,
    IReadOnlyList<NotchAnswer> Notches,
    IReadOnlyList<FindingAnswer> Findings,
    Verdict Verdict,
    YearAnswer? Year);
