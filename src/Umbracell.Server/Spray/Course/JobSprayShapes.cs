using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Spray;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Spray;

/// <summary>A side of the drums of a product.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Used">Sets used.</param>
/// <param name="OnHand">Sets that are left, in the open drum and on the truck or in the store.</param>
/// <param name="IsOfTruck">Whether somebody said what is on the truck; else the store is counted.</param>
/// <param name="ReadAt">When its level was read last; null where it was not.</param>
public sealed record SideCourseAnswer(SetSide Side, FigureAnswer Used, FigureAnswer OnHand, bool IsOfTruck, DateTimeOffset? ReadAt);

/// <summary>A likely cause, with what it alone makes.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="IsLess">Whether a set covers less for it; else more.</param>
/// <param name="Share">By how much, in percent; null where nothing is known of it.</param>
/// <param name="Planned">What was planned.</param>
/// <param name="Found">What was found.</param>
public sealed record YieldCauseAnswer(YieldCauseKind Kind, bool IsLess, FigureAnswer? Share, FigureAnswer? Planned, FigureAnswer? Found);

/// <summary>How a product lasts at a job.</summary>
public sealed record CourseAnswer
{
    public required string SheetId { get; init; }

    public required string Sheet { get; init; }

    /// <summary>Surfaces that take it.</summary>
    public required IReadOnlyList<Guid> Surfaces { get; init; }

    /// <summary>Foam that was planned.</summary>
    public required FigureAnswer Planned { get; init; }

    /// <summary>Foam in place.</summary>
    public required FigureAnswer Sprayed { get; init; }

    /// <summary>Foam that is still to be sprayed.</summary>
    public required FigureAnswer Left { get; init; }

    /// <summary>Sets that were planned, median.</summary>
    public required FigureAnswer SetsPlanned { get; init; }

    /// <summary>Sets used, by the side that was used more.</summary>
    public required FigureAnswer Used { get; init; }

    /// <summary>A, then B.</summary>
    public required IReadOnlyList<SideCourseAnswer> Sides { get; init; }

    public required YieldAnswer Yield { get; init; }

    /// <summary>Chance that the scarcer side runs dry before the end.</summary>
    public required FigureAnswer Chance { get; init; }

    /// <summary>How long the scarcer side lasts with the trigger held; null before anything was sprayed.</summary>
    public required FigureAnswer? LastsFor { get; init; }

    /// <summary>Likely causes where the yield is out of its band, the greatest first.</summary>
    public required IReadOnlyList<YieldCauseAnswer> Causes { get; init; }

    /// <summary>What is missing before crews can learn from it; nothing where they can.</summary>
    public required IReadOnlyList<LearningLack> Lacks { get; init; }
}

/// <summary>A surface, planned and done.</summary>
public sealed record DoneSurface
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required int Planned { get; init; }

    /// <summary>Lifts that are on.</summary>
    public required int Lifts { get; init; }

    public required FigureAnswer Specified { get; init; }

    /// <summary>Mean depth; null where it was not read.</summary>
    public required FigureAnswer? Depth { get; init; }

    /// <summary>Foam planned.</summary>
    public required FigureAnswer Foam { get; init; }

    /// <summary>Foam in place.</summary>
    public required FigureAnswer Sprayed { get; init; }

    public required DateTimeOffset? FinishedAt { get; init; }
}

/// <summary>A line of the cost, as it was bid and as it was done.</summary>
/// <param name="Key">Its key.</param>
/// <param name="Name">Its name where it is of a product or a material, else empty.</param>
/// <param name="Bid">How much was bid, and for how much money; null where nothing was.</param>
/// <param name="Done">How much it took; null where nothing of it is logged, and it counts as bid.</param>
public sealed record CostLineAnswer(string Key, string Name, CostPart? Bid, CostPart? Done);

/// <summary>How much, and for how much money.</summary>
public sealed record CostPart(FigureAnswer Quantity, FigureAnswer Amount);

/// <summary>What the job cost by its log, beside its bid.</summary>
public sealed record CostAsDoneAnswer
{
    /// <summary>When the bid was made; null where it is that of today.</summary>
    public required DateTimeOffset? BidAt { get; init; }

    public required IReadOnlyList<CostLineAnswer> Lines { get; init; }

    public required FigureAnswer BidCost { get; init; }

    public required FigureAnswer Cost { get; init; }

    /// <summary>Price before tax.</summary>
    public required FigureAnswer Net { get; init; }

    public required FigureAnswer BidMargin { get; init; }

    public required FigureAnswer Margin { get; init; }

    /// <summary>Products that were used and have no price.</summary>
    public required IReadOnlyList<string> Missing { get; init; }
}

/// <summary>A lot of the store that drums of a side can be opened from.</summary>
public sealed record LotAtHand
{
    public required Guid Id { get; init; }

    public required string SheetId { get; init; }

    public required SetSide Side { get; init; }

    public required string Lot { get; init; }

    /// <summary>Full drums of it.</summary>
    public required int Full { get; init; }

    /// <summary>What is left in opened ones.</summary>
    public required FigureAnswer Part { get; init; }
}

/// <summary>Spraying at a job: how its material lasts, and what was done.</summary>
public sealed record JobSpray
{
    public required IReadOnlyList<CourseAnswer> Courses { get; init; }

    public required IReadOnlyList<DoneSurface> Surfaces { get; init; }

    /// <summary>When spraying was finished; null where it is not.</summary>
    public required DateTimeOffset? FinishedAt { get; init; }

    /// <summary>Time the crew was at the job, from the first entry of each day to its last.</summary>
    public required FigureAnswer OnSite { get; init; }

    public required int Days { get; init; }

    /// <summary>Lots in the store of its products.</summary>
    public required IReadOnlyList<LotAtHand> Lots { get; init; }

    /// <summary>Null for whoever may not see prices.</summary>
    public required CostAsDoneAnswer? Cost { get; init; }
}
