using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>One month of an assembly's year.</summary>
/// <param name="Outdoor">Mean air outdoors.</param>
/// <param name="Indoor">Mean air in the room.</param>
/// <param name="Interface">Temperature at the interface of interest.</param>
/// <param name="InterfaceHumidity">Relative humidity there, percent, at most 100.</param>
/// <param name="Condensed">Condensed in the month in the whole section, kg/m²; negative where more dried.</param>
/// <param name="Stored">Lying in the section at the end of the month, kg/m².</param>
/// <param name="SurfaceHumidity">Relative humidity at the inner surface with a resistance of 0.25 m²K/W, percent.</param>
public readonly record struct MonthOfSection(MonthAir Outdoor, MonthAir Indoor, Temperature Interface, double InterfaceHumidity, double Condensed, double Stored, double SurfaceHumidity);

/// <summary>A year of monthly means through an assembly: condensate built up and dried, humidity at the interface of interest, mould at the inner surface (ISO 13788).</summary>
public sealed record MonthlyYear
{
    /// <summary>Humidity at an interface over which wood grows mould when it lasts, percent.</summary>
    public const double GreatestInterfaceHumidity = 80;

    /// <summary>Inner surface resistance for mould, m²K/W (ISO 13788).</summary>
    public const double MouldResistance = 0.25;

    /// <summary>Layers above this are cut up, m²K/W.</summary>
    private const double CutAbove = 0.25;

    private const int MostInterfaces = 160;

    /// <summary>January first.</summary>
    public required IReadOnlyList<MonthOfSection> Months { get; init; }

    /// <summary>Most that lies in the section at the end of a month, kg/m².</summary>
    public required double GreatestStored { get; init; }

    /// <summary>What a year leaves behind that the next one does not dry either, kg/m²; nothing where the section dries out within the year.</summary>
    public required double NeverDries { get; init; }

    /// <summary>What lies outboard of the interface of interest: a material id or <c>foam</c>.</summary>
    public required string InterfaceKey { get; init; }

    /// <summary>Judgements: condensate, interface, inner surface.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>A year of an assembly.</summary>
    /// <param name="section">The case; its own design air is not used.</param>
    /// <param name="year">Monthly means on both sides.</param>
    /// <exception cref="QuantityRangeException">Air outside the psychrometric formulas.</exception>
    public static MonthlyYear Of(SectionCase section, YearOfAir year)
    {
        var heat = SectionHeat.Of(section);
        var steps = CutUp(SectionProfile.Steps(section, heat));
        var path = new Interfaces(steps, section);
        Span<double> saturation = stackalloc double[YearOfAir.Months * path.Count];
        Span<double> stored = stackalloc double[YearOfAir.Months * path.Count];
        Span<double> pressure = stackalloc double[YearOfAir.Months * path.Count];
        Span<double> outside = stackalloc double[YearOfAir.Months];
        Span<double> inside = stackalloc double[YearOfAir.Months];
        for (var month = 0; month < YearOfAir.Months; month++)
        {
            outside[month] = VapourPressure(year.Outdoor[month]);
            inside[month] = VapourPressure(year.Indoor[month]);
            for (var i = 0; i < path.Count; i++)
            {
                saturation[month * path.Count + i] = Saturated(path.TemperatureAt(i, year, month));
            }
        }

        var growth = CondensateYear.Run(path.Resistance, saturation, outside, inside, stored, pressure);
        return Told(section, year, heat, path, growth, stored, pressure, saturation, inside);
    }

    private static MonthlyYear Told(SectionCase section, YearOfAir year, SectionHeat heat, Interfaces path, double growth, ReadOnlySpan<double> stored, ReadOnlySpan<double> pressure, ReadOnlySpan<double> saturation, ReadOnlySpan<double> inside)
    {
        var months = new MonthOfSection[YearOfAir.Months];
        Span<double> sums = stackalloc double[YearOfAir.Months];
        for (var month = 0; month < YearOfAir.Months; month++)
        {
            foreach (var one in stored.Slice(month * path.Count, path.Count))
            {
                sums[month] += one;
            }
        }

        for (var month = 0; month < YearOfAir.Months; month++)
        {
            var at = month * path.Count + path.OfInterest;
            var before = month > 0 ? sums[month - 1] : sums[^1] - growth;
            months[month] = new(
                year.Outdoor[month],
                year.Indoor[month],
                path.TemperatureAt(path.OfInterest, year, month),
                Math.Min(100, 100 * pressure[at] / saturation[at]),
                sums[month] - before,
                sums[month],
                SurfaceHumidity(heat, year, month, inside[month]));
        }

        var told = new MonthlyYear { Months = months, GreatestStored = months.Max(m => m.Stored), NeverDries = growth, InterfaceKey = path.KeyOfInterest, Findings = [] };
        return told with { Findings = [.. MonthlyYearFindings.Of(told, section)] };
    }

    // The inner surface as ISO 13788 judges it: in a corner behind furniture, warmed less than an open wall.
    private static double SurfaceHumidity(SectionHeat heat, YearOfAir year, int month, double vapour)
    {
        var u = 1 / (MouldResistance + heat.CavityTotal.SquareMetreKelvinsPerWatt - heat.InsideFilm.SquareMetreKelvinsPerWatt);
        var (indoor, outdoor) = (year.Indoor[month].Temperature.Celsius, year.Outdoor[month].Temperature.Celsius);
        return Math.Min(100, 100 * vapour / Saturated(new(indoor - u * MouldResistance * (indoor - outdoor))));
    }

    private static double VapourPressure(MonthAir air) => MoistAir.Of(air.Temperature, air.Humidity, StandardAtmosphere.PressureAt(Length.Zero)).VapourPressure.Pascals;

    private static double Saturated(Temperature t) => SaturationTable.At(t.Celsius);

    private static List<SectionProfile.Step> CutUp(IEnumerable<SectionProfile.Step> steps)
    {
        var cut = new List<SectionProfile.Step>();
        foreach (var step in steps)
        {
            var parts = step.VapourResistance > 0 ? Math.Clamp((int)Math.Ceiling(step.Resistance / CutAbove), 1, 20) : 1;
            cut.AddRange(Enumerable.Repeat(step with { Width = step.Width / parts, Resistance = step.Resistance / parts, VapourResistance = step.VapourResistance / parts }, parts));
        }

        return cut;
    }

    /// <summary>Interfaces within the section: where the vapour resistance on both sides is above nothing.</summary>
    private readonly ref struct Interfaces
    {
        private readonly double[] _heatShare;

        public Interfaces(List<SectionProfile.Step> steps, SectionCase section)
        {
            var (r, z) = (steps.Sum(s => s.Resistance), steps.Sum(s => s.VapourResistance));
            var (rTo, zTo) = (0.0, 0.0);
            List<(double Z, double Share, string Key)> nodes = [];
            foreach (var step in steps)
            {
                rTo += step.Resistance;
                zTo += step.VapourResistance;
                if (step.VapourResistance > 0 && zTo > z * 1e-9 && zTo < z * (1 - 1e-9) && nodes.Count < MostInterfaces)
                {
                    nodes.Add((zTo, rTo / r, step.Key));
                }
            }

            // A section of a single layer has no interface within it: its middle stands for it.
            if (nodes.Count == 0)
            {
                nodes.Add((z / 2, 0.5, steps.Find(s => s.VapourResistance > 0).Key ?? "outside"));
            }

            Resistance = [.. nodes.Select(n => n.Z), z];
            _heatShare = [.. nodes.Select(n => n.Share)];
            OfInterest = Interest(nodes.ConvertAll(n => n.Key), section);
            KeyOfInterest = nodes[OfInterest].Key;
        }

        /// <summary>Vapour resistance from outside up to each, and the whole.</summary>
        public double[] Resistance { get; }

        public int OfInterest { get; }

        public string KeyOfInterest { get; }

        public int Count => _heatShare.Length;

        public Temperature TemperatureAt(int i, YearOfAir year, int month)
        {
            var (outdoor, indoor) = (year.Outdoor[month].Temperature.Celsius, year.Indoor[month].Temperature.Celsius);
            return new(outdoor + _heatShare[i] * (indoor - outdoor));
        }

        private static bool IsOpenBehindTight(SectionCase section) => section.Fill is [FoamFill first, FoamFill or BattFill, ..] && section.Fill[1].Permeance.Perms > 2 * first.Permeance.Perms;

        // Two foams share a key; the first ends where its own share of the slices does.
        private static int LastOfFirst(List<string> keys, SectionCase section)
        {
            var first = keys.IndexOf(section.Fill[0].Key);
            var depth = section.Fill[0].Resistance.SquareMetreKelvinsPerWatt / section.Fill.Where(f => f.Key == section.Fill[0].Key).Sum(f => f.Resistance.SquareMetreKelvinsPerWatt);
            var all = keys.FindLastIndex(key => key == section.Fill[0].Key) - first + 1;
            return first + Math.Clamp((int)Math.Round(all * depth), 1, all) - 1;
        }

        // Under a tight finish the underside of the finish; else the substrate the foam lies on.
        private static int Interest(List<string> keys, SectionCase section)
        {
            if (section.FoamAgainst == FoamSide.Inboard && section.Inboard.Count > 1)
            {
                return keys.Count - 1;
            }

            // Before a batt or open cell the face of the closed foam: what reaches it through them is the room's own vapour.
            var foam = IsOpenBehindTight(section) ? LastOfFirst(keys, section) + 1 : section.Fill.Count > 0 ? keys.IndexOf(section.Fill[0].Key) : -1;
            return section.FoamAgainst == FoamSide.Outboard && foam > 0 ? foam - 1 : section.FoamAgainst == FoamSide.Inboard ? Math.Max(0, keys.LastIndexOf("foam")) : 0;
        }
    }
}
