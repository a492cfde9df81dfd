using CsCheck;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Spraying;

/// <summary>The yield while one sprays: jobs of which the truth is known, and as it must run whatever the case.</summary>
public sealed class RunningYieldTests
{
    private const double Expected = 4_000;

    private static readonly RunningYieldCase Half = new()
    {
        Expected = FoamVolume.FromBoardFeet(Expected),
        Sd = 0.09,
        Sprayed = FoamVolume.FromBoardFeet(6_000),
        UsedA = 1.5,
        UsedB = 1.5,
        Left = FoamVolume.FromBoardFeet(6_000),
        OnRigA = 2,
        OnRigB = 2,
    };

    [Fact]
    public void The_band_holds_what_the_rest_of_seeded_jobs_yields_as_often_as_it_says()
    {
        const int Jobs = 6_000;
        var chance = new Random(21);
        var (above, below, short1, told) = (0, 0, 0, 0.0);
        for (var i = 0; i < Jobs; i++)
        {
            var sprayed = FoamVolume.FromBoardFeet(1_000 + 11_000 * chance.NextDouble());
            var left = FoamVolume.FromBoardFeet(1_000 + 11_000 * chance.NextDouble());
            var crew = Normal(chance) * 0.09;
            var soFar = Math.Exp(crew + Normal(chance) * FinishedJob.SdOf(sprayed)) * Expected;
            var rest = Math.Exp(crew + Normal(chance) * FinishedJob.SdOf(left)) * Expected;
            var used = sprayed.BoardFeet / soFar + Normal(chance) * 0.012;
            var onRig = left.BoardFeet / Expected * (0.85 + 0.4 * chance.NextDouble());
            var running = RunningYield.Of(
                Half with
                {
                    Sprayed = sprayed,
                    Left = left,
                    UsedA = used,
                    UsedB = used,
                    OnRigA = onRig,
                    OnRigB = onRig + 1,
                }
            );
            above += rest > running.Low.BoardFeet ? 1 : 0;
            below += rest < running.High.BoardFeet ? 1 : 0;
            short1 += left.BoardFeet / rest > onRig ? 1 : 0;
            told += running.ChanceShort;
        }

        (100.0 * above / Jobs).ShouldBeInRange(88, 92);
        (100.0 * below / Jobs).ShouldBeInRange(88, 92);

        // So many ran short as the chances came to.
        (100.0 * short1 / Jobs).ShouldBe(100 * told / Jobs, 2);
    }

    [Fact]
    public void Before_anything_is_sprayed_it_is_what_was_expected()
    {
        var running = RunningYield.Of(Half with { Sprayed = FoamVolume.FromBoardFeet(0), UsedA = 0, UsedB = 0 });
        running.Actual.ShouldBeNull();
        running.Expected.BoardFeet.ShouldBe(Expected, 1e-6);
        running.SetsLeft.ShouldBe(1.5, 1e-9);
        running.Findings[0].Case.Name.ShouldBe("none");
    }

    [Fact]
    public void What_was_sprayed_draws_the_yield_to_itself_and_never_past_it()
    {
        Gen.Select(Gen.Double[500, 20_000], Gen.Double[0.6, 1.6], Gen.Double[0, 0.4])
            .Sample(
                (foam, ratio, sd) =>
                {
                    var used = foam / (Expected * ratio);
                    var told = RunningYield.Of(Half with { Sd = sd, Sprayed = FoamVolume.FromBoardFeet(foam), UsedA = used, UsedB = used });
                    var (least, most) = (Math.Min(1, ratio), Math.Max(1, ratio));
                    return told.Expected.BoardFeet >= Expected * least - 1e-6
                        && told.Expected.BoardFeet <= Expected * most + 1e-6
                        && told.Low.BoardFeet < told.Expected.BoardFeet
                        && told.High.BoardFeet > told.Expected.BoardFeet;
                },
                iter: 500
            );
    }

    [Fact]
    public void More_on_the_rig_is_never_more_likely_to_run_short()
    {
        Gen.Select(Gen.Double[0, 6], Gen.Double[0, 2])
            .Sample(
                (onRig, more) =>
                    RunningYield.Of(Half with { OnRigA = onRig + more, OnRigB = 9 }).ChanceShort
                    <= RunningYield.Of(Half with { OnRigA = onRig, OnRigB = 9 }).ChanceShort,
                iter: 300
            );
    }

    [Fact]
    public void The_scarcer_side_rules()
    {
        var told = RunningYield.Of(Half with { OnRigA = 3, OnRigB = 1.2 });
        told.Scarcer.ShouldBe(SetSide.B);
        told.Findings[^1].Case.Name.ShouldBe("short");
        told.Findings[^1].Verdict.ShouldBe(Verdict.Care);
        RunningYield.Of(Half with { OnRigA = 3, OnRigB = 3 }).Findings[^1].Case.Name.ShouldBe("lasts");
        RunningYield.Of(Half with { Left = FoamVolume.FromBoardFeet(0) }).Findings.Count.ShouldBe(1);
    }

    [Theory]
    [InlineData(1.5, "onCourse")]
    [InlineData(2.2, "under")]
    [InlineData(1.1, "over")]
    public void What_leaves_the_band_is_told(double used, string ends) =>
        RunningYield.Of(Half with { UsedA = used, UsedB = used - 0.01 }).Findings[0].Case.Name.ShouldBe(ends);

    private static double Normal(Random chance) =>
        Math.Sqrt(-2 * Math.Log(1 - chance.NextDouble())) * Math.Cos(2 * Math.PI * chance.NextDouble());
}
