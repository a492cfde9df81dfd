using Umbracell.Formats.JobFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Rows as they are filed.</summary>
internal static class Filed
{
    public static FiledJob Of(Job j) => new(
        j.Name, j.Crew, j.ClimateZone, j.TargetSetId, j.IndoorC, j.IndoorRhPct, j.OutdoorC, j.OutdoorRhPct, j.SummerIndoorC, j.SummerIndoorRhPct, j.SummerOutdoorC, j.SummerOutdoorRhPct, j.HeightM, j.PlaceId, j.HumidityClass, j.RoomMonthsC, j.RoomMonthsRhPct, j.AltitudeM, j.RiskPct, j.CreatedAt);

    public static FiledBuffer Of(BufferSpaceRow b) => new(b.Id, b.Name, b.Kind, b.VolumeM3, b.AirChanges, b.AirChangesPlanned, b.OtherLossWK, b.DuctLossW);

    public static FiledSurface Of(Surface s) => new(
        s.Id, s.Name, s.Kind, s.Shape, s.FirstM, s.SecondM, s.ThirdM, s.Pitch, s.BayCount, s.Corners, s.Repeats, s.ProfileFactor, s.Substrate, s.MemberMaterial, s.MemberDepthM, s.MemberSpacingM, s.MemberShare,
        s.FoamAgainst, s.ShavedFlush, s.OpenFace, [.. s.Assembly.Outboard.Select(Of)], [.. s.Assembly.Inboard.Select(Of)], s.Assembly.VentChannelMm, s.Assembly.Baffle is { } baffle ? Of(baffle) : null, Of(s.Details),
        s.BufferId, s.SheetSlug, s.FoamThicknessM, s.ExpectedSubstrateC, s.ExpectedDrumC, [.. s.Openings.OrderBy(o => o.Position).Select(o => new FiledOpening(o.Count, o.WidthM, o.HeightM))],
        [.. s.Notes.OrderBy(n => n.NotedAt).ThenBy(n => n.Kind).ThenBy(n => n.Words, StringComparer.Ordinal).Select(n => new FiledNote(n.Kind, n.Words, n.Traced, n.DaysSinceRain, n.ClearanceM, n.MendedAt, n.MendedBy, n.NotedAt, n.NotedBy))], s.ChangedAt);

    public static FiledReading Of(ReadingRow r) => new(
        r.SurfaceId, r.SheetSlug, r.Kind.ToString(), r.Value, r.HumidityOver, r.Instrument, r.StatedError, r.Place, r.RawValue, r.Species, r.TakenAt, r.TakenBy);

    public static FiledJoint Of(JointRow j) => new(j.FirstId, j.SecondId, j.Beyond, j.Kind, j.Water, j.Air, j.Vapour, j.Heat, j.How, j.DoneBy, j.Ready, j.SeenBy, j.SeenAt, j.DoNotMeet);

    public static FiledComplaint Of(ComplaintRow c, IReadOnlySet<Guid> standing) => new(c.Kind, c.Place, c.Words, [.. c.Suspects.Where(standing.Contains)], c.MadeAt);

    public static FiledPreparation Of(PreparationRow p) => new(p.SurfaceId, p.Item, p.AssignedTo, p.DueOn, p.DoneAt, p.DoneBy);

    public static FiledFanTest Of(FanTestRow t) => new(
        t.Phase.ToString(), t.Direction, t.IndoorC, t.OutdoorC, t.VolumeM3, t.ZeroBeforePa, t.ZeroAfterPa, t.PressuresPa, t.FlowsM3S, t.Words, t.TakenAt, t.TakenBy);

    public static FiledThermalPicture Of(ThermalPictureRow t) => new(
        t.SurfaceId, t.Name, t.Phase.ToString(), t.Rows, t.Columns, t.TempsC, t.IndoorC, t.OutdoorC, t.Conditions, [.. t.Spots.Select(s => new FiledSpot(s.Label, s.Row, s.Column))], t.TakenAt, t.TakenBy);

    public static FiledLog Of(LoggerSeriesRow l) => new(l.SurfaceId, l.Name, l.Times, l.TempsC, l.RhPct, l.AddedAt, l.AddedBy);

    public static FiledPhoto Of(PhotoRow p) => new(p.SurfaceId, p.Caption, p.ContentType, p.Bytes, p.Thumbnail, p.Width, p.Height, p.AddedAt, p.AddedBy);

    private static FiledLayer Of(LayerRow layer) => new(layer.Material, layer.ThicknessMm);

    private static FiledDetails Of(DetailsDocument d) => new(d.Access, d.BalloonFramed, d.HeldAtEnds, d.FlangeMm, d.WebMm, d.SkinMm, d.Covering, d.Attachment, d.DoorSpareKg, d.PenetrationMm);
}
