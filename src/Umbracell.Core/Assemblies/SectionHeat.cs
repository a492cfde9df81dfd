using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Heat through a section: every resistance on the way, and U by both methods.</summary>
internal sealed record SectionHeat
{
    public required ThermalResistance InsideFilm { get; init; }

    public required ThermalResistance OutsideFilm { get; init; }

    /// <summary>Layers outboard of the foam that count: none of those beyond a ventilated channel, and the baffle.</summary>
    public required IReadOnlyList<Layer> Outboard { get; init; }

    /// <summary>All that is put in: foam, batt, board, coat.</summary>
    public required ThermalResistance Fill { get; init; }

    public required ThermalResistance FreeSpace { get; init; }

    public required Length FreeWidth { get; init; }

    /// <summary>The member path beside the fill and the free space, with any fill that covers the member.</summary>
    public required ThermalResistance Member { get; init; }

    public required ThermalResistance Rest { get; init; }

    public required double Share { get; init; }

    public required ThermalTransmittance ParallelU { get; init; }

    public required ThermalTransmittance? CombinedU { get; init; }

    public required ThermalTransmittance WholeU { get; init; }

    /// <summary>What steel studs leave of the cavity by the code's table; null where there are none, they are solved or there is no
    /// foam.</summary>
    public SteelStuds.Corrected? Studs { get; init; }

    /// <summary>Heat through a metre of metal member, W/(m·K); null where there are none, their section is not known or there is no
    /// foam.</summary>
    public double? MemberPsi { get; init; }

    /// <summary>U by the table or the fin, where the conduction model took its place; null elsewhere.</summary>
    public ThermalTransmittance? EstimateU { get; init; }

    public ThermalResistance CavityTotal => Rest + Fill + FreeSpace;

    public static SectionHeat BareOf(SectionCase section) => Of(section.Bare());

    /// <summary>The clear field: as if no metal stood in it.</summary>
    public static SectionHeat ClearOf(SectionCase section) => Of(section with { Members = section.Members with { Profile = null } });

    public static SectionHeat Of(SectionCase section)
    {
        var ventilated = section.VentChannel > Length.Zero;
        var inside = Films.Inside(section.Films, section.HeatFlow);
        var outside = Films.Outside(section.Films, section.HeatFlow, ventilated ? Exposure.Ventilated : section.Exposure);
        IReadOnlyList<Layer> outboard = ventilated
            ? section.Baffle is { } baffle
                ? [baffle]
                : []
            : section.Outboard;
        var thickness = section.FillThickness;
        var fill = section.Fill.Aggregate(default(ThermalResistance), (sum, layer) => sum + layer.Resistance);

        // A space that nothing closes off is the room or the open air itself: its film is already counted.
        var closing = section.FoamAgainst == FoamSide.Outboard ? section.Inboard : outboard;
        var freeWidth =
            closing.Count > 0 && section.FoamDepth is { } depth ? Length.FromMetres(Math.Max(0, (depth - thickness).Metres)) : Length.Zero;
        var free = AirSpace.Of(
            freeWidth,
            section.HeatFlow,
            FaceOfFill(section),
            closing.Count > 0 ? FaceBeside(section, closing) : AirSpace.OrdinaryFace
        );
        var rest = outboard.Concat(section.Inboard).Aggregate(inside + outside, (sum, layer) => sum + layer.Resistance);

        var share = section.Members.Material == MemberMaterial.Wood ? section.Members.Share : 0;
        var memberDepth = share > 0 && section.FoamDepth is { } full ? full : Length.Zero;
        var slices = Slices(section, outboard, inside, outside, fill, free, memberDepth, share);
        var parallel = WoodFraming.ParallelPath(share, slices);
        var isMetal = section.Members.Material is MemberMaterial.SteelStud or MemberMaterial.Girt;
        var combined = isMetal ? null : WoodFraming.Combined(share, slices);

        var metal = Metal(section, parallel, rest, fill + free, inside);
        var whole = metal?.U ?? (section.Films == FilmSet.Iso6946 && combined is { } u ? u : parallel);
        return new()
        {
            InsideFilm = inside,
            OutsideFilm = outside,
            Outboard = outboard,
            Fill = fill,
            FreeSpace = free,
            FreeWidth = freeWidth,
            // Where there is no member, what is left is what rounding leaves.
            Member = ThermalResistance.FromSi(
                Math.Max(0, slices.Sum(s => s.Member.SquareMetreKelvinsPerWatt) - rest.SquareMetreKelvinsPerWatt)
            ),
            Rest = rest,
            Share = share,
            ParallelU = parallel,
            CombinedU = combined,
            WholeU = whole,
            Studs = metal?.Studs,
            MemberPsi = metal?.Psi,
            EstimateU = metal?.Estimate,
        };
    }

    private sealed record MetalHeat(ThermalTransmittance U, SteelStuds.Corrected? Studs, double? Psi, ThermalTransmittance? Estimate);

    // Without foam the metal adds little to what the bare skin passes; left out there, the foam's worth is not overstated.
    private static MetalHeat? Metal(
        SectionCase section,
        ThermalTransmittance clear,
        ThermalResistance rest,
        ThermalResistance cavity,
        ThermalResistance inside
    )
    {
        if (
            section.Members is not { Material: MemberMaterial.SteelStud or MemberMaterial.Girt } members
            || section.FillThickness <= Length.Zero
        )
        {
            return null;
        }

        var solved = members.Profile is null ? null : section.PsiHere;
        if (members.Material == MemberMaterial.SteelStud)
        {
            var studs = SteelStuds.Of(members.Spacing, members.Depth, cavity);
            var byTable = (rest + studs.Resistance).ToTransmittance();
            return solved is { } psi ? new(WithMembers(psi), null, psi, byTable) : new(byTable, studs, null, null);
        }

        if (members.Profile is not { } profile)
        {
            return null;
        }

        var fin = Girts.LinearTransmittance(profile, members.Depth, inside);
        return new(WithMembers(solved ?? fin), null, solved ?? fin, solved is null ? null : WithMembers(fin));

        ThermalTransmittance WithMembers(double psi) =>
            ThermalTransmittance.FromSi(
                clear.WattsPerSquareMetreKelvin
                    + psi / QuantityRangeException.Within("member spacing", members.Spacing.Metres, 0.05, 10, Dimension.Thickness)
            );
    }

    private static double FaceOfFill(SectionCase section) =>
        section.Fill.Count > 0 && section.Fill[^1] is SlabFill slab ? slab.Layer.Material.Emittance : AirSpace.OrdinaryFace;

    // The layer that closes the space off: the first towards the room, or the last from outside.
    private static double FaceBeside(SectionCase section, IReadOnlyList<Layer> closing) =>
        (section.FoamAgainst == FoamSide.Outboard ? closing[0] : closing[^1]).Material.Emittance;

    private static List<Slice> Slices(
        SectionCase section,
        IReadOnlyList<Layer> outboard,
        ThermalResistance inside,
        ThermalResistance outside,
        ThermalResistance fill,
        ThermalResistance free,
        Length memberDepth,
        double share
    )
    {
        List<Slice> slices =
        [
            Slice.Continuous(outside),
            .. outboard.Concat(section.Inboard).Select(layer => Slice.Continuous(layer.Resistance)),
            Slice.Continuous(inside),
        ];
        if (share == 0)
        {
            slices.Add(Slice.Continuous(fill));
            slices.Add(Slice.Continuous(free));
            return slices;
        }

        // What is thicker than the member covers it; a member deeper than the fill stands in the free space, or bare in the room.
        var reached = Length.Zero;
        foreach (var layer in section.Fill)
        {
            var beside = Length.FromMetres(Math.Clamp((memberDepth - reached).Metres, 0, layer.Thickness.Metres));
            reached += layer.Thickness;
            var besideShare = layer.Thickness > Length.Zero ? beside / layer.Thickness : 0;
            if (besideShare > 0)
            {
                slices.Add(new(layer.Resistance * besideShare, section.Members.Conductivity.Over(beside)));
            }

            if (besideShare < 1)
            {
                slices.Add(Slice.Continuous(layer.Resistance * (1 - besideShare)));
            }
        }

        if (free.SquareMetreKelvinsPerWatt > 0)
        {
            slices.Add(new(free, section.Members.Conductivity.Over(memberDepth - reached)));
        }

        return slices;
    }
}
