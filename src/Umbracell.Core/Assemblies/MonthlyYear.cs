using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>One month of an assembly's year.</summary>
public readonly record struct MonthOfSection
{
    /// <summary>Mean air outdoors.</summary>
    public required MonthAir Outdoor { get; init; }

    /// <summary>Mean air in the room.</summary>
    public required MonthAir Indoor { get; init; }

    /// <summary>Where most water lies at the end of the month; where none does, the dampest place that water can harm.</summary>
    public required HarmedPlace At { get; init; }

    /// <summary>Temperature there.</summary>
    public required Temperature AtTemperature { get; init; }

    /// <summary>Relative humidity there, percent, at most 100; over ice below 0 °C.</summary>
    public required double AtHumidity { get; init; }

    /// <summary>Condensed in the month in the whole section, kg/m²; negative where more dried.</summary>
    public required double Condensed { get; init; }

    /// <summary>Lying in the section at the end of the month, kg/m².</summary>
    public required double Stored { get; init; }

    /// <summary>Relative humidity at the inner surface with a resistance of 0.25 m²K/W, percent.</summary>
    public required double SurfaceHumidity { get; init; }
}

/// <summary>The year of a place that water can harm.</summary>
public sealed record PlaceYear
{
    /// <summary>Which.</summary>
    public required HarmedPlace Place { get; init; }

    /// <summary>Mean temperature by month, January first.</summary>
    public required IReadOnlyList<Temperature> Temperatures { get; init; }

    /// <summary>Relative humidity by month, percent, at most 100; over ice below 0 °C.</summary>
    public required IReadOnlyList<double> Humidities { get; init; }

    /// <summary>Its dampest month, 0 for January. At the covering's back only months damper than the air outdoors count, as long
    /// as there are any.</summary>
    public required int Worst { get; init; }

    /// <summary>Whether it is damper than the weather alone makes it; always, but at the covering's back.</summary>
    public required bool IsDamperThanWeather { get; init; }

    /// <summary>Whether it lies within what is put in: fibre or open foam against other foam.</summary>
    public required bool Own { get; init; }

    /// <summary>Whether it reads wet however tight the fill is, since what lies beyond it lets nothing out: steady means cannot
    /// tell one fill from another there.</summary>
    public required bool Untold { get; init; }

    /// <summary>Whether vapour drives from outside to the room in its dampest month.</summary>
    public required bool Inward { get; init; }

    /// <summary>How its greatest humidity came about.</summary>
    public Working Working => How();

    /// <summary>Made when it is asked for: a choice weighs hundreds of years and shows a few.</summary>
    internal Func<Working> How { get; init; } = () => throw new InvalidOperationException("A place knows how it came about.");

    /// <summary>Humidity of the dampest month, percent.</summary>
    public double Greatest => Humidities[Worst];
}

/// <summary>A year of monthly means through an assembly: condensate built up and dried, humidity at every place that water can harm,
/// mould at the inner surface (ISO 13788).</summary>
public sealed record MonthlyYear
{
    /// <summary>Humidity at an interface over which wood grows mould when it lasts, percent.</summary>
    public const double GreatestInterfaceHumidity = 80;

    /// <summary>Humidities this near to each other are one: means are no better, percent.</summary>
    public const double Alike = 1;

    /// <summary>Inner surface resistance for mould, m²K/W (ISO 13788).</summary>
    public const double MouldResistance = 0.25;

    /// <summary>Water over this lies somewhere, kg/m².</summary>
    internal const double Lies = 1e-4;

    /// <summary>January first.</summary>
    public required IReadOnlyList<MonthOfSection> Months { get; init; }

    /// <summary>Most that lies in the section at the end of a month, kg/m².</summary>
    public required double GreatestStored { get; init; }

    /// <summary>What a year leaves behind that the next one does not dry either, kg/m²; nothing where the section dries out within the
    /// year.</summary>
    public required double NeverDries { get; init; }

    /// <summary>Every place that water can harm, outermost first; at least one.</summary>
    public required IReadOnlyList<PlaceYear> Places { get; init; }

    /// <summary>How what lies in the section came about; null where nothing does.</summary>
    public Working? Condensate => CondensateHow();

    /// <summary>Made when it is asked for, as <see cref="PlaceYear.How"/> is.</summary>
    internal Func<Working?> CondensateHow { get; init; } = () => null;

    /// <summary>Whether most of the water lies at a place where steady means cannot tell one fill from another.</summary>
    public required bool LiesUntold { get; init; }

    /// <summary>The dampest place of all; of equals the one about which the means can tell.</summary>
    public PlaceYear Dampest => Places.Where(p => p.IsDamperThanWeather).OrderByDescending(Rounded).ThenBy(p => p.Untold).First();

    /// <summary>The dampest place about which steady means can tell; null where there is none.</summary>
    public PlaceYear? DampestTold => Places.Where(p => p.IsDamperThanWeather && !p.Untold).MaxBy(Rounded);

    /// <summary>The dampest place within what is put in; null where that is of one piece.</summary>
    public PlaceYear? DampestOwn => Places.Where(p => p.Own).MaxBy(Rounded);

    // The last bit decides nothing.
    private static double Rounded(PlaceYear place) => Math.Round(place.Greatest, 6);

    /// <summary>Judgements: condensate, dampest place, inner surface.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>A year of an assembly.</summary>
    /// <param name="section">The case; its own design air is not used.</param>
    /// <param name="year">Monthly means on both sides.</param>
    /// <exception cref="QuantityRangeException">Air outside the psychrometric formulas.</exception>
    public static MonthlyYear Of(SectionCase section, YearOfAir year) =>
        Of(section, HeatAndMoisture.Of(section), year, new(() => new(section, year)));

    /// <summary>A year of an assembly whose ways of heat and moisture are at hand, and the yardstick it is held against.</summary>
    internal static MonthlyYear Of(SectionCase section, HeatAndMoisture ways, YearOfAir year, Lazy<TightestFill> tightest)
    {
        var (heat, path) = ways;
        var run = new MonthlyRun(path, year, tightest);
        var months = new MonthOfSection[YearOfAir.Months];
        var stored = 0.0;
        for (var month = 0; month < months.Length; month++)
        {
            months[month] = run.Month(month, SurfaceHumidity(heat, year, month, year.IndoorVapour[month]));
            stored = Math.Max(stored, months[month].Stored);
        }

        var told = new MonthlyYear
        {
            Months = months,
            GreatestStored = stored,
            NeverDries = run.NeverDries,
            Places = run.Places(),
            CondensateHow = () => new MonthlyWorkings(run).Condensate(months),
            LiesUntold = run.LiesUntold(months),
            Findings = [],
        };
        return told with { Findings = [.. MonthlyYearFindings.Of(told, section)] };
    }

    /// <summary>Says where a plan leaves a place damper than it is; null where it does not, or where all stays dry.</summary>
    /// <param name="before">The year of the assembly as it stands.</param>
    public Finding? WetterThan(MonthlyYear before) => MonthlyYearFindings.Wetter(this, before);

    // The inner surface as ISO 13788 judges it: in a corner behind furniture, warmed less than an open wall.
    private static double SurfaceHumidity(SectionHeat heat, YearOfAir year, int month, double vapour)
    {
        var u = 1 / (MouldResistance + heat.CavityTotal.SquareMetreKelvinsPerWatt - heat.InsideFilm.SquareMetreKelvinsPerWatt);
        var (indoor, outdoor) = (year.Indoor[month].Temperature.Celsius, year.Outdoor[month].Temperature.Celsius);
        return Math.Min(100, 100 * vapour / Saturated(Temperature.FromCelsius(indoor - u * MouldResistance * (indoor - outdoor))));
    }

    private static double Saturated(Temperature t) => AnnexE.Saturation(t.Celsius);
}
