using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield.Price;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Section;
using Umbracell.Server.Targets;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the choice question of a surface from what the survey, the job and the firm know.</summary>
internal static class ChoiceQuestions
{
    /// <summary>What systems are made with beside foam, from the shipped materials.</summary>
    public static SystemMaterials Materials { get; } =
        new(
            ShippedData.Batts,
            ShippedData.Materials["foam-board"],
            ShippedData.Materials["foil-board"],
            ShippedData.Materials["vapour-coat"],
            ShippedData.Materials["weather-coat"]
        );

    /// <summary>Rates of a firm that has entered none. No price is guessed: systems are then weighed without their cost.</summary>
    private static readonly Rates NoRates = new()
    {
        SetPrice = new Dictionary<string, double>(),
        MaterialPrice = new Dictionary<string, double>(),
        ClosedBoardFeetPerHour = 1000,
        OpenBoardFeetPerHour = 3000,
        BattM2PerHour = 15,
        BoardM2PerHour = 6,
        CoatM2PerHour = 40,
        ShaveM2PerHour = 35,
        SetUpHours = 1.5,
    };

    public static Rates RatesOf(Firm firm) => firm.Rates ?? NoRates;

    public static Practice PracticeOf(Firm firm, Job job) =>
        (firm.Practice ?? new()).With(job.Exceptions?.Schools ?? new Dictionary<PracticeQuestion, School>());

    public static ChoiceCase Of(Surface surface, Job job, Firm firm, LatestReadings readings, Shelf shelf)
    {
        // The boards of the system chosen now are not part of the surface that is asked about.
        var bare = SurfaceSections.Of(Without(surface), job, null, null);
        return new()
        {
            Section = SectionQuestions.Case(bare, shelf),
            Facts = Facts(surface, readings),
            Sheets = [.. shelf.Sheets.Values],
            Materials = Materials,
            Year = SectionYears.Air(bare.Year),
            Path = job.TargetPath,
            Labels = JobTargets.Of(job)?.LabelsFor(JobTargets.ElementOf(surface), job.ClimateZone) ?? [],
            Rates = RatesOf(firm),
            Priorities = job.Priorities ?? Priorities.Even,
            Practice = PracticeOf(firm, job),
        };
    }

    /// <summary>The core's case of a question asked by another program.</summary>
    public static ChoiceCase Of(ChoiceQuestion question, Firm firm, Shelf shelf)
    {
        var f = question.Facts ?? new();
        return new()
        {
            Section = SectionQuestions.Case(question.Section, shelf),
            Facts = new()
            {
                OpenLeak = f.OpenLeak,
                WoodSubstrate = f.WoodSubstrate,
                WoodMoisturePercent = f.WoodMoisturePct,
                Covering = f.Covering,
                Attachment = f.Attachment,
                DoorSpare = f.DoorSpareKg is { } kg ? new(kg) : null,
                Treated = f.TreatedM2 is { } area ? new(area) : null,
                ExpectedSubstrate = f.SubstrateTempC is { } celsius ? new(celsius) : null,
                Conditioned = f.Conditioned,
                SoundAsked = f.SoundAsked,
                Workplace = f.Workplace,
                LaterAccess = f.LaterAccess,
                RainBeforeCover = f.RainBeforeCover,
                OldBuilding = f.OldBuilding,
                Termites = f.Termites,
                Radon = f.Radon,
                FloodProne = f.FloodProne,
                CombustionInside = f.CombustionInside,
                LooseFill = f.LooseFill,
                HeldAtEnds = f.HeldAtEnds,
                ClearancesAsked = f.ClearancesAsked,
                WetOldInsulation = f.WetOldInsulation,
                LoadKPa = f.LoadKPa,
            },
            Sheets = [.. shelf.Sheets.Values],
            Materials = Materials,
            Year = SectionYears.Air(question.Section.Year),
            Rates = RatesOf(firm),
            Priorities = question.Weights is { Count: > 0 } weights ? new(weights) : Priorities.Even,
            Practice = firm.Practice ?? new(),
        };
    }

    /// <summary>The surface without the system chosen for it.</summary>
    public static Surface Without(Surface surface) =>
        new()
        {
            Name = surface.Name,
            Kind = surface.Kind,
            Assembly = surface.Assembly,
            Details = surface.Details,
            MemberMaterial = surface.MemberMaterial,
            MemberDepthM = surface.MemberDepthM,
            MemberSpacingM = surface.MemberSpacingM,
            MemberShare = surface.MemberShare,
            FoamAgainst = surface.FoamAgainst,
            ChoiceFacts = surface.ChoiceFacts,
        };

    private static SurfaceFacts Facts(Surface surface, LatestReadings readings)
    {
        var (said, details) = (surface.ChoiceFacts ?? new(), SurfaceReader.DetailsOf(surface));
        var takeoff = SurfaceReader.Takeoff(surface);
        var notes = surface.Notes.Where(n => n.MendedAt is null).Select(n => n.Kind).ToHashSet();
        return new()
        {
            OpenLeak = surface.OpenLeak is not null,
            WoodSubstrate = surface.Substrate == SubstrateKind.Wood,
            WoodMoisturePercent = readings.Wettest(surface.Id, ReadingKind.WoodMoisture)?.Value,
            Covering = details.Covering,
            Attachment = details.Attachment,
            Pitch = surface.Shape == ShapeKind.RoofPlane && surface.HasSize ? surface.Pitch : null,
            DoorSpare = details.DoorSpare,
            Treated = takeoff is { OpeningsExceedSurface: false } ? takeoff.Treated : null,
            ExpectedSubstrate =
                surface.ExpectedSubstrateC is { } expected ? new(expected)
                : readings.Of(surface.Id, ReadingKind.SubstrateTemperature) is { } read ? new(read.Value)
                : null,
            HeldAtEnds = details.HeldAtEnds,
            ClearancesAsked = notes.Overlaps([SiteNoteKind.Flue, SiteNoteKind.Light, SiteNoteKind.Wiring]),
            WetOldInsulation = notes.Overlaps([SiteNoteKind.OldInsulation, SiteNoteKind.WetPart]),
            Conditioned = !said.Unconditioned,
            SoundAsked = said.SoundAsked || surface.Kind == SurfaceKind.InteriorPartition,
            Workplace = said.Workplace,
            LaterAccess = said.LaterAccess,
            RainBeforeCover = said.RainBeforeCover,
            OldBuilding = said.OldBuilding,
            Termites = said.Termites,
            Radon = said.Radon,
            FloodProne = said.FloodProne,
            CombustionInside = said.CombustionInside,
            LooseFill = said.LooseFill,
            LoadKPa = said.LoadKPa,
        };
    }
}
