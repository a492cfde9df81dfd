using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Questions.Choose;
using Umbracell.Server.Targets;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the choice question of a surface from what the survey, the job and the firm know.</summary>
internal static class SurfaceChoices
{
    /// <summary>The schools a job follows: the firm's, with the job's exceptions over them.</summary>
    public static Practice PracticeOf(Firm firm, Job job) =>
        (firm.Practice ?? new()).With(job.Exceptions?.Schools ?? new Dictionary<PracticeQuestion, School>());

    /// <summary>The question of a surface as it was found: the boards of the system chosen now are not part of what is asked
    /// about.</summary>
    public static ChoiceQuestion Of(Surface surface, Job job, Firm firm, LatestReadings readings) =>
        new()
        {
            Section = SurfaceSections.Bare(surface, job),
            Facts = Facts(surface, readings),
            Path = job.TargetPath,
            Labels =
            [
                .. (JobTargets.Of(job)?.LabelsFor(JobTargets.ElementOf(surface), job.ClimateZone) ?? []).Select(l => new LabelShape(
                    l.Cavity.SquareMetreKelvinsPerWatt,
                    l.Continuous.SquareMetreKelvinsPerWatt
                )),
            ],
            Weights = (job.Priorities ?? Priorities.Even).Weights,
            Schools = PracticeOf(firm, job).Schools,
        };

    private static FactsShape Facts(Surface surface, LatestReadings readings)
    {
        var (said, details) = (surface.ChoiceFacts ?? new(), SurfaceReader.DetailsOf(surface));
        var takeoff = SurfaceReader.Takeoff(surface);
        var notes = surface.Notes.Where(n => n.MendedAt is null).Select(n => n.Kind).ToHashSet();
        return new(said)
        {
            OpenLeak = surface.OpenLeak is not null,
            WoodSubstrate = surface.Substrate == SubstrateKind.Wood,
            WoodMoisturePct = readings.Wettest(surface.Id, ReadingKind.WoodMoisture)?.Percent,
            Covering = details.Covering,
            Attachment = details.Attachment,
            Pitch = surface.Shape == ShapeKind.RoofPlane && surface.HasSize ? surface.Pitch : null,
            DoorSpareKg = details.DoorSpare?.Kilograms,
            TreatedM2 = takeoff is { OpeningsExceedSurface: false } ? takeoff.Treated.SquareMetres : null,
            SubstrateTempC = surface.ExpectedSubstrateC ?? readings.Of(surface.Id, ReadingKind.SubstrateTemperature)?.TempC,
            HeldAtEnds = details.HeldAtEnds,
            ClearancesAsked = notes.Overlaps([SiteNoteKind.Flue, SiteNoteKind.Light, SiteNoteKind.Wiring]),
            WetOldInsulation = notes.Overlaps([SiteNoteKind.OldInsulation, SiteNoteKind.WetPart]),
            Conditioned = !said.Unconditioned,
            SoundAsked = said.SoundAsked || surface.Kind == SurfaceKind.InteriorPartition,
            LoadKPa = said.LoadKPa,
        };
    }
}
