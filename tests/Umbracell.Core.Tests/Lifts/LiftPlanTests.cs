using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Lifts;

public sealed class LiftPlanTests
{
    [Theory]
    [InlineData(2, 1, 0)]
    [InlineData(2.25, 2, 15)]
    [InlineData(6, 3, 30)]
    public void Lifts_are_as_few_as_the_sheet_allows(double inches, int count, int minutes)
    {
        var plan = LiftPlan.For(Sheets.ClosedCell, Length.FromInches(inches));
        plan.Lifts.Count.ShouldBe(count);
        plan.LeastTime.TotalMinutes.ShouldBe(minutes);
    }

    [Fact]
    public void No_lift_exceeds_the_sheets_greatest_and_together_they_make_the_thickness() =>
        Gen.Double[0.1, 6]
            .Sample(inches =>
            {
                var plan = LiftPlan.For(Sheets.ClosedCell, Length.FromInches(inches));
                plan.Lifts.ShouldAllBe(l => l.Metres <= Sheets.ClosedCell.GreatestLift.Metres + 0.00025);
                plan.Lifts.Sum(l => l.Inches).ShouldBe(inches, 1e-9);
            });

    [Fact]
    public void A_foam_on_another_waits_for_the_one_below_it()
    {
        var closed = LiftPlan.For(Sheets.ClosedCell, Length.FromInches(2.25));
        var open = LiftPlan.For(Sheets.OpenCell, Length.FromInches(3));
        LiftPlan.LeastTimeOf([]).ShouldBe(TimeSpan.Zero);
        LiftPlan.LeastTimeOf([closed]).TotalMinutes.ShouldBe(15);
        LiftPlan.LeastTimeOf([closed, open]).ShouldBe(closed.LeastTime + Sheets.ClosedCell.LeastWait + open.LeastTime);
        LiftPlan.LeastTimeOf([open, closed]).ShouldBe(closed.LeastTime + Sheets.OpenCell.LeastWait + open.LeastTime);
    }

    [Fact]
    public void Six_inches_typed_as_152_mm_are_still_three_lifts() =>
        LiftPlan.For(Sheets.ClosedCell, Length.FromMillimetres(152.4)).Lifts.Count.ShouldBe(3);

    [Theory]
    [InlineData(0.75, "within", Verdict.Clear)]
    [InlineData(0.6, "flash", Verdict.Care)]
    [InlineData(0.4, "tooThin", Verdict.Hold)]
    public void A_lift_under_the_least_is_a_flash_coat_or_refused(double inches, string name, Verdict verdict)
    {
        var finding = LiftPlan.For(Sheets.ClosedCell, Length.FromInches(inches)).Finding;
        finding.Case.Name.ShouldBe(name);
        finding.Verdict.ShouldBe(verdict);
    }

    [Fact]
    public void Where_the_sheet_names_no_flash_coat_a_thin_lift_is_held() =>
        LiftPlan.For(Sheets.ColdGrade, Length.FromInches(0.6)).Finding.Verdict.ShouldBe(Verdict.Hold);
}
