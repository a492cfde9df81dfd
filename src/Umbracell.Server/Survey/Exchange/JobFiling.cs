using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.JobFiles;
using Umbracell.Formats.Pictures;
using Umbracell.Server.Jobs;
using Umbracell.Server.Problems;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Writes a job as a file and reads one back as a new job.</summary>
internal static class JobFiling
{
    public static async Task<JobFile> OutAsync(Job job, SurfaceReader reader, UmbracellDb db)
    {
        var surfaces = await reader.SurfacesAsync(job.Id);
        var standing = surfaces.Select(s => s.Id).ToHashSet();
        bool Stands(Guid? id) => id is null || standing.Contains(id.Value);
        var readings = await db.Readings.AsNoTracking().Where(r => r.JobId == job.Id).OrderBy(r => r.TakenAt).ThenBy(r => r.Id).ToListAsync();
        return new(
            JobFile.CurrentVersion,
            Filed.Of(job),
            [.. (await Rows(db.BufferSpaces).OrderBy(b => b.Name).ToListAsync()).Select(Filed.Of)],
            surfaces.ConvertAll(Filed.Of),
            [.. readings.Where(r => Stands(r.SurfaceId)).Select(Filed.Of)],
            [.. (await Rows(db.Joints).OrderBy(j => j.Id).ToListAsync()).Where(j => Stands(j.FirstId) && Stands(j.SecondId)).Select(Filed.Of)],
            [.. (await Rows(db.Complaints).OrderBy(c => c.MadeAt).ToListAsync()).Select(c => Filed.Of(c, standing))],
            [.. (await Rows(db.Preparation).OrderBy(p => p.Id).ToListAsync()).Where(p => Stands(p.SurfaceId)).Select(Filed.Of)],
            [.. (await Rows(db.FanTests).OrderBy(t => t.TakenAt).ToListAsync()).Select(Filed.Of)],
            [.. (await Rows(db.ThermalPictures).OrderBy(t => t.TakenAt).ToListAsync()).Where(t => Stands(t.SurfaceId)).Select(Filed.Of)],
            [.. (await Rows(db.LoggerSeries).OrderBy(l => l.AddedAt).ToListAsync()).Where(l => Stands(l.SurfaceId)).Select(Filed.Of)],
            [.. (await Rows(db.Photos).OrderBy(p => p.AddedAt).ToListAsync()).Where(p => Stands(p.SurfaceId)).Select(Filed.Of)]);

        IQueryable<T> Rows<T>(IQueryable<T> rows)
            where T : class, IJobRow => rows.AsNoTracking().Where(r => r.JobId == job.Id);
    }

    /// <summary>Adds a filed job as a new one; nothing is saved yet. Every id is made anew, so that a job can come in twice.</summary>
    public static Job In(JobFile file, UmbracellDb db, DateTimeOffset now)
    {
        var ids = file.Surfaces.Select(s => s.Id).Concat(file.BufferSpaces.Select(b => b.Id)).Distinct().ToDictionary(id => id, _ => Guid.NewGuid());
        var job = Unfiled.Job(file.Job, now);
        db.Jobs.Add(job);
        db.BufferSpaces.AddRange(file.BufferSpaces.Select(b => Unfiled.Buffer(b, ids)));
        db.Surfaces.AddRange(file.Surfaces.Select((s, i) => Unfiled.Surface(s, i, ids)));
        db.Readings.AddRange(file.Readings.Select(r => Unfiled.Reading(r, ids)));
        db.Joints.AddRange(file.Joints.Select(j => Unfiled.Joint(j, ids)));
        db.Complaints.AddRange(file.Complaints.Select(c => Unfiled.Complaint(c, ids)));
        db.Preparation.AddRange(file.Preparation.Select(p => Unfiled.Preparation(p, ids)));
        db.FanTests.AddRange(file.FanTests.Select(Unfiled.FanTest));
        db.ThermalPictures.AddRange(file.ThermalPictures.Select(t => Unfiled.Thermal(t, ids)));
        db.LoggerSeries.AddRange(file.Logs.Select(l => Unfiled.Log(l, ids)));
        db.Photos.AddRange(file.Photos.Select(p => Unfiled.Photo(p, ids)));
        foreach (var row in db.ChangeTracker.Entries<IJobRow>())
        {
            row.Entity.JobId = job.Id;
        }

        foreach (var surface in db.ChangeTracker.Entries<Surface>())
        {
            surface.Entity.JobId = job.Id;
        }

        foreach (var reading in db.ChangeTracker.Entries<ReadingRow>())
        {
            reading.Entity.JobId = job.Id;
        }

        return job;
    }
}

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

/// <summary>Filed parts as rows of a new job.</summary>
internal static class Unfiled
{
    public static Job Job(FiledJob j, DateTimeOffset now) => new()
    {
        Id = Guid.NewGuid(),
        Name = Clip(j.Name, 200),
        Crew = Clip(j.Crew, 60),
        ClimateZone = Known(j.ClimateZone, Sheets.ClimateZones.All.Contains, "job.climateZone"),
        TargetSetId = Known(j.TargetSetId, Formats.DataFiles.ShippedData.TargetSets.ContainsKey, "job.targetSetId"),
        IndoorC = j.IndoorC,
        IndoorRhPct = j.IndoorRhPct,
        OutdoorC = j.OutdoorC,
        OutdoorRhPct = j.OutdoorRhPct,
        SummerIndoorC = j.SummerIndoorC,
        SummerIndoorRhPct = j.SummerIndoorRhPct,
        SummerOutdoorC = j.SummerOutdoorC,
        SummerOutdoorRhPct = j.SummerOutdoorRhPct,
        HeightM = j.HeightM,
        PlaceId = j.PlaceId is { } place ? Known(place, Formats.DataFiles.ShippedData.Places.ContainsKey, "job.placeId") : null,
        HumidityClass = j.HumidityClass,
        RoomMonthsC = Months(j.RoomMonthsC, "job.roomMonthsC"),
        RoomMonthsRhPct = Months(j.RoomMonthsRhPct, "job.roomMonthsRhPct"),
        AltitudeM = j.AltitudeM,
        RiskPct = j.RiskPct,
        CreatedAt = now,
    };

    public static BufferSpaceRow Buffer(FiledBuffer b, Dictionary<Guid, Guid> ids) =>
        new() { Id = ids[b.Id], Name = b.Name, Kind = b.Kind, VolumeM3 = b.VolumeM3, AirChanges = b.AirChanges, AirChangesPlanned = b.AirChangesPlanned, OtherLossWK = b.OtherLossWK, DuctLossW = b.DuctLossW };

    public static Surface Surface(FiledSurface s, int position, Dictionary<Guid, Guid> ids)
    {
        var surface = new Surface
        {
            Id = ids[s.Id],
            Position = position,
            Name = Clip(s.Name, 200),
            Kind = s.Kind,
            Shape = s.Shape,
            FirstM = s.FirstM,
            SecondM = s.SecondM,
            ThirdM = s.ThirdM,
            Pitch = s.Pitch,
            BayCount = s.BayCount,
            Corners = [.. s.CornersM],
            Repeats = s.Repeats,
            ProfileFactor = s.ProfileFactor,
            Substrate = s.Substrate,
            MemberMaterial = s.MemberMaterial,
            MemberDepthM = s.MemberDepthM,
            MemberSpacingM = s.MemberSpacingM,
            MemberShare = s.MemberShare,
            FoamAgainst = s.FoamAgainst,
            ShavedFlush = s.ShavedFlush,
            OpenFace = s.OpenFace,
            Assembly = new() { Outboard = [.. s.Outboard.Select(Layer)], Inboard = [.. s.Inboard.Select(Layer)], VentChannelMm = s.VentChannelMm, Baffle = s.Baffle is { } baffle ? Layer(baffle) : null },
            Details = new()
            {
                Access = s.Details.Access,
                BalloonFramed = s.Details.BalloonFramed,
                HeldAtEnds = s.Details.HeldAtEnds,
                FlangeMm = s.Details.FlangeMm,
                WebMm = s.Details.WebMm,
                SkinMm = s.Details.SkinMm,
                Covering = s.Details.Covering,
                Attachment = s.Details.Attachment,
                DoorSpareKg = s.Details.DoorSpareKg,
                PenetrationMm = s.Details.PenetrationMm,
            },
            BufferId = s.BufferId is { } buffer ? ids[buffer] : null,
            SheetSlug = s.SheetId,
            FoamThicknessM = s.FoamThicknessM,
            ExpectedSubstrateC = s.ExpectedSubstrateC,
            ExpectedDrumC = s.ExpectedDrumC,
            ChangedAt = s.ChangedAt,
        };
        surface.Openings.AddRange(s.Openings.Select((o, i) => new OpeningRow { Position = i, Count = o.Count, WidthM = o.WidthM, HeightM = o.HeightM }));
        surface.Notes.AddRange(s.Notes.Select(n => new SiteNoteRow
        {
            Id = Guid.NewGuid(),
            Kind = n.Kind,
            Words = Clip(n.Words, 500),
            Traced = n.Traced,
            DaysSinceRain = n.DaysSinceRain,
            ClearanceM = n.ClearanceM,
            MendedAt = n.MendedAt,
            MendedBy = n.MendedBy,
            NotedAt = n.NotedAt,
            NotedBy = n.NotedBy,
        }));
        return surface;
    }

    public static ReadingRow Reading(FiledReading r, Dictionary<Guid, Guid> ids) => new()
    {
        SurfaceId = Map(r.SurfaceId, ids),
        SheetSlug = r.SheetId,
        Kind = Word<ReadingKind>(r.Kind, "readings.kind"),
        Value = r.Value,
        HumidityOver = r.HumidityOver,
        Instrument = r.Instrument,
        StatedError = r.StatedError,
        Place = r.Place,
        RawValue = r.RawValue,
        Species = r.Species,
        TakenAt = r.TakenAt,
        TakenBy = r.TakenBy,
    };

    public static JointRow Joint(FiledJoint j, Dictionary<Guid, Guid> ids) => new()
    {
        Id = Guid.NewGuid(),
        FirstId = ids[j.FirstId],
        SecondId = Map(j.SecondId, ids),
        Beyond = j.Beyond,
        Kind = j.Kind,
        Water = j.Water,
        Air = j.Air,
        Vapour = j.Vapour,
        Heat = j.Heat,
        How = j.How,
        DoneBy = j.DoneBy,
        Ready = j.Ready,
        SeenBy = j.SeenBy,
        SeenAt = j.SeenAt,
        DoNotMeet = j.DoNotMeet,
    };

    public static ComplaintRow Complaint(FiledComplaint c, Dictionary<Guid, Guid> ids) =>
        new() { Id = Guid.NewGuid(), Kind = c.Kind, Place = c.Place, Words = c.Words, Suspects = [.. c.Suspects.Select(s => ids[s])], MadeAt = c.MadeAt };

    public static PreparationRow Preparation(FiledPreparation p, Dictionary<Guid, Guid> ids) =>
        new() { Id = Guid.NewGuid(), SurfaceId = Map(p.SurfaceId, ids), Item = p.Item, AssignedTo = p.AssignedTo, DueOn = p.DueOn, DoneAt = p.DoneAt, DoneBy = p.DoneBy };

    public static FanTestRow FanTest(FiledFanTest t) => new()
    {
        Id = Guid.NewGuid(),
        Phase = Word<WorkPhase>(t.Phase, "fanTests.phase"),
        Direction = t.Direction,
        IndoorC = t.IndoorC,
        OutdoorC = t.OutdoorC,
        VolumeM3 = t.VolumeM3,
        ZeroBeforePa = t.ZeroBeforePa,
        ZeroAfterPa = t.ZeroAfterPa,
        PressuresPa = [.. t.PressuresPa],
        FlowsM3S = [.. t.FlowsM3S],
        Words = t.Words,
        TakenAt = t.TakenAt,
        TakenBy = t.TakenBy,
    };

    public static ThermalPictureRow Thermal(FiledThermalPicture t, Dictionary<Guid, Guid> ids)
    {
        if (t.TempsC.Count != t.Rows * t.Columns)
        {
            throw new FieldFaultsException([new("thermalPictures.tempsC", "unknown", $"{t.TempsC.Count}")]);
        }

        var picture = new ThermalPictureRow
        {
            Id = Guid.NewGuid(),
            SurfaceId = Map(t.SurfaceId, ids),
            Name = t.Name,
            Phase = Word<WorkPhase>(t.Phase, "thermalPictures.phase"),
            Rows = t.Rows,
            Columns = t.Columns,
            TempsC = [.. t.TempsC],
            IndoorC = t.IndoorC,
            OutdoorC = t.OutdoorC,
            Conditions = t.Conditions,
            TakenAt = t.TakenAt,
            TakenBy = t.TakenBy,
        };
        picture.Spots.AddRange(t.Spots.Where(s => s.Row < t.Rows && s.Column < t.Columns).Select(s => new ThermalSpot { Label = s.Label, Row = s.Row, Column = s.Column }));
        return picture;
    }

    public static LoggerSeriesRow Log(FiledLog l, Dictionary<Guid, Guid> ids) => l.TempsC.Count == l.TimesUnixS.Count && l.RhPct.Count == l.TimesUnixS.Count
        ? new() { Id = Guid.NewGuid(), SurfaceId = Map(l.SurfaceId, ids), Name = l.Name, Times = [.. l.TimesUnixS], TempsC = [.. l.TempsC], RhPct = [.. l.RhPct], AddedAt = l.AddedAt, AddedBy = l.AddedBy }
        : throw new FieldFaultsException([new("logs.timesUnixS", "unknown", $"{l.TimesUnixS.Count}")]);

    // The bytes of a file from elsewhere are drawn anew like any upload; the file's own word for what they are counts for nothing.
    public static PhotoRow Photo(FiledPhoto p, Dictionary<Guid, Guid> ids)
    {
        var picture = PictureFile.IsAsKept(p.Bytes, p.Thumbnail, p.ContentType) ? new PictureFile(p.ContentType, p.Bytes, p.Thumbnail, p.Width, p.Height) : PictureFile.Read(p.Bytes);
        return new()
        {
            Id = Guid.NewGuid(),
            SurfaceId = Map(p.SurfaceId, ids),
            Caption = p.Caption,
            ContentType = picture.ContentType,
            Bytes = picture.Bytes,
            Thumbnail = picture.Thumbnail,
            Width = picture.Width,
            Height = picture.Height,
            AddedAt = p.AddedAt,
            AddedBy = p.AddedBy,
        };
    }

    // A room is entered for the whole year or not at all.
    private static double[] Months(IReadOnlyList<double> months, string field) => months.Count is 0 or 12 ? [.. months] : throw new FieldFaultsException([new(field, "months", $"{months.Count}")]);

    private static LayerRow Layer(FiledLayer layer) => new() { Material = Known(layer.Material, Formats.DataFiles.ShippedData.Materials.ContainsKey, "layer.material"), ThicknessMm = layer.ThicknessMm };

    private static Guid? Map(Guid? id, Dictionary<Guid, Guid> ids) => id is { } one ? ids[one] : null;

    private static string Known(string value, Func<string, bool> isKnown, string field) => isKnown(value) ? value : throw new FieldFaultsException([new(field, "unknown", value)]);

    private static T Word<T>(string value, string field)
        where T : struct, Enum => Enum.TryParse<T>(value, ignoreCase: true, out var known) && Enum.IsDefined(known) ? known : throw new FieldFaultsException([new(field, "unknown", value)]);

    private static string Clip(string text, int most) => text.Length <= most ? text : text[..most];
}
