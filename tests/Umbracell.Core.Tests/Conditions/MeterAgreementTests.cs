using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Xunit;

namespace Umbracell.Core.Tests.Conditions;

public sealed class MeterAgreementTests
{
    private static readonly DateTimeOffset Now = new(2026, 11, 23, 9, 0, 0, TimeSpan.Zero);

    [Theory]
    [InlineData(15, 18.9, false)]
    [InlineData(15, 19.1, true)]
    [InlineData(19.1, 15, true)]
    public void Meters_disagree_when_they_lie_further_apart_than_their_errors_together(double first, double second, bool disagree)
    {
        var findings = MeterAgreement.Check([Wood(first, "pin meter"), Wood(second, "plate meter")]);
        findings.Count.ShouldBe(disagree ? 1 : 0);
    }

    [Fact]
    public void Readings_of_another_hour_place_or_thing_and_of_the_same_meter_are_not_held_against_each_other()
    {
        var one = Wood(12, "pin meter");
        MeterAgreement.Check([one, Wood(25, "plate meter") with { At = Now.AddHours(2) }]).ShouldBeEmpty();
        MeterAgreement.Check([one, Wood(25, "plate meter") with { Place = "north end" }]).ShouldBeEmpty();
        MeterAgreement.Check([one, Wood(25, "plate meter") with { What = "humidity" }]).ShouldBeEmpty();
        MeterAgreement.Check([one, Wood(25, "pin meter")]).ShouldBeEmpty();
    }

    private static MeterReading Wood(double percent, string instrument) =>
        new()
        {
            What = "woodMoisture",
            Value = new(percent, Dimension.MoistureContent),
            StatedError = new(2, Dimension.HumidityPoints),
            Instrument = instrument,
            At = Now,
        };
}
