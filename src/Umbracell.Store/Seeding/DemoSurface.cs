using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>Starts a surface of a kind from its template, as the survey does for a person.</summary>
public delegate Surface StartSurface(SurfaceKind kind, string name);

/// <summary>Writes a demo surface in the words a surveyor would use.</summary>
internal sealed class DemoSurface(Surface surface, UnitSystem units)
{
    private readonly List<ReadingRow> _readings = [];
    private PreparationItem[]? _readyExcept;

    public Surface Row => surface;

    public IReadOnlyList<ReadingRow> Readings => _readings;

    public DemoSurface Size(ShapeKind shape, string size, string openings = "", int repeats = 1)
    {
        var taken =
            SizeText.ParseShape(size, shape, units).Shape ?? throw new InvalidOperationException($"The demo size {size} does not read.");
        surface.Shape = shape;
        (surface.FirstM, surface.SecondM, surface.ThirdM) = (taken.First.Metres, taken.Second.Metres, taken.Third.Metres);
        (surface.Pitch, surface.BayCount, surface.Repeats) = (taken.Pitch, taken.Count, repeats);
        surface.Corners = [.. taken.Corners.SelectMany(c => new[] { c.X, c.Y })];
        foreach (
            var opening in SizeText.ParseOpenings(openings, units).Openings
                ?? throw new InvalidOperationException($"The demo openings {openings} do not read.")
        )
        {
            surface.Openings.Add(
                new()
                {
                    Position = surface.Openings.Count,
                    Count = opening.Count,
                    WidthM = opening.Width.Metres,
                    HeightM = opening.Height.Metres,
                }
            );
        }

        return this;
    }

    public DemoSurface Members(string depth, string spacing, double sharePercent)
    {
        surface.MemberDepthM = Thickness(depth);
        surface.MemberSpacingM = Thickness(spacing);
        surface.MemberShare = sharePercent / 100;
        return this;
    }

    public DemoSurface Layers(AssemblyDocument assembly)
    {
        surface.Assembly = assembly;
        return this;
    }

    public DemoSurface Foam(string sheet, string thickness)
    {
        surface.SheetSlug = sheet;
        surface.FoamThicknessM = Thickness(thickness);
        return this;
    }

    public DemoSurface Leak(string where, string traced, int daysSinceRain) => Note(SiteNoteKind.Leak, where, null, traced, daysSinceRain);

    public DemoSurface SteelStuds(string depth, string spacing)
    {
        surface.MemberMaterial = MemberMaterial.SteelStud;
        surface.Substrate = SubstrateKind.Mineral;
        return Members(depth, spacing, 0);
    }

    /// <summary>Name of the buffer space it borders on.</summary>
    public string? Buffer { get; private set; }

    public DemoSurface Border(string buffer)
    {
        Buffer = buffer;
        return this;
    }

    public DemoSurface Note(SiteNoteKind kind, string words, string? clearance = null, string traced = "", int? daysSinceRain = null)
    {
        surface.Notes.Add(
            new()
            {
                Kind = kind,
                Words = words,
                Traced = traced,
                DaysSinceRain = daysSinceRain,
                ClearanceM = clearance is null ? null : Thickness(clearance),
                NotedBy = "estimator",
            }
        );
        return this;
    }

    public DemoSurface Details(Func<DetailsDocument, DetailsDocument> with)
    {
        surface.Details = with(surface.Details);
        return this;
    }

    /// <summary>Everything on its preparation list ticked off, but for some.</summary>
    public DemoSurface Ready(params PreparationItem[] except)
    {
        _readyExcept = except;
        return this;
    }

    /// <summary>The ticks of its preparation list, once all is known of it.</summary>
    public IEnumerable<PreparationItem> Ticks(IEnumerable<PreparationItem> list) => _readyExcept is { } except ? list.Except(except) : [];

    public DemoSurface Read(string substrate, string air, double humidity)
    {
        Add(ReadingKind.SubstrateTemperature, "infrared gauge", celsius: Celsius(substrate));
        Add(ReadingKind.AirTemperature, "thermo-hygrometer", celsius: Celsius(air));
        Add(ReadingKind.Humidity, "thermo-hygrometer", percent: humidity);
        return this;
    }

    public DemoSurface Wood(double percent)
    {
        Add(ReadingKind.WoodMoisture, "pin meter", percent: percent, error: 1);
        return this;
    }

    public DemoSurface FoundDry(bool dry = true)
    {
        Add(ReadingKind.FoundDry, "by eye", dry: dry);
        return this;
    }

    private double Thickness(string text) => Parse(text, new(0.001, 3, Dimension.Thickness));

    private double Celsius(string text) => Parse(text, new(-60, 100, Dimension.Temperature));

    private double Parse(string text, FigureRange range) =>
        QuantityParser.Parse(text, range, units).Figure?.Amount
        ?? throw new InvalidOperationException($"The demo value {text} does not read.");

    /// <summary>A second meter's word on the wood.</summary>
    public DemoSurface WoodBySecondMeter(double percent)
    {
        Add(ReadingKind.WoodMoisture, "plate meter", percent: percent, error: 1.5);
        return this;
    }

    private void Add(
        ReadingKind kind,
        string instrument,
        double? celsius = null,
        double? percent = null,
        bool? dry = null,
        double? error = null
    ) =>
        _readings.Add(
            new()
            {
                Kind = kind,
                TempC = celsius,
                Percent = percent,
                FoundDry = dry,
                Instrument = instrument,
                ErrorPoints = error,
                TakenBy = "crew lead, crew Heron",
            }
        );
}
