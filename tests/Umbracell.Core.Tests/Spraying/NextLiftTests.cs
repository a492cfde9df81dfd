using CsCheck;
using Shouldly;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Xunit;

namespace Umbracell.Core.Tests.Spraying;

/// <summary>When the next lift can go on, and what is told of lifts that were sprayed.</summary>
public sealed class NextLiftTests
{
    private static readonly DateTimeOffset Morning = new(2026, 11, 23, 8, 0, 0, TimeSpan.Zero);

    private static readonly Gen<LiftOnSurface> Lifts =
        from sheet in Gen.OneOf(Gen.Const(Sheets.ClosedCell), Gen.Const(Sheets.OpenCell))
        from kind in Gen.Enum<SubstrateKind>()
        from substrate in Gen.Double[5, 35]
        from air in Gen.Double[5, 35]
        from mm in Gen.Double[10, 120]
        from under in Gen.OneOf(Gen.Const(0.0), Gen.Double[10, 100])
        select Lift(sheet, mm) with
        {
            On = kind,
            Substrate = Temperature.FromCelsius(substrate),
            Air = Temperature.FromCelsius(air),
            Under = Length.FromMillimetres(under),
        };

    [Fact]
    public void Nothing_calculated_ever_shortens_the_wait_of_the_sheet()
    {
        Lifts.Sample(
            lift =>
                LiftForecast.Of(lift) is var told
                && (told.Wait is not { } wait || (wait >= lift.Sheet.LeastWait && wait >= told.Heat.Cool)),
            iter: 60
        );
    }

    [Fact]
    public void A_thicker_lift_or_a_warmer_surface_never_waits_less()
    {
        (from lift in Lifts from more in Gen.Double[0, 30] from warmer in Gen.Double[0, 10] select (lift, more, warmer)).Sample(
            one =>
                Wait(one.lift)
                <= Wait(
                    one.lift with
                    {
                        Thickness = one.lift.Thickness + Length.FromMillimetres(one.more),
                        Substrate = Temperature.FromCelsius(one.lift.Substrate.Celsius + one.warmer),
                    }
                ) + TimeSpan.FromSeconds(20),
            iter: 60
        );

        static TimeSpan Wait(LiftOnSurface lift) => LiftForecast.Of(lift).Wait ?? TimeSpan.MaxValue - TimeSpan.FromDays(1);
    }

    [Fact]
    public void It_is_told_when_it_can_go_on_and_then_it_can()
    {
        var surface = Sprayed(ended: 10);
        var forecast = LiftForecast.Of(Lift(Sheets.ClosedCell, 50));
        var waiting = NextLift.Of(surface, Sheets.ClosedCell, forecast, Morning.AddMinutes(11));
        waiting.Finding.Verdict.ShouldBe(Verdict.Hold);
        waiting.Because.ShouldBe(NextLiftBecause.Model);
        waiting.At.ShouldNotBeNull().ShouldBe(Morning.AddMinutes(10) + forecast.Wait!.Value);
        NextLift.Of(surface, Sheets.ClosedCell, forecast, waiting.At!.Value.AddSeconds(-1)).Finding.Case.Name.ShouldBe("waiting");

        // The time is over; a probe has still to be read.
        NextLift.Of(surface, Sheets.ClosedCell, forecast, waiting.At!.Value).Finding.Case.Name.ShouldBe("unread");
        var read = Sprayed(ended: 10, probe: 30);
        NextLift.Of(read, Sheets.ClosedCell, forecast, waiting.At!.Value).Finding.Verdict.ShouldBe(Verdict.Clear);
        NextLift.Of(read, Sheets.ClosedCell, forecast, waiting.At!.Value.AddSeconds(-1)).Finding.Verdict.ShouldBe(Verdict.Hold);
    }

    [Fact]
    public void What_a_probe_reads_too_hot_holds_whatever_was_calculated()
    {
        var limit = Sheets.ClosedCell.NextLiftBelow.Celsius;
        var late = Morning.AddHours(5);
        foreach (var (celsius, ends) in new[] { (limit - 0.1, "ready"), (limit, "hot"), (limit + 40, "hot") })
        {
            NextLift.Of(Sprayed(ended: 10, probe: celsius), Sheets.ClosedCell, null, late).Finding.Case.Name.ShouldBe(ends);
        }

        // Read before the lift was ended it was of the one below.
        NextLift.Of(Sprayed(ended: 10, probe: 60, probedAt: 5), Sheets.ClosedCell, null, late).Finding.Case.Name.ShouldBe("unread");
    }

    [Fact]
    public void Before_the_first_lift_nothing_has_to_cool()
    {
        NextLift.Of(SprayedSurface.Of([]), Sheets.ClosedCell, null, Morning).Finding.Verdict.ShouldBe(Verdict.Clear);
        NextLift.Of(SprayedSurface.Of([Begun(1, 0)]), Sheets.ClosedCell, null, Morning).At.ShouldBeNull();
    }

    [Fact]
    public void Without_readings_the_wait_is_that_of_the_sheet()
    {
        var told = NextLift.Of(Sprayed(ended: 10), Sheets.ClosedCell, null, Morning.AddMinutes(11));
        (told.At, told.Because).ShouldBe((Morning.AddMinutes(10) + Sheets.ClosedCell.LeastWait, NextLiftBecause.Wait));
    }

    [Theory]
    [InlineData("early", 10, 12, null, 50.0, 100.0)]
    [InlineData("onHot", 10, 60, 90.0, 50.0, 100.0)]
    [InlineData("tooThick", 10, 60, 30.0, 50.0, 120.0)]
    [InlineData("tooThin", 10, 60, 30.0, 50.0, 55.0)]
    [InlineData("endsBefore", -3, 60, null, 50.0, 100.0)]
    [InlineData("overlaps", 70, 60, null, 50.0, 100.0)]
    [InlineData(null, 10, 60, 30.0, 50.0, 100.0)]
    public void What_the_sheet_does_not_allow_is_told_of_each_lift(
        string? told,
        int ended,
        int next,
        double? probe,
        double first,
        double second
    )
    {
        List<LogEntry> log =
        [
            Begun(1, 0),
            Ended(2, ended, 1),
            Depth(3, ended + 1, first, 1),
            Begun(4, next),
            Ended(5, next + 15, 4),
            Depth(6, 90, second, 4),
        ];
        if (probe is { } celsius)
        {
            log.Add(Entry(7, LogEntryKind.Probe, ended + 5) with { Of = Id(1), Read = Temperature.FromCelsius(celsius) });
        }

        SprayFindings.LiftsOf(SprayedSurface.Of(log), Sheets.ClosedCell).Select(one => one.Case.Name).ShouldBe(told is null ? [] : [told]);
    }

    [Fact]
    public void A_lift_on_a_held_gate_is_logged_and_told()
    {
        var surface = SprayedSurface.Of([Begun(1, 0) with { Gate = Verdict.Hold }]);
        surface.Open.ShouldNotBeNull();
        SprayFindings.LiftsOf(surface, Sheets.ClosedCell).ShouldHaveSingleItem().Case.Name.ShouldBe("held");
    }

    [Fact]
    public void What_is_left_at_the_end_is_told_until_it_is_done()
    {
        var list = WalkRound.Of(Core.Assemblies.SurfaceKind.StudWall);
        var planned = Length.FromMillimetres(50);
        List<LogEntry> log = [Begun(1, 0), Ended(2, 10, 1)];
        Ends().ShouldBe(["unread", "unseen"]);
        log.Add(Depth(3, 11, 45, 1));
        Ends().ShouldBe(["thin", "unseen"]);
        log.Add(Depth(4, 12, 60, 1));
        log.AddRange(list.Select((item, i) => Entry(10 + i, LogEntryKind.Seen, 20) with { Item = item }));
        Ends().ShouldBe(["asPlanned"]);
        log.Add(Entry(50, LogEntryKind.Defect, 25));
        Ends().ShouldBe(["asPlanned", "defects"]);

        IEnumerable<string> Ends() => SprayFindings.EndOf(SprayedSurface.Of(log), planned, list).Select(one => one.Case.Name);
    }

    [Theory]
    [InlineData(30, "within", Verdict.Clear)]
    [InlineData(60, "tooThick", Verdict.Hold)]
    [InlineData(5, "tooThin", Verdict.Care)]
    public void A_lift_ahead_is_held_against_the_sheet(double mm, string ends, Verdict verdict)
    {
        var told = LiftForecast.Of(Lift(Sheets.ClosedCell, mm)).Findings[0];
        (told.Case.Name, told.Verdict).ShouldBe((ends, verdict));
    }

    [Fact]
    public void A_lift_within_the_sheet_on_wood_at_21_degrees_is_never_called_hot_for_long()
    {
        foreach (var sheet in new[] { Sheets.ClosedCell, Sheets.OpenCell })
        {
            var greatest = sheet.GreatestLift.Millimetres;
            LiftForecast.Of(Lift(sheet, greatest)).Findings[^1].Case.Name.ShouldBe("usual");
            LiftForecast.Of(Lift(sheet, greatest * 1.5)).Findings[^1].Case.Name.ShouldBe("long");
        }
    }

    private static LiftOnSurface Lift(ProductSheet sheet, double mm) =>
        new()
        {
            Sheet = sheet,
            On = SubstrateKind.Wood,
            Substrate = Temperature.FromCelsius(21),
            Air = Temperature.FromCelsius(21),
            Thickness = Length.FromMillimetres(mm),
        };

    private static SprayedSurface Sprayed(int ended, double? probe = null, int? probedAt = null)
    {
        List<LogEntry> log = [Begun(1, 0), Ended(2, ended, 1)];
        if (probe is { } celsius)
        {
            log.Add(Entry(3, LogEntryKind.Probe, probedAt ?? ended + 1) with { Of = Id(1), Read = Temperature.FromCelsius(celsius) });
        }

        return SprayedSurface.Of(log);
    }

    private static Guid Id(int n) => new(n, 0, 0, new byte[8]);

    private static LogEntry Begun(int id, int at) => Entry(id, LogEntryKind.LiftBegun, at);

    private static LogEntry Ended(int id, int at, int of) => Entry(id, LogEntryKind.LiftEnded, at) with { Of = Id(of) };

    private static LogEntry Depth(int id, int at, double mm, int of) =>
        Entry(id, LogEntryKind.Depth, at) with
        {
            Of = Id(of),
            Depth = Length.FromMillimetres(mm),
        };

    private static LogEntry Entry(int id, LogEntryKind kind, int at) =>
        new()
        {
            Id = Id(id),
            Kind = kind,
            At = Morning.AddMinutes(at),
            SaidAt = Morning.AddMinutes(at),
        };
}
