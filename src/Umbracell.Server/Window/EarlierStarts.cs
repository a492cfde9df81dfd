using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>What a crew can do about the weather.</summary>
public enum EarlierKind
{
    /// <summary>Heat the room.</summary>
    Heat,

    /// <summary>Put a tent or tarpaulin over an open face.</summary>
    Tent,

    /// <summary>Spray another product of the same cells.</summary>
    Product,
}

/// <summary>What the crew can do to begin earlier than the weather alone lets it.</summary>
public sealed record EarlierStartsAnswer
{
    /// <summary>What opens an earlier start, the earliest first; empty where nothing does.</summary>
    public required IReadOnlyList<EarlierStartAnswer> Starts { get; init; }

    /// <summary>What was looked at and opens nothing earlier.</summary>
    public required IReadOnlyList<EarlierKind> Tried { get; init; }

    /// <summary>Whether heat was left out because no heater was entered.</summary>
    public required bool NoHeaters { get; init; }

    /// <summary>Where there are no hours.</summary>
    internal static EarlierStartsAnswer None =>
        new()
        {
            Starts = [],
            Tried = [],
            NoHeaters = false,
        };
}

/// <summary>Something the crew can do, and the start it opens.</summary>
public sealed record EarlierStartAnswer
{
    /// <summary>What is done.</summary>
    public required EarlierKind Kind { get; init; }

    /// <summary>When spraying may begin.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Members in which nothing is held from then to the end of cure.</summary>
    public required int Holding { get; init; }

    /// <summary>When the heaters go on; null for others.</summary>
    public DateTimeOffset? On { get; init; }

    /// <summary>What burns, of heat.</summary>
    public HeaterKind? Heater { get; init; }

    /// <summary>The other product.</summary>
    public string? Product { get; init; }

    /// <summary>power, hold, heat and, for those who price, cost of heat.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }
}

/// <summary>Puts what the firm has to warm and shelter with through the hours of a surface.</summary>
internal sealed class EarlierStarts(EarlierCase asked, HoursCase of, bool maySeeMoney)
{
    private readonly GateHours _hours = of.Gate;
    private readonly StudiedJob _job = of.Job;
    private readonly List<EarlierStartAnswer> _found = [];
    private readonly List<EarlierKind> _tried = [];

    /// <summary>What opens an earlier start.</summary>
    public EarlierStartsAnswer Find()
    {
        var kind = JobPricing.Of(_job.Study.Job).Heater;
        var watts = _job.Means.Supplies.Means.HeaterWatts(kind);
        var canHeat = asked.Room is not null && watts is > 0;
        if (canHeat)
        {
            Take(EarlierKind.Heat, EarlierStart.ByHeat(asked, watts!.Value, kind) is { } start ? Heated(start, watts.Value, kind) : null);
        }

        if (asked.Limits.IsOpen)
        {
            Take(EarlierKind.Tent, EarlierStart.UnderTent(asked) is { } window ? Told(EarlierKind.Tent, window) : null);
        }

        foreach (var other in _job.Means.Supplies.Offered.Where(sheet => sheet.StandsInFor(asked.Limits.Sheet)))
        {
            var window = EarlierStart.ByProduct(asked, _hours.Members, asked.Limits with { Sheet = other });
            Take(EarlierKind.Product, window is { } one ? Told(EarlierKind.Product, one) with { Product = other.Name } : null);
        }

        return new()
        {
            Starts = [.. _found.OrderBy(one => one.Start).ThenBy(one => one.Kind)],
            Tried = [.. _tried.Distinct()],
            NoHeaters = asked.Room is not null && !canHeat,
        };
    }

    private void Take(EarlierKind kind, EarlierStartAnswer? start)
    {
        if (start is null)
        {
            _tried.Add(kind);
        }
        else
        {
            _found.Add(start);
        }
    }

    private EarlierStartAnswer Told(EarlierKind kind, SprayWindow window) =>
        new()
        {
            Kind = kind,
            Start = _hours.StartOf(window.From),
            Holding = HoldingOf(window.FirstChance),
            Figures = new Dictionary<string, FigureAnswer>(),
        };

    private EarlierStartAnswer Heated(HeatedStart start, double watts, HeaterKind heater)
    {
        var figures = new Dictionary<string, Figure>
        {
            ["power"] = new(watts, Dimension.Power),
            ["hold"] = start.Hold.ToFigure().AtLeast,
            ["heat"] = new(start.Heat, Dimension.Heat),
        };
        if (maySeeMoney && _job.Means.Rates.HeatKilowattHour is > 0 and var price)
        {
            figures["cost"] = new(start.Heat / SpaceHeating.JoulesPerKilowattHour * price, Dimension.Money);
        }

        return new()
        {
            Kind = EarlierKind.Heat,
            Start = _hours.StartOf(start.Start),
            Holding = HoldingOf(start.Chance),
            On = _hours.StartOf(start.On),
            Heater = heater,
            Figures = FigureAnswer.All(figures),
        };
    }

    private int HoldingOf(double chance) => (int)Math.Round(chance * _hours.Members.Count);
}
