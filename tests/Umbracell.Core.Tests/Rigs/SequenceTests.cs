using CsCheck;
using Shouldly;
using Umbracell.Core.Rigs.Sequences;
using Xunit;

namespace Umbracell.Core.Tests.Rigs;

/// <summary>Sequences of a rig: whatever order somebody taps in, and whoever wrote the sequence, nobody is hurt and no pump breaks.</summary>
public sealed class SequenceTests
{
    private static readonly DateTimeOffset Seven = new(2026, 11, 23, 7, 0, 0, TimeSpan.Zero);

    public static TheoryData<SequenceKind> Kinds => [.. Enum.GetValues<SequenceKind>()];

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Every_kind_ships_and_can_be_used_as_it_is_shown(SequenceKind kind)
    {
        var sequence = ShippedSequences.All[kind];
        SequenceFaults.Of(sequence).ShouldBeEmpty();
        var (run, now) = (SequenceRun.Of(sequence), Seven);
        foreach (var step in sequence.Steps)
        {
            // Whoever goes down the list waits where something takes its time, and never has to jump.
            now = run.WaitsFor(step, now).Select(run.ReadyAt).Where(at => at is not null).Append(now).Max()!.Value;
            run = run.With(Done(step, now));
            now += TimeSpan.FromMinutes(1);
        }

        run.IsOver(now.AddHours(1)).ShouldBeTrue();
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Whatever_order_is_tapped_in_nothing_breaks_and_the_end_is_reached(SequenceKind kind) =>
        Gen.Int[0, int.MaxValue - 1]
            .Array[400]
            .Sample(
                taps =>
                {
                    var machine = new Machine();
                    var run = Tapped(SequenceRun.Of(ShippedSequences.All[kind]), taps, machine);
                    run.IsOver(Seven.AddDays(30)).ShouldBeTrue("every step is reached in the end");
                },
                iter: 200
            );

    [Fact]
    public void Whoever_wrote_it_what_is_taken_breaks_nothing_and_what_would_is_not_taken()
    {
        var (taken, refused) = (0, 0);
        Gen.Select(Gen.Enum<SequenceKind>(), Gen.Int[0, 1_000_000], Gen.Int[0, 6], Gen.Int[0, int.MaxValue - 1].Array[300])
            .Sample(
                (kind, seed, changes, taps) =>
                {
                    var own = Rewritten(ShippedSequences.All[kind], seed, changes);
                    if (SequenceFaults.Of(own).Count > 0)
                    {
                        Interlocked.Increment(ref refused);
                        Should.Throw<ArgumentException>(() => SequenceRun.Of(own));
                        return;
                    }

                    Interlocked.Increment(ref taken);
                    Tapped(SequenceRun.Of(own), taps, new Machine());
                },
                iter: 3_000
            );
        taken.ShouldBeGreaterThan(300);
        refused.ShouldBeGreaterThan(300);
    }

    [Fact]
    public void Steps_that_wait_for_one_another_in_a_ring_are_blocked_and_nothing_hangs()
    {
        var ring = new Sequence
        {
            Kind = SequenceKind.GunCare,
            Steps = [new() { Id = "a", After = ["b"] }, new() { Id = "b", After = ["a"] }],
        };
        var run = new SequenceRun(ring, []);
        ring.Steps.Select(step => run.StateOf(step, Seven)).ShouldAllBe(state => state == StepState.Blocked);
        run.IsOver(Seven).ShouldBeFalse();
    }

    [Fact]
    public void A_hard_stop_is_skipped_by_nobody_and_another_step_with_a_reason_alone()
    {
        var run = SequenceRun.Of(ShippedSequences.All[SequenceKind.DayStart]);
        foreach (var step in run.Sequence.Steps)
        {
            var why = run.Refuses(new(step.Id, Seven, "crew lead") { SkippedBecause = "seen yesterday" });
            why.ShouldBe(step.IsHardStop ? MarkRefusal.HardStop : null, step.Id);
            if (!step.IsHardStop)
            {
                run.Refuses(new(step.Id, Seven, "crew lead") { SkippedBecause = " " }).ShouldBe(MarkRefusal.NoReason);
            }
        }

        run.Sequence["airAtGun"]!.IsHardStop.ShouldBeTrue();
        run.Sequence["hosesSeen"]!.IsHardStop.ShouldBeFalse();
    }

    [Fact]
    public void While_the_hose_heats_what_can_be_done_meanwhile_is_named_and_what_hangs_on_it_waits()
    {
        var run = UpTo("hoseHeat");
        var at = run.MarkOf("hoseHeat")!.At;
        run.StateOf(run.Sequence["hoseHeat"]!, at.AddMinutes(29)).ShouldBe(StepState.Waiting);
        run.ReadyAt(run.Sequence["hoseHeat"]!).ShouldBe(at.AddMinutes(30));
        var meanwhile = run.Open(at.AddMinutes(1)).Select(step => step.Id).ToList();
        meanwhile.ShouldContain("primaryHeat");
        meanwhile.ShouldContain("greaseA");
        meanwhile.ShouldNotContain("pressuresMatched");
        run.Refuses(new("pressuresMatched", at.AddMinutes(29), "helper")).ShouldBe(MarkRefusal.Blocked);
    }

    [Fact]
    public void A_gauge_out_of_its_limits_is_not_taken_and_one_nobody_read_neither()
    {
        var run = UpTo("loadOn");
        run = run.With(new("compressorOil", Seven.AddHours(1), "helper"));
        StepMark Read(double? pascal) => new("compressorSet", Seven.AddHours(1), "helper") { Read = pascal };
        run.Refuses(Read(null)).ShouldBe(MarkRefusal.NotRead);
        run.Refuses(Read(300_000)).ShouldBe(MarkRefusal.OutsideLimits);
        run.Refuses(Read(double.NaN)).ShouldBe(MarkRefusal.OutsideLimits);
        run.Refuses(Read(800_000)).ShouldBeNull();
    }

    [Fact]
    public void A_mark_is_taken_back_only_while_nothing_hangs_on_it()
    {
        var run = UpTo("pumpsPrimed");
        run.CanTakeBack("pumpsPrimed").ShouldBeTrue();
        run.CanTakeBack("engineStarted").ShouldBeFalse();
        run.CanTakeBack("testShot").ShouldBeFalse("it was never done");
        run.Refuses(new("pumpsPrimed", Seven.AddHours(1), "helper")).ShouldBe(MarkRefusal.Already);
        run.Refuses(new("nothing", Seven, "helper")).ShouldBe(MarkRefusal.UnknownStep);
    }

    [Fact]
    public void What_is_wrong_with_a_sequence_is_told_at_its_step()
    {
        static SequenceStep Step(string id, RigAct? act = null, params string[] after) =>
            new()
            {
                Id = id,
                Act = act,
                After = after,
            };
        static IReadOnlyList<SequenceFault> Faults(params SequenceStep[] steps) =>
            SequenceFaults.Of(new() { Kind = SequenceKind.DayStart, Steps = steps });

        Faults().ShouldBe([new(SequenceFaultCode.Empty, "")]);
        Faults(Step("a"), Step("a")).ShouldContain(new SequenceFault(SequenceFaultCode.SameId, "a"));
        Faults(Step("a", null, "b")).ShouldBe([new(SequenceFaultCode.UnknownStep, "a")]);
        Faults(Step("a", null, "b"), Step("b", null, "a")).Select(fault => fault.Code).ShouldAllBe(code => code == SequenceFaultCode.Ring);
        Faults(Step("pumps", RigAct.PumpsIn)).ShouldBe([new(SequenceFaultCode.Unprotected, "pumps", RigAct.CapsOff)]);
        Faults(Step("pumps", RigAct.PumpsIn), Step("caps", RigAct.CapsOff))
            .ShouldBe([new(SequenceFaultCode.WrongOrder, "pumps", RigAct.CapsOff)]);
        Faults(Step("a") with { Reading = new(StepGauge.Pressure, 2, 1) }).ShouldBe([new(SequenceFaultCode.NoValueHolds, "a")]);
        Faults(Step("a") with { Wait = TimeSpan.FromHours(30) }).ShouldBe([new(SequenceFaultCode.Wait, "a")]);
    }

    private static SequenceRun UpTo(string last)
    {
        var (run, now) = (SequenceRun.Of(ShippedSequences.All[SequenceKind.NewRig]), Seven);
        foreach (var step in run.Sequence.Steps)
        {
            if (run.WaitsFor(step, now).Any())
            {
                now = now.AddHours(1);
            }

            run = run.With(Done(step, now));
            if (step.Id == last)
            {
                break;
            }
        }

        return run;
    }

    private static StepMark Done(SequenceStep step, DateTimeOffset at) =>
        new(step.Id, at, "helper") { Read = step.Reading is { } reading ? reading.Least ?? reading.Greatest ?? 0 : null };

    // Somebody taps anywhere, skips what they are let skip, and waits now and then. What is taken happens to the machine.
    private static SequenceRun Tapped(SequenceRun run, int[] taps, Machine machine)
    {
        var now = Seven;
        var steps = run.Sequence.Steps;
        foreach (var tap in taps.Concat(Enumerable.Range(0, steps.Count * steps.Count).Select(i => i % steps.Count * 8)))
        {
            var step = steps[tap / 8 % steps.Count];
            var mark = Done(step, now);
            if (tap % 8 == 1)
            {
                mark = mark with { SkippedBecause = "in a hurry" };
            }

            if (run.Refuses(mark) is null)
            {
                run = run.With(mark);
                if (mark.SkippedBecause is null && step.Act is { } act)
                {
                    machine.Do(act);
                }
            }

            now += TimeSpan.FromMinutes(tap % 8 == 0 ? 40 : 1);
        }

        return run;
    }

    // A firm writes its own: steps taken out, moved and loosened.
    private static Sequence Rewritten(Sequence sequence, int seed, int changes)
    {
        var steps = sequence.Steps.ToList();
        var chance = (uint)seed;
        int Next(int below)
        {
            chance = chance * 1664525 + 1013904223;
            return (int)(chance >> 8) % below;
        }

        for (var i = 0; i < changes && steps.Count > 2; i++)
        {
            var at = Next(steps.Count);
            var step = steps[at];
            switch (Next(3))
            {
                case 0:
                    steps.RemoveAt(at);
                    steps = steps.ConvertAll(one => one with { After = [.. one.After.Where(id => id != step.Id)] });
                    break;
                case 1:
                    steps.RemoveAt(at);
                    steps.Insert(Next(steps.Count + 1), step);
                    break;
                default:
                    steps[at] = step with { After = [], HardStop = false };
                    break;
            }
        }

        return sequence with
        {
            Steps = steps,
        };
    }

    /// <summary>A rig that breaks, or hurts somebody, where a real one would. It knows nothing of sequences.</summary>
    private sealed class Machine
    {
        private readonly HashSet<RigAct> _done = [];

        private bool Is(RigAct act) => _done.Contains(act);

        public void Do(RigAct act)
        {
            var harm = act switch
            {
                RigAct.EngineStarted when !Is(RigAct.BreakersOff) => "the engine starts under load",
                RigAct.LoadOn when !Is(RigAct.EngineSteady) => "the engine stalls",
                RigAct.PumpsIn when !Is(RigAct.CapsOff) => "the cap is pushed into the drum",
                RigAct.AirToPumps when !Is(RigAct.PumpsPrimed) => "a dry pump runs away",
                RigAct.AirToPumps when !Is(RigAct.DryerOn) => "moist air goes into A",
                RigAct.FluidOpen when !Is(RigAct.AirAtGun) => "fluid without air at the gun",
                RigAct.FluidOpen when !Is(RigAct.Purged) => "air spits out of the gun",
                RigAct.Triggered when !Is(RigAct.PeopleProtected) => "somebody breathes it",
                RigAct.Triggered when !Is(RigAct.SealsDry) => "it weeps into the gun",
                RigAct.GunOpened or RigAct.LineOpened when !Is(RigAct.Depressurised) => "opened under pressure",
                _ => null,
            };
            harm.ShouldBeNull();
            _done.Add(act);
        }
    }
}
