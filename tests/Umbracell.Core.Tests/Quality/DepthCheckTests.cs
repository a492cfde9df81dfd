using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Quality;

/// <summary>Depths that were read: what is said about the area, what is accepted, what R the uneven layer has.</summary>
public sealed class DepthCheckTests
{
    private static readonly Gen<double[]> Depths = Gen.Double[5, 150].Array[3, 40];

    [Fact]
    public void The_bound_is_the_mean_less_k_times_the_scatter()
    {
        // By hand: mean 3 in, scatter 1/8 in, k of six readings 2.494.
        var check = Check(3, 3.1581, 2.8419, 3.1118, 2.8882, 3, 3);
        check.Mean.Inches.ShouldBe(3, 1e-9);
        check.Factor!.Value.ShouldBe(2.494, 0.002);
        check.Bound!.Value.Inches.ShouldBe(3 - 2.494 * check.Scatter.Inches, 0.001);
        check.Passes.ShouldBeFalse();
        Verdict(check, "depthStatement").ShouldBe(Core.Findings.Verdict.Care);
        Verdict(check, "depthAccepted").ShouldBe(Core.Findings.Verdict.Hold);
    }

    [Fact]
    public void R_of_an_uneven_layer_is_what_heat_passes_side_by_side()
    {
        Depths.Sample(
            mm =>
            {
                var check = Of(mm, 50);

                // Every place is a path of its own through films and foam: conductances add up.
                var sum = 0.0;
                foreach (var depth in mm)
                {
                    var r = Sheets.ClosedCell.ResistanceAt(Length.FromMillimetres(Math.Min(depth, 152.4))).SquareMetreKelvinsPerWatt;
                    sum += 1 / (0.13 + r + 0.04);
                }

                check.EffectiveR.SquareMetreKelvinsPerWatt.ShouldBe(mm.Length / sum - 0.17, 1e-9);
            },
            iter: 300
        );
    }

    [Fact]
    public void Uneven_foam_is_never_worth_more_than_even_foam()
    {
        // The table of an open cell sheet is straight; there the mean depth has the mean R.
        Depths.Sample(
            mm =>
            {
                var check = Of(mm, 50, open: true);
                check.EffectiveR.SquareMetreKelvinsPerWatt.ShouldBeLessThanOrEqualTo(check.MeanR.SquareMetreKelvinsPerWatt + 1e-9);
            },
            iter: 300
        );
    }

    [Fact]
    public void Readings_past_the_table_count_as_its_end_and_are_told()
    {
        var check = Of([150, 200, 300], 100);
        check.EffectiveR.SquareMetreKelvinsPerWatt.ShouldBeLessThanOrEqualTo(
            Sheets.ClosedCell.ResistanceAt(Sheets.ClosedCell.ThickestRated).SquareMetreKelvinsPerWatt
        );
        check.Findings.Single(one => one.Rule.Id == "depthRated").Figures["count"].Amount.ShouldBe(2);
    }

    [Theory]
    [InlineData(new double[] { 50, 50, 50, 50, 50, 50, 50, 50, 50, 44 }, "meanUnder")]
    [InlineData(new double[] { 55, 55, 55, 55, 55, 55, 55, 55, 55, 44 }, "accepted")]
    [InlineData(new double[] { 55, 55, 55, 55, 55, 55, 55, 55, 55, 43.9 }, "placeUnder")]
    [InlineData(new double[] { 55, 55, 55, 55, 55, 55, 55, 55, 49, 49 }, "shareUnder")]
    public void Accepted_is_by_mean_share_and_the_thinnest_place(double[] mm, string ends) =>
        Of(mm, 50).Findings.Where(one => one.Rule.Id == "depthAccepted").Select(one => one.Case.Name).ShouldBe([ends]);

    [Fact]
    public void Edges_are_accepted_or_not_and_tell_nothing_about_the_area()
    {
        var without = Of([55, 56, 57], 50);
        var with = DepthCheck.Of(Case([55, 56, 57], 50) with { Edges = [Length.FromMillimetres(40)] });
        with.Bound.ShouldBe(without.Bound);
        with.EffectiveR.ShouldBe(without.EffectiveR);
        with.Least.Millimetres.ShouldBe(40, 1e-9);
        with.Findings.ShouldContain(one => one.Case.Name == "placeUnder");
    }

    [Fact]
    public void Three_readings_where_six_are_wanted_are_said_and_not_refused()
    {
        var check = DepthCheck.Of(Case([55, 56, 57], 50) with { Wanted = 6 });
        check.Findings.Single(one => one.Rule.Id == "depthPlaces").Case.Name.ShouldBe("few");
        check.Bound.ShouldNotBeNull();
        Of([55, 56], 50).Findings.Single(one => one.Rule.Id == "depthStatement").Case.Name.ShouldBe("few");
    }

    // It is enough for what is lacking, never more than a coat beyond it where foam is thin, and nothing where none is.
    [Fact]
    public void What_is_lacking_is_neither_too_little_nor_more_than_a_coat_too_much()
    {
        (from mm in Depths from spec in Gen.Double[30, 120] select (mm, spec)).Sample(
            one =>
            {
                var lacking = Lacking(one.mm, one.spec);
                var lack = one.mm.Average(depth => Math.Max(0, one.spec - depth) / 1000) * 40;
                lacking.Foam.CubicMetres.ShouldBeGreaterThanOrEqualTo(lack - 1e-9);
                lacking.Foam.CubicMetres.ShouldBeLessThanOrEqualTo(
                    lack + lacking.Area.SquareMetres * Sheets.ClosedCell.ThinnestCoat.Metres + 1e-9
                );
                lacking.Area.SquareMetres.ShouldBeLessThanOrEqualTo(40 + 1e-9);
                Lacking(one.mm, one.spec + 5).Foam.CubicMetres.ShouldBeGreaterThanOrEqualTo(lacking.Foam.CubicMetres - 1e-9);
                Lacking(one.mm, one.mm.Min()).Foam.CubicMetres.ShouldBe(0);
            },
            iter: 200
        );

        // By hand: one of four places lacks 2 mm, and no coat is thinner than half an inch: 10 m² of 12.7 mm.
        Lacking([60, 60, 60, 58], 60).Foam.CubicMetres.ShouldBe(0.127, 1e-9);
        Lacking([60, 60, 60, 40], 60).Foam.CubicMetres.ShouldBe(0.2, 1e-9);
    }

    private static LackingFoam Lacking(double[] mm, double spec) =>
        LackingFoam.Of(Sheets.ClosedCell, Length.FromMillimetres(spec), Area.FromSquareMetres(40), [.. mm.Select(depth => depth / 1000)]);

    private static Verdict Verdict(DepthCheck check, string rule) =>
        check.Findings.Where(one => one.Rule.Id == rule).Max(one => one.Verdict);

    private static DepthCheck Check(double specIn, params double[] inches) => Of([.. inches.Select(x => x * 25.4)], specIn * 25.4);

    private static DepthCheck Of(double[] mm, double spec, bool open = false) => DepthCheck.Of(Case(mm, spec, open));

    private static DepthCase Case(double[] mm, double spec, bool open = false) =>
        new()
        {
            Sheet = open ? Sheets.OpenCell : Sheets.ClosedCell,
            Specified = Length.FromMillimetres(spec),
            Area = [.. mm.Select(Length.FromMillimetres)],
        };
}
