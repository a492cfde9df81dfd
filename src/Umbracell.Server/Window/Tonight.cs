using NodaTime;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Places;
using Umbracell.Server.Problems;
using Umbracell.Store;

namespace Umbracell.Server.Window;

/// <summary>Faces whose night is told.</summary>
public enum NightFace
{
    /// <summary>A sheet-metal roof.</summary>
    MetalRoof,

    /// <summary>A sheet-metal wall.</summary>
    MetalWall,

    /// <summary>Bare wood: a deck or sheathing.</summary>
    WoodDeck,

    /// <summary>A masonry wall.</summary>
    MasonryWall,
}

/// <summary>How close faces in the open come to the dew point tonight.</summary>
public sealed record TonightAnswer
{
    /// <summary>Why there is none; null where there is.</summary>
    public required HoursLack? Lack { get; init; }

    /// <summary>Where the hours come from; null where there are none.</summary>
    public required HoursSource? Source { get; init; }

    /// <summary>From here on it is dark.</summary>
    public required DateTimeOffset? From { get; init; }

    /// <summary>To the hour after sunrise, when dew still lies.</summary>
    public required DateTimeOffset? Until { get; init; }

    /// <summary>Time zone of the place; null where it is not known.</summary>
    public required string? TimeZone { get; init; }

    public required IReadOnlyList<NightOfFace> Faces { get; init; }
}

/// <summary>The night of a face.</summary>
/// <param name="Face">Which.</param>
/// <param name="At">Hour in which it comes closest to the dew point.</param>
/// <param name="Wet">Members in which it gets wet.</param>
/// <param name="Figures">least: distance to the dew point in the middle of the members; low, high: that of 10 and 90 % of them.</param>
public sealed record NightOfFace(NightFace Face, DateTimeOffset At, int Wet, IReadOnlyDictionary<string, FigureAnswer> Figures);

/// <summary>Tells the coming night of a place.</summary>
internal sealed class Tonight(SiteHoursReader hours, UmbracellDb db, TimeProvider clock)
{
    private static readonly Dictionary<NightFace, FaceCase> Faces = new()
    {
        [NightFace.MetalRoof] = Face(18, SubstrateKind.Metal),
        [NightFace.MetalWall] = Face(90, SubstrateKind.Metal),
        [NightFace.WoodDeck] = Face(18, SubstrateKind.Wood),
        [NightFace.MasonryWall] = Face(90, SubstrateKind.Mineral) with { Mass = FaceMass.Masonry(Length.FromMetres(0.2)) },
    };

    public async Task<TonightAnswer> OfAsync(string id, CancellationToken stop)
    {
        var place = await PlaceAsync(id, stop) ?? throw new NotFoundException("place");
        var site = await hours.OfPlaceAsync(place, stop);
        if (site.Lack is not null)
        {
            return new()
            {
                Lack = site.Lack,
                Source = null,
                From = null,
                Until = null,
                TimeZone = place.TimeZone,
                Faces = [],
            };
        }

        var start = site.Members[0].Run.Start;
        var (from, until) = Night(place, site.Point);
        var (first, last) = ((int)Math.Floor((from - start).TotalHours), (int)Math.Ceiling((until - start).TotalHours));
        return new()
        {
            Lack = null,
            Source = SurfaceWindows.SourceOf(site),
            From = from,
            Until = until,
            TimeZone = place.TimeZone,
            Faces = [.. Faces.Select(face => Told(face.Key, face.Value, site, first, last)).OfType<NightOfFace>()],
        };
    }

    private static FaceCase Face(double tilt, SubstrateKind substrate) =>
        new()
        {
            Plane = new(tilt, 0),
            Finish = FaceFinishes.Of(Covering.Unknown, substrate),
            TimeConstant = FaceFinishes.TimeConstantOf(substrate),
            WindShare = WindNear.Share(Shelter.Sheltered, Length.FromMetres(3)),
        };

    private static NightOfFace? Told(NightFace name, FaceCase face, SiteHours site, int first, int last)
    {
        var sprayed = new SprayedFace { Outer = face, IsOpen = true };
        return NightMargin.Of([.. site.Members.Select(sky => SurfaceHours.Of(sprayed, null, sky, last))], first, last) is { } night
            ? new(
                name,
                site.Members[0].Run.Hours[night.Hour].Start,
                night.Wet,
                FigureAnswer.All(
                    new Dictionary<string, Figure>
                    {
                        ["least"] = new(night.Least.Middle, Dimension.TemperatureDifference),
                        ["low"] = new(night.Least.Low, Dimension.TemperatureDifference),
                        ["high"] = new(night.Least.High, Dimension.TemperatureDifference),
                    }
                )
            )
            : null;
    }

    private async Task<Place?> PlaceAsync(string id, CancellationToken stop) =>
        Guid.TryParse(id, out var own)
            ? await db.Places.FindAsync([own], stop) is { } row
                ? JobPlaces.Of(row)
                : null
            : ShippedData.Places.GetValueOrDefault(id);

    // From sunset, or from now where it is dark already, to an hour after sunrise. Where the sun does not set or rise it is the coming
    // half day.
    private (DateTimeOffset From, DateTimeOffset Until) Night(Place place, GeoPoint point)
    {
        var now = clock.GetUtcNow();
        var zone = DateTimeZoneProviders.Tzdb.GetZoneOrNull(place.TimeZone ?? "") ?? DateTimeZone.Utc;
        var today = Instant.FromDateTimeOffset(now).InZone(zone).Date;
        var days = Enumerable.Range(-1, 4).Select(day => LocalSun.Of(today.PlusDays(day), zone, point)).ToList();
        var rise = days.Select(day => day.Rise).FirstOrDefault(at => at > now);
        var set = days.Select(day => day.Set).FirstOrDefault(at => at > now);
        if (rise is null || set is null)
        {
            return (now, now.AddHours(12));
        }

        return rise < set
            ? (now, rise.Value.AddHours(1))
            : (set.Value, days.Select(day => day.Rise).FirstOrDefault(at => at > set)?.AddHours(1) ?? set.Value.AddHours(12));
    }
}
