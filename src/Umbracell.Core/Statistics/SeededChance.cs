using Umbracell.Core.Weather.Years;

namespace Umbracell.Core.Statistics;

/// <summary>Chance that falls alike for the same seed, on every machine.</summary>
/// <param name="seed">The seed.</param>
internal sealed class SeededChance(ulong seed)
{
    private ulong _drawn;

    private ulong Bits() => WeatherNoise.Mixed(seed, _drawn++);

    /// <summary>From 0 to 1, without 1.</summary>
    public double Share() => (Bits() >> 11) / 9007199254740992.0;

    /// <summary>Normal, with mean 0 and spread 1.</summary>
    public double Normal() => WeatherNoise.Normal(Bits());

    /// <summary>A whole number from 0 to under another.</summary>
    /// <param name="count">The other, 1 or more.</param>
    public int Below(int count) => (int)(Share() * count);
}
