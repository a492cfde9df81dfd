namespace Umbracell.Core.Weather;

/// <summary>How close a face comes to the dew point in a stretch of hours, over all members of a forecast.</summary>
/// <param name="Least">Least distance from dew or frost point to the face, K: 10, 50 and 90 % of the members; below zero it gets wet.</param>
/// <param name="Hour">Hour in which most members come closest.</param>
/// <param name="Wet">Members in which it gets wet.</param>
public readonly record struct NightMargin(Band Least, int Hour, int Wet)
{
    /// <summary>Finds it.</summary>
    /// <param name="members">The face under each member; at least one.</param>
    /// <param name="from">First hour.</param>
    /// <param name="to">The hour after the last.</param>
    /// <returns>Null where no member tells these hours.</returns>
    public static NightMargin? Of(IReadOnlyList<SurfaceHours> members, int from, int to)
    {
        var (figures, closest, wet) = (new HourFigures(members.Count), new int[members[0].Substrate.Length], 0);
        foreach (var member in members)
        {
            var (least, at) = (double.PositiveInfinity, -1);
            for (var h = Math.Max(0, from); h < Math.Min(to, member.Substrate.Length); h++)
            {
                var apart = member.Substrate[h] - member.Dew[h];
                (least, at) = apart < least ? (apart, h) : (least, at);
            }

            if (at >= 0)
            {
                figures.Add(least);
                closest[at]++;
                wet += least < 0 ? 1 : 0;
            }
        }

        var band = figures.Taken();
        return double.IsNaN(band.Middle) ? null : new(band, Array.IndexOf(closest, closest.Max()), wet);
    }
}
