using Umbracell.Documents;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>What the demo's firm works with: two crews with a rig each, heaters, blankets, a hot room, scaffold, fans. All made up.</summary>
public static class DemoMeans
{
    private const string TipsOfRig1 = "00 at 8 lb/min; 01 at 11 lb/min; 02 at 16 lb/min",
        TipsOfRig2 = "01 at 11 lb/min; 02 at 16 lb/min";

    /// <summary>Tips with their flows, by the words in which a demo of before has them without.</summary>
    internal static IReadOnlyDictionary<string, string> TipsSince { get; } =
        new Dictionary<string, string> { ["00, 01, 02"] = TipsOfRig1, ["01, 02"] = TipsOfRig2 };

    /// <summary>A crew of the demo.</summary>
    /// <param name="name">Its name.</param>
    public static MeansRow Crew(string name) =>
        new()
        {
            Id = Guid.NewGuid(),
            Kind = MeansKind.Crew,
            Name = name,
            Document = Of([("people", 3)], [("dayStart", "07:00"), ("dayEnd", "16:30")]),
        };

    internal static IEnumerable<MeansRow> Equipment(MeansRow heron, MeansRow plover)
    {
        yield return Rig("Rig 1", heron, hoseMetres: 60.96, trailerKg: 2900, tips: TipsOfRig1);
        yield return Rig("Rig 2", plover, hoseMetres: 76.2, trailerKg: 2900, tips: TipsOfRig2);
        yield return Row(
            MeansKind.SpaceHeater,
            "Heater on wheels",
            [("power", 30_000), ("count", 2)],
            [("heaterKind", "indirect"), ("fuel", "diesel")]
        );
        yield return Row(MeansKind.Blankets, "Drum blankets", [("power", 420), ("count", 6)], []);
        yield return Row(MeansKind.HotRoom, "Warm bay in the store", [("air", 35), ("loss", 45), ("holds", 8)], []);
    }

    internal static IEnumerable<MeansRow> ScaffoldAndFans()
    {
        yield return Row(
            MeansKind.Scaffold,
            "Rolling tower",
            [("reach", 6.096), ("covers", 27.87), ("count", 2)],
            [("scaffoldKind", "mobileTower")]
        );
        yield return Row(MeansKind.Fan, "Exhaust fan", [("flow", 0.9), ("duct", 0.3048), ("ductLength", 7.62), ("count", 2)], []);
    }

    internal static MeansRow Dehumidifier() =>
        Row(MeansKind.Dehumidifier, "Dehumidifier on wheels", [("takesOut", 1.4), ("count", 2)], [("dryerKind", "refrigerant")]);

    private static MeansRow Rig(string name, MeansRow crew, double hoseMetres, double trailerKg, string tips)
    {
        var rig = Row(
            MeansKind.Rig,
            name,
            [
                ("liquidHeaters", 15_000),
                ("hoseHeat", 3_600),
                ("hoseLength", hoseMetres),
                ("pressure", 13.7895e6),
                ("generator", 30_000),
                ("trailer", trailerKg),
            ],
            [("hoseLay", "onGround"), ("tips", tips), ("pumps", "2:1, one for each drum")]
        );
        rig.CrewId = crew.Id;
        return rig;
    }

    private static MeansRow Row(MeansKind kind, string name, (string, double)[] figures, (string, string)[] words) =>
        new()
        {
            Id = Guid.NewGuid(),
            Kind = kind,
            Name = name,
            Document = Of(figures, words),
        };

    private static MeansDocument Of((string Name, double Value)[] figures, (string Name, string Value)[] words) =>
        new() { Figures = figures.ToDictionary(f => f.Name, f => f.Value), Words = words.ToDictionary(w => w.Name, w => w.Value) };
}
