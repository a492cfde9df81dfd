using Umbracell.Core.Findings;

namespace Umbracell.Core.Weather;

/// <summary>The gate for every hour of a surface, over all members of a forecast.</summary>
public sealed class GateHours
{
    // Share of the members that must not be held for an hour to be care (rule G9).
    private const double Enough = 0.8,
        Bit = 1e-9;

    private readonly HourRules _rules;
    private readonly float[][] _score;
    private readonly HourLimit[][] _limit;
    private readonly HourRain[]? _rain;
    private readonly int _cure;

    private GateHours(IReadOnlyList<SurfaceHours> members, HourLimits limits)
    {
        (Members, Limits, _rules) = (members, limits, new(limits));
        Count = members[0].Substrate.Length;
        _cure = (int)Math.Ceiling(limits.Sheet.CureBeforeRain.TotalHours);
        _rain = limits.IsOpen && !limits.IsCovered ? [.. members.Select(member => new HourRain(member, Count))] : null;
        (_score, _limit) = (new float[members.Count][], new HourLimit[members.Count][]);
        for (var m = 0; m < members.Count; m++)
        {
            (_score[m], _limit[m]) = Judged(members[m], m);
        }
    }

    /// <summary>The surface under each member.</summary>
    public IReadOnlyList<SurfaceHours> Members { get; }

    /// <summary>What they are held against.</summary>
    public HourLimits Limits { get; }

    /// <summary>How many hours.</summary>
    public int Count { get; }

    /// <summary>Judges every hour under every member.</summary>
    /// <param name="members">The surface under each member, all with the same hours; at least one.</param>
    /// <param name="limits">What it is held against.</param>
    public static GateHours Of(IReadOnlyList<SurfaceHours> members, HourLimits limits) => new(members, limits);

    /// <summary>First instant of an hour.</summary>
    /// <param name="hour">Its number.</param>
    public DateTimeOffset StartOf(int hour) => Members[0].Sky.Run.Hours[hour].Start;

    /// <summary>Whether a member is held in no hour of a span, and nothing falls on an open face from two hours before it to its
    /// end.</summary>
    /// <param name="member">Its number.</param>
    /// <param name="from">First hour.</param>
    /// <param name="hours">How many.</param>
    public bool Holds(int member, int from, int hours) => FirstHeld(member, from, hours) is null;

    /// <summary>Chance that nothing is held through a span: the share of the members in which it is so; 0 where the hours end before
    /// it.</summary>
    /// <param name="from">First hour.</param>
    /// <param name="hours">How many, 1 or more.</param>
    public double ChanceOf(int from, int hours)
    {
        if (from < 0 || from + hours > Count)
        {
            return 0;
        }

        var passing = 0;
        for (var m = 0; m < Members.Count; m++)
        {
            passing += Holds(m, from, hours) ? 1 : 0;
        }

        return (double)passing / Members.Count;
    }

    /// <summary>What limits a span most: of the members that are held in it, what holds most of them first; null where none is.</summary>
    /// <param name="from">First hour.</param>
    /// <param name="hours">How many.</param>
    public HourLimit? LimitOf(int from, int hours)
    {
        var counts = new LimitCounts();
        for (var m = 0; m < Members.Count; m++)
        {
            if (FirstHeld(m, from, Math.Min(hours, Count - from)) is { } limit)
            {
                counts.Add(limit);
            }
        }

        return counts.Most;
    }

    /// <summary>What the members say of an hour.</summary>
    /// <param name="hour">Its number.</param>
    public GateHour this[int hour]
    {
        get
        {
            var figures = new HourFigures(Members.Count);
            var (counts, passing, clear, rain, known) = (new LimitCounts(), 0, 0, 0, 0);
            for (var m = 0; m < Members.Count; m++)
            {
                var score = _score[m][hour];
                known += float.IsNaN(score) ? 0 : 1;
                passing += score >= 0 ? 1 : 0;
                clear += score >= 1 ? 1 : 0;
                rain += _rain?[m].Falls(hour, _cure + 1) == true ? 1 : 0;
                if (!(score >= 1))
                {
                    counts.Add(_limit[m][hour]);
                }

                figures.Add(HourRules.Shortfall(score));
            }

            var (share, chance) = ((double)passing / Members.Count, (double)rain / Members.Count);
            var ofShares =
                clear == Members.Count ? Verdict.Clear
                : share >= Enough - Bit ? Verdict.Care
                : Verdict.Hold;
            var ofRain = HourRain.VerdictOf(chance);
            var depth = figures.Within(Enough);
            return Limited(
                new()
                {
                    Start = StartOf(hour),
                    Verdict =
                        known == 0 ? null
                        : ofRain > ofShares ? ofRain
                        : ofShares,
                    Passing = share,
                    Limit = ofRain > ofShares ? HourLimit.Rain : counts.Most,
                    LimitShortfall = 0,
                    Depth = Math.Max(depth, HourRain.ShortfallOf(chance)),
                    Shortfall = figures.Taken(),
                    Substrate = figures.Of(Members, hour, one => one.Substrate),
                    Dew = figures.Of(Members, hour, one => one.Dew),
                    Air = figures.Of(Members, hour, one => one.Celsius),
                    RhPct = figures.Of(Members, hour, one => one.RhPct),
                    GustMs = figures.Of(Members, hour, one => one.Gust),
                    Wet = figures.Of(Members, hour, one => one.Wet),
                    RainChance = chance,
                }
            );
        }
    }

    // What the limiting rule says of the middle figures: they are told beside its name.
    private GateHour Limited(GateHour hour) =>
        hour.Limit switch
        {
            null => hour,
            HourLimit.Rain => hour with { LimitShortfall = HourRain.ShortfallOf(hour.RainChance) },
            HourLimit.Unknown => hour with { LimitShortfall = 1 },
            { } rule => hour with
            {
                LimitShortfall = HourRules.Shortfall(
                    _rules.Of(
                        rule,
                        new()
                        {
                            Substrate = hour.Substrate.Middle,
                            Air = hour.Air.Middle,
                            Dew = hour.Dew.Middle,
                            RhPct = hour.RhPct.Middle,
                            Wet = hour.Wet.Middle,
                            Gust = hour.GustMs.Middle,
                        }
                    )
                ),
            },
        };

    private (float[] Score, HourLimit[] Limit) Judged(SurfaceHours member, int number)
    {
        var (score, limit) = (new float[Count], new HourLimit[Count]);
        for (var h = 0; h < Count; h++)
        {
            var readings = new HourReadings
            {
                Substrate = member.Substrate[h],
                Air = member.Celsius[h],
                Dew = member.Dew[h],
                RhPct = member.RhPct[h],
                Wet = member.Wet[h],
                Gust = member.Gust[h],
            };
            var isKnown = readings.AreKnown(Limits.IsOpen) && (_rain is null || _rain[number].Falls(h, _cure + 1) is not null);
            (var worst, limit[h]) = isKnown ? _rules.Worst(readings) : (double.NaN, HourLimit.Unknown);
            score[h] = (float)worst;
        }

        return (score, limit);
    }

    // What holds a member first in a span: an hour in it, or rain that counts for it.
    private HourLimit? FirstHeld(int member, int from, int hours)
    {
        for (var h = from; h < from + hours; h++)
        {
            // Not a number is no pass.
            if (!(_score[member][h] >= 0))
            {
                return _limit[member][h];
            }
        }

        return _rain?[member].Falls(from, hours) == true ? HourLimit.Rain : null;
    }

    private struct LimitCounts
    {
        private readonly int[] _counts = new int[(int)HourLimit.Unknown + 1];

        public LimitCounts() { }

        public readonly HourLimit? Most
        {
            get
            {
                var most = Array.IndexOf(_counts, _counts.Max());
                return _counts[most] == 0 ? null : (HourLimit)most;
            }
        }

        public readonly void Add(HourLimit limit) => _counts[(int)limit]++;
    }
}
