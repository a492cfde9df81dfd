using Umbracell.Core.Assemblies;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>Seeks flip points: away from today's value in steps no wider than what thicknesses are rounded by, until the winner changes
/// and stays changed; then by halving.</summary>
internal static class FlipPoints
{
    // Looks past a change, in shares of the grain: the one advised must not come back on the way.
    private static readonly double[] Past = [0.25, 0.5, 0.75, 1];

    /// <summary>One input and its range.</summary>
    private sealed record Search
    {
        /// <summary>Which.</summary>
        public required FlipInput Input { get; init; }

        /// <summary>Its dimension.</summary>
        public required Dimension Dimension { get; init; }

        /// <summary>Today's value, SI.</summary>
        public required double Now { get; init; }

        /// <summary>Least value looked at.</summary>
        public required double Low { get; init; }

        /// <summary>Greatest value looked at.</summary>
        public required double High { get; init; }

        /// <summary>How the input moves, and how it is told.</summary>
        public required Scale Scale { get; init; }

        /// <summary>The question with another value.</summary>
        public required Func<double, ChoiceCase> With { get; init; }

        /// <summary>The same without what the walk leaves between: what is told is checked by it.</summary>
        public Func<double, ChoiceCase> Exactly
        {
            get => field ?? With;
            init;
        }
    }

    /// <summary>How an input moves, and how it is told.</summary>
    /// <param name="Grain">Changes that last less are the rounding of thicknesses, or less than the input is known to.</param>
    /// <param name="Told">Changes are told in multiples of this.</param>
    /// <param name="Printed">What printing in either unit system may round away.</param>
    private readonly record struct Scale(double Grain, double Told, double Printed);

    // From today's value of an input towards one end of its range.
    private sealed record Way(Search Search, double End)
    {
        public int Steps => Math.Max(1, (int)Math.Ceiling(Math.Abs(End - Search.Now) / Search.Scale.Grain - 1e-9));

        // What a step covers, as a share of the range.
        public double Reach => Search.Scale.Grain / Math.Max(1e-9, Search.High - Search.Low);

        public double Sign => Math.Sign(End - Search.Now);

        public double At(int step) => Bounded(Search.Now + Sign * Search.Scale.Grain * step);

        public double Bounded(double value) => Sign > 0 ? Math.Min(value, End) : Math.Max(value, End);

        // The first value told that lies past a change by more than printing rounds away.
        public double ToldPast(double change)
        {
            var (told, printed) = (Search.Scale.Told, Search.Scale.Printed);
            var past = change + Sign * printed;
            return Bounded((Sign > 0 ? Math.Ceiling(past / told - 1e-9) : Math.Floor(past / told + 1e-9)) * told);
        }
    }

    /// <summary>The nearest change below and above today's value of each input, within a sensible range.</summary>
    public static FlipsFound Of(ChoiceCase choice, IReadOnlyList<Candidate> ranked)
    {
        if (Ranking.Winner(ranked) is not { } winner)
        {
            return new([], []);
        }

        List<FlipPoint> flips = [];
        List<AlikeSystem> alike = [];
        foreach (var way in Ways(choice, winner))
        {
            for (var step = 1; step <= way.Steps; step++)
            {
                var found = Within(way, step, winner, ranked);
                if (found.Alike is { } same)
                {
                    alike.Add(same);
                }

                if (found.Flip is { } flip)
                {
                    flips.Add(flip);
                    break;
                }
            }
        }

        return new(flips, [.. alike.DistinctBy(a => a.Winner)]);
    }

    /// <summary>The change nearest to today's values of all inputs; null where none is within reach.</summary>
    public static FlipPoint? Nearest(ChoiceCase choice, IReadOnlyList<Candidate> ranked)
    {
        if (Ranking.Winner(ranked) is not { } winner)
        {
            return null;
        }

        // All inputs go outward side by side: once a change is found, only what could still lie nearer is looked at.
        FlipPoint? nearest = null;
        HashSet<Way> turned = [];
        foreach (
            var (way, step) in Ways(choice, winner)
                .SelectMany(way => Enumerable.Range(1, way.Steps).Select(step => (Way: way, Step: step)))
                .OrderBy(one => one.Way.Reach * one.Step)
        )
        {
            if (turned.Contains(way) || (nearest is not null && way.Reach * (step - 1) >= nearest.Distance))
            {
                continue;
            }

            if (Within(way, step, winner, ranked).Flip is { } flip)
            {
                turned.Add(way);
                nearest = nearest is null || flip.Distance < nearest.Distance ? flip : nearest;
            }
        }

        return nearest;
    }

    private static IEnumerable<Way> Ways(ChoiceCase choice, Candidate winner) =>
        Searches(choice, winner)
            .SelectMany(search =>
                new[] { search.High, search.Low }
                    .Where(end => Math.Abs(end - search.Now) >= search.Scale.Told)
                    .Select(end => new Way(search, end))
            );

    private static IEnumerable<Search> Searches(ChoiceCase choice, Candidate winner)
    {
        var section = choice.Section;
        if (section.Members.Depth.Metres > 0 && section.Kind != SurfaceKind.OverheadDoor)
        {
            var now = section.Members.Depth.Metres;
            var step = section.Step.Metres;
            yield return new()
            {
                Input = FlipInput.Depth,
                Dimension = Dimension.Thickness,
                Now = now,
                Low = Math.Max(0.05, now - 0.15),
                High = now + 0.15,
                Scale = new(step, step / 2, 0.0016),
                With = v => At(v, MemberCurve.PsiAt(section, Length.FromMetres(v))),
                Exactly = v =>
                    At(v, null) is var there
                        ? there with
                        {
                            Section = there.Section with { SolvedPsi = MemberCurve.For(there.Section)?.Psi },
                        }
                        : there,
            };

            ChoiceCase At(double depth, Curve? psi) =>
                choice with
                {
                    Section = section with { Members = section.Members with { Depth = Length.FromMetres(depth) }, SolvedPsi = psi },
                };
        }

        if (choice.FacesAir)
        {
            var rh = section.Air.IndoorHumidity.Percent;
            yield return new()
            {
                Input = FlipInput.IndoorHumidity,
                Dimension = Dimension.Percent,
                Now = rh,
                Low = Math.Min(rh, 15),
                High = Math.Max(rh, 75),
                Scale = new(1, 1, 0.05),
                With = v =>
                    choice with
                    {
                        Section = section with { Air = section.Air with { IndoorHumidity = RelativeHumidity.FromPercent(v) } },
                        Year = choice.Year?.WithWinterHumidityShift(v - rh),
                    },
            };
            var out0 = section.Air.Outdoor.Celsius;
            yield return new()
            {
                Input = FlipInput.OutdoorTemperature,
                Dimension = Dimension.Temperature,
                Now = out0,
                Low = Math.Max(-45, out0 - 15),
                High = Math.Min(15, out0 + 15),
                Scale = new(1, 0.5, 0.05),
                With = v =>
                    choice with
                    {
                        Section = section with { Air = section.Air with { Outdoor = Temperature.FromCelsius(v) } },
                        Year = choice.Year?.WithOutdoorShift(TemperatureDifference.FromKelvins(v - out0)),
                    },
            };
        }

        yield return new()
        {
            Input = FlipInput.OpenCellPrice,
            Dimension = Dimension.Percent,
            Now = 100,
            Low = 40,
            High = 250,
            Scale = new(1, 1, 0.05),
            With = v => choice with { OpenPriceFactor = v / 100 },
        };
        if (section.Target is { } target && choice is { Path: TargetPath.U, Facts.Conditioned: true })
        {
            var u = target.GreatestU.WattsPerSquareMetreKelvin;
            yield return new()
            {
                Input = FlipInput.Target,
                Dimension = Dimension.Transmittance,
                Now = u,
                Low = u * 0.5,
                High = u * 2,
                Scale = new(StepOfU(winner, u), 0.001, 0.0005),
                With = v => choice with { Section = section with { Target = target with { GreatestU = ThermalTransmittance.FromSi(v) } } },
            };
        }

        if (section.Kind == SurfaceKind.OverheadDoor && choice.Facts.DoorSpare is { } spare)
        {
            yield return new()
            {
                Input = FlipInput.DoorCapacity,
                Dimension = Dimension.Mass,
                Now = spare.Kilograms,
                Low = 0,
                High = Math.Max(100, spare.Kilograms * 3),
                Scale = new(1, 0.5, 0.25),
                With = v => choice with { Facts = choice.Facts with { DoorSpare = Mass.FromKilograms(v) } },
            };
        }
    }

    // What a step of the thickness advised makes of U: a target between two steps is rounded to the same thickness.
    private static double StepOfU(Candidate winner, double target)
    {
        const double Least = 0.01;
        var section = winner.Section;
        if (section.Foam is not { } foam || foam.Thickness <= section.Step)
        {
            return 3 * Least * target;
        }

        var thinner = SectionHeat.Of(section.WithFoam(foam.Thickness - section.Step)).WholeU;
        return Math.Max(Least * target, thinner.WattsPerSquareMetreKelvin - winner.U.WattsPerSquareMetreKelvin);
    }

    // A change between the step before and this one that lasts: closed in upon by halving; what does not last is alike.
    private static (FlipPoint? Flip, AlikeSystem? Alike) Within(Way way, int step, Candidate winner, IReadOnlyList<Candidate> ranked)
    {
        var (search, same, at) = (way.Search, way.At(step - 1), way.At(step));
        if (WinnerAt(at) is not { } first)
        {
            return default;
        }

        while (Math.Abs(at - same) > search.Scale.Grain / 16)
        {
            var middle = (at + same) / 2;
            (at, same) = WinnerAt(middle) is not null ? (middle, same) : (at, middle);
        }

        var told = way.ToldPast(at);
        var lasts = Array.TrueForAll(Past, share => WinnerAt(way.Bounded(at + way.Sign * share * search.Scale.Grain)) is not null);
        return lasts && WinnerAt(told, exactly: true) is { } then
            ? (Told(search, told, then.Winner, then.Ranked), null)
            : (null, new(search.Input, new(at, search.Dimension), first.Winner.Id, first.Winner.Kind));

        // The candidate that wins there, with all that stood against it; null while the one advised now still wins.
        (Candidate Winner, IReadOnlyList<Candidate> Ranked)? WinnerAt(double value, bool exactly = false)
        {
            var asked = exactly ? search.Exactly(value) : search.With(value);
            var there = search.Input == FlipInput.OpenCellPrice ? Ranking.Repriced(asked, ranked) : Ranking.Of(asked);
            return Ranking.Winner(there) is { } one && one.Id != winner.Id ? (one, there) : null;
        }

        FlipPoint Told(Search search, double at, Candidate first, IReadOnlyList<Candidate> there)
        {
            var old = there.FirstOrDefault(c => c.Id == winner.Id);
            var rule = old?.Findings.FirstOrDefault(f => f.Verdict == Verdict.Hold)?.Rule.Id;
            var before = ranked.FirstOrDefault(c => c.Id == first.Id);
            var cause =
                old is null || rule is not null ? FlipCause.Excluded
                : winner.MeetsTarget && !old.MeetsTarget ? FlipCause.FallsShort
                : before is null
                || before.Excluded
                || (before.FailsCondensation && !first.FailsCondensation)
                || (!before.MeetsTarget && first.MeetsTarget)
                    ? FlipCause.OtherAllowed
                : FlipCause.Outscored;
            var (now, turned) = (new Figure(search.Now, search.Dimension), new Figure(at, search.Dimension));
            return new()
            {
                Input = search.Input,
                Now = now,
                At = turned,
                Winner = first.Id,
                WinnerKind = first.Kind,
                Cause = cause,
                Rule = rule,
                Low = search.Low,
                High = search.High,
                Working = How(search, now, turned, cause, first, old),
            };
        }
    }

    // At the far side of the change: the scores of both, or the rule or target that removes the one advised now.
    private static Working How(Search search, Figure now, Figure at, FlipCause cause, Candidate first, Candidate? old)
    {
        var priorities = search.With(at.Amount).Priorities;
        List<WorkingTerm> terms =
        [
            new("x_0", "flipNow", now),
            new(
                "Δx",
                "flipTolerance",
                new(search.Scale.Grain, search.Dimension == Dimension.Temperature ? Dimension.TemperatureDifference : search.Dimension)
            ),
        ];
        terms.Add(new("S_new", "flipNewScore", Figure.Number(first.Total), first.Scores.Count > 0 ? first.TotalWorking(priorities) : null));
        var hold = old?.Findings.FirstOrDefault(f => f.Verdict == Verdict.Hold);
        if (cause == FlipCause.Excluded && hold?.How is { } rule)
        {
            terms.Add(new("r", "flipRule", rule.Result, rule));
        }
        else if (old is { Excluded: false, Scores.Count: > 0 })
        {
            terms.Add(new("S_now", "flipOldScore", Figure.Number(old.Total), old.TotalWorking(priorities)));
        }

        var formula = cause switch
        {
            FlipCause.Excluded => "x: a rule holds the one advised now",
            FlipCause.FallsShort => "x: the one advised now no longer meets the target",
            _ => "x: S_new > S_now",
        };
        return new("flipPoint", formula, terms, at, Citations.FlipSearch);
    }
}
