using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Spray;

namespace Umbracell.Questions.Prove;

/// <summary>Puts the log of a finished surface to the core.</summary>
public static class ProofQuestions
{
    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range, or more foam than the sheet rates.</exception>
    /// <exception cref="FieldFaultsException">More entries than a log has.</exception>
    public static ProofAnswer Answer(ProofQuestion question, Supplies supplies)
    {
        if (question.Entries.Count > SprayQuestion.MostEntries)
        {
            throw FieldFaultsException.Of("entries", FaultCode.TooManyParts);
        }

        var sheet = supplies.SheetAtTheGate(question.SheetId);
        var specified = Length.FromMillimetres(question.SpecMm);
        List<LogEntry> entries = [.. question.Entries.Select(entry => entry.ToEntry())];
        var surface = ProvenSurface.Of(entries, LiftPlan.For(sheet, specified).Lifts.Count);
        var list = Inspection.Of(question.SurfaceKind, question.IsShaved);
        var places = PlacesOf(question, surface);
        var check = CheckOf(question, surface, sheet, specified);
        var words = question.Entries.ToLookup(entry => entry.Replaces ?? entry.Id);
        return new()
        {
            Specified = Told(specified),
            Places = [.. places.Select(place => Told(place, surface, specified))],
            Free = [.. surface.Readings.Where(one => one.Spot?.Number is null).Select(one => Told(one, specified))],
            Depths = check is null ? null : Told(check, question, surface, sheet, places),
            DepthFindings = FindingAnswer.All([.. ProofFindings.ReadingsOf(surface), .. check?.Findings ?? []]),
            Samples = [.. surface.Samples.SelectMany(sample => Told(sample, surface, sheet))],
            Inspection = [.. list.Select(item => new InspectionAnswer(item, surface.Inspected.Contains(item)))],
            Signature = surface.SignedBy is { } signed
                ? new(
                    signed.Id,
                    signed.At,
                    signed.By.Name,
                    signed.By.Role,
                    words[signed.Id].MaxBy(one => one.SaidAt)?.Proof?.SignedStrokes ?? ""
                )
                : null,
            Cover = FindingAnswer.All(ProofFindings.CoverOf(surface, list)),
            Defects = [.. DefectsOf(surface, entries, sheet, id => words[id].MaxBy(one => one.SaidAt)?.Words)],
            DefectFindings = FindingAnswer.All(ProofFindings.DefectsOf(surface)),
            Seed = surface.Seed,
            IsSprayed = surface.IsSprayed,
            IsWhole = surface.IsWhole,
        };
    }

    private static IReadOnlyList<DepthPlace> PlacesOf(ProofQuestion question, ProvenSurface surface) =>
        question.Sketch is { Faces.Count: > 0 } sketch
            ? DepthPlan.Of(
                sketch.ToSketch(),
                Area.FromSquareMetres(question.SprayedM2),
                (ulong)Math.Max(0, question.FirstSeed) + (ulong)surface.Seed
            )
            : [];

    private static DepthCheck? CheckOf(ProofQuestion question, ProvenSurface surface, ProductSheet sheet, Length specified)
    {
        List<Length> area = [.. surface.Readings.Where(one => one.IsOfArea).Select(one => one.Depth)];
        return area.Count == 0
            ? null
            : DepthCheck.Of(
                new()
                {
                    Sheet = sheet,
                    Specified = specified,
                    Area = area,
                    Edges = [.. surface.Readings.Where(one => !one.IsOfArea).Select(one => one.Depth)],
                    Wanted = DepthPlan.Wanted(Area.FromSquareMetres(question.SprayedM2)),
                }
            );
    }

    private static DepthsAnswer Told(
        DepthCheck check,
        ProofQuestion question,
        ProvenSurface surface,
        ProductSheet sheet,
        IReadOnlyList<DepthPlace> places
    )
    {
        var specified = Length.FromMillimetres(question.SpecMm);
        var map = question.Sketch is { Faces.Count: > 0 } sketch ? DepthMap.Of(sketch.ToSketch(), SpotsOf(surface, places)) : null;
        List<double> drawn = map is null
            ? [.. surface.Readings.Where(one => one.IsOfArea).Select(one => one.Depth.Metres)]
            : [.. map.Depths.OfType<double>()];
        var lacking = LackingFoam.Of(sheet, specified, Area.FromSquareMetres(question.SprayedM2), drawn);
        var area = surface.Readings.Count(one => one.IsOfArea);
        return new()
        {
            Area = area,
            Edges = surface.Readings.Count - area,
            Wanted = DepthPlan.Wanted(Area.FromSquareMetres(question.SprayedM2)),
            Mean = Told(check.Mean),
            Least = Told(check.Least),
            ShareUnder = FigureAnswer.Of(new(check.ShareUnder * 100, Dimension.Percent)),
            Bound = check.Bound is { } bound ? FigureAnswer.Of(bound.ToThickness().AtMost) : null,
            Share = FigureAnswer.Of(new(Assurance.Usual.Share * 100, Dimension.Percent)),
            Confidence = FigureAnswer.Of(new(Assurance.Usual.Confidence * 100, Dimension.Percent)),
            Passes = check.Passes,
            EffectiveR = FigureAnswer.Of(check.EffectiveR.ToFigure()),
            MeanR = FigureAnswer.Of(check.MeanR.ToFigure()),
            BoundWorking = WorkingAnswer.Maybe(check.Working),
            ResistanceWorking = WorkingAnswer.Of(check.ResistanceWorking),
            Map = map is null ? null : Told(map),
            LacksArea = lacking.Area.SquareMetres > 0 ? FigureAnswer.Of(lacking.Area.ToFigure()) : null,
            LacksFoam = lacking.Area.SquareMetres > 0 ? FigureAnswer.Of(lacking.Foam.ToFigure()) : null,
            ThinnestCoat = Told(sheet.ThinnestCoat),
        };
    }

    private static List<DepthSpot> SpotsOf(ProvenSurface surface, IReadOnlyList<DepthPlace> places) =>
        [.. surface.Readings.SelectMany(one => WhereOf(one, places) is { } at ? [new DepthSpot(at, one.Depth)] : Array.Empty<DepthSpot>())];

    // Where it was said itself goes before where the plan has the place of that number now.
    private static Core.Takeoff.Corner? WhereOf(ProofReading reading, IReadOnlyList<DepthPlace> places) =>
        reading.Spot?.At ?? places.FirstOrDefault(place => place.Number == reading.Spot?.Number)?.At;

    private static DepthMapAnswer Told(DepthMap map)
    {
        var drawn = map.Depths.OfType<double>().ToList();
        return new()
        {
            FromAcrossM = map.From.X,
            FromUpM = map.From.Y,
            CellAcrossM = map.Across,
            CellUpM = map.Up,
            Columns = map.Columns,
            DepthsMm = [.. map.Depths.Select(depth => depth is { } metres ? Math.Round(metres * 1000, 1) : (double?)null)],
            Least = Told(Length.FromMetres(drawn.DefaultIfEmpty().Min())),
            Greatest = Told(Length.FromMetres(drawn.DefaultIfEmpty().Max())),
        };
    }

    private static DepthPlaceAnswer Told(DepthPlace place, ProvenSurface surface, Length specified)
    {
        var reading = surface.Readings.LastOrDefault(one => one.Spot?.Number == place.Number);
        var isThin = reading is not null && DepthCheck.IsUnder(reading.Depth, specified);
        return new()
        {
            Number = place.Number,
            Kind = place.Kind,
            AcrossM = place.At.X,
            UpM = place.At.Y,
            Reading = reading?.Id,
            Depth = reading is null ? null : Told(reading.Depth),
            IsThin = isThin,
            Lacks = isThin ? Told(specified - reading!.Depth) : null,
        };
    }

    private static FreeReadingAnswer Told(ProofReading reading, Length specified) =>
        new(reading.Id, reading.At, Told(reading.Depth), DepthCheck.IsUnder(reading.Depth, specified));

    private static IEnumerable<SampleAnswer> Told(TakenSample sample, ProvenSurface surface, ProductSheet sheet) =>
        ProofFindings
            .SamplesOf(surface with { Samples = [sample] }, sheet)
            .Select(finding => new SampleAnswer(sample.Id, sample.At, sample.Said.Kind, FindingAnswer.Of(finding)));

    private static IEnumerable<DefectAnswer> DefectsOf(
        ProvenSurface surface,
        IEnumerable<LogEntry> entries,
        ProductSheet sheet,
        Func<Guid, string?> wordsOf
    )
    {
        var cases = SprayFindings.LiftsOf(SprayedSurface.Of(entries), sheet).Select(finding => finding.Case.Name).ToHashSet();
        var (isHot, isHeld) = (cases.Overlaps(["tooThick", "early", "onHot"]), cases.Contains("held"));
        return surface.Defects.Select(defect => new DefectAnswer
        {
            Id = defect.Id,
            FoundAt = defect.FoundAt,
            Kind = defect.Kind,
            Place = defect.Spot?.Number,
            AcrossM = defect.Spot?.At?.X,
            UpM = defect.Spot?.At?.Y,
            Size = FigureAnswer.Maybe(defect.Size?.ToFigure()),
            Cause = defect.Cause,
            Likely = defect.Kind is { } kind
                ?
                [
                    .. DefectCauses
                        .Of(kind, isHot, isHeld)
                        .Select(one => new DefectCauseAnswer(one, DefectCauses.IsShown(one, isHot, isHeld))),
                ]
                : [],
            State = defect.State,
            Repair = defect.Repair,
            Words = wordsOf(defect.Id),
        });
    }

    private static FigureAnswer Told(Length depth) => FigureAnswer.Of(depth.ToThickness());
}
