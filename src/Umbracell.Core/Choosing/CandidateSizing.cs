using Umbracell.Core.Assemblies;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>A system on a surface, sized: the least that meets the target, or the most that fits.</summary>
/// <param name="Id">Stable id: kind and sheets.</param>
/// <param name="Kind">Which system.</param>
/// <param name="Section">The surface with the system in it.</param>
/// <param name="Fits">Whether even its least thickness fits the depth.</param>
internal sealed record SizedCandidate(string Id, CandidateKind Kind, SectionCase Section, bool Fits);

/// <summary>Makes the systems of a surface and sizes each.</summary>
internal static class CandidateSizing
{
    /// <summary>Thickness a vapour coat is laid in.</summary>
    public static readonly Length CoatThickness = Length.FromMillimetres(0.5);

    private static readonly Length WeatherCoatThickness = Length.FromMillimetres(1),
        ContinuousBoard = Length.FromInches(1),
        HardFaceGap = Length.FromInches(0.5);

    public static IEnumerable<SizedCandidate> Of(ChoiceCase choice) =>
        CandidateKinds.For(choice.Section.Kind).SelectMany(kind => Of(choice, kind));

    private static IEnumerable<SizedCandidate> Of(ChoiceCase choice, CandidateKind kind)
    {
        var (m, section) = (choice.Materials, choice.Section);
        return kind switch
        {
            CandidateKind.OpenCell => Foams(CellStructure.Open, FoamGrade.Standard).Select(s => Foam(s, section)),
            CandidateKind.DenseOpenCell => Foams(CellStructure.Open, FoamGrade.Dense).Select(s => Foam(s, section)),
            CandidateKind.ClosedCell => Foams(CellStructure.Closed, FoamGrade.Standard).Select(s => Foam(s, section)),
            CandidateKind.ColdGrade => Foams(CellStructure.Closed, FoamGrade.Cold).Where(IsColdEnough).Select(s => Foam(s, section)),
            CandidateKind.RoofingFoam => Foams(CellStructure.Closed, FoamGrade.Roofing)
                .Select(s => Foam(s, section, new Layer(m.WeatherCoat, WeatherCoatThickness))),
            CandidateKind.OpenCellCoated => Foams(CellStructure.Open, FoamGrade.Standard)
                .Select(s => Foam(s, section, new Layer(m.VapourCoat, CoatThickness))),
            CandidateKind.BoardInboard => Foams(CellStructure.Open, FoamGrade.Standard)
                .Select(s => Foam(s, section with { Inboard = [new Layer(m.FacedBoard, ContinuousBoard), .. section.Inboard] })),
            CandidateKind.BoardOutboard => Foams(CellStructure.Open, FoamGrade.Standard)
                .Select(s => Foam(s, section with { Outboard = Inserted(section.Outboard, new(m.Board, ContinuousBoard)) })),
            CandidateKind.ThinCoat => Foams(CellStructure.Closed, FoamGrade.Standard).Select(Thin),
            CandidateKind.ClosedThenOpen => Pairs().Select(pair => TwoFoams(pair.Closed, pair.Open)),
            CandidateKind.Hybrid or CandidateKind.EavesAndBatts => Foams(CellStructure.Closed, FoamGrade.Standard)
                .Select(FoamAndBatt)
                .OfType<SizedCandidate>(),
            CandidateKind.BattAlone => Batt() is { } batt ? [batt] : [],
            CandidateKind.CutBoard or CandidateKind.BoardUnderSlab => [Board(m.Board)],
            CandidateKind.NewRoofOnBoard => [Board(m.FacedBoard)],
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "No way to make this system is known."),
        };

        IEnumerable<ProductSheet> Foams(CellStructure cell, FoamGrade grade) =>
            choice.Sheets.Where(s => s.Cell == cell && s.Grade == grade);

        // The cold grade is for substrates that are not clear of the standard grade's window.
        bool IsColdEnough(ProductSheet cold) =>
            choice.Facts.ExpectedSubstrate is { } t
            && cold.Substrate.Holds(t)
            && Foams(CellStructure.Closed, FoamGrade.Standard).All(s => s.Substrate.Margin(t).Kelvins < choice.Gate.WellInside.Kelvins);

        IEnumerable<(ProductSheet Closed, ProductSheet Open)> Pairs() =>
            Foams(CellStructure.Closed, FoamGrade.Standard)
                .SelectMany(closed => Foams(CellStructure.Open, FoamGrade.Standard).Take(1).Select(open => (closed, open)));

        SizedCandidate Foam(ProductSheet sheet, SectionCase on, Layer? coat = null)
        {
            List<FillLayer> fill = [new FoamFill(sheet, on.Step)];
            if (coat is not null)
            {
                fill.Add(new SlabFill(coat));
            }

            return Sized(choice, kind, sheet.Id, on with { Fill = fill }, LeastOf(choice, sheet, kind));
        }

        SizedCandidate Board(Material board) =>
            Sized(choice, kind, board.Id, section with { Fill = [new SlabFill(new(board, section.Step))] }, ContinuousBoard);

        SizedCandidate Thin(ProductSheet sheet)
        {
            // Thick enough that the face towards the room stays above the room's dew point at design; U is not asked for.
            var on = section with
            {
                Fill = [new FoamFill(sheet, section.Step)],
            };
            var dry = SectionSearch.Thinnest(
                on,
                at => SectionProfile.Of(at, SectionHeat.Of(at)).Points is var points && points[^2].Temperature > points[^1].DewPoint
            );
            var t = Max(LeastOf(choice, sheet, kind), dry ?? Length.Zero);
            return new($"{kind}:{sheet.Id}", kind, on.WithFoam(t), Fits(on.WithFoam(t)));
        }

        SizedCandidate TwoFoams(ProductSheet closed, ProductSheet open)
        {
            var first = LeastDry(
                choice,
                $"{kind}:{closed.Id}+{open.Id}",
                section with
                {
                    Fill =
                    [
                        new FoamFill(closed, section.Step),
                        new FoamFill(open, UpTo(section, open, LeastOf(choice, open, CandidateKind.OpenCell))),
                    ],
                },
                LeastOf(choice, closed, kind)
            );
            var on = section with { Fill = [new FoamFill(closed, first)] };
            var room = on.FoamDepth is { } depth ? depth - first : open.ThickestRated;
            var most = RoundDown(Min(room, open.ThickestRated), section.Step);
            var least = Min(LeastOf(choice, open, CandidateKind.OpenCell), most);
            var then = most;
            for (var t = least; Targets.Exist(choice) && t <= most; t += section.Step)
            {
                if (Targets.Meets(choice, With(t)))
                {
                    then = t;
                    break;
                }
            }

            var sized = With(then);
            return new($"{kind}:{closed.Id}+{open.Id}", kind, sized, then.Metres >= open.LeastLift.Metres - 1e-9 && Fits(sized));

            SectionCase With(Length t) => on with { Fill = [new FoamFill(closed, first), new FoamFill(open, t)] };
        }

        SizedCandidate? FoamAndBatt(ProductSheet sheet)
        {
            var least = LeastOf(choice, sheet, kind);
            if (section.FoamDepth is not { } depth)
            {
                return null;
            }

            // Thinnest foam whose own batt keeps its face dry and the whole within the target; else the driest that comes nearest.
            var best = (Case: (SectionCase?)null, Dry: false, U: double.MaxValue);
            for (var t = Max(least, sheet.AirBarrierFrom).RoundedUp(section.Step); t < depth && t <= sheet.ThickestRated; t += section.Step)
            {
                if (BattFor(m.Batts, depth - t) is not { } batt)
                {
                    break;
                }

                var layer = new FoamFill(sheet, t);
                var at = section with { Fill = [layer, BattFill.Behind(batt, depth - t, layer)] };
                var meets = Targets.Meets(choice, at);
                if (!meets && t + section.Step < depth && best.Case is not null && best.Dry)
                {
                    var nearer = SectionHeat.Of(at).WholeU.WattsPerSquareMetreKelvin;
                    best = nearer < best.U ? (at, true, nearer) : best;
                    continue;
                }

                var dry = IsDry(choice, $"{kind}:{sheet.Id}", at, strict: true);
                var u = SectionHeat.Of(at).WholeU.WattsPerSquareMetreKelvin;
                if (dry && meets)
                {
                    best = (at, dry, u);
                    break;
                }

                best = (dry && !best.Dry) || (dry == best.Dry && u < best.U) ? (at, dry, u) : best;
            }

            return best.Case is { } found ? new($"{kind}:{sheet.Id}", kind, found, true) : null;
        }

        SizedCandidate? Batt() =>
            section.FoamDepth is { } depth && BattFor(m.Batts, depth) is { } batt
                ? new($"{kind}", kind, section with { Fill = [BattFill.Behind(batt, depth, null)] }, true)
                : null;
    }

    /// <summary>The batt that gives most in a space: one that is pressed by no more than a fifth.</summary>
    public static Batt? BattFor(IReadOnlyList<Batt> batts, Length space) =>
        batts.Where(b => b.Nominal.Metres * 0.8 <= space.Metres).MaxBy(b => b.ResistanceIn(space).SquareMetreKelvinsPerWatt);

    // Least first foam with which the section is dry; else with which it does not fail; else what makes it a retarder.
    private static Length LeastDry(ChoiceCase choice, string system, SectionCase section, Length least)
    {
        var sheet = section.Foam!.Sheet;
        least = Max(least, sheet.AirBarrierFrom).RoundedUp(section.Step);
        return Least(strict: true)
            ?? Least(strict: false)
            ?? Max(
                least,
                Min(VapourResistance.ThicknessFor(sheet.Permeability, VapourClass.II), sheet.ThickestRated).RoundedUp(section.Step)
            );

        Length? Least(bool strict) =>
            SectionSearch.Thinnest(section, at => IsDry(choice, system, at, strict)) is { } dry
            && (section.FoamDepth is not { } depth || dry < depth)
                ? Max(dry, least)
                : null;
    }

    private static bool IsDry(ChoiceCase choice, string system, SectionCase section, bool strict)
    {
        var year = choice.Memo.Year(choice, system, section);
        var opinions = Condensation.Opinions(choice, section, year);
        return !Condensation.Fails(choice.Practice, opinions)
            && (!strict || year?.DampestOwn is not { Greatest: > MonthlyYear.GreatestInterfaceHumidity });
    }

    private static SizedCandidate Sized(ChoiceCase choice, CandidateKind kind, string id, SectionCase section, Length least)
    {
        var step = section.Step;
        // Foam that does not stop air is half a job: where it fits, no candidate is thinner than its air barrier.
        var stops = choice.Section.Kind == SurfaceKind.InteriorPartition ? Length.Zero : section.Foam?.Sheet.AirBarrierFrom ?? Length.Zero;
        least = least.RoundedUp(step);
        var most = RoundDown(Min(SectionFit.GreatestFoam(section) ?? section.Thickest, section.Thickest), step);
        var t =
            !Targets.Exist(choice) ? WithoutTarget(choice, section, least, most)
            : choice.Memo.ThinnestForTarget(choice, $"{kind}:{id}", section) is { } needed
                ? Min(Max(needed, Max(least, stops.RoundedUp(step))), Max(most, least))
            : Max(most, least);
        var sized = section.WithFoam(t);
        return new($"{kind}:{id}", kind, sized, Fits(sized));
    }

    // Without a target a partition is filled for sound; all else takes what counts as an air barrier.
    private static Length WithoutTarget(ChoiceCase choice, SectionCase section, Length least, Length most) =>
        choice.Section.Kind == SurfaceKind.InteriorPartition
            ? Max(most, least)
            : Min(Max(least, section.Foam?.Sheet.AirBarrierFrom.RoundedUp(section.Step) ?? least), Max(most, least));

    private static Length LeastOf(ChoiceCase choice, ProductSheet sheet, CandidateKind kind) =>
        Max(sheet.LeastLift, kind == CandidateKind.ThinCoat ? Length.Zero : choice.Practice.LeastFoam).RoundedUp(choice.Section.Step);

    private static bool Fits(SectionCase section) =>
        section.FoamDepth is not { } depth
        || section.FillThickness.Metres
            <= depth.Metres
                + 1e-3
                + section.Fill.OfType<SlabFill>().Where(s => !s.Layer.Material.IsInsulation).Sum(s => s.Thickness.Metres);

    private static Length UpTo(SectionCase section, ProductSheet sheet, Length least) =>
        section.FoamDepth is { } depth ? Max(section.Step, Min(sheet.ThickestRated, depth - HardFaceGap - section.Step)) : least;

    /// <summary>A board laid outside, against what is outermost of the wall.</summary>
    public static IReadOnlyList<Layer> Inserted(IReadOnlyList<Layer> outboard, Layer board) =>
        outboard.Count == 0 ? [board] : [.. outboard.SkipLast(1), board, outboard[^1]];

    private static Length RoundDown(Length length, Length step) => step * Math.Max(1, Math.Floor(length / step + 1e-9));

    private static Length RoundedUp(this Length length, Length step) => step * Math.Max(1, Math.Ceiling(length / step - 1e-9));

    private static Length Max(Length a, Length b) => a > b ? a : b;

    private static Length Min(Length a, Length b) => a < b ? a : b;
}
