using Umbracell.Core.Findings;
using Umbracell.Core.Materials;

namespace Umbracell.Core.Weather;

/// <summary>Foam on an open face from the day it is sprayed until the next trade covers it, held against the days its sheet lets it stand
/// open (rule E12).</summary>
/// <param name="SprayedOn">Day it is sprayed, where the place is.</param>
/// <param name="CoveredOn">Day it is covered or coated; null where nobody said it.</param>
/// <param name="SunDays">Days the sheet lets it stand open to sun, 0 or more; null where it gives none.</param>
/// <param name="RainDays">Days the sheet lets it stand open to rain, 0 or more; null where it gives none.</param>
public sealed record OpenFoam(DateOnly SprayedOn, DateOnly? CoveredOn, double? SunDays, double? RainDays)
{
    /// <summary>Foam of a sheet.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="sprayedOn">Day it is sprayed.</param>
    /// <param name="coveredOn">Day it is covered; null where nobody said it.</param>
    public static OpenFoam Of(ProductSheet sheet, DateOnly sprayedOn, DateOnly? coveredOn) =>
        new(sprayedOn, coveredOn, sheet.OpenToSunDays, sheet.OpenToRainDays);

    /// <summary>Days the sheet lets it stand open to the weather: an open face sees sun and rain, so the fewer of both; null where it gives
    /// neither.</summary>
    public double? Allowed => SunDays is { } sun && RainDays is { } rain ? Math.Min(sun, rain) : SunDays ?? RainDays;

    /// <summary>Last day on which it may be covered; null where the sheet gives no days.</summary>
    public DateOnly? CoverBy => Allowed is { } days ? SprayedOn.AddDays(Whole(days)) : null;

    /// <summary>Days it stands open; null where nobody said when it is covered.</summary>
    public int? Days => CoveredOn is { } day ? day.DayNumber - SprayedOn.DayNumber : null;

    /// <summary>First day on which it may be sprayed to be covered in time; null where the sheet gives no days or nobody said when it is
    /// covered.</summary>
    public DateOnly? SprayFrom => CoveredOn is { } day && Allowed is { } days ? day.AddDays(-Whole(days)) : null;

    /// <summary>Clear where it is covered in time, care where nobody said when or the sheet gives no days, hold where it stands open
    /// for longer than the sheet lets it, or is said to be covered before it is sprayed.</summary>
    public Verdict Verdict =>
        Days is not { } open ? Verdict.Care
        : open < 0 ? Verdict.Hold
        : Allowed is not { } days ? Verdict.Care
        : open > Whole(days) ? Verdict.Hold
        : Verdict.Clear;

    /// <summary>Days of a span on which it rains or snows under one member.</summary>
    /// <param name="run">The hours.</param>
    /// <param name="from">First instant of the span.</param>
    /// <param name="to">Its end; hours count as far as they reach.</param>
    /// <param name="dayOf">Day of an instant, where the place is.</param>
    /// <returns>Null where an hour of the span does not tell what falls, and none of its day is known to be wet.</returns>
    public static int? WetDays(AirRun run, DateTimeOffset from, DateTimeOffset to, Func<DateTimeOffset, DateOnly> dayOf)
    {
        var days = run.Hours.Where(hour => hour.Start >= from && hour.Start < to).GroupBy(hour => dayOf(hour.Start)).ToList();
        return days.Exists(day => !IsWet(day) && day.Any(hour => hour.Precipitation is null)) ? null : days.Count(IsWet);

        static bool IsWet(IEnumerable<AirHour> day) => day.Any(hour => hour.Precipitation is { Wets: true });
    }

    // A part of a day is no day.
    private static int Whole(double days) => (int)Math.Floor(days);
}
