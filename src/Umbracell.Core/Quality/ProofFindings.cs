using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;

namespace Umbracell.Core.Quality;

/// <summary>Judges what was seen, sampled and found on a finished surface.</summary>
public static class ProofFindings
{
    /// <summary>A probe that is off by more reads depths nobody can go by.</summary>
    public static Length GreatestProbeError { get; } = Length.FromMillimetres(1.5);

    /// <summary>How far the density of a sample can be from that of the sheet (practice; samples are small, and lifts have skins).</summary>
    public const double DensityBand = 0.10;

    /// <summary>Whether it can be covered: every reason against it, else that it was signed.</summary>
    /// <param name="surface">What is known of it.</param>
    /// <param name="list">What is looked at on it.</param>
    public static IReadOnlyList<Finding> CoverOf(ProvenSurface surface, IReadOnlyList<InspectionItem> list)
    {
        List<Finding> findings = [];
        var lacks = list.Where(item => !surface.Inspected.Contains(item)).ToList();
        if (surface.Readings.Count == 0)
        {
            findings.Add(Cover("unread", Verdict.Hold));
        }

        if (lacks.Count > 0)
        {
            findings.Add(Cover("unseen", Verdict.Hold) with { Words = new Dictionary<string, Said> { ["lacks"] = Said.Of(lacks) } });
        }

        var open = surface.Defects.Count(defect => defect.State != DefectState.Closed);
        if (open > 0)
        {
            findings.Add(
                Cover("defects", Verdict.Hold) with
                {
                    Figures = new Dictionary<string, Figure> { ["count"] = Figure.Count(open) },
                }
            );
        }

        if (surface.SignedBy is not { By: var by })
        {
            findings.Add(Cover("unsigned", Verdict.Hold));
        }
        else if (findings.Count == 0)
        {
            findings.Add(
                Cover("signed", Verdict.Clear) with
                {
                    Words = new Dictionary<string, Said> { ["name"] = by.Name, ["role"] = by.Role },
                }
            );
        }

        return findings;
    }

    /// <summary>What is left to do of the defects.</summary>
    public static IReadOnlyList<Finding> DefectsOf(ProvenSurface surface) =>
        [.. surface.Defects.Where(defect => defect is { State: not DefectState.Closed, Kind: not null }).Select(Of)];

    /// <summary>Whether depths can be gone by.</summary>
    public static IEnumerable<Finding> ReadingsOf(ProvenSurface surface)
    {
        if (surface.Readings.Count == 0)
        {
            yield break;
        }

        if (!surface.IsSprayed)
        {
            yield return new(ProofRules.Sprayed, "unsprayed", Verdict.Care, Citations.ProofLogged);
        }

        yield return surface.Probe is var (read, block)
            ? new(
                ProofRules.Probe,
                IsTrue(read - block) ? "true" : "off",
                IsTrue(read - block) ? Verdict.Clear : Verdict.Hold,
                Citations.GaugeBlock
            )
            {
                Measured = read.ToThickness(),
                Limit = block.ToThickness(),
            }
            : new(ProofRules.Probe, "unchecked", Verdict.Care, Citations.GaugeBlock);
    }

    /// <summary>What samples say of the foam.</summary>
    public static IReadOnlyList<Finding> SamplesOf(ProvenSurface surface, ProductSheet sheet) =>
        [.. surface.Samples.Select(sample => Of(sample.Said, sheet)).OfType<Finding>()];

    private static bool IsTrue(Length error) => Math.Abs(error.Metres) <= GreatestProbeError.Metres + 1e-9;

    private static Finding Of(FoundDefect defect)
    {
        var isLeftIn = defect is { Kind: DefectKind.OffRatio, Repair: not null, IsRepairEnough: false };
        var ends =
            isLeftIn ? "offRatio"
            : defect.State == DefectState.Repaired ? "repaired"
            : "open";
        return new(ProofRules.Defect, ends, Verdict.Hold, Citations.ProofLogged)
        {
            Words = new Dictionary<string, Said> { ["defect"] = Said.Of(defect.Kind!.Value) },
        };
    }

    private static Finding? Of(SampleSaid sample, ProductSheet sheet) =>
        sample switch
        {
            { Kind: SampleKind.Density, Density: { } density } => DensityOf(density, sheet),
            { Kind: SampleKind.Adhesion, Pull: { } pull, FailedIn: { } failed } => PullOf(pull, failed, sheet),
            { Kind: SampleKind.Look, Look: CellLook.Even } => new(ProofRules.Sample, "even", Verdict.Clear, Citations.ProofLogged),
            { Kind: SampleKind.Look, Look: { } look } => new(ProofRules.Sample, "uneven", Verdict.Care, Citations.ProofLogged)
            {
                Words = new Dictionary<string, Said> { ["look"] = Said.Of(look) },
            },
            _ => null,
        };

    private static Finding DensityOf(Density density, ProductSheet sheet)
    {
        var (measured, core) = (density.KilogramsPerCubicMetre, sheet.CoreDensity.KilogramsPerCubicMetre);
        var ends =
            measured < core * (1 - DensityBand) ? "light"
            : measured > core * (1 + DensityBand) ? "heavy"
            : "dense";
        return new(
            ProofRules.Sample,
            ends,
            ends == "dense" ? Verdict.Clear
                : ends == "light" ? Verdict.Hold
                : Verdict.Care,
            Citations.Sheet(sheet, SheetLine.SheetDensity)
        )
        {
            Measured = density.ToFigure(),
            Limit = sheet.CoreDensity.ToFigure(),
        };
    }

    // Foam that tears in itself holds to what it was sprayed on; one that comes off clean does not, however hard was pulled.
    private static Finding PullOf(BearingPressure pull, FailedIn failed, ProductSheet sheet)
    {
        if (sheet.LeastPull is { } least)
        {
            var holds = pull.Pascals >= least.Pascals;
            var ends =
                holds ? "holds"
                : failed == FailedIn.Glue ? "glue"
                : "lets";
            var verdict =
                holds ? Verdict.Clear
                : failed == FailedIn.Glue ? Verdict.Care
                : Verdict.Hold;
            return new(ProofRules.Sample, ends, verdict, Citations.Sheet(sheet, SheetLine.SheetAdhesion))
            {
                Measured = pull.ToFigure(),
                Limit = least.ToFigure(),
            };
        }

        return failed == FailedIn.Face
            ? new(ProofRules.Sample, "faceFailed", Verdict.Care, Citations.ProofLogged) { Measured = pull.ToFigure() }
            : new(ProofRules.Sample, "pulled", Verdict.Clear, Citations.ProofLogged)
            {
                Measured = pull.ToFigure(),
                Words = new Dictionary<string, Said> { ["failed"] = Said.Of(failed) },
            };
    }

    private static Finding Cover(string ends, Verdict verdict) => new(ProofRules.Cover, ends, verdict, Citations.InspectionBeforeCover);
}
