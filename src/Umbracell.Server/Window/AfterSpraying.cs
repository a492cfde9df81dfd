using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;
using Umbracell.Server.Places;

namespace Umbracell.Server.Window;

/// <summary>How long foam on an open face stands in the weather after it is sprayed, and by when it must be covered.</summary>
public sealed record AfterSprayingAnswer
{
    /// <summary>Day it is sprayed: that of the next window. Null where there is none.</summary>
    public required DateOnly? SprayedOn { get; init; }

    /// <summary>When it is cured; null where there is no window.</summary>
    public required DateTimeOffset? CuredAt { get; init; }

    /// <summary>Members in which rain or snow falls before that.</summary>
    public required int Rained { get; init; }

    /// <summary>Day the next trade covers it; null where nobody said it.</summary>
    public required DateOnly? CoveredOn { get; init; }

    /// <summary>Last day on which it may be covered; null where its sheet gives no days, or there is no window.</summary>
    public required DateOnly? CoverBy { get; init; }

    /// <summary>First day on which it may be sprayed to be covered in time; null where that is not known.</summary>
    public required DateOnly? SprayFrom { get; init; }

    /// <summary>Whether it is covered in time; null where there is no window.</summary>
    public required Verdict? Verdict { get; init; }

    /// <summary>How far these hours reach where it is covered after them; null where they reach to it.</summary>
    public required DateTimeOffset? ReachTo { get; init; }

    /// <summary>Days: sun and rain allowed by its sheet, open until it is covered, wetLow and wetHigh (10 and 90 % of the members) with
    /// rain among those of these hours.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }
}

/// <summary>Puts foam of a surface through the days after its next window.</summary>
internal sealed class AfterSpraying(HoursCase of)
{
    private readonly Dictionary<string, Figure> _figures = [];

    /// <summary>What comes after a window; null within a building.</summary>
    /// <param name="of">The surface.</param>
    /// <param name="windows">Its windows.</param>
    public static AfterSprayingAnswer? Of(HoursCase of, IReadOnlyList<SprayWindow> windows) =>
        of.Case.Limits.IsOpen ? new AfterSpraying(of).Told(windows is [var next, ..] ? next.From : null) : null;

    private DateOnly? CoveredOn => of.Row.Surface.Details.CoveredOn;

    private DateOnly DayOf(DateTimeOffset at) => PlaceTime.Day(of.Job.Study.Job, at);

    private AfterSprayingAnswer Told(int? begun)
    {
        var sheet = of.Case.Limits.Sheet;
        Put("sun", sheet.OpenToSunDays);
        Put("rain", sheet.OpenToRainDays);
        if (begun is not { } start)
        {
            return new()
            {
                SprayedOn = null,
                CuredAt = null,
                Rained = 0,
                CoveredOn = CoveredOn,
                CoverBy = null,
                SprayFrom = null,
                Verdict = null,
                ReachTo = null,
                Figures = FigureAnswer.All(_figures),
            };
        }

        var (from, cured) = (of.StartOf(start), of.StartOf(start).AddHours(of.Needs.Hours));
        var foam = OpenFoam.Of(sheet, DayOf(from), CoveredOn);
        var end = of.StartOf(of.Case.Count - 1).AddHours(1);
        var covered = foam.CoveredOn ?? foam.CoverBy;
        PutWet(cured, covered);
        Put("open", foam.Days);
        return new()
        {
            SprayedOn = foam.SprayedOn,
            CuredAt = cured,
            Rained = of.Case.Limits.IsCovered ? 0 : of.Case.Members.Count(sky => OpenFoam.WetDays(sky.Run, from, cured, DayOf) > 0),
            CoveredOn = foam.CoveredOn,
            CoverBy = foam.CoverBy,
            SprayFrom = foam.SprayFrom,
            Verdict = foam.Verdict,
            ReachTo = covered > DayOf(end) ? end : null,
            Figures = FigureAnswer.All(_figures),
        };
    }

    private void Put(string name, double? days)
    {
        if (days is { } known)
        {
            // A part of a day is no day.
            _figures[name] = Figure.Count((int)Math.Floor(known));
        }
    }

    // From cure to the day it is covered, or must be: that day itself counts, since nobody says in which hour of it they come.
    private void PutWet(DateTimeOffset cured, DateOnly? covered)
    {
        var wet = of
            .Case.Members.Select(sky => OpenFoam.WetDays(sky.Run, cured, EndOf(covered), DayOf))
            .OfType<int>()
            .Select(days => (double)days)
            .Order()
            .ToArray();
        if (wet.Length == of.Case.Members.Count && covered is not null)
        {
            (_figures["wetLow"], _figures["wetHigh"]) = (Rounded(0.1), Rounded(0.9));
        }

        Figure Rounded(double share) => Figure.Count((int)Math.Round(Spread.Quantile(wet, share)));

        DateTimeOffset EndOf(DateOnly? day) => day is { } last ? PlaceTime.EndOf(of.Job.Study.Job, last) : cured;
    }
}
