using System.Globalization;
using System.Text.RegularExpressions;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Rigs;

/// <summary>A mixing chamber with its tip.</summary>
/// <param name="Name">What the crew calls it.</param>
/// <param name="KilogramsPerSecond">What it lets through of both sides together at its pressure, above zero.</param>
public readonly record struct Tip(string Name, double KilogramsPerSecond)
{
    /// <summary>What it lets through.</summary>
    public Figure Flow => new(KilogramsPerSecond, Dimension.MassFlow);
}

/// <summary>Tips as a crew writes them down: <c>00 at 8 lb/min; 01 at 11 lb/min</c>.</summary>
public static partial class TipList
{
    private const double PoundsPerMinute = 0.45359237 / 60,
        KilogramsPerMinute = 1.0 / 60;

    /// <summary>Those of which it says how much they let through, the largest first; a name without a flow is passed over, and so is a
    /// flow that no gun has (over 60 kg/min).</summary>
    /// <param name="text">The list.</param>
    public static IReadOnlyList<Tip> Read(string text) =>
        [
            .. Written()
                .Matches(text)
                .Select(one => new Tip(one.Groups["name"].Value.Trim(), FlowOf(one)))
                .Where(tip => tip.KilogramsPerSecond is > 0 and <= 1)
                .OrderByDescending(tip => tip.KilogramsPerSecond),
        ];

    private static double FlowOf(Match one) =>
        double.Parse(one.Groups["flow"].Value.Replace(',', '.'), CultureInfo.InvariantCulture)
        * (one.Groups["unit"].Value.StartsWith("lb", StringComparison.OrdinalIgnoreCase) ? PoundsPerMinute : KilogramsPerMinute);

    [GeneratedRegex(
        @"(?<name>[^,;:=\s][^,;:=]*?)\s*[:=]?\s+(?:at\s+)?(?<flow>\d{1,3}(?:[.,]\d{1,3})?)\s*(?<unit>lbs?|kg)\s*/\s*min",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant,
        matchTimeoutMilliseconds: 200
    )]
    private static partial Regex Written();
}

/// <summary>What heats and moves the liquids; null for what nobody entered.</summary>
public sealed record RigGear
{
    /// <summary>Primary heaters of both sides together, W; each side has half.</summary>
    public double? LiquidWatts { get; init; }

    /// <summary>Hose heat of both sides together, W; each side has half.</summary>
    public double? HoseWatts { get; init; }

    /// <summary>Heated hose with its whip, 4 to 200 m.</summary>
    public Length? Hose { get; init; }

    /// <summary>Where it lies.</summary>
    public HoseLay Lay { get; init; } = HoseLay.OnGround;

    /// <summary>How good its insulation still is.</summary>
    public HoseWear Wear { get; init; }

    /// <summary>The greatest pressure it gives, Pa.</summary>
    public double? GreatestPressure { get; init; }

    /// <summary>Tips whose flow is known, the largest first.</summary>
    public IReadOnlyList<Tip> Tips { get; init; } = [];
}
