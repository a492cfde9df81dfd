using CsCheck;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Xunit;

namespace Umbracell.Core.Tests.Yield;

/// <summary>Learning from finished jobs: what must hold of any record, and whether the intervals hold what they say.</summary>
public sealed class CrewLearningTests
{
    private const double Predicted = 4000;

    [Fact]
    public void Without_jobs_the_prior_stands()
    {
        var nothing = CrewLearning.From([]).For("Heron", "closedStandard");
        nothing.Factor.ShouldBe(1);
        nothing.LogSd.ShouldBe(CrewLearning.PriorSd, 1e-9);
        (nothing.Jobs, nothing.DataMean).ShouldBe((0, null));
    }

    [Fact]
    public void One_job_and_one_crew_follow_the_hand_worked_case()
    {
        // docs/methods/yield-and-sets.md: one job of 4,000 board feet at 0.9 of the prediction. Effects of crew and product each of
        // variance 0.0072,
        // re-estimated once from what the job says of them, then ln f = 2v / (2v + 0.08^2) * ln 0.9.
        var y = Math.Log(0.9);
        var first = 0.0072 / (0.0144 + 0.0064) * y;
        var left = 0.0072 - 0.0072 * 0.0072 / (0.0144 + 0.0064);
        var v = (10 * 0.0072 + first * first + left) / 11;
        var learned = CrewLearning.From([Job("a", "Heron", 0.9)]).For("Heron", "closedStandard");
        learned.LogMean.ShouldBe(2 * v / (2 * v + 0.0064) * y, 1e-9);
        learned.LogSd.ShouldBe(Math.Sqrt(2 * v * 0.0064 / (2 * v + 0.0064)), 1e-9);
    }

    [Fact]
    public void More_jobs_of_the_same_kind_make_it_surer_and_bring_it_nearer() =>
        Gen.Select(Gen.Double[0.85, 1.15], Gen.Int[1, 20])
            .Sample(
                (ratio, count) =>
                {
                    var (few, more) = (Learned(ratio, count), Learned(ratio, count + 3));
                    more.LogSd.ShouldBeLessThan(few.LogSd);
                    Math.Abs(more.LogMean - Math.Log(ratio)).ShouldBeLessThanOrEqualTo(Math.Abs(few.LogMean - Math.Log(ratio)) + 1e-12);

                    CrewYield Learned(double of, int jobs) =>
                        CrewLearning
                            .From([.. Enumerable.Range(0, jobs).Select(i => Job("j" + i, "Heron", of))])
                            .For("Heron", "closedStandard");
                }
            );

    [Fact]
    public void A_crew_is_judged_in_part_by_its_other_products_and_a_new_crew_by_the_product()
    {
        var learning = CrewLearning.From([
            .. Enumerable.Range(0, 12).Select(i => Job("j" + i, "Plover", 0.9)),
            .. Enumerable.Range(0, 12).Select(i => Job("k" + i, "Heron", 1.0)),
        ]);
        var (own, other, stranger) = (
            learning.For("Plover", "closedStandard"),
            learning.For("Plover", "openStandard"),
            learning.For("Wren", "closedStandard")
        );
        own.Factor.ShouldBeLessThan(other.Factor);
        other.Factor.ShouldBeLessThan(1);
        other.LogSd.ShouldBeGreaterThan(own.LogSd);
        stranger.Factor.ShouldBeInRange(own.Factor, 1);
        stranger.LogSd.ShouldBeGreaterThan(own.LogSd);
    }

    [Fact]
    public void One_hundredfold_outlier_among_twenty_jobs_moves_a_crew_by_less_than_two_percent() =>
        Gen.Select(Gen.Double[0.85, 1.1], Gen.Int[0, 19], Gen.Bool)
            .Sample(
                (level, at, up) =>
                {
                    List<FinishedJob> jobs =
                    [
                        .. Enumerable.Range(0, 20).Select(i => Job("j" + i, "Heron", level * (1 + 0.03 * Math.Sin(i * 2.4)))),
                    ];
                    var clean = CrewLearning.From(jobs).For("Heron", "closedStandard").Factor;
                    jobs[at] = jobs[at] with { Actual = jobs[at].Actual * (up ? 100 : 0.01) };
                    var learning = CrewLearning.From(jobs);
                    (learning.For("Heron", "closedStandard").Factor / clean).ShouldBe(1, 0.02);
                    learning.Counted.Single(c => c.Winsorised).Job.Id.ShouldBe("j" + at);
                }
            );

    [Fact]
    public void The_intervals_hold_the_true_factor_nine_times_in_ten()
    {
        // Five hundred made-up firms: effects and jobs drawn as the model says, each job of its own size.
        var random = new Random(20261);
        var (held, asked) = (0, 0);
        for (var firm = 0; firm < 500; firm++)
        {
            string[] crews = ["a", "b", "c", "d"],
                families = ["x", "y"];
            var (crew, family) = (
                crews.ToDictionary(c => c, _ => Draw(random) * Math.Sqrt(0.0072)),
                families.ToDictionary(f => f, _ => Draw(random) * Math.Sqrt(0.0072))
            );
            List<FinishedJob> jobs = [];
            foreach (var c in crews)
            {
                foreach (var f in families)
                {
                    for (var i = random.Next(0, 6); i > 0; i--)
                    {
                        var foam = FoamVolume.FromBoardFeet(1000 + random.NextDouble() * 9000);
                        jobs.Add(
                            new()
                            {
                                Id = $"{c}{f}{i}",
                                Crew = c,
                                Family = f,
                                Actual = FoamVolume.FromBoardFeet(
                                    Predicted * Math.Exp(crew[c] + family[f] + FinishedJob.SdOf(foam) * Draw(random))
                                ),
                                Predicted = FoamVolume.FromBoardFeet(Predicted),
                                Foam = foam,
                            }
                        );
                    }
                }
            }

            var learning = CrewLearning.From(jobs);
            foreach (var c in crews)
            {
                var told = learning.For(c, "x");
                var truth = Math.Exp(crew[c] + family["x"]);
                asked++;
                held += truth >= told.Low && truth <= told.High ? 1 : 0;
            }
        }

        ((double)held / asked).ShouldBe(0.90, 0.03);
    }

    [Fact]
    public void The_working_adds_up_with_a_pocket_calculator()
    {
        var told = CrewLearning
            .From([Job("a", "Heron", 0.95), Job("b", "Heron", 1.02, "openStandard"), Job("c", "Plover", 0.9), Job("d", "Plover", 0.92)])
            .For("Plover", "closedStandard");
        var terms = told.Working.Terms.ToDictionary(t => t.Symbol, t => t.Value.Amount);
        var sum = terms["rest"];
        for (var i = 1; terms.ContainsKey("w" + i); i++)
        {
            sum += terms["w" + i] * terms["y" + i];
        }

        Math.Exp(sum).ShouldBe(told.Factor, 1e-12);
    }

    [Fact]
    public void A_yield_of_nothing_is_refused() => Should.Throw<QuantityRangeException>(() => CrewLearning.From([Job("a", "Heron", 0)]));

    private static FinishedJob Job(string id, string crew, double ratio, string family = "closedStandard") =>
        new()
        {
            Id = id,
            Crew = crew,
            Family = family,
            Actual = FoamVolume.FromBoardFeet(Predicted * ratio),
            Predicted = FoamVolume.FromBoardFeet(Predicted),
            Foam = FoamVolume.FromBoardFeet(4000),
        };

    private static double Draw(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
