using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;
using Umbracell.Documents;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Spray;

/// <summary>A surface with its log: how far is it, and when can the next lift go on?</summary>
public sealed record SprayQuestion
{
    public const int MostEntries = 20_000;

    [Required]
    public required string SheetId { get; init; }

    public required SurfaceKind SurfaceKind { get; init; }

    public required SubstrateKind SubstrateKind { get; init; }

    /// <summary>Of what is sprayed on; null where nobody read it: nothing is then calculated of the lift's heat.</summary>
    [Range(-60, 90)]
    public double? SubstrateTempC { get; init; }

    [Range(-60, 70)]
    public double? AirTempC { get; init; }

    /// <summary>Foam that was specified.</summary>
    [Range(0.1, 1000)]
    public required double ThicknessMm { get; init; }

    /// <summary>Entries of the surface and of the whole job, in any order.</summary>
    [Required, MaxLength(MostEntries)]
    public required IReadOnlyList<LogEntryDocument> Entries { get; init; }

    public required DateTimeOffset Now { get; init; }

    /// <summary>When the day began at the job.</summary>
    public required DateTimeOffset DayStartsAt { get; init; }

    /// <summary>How long was sprayed today at other surfaces of the job, up to <see cref="Now"/>.</summary>
    [Range(0, 100_000)]
    public double SprayedElsewhereS { get; init; }
}

/// <summary>A lift as it was logged.</summary>
public sealed record SprayedLiftAnswer
{
    public required Guid Id { get; init; }

    public required int Number { get; init; }

    public required DateTimeOffset BegunAt { get; init; }

    public required DateTimeOffset? EndedAt { get; init; }

    /// <summary>Mean of all foam after it.</summary>
    public required FigureAnswer? Depth { get; init; }

    public required int Depths { get; init; }

    /// <summary>What it added.</summary>
    public required FigureAnswer? Thickness { get; init; }

    /// <summary>What a probe read in it.</summary>
    public required FigureAnswer? Probe { get; init; }
}

/// <summary>A stop that nobody ended.</summary>
public sealed record OpenStopAnswer(Guid Id, DateTimeOffset At, StopReason Reason);

/// <summary>Something to look at before a surface is finished.</summary>
public sealed record WalkRoundAnswer(WalkRoundItem Item, bool Seen);

/// <summary>Drums of a side.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Lot">Lot of the drum that is open.</param>
/// <param name="Left">What is left in it, in percent of a full one.</param>
/// <param name="Used">Drums used so far.</param>
public sealed record DrumUseAnswer(SetSide Side, string? Lot, FigureAnswer? Left, FigureAnswer Used);

/// <summary>What an entry read, as it is printed.</summary>
/// <param name="Id">The entry.</param>
/// <param name="Depth">A depth.</param>
/// <param name="Read">A temperature.</param>
/// <param name="Left">What was left in a drum, in percent of a full one.</param>
/// <param name="Other">What fuel cost; thickness of the block a probe was held to; air changes.</param>
public sealed record EntryFigures(Guid Id, FigureAnswer? Depth, FigureAnswer? Read, FigureAnswer? Left, FigureAnswer? Other);

/// <summary>How far a surface is.</summary>
public sealed record SprayAnswer
{
    /// <summary>How many lifts are planned.</summary>
    public required int Planned { get; init; }

    /// <summary>The lift that is sprayed now, else the next.</summary>
    public required int Number { get; init; }

    /// <summary>How thick the planned lifts are.</summary>
    public required FigureAnswer Each { get; init; }

    /// <summary>What all foam measures after the lift.</summary>
    public required FigureAnswer Needs { get; init; }

    /// <summary>What all foam measures once the lifts that are on, or the one that is sprayed now, are as planned; null before the
    /// first.</summary>
    public required FigureAnswer? Due { get; init; }

    public required FigureAnswer Specified { get; init; }

    /// <summary>Mean depth of all foam where it was read last.</summary>
    public required FigureAnswer? Depth { get; init; }

    /// <summary>The lift that is sprayed now.</summary>
    public required SprayedLiftAnswer? Open { get; init; }

    public required IReadOnlyList<SprayedLiftAnswer> Lifts { get; init; }

    /// <summary>When the next lift can go on at the earliest; null before the first, and where that is never.</summary>
    public required DateTimeOffset? NextAt { get; init; }

    public required NextLiftBecause NextBecause { get; init; }

    /// <summary>Whether what was sprayed on and the air were read, so that the heat of the lift was calculated.</summary>
    public required bool Calculated { get; init; }

    /// <summary>Rule G10.</summary>
    public required FindingAnswer Next { get; init; }

    /// <summary>Rule G11.</summary>
    public required FindingAnswer Area { get; init; }

    /// <summary>What is to be known of the lift that comes next; nothing while one is sprayed.</summary>
    public required IReadOnlyList<FindingAnswer> Ahead { get; init; }

    /// <summary>What is wrong with the lifts that were sprayed.</summary>
    public required IReadOnlyList<FindingAnswer> Lifted { get; init; }

    /// <summary>What is left before it can be called finished; nothing before the planned lifts are sprayed.</summary>
    public required IReadOnlyList<FindingAnswer> End { get; init; }

    public required IReadOnlyList<OpenStopAnswer> OpenStops { get; init; }

    /// <summary>What each entry read, where it read anything.</summary>
    public required IReadOnlyList<EntryFigures> Read { get; init; }

    public required IReadOnlyList<WalkRoundAnswer> WalkRound { get; init; }

    /// <summary>Drums of the job, A first.</summary>
    public required IReadOnlyList<DrumUseAnswer> Drums { get; init; }

    /// <summary>What is wrong with them as they were logged.</summary>
    public required IReadOnlyList<FindingAnswer> DrumFindings { get; init; }

    public required bool? Ventilated { get; init; }

    public required bool? AreaClear { get; init; }

    public required DateTimeOffset? FinishedAt { get; init; }

    /// <summary>How long was sprayed today at the job.</summary>
    public required FigureAnswer SprayedToday { get; init; }
}
