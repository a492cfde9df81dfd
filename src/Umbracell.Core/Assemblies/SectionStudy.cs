using Umbracell.Core.Assemblies.Conduction;
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

    /// <summary>R of all that is put in: foam by its aged table, batts as they lie.</summary>
    public required ThermalResistance FillR { get; init; }

    /// <summary>R from air to air between the members.</summary>
    public required ThermalResistance CavityR { get; init; }

    /// <summary>What steel studs leave of the cavity's R by the code's table; null without steel studs, or where they are solved.</summary>
    public SteelStuds.Corrected? Studs { get; init; }

    /// <summary>Air that stays between what is put in and what closes it off; zero where nothing does.</summary>
    public required Length FreeWidth { get; init; }

    /// <summary>Heat through a metre of metal member, W/(m·K); null without metal of known section.</summary>
    public double? MemberPsi { get; init; }

    /// <summary>Coldest metal the room's air touches at design: by the cell, or the flange by the fin estimate; null without metal of
    /// known section.</summary>
    public Temperature? ColdestMetal { get; init; }

    /// <summary>U by the table or the fin estimate, for comparison with what the cell gives; null where no cell is solved.</summary>
    public ThermalTransmittance? EstimateU { get; init; }

    /// <summary>The members' cell in two dimensions; null where members are not metal of known section, and while a hand moves where the
    /// curve of their fills stands for it.</summary>
    public MemberCell? MemberCell { get; init; }

    /// <summary>Whether members were reckoned in two dimensions: by the cell itself, or between cells of other fills.</summary>
    public bool MembersSolved { get; init; }

    /// <summary>U by parallel path; the clear field where members are metal or absent.</summary>
    public required ThermalTransmittance ParallelU { get; init; }

    /// <summary>U by the combined method of ISO 6946; null where it refuses.</summary>
    public required ThermalTransmittance? CombinedU { get; init; }

    /// <summary>The U held against the target: with metal of known section by conduction in two dimensions, with other steel studs by
    /// their correction, else combined under the ISO films where it is allowed, else parallel path.</summary>
    public required ThermalTransmittance WholeU { get; init; }

    /// <summary>U of the assembly without foam, same films.</summary>
    public required ThermalTransmittance BareU { get; init; }

    /// <summary>Share of the bare assembly's heat flow that the foam cuts, 0 to 1.</summary>
    public double HeatCut => 1 - WholeU.WattsPerSquareMetreKelvin / BareU.WattsPerSquareMetreKelvin;

    /// <summary>Permeance of all that is put in, in series; a sheet of air's worth where nothing is.</summary>
    public required Permeance FillPermeance { get; init; }

    /// <summary>Class of what is put in by itself.</summary>
    public required VapourClass FillClass { get; init; }

    /// <summary>Permeance of everything between room and outside air, in series.</summary>
    public required Permeance WholePermeance { get; init; }

    /// <summary>Temperature and vapour through the section at design.</summary>
    public required SectionProfile Profile { get; init; }

    /// <summary>Lifts of each foam, in the order they are sprayed; empty where none is.</summary>
    public required IReadOnlyList<LiftPlan> Lifts { get; init; }

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
    /// <param name="inMotion">Whether a hand is moving the foam: metal members then stand between cells solved for other fills, or on a
    /// coarser grid, within a hundredth of their own U, and the edge of a slab is not solved at all.</param>
    /// <exception cref="QuantityRangeException">A thickness not above zero, or past what the sheet rates; air outside the psychrometric
    /// formulas.</exception>
    public static SectionStudy Of(SectionCase section, bool inMotion = false)
    {
        ThicknessLimits.Within("foam thickness", section.FoamThickness);
        // The edge of a slab is solved when the hand has come to rest.
        section = section with
        {
            BeyondEdge = inMotion ? null : section.BeyondEdge,
            Fill =
            [
                .. section.Fill.Select(layer =>
                    layer is FoamFill foam ? foam with { Thickness = foam.Sheet.Rated(foam.Thickness) } : layer
                ),
            ],
        };
        var curve = MemberCurve.For(section);
        var between = inMotion && curve is not null && MemberCurve.StandsFor(section);
        var cell = between ? null : MemberCell.Of(section, inMotion ? MemberCell.FewVolumes : MemberCell.UsualVolumes);
        section = section with { SolvedPsi = section.SolvedPsi ?? curve?.Psi };
        var heat = SectionHeat.Of(
            cell is null ? section : section with { SolvedPsi = new("ψ", [new(0, cell.Psi), new(1, cell.Psi)], Dimension.Number) }
        );
        var permeance = VapourResistance.InSeries(section.Fill.Select(layer => layer.Permeance));
        var profile = SectionProfile.Of(section, heat);
        var lifts = section.Fill.OfType<FoamFill>().Select(foam => LiftPlan.For(foam.Sheet, foam.Thickness)).ToList();
        var thicknessForTarget = SectionSearch.ThicknessForTarget(section);
        var study = new SectionStudy
        {
            Case = section,
            FillR = heat.Fill,
            CavityR = heat.CavityTotal,
            FreeWidth = heat.FreeWidth,
            Studs = heat.Studs,
            MemberPsi = heat.MemberPsi,
            EstimateU = heat.EstimateU,
            MemberCell = cell,
            MembersSolved = cell is not null || between,
            ColdestMetal =
                cell is not null ? cell.Coldest
                : between ? curve!.ColdestOf(section)
                : heat.MemberPsi is { } psi && section.Members is { Material: MemberMaterial.Girt, Profile: { } girt }
                    ? Girts.Flange(girt, psi, heat.InsideFilm, section.Air.Indoor, section.Air.Outdoor)
                : null,
            ParallelU = heat.ParallelU,
            CombinedU = heat.CombinedU,
            WholeU = heat.WholeU,
            BareU = SectionHeat.BareOf(section).WholeU,
            FillPermeance = permeance,
            FillClass = VapourResistance.ClassOf(permeance),
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
