using System.Text.Json;
using Umbracell.Core.Materials;

namespace Umbracell.Core.Rigs.Shots;

/// <summary>How likely each sign is under each cause. The tables are data (<c>likelihoods.json</c>, with their basis): counted on shots of the
/// simulated foam and kept as they were counted.</summary>
public sealed class ShotLikelihoods
{
    // Part of a table that is the same for every value: no sign, however odd, rules a cause out by itself.
    private const double Anyhow = 0.04;

    /// <summary>Seed of the shots the tables that ship were counted on.</summary>
    public const int ShippedSeed = 20_261_130;

    /// <summary>How many of them for each cause and product.</summary>
    public const int ShippedShots = 400;

    private readonly Dictionary<ShotCause, double> _priors;
    private readonly Dictionary<string, double> _weights;
    private readonly Dictionary<(string Of, ShotCause Cause), double[]> _given;

    private ShotLikelihoods(
        Dictionary<ShotCause, double> priors,
        Dictionary<string, double> weights,
        Dictionary<(string Of, ShotCause Cause), double[]> given
    ) => (_priors, _weights, _given) = (priors, weights, given);

    /// <summary>Every cause there is.</summary>
    public static IReadOnlyList<ShotCause> Causes { get; } = Enum.GetValues<ShotCause>();

    private static readonly Lazy<ShotLikelihoods> Kept = new(ReadKept);

    /// <summary>The tables that ship.</summary>
    public static ShotLikelihoods Shipped => Kept.Value;

    /// <summary>How often a cause is behind a shot that is fired, before anything is seen.</summary>
    internal double Prior(ShotCause cause) => _priors[cause];

    /// <summary>What a sign weighs: linked ones tell the same twice, and are damped.</summary>
    internal double Weight(string sign) => _weights[sign];

    /// <summary>Chance of a sign under a cause.</summary>
    internal double Of(ShotSign sign, ShotCause cause) => _given[(sign.Of, cause)][sign.Value];

    /// <summary>Counts tables on simulated shots: for each sign and cause the shares of its values.</summary>
    /// <param name="sheets">Products that are fired, each also in the place of another.</param>
    /// <param name="seed">Same tables for the same seed.</param>
    /// <param name="shots">How many of each cause for each product.</param>
    /// <returns>Shares to four places, by sign and cause.</returns>
    public static Dictionary<string, Dictionary<ShotCause, double[]>> Counted(IReadOnlyList<ProductSheet> sheets, int seed, int shots)
    {
        var counts = ShotSigns.Values.ToDictionary(
            sign => sign.Key,
            sign => Causes.ToDictionary(cause => cause, _ => new double[sign.Value])
        );
        foreach (var (sheet, i) in sheets.Select((sheet, i) => (sheet, i)))
        {
            foreach (var cause in Causes)
            {
                for (var shot = 0; shot < shots; shot++)
                {
                    var other = sheets[(i + 1 + shot % (sheets.Count - 1)) % sheets.Count];
                    var rig = new FaultyRig(sheet, other, seed + ((i * Causes.Count + (int)cause) * shots) + shot);
                    var fired = rig.Fire(cause);
                    foreach (var sign in ShotSigns.Of(sheet, fired.Readings, rig.Seen(fired)))
                    {
                        counts[sign.Of][cause][sign.Value]++;
                    }
                }
            }
        }

        foreach (var shares in counts.Values.SelectMany(table => table.Values))
        {
            var all = shares.Sum();
            for (var value = 0; value < shares.Length; value++)
            {
                shares[value] = Math.Round((1 - Anyhow) * shares[value] / all + Anyhow / shares.Length, 4);
            }
        }

        return counts;
    }

    private static ShotLikelihoods ReadKept()
    {
        using var file =
            typeof(ShotLikelihoods).Assembly.GetManifestResourceStream("likelihoods.json")
            ?? throw new InvalidOperationException("likelihoods.json is not in the core.");
        using var json = JsonDocument.Parse(file);
        var root = json.RootElement;
        var given = root.GetProperty("given")
            .EnumerateObject()
            .SelectMany(
                sign => sign.Value.EnumerateObject(),
                (sign, cause) =>
                    (
                        Key: (sign.Name, CauseOf(cause.Name)),
                        Shares: cause.Value.EnumerateArray().Select(share => share.GetDouble()).ToArray()
                    )
            )
            .ToDictionary(entry => entry.Key, entry => entry.Shares);
        return new(
            root.GetProperty("priors").EnumerateObject().ToDictionary(prior => CauseOf(prior.Name), prior => prior.Value.GetDouble()),
            root.GetProperty("weights").EnumerateObject().ToDictionary(weight => weight.Name, weight => weight.Value.GetDouble()),
            given
        );
    }

    private static ShotCause CauseOf(string name) => Enum.Parse<ShotCause>(name, ignoreCase: true);
}
