using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>The demo's buildings. All made up.</summary>
internal static class DemoJobs
{
    public static Job FerryHouse(MeansRow crew) =>
        new()
        {
            Name = "The ferry house at Brindle Quay",
            State = JobState.Ordered,
            CrewRow = crew,
            ClimateZone = "6A",
            TargetSetId = "iecc-2021",
            IndoorC = 21.1,
            IndoorRhPct = 40,
            OutdoorC = -17.8,
            OutdoorRhPct = 80,
            SummerIndoorC = 23.9,
            SummerIndoorRhPct = 50,
            SummerOutdoorC = 30,
            SummerOutdoorRhPct = 55,
            HeightM = 9.75,
            PlaceId = "brindle-quay",
            HumidityClass = 2,
            AltitudeM = 180,
        };

    private static DetailsDocument Purlins(DetailsDocument d) => d with { FlangeMm = 63.5, WebMm = 1.9, SkinMm = 0.6, HeldAtEnds = false };

    public static IEnumerable<DemoSurface> FerryHouseSurfaces(StartSurface start)
    {
        DemoSurface Start(SurfaceKind kind, string name) => new(start(kind, name), UnitSystem.Us);
        yield return Start(SurfaceKind.MetalRoof, "Slip hall roof")
            .Size(ShapeKind.RoofPlane, "26' x 60' at 4:12", repeats: 2)
            .Details(Purlins)
            .Details(d => d with { Access = AccessKind.Scaffold })
            .Foam("marl-cc-20", "3")
            .Read("31 F", "38 F", 84)
            .FoundDry()
            .Ready(PreparationItem.Masked);
        yield return Start(SurfaceKind.MetalWall, "Slip hall walls")
            .Size(ShapeKind.Band, "172' x 14'", "6 x 4' x 5'; 14' x 14'")
            .Details(Purlins)
            .Details(d => d with { Access = AccessKind.Ladder })
            .Foam("marl-cc-20f", "2 1/2")
            .Read("44 F", "47 F", 66)
            .FoundDry()
            .Ready();
        yield return Start(SurfaceKind.OverheadDoor, "Slip hall door")
            .Size(ShapeKind.Rectangle, "14' x 14'")
            .Details(d => d with { DoorSpareKg = 45 })
            .Foam("marl-cc-20", "1")
            .Read("45 F", "47 F", 66)
            .FoundDry()
            .Ready();
        yield return Start(SurfaceKind.StudWall, "Teaching wing walls")
            .Size(ShapeKind.Rectangle, "74' x 10'", "9 x 3' x 5'; 2 x 3' x 7'", 2)
            .Members("7 1/4", "24", 22)
            .Foam("fleece-oc-5", "7 1/4")
            .Read("61 F", "63 F", 55)
            .Wood(14)
            .Ready();
        yield return Start(SurfaceKind.StudWall, "Teaching wing gable")
            .Size(ShapeKind.Gable, "24' at 9:12", "3' x 3'")
            .Members("7 1/4", "24", 22)
            .Foam("fleece-oc-5", "7 1/4")
            .Read("61 F", "63 F", 55)
            .Ready();
        yield return Start(SurfaceKind.VentedRafters, "Teaching wing ceiling")
            .Size(ShapeKind.RoofPlane, "13' x 74' at 9:12", "4 x 2' x 3'", 2)
            .Members("11 1/4", "24", 7)
            .Details(d => d with { Covering = Covering.Shingles, Access = AccessKind.Scaffold })
            .Note(SiteNoteKind.Light, "two recessed lights over the stair")
            .Foam("marl-cc-20", "6")
            .Read("56 F", "60 F", 57)
            .Wood(16.5)
            .Ready(PreparationItem.JointsReady);
        yield return Start(SurfaceKind.UnventedDeck, "Bell tower deck")
            .Size(ShapeKind.RoofPlane, "8' x 16' at 10:12", repeats: 4)
            .Members("9 1/4", "24", 7)
            .Leak("flashing at the bell louvre", "up the north hip to the louvre's sill, wet after two days of rain", 1)
            .Details(d => d with { Covering = Covering.WoodShingles, Access = AccessKind.Scaffold })
            .Note(SiteNoteKind.OldInsulation, "fibre batts, wet along the north hip")
            .Wood(23)
            .WoodBySecondMeter(18.5)
            .Ready(PreparationItem.LeaksMended, PreparationItem.Dry);
        yield return Start(SurfaceKind.BandJoist, "Band joists of the wing")
            .Size(ShapeKind.Band, "196' x 11 1/4\"")
            .Details(d => d with { BalloonFramed = false })
            .Foam("marl-cc-20", "3")
            .Read("58 F", "60 F", 52)
            .Wood(13)
            .Ready();
        yield return Start(SurfaceKind.BasementWall, "Basement walls")
            .Size(ShapeKind.Band, "142' x 7'", "5 x 3' x 1'6")
            .Note(SiteNoteKind.Penetration, "four old pipe sleeves to the quay")
            .Foam("marl-cc-20", "2 1/2")
            .Read("52 F", "56 F", 66)
            .FoundDry()
            .Ready();
        yield return Start(SurfaceKind.LowSlopeRoof, "Boiler-house roof")
            .Size(ShapeKind.Rectangle, "30' x 50'", "4' x 4'")
            .Details(d => d with { Covering = Covering.BuiltUpFelt, Attachment = Attachment.FullyAdhered })
            .Note(SiteNoteKind.WetPart, "blister at the south-west corner, about 40 square feet")
            .Note(SiteNoteKind.Flue, "boiler flue through the roof", "6 in")
            .Foam("slate-rf-30", "4")
            .Read("48 F", "45 F", 71)
            .FoundDry(false)
            .Ready(PreparationItem.Dry, PreparationItem.Firm);
        yield return Start(SurfaceKind.UnderSlab, "Battery room ground")
            .Size(ShapeKind.Rectangle, "21' x 20'")
            .Details(d => d with { PenetrationMm = 12 })
            .Foam("marl-cc-20", "4 1/4")
            .Read("57 F", "60 F", 52)
            .FoundDry()
            .Ready();
        yield return Start(SurfaceKind.CantileveredFloor, "Oriel over the quay")
            .Size(ShapeKind.Rectangle, "12' x 5'6")
            .Members("9 1/4", "16", 10)
            .Foam("marl-cc-20", "5")
            .Read("49 F", "51 F", 60)
            .Wood(15)
            .Ready();
        yield return Start(SurfaceKind.EavesClosure, "Sail store eaves")
            .Size(ShapeKind.Band, "84' x 1'4")
            .Foam("marl-cc-20f", "4")
            .Read("38 F", "40 F", 62)
            .Wood(16.8)
            .Ready();
        yield return Start(SurfaceKind.InteriorPartition, "Saw room partition")
            .Size(ShapeKind.Rectangle, "26' x 10'", "3' x 7'")
            .Members("5 1/2", "16", 25)
            .Foam("fleece-oc-5", "5 1/2")
            .Read("62 F", "63 F", 55)
            .Ready(PreparationItem.Masked);
    }

    public static Job MillCottages(MeansRow crew) =>
        new()
        {
            Name = "Skerrow mill cottages",
            State = JobState.Offered,
            CrewRow = crew,
            ClimateZone = "4C",
            TargetSetId = "metric-sample",
            IndoorC = 20,
            IndoorRhPct = 50,
            OutdoorC = -4,
            OutdoorRhPct = 90,
            SummerIndoorC = 22,
            SummerIndoorRhPct = 60,
            SummerOutdoorC = 24,
            SummerOutdoorRhPct = 65,
            HeightM = 7.2,
            PlaceId = "skerrow",
            HumidityClass = 2,
            AltitudeM = 60,
        };

    public static IEnumerable<DemoSurface> MillCottagesSurfaces(StartSurface start)
    {
        DemoSurface Start(SurfaceKind kind, string name) => new(start(kind, name), UnitSystem.Metric);
        yield return Start(SurfaceKind.SolidWall, "Rubble walls")
            .Size(ShapeKind.Rectangle, "9.2 m x 5.1 m", "4 x 0.9 m x 1.2 m; 1 m x 2.1 m", 3)
            .Foam("marl-cc-20", "100 mm")
            .Read("11 C", "13 C", 68)
            .FoundDry()
            .Ready();
        yield return Start(SurfaceKind.VentedRafters, "Clay-tile roof")
            .Size(ShapeKind.RoofPlane, "3.4 m x 9.2 m at 40°", "0.8 m x 1.2 m", 2)
            .Members("175 mm", "400 mm", 10)
            .Details(d => d with { Covering = Covering.Tile })
            .Layers(
                new()
                {
                    Outboard = [new("clay-tile", 15), new("underlay", 1)],
                    Inboard = [new("gypsum-board", 12.5)],
                    VentChannelMm = 40,
                    Baffle = new("plywood", 6),
                }
            )
            .Foam("fleece-oc-8", "125 mm")
            .Read("12 C", "14 C", 63)
            .Wood(17.5)
            .Ready();
        yield return Start(SurfaceKind.AtticFloor, "Loft floor")
            .Size(ShapeKind.Rectangle, "9.2 m x 6.4 m", "0.7 m x 0.9 m")
            .Members("150 mm", "400 mm", 10)
            .Foam("fleece-oc-5", "150 mm")
            .Read("9 C", "10 C", 72)
            .Ready(PreparationItem.Sealed);
    }

    public static Job OrchidHouse(MeansRow crew) =>
        new()
        {
            Name = "Pellam orchid house",
            CrewRow = crew,
            ClimateZone = "1A",
            TargetSetId = "iecc-2021",
            IndoorC = 21.1,
            IndoorRhPct = 55,
            OutdoorC = 8.9,
            OutdoorRhPct = 80,
            SummerIndoorC = 23.3,
            SummerIndoorRhPct = 55,
            SummerOutdoorC = 32.8,
            SummerOutdoorRhPct = 68,
            HeightM = 4.6,
            PlaceId = "pellam",
            HumidityClass = null,
            RoomMonthsC = [21, 21, 22, 23, 23, 23, 23, 23, 23, 23, 22, 21],
            RoomMonthsRhPct = [55, 55, 55, 55, 55, 55, 55, 55, 55, 55, 55, 55],
            AltitudeM = 6,
        };

    public static IEnumerable<DemoSurface> OrchidHouseSurfaces(StartSurface start)
    {
        DemoSurface Start(SurfaceKind kind, string name) => new(start(kind, name), UnitSystem.Us);
        yield return Start(SurfaceKind.CrawlFloor, "Potting house floor")
            .Size(ShapeKind.Bays, "22 x 14 1/2\" x 24'")
            .Members("9 1/4", "16", 10)
            .Border("Space under the piers")
            .Details(d => d with { Access = AccessKind.Crawling })
            .Note(SiteNoteKind.Pests, "old termite tubes on two piers, treated")
            .Foam("marl-cc-20", "3")
            .Read("82 F", "84 F", 74)
            .Wood(16.5)
            .Ready(PreparationItem.PestsGone);
        yield return Start(SurfaceKind.AtticFloor, "Seed attic floor")
            .Size(ShapeKind.Rectangle, "40' x 24'", "2'6 x 4'6")
            .Members("9 1/4", "16", 10)
            .Border("Seed attic")
            .Note(SiteNoteKind.Services, "supply ducts lie across the joists")
            .Read("96 F", "101 F", 46)
            .Wood(11);
        yield return Start(SurfaceKind.UnventedDeck, "Seed attic deck")
            .Size(ShapeKind.RoofPlane, "13' x 42' at 6:12", repeats: 2)
            .Members("7 1/4", "24", 7)
            .Border("Seed attic")
            .Details(d => d with { Covering = Covering.MetalSheets })
            .Foam("fleece-oc-8", "7 1/4")
            .Read("98 F", "99 F", 48)
            .Wood(12)
            .WoodBySecondMeter(13.5)
            .Ready(PreparationItem.VentsClosed);
        yield return Start(SurfaceKind.StudWall, "Propagation room walls")
            .Size(ShapeKind.Rectangle, "66' x 9'", "3' x 6'8\"; 2 x 2' x 3'")
            .Members("5 1/2", "16", 25)
            .Details(d => d with { HeldAtEnds = false })
            .Foam("marl-cc-20", "3 1/2")
            .Read("79 F", "82 F", 71)
            .Wood(15)
            .Ready();
        yield return Start(SurfaceKind.StudWall, "Office walls")
            .Size(ShapeKind.Rectangle, "52' x 9'", "4 x 3' x 4'; 3' x 6'8\"")
            .Members("3 1/2", "16", 25)
            .Foam("fleece-oc-5", "3 1/2")
            .Read("80 F", "82 F", 66)
            .Wood(13)
            .Ready(PreparationItem.Masked);
    }

    public static Job SeedStore(MeansRow crew) =>
        new()
        {
            Name = "Tollgate seed store",
            State = JobState.UnderWay,
            CrewRow = crew,
            ClimateZone = "5B",
            TargetSetId = "metric-sample",
            IndoorC = 4,
            IndoorRhPct = 35,
            OutdoorC = -21,
            OutdoorRhPct = 65,
            SummerIndoorC = 4,
            SummerIndoorRhPct = 35,
            SummerOutdoorC = 31,
            SummerOutdoorRhPct = 22,
            HeightM = 6.4,
            PlaceId = "tollgate",
            HumidityClass = null,
            RoomMonthsC = [.. Enumerable.Repeat(4.0, 12)],
            RoomMonthsRhPct = [.. Enumerable.Repeat(35.0, 12)],
            AltitudeM = 1900,
        };

    public static IEnumerable<DemoSurface> SeedStoreSurfaces(StartSurface start)
    {
        static DetailsDocument BoxRibs(DetailsDocument d) => d with { FlangeMm = 50, WebMm = 2.5, SkinMm = 0.75 };
        DemoSurface Start(SurfaceKind kind, string name) => new(start(kind, name), UnitSystem.Metric);
        yield return Start(SurfaceKind.MetalWall, "Cold store walls")
            .Size(ShapeKind.Band, "58 m x 5.6 m", "3.2 m x 3.6 m; 1 m x 2.1 m")
            .Members("150 mm", "1800 mm", 0)
            .Details(BoxRibs)
            .Details(d => d with { Access = AccessKind.Scaffold, HeldAtEnds = true })
            .Foam("marl-cc-20", "100 mm")
            .Read("9 C", "11 C", 31)
            .FoundDry()
            .Ready(PreparationItem.MembersBraced);
        yield return Start(SurfaceKind.MetalRoof, "Cold store roof")
            .Size(ShapeKind.RoofPlane, "7.4 m x 21.5 m at 8°", repeats: 2)
            .Members("150 mm", "1800 mm", 0)
            .Details(BoxRibs)
            .Details(d => d with { Access = AccessKind.Scaffold })
            .Foam("marl-cc-20", "125 mm")
            .Read("7 C", "11 C", 33)
            .FoundDry()
            .Ready(PreparationItem.Clean);
        yield return Start(SurfaceKind.OverheadDoor, "Store door")
            .Size(ShapeKind.Rectangle, "3.2 m x 3.6 m")
            .Foam("marl-cc-20", "40 mm")
            .Read("9 C", "11 C", 31)
            .FoundDry()
            .Ready();
        yield return Start(SurfaceKind.SteelBox, "Fumigation box")
            .Size(ShapeKind.Box, "6.05 m x 2.4 m x 2.55 m", "2.3 m x 2.3 m")
            .Members("45 mm", "600 mm", 0)
            .Details(d => d with { FlangeMm = 40, WebMm = 2, SkinMm = 1.6 })
            .Foam("marl-cc-20f", "60 mm")
            .Read("6 C", "8 C", 36)
            .FoundDry()
            .Ready(PreparationItem.Clean);
        yield return Start(SurfaceKind.UnderSlab, "Ground of the annexe")
            .Size(ShapeKind.Outline, "0 x 0; 8.4 m x 0; 8.4 m x 3.1 m; 5.2 m x 5.9 m; 0 x 5.9 m")
            .Foam("marl-cc-20", "110 mm")
            .Read("12 C", "14 C", 28)
            .FoundDry()
            .Ready(PreparationItem.BaseLevel);
        yield return Start(SurfaceKind.InteriorPartition, "Grader room partition")
            .Size(ShapeKind.Rectangle, "9 m x 3.2 m", "1 m x 2.1 m")
            .SteelStuds("92 mm", "406 mm")
            .Details(d => d with { FlangeMm = 41, WebMm = 0.85 })
            .Foam("fleece-oc-5", "92 mm")
            .Read("14 C", "16 C", 27)
            .FoundDry()
            .Ready();
    }

    /// <summary>Drums as read for a job: A and B in °C by product.</summary>
    public static IReadOnlyDictionary<string, (double A, double B)> Drums { get; } =
        new Dictionary<string, (double A, double B)>
        {
            ["marl-cc-20"] = (21.5, 22.0),
            ["marl-cc-20f"] = (19.5, 20.0),
            ["fleece-oc-5"] = (24.0, 23.5),
            ["fleece-oc-8"] = (24.5, 24.0),
            ["slate-rf-30"] = (18.4, 20.0),
        };
}
