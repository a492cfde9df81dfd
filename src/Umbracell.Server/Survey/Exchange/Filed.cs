using Umbracell.Core.Choosing;
using Umbracell.Formats.JobFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Rows as they are filed.</summary>
internal static class Filed
{
    public static FiledJob Of(Job j) =>
        new(
            j.Name,
            j.Crew,
            j.ClimateZone,
            j.TargetSetId,
            j.IndoorC,
            j.IndoorRhPct,
            j.OutdoorC,
            j.OutdoorRhPct,
            j.SummerIndoorC,
            j.SummerIndoorRhPct,
            j.SummerOutdoorC,
            j.SummerOutdoorRhPct,
            j.HeightM,
            j.PlaceId,
            j.HumidityClass,
            j.RoomMonthsC,
            j.RoomMonthsRhPct,
            j.AltitudeM,
            j.RiskPct,
            j.CreatedAt,
            ChoosingOf(j),
            j.OwnPlace is { } own ? Of(own) : null,
            j.OwnTargets is { } targets ? Of(targets) : null,
            j.Pricing is { } p ? new(p.WorkDate, p.SpaceM3, p.AirChanges, p.Heater) : null
        );

    public static FiledBid? Of(BidRow b) =>
        b.Document is { } made
            ? new(
                b.MadeAt,
                b.MadeBy,
                b.WorkDate,
                made.Net,
                made.Price,
                [
                    .. made.Lines.Select(l => new FiledBidLine(
                        l.Key,
                        l.Quantity,
                        Enum.Parse<Core.Quantities.Dimension>(l.Dimension),
                        l.Amount
                    )),
                ],
                [.. made.Surfaces.Select(s => new FiledBidSurface(s.Name, s.SubstrateC, s.Route, s.Sets))]
            )
            : null;

    public static FiledTargets Of(TargetSetRow t) =>
        new(t.Edition, t.BasedOn, [.. (t.GreatestU ?? []).SelectMany(e => e.Value.Select(z => new FiledTarget(e.Key, z.Key, z.Value)))]);

    private static FiledPlace Of(PlaceRow p) =>
        new(
            p.Name,
            p.ClimateZone,
            p.AltitudeM,
            p.MeanC,
            p.MeanRhPct,
            p.HeatingC,
            p.CoolingC,
            p.CoolingRhPct,
            p.Source,
            p.Latitude,
            p.Longitude,
            p.TimeZone
        );

    public static FiledBuffer Of(BufferSpaceRow b) =>
        new(b.Id, b.Name, b.Kind, b.VolumeM3, b.AirChanges, b.AirChangesPlanned, b.OtherLossWK, b.DuctLossW);

    public static FiledSurface Of(Surface s) =>
        new(
            s.Id,
            s.Name,
            s.Kind,
            s.Shape,
            s.FirstM,
            s.SecondM,
            s.ThirdM,
            s.Pitch,
            s.BayCount,
            s.Corners,
            s.Repeats,
            s.ProfileFactor,
            s.Substrate,
            s.MemberMaterial,
            s.MemberDepthM,
            s.MemberSpacingM,
            s.MemberShare,
            s.FoamAgainst,
            s.ShavedFlush,
            s.OpenFace,
            [.. s.Assembly.Outboard.Select(Of)],
            [.. s.Assembly.Inboard.Select(Of)],
            s.Assembly.VentChannelMm,
            s.Assembly.Baffle is { } baffle ? Of(baffle) : null,
            Of(s.Details),
            s.BufferId,
            s.SheetSlug,
            s.FoamThicknessM,
            s.ExpectedSubstrateC,
            s.ExpectedDrumC,
            [.. s.Openings.OrderBy(o => o.Position).Select(o => new FiledOpening(o.Count, o.WidthM, o.HeightM))],
            [
                .. s
                    .Notes.OrderBy(n => n.NotedAt)
                    .ThenBy(n => n.Kind)
                    .ThenBy(n => n.Words, StringComparer.Ordinal)
                    .Select(n => new FiledNote(
                        n.Kind,
                        n.Words,
                        n.Traced,
                        n.DaysSinceRain,
                        n.ClearanceM,
                        n.MendedAt,
                        n.MendedBy,
                        n.NotedAt,
                        n.NotedBy,
                        n.ReceivedAt
                    )),
            ],
            s.ChangedAt,
            s.System is { } system ? Of(system) : null,
            s.ChoiceFacts is { } facts ? Of(facts) : null
        );

    public static FiledReading Of(ReadingRow r) =>
        new(
            r.SurfaceId,
            r.SheetSlug,
            r.Kind.ToString(),
            r.Value,
            r.HumidityOver,
            r.Instrument,
            r.StatedError,
            r.Place,
            r.RawValue,
            r.Species,
            r.TakenAt,
            r.TakenBy,
            r.ReceivedAt
        );

    public static FiledJoint Of(JointRow j) =>
        new(
            j.FirstId,
            j.SecondId,
            j.Beyond,
            j.Kind,
            j.Water,
            j.Air,
            j.Vapour,
            j.Heat,
            j.How,
            j.DoneBy,
            j.Ready,
            j.SeenBy,
            j.SeenAt,
            j.DoNotMeet
        );

    public static FiledComplaint Of(ComplaintRow c, IReadOnlySet<Guid> standing) =>
        new(c.Kind, c.Place, c.Words, [.. c.Suspects.Where(standing.Contains)], c.MadeAt);

    public static FiledPreparation Of(PreparationRow p) => new(p.SurfaceId, p.Item, p.AssignedTo, p.DueOn, p.DoneAt, p.DoneBy, p.TickedAt);

    public static FiledFanTest Of(FanTestRow t) =>
        new(
            t.Phase.ToString(),
            t.Direction,
            t.IndoorC,
            t.OutdoorC,
            t.VolumeM3,
            t.ZeroBeforePa,
            t.ZeroAfterPa,
            t.PressuresPa,
            t.FlowsM3S,
            t.Words,
            t.TakenAt,
            t.TakenBy
        );

    public static FiledThermalPicture Of(ThermalPictureRow t) =>
        new(
            t.SurfaceId,
            t.Name,
            t.Phase.ToString(),
            t.Rows,
            t.Columns,
            t.TempsC,
            t.IndoorC,
            t.OutdoorC,
            t.Conditions,
            [.. t.Spots.Select(s => new FiledSpot(s.Label, s.Row, s.Column))],
            t.TakenAt,
            t.TakenBy
        );

    public static FiledLog Of(LoggerSeriesRow l) => new(l.SurfaceId, l.Name, l.Times, l.TempsC, l.RhPct, l.AddedAt, l.AddedBy);

    public static FiledPhoto Of(PhotoRow p) =>
        new(p.SurfaceId, p.Caption, p.ContentType, p.Bytes, p.Thumbnail, p.Width, p.Height, p.AddedAt, p.AddedBy, p.ReceivedAt);

    private static FiledChoosing ChoosingOf(Job j) =>
        new(
            j.TargetPath,
            [
                .. (j.Priorities?.Weights ?? new Dictionary<ScorePart, double>())
                    .OrderBy(w => w.Key)
                    .Select(w => new FiledWeight(w.Key, w.Value)),
            ],
            [
                .. (j.Exceptions?.Schools ?? new Dictionary<PracticeQuestion, School>())
                    .OrderBy(s => s.Key)
                    .Select(s => new FiledSchool(s.Key, s.Value)),
            ]
        );

    private static FiledSystem Of(SystemDocument s) =>
        new(
            s.Kind,
            [.. s.Then.Select(t => new FiledFill(t.Kind.ToString(), t.Id, t.ThicknessMm, t.TakesRest))],
            [.. s.AddedOutboard.Select(Of)],
            [.. s.AddedInboard.Select(Of)],
            s.ChosenBy,
            s.ChosenAt,
            s.Overrides,
            s.Reason
        );

    private static FiledChoiceFacts Of(ChoiceFactsDocument f) =>
        new(
            f.Unconditioned,
            f.SoundAsked,
            f.Workplace,
            f.LaterAccess,
            f.RainBeforeCover,
            f.OldBuilding,
            f.Termites,
            f.Radon,
            f.FloodProne,
            f.CombustionInside,
            f.LoadKPa,
            f.LooseFill,
            f.VentedCladding
        );

    private static FiledLayer Of(LayerRow layer) => new(layer.Material, layer.ThicknessMm);

    private static FiledDetails Of(DetailsDocument d) =>
        new(
            d.Access,
            d.BalloonFramed,
            d.HeldAtEnds,
            d.FlangeMm,
            d.WebMm,
            d.SkinMm,
            d.Covering,
            d.Attachment,
            d.DoorSpareKg,
            d.PenetrationMm,
            d.CrawlSpace
        );
}
