using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>A thickness that means something, for the tape beside the section.</summary>
/// <param name="Key">What it is: <c>airBarrier</c>, <c>class2</c>, <c>target</c>, <c>face</c>, <c>lift</c>.</param>
/// <param name="Thickness">At this foam thickness.</param>
public sealed record Notch(string Key, Length Thickness);

/// <summary>What a foam thickness gives in an assembly: the answer of the section stage.</summary>
public sealed record SectionStudy
{
    /// <summary>The case studied.</summary>
    public required SectionCase Case { get; init; }

    /// <summary>Aged R of the foam alone.</summary>
    public required ThermalResistance FoamR { get; init; }

    /// <summary>R from air to air between the members.</summary>
    public required ThermalResistance CavityR { get; init; }

    /// <summary>What steel studs leave of the cavity's R; null without steel studs.</summary>
    public SteelStuds.Corrected? Studs { get; init; }

    /// <summary>Heat through a metre of girt, W/(m·K); null without girts of known section.</summary>
    public double? GirtPsi { get; init; }

    /// <summary>Temperature of the girts' flange in the room at design; null without girts of known section.</summary>
    public Temperature? GirtFlange { get; init; }

    /// <summary>U by parallel path; the clear field where members are metal or absent.</summary>
    public required ThermalTransmittance ParallelU { get; init; }

    /// <summary>U by the combined method of ISO 6946; null where it refuses.</summary>
    public required ThermalTransmittance? CombinedU { get; init; }

    /// <summary>The U held against the target: with steel studs by their correction, with girts by the fin estimate, else combined under the ISO films where it is allowed, else parallel path.</summary>
    public required ThermalTransmittance WholeU { get; init; }

    /// <summary>U of the assembly without foam, same films.</summary>
    public required ThermalTransmittance BareU { get; init; }

    /// <summary>Share of the bare assembly's heat flow that the foam cuts, 0 to 1.</summary>
    public double HeatCut => 1 - WholeU.WattsPerSquareMetreKelvin / BareU.WattsPerSquareMetreKelvin;

    /// <summary>Permeance of the foam.</summary>
    public required Permeance FoamPermeance { get; init; }

    /// <summary>Class of the foam by itself.</summary>
    public required VapourClass FoamClass { get; init; }

    /// <summary>Permeance of everything between room and outside air, in series.</summary>
    public required Permeance WholePermeance { get; init; }

    /// <summary>Temperature and vapour through the section at design.</summary>
    public required SectionProfile Profile { get; init; }

    /// <summary>Lifts.</summary>
    public required LiftPlan Lifts { get; init; }

    /// <summary>Thinnest foam that meets the target; null without a target or where none fits.</summary>
    public required Length? ThicknessForTarget { get; init; }

    /// <summary>Depth the foam may take up, or null where nothing bounds it.</summary>
    public required Length? GreatestFit { get; init; }

    /// <summary>Notches for the tape, thinnest first.</summary>
    public required IReadOnlyList<Notch> Notches { get; init; }

    /// <summary>Judgements, worst first.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Workings by the name of the figure.</summary>
    public required IReadOnlyDictionary<string, Working> Workings { get; init; }

    /// <summary>Studies a section.</summary>
    /// <param name="section">The case.</param>
    /// <exception cref="QuantityRangeException">A thickness not above zero, or past what the sheet rates; air outside the psychrometric formulas.</exception>
    public static SectionStudy Of(SectionCase section)
    {
        section = section.WithFoam(section.Sheet.Rated(section.FoamThickness));
        var heat = SectionHeat.Of(section);
        var foamPermeance = section.Sheet.Permeability.Over(section.FoamThickness);
        var profile = SectionProfile.Of(section, heat);
        var lifts = LiftPlan.For(section.Sheet, section.FoamThickness);
        var thicknessForTarget = SectionSearch.ThicknessForTarget(section);
        var study = new SectionStudy
        {
            Case = section,
            FoamR = heat.Foam,
            CavityR = heat.CavityTotal,
            Studs = heat.Studs,
            GirtPsi = heat.GirtPsi,
            GirtFlange = heat.GirtPsi is { } psi && section.Members.Profile is { } girt ? Girts.Flange(girt, psi, heat.InsideFilm, section.Air.Indoor, section.Air.Outdoor) : null,
            ParallelU = heat.ParallelU,
            CombinedU = heat.CombinedU,
            WholeU = heat.WholeU,
            BareU = SectionHeat.BareOf(section).WholeU,
            FoamPermeance = foamPermeance,
            FoamClass = VapourResistance.ClassOf(foamPermeance),
            WholePermeance = profile.WholePermeance,
            Profile = profile,
            Lifts = lifts,
            ThicknessForTarget = thicknessForTarget,
            GreatestFit = SectionFit.GreatestFoam(section),
            Notches = [],
            Findings = [],
            Workings = new Dictionary<string, Working>(),
        };
        var workings = SectionWorkings.Of(study, heat);
        study = study with { Workings = workings, Notches = SectionSearch.Notches(study) };
        return study with { Findings = [.. SectionFindings.Of(study).OrderByDescending(f => f.Verdict)] };
    }
}
