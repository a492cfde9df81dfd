using Umbracell.Core.Findings;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;
using Umbracell.Server.Forecasts;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Window;

/// <summary>Which hours can a surface be sprayed in?</summary>
public sealed record HoursOfSurface
{
    /// <summary>Why there are no hours; null where there are.</summary>
    public required HoursLack? Lack { get; init; }

    /// <summary>Where the hours come from; null where there are none.</summary>
    public required HoursSource? Source { get; init; }

    /// <summary>Sources of forecasts that gave nothing that can be used.</summary>
    public required IReadOnlyList<SourceTrouble> Troubles { get; init; }

    /// <summary>What readings at the site correct these hours by; null where none was taken in them.</summary>
    public required CorrectionAnswer? Correction { get; init; }

    /// <summary>When the substrate was last read, and so pulled these hours to it; null where it was not.</summary>
    public required DateTimeOffset? SubstrateReadAt { get; init; }

    /// <summary>When the air of its room was last read, from which the room follows the weather; null where it was not.</summary>
    public required DateTimeOffset? RoomReadAt { get; init; }

    /// <summary>Hours from the present one on.</summary>
    public required IReadOnlyList<HourAnswer> Hours { get; init; }

    /// <summary>Days of these hours where the place is, with their sun.</summary>
    public required IReadOnlyList<DayAnswer> Days { get; init; }

    /// <summary>Windows of the crew's hours in their order, each with its chance through cure.</summary>
    public required IReadOnlyList<WindowAnswer> Windows { get; init; }

    /// <summary>The drums at the first of them; null where there is none.</summary>
    public required DrumsAtStartAnswer? Drums { get; init; }

    /// <summary>What comes after the first of them on an open face; null within a building.</summary>
    public required AfterSprayingAnswer? After { get; init; }

    /// <summary>Hours of lifts and waits.</summary>
    public required FigureAnswer? Spraying { get; init; }

    /// <summary>Hours of cure after them.</summary>
    public required FigureAnswer? Cure { get; init; }

    /// <summary>Hours the whole surface takes.</summary>
    public required FigureAnswer? Whole { get; init; }

    /// <summary>Whether that is more than a crew's day, so that it is sprayed in parts.</summary>
    public required bool InParts { get; init; }

    /// <summary>What was assumed because nobody said it.</summary>
    public required IReadOnlyList<HoursAssumption> Assumed { get; init; }

    /// <summary>Limits the hours are held against; null where there are none.</summary>
    public required SheetLimitsAnswer? Limits { get; init; }
}

/// <summary>What readings at the site correct the hours of its place by.</summary>
/// <param name="On">Whether it is put to the hours.</param>
/// <param name="Hours">Hours in which the site was read.</param>
/// <param name="Air">Added to the temperature of the air.</param>
/// <param name="Dew">Added to its dew or frost point.</param>
public sealed record CorrectionAnswer(bool On, int Hours, FigureAnswer Air, FigureAnswer Dew);

/// <summary>When can the surfaces of a job be sprayed next?</summary>
public sealed record WindowsOfJob
{
    /// <summary>Where the hours come from; null where there are none.</summary>
    public required HoursSource? Source { get; init; }

    /// <summary>Each surface, in the job's order.</summary>
    public required IReadOnlyList<NextWindowAnswer> Surfaces { get; init; }
}

/// <summary>The next window of a surface.</summary>
public sealed record NextWindowAnswer
{
    public required Guid Surface { get; init; }

    /// <summary>Why there are no hours of it; null where there are.</summary>
    public required HoursLack? Lack { get; init; }

    /// <summary>The first of its windows; null where these hours hold none.</summary>
    public required WindowAnswer? Next { get; init; }
}

/// <summary>In which months can a surface be sprayed unheated?</summary>
public sealed record MonthsOfSurface
{
    /// <summary>Why there are none; null where there are.</summary>
    public required HoursLack? Lack { get; init; }

    /// <summary>The place's own hours, or hours made from its monthly means; null where there are none.</summary>
    public required AirSource? Source { get; init; }

    /// <summary>The months, January first.</summary>
    public required IReadOnlyList<MonthOfSurface> Months { get; init; }
}

/// <summary>What a month offers a surface.</summary>
/// <param name="Month">1 to 12.</param>
/// <param name="Open">Share of the crew's hours in which foam could be sprayed and cure with nothing held.</param>
/// <param name="Limit">What holds most of the others; null where none is held.</param>
public sealed record MonthOfSurface(int Month, FigureAnswer Open, HourLimit? Limit);

/// <summary>Limits the hours are held against.</summary>
public sealed record SheetLimitsAnswer
{
    public required string Sheet { get; init; }

    public required FigureAnswer SubstrateLeast { get; init; }

    public required FigureAnswer SubstrateGreatest { get; init; }

    public required FigureAnswer AirLeast { get; init; }

    public required FigureAnswer AirGreatest { get; init; }

    public required FigureAnswer DewApart { get; init; }

    public required FigureAnswer DewClear { get; init; }

    public required FigureAnswer Humidity { get; init; }

    public required FigureAnswer Wind { get; init; }
}

/// <summary>Where hours come from.</summary>
public sealed record HoursSource
{
    /// <summary>A forecast, or what is usual at this time of the year.</summary>
    public required AirSource Kind { get; init; }

    /// <summary>Name of the service; empty for a usual year.</summary>
    public required string Name { get; init; }

    /// <summary>What must be told with its figures; empty for a usual year.</summary>
    public required string Credit { get; init; }

    /// <summary>When it was issued.</summary>
    public required DateTimeOffset? IssuedAt { get; init; }

    /// <summary>Members.</summary>
    public required int Members { get; init; }
}

/// <summary>An hour of a surface.</summary>
public sealed record HourAnswer
{
    public required DateTimeOffset Start { get; init; }

    /// <summary>Null where the weather is not told.</summary>
    public required Verdict? Verdict { get; init; }

    /// <summary>Members that rules G1 to G7 do not hold.</summary>
    public required int Passing { get; init; }

    /// <summary>What limits most of them; null where the hour is clear.</summary>
    public required HourLimit? Limit { get; init; }

    /// <summary>How far the middle figures fall short by the rule that limits: 0 clear, above a half held.</summary>
    public required double LimitShortfall { get; init; }

    /// <summary>Depth of the hour's shadow: 0 clear, to a half care, beyond it a hold.</summary>
    public required double Depth { get; init; }

    /// <summary>How far the worst margin falls short, 0 to 1: 10, 50 and 90 % of the members.</summary>
    public required double[] Shortfall { get; init; }

    /// <summary>Whether the sun is up in the middle of the hour.</summary>
    public required bool Light { get; init; }

    /// <summary>Whether the crew works then.</summary>
    public required bool Worked { get; init; }

    /// <summary>Face that is sprayed, °C: 10, 50 and 90 % of the members.</summary>
    public required double[] SubstrateC { get; init; }

    /// <summary>Dew or frost point at the work, °C.</summary>
    public required double[] DewC { get; init; }

    /// <summary>
    /// Medians as they are read: substrate, dew, apart, air, humidity, wet; of an open face gust and rain too; and in the crew's hours
    /// <c>start</c>, the chance that what is begun then holds to the end.
    /// </summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }
}

/// <summary>A day and its sun.</summary>
/// <param name="Start">Midnight where the place is.</param>
/// <param name="Sunrise">Null where the sun does not rise on it.</param>
/// <param name="Sunset">Null where it does not set.</param>
/// <param name="IsUpAtStart">Whether it is up at midnight: of a day without either it tells light from dark.</param>
public sealed record DayAnswer(DateTimeOffset Start, DateTimeOffset? Sunrise, DateTimeOffset? Sunset, bool IsUpAtStart);

/// <summary>A window.</summary>
public sealed record WindowAnswer
{
    /// <summary>First hour in which spraying may begin.</summary>
    public required DateTimeOffset From { get; init; }

    /// <summary>By when it must begin to be done in time.</summary>
    public required DateTimeOffset BeginBy { get; init; }

    /// <summary>When the last start would be cured.</summary>
    public required DateTimeOffset Until { get; init; }

    /// <summary>The start with the greatest chance.</summary>
    public required DateTimeOffset Best { get; init; }

    /// <summary>Its chance to hold to the end of cure.</summary>
    public required FigureAnswer Chance { get; init; }

    /// <summary>Members that hold, and of how many.</summary>
    public required int Holding { get; init; }

    /// <summary>What holds the others first; null where none is held.</summary>
    public required HourLimit? Limit { get; init; }
}
