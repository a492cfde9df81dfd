using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quality;
using Umbracell.Core.Spraying;
using Xunit;

namespace Umbracell.Core.Tests.Quality;

/// <summary>When people without protection come back: never before the sheet, later where less air was moved.</summary>
public sealed class ReEntryTests
{
    private static readonly DateTimeOffset Last = new(2026, 11, 23, 15, 0, 0, TimeSpan.Zero);

    private static readonly ProductSheet Sheet = Sheets.ClosedCell with { ReEntryTime = new(TimeSpan.FromHours(24), 10) };

    private static readonly Gen<VentilationChange[]> Ventilations = Gen.Select(
        Gen.Int[-600, 3_000],
        Gen.Bool,
        Gen.Double[0, 40],
        Gen.Bool,
        (minutes, isOn, changes, isRead) => new VentilationChange(Last.AddMinutes(minutes), isOn, isRead ? changes : null)
    ).Array[0, 12];

    [Fact]
    public void It_is_never_before_the_sheet_whatever_the_ventilation()
    {
        (from ventilation in Ventilations from now in Gen.Int[0, 10_000] select (ventilation, now)).Sample(
            one =>
            {
                var told = Of(one.now, one.ventilation);
                (told.At ?? DateTimeOffset.MaxValue).ShouldBeGreaterThanOrEqualTo(Last.AddHours(24).AddTicks(-10));
                if (Last.AddMinutes(one.now) < Last.AddHours(24))
                {
                    told.Findings[0].Verdict.ShouldBe(Verdict.Hold);
                }
            },
            iter: 3_000
        );
    }

    [Fact]
    public void More_air_never_lengthens_it_and_less_never_shortens_it()
    {
        (from ventilation in Ventilations from factor in Gen.Double[0, 1] select (ventilation, factor)).Sample(
            one =>
            {
                var less = one.ventilation.Select(change => change with { AirChanges = change.AirChanges * one.factor }).ToArray();
                var (all, some) = (Of(0, one.ventilation).At, Of(0, less).At);
                (some ?? DateTimeOffset.MaxValue).ShouldBeGreaterThanOrEqualTo(all ?? DateTimeOffset.MaxValue);
            },
            iter: 1_000
        );
    }

    [Theory]
    [InlineData(10, 24)]
    [InlineData(25, 24)]
    [InlineData(8, 30)]
    [InlineData(5, 48)]
    public void Fewer_air_changes_lengthen_it_in_proportion(double changes, double hours)
    {
        var told = Of(0, [new(Last.AddHours(-1), true, changes)]);
        told.At.ShouldBe(Last.AddHours(hours));
        told.EarliestBySheet.ShouldBe(Last.AddHours(24));
        told.Findings.Any(one => one.Case.Name == "slow").ShouldBe(changes < 10);
    }

    [Fact]
    public void Off_half_the_night_it_is_later_by_half_the_night()
    {
        var told = Of(18 * 60, [new(Last.AddHours(-1), true, 12), new(Last.AddHours(5), false, null), new(Last.AddHours(11), true, 12)]);
        told.At.ShouldBe(Last.AddHours(30));
        told.Counted.ShouldBe(TimeSpan.FromHours(12));
        told.Findings.Single(one => one.Case.Name == "broken").Measured!.Value.Amount.ShouldBe(6 * 3600, 1e-6);
    }

    [Fact]
    public void Nobody_comes_back_while_the_ventilation_is_off_or_nobody_knows_what_it_moves()
    {
        Of(60, []).At.ShouldBeNull();
        Case(Of(60, [])).ShouldBe("off");
        Case(Of(60, [new(Last, true, null)])).ShouldBe("unread");
        Case(Of(60, [new(Last, true, 10), new(Last.AddMinutes(30), false, null)])).ShouldBe("off");
        Case(Of(60, [new(Last, true, 0)])).ShouldBe("off");
    }

    [Fact]
    public void When_its_time_has_come_it_is_over_and_a_minute_before_it_is_not()
    {
        VentilationChange[] steady = [new(Last.AddHours(-2), true, 6.4)];
        var at = Of(0, steady).At!.Value;
        var minutes = (at - Last).TotalMinutes;
        Case(Of((int)Math.Floor(minutes) - 1, steady)).ShouldBe("open");
        Case(Of((int)Math.Ceiling(minutes), steady)).ShouldBe("over");
    }

    [Fact]
    public void Of_two_products_the_one_that_is_waited_for_longer_counts()
    {
        var roof = new SprayedProduct(Sheets.OpenCell with { ReEntryTime = new(TimeSpan.FromHours(6), null) }, Last.AddHours(2));
        var told = ReEntry.Of(
            new()
            {
                Products = [new(Sheet, Last), roof],
                Ventilation = [],
                Now = Last,
            }
        );
        told.Product!.Sheet.ShouldBe(Sheet);
        ReEntry
            .Of(
                new()
                {
                    Products = [roof],
                    Ventilation = [],
                    Now = Last,
                }
            )
            .At.ShouldBe(Last.AddHours(8));
    }

    [Fact]
    public void A_sheet_without_hours_a_held_trigger_and_a_clock_that_jumped_are_told()
    {
        var silent = new SprayedProduct(Sheets.ClosedCell, Last);
        Case(
                ReEntry.Of(
                    new()
                    {
                        Products = [silent],
                        Ventilation = [],
                        Now = Last,
                    }
                )
            )
            .ShouldBe("noHours");
        var held = ReEntry.Of(
            new()
            {
                Products = [new(Sheet, Last)],
                Ventilation = [new(Last, true, 10)],
                Now = Last.AddDays(3),
                IsSpraying = true,
                Contradictions = 1,
            }
        );
        Case(held).ShouldBe("spraying");
        var unknown = ReEntry.Of(
            new()
            {
                Products = [new(Sheet, Last)],
                Ventilation = [new(Last, true, 10)],
                Now = Last.AddDays(9),
                Unknown = 1,
            }
        );
        (Case(unknown), unknown.At).ShouldBe(("noProduct", null));
        held.At.ShouldBeNull();
        held.Findings.ShouldContain(one => one.Case.Name == "jumped");
    }

    [Fact]
    public void Waste_drums_masks_and_covers_are_accounted_for_after_the_last_lift()
    {
        LogEntry[] log =
        [
            .. Enum.GetValues<Clearance>().Select((item, i) => Entry(LogEntryKind.AccountedFor, i, new() { Accounted = item })),
        ];
        Clearances.Of(log).Count.ShouldBe(4);
        Clearances.Of([.. log, Entry(LogEntryKind.LiftBegun, 10)]).ShouldBeEmpty();
        ReEntryCase of = new()
        {
            Products = [new(Sheet, Last)],
            Ventilation = [],
            Now = Last,
        };
        ReEntry.Of(of).Findings.ShouldContain(one => one.Rule.Id == "reEntryAccounted" && one.Case.Name == "open");
        ReEntry
            .Of(of with { Accounted = [.. Clearances.Of(log)] })
            .Findings.ShouldContain(one => one.Rule.Id == "reEntryAccounted" && one.Case.Name == "all");
    }

    // exp(-n t) hour by hour, and flat while nothing runs.
    [Fact]
    public void The_dilution_falls_as_the_air_is_changed()
    {
        var told = Of(0, [new(Last, true, 2), new(Last.AddHours(1.5), false, null), new(Last.AddHours(2.5), true, 4)]);
        told.Dilution[0].Left.ShouldBe(1);
        told.Dilution[1].Left.ShouldBe(Math.Exp(-2), 1e-12);
        told.Dilution[2].Left.ShouldBe(Math.Exp(-3), 1e-12);
        told.Dilution[3].Left.ShouldBe(Math.Exp(-5), 1e-12);
    }

    [Fact]
    public void Air_changes_read_once_hold_for_the_spell_they_were_read_in_and_later_ones()
    {
        LogEntry[] log =
        [
            Entry(LogEntryKind.VentilationOn, 0),
            Entry(LogEntryKind.VentilationRead, 20, new() { AirChanges = 9 }),
            Entry(LogEntryKind.VentilationOff, 60),
            Entry(LogEntryKind.VentilationOn, 90),
        ];
        VentilationOfLog
            .Of(log)
            .ShouldBe([
                new(Last, true, 9),
                new(Last.AddMinutes(20), true, 9),
                new(Last.AddMinutes(60), false, null),
                new(Last.AddMinutes(90), true, 9),
            ]);
    }

    private static LogEntry Entry(LogEntryKind kind, int minutes, ProofSaid? said = null) =>
        new()
        {
            Id = Guid.CreateVersion7(),
            Kind = kind,
            At = Last.AddMinutes(minutes),
            SaidAt = Last.AddMinutes(minutes),
            Proof = said,
        };

    private static string Case(ReEntry told) => told.Findings[0].Case.Name;

    private static ReEntry Of(int minutes, VentilationChange[] ventilation) =>
        ReEntry.Of(
            new()
            {
                Products = [new(Sheet, Last)],
                Ventilation = ventilation,
                Now = Last.AddMinutes(minutes),
            }
        );
}
