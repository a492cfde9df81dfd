using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;

namespace Umbracell.Core.Tests.Choosing;

/// <summary>Surfaces to choose for, all made up.</summary>
internal static class Walls
{
    private static readonly double[] Cold = [-8, -6, -1, 6, 13, 18, 21, 20, 16, 9, 3, -4];
    private static readonly double[] Hot = [20, 20, 22, 24, 26, 28, 29, 29, 28, 26, 23, 21];

    public static Material Make(string id, double conductivity, double permInches, double density = 500) =>
        new()
        {
            Id = id,
            Conductivity = ThermalConductivity.FromSi(conductivity),
            Permeability = Permeability.FromPermInches(permInches),
            Source = "test",
            Density = Density.FromKilogramsPerCubicMetre(density),
            Harm = HarmOf(id),
        };

    /// <summary>What water does to a material of the tests, as the shipped materials say of their like.</summary>
    public static WaterHarm HarmOf(string id) =>
        id switch
        {
            "gypsum-board" => WaterHarm.Paper,
            "osb" or "plywood" or "board-sheathing" or "wood-siding" or "softwood" => WaterHarm.Wood,
            "steel-skin" => WaterHarm.Steel,
            "brick" => WaterHarm.Masonry,
            _ => WaterHarm.None,
        };

    public static Material Fibre { get; } = Make("fibre-batt", 0.039, 116, 14);

    public static IReadOnlyList<Batt> Batts { get; } =
    [
        new("batt-13", Length.FromInches(3.5), ThermalResistance.FromUsR(13), Fibre, Density.FromKilogramsPerCubicMetre(14)),
        new("batt-19", Length.FromInches(6.25), ThermalResistance.FromUsR(19), Fibre, Density.FromKilogramsPerCubicMetre(9)),
        new("batt-21", Length.FromInches(5.5), ThermalResistance.FromUsR(21), Fibre, Density.FromKilogramsPerCubicMetre(16)),
    ];

    public static SystemMaterials Materials { get; } =
        new(
            Batts,
            Make("foam-board", 0.029, 1.1, 32),
            Make("foil-board", 0.024, 0.03, 34),
            Make("vapour-coat", 0.2, 0.014),
            Make("weather-coat", 0.2, 0.06)
        );

    public static Rates Rates { get; } =
        new()
        {
            SetPrice = new Dictionary<string, double>
            {
                ["closed"] = 2700,
                ["open"] = 2200,
                ["cold"] = 2800,
            },
            MaterialPrice = new Dictionary<string, double>
            {
                ["batt-13"] = 7,
                ["batt-19"] = 9,
                ["batt-21"] = 12,
                ["foam-board"] = 0.4,
                ["foil-board"] = 0.5,
                ["vapour-coat"] = 5,
                ["weather-coat"] = 14,
            },
            CrewHour = 150,
            SetUpHours = 1.5,
            ClosedBoardFeetPerHour = 1100,
            OpenBoardFeetPerHour = 3400,
            BattM2PerHour = 16,
            BoardM2PerHour = 6,
            CoatM2PerHour = 45,
            ShaveM2PerHour = 38,
        };

    public static YearOfAir Year(bool hot = false, int humidityClass = 2)
    {
        List<MonthAir> outdoor =
        [
            .. (hot ? Hot : Cold).Select(t => new MonthAir(Temperature.FromCelsius(t), RelativeHumidity.FromPercent(75))),
        ];
        return new(
            outdoor,
            outdoor.ConvertAll(m =>
                hot
                    ? new MonthAir(Temperature.FromCelsius(23), RelativeHumidity.FromPercent(55))
                    : HumidityClasses.Room(humidityClass, m, Temperature.FromCelsius(20))
            )
        );
    }

    public static SectionCase Section(
        SurfaceKind kind,
        string zone = "6A",
        double depthInches = 7.25,
        FilmSet films = FilmSet.Us,
        double? targetU = 0.045
    ) =>
        new()
        {
            Kind = kind,
            Outboard = Outboard(kind),
            Inboard =
                kind is SurfaceKind.StudWall or SurfaceKind.VentedRafters
                    ? [new(Make("gypsum-board", 0.16, 22), Length.FromMillimetres(12.7))]
                : kind == SurfaceKind.CrawlFloor
                    ?
                    [
                        new(Make("plywood", 0.115, 0.35), Length.FromMillimetres(19)),
                        new(Make("sheet-flooring", 0.17, 0.005), Length.FromMillimetres(3)),
                    ]
                : [],
            Members =
                kind is SurfaceKind.MetalWall
                    ? new()
                    {
                        Material = MemberMaterial.Girt,
                        Depth = Length.FromInches(8),
                        Spacing = Length.FromMetres(1.5),
                        Share = 0,
                        Conductivity = ThermalConductivity.FromSi(50),
                        Profile = new(Length.FromMetres(0.06), Length.FromMetres(0.0015), Length.FromMetres(0.0006)),
                    }
                : kind is SurfaceKind.BasementWall or SurfaceKind.UnderSlab or SurfaceKind.BandJoist or SurfaceKind.LowSlopeRoof
                    ? new()
                    {
                        Material = MemberMaterial.None,
                        Depth = Length.Zero,
                        Spacing = Length.Zero,
                        Share = 0,
                        Conductivity = ThermalConductivity.FromSi(0.115),
                    }
                : kind is SurfaceKind.OverheadDoor
                    ? new()
                    {
                        Material = MemberMaterial.None,
                        Depth = Length.FromInches(2),
                        Spacing = Length.Zero,
                        Share = 0,
                        Conductivity = ThermalConductivity.FromSi(0.115),
                    }
                : new()
                {
                    Material = MemberMaterial.Wood,
                    Depth = Length.FromInches(depthInches),
                    Spacing = Length.FromInches(24),
                    Share = 0.22,
                    Conductivity = ThermalConductivity.FromSi(0.1154),
                },
            FoamAgainst = kind is SurfaceKind.CrawlFloor or SurfaceKind.LowSlopeRoof ? FoamSide.Inboard : FoamSide.Outboard,
            HeatFlow =
                kind is SurfaceKind.UnventedDeck or SurfaceKind.LowSlopeRoof or SurfaceKind.VentedRafters ? HeatFlow.Up
                : kind is SurfaceKind.CrawlFloor ? HeatFlow.Down
                : HeatFlow.Horizontal,
            Exposure = kind is SurfaceKind.BasementWall or SurfaceKind.UnderSlab ? Exposure.Ground : Exposure.Outdoors,
            Films = films,
            Fill = [],
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(-15),
                RelativeHumidity.FromPercent(80)
            ),
            Target = targetU is { } u ? new(ThermalTransmittance.FromUsU(u), "test") : null,
            ClimateZone = zone,
        };

    public static ChoiceCase Case(
        SurfaceKind kind,
        string zone = "6A",
        YearOfAir? year = null,
        SurfaceFacts? facts = null,
        SectionCase? section = null
    ) =>
        new()
        {
            Section = section ?? Section(kind, zone),
            Facts = facts ?? new() { Treated = Area.FromSquareMetres(100) },
            Sheets = [Sheets.ClosedCell, Sheets.OpenCell, Sheets.ColdGrade],
            Materials = Materials,
            Year = year ?? Year(),
            Rates = Rates,
        };

    private static Layer[] Outboard(SurfaceKind kind) =>
        kind switch
        {
            SurfaceKind.MetalWall or SurfaceKind.OverheadDoor => [new(Make("steel-skin", 50, 0.0005), Length.FromMillimetres(0.6))],
            SurfaceKind.UnventedDeck =>
            [
                new(Make("asphalt-shingle", 0.17, 0.02), Length.FromMillimetres(6)),
                new(Make("board-sheathing", 0.115, 3), Length.FromMillimetres(19)),
            ],
            SurfaceKind.BasementWall => [new(Make("brick", 0.72, 3.2), Length.FromMillimetres(230))],
            SurfaceKind.UnderSlab => [new(Make("stone-base", 1.4, 60), Length.FromMillimetres(150))],
            SurfaceKind.CrawlFloor => [],
            SurfaceKind.BandJoist => [new(Make("softwood", 0.1154, 3), Length.FromMillimetres(38))],
            _ => [new(Make("wood-siding", 0.115, 4), Length.FromMillimetres(19)), new(Make("osb", 0.1, 0.45), Length.FromMillimetres(11))],
        };
}
