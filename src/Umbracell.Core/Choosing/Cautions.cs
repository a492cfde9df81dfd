using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>Rules C1 to C14: what stays on a candidate as a caution. They follow the surface's kind and what was found there.</summary>
internal static class Cautions
{
    private static readonly Length BandJoistRelief = Length.FromInches(3.25);
    private static readonly Density Lightest = Density.FromPoundsPerCubicFoot(0.5),
        Densest = Density.FromPoundsPerCubicFoot(2.0);

    public static IEnumerable<Finding> Of(ChoiceCase choice, Weighed w)
    {
        var (facts, kind) = (choice.Facts, w.Section.Kind);
        var open = w.HasOpenCell;
        var foam = w.Section.Foam is not null;
        var roof = kind is SurfaceKind.UnventedDeck or SurfaceKind.VentedRafters or SurfaceKind.MetalRoof or SurfaceKind.LowSlopeRoof;
        (Rule Rule, string Case, bool Applies)[] all =
        [
            (ChoiceRules.Torn, "torn", facts.Workplace && open && w.Section.Inboard.Count == 0),
            (ChoiceRules.Soaks, "soaks", facts.RainBeforeCover && open),
            (ChoiceRules.Access, "access", facts.LaterAccess && foam),
            (ChoiceRules.HardSounds, "hardSounds", facts.SoundAsked && !open && !w.HasBatt),
            (ChoiceRules.Clearances, "clearances", facts.ClearancesAsked && foam),
            (ChoiceRules.OldBuilding, "oldBuilding", facts.OldBuilding),
            (ChoiceRules.Tighter, "tighter", facts.CombustionInside && foam && kind != SurfaceKind.InteriorPartition),
            (
                ChoiceRules.Termites,
                "termites",
                facts.Termites && kind is SurfaceKind.BandJoist or SurfaceKind.BasementWall or SurfaceKind.CrawlFloor
            ),
            (
                ChoiceRules.WoodAgainstSteel,
                "woodAgainstSteel",
                kind == SurfaceKind.SteelBox && w.Section.Members.Material == MemberMaterial.Wood
            ),
            (
                ChoiceRules.Brace,
                "brace",
                facts.HeldAtEnds == true && w.Section.Fill.OfType<FoamFill>().Any(f => f.Sheet.Cell == CellStructure.Closed)
            ),
            (
                ChoiceRules.CloseTop,
                "closeTop",
                facts.LooseFill
                    && kind
                        is SurfaceKind.StudWall
                            or SurfaceKind.InteriorPartition
                            or SurfaceKind.BandJoist
                            or SurfaceKind.AtticFloor
                            or SurfaceKind.EavesClosure
            ),
            (ChoiceRules.Warranty, "warranty", roof && foam && kind == SurfaceKind.UnventedDeck),
            (
                ChoiceRules.Radon,
                "radon",
                facts.Radon && kind is SurfaceKind.UnderSlab or SurfaceKind.BasementWall or SurfaceKind.CrawlFloor
            ),
        ];
        foreach (var (rule, name, _) in all.Where(one => one.Applies))
        {
            yield return new(rule, name, Verdict.Care, Citations.ChoiceRule(rule));
        }

        if (foam && Barrier(w) is { } barrier)
        {
            yield return barrier;
        }
    }

    // C5: foam is covered unless every condition of the band-joist relief stands on the sheet.
    private static Finding? Barrier(Weighed w)
    {
        if (
            w.Section.Kind is SurfaceKind.LowSlopeRoof or SurfaceKind.UnderSlab or SurfaceKind.WallOutside
            || w.Section.Inboard.Any(l => l.Material.Id is "gypsum-board" or "lime-plaster" or "brick" or "concrete")
        )
        {
            return null;
        }

        if (
            w.Section.Kind == SurfaceKind.BandJoist
            && w.Section.Fill is [FoamFill { Sheet: { FlameSpread: <= 25, SmokeDeveloped: <= 450 } sheet } only]
            && sheet.CoreDensity.KilogramsPerCubicMetre <= Densest.KilogramsPerCubicMetre + 1e-9
            && sheet.CoreDensity.KilogramsPerCubicMetre >= Lightest.KilogramsPerCubicMetre - 1e-9
        )
        {
            var thin = only.Thickness <= BandJoistRelief;
            return new(
                ChoiceRules.Barrier,
                thin ? "bandRelief" : "bandTooThick",
                thin ? Verdict.Clear : Verdict.Care,
                Citations.BandJoistException(BandJoistRelief, Lightest, Densest)
            )
            {
                Measured = only.Thickness.ToThickness(),
                Limit = BandJoistRelief.ToThickness(),
            };
        }

        return new(ChoiceRules.Barrier, "barrier", Verdict.Care, Citations.ThermalBarrier);
    }
}
