using Microsoft.Extensions.Configuration;
using Shouldly;
using Umbracell.Server.Requests;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The time the product goes by, which a demo may set.</summary>
public sealed class ProductClockTests
{
    private static readonly DateTimeOffset Machine = new(2030, 6, 1, 12, 0, 0, TimeSpan.Zero);

    private sealed class Fixed(DateTimeOffset now) : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = now;

        public override DateTimeOffset GetUtcNow() => Now;
    }

    private static ProductClock Of(Fixed machine, params (string Setting, string? Value)[] settings) =>
        new(
            new ConfigurationBuilder()
                .AddInMemoryCollection(settings.Reverse().DistinctBy(s => s.Setting).Select(s => KeyValuePair.Create(s.Setting, s.Value)))
                .Build(),
            machine
        );

    [Fact]
    public void Without_a_setting_it_is_the_machines()
    {
        var machine = new Fixed(Machine);
        var clock = Of(machine);
        clock.IsOfDemo.ShouldBeFalse();
        machine.Now = Machine.AddHours(5);
        clock.GetUtcNow().ShouldBe(Machine.AddHours(5));
    }

    [Theory]
    [InlineData(null, 1)]
    [InlineData("60", 60)]
    [InlineData("0.5", 0.5)]
    public void With_a_start_it_goes_from_there_at_its_rate(string? rate, double times)
    {
        var machine = new Fixed(Machine);
        var clock = Of(machine, ("Clock:Start", "2026-11-23T07:40:00-05:00"), ("Clock:Rate", rate));
        clock.IsOfDemo.ShouldBeTrue();
        clock.GetUtcNow().ShouldBe(new(2026, 11, 23, 12, 40, 0, TimeSpan.Zero));
        machine.Now = Machine.AddMinutes(10);
        clock.GetUtcNow().ShouldBe(new DateTimeOffset(2026, 11, 23, 12, 40, 0, TimeSpan.Zero).AddMinutes(10 * times));
    }

    [Fact]
    public void Two_programs_that_start_one_after_the_other_show_one_time()
    {
        (string, string?)[] settings =
        [
            ("Clock:Start", "2026-11-23T12:40:00Z"),
            ("Clock:Since", Machine.ToString("O")),
            ("Clock:Rate", "30"),
        ];
        var machine = new Fixed(Machine);
        var first = Of(machine, settings);
        machine.Now = Machine.AddSeconds(40);
        var second = Of(machine, settings);
        second.GetUtcNow().ShouldBe(first.GetUtcNow());
    }

    [Theory]
    [InlineData("Clock:Start", "noon")]
    [InlineData("Clock:Rate", "fast")]
    [InlineData("Clock:Rate", "0")]
    [InlineData("Clock:Rate", "-2")]
    public void A_setting_that_cannot_be_read_is_named(string setting, string value) =>
        Should
            .Throw<InvalidOperationException>(() => Of(new(Machine), ("Clock:Start", "2026-11-23T12:40:00Z"), (setting, value)))
            .Message.ShouldContain(setting);
}
