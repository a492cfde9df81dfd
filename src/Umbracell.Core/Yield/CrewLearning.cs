using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>What a crew yields of a product family against the sheet's prediction.</summary>
public sealed record CrewYield
{
    /// <summary>The crew.</summary>
    public required string Crew { get; init; }

    /// <summary>Product family.</summary>
    public required string Family { get; init; }

    /// <summary>Finished jobs of this crew with this family behind it.</summary>
    public required int Jobs { get; init; }

    /// <summary>Mean of ln f after all jobs.</summary>
    public required double LogMean { get; init; }

    /// <summary>Standard deviation of ln f after all jobs; what is not known yet of the crew, not the spread of a single
    /// job.</summary>
    public required double LogSd { get; init; }

    /// <summary>Mean of ln(actual/predicted) of these jobs alone; null without any.</summary>
    public required double? DataMean { get; init; }

    /// <summary>Its standard deviation; null without any.</summary>
    public required double? DataSd { get; init; }

    /// <summary>How the factor came about.</summary>
    public required Working Working { get; init; }

    private const double Z90 = 1.6448536269514722;

    /// <summary>The factor on the yield.</summary>
    public double Factor => Math.Exp(LogMean);

    /// <summary>Lower end of the interval that holds the true factor nine times in ten.</summary>
    public double Low => Math.Exp(LogMean - Z90 * LogSd);

    /// <summary>Upper end of the interval that holds the true factor nine times in ten.</summary>
    public double High => Math.Exp(LogMean + Z90 * LogSd);

    /// <summary>Standard deviation of ln(yield) to expect of the next job of a size: what is not known of the crew and what one job
    /// scatters.</summary>
    /// <param name="foam">Foam of the job.</param>
    public double NextJobSd(FoamVolume foam) => Math.Sqrt(LogSd * LogSd + Math.Pow(FinishedJob.SdOf(foam), 2));
}

/// <summary>A finished job as it was counted.</summary>
/// <param name="Job">The job.</param>
/// <param name="Counted">ln(actual/predicted) as counted.</param>
/// <param name="Winsorised">Whether it was drawn in to three standard deviations.</param>
public sealed record CountedJob(FinishedJob Job, double Counted, bool Winsorised);

/// <summary>
/// Crews and products learned from finished jobs: <c>ln(actual/predicted) = crew + product + scatter</c>, both effects normal about zero,
/// pooled in part (normal-normal, closed form),
/// their spread re-estimated once from the jobs (empirical Bayes) and held near the prior until many crews speak.
/// </summary>
public sealed class CrewLearning
{
    /// <summary>Prior standard deviation of ln f: the spread between crews nothing is known of (material method, learning).</summary>
    public const double PriorSd = 0.12;

    // A crew or product counts as one voice on the spread; the prior as ten.
    private const double PriorVoices = 10;

    // Jobs are drawn in about their group's middle where there are enough to have one, else about the prior.
    private const int EnoughForAMiddle = 3;
    private const double Widest = 3;

    private readonly Cell[] _cells;
    private readonly List<string> _crews;
    private readonly List<string> _families;
    private readonly double[,] _covariance;
    private readonly double _crewVariance;
    private readonly double _familyVariance;

    private CrewLearning(IReadOnlyList<CountedJob> jobs)
    {
        Counted = jobs;
        _crews = [.. jobs.Select(j => j.Job.Crew).Distinct(StringComparer.Ordinal)];
        _families = [.. jobs.Select(j => j.Job.Family).Distinct(StringComparer.Ordinal)];
        _cells = [.. jobs.GroupBy(j => (j.Job.Crew, j.Job.Family)).Select(g => Cell.Of(g.Key.Crew, g.Key.Family, [.. g]))];
        (_crewVariance, _familyVariance) = (PriorSd * PriorSd / 2, PriorSd * PriorSd / 2);
        _covariance = Posterior(_crewVariance, _familyVariance);
        (_crewVariance, _familyVariance) = (
            Respread(0, _crews.Count, _crewVariance),
            Respread(_crews.Count, _families.Count, _familyVariance)
        );
        _covariance = Posterior(_crewVariance, _familyVariance);
    }

    private readonly record struct Cell(string Crew, string Family, int Jobs, double Mean, double Variance)
    {
        public static Cell Of(string crew, string family, List<CountedJob> jobs)
        {
            var precision = jobs.Sum(j => 1 / (j.Job.Sd * j.Job.Sd));
            return new(crew, family, jobs.Count, jobs.Sum(j => j.Counted / (j.Job.Sd * j.Job.Sd)) / precision, 1 / precision);
        }
    }

    /// <summary>Every job as it was counted.</summary>
    public IReadOnlyList<CountedJob> Counted { get; }

    /// <summary>Crews that jobs speak of.</summary>
    public IReadOnlyList<string> Crews => _crews;

    /// <summary>Product families that jobs speak of.</summary>
    public IReadOnlyList<string> Families => _families;

    /// <summary>Learns from finished jobs; those left out for a reason are not among them.</summary>
    /// <param name="jobs">The jobs; none leaves the prior.</param>
    /// <exception cref="QuantityRangeException">A yield not above zero.</exception>
    public static CrewLearning From(IReadOnlyList<FinishedJob> jobs) =>
        new([.. jobs.GroupBy(j => (j.Crew, j.Family)).SelectMany(g => Winsorised([.. g]))]);

    /// <summary>What to expect of a crew with a product family; of an unknown crew the product's own, of an unknown family the crew's
    /// own.</summary>
    /// <param name="crew">The crew; may be empty.</param>
    /// <param name="family">Product family.</param>
    public CrewYield For(string crew, string family)
    {
        var (c, f) = (_crews.IndexOf(crew), _families.IndexOf(family));
        var target = Effects(c, f);
        var spread = target.Sum(i => target.Sum(j => _covariance[i, j])) + (c < 0 ? _crewVariance : 0) + (f < 0 ? _familyVariance : 0);
        var weights = _cells.Select(cell => (Cell: cell, Weight: WeightOf(target, cell))).ToList();
        var mean = weights.Sum(w => w.Weight * w.Cell.Mean);
        var own = _cells.FirstOrDefault(cell => cell.Crew == crew && cell.Family == family);
        return new()
        {
            Crew = crew,
            Family = family,
            Jobs = own.Jobs,
            LogMean = mean,
            LogSd = Math.Sqrt(spread),
            DataMean = own.Jobs > 0 ? own.Mean : null,
            DataSd = own.Jobs > 0 ? Math.Sqrt(own.Variance) : null,
            Working = Told(mean, Math.Sqrt(spread), weights),
        };
    }

    private static Working Told(double mean, double sd, List<(Cell Cell, double Weight)> weights)
    {
        // Weights that move the factor by less than a part in ten thousand are summed up in the rest.
        var shown = weights.Where(w => Math.Abs(w.Weight * w.Cell.Mean) > 1e-4).OrderByDescending(w => Math.Abs(w.Weight)).Take(6).ToList();
        List<WorkingTerm> terms =
        [
            .. shown.SelectMany(
                (w, i) =>
                    new WorkingTerm[]
                    {
                        new($"w{i + 1}", "learnWeight", Figure.Number(w.Weight)),
                        new($"y{i + 1}", $"learnMean:{w.Cell.Crew}, {w.Cell.Family}, {w.Cell.Jobs}", Figure.Number(w.Cell.Mean)),
                    }
            ),
        ];
        terms.Add(new("rest", "learnRest", Figure.Number(mean - shown.Sum(w => w.Weight * w.Cell.Mean))));
        terms.Add(new("σ", "learnSd", Figure.Number(sd)));
        return new(
            "crewFactor",
            "f = exp(" + string.Concat(shown.Select((_, i) => $"w{i + 1} · y{i + 1} + ")) + "rest)",
            terms,
            Figure.Number(Math.Exp(mean)),
            Citations.CrewLearning(FoamVolume.FromBoardFeet(FinishedJob.ReferenceBoardFeet).ToFigure())
        );
    }

    /// <summary>How far a crew's depths scatter with a family; null until it has readings enough.</summary>
    /// <param name="crew">The crew.</param>
    /// <param name="family">Product family.</param>
    public CrewScatter? ScatterOf(string crew, string family) =>
        CrewScatter.Of(Counted.Select(c => c.Job).Where(j => j.Crew == crew && j.Family == family));

    private int[] Effects(int crew, int family) => [.. new[] { crew, family < 0 ? -1 : _crews.Count + family }.Where(i => i >= 0)];

    // The posterior mean is a sum over groups of jobs: each group's mean by a weight.
    private double WeightOf(int[] target, Cell cell)
    {
        var own = Effects(_crews.IndexOf(cell.Crew), _families.IndexOf(cell.Family));
        return target.Sum(i => own.Sum(j => _covariance[i, j])) / cell.Variance;
    }

    private double[,] Posterior(double crewVariance, double familyVariance)
    {
        var n = _crews.Count + _families.Count;
        var precision = new double[n, n];
        for (var i = 0; i < n; i++)
        {
            precision[i, i] = 1 / (i < _crews.Count ? crewVariance : familyVariance);
        }

        foreach (var cell in _cells)
        {
            var own = Effects(_crews.IndexOf(cell.Crew), _families.IndexOf(cell.Family));
            foreach (var i in own)
            {
                foreach (var j in own)
                {
                    precision[i, j] += 1 / cell.Variance;
                }
            }
        }

        return SymmetricMatrix.Inverse(precision);
    }

    // The expected square of each effect after the jobs, averaged with the prior's own: one step of empirical Bayes.
    private double Respread(int first, int count, double variance)
    {
        var squares = Enumerable
            .Range(first, count)
            .Sum(i => Math.Pow(_cells.Sum(cell => WeightOf([i], cell) * cell.Mean), 2) + _covariance[i, i]);
        return (PriorVoices * variance + squares) / (PriorVoices + count);
    }

    private static IEnumerable<CountedJob> Winsorised(List<FinishedJob> group)
    {
        var sorted = group.Select(j => j.LogRatio).Order().ToList();
        var hasMiddle = sorted.Count >= EnoughForAMiddle;
        var middle = hasMiddle ? (sorted[(sorted.Count - 1) / 2] + sorted[sorted.Count / 2]) / 2 : 0;
        foreach (var job in group)
        {
            var reach = Widest * (hasMiddle ? job.Sd : Math.Sqrt(PriorSd * PriorSd + job.Sd * job.Sd));
            var counted = Math.Clamp(job.LogRatio, middle - reach, middle + reach);
            yield return new(job, counted, counted != job.LogRatio);
        }
    }
}
