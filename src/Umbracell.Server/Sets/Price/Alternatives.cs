using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Questions.Section;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sets.Price;

/// <summary>Another system on a surface, with what it does to the price of the job.</summary>
public sealed record AlternativeAnswer
{
    /// <summary>Candidate.</summary>
    public required string Id { get; init; }

    /// <summary>Its kind.</summary>
    public required CandidateKind Kind { get; init; }

    /// <summary>What is put in.</summary>
    public required IReadOnlyList<CandidateLayer> Layers { get; init; }

    /// <summary>Boards laid outside of it.</summary>
    public required IReadOnlyList<CandidateLayer> Boards { get; init; }

    /// <summary>Whether it is what the surface has.</summary>
    public required bool Now { get; init; }

    /// <summary>Whether it meets the target.</summary>
    public required bool MeetsTarget { get; init; }

    /// <summary>Worst of what is said of it; a Hold keeps it out of the comparison of prices.</summary>
    public required Verdict Verdict { get; init; }

    /// <summary>The finding behind a Hold; null elsewhere.</summary>
    public required FindingAnswer? Reason { get; init; }

    /// <summary>Against the job as it is, before tax; null where it is held, cannot be sprayed, or a price is missing.</summary>
    public required WorkedFigure? Difference { get; init; }

    /// <summary>Whether the job gets dearer.</summary>
    public required bool Dearer { get; init; }

    /// <summary>Whether both cost alike, within what the yield may bring.</summary>
    public required bool Alike { get; init; }

    /// <summary>Crew hours of the job with it; null likewise.</summary>
    public required FigureAnswer? Hours { get; init; }

    /// <summary>Products and materials without a price.</summary>
    public required IReadOnlyList<string> Missing { get; init; }
}

/// <summary>Other systems on a surface by what the job would cost, cheapest first; held ones last.</summary>
/// <param name="Surface">Name of the surface.</param>
/// <param name="Alternatives">The systems.</param>
public sealed record AlternativesAnswer(string Surface, IReadOnlyList<AlternativeAnswer> Alternatives);

/// <summary>Prices every other system on a surface within its job, in the season of the work.</summary>
internal static class Alternatives
{
    public static AlternativesAnswer Of(StudiedJob studied, SurfaceStudy row, Firm firm, LatestReadings readings, CrewAtWork crew)
    {
        var (_, study, means, now) = studied;
        var at = now.Surfaces.ToList().FindIndex(s => s.Row == row);
        if (at < 0)
        {
            return new(row.Surface.Name, []);
        }

        var job = now.Surfaces.Select(s => s.Priced).ToList();
        var choice = Choice.Of(
            ChoiceQuestions.Case(SurfaceChoices.Of(row.Surface, study.Job, firm, readings), means.Supplies),
            FlipSearch.None
        );
        var answers = choice.Candidates.Select(candidate =>
        {
            var other = candidate.Excluded ? null : OtherRow(row, candidate, choice, study, crew, readings);
            var priced = other is null ? null : JobBid.With(other, study, means);
            return (
                Candidate: candidate,
                Priced: priced is null ? null : PriceAlternative.Of(job, at, priced.Priced, SpreadOf(row, other!), means.Rates)
            );
        });
        return new(
            row.Surface.Name,
            [
                .. answers
                    .OrderBy(a => a.Candidate.Excluded)
                    .ThenBy(a => a.Priced?.Difference ?? double.MaxValue)
                    .Select(a => Answer(a.Candidate, choice.Case.Section, row, a.Priced)),
            ]
        );
    }

    // The row as it would be studied with the candidate chosen; null where one of its foams cannot be sprayed here.
    private static SurfaceStudy? OtherRow(
        SurfaceStudy row,
        Candidate candidate,
        Choice choice,
        JobStudy study,
        CrewAtWork crew,
        LatestReadings readings
    )
    {
        try
        {
            var foams = candidate.Section.Fill.OfType<FoamFill>().ToList();
            var asked = foams
                .Select(
                    (foam, i) =>
                        crew.Asked(
                            SurfaceSets.For(row.Surface, study.Job, row.Takeoff!, readings, foam.Sheet.Id, foam.Thickness.Millimetres) with
                            {
                                ShavedFlush = i == foams.Count - 1 && row.Surface.ShavedFlush,
                                PenetrationMm = i == 0 ? row.Surface.Details.PenetrationMm : 0,
                            }
                        )
                )
                .ToList();
            var sets = asked.ConvertAll(question => crew.Study(question, row.Takeoff!.Working)!);
            return row with
            {
                Sheet = foams.FirstOrDefault()?.Sheet,
                SetsQuestion = asked.FirstOrDefault(),
                Sets = sets.FirstOrDefault(),
                Further = [.. foams.Zip(sets, (foam, one) => (foam.Sheet, one)).Skip(1)],
                Section = SectionStudy.Of(candidate.Section with { BeyondEdge = null }, inMotion: true),
                AddedBoards = SystemShape.Of(candidate, choice.Case.Section) is var system
                    ? [.. system.AddedOutboard, .. system.AddedInboard]
                    : [],
                System = candidate.Kind,
            };
        }
        catch (QuantityRangeException)
        {
            return null;
        }
    }

    private static double SpreadOf(SurfaceStudy now, SurfaceStudy other) =>
        now.AllSets.Concat(other.AllSets).Select(one => one.Sets.Sets.Spread).DefaultIfEmpty(0).Max();

    private static AlternativeAnswer Answer(Candidate candidate, SectionCase bare, SurfaceStudy row, PriceAlternative? priced)
    {
        var shown = priced is { Whole.Missing.Count: 0 } known ? known : null;
        var held = candidate.Findings.FirstOrDefault(f => f.Verdict == Verdict.Hold);
        return new()
        {
            Id = candidate.Id,
            Kind = candidate.Kind,
            Layers = SystemLayers.Of(candidate.Section),
            Boards = [.. SystemLayers.Boards(candidate.Section, bare)],
            Now = KeptSystems.IsChosen(candidate, row.Surface),
            MeetsTarget = candidate.MeetsTarget,
            Verdict = candidate.Findings.Worst(),
            Reason = held is null ? null : FindingAnswer.Of(held),
            Difference = shown is null
                ? null
                : new(FigureAnswer.Of(new(Math.Abs(shown.Difference), Dimension.Money)), WorkingAnswer.Of(shown.Working)),
            Dearer = shown?.Difference > 0,
            Alike = shown?.IsAlike == true,
            Hours = shown is null ? null : FigureAnswer.Of(Figure.Duration(TimeSpan.FromHours(shown.Whole.CrewHours))),
            Missing = priced?.Whole.Missing ?? [],
        };
    }
}
