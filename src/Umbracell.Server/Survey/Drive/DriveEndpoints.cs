using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Access;
using Umbracell.Server.Jobs;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Drive;

/// <summary>An assembly in one season, as it stands or as planned.</summary>
public sealed record StateAnswer(WorkedFigure RoomFace, FigureAnswer InterfaceTemp, FigureAnswer InterfaceHumidity, bool WouldCondense);

/// <summary>What drives vapour through a surface in one season.</summary>
public sealed record SeasonAnswer
{
    public required FigureAnswer IndoorTemp { get; init; }

    public required FigureAnswer OutdoorTemp { get; init; }

    public required FigureAnswer InsidePressure { get; init; }

    public required FigureAnswer OutsidePressure { get; init; }

    public required WorkedFigure Drive { get; init; }

    public required double DrivePa { get; init; }

    public required DriveDirection Direction { get; init; }

    public required StateAnswer? Now { get; init; }

    public required StateAnswer? Planned { get; init; }
}

/// <summary>Vapour drive and surface temperatures of a surface in winter and summer.</summary>
public sealed record DriveAnswer(string InterfaceKey, SeasonAnswer Winter, SeasonAnswer Summer, IReadOnlyList<FindingAnswer> Findings);

internal static class DriveEndpoints
{
    public static void MapDrive(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/surfaces/{id:guid}/drive", OfSurfaceAsync)
            .WithTags("Drive")
            .WithSummary("Vapour drive and surface temperatures at winter and summer design, now and as planned.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<DriveAnswer>> OfSurfaceAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var (surface, job) = await reader.FindAsync(id);
        var states = await SurfaceStates.OfAsync(job, reader, library, db);
        var winter = Season(surface, JobAir.Winter(job), states);
        var summer = Season(surface, JobAir.Summer(job), states);
        var key = states.Of(surface, JobAir.Winter(job), planned: false)?.Interface.Key ?? "";
        return TypedResults.Ok(
            new DriveAnswer(
                key,
                winter,
                summer,
                FindingAnswer.All([.. FinishFindings(surface, job, states), .. WetterFindings(surface, job, states)])
            )
        );
    }

    private static SeasonAnswer Season(Surface surface, DesignAir air, SurfaceStates states)
    {
        var drive = ShippedData.Templates[surface.Kind].Exposure switch
        {
            Exposure.Room => VapourDrive.Between(air.Indoor, air.IndoorHumidity, air.Indoor, air.IndoorHumidity),
            Exposure.Ground => VapourDrive.Between(
                air.Indoor,
                air.IndoorHumidity,
                Temperature.FromCelsius(SurfaceSections.Soil.TempC),
                RelativeHumidity.FromPercent(SurfaceSections.Soil.RhPct)
            ),
            _ => VapourDrive.Between(air.Indoor, air.IndoorHumidity, air.Outdoor, air.OutdoorHumidity),
        };
        return new()
        {
            IndoorTemp = FigureAnswer.Of(air.Indoor.ToFigure()),
            OutdoorTemp = FigureAnswer.Of(air.Outdoor.ToFigure()),
            InsidePressure = FigureAnswer.Of(drive.Inside.ToFigure()),
            OutsidePressure = FigureAnswer.Of(drive.Outside.ToFigure()),
            Drive = new(FigureAnswer.Of(drive.Outward.ToFigure()), WorkingAnswer.Of(drive.Working)),
            DrivePa = drive.Outward.Pascals,
            Direction = drive.Direction,
            Now = State(states.Of(surface, air, planned: false)),
            Planned = State(states.Of(surface, air, planned: true)),
        };
    }

    private static StateAnswer? State(AssemblyState? state) =>
        state is null
            ? null
            : new(
                new(FigureAnswer.Of(state.RoomFace.ToFigure()), WorkingAnswer.Of(state.FaceWorking)),
                FigureAnswer.Of(state.Interface.Temperature.ToFigure()),
                FigureAnswer.Of(new(Math.Min(100, state.InterfaceHumidity), Dimension.RelativeHumidity)),
                state.InterfaceHumidity > 100
            );

    // A plan must not leave a place wetter than it found it without a word.
    private static IEnumerable<Finding> WetterFindings(Surface surface, Job job, SurfaceStates states) =>
        new[] { ("winter", JobAir.Winter(job)), ("summer", JobAir.Summer(job)) }
            .Select(season =>
                states.Of(surface, season.Item2, planned: false) is { } now
                && states.Of(surface, season.Item2, planned: true) is { } planned
                    ? now.WetterWith(planned, season.Item1)
                    : null
            )
            .OfType<Finding>();

    // Rule E5 speaks of the worst season, now and with the foam chosen.
    private static IEnumerable<Finding> FinishFindings(Surface surface, Job job, SurfaceStates states)
    {
        if (surface.Kind != SurfaceKind.CrawlFloor)
        {
            yield break;
        }

        foreach (var (name, planned) in new[] { ("now", false), ("planned", true) })
        {
            var worst = new[] { JobAir.Winter(job), JobAir.Summer(job) }
                .Select(air => states.Of(surface, air, planned)?.InterfaceHumidity)
                .Max();
            if (worst is { } humidity)
            {
                var dry = humidity < AssemblyState.GreatestFinishHumidity;
                yield return new(
                    SectionRules.Finish,
                    name + (dry ? "Dry" : "Damp"),
                    dry ? Verdict.Clear : Verdict.Care,
                    Citations.FinishUnderside(AssemblyState.GreatestFinishHumidity)
                )
                {
                    Measured = new(Math.Min(100, humidity), Dimension.RelativeHumidity),
                    Limit = new(AssemblyState.GreatestFinishHumidity, Dimension.RelativeHumidity),
                };
            }
        }
    }
}
