using System.Text.Json;

namespace Umbracell.Formats.Forecasts;

/// <summary>Figures of a range (NdArray) by member and instant, whatever order its axes stand in. Axes that are not named have one
/// value: the point, its height.</summary>
internal sealed class RangeValues
{
    private readonly JsonElement _range;
    private readonly int _instants,
        _members;

    private readonly List<(string Name, int Length)> _axes;
    private readonly string _memberAxis;

    public RangeValues(JsonElement range, int instants, int members, string memberAxis, int most)
    {
        (_range, _instants, _members, _memberAxis) = (range, instants, members, memberAxis);
        string[] names = range.TryGetProperty("axisNames", out var told)
            ? [.. told.EnumerateArray().Select(name => name.GetString()!)]
            : ["t"];
        int[] shape = range.TryGetProperty("shape", out var sizes)
            ? [.. sizes.EnumerateArray().Select(size => size.GetInt32())]
            : [instants];
        if (names.Length != shape.Length || shape.Any(size => size <= 0))
        {
            throw new UnreadableForecastException(ForecastFault.NotACoverage);
        }

        if (shape.Aggregate(1L, (product, size) => product * size) > most)
        {
            throw new UnreadableForecastException(ForecastFault.TooLarge);
        }

        _axes = [.. names.Zip(shape)];
    }

    /// <summary>For each member a figure for each instant; no number where it is null.</summary>
    public double[][] All()
    {
        var all = new double[_members][];
        for (var m = 0; m < _members; m++)
        {
            all[m] = new double[_instants];
        }

        var index = new int[_axes.Count];
        var count = 0;
        foreach (var value in _range.GetProperty("values").EnumerateArray())
        {
            var (t, member) = Place(index, count++);
            if (t < _instants && member < _members)
            {
                all[member][t] = value.ValueKind == JsonValueKind.Null ? double.NaN : value.GetDouble();
            }

            Next(index);
        }

        return count == _axes.Aggregate(1, (product, axis) => product * axis.Length)
            ? all
            : throw new UnreadableForecastException(ForecastFault.CutShort);
    }

    private (int T, int Member) Place(int[] index, int count)
    {
        var (t, member) = (0, 0);
        for (var i = 0; i < _axes.Count; i++)
        {
            if (_axes[i].Name == "t")
            {
                t = index[i];
            }
            else if (_axes[i].Name == _memberAxis)
            {
                member = index[i];
            }
            else if (_axes[i].Length > 1)
            {
                throw new UnreadableForecastException(ForecastFault.NotACoverage, $"{_axes[i].Name}: {count}");
            }
        }

        return (t, member);
    }

    // The last axis goes round first.
    private void Next(int[] index)
    {
        for (var i = index.Length - 1; i >= 0 && ++index[i] == _axes[i].Length; i--)
        {
            index[i] = 0;
        }
    }
}
