using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Jobs;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Survey.Drive;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Complaints;

/// <summary>The figures that speak to a complaint, now and as planned. What cannot be said is left blank.</summary>
internal sealed class ComplaintFigures(Job job, SurfaceStates states, IReadOnlyList<FanTestRow> tests)
{
    private static readonly SpeakingFigure[] OfTheBuilding = [SpeakingFigure.Leakage, SpeakingFigure.StackPressure];

    public IReadOnlyList<SpeakingAnswer> OfSurface(ComplaintKind kind, Surface surface) =>
        [
            .. Core
                .Assemblies.Complaints.Figures(kind)
                .Except(OfTheBuilding)
                .Select(f => new SpeakingAnswer(f, Of(f, surface, planned: false), Of(f, surface, planned: true)))
                .Where(a => a.Now is not null || a.Planned is not null),
        ];

    public IReadOnlyList<SpeakingAnswer> OfBuilding(ComplaintKind kind) =>
        [
            .. Core
                .Assemblies.Complaints.Figures(kind)
                .Intersect(OfTheBuilding)
                .Select(f => f == SpeakingFigure.Leakage ? Leakage() : Stack())
                .OfType<SpeakingAnswer>(),
        ];

    private WorkedFigure? Of(SpeakingFigure figure, Surface surface, bool planned)
    {
        var (winter, summer) = (JobAir.Winter(job), JobAir.Summer(job));
        return figure switch
        {
            SpeakingFigure.RoomFace => states.Of(surface, winter, planned) is { } s
                ? new(FigureAnswer.Of(s.RoomFace.ToFigure()), WorkingAnswer.Of(s.FaceWorking))
                : null,
            SpeakingFigure.InterfaceWinter => Humidity(states.Of(surface, winter, planned)),
            SpeakingFigure.InterfaceSummer => Humidity(states.Of(surface, summer, planned)),
            SpeakingFigure.HeatFlow => states.Of(surface, winter, planned) is { } s ? new(FigureAnswer.Of(s.U.ToFigure()), null) : null,
            SpeakingFigure.BufferWinter => Buffer(surface, winter, planned),
            SpeakingFigure.BufferSummer => Buffer(surface, summer, planned),
            _ => null,
        };
    }

    private static WorkedFigure? Humidity(AssemblyState? state) =>
        state is null ? null : new(FigureAnswer.Of(new(Math.Min(100, state.InterfaceHumidity), Dimension.RelativeHumidity)), null);

    private WorkedFigure? Buffer(Surface surface, DesignAir air, bool planned) =>
        states.BufferOf(surface) is { } space && states.Float(space, air, planned) is { } floating
            ? new(FigureAnswer.Of(floating.Temperature.ToFigure()), WorkingAnswer.Of(floating.Working))
            : null;

    // Tightness after the work is measured, never promised: it stays blank until the second test.
    private SpeakingAnswer? Leakage()
    {
        var (before, after) = (Newest(WorkPhase.Before), Newest(WorkPhase.After));
        return before is null && after is null ? null : new(SpeakingFigure.Leakage, before, after);
    }

    private WorkedFigure? Newest(WorkPhase phase) =>
        tests.Where(t => t.Phase == phase).OrderByDescending(t => t.TakenAt).FirstOrDefault() is { } row
        && JobFanTests.Evaluate(row, job) is { } test
            ? new(FigureAnswer.Of(new(test.FlowAt50.Value, Dimension.AirFlow)), WorkingAnswer.Of(test.Working))
            : null;

    private SpeakingAnswer? Stack() =>
        BuildingEndpoints.StackOf(job, JobAir.Winter(job)) is { } stack
            ? new(SpeakingFigure.StackPressure, new(FigureAnswer.Of(stack.Working.Result), WorkingAnswer.Of(stack.Working)), null)
            : null;
}
