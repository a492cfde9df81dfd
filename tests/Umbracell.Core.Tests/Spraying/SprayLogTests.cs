using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Spraying;

/// <summary>The log of a surface: what is in force of it, whatever order it arrived in.</summary>
public sealed class SprayLogTests
{
    private static readonly DateTimeOffset Morning = new(2026, 11, 23, 8, 0, 0, TimeSpan.Zero);

    // Entries that name one another at random: corrections of corrections, rings, what is not there, two at the same moment.
    private static readonly Gen<LogEntry[]> Logs =
        from count in Gen.Int[1, 24]
        from entries in Gen.Select(
            Gen.Enum<LogEntryKind>(),
            Gen.Int[0, 40],
            Gen.Int[0, 40],
            Gen.Int[-12, count],
            Gen.Int[-3, count],
            (kind, at, said, replaces, of) => (Kind: kind, at, said, replaces, of)
        ).Array[count]
        select entries.Select((one, i) => Entry(i, one.Kind, one.at, one.said, one.replaces, one.of)).ToArray();

    [Fact]
    public void Every_order_of_arrival_leads_to_the_same()
    {
        (from log in Logs from seed in Gen.Int select (log, seed)).Sample(
            one =>
            {
                var told = Told(one.log);
                var shuffled = one.log.Concat(one.log.Take(one.log.Length / 2)).ToArray();
                new Random(one.seed).Shuffle(shuffled);
                return Told(shuffled) == told;
            },
            iter: 2_000
        );
    }

    [Fact]
    public void What_arrives_in_two_parts_leads_to_what_all_of_it_leads_to()
    {
        // Two devices: what either has is a part of the whole, and the union of both is the whole.
        (from log in Logs from at in Gen.Int[0, 24] select (log, at)).Sample(
            one => Told([.. one.log.Skip(one.at), .. one.log.Take(one.at), .. one.log]) == Told(one.log),
            iter: 500
        );
    }

    [Fact]
    public void Five_hundred_entries_sent_twice_are_five_hundred()
    {
        var log = Enumerable
            .Range(0, 125)
            .SelectMany(i =>
                new[]
                {
                    Entry(4 * i, LogEntryKind.LiftBegun, 40 * i, 40 * i),
                    Entry(4 * i + 1, LogEntryKind.LiftEnded, 40 * i + 20, 40 * i + 20, of: 4 * i),
                    Depth(4 * i + 2, 25 + i, said: 40 * i + 21),
                    Drum(4 * i + 3, LogEntryKind.DrumLevel, 40 * i + 22, left: 1 - i / 125.0),
                }
            )
            .ToArray();
        LogEntry[] twice = [.. log, .. log];
        new Random(500).Shuffle(twice);
        SprayLog.InForce(twice).Count.ShouldBe(500);
        Told(twice).ShouldBe(Told(log));
        SprayedSurface.Of(twice).Drums[0].Used.ShouldBe(SprayedSurface.Of(log).Drums[0].Used);
    }

    [Fact]
    public void A_drum_of_another_product_on_a_surface_is_told_and_is_none_the_one_before_was_emptied_for()
    {
        LogEntry[] log =
        [
            Drum(1, LogEntryKind.DrumOpened, 0) with
            {
                Sheet = "standard",
            },
            Entry(2, LogEntryKind.LiftBegun, 1, 1),
            Drum(3, LogEntryKind.DrumLevel, 20, left: 0.4) with
            {
                Sheet = "standard",
            },
            Drum(4, LogEntryKind.DrumOpened, 41) with
            {
                Sheet = "cold",
            },
        ];
        var surface = SprayedSurface.Of(log);
        SprayFindings.DrumsOf(surface).ShouldHaveSingleItem().Case.Name.ShouldBe("grades");
        (surface.Drums[0].Sheet, surface.Drums[0].Left, surface.Drums[0].Used).ShouldBe(("cold", 1, 0.6));
        SprayedSurface.Of(log, sheet: "cold").Drums[0].Used.ShouldBe(0);
    }

    [Fact]
    public void A_correction_of_a_correction_is_one_of_the_first_entry()
    {
        var depth = Depth(1, 50, said: 1);
        var second = Depth(2, 55, said: 2) with { Replaces = depth.Id };
        var third = Depth(3, 60, said: 3) with { Replaces = second.Id };
        SprayLog.InForce([third, depth, second]).ShouldHaveSingleItem().ShouldBe(third with { Id = depth.Id });
        SprayLog.InForce([third, depth, second, Entry(4, LogEntryKind.Withdrawn, 4, 4) with { Replaces = third.Id }]).ShouldBeEmpty();
    }

    [Fact]
    public void Of_two_corrections_the_later_one_is_in_force()
    {
        var depth = Depth(1, 50, said: 1);
        var late = Depth(2, 55, said: 9) with { Replaces = depth.Id };
        var early = Depth(3, 60, said: 5) with { Replaces = depth.Id };
        SprayLog.InForce([late, depth, early]).ShouldHaveSingleItem().Depth.ShouldBe(late.Depth);
    }

    [Fact]
    public void What_corrects_itself_in_a_ring_is_one_entry()
    {
        var one = Depth(1, 50, said: 1) with { Replaces = Id(2) };
        var two = Depth(2, 55, said: 2) with { Replaces = Id(1) };
        var into = Depth(3, 60, said: 3) with { Replaces = Id(2) };
        SprayLog.InForce([one, two, into]).ShouldHaveSingleItem().Depth.ShouldBe(into.Depth);
        SprayLog.InForce([one with { Replaces = one.Id }]).ShouldHaveSingleItem();
    }

    [Fact]
    public void Lifts_have_what_was_read_after_them()
    {
        var surface = SprayedSurface.Of([
            Entry(1, LogEntryKind.LiftBegun, 0, 0),
            Entry(2, LogEntryKind.LiftEnded, 10, 10) with
            {
                Of = Id(1),
            },
            Depth(3, 40, said: 11),
            Depth(4, 50, said: 12),
            Entry(5, LogEntryKind.LiftBegun, 40, 40),
            Entry(6, LogEntryKind.LiftEnded, 55, 55) with
            {
                Of = Id(5),
            },
            Depth(7, 96, said: 56),
            Entry(8, LogEntryKind.Probe, 60, 60) with
            {
                Read = Temperature.FromCelsius(41),
            },
        ]);
        surface.Lifts.Select(lift => lift.Number).ShouldBe([1, 2]);
        surface.Lifts[0].Depth!.Value.Millimetres.ShouldBe(45, 1e-9);
        surface.Lifts[1].Thickness!.Value.Millimetres.ShouldBe(51, 1e-9);
        surface.Lifts[1].Probe!.Value.At.Celsius.ShouldBe(41, 1e-9);
        surface.Depth!.Value.Millimetres.ShouldBe(96, 1e-9);
        surface.Open.ShouldBeNull();
        surface.SprayedSince(Morning, Morning.AddMinutes(60)).ShouldBe(TimeSpan.FromMinutes(25));
        surface.SprayedSince(Morning.AddMinutes(5), Morning.AddMinutes(45)).ShouldBe(TimeSpan.FromMinutes(10));
    }

    [Fact]
    public void Who_sprays_again_has_ended_the_stop_and_the_surface_is_not_finished()
    {
        LogEntry[] log =
        [
            Entry(1, LogEntryKind.LiftBegun, 0, 0),
            Entry(2, LogEntryKind.Stopped, 5, 5) with
            {
                Reason = StopReason.Gun,
            },
            Entry(3, LogEntryKind.LiftEnded, 6, 6) with
            {
                Of = Id(1),
            },
            Entry(4, LogEntryKind.Finished, 8, 8),
        ];
        SprayedSurface.Of(log).OpenStops.ShouldHaveSingleItem().Reason.ShouldBe(StopReason.Gun);
        SprayedSurface.Of(log).FinishedAt.ShouldBe(Morning.AddMinutes(8));
        var again = SprayedSurface.Of([.. log, Entry(5, LogEntryKind.LiftBegun, 40, 40)]);
        again.OpenStops.ShouldBeEmpty();
        again.FinishedAt.ShouldBeNull();
        again.Open!.Number.ShouldBe(2);
        SprayedSurface.Of([.. log, Entry(6, LogEntryKind.Resumed, 7, 7) with { Of = Id(2) }]).OpenStops.ShouldBeEmpty();
    }

    [Fact]
    public void Area_is_as_it_was_said_last()
    {
        LogEntry[] clear = [Entry(1, LogEntryKind.AreaClear, 0, 0), Entry(2, LogEntryKind.VentilationOn, 1, 1)];
        SprayFindings.AreaOf(SprayedSurface.Of([])).Verdict.ShouldBe(Verdict.Hold);
        SprayFindings.AreaOf(SprayedSurface.Of(clear)).Verdict.ShouldBe(Verdict.Clear);
        foreach (var after in new[] { LogEntryKind.AreaEntered, LogEntryKind.VentilationOff })
        {
            SprayFindings.AreaOf(SprayedSurface.Of([.. clear, Entry(3, after, 2, 2)])).Verdict.ShouldBe(Verdict.Hold);
            SprayFindings.AreaOf(SprayedSurface.Of([.. clear, Entry(3, after, -1, -1)])).Verdict.ShouldBe(Verdict.Clear);
        }
    }

    [Fact]
    public void Drums_are_used_by_the_levels_that_were_read()
    {
        LogEntry[] log =
        [
            Drum(1, LogEntryKind.DrumOpened, 0),
            Entry(2, LogEntryKind.LiftBegun, 1, 1),
            Drum(3, LogEntryKind.DrumLevel, 20, left: 0.4),
            Drum(4, LogEntryKind.DrumEmpty, 40),
            Drum(5, LogEntryKind.DrumOpened, 41, lot: "second"),
            Drum(6, LogEntryKind.DrumLevel, 60, left: 0.75),
            Entry(7, LogEntryKind.LiftEnded, 61, 61),
        ];
        var used = SprayedSurface.Of(log).Drums[0];
        (used.Lot, used.Left, used.Used, used.Rose, used.WasDry).ShouldBe(("second", 0.75, 1.25, false, false));
        used.LotsOnSurface.ShouldBe(["first", "second"]);
        SprayFindings.DrumsOf(SprayedSurface.Of(log)).ShouldHaveSingleItem().Case.Name.ShouldBe("lots");
        SprayedSurface.Of(log).Drums[1].Used.ShouldBe(0);
    }

    [Fact]
    public void A_level_that_rises_and_an_empty_drum_that_still_sprays_are_told()
    {
        LogEntry[] rises = [Drum(1, LogEntryKind.DrumLevel, 0, left: 0.4), Drum(2, LogEntryKind.DrumLevel, 9, left: 0.6)];
        SprayFindings.DrumsOf(SprayedSurface.Of(rises)).ShouldHaveSingleItem().Case.Name.ShouldBe("rose");
        SprayedSurface.Of(rises).Drums[0].Used.ShouldBe(0);
        LogEntry[] dry = [Drum(1, LogEntryKind.DrumEmpty, 0), Entry(2, LogEntryKind.LiftBegun, 5, 5)];
        SprayFindings.DrumsOf(SprayedSurface.Of(dry)).ShouldHaveSingleItem().Case.Name.ShouldBe("dry");
        SprayFindings.DrumsOf(SprayedSurface.Of([.. dry, Drum(3, LogEntryKind.DrumOpened, 3)])).ShouldBeEmpty();
    }

    [Fact]
    public void A_full_drum_of_200_litres_is_filled_to_78_centimetres() => DrumUse.LeftOf(Length.FromMetres(0.778)).ShouldBe(1, 0.001);

    private static LogEntry Drum(int id, LogEntryKind kind, int at, double? left = null, string lot = "first") =>
        Entry(id, kind, at, at) with
        {
            Side = SetSide.A,
            Lot = lot,
            Left = left,
        };

    private static string Told(IReadOnlyList<LogEntry> log)
    {
        var surface = SprayedSurface.Of(log);
        return string.Join(
            '\n',
            [
                .. SprayLog.InForce(log).Select(entry => entry.ToString()),
                .. surface.Lifts.Select(lift => lift.ToString()),
                .. surface.OpenStops.Select(stop => stop.ToString()),
                .. surface.Drums.Select(side => $"{side} {string.Join(',', side.LotsOnSurface)}"),
                $"{surface.Defects} {surface.Ventilated} {surface.AreaClear} {surface.FinishedAt}",
            ]
        );
    }

    private static Guid Id(int n) => new(n, 0, 0, new byte[8]);

    private static LogEntry Depth(int id, double mm, int said) =>
        Entry(id, LogEntryKind.Depth, said, said) with
        {
            Depth = Length.FromMillimetres(mm),
        };

    private static LogEntry Entry(int id, LogEntryKind kind, int at, int said, int replaces = -1, int of = -1) =>
        new()
        {
            Id = Id(id),
            Kind = kind,
            At = Morning.AddMinutes(at),
            SaidAt = Morning.AddMinutes(said),
            Replaces = replaces < 0 ? null : Id(replaces),
            Of = of < 0 ? null : Id(of),
            Depth = kind == LogEntryKind.Depth ? Length.FromMillimetres(25 + id) : null,
            Read = kind == LogEntryKind.Probe ? Temperature.FromCelsius(30 + id) : null,
            Item = kind == LogEntryKind.Seen ? WalkRoundItem.Voids : null,
            Side = id % 2 == 0 ? SetSide.A : SetSide.B,
            Lot = $"lot {id % 3}",
            Left = kind is LogEntryKind.DrumLevel ? id / 30.0 : null,
        };
}
