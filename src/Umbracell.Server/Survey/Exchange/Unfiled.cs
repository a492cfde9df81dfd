using Umbracell.Core.Choosing;
using Umbracell.Formats.JobFiles;
using Umbracell.Formats.Pictures;
using Umbracell.Questions.Answers;
using Umbracell.Server.Places;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Filed parts as rows of a new job.</summary>
internal static class Unfiled
{
    public static Job Job(FiledJob j, DateTimeOffset now) =>
        new()
        {
            Id = Guid.NewGuid(),
            Name = Clip(j.Name, 200),
            Crew = Clip(j.Crew, 60),
            ClimateZone = Known(j.ClimateZone, ClimateZones.All.Contains, "job.climateZone"),
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
            Pricing = j.Pricing is { } p
                ? new(p.WorkDate, p.SpaceM3 is > 0 and < 5e6 ? p.SpaceM3 : null, Math.Clamp(p.AirChanges, 0.05, 100), p.Heater)
                : null,
            CreatedAt = now,
            TargetPath = j.Choosing?.TargetPath ?? TargetPath.U,
            Priorities = j.Choosing is { Weights: { Count: > 0 } weights }
                ? new(weights.DistinctBy(w => w.Part).ToDictionary(w => w.Part, w => Math.Clamp(w.Weight, 0, 5)))
                : null,
            Exceptions = j.Choosing is { Schools: { Count: > 0 } schools }
                ? new() { Schools = schools.DistinctBy(s => s.Question).ToDictionary(s => s.Question, s => s.School) }
                : null,
        };

    /// <summary>The place a filed job brings along.</summary>
    public static PlaceRow Place(FiledPlace p) =>
        new()
        {
            Id = Guid.NewGuid(),
            Name = Clip(p.Name, 120),
            ClimateZone = Known(p.ClimateZone, ClimateZones.All.Contains, "job.ownPlace.climateZone"),
            AltitudeM = p.AltitudeM,
            MeanC = Year(p.MeanC, "job.ownPlace.meanC"),
            MeanRhPct = Year(p.MeanRhPct, "job.ownPlace.meanRhPct"),
            HeatingC = p.HeatingC,
            CoolingC = p.CoolingC,
            CoolingRhPct = p.CoolingRhPct,
            Source = Clip(p.Source, 200),
            Latitude = p.Latitude,
            Longitude = p.Longitude,
            TimeZone = p.TimeZone is { } zone ? Known(zone, PlaceTime.IsZone, "job.ownPlace.timeZone") : null,
        };

    /// <summary>The target set a filed job brings along.</summary>
    public static TargetSetRow Targets(FiledTargets t)
    {
        var based = Formats.DataFiles.ShippedData.TargetSets[
            Known(t.BasedOn, Formats.DataFiles.ShippedData.TargetSets.ContainsKey, "job.ownTargets.basedOn")
        ];
        foreach (var line in t.GreatestU)
        {
            Known(
                line.Zone,
                zone =>
                    based
                        .GreatestU.GetValueOrDefault(Word<Formats.DataFiles.EnvelopeElement>(line.Element, "job.ownTargets.element"))
                        ?.ContainsKey(zone) == true,
                "job.ownTargets.zone"
            );
        }

        return new()
        {
            Id = Guid.NewGuid(),
            Edition = Clip(t.Edition, 120),
            BasedOn = t.BasedOn,
            GreatestU = t
                .GreatestU.GroupBy(l => l.Element)
                .ToDictionary(e => e.Key, e => e.DistinctBy(l => l.Zone).ToDictionary(l => l.Zone, l => l.UWM2K)),
        };
    }

    public static BidRow Bid(FiledBid b) =>
        new()
        {
            Id = Guid.NewGuid(),
            MadeAt = b.MadeAt,
            MadeBy = Clip(b.MadeBy, 120),
            WorkDate = b.WorkDate,
            Document = new(
                [.. b.Lines.Select(l => new KeptLine(l.Key, l.Quantity, l.Dimension.ToString(), l.Amount))],
                b.Net,
                b.Price,
                [.. b.Surfaces.Select(s => new KeptSurface(s.Name, s.SubstrateC, s.Route, s.Sets))]
            ),
        };

    public static BufferSpaceRow Buffer(FiledBuffer b, Dictionary<Guid, Guid> ids) =>
        new()
        {
            Id = ids[b.Id],
            Name = b.Name,
            Kind = b.Kind,
            VolumeM3 = b.VolumeM3,
            AirChanges = b.AirChanges,
            AirChangesPlanned = b.AirChangesPlanned,
            OtherLossWK = b.OtherLossWK,
            DuctLossW = b.DuctLossW,
        };

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
            Assembly = new()
            {
                Outboard = [.. s.Outboard.Select(Layer)],
                Inboard = [.. s.Inboard.Select(Layer)],
                VentChannelMm = s.VentChannelMm,
                Baffle = s.Baffle is { } baffle ? Layer(baffle) : null,
            },
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
                CrawlSpace = s.Details.CrawlSpace,
            },
            BufferId = s.BufferId is { } buffer ? ids[buffer] : null,
            SheetSlug = s.SheetId,
            FoamThicknessM = s.FoamThicknessM,
            ExpectedSubstrateC = s.ExpectedSubstrateC,
            ExpectedDrumC = s.ExpectedDrumC,
            ChangedAt = s.ChangedAt,
            System = s.System is { } system ? System(system) : null,
            ChoiceFacts = s.ChoiceFacts is { } f ? Facts(f) : null,
        };
        surface.Openings.AddRange(
            s.Openings.Select(
                (o, i) =>
                    new OpeningRow
                    {
                        Position = i,
                        Count = o.Count,
                        WidthM = o.WidthM,
                        HeightM = o.HeightM,
                    }
            )
        );
        surface.Notes.AddRange(
            s.Notes.Select(n => new SiteNoteRow
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
                ReceivedAt = n.ReceivedAt ?? n.NotedAt,
                NotedBy = n.NotedBy,
            })
        );
        return surface;
    }

    private static SystemDocument System(FiledSystem s) =>
        new(
            s.Kind,
            [.. s.Then.Select(t => new FillRow(Word<FillRowKind>(t.Kind, "surfaces.system.then.kind"), t.Id, t.ThicknessMm, t.TakesRest))],
            [.. s.AddedOutboard.Select(Layer)],
            [.. s.AddedInboard.Select(Layer)],
            s.ChosenBy,
            s.ChosenAt,
            s.Overrides,
            s.Reason,
            null
        );

    private static ChoiceFactsDocument Facts(FiledChoiceFacts f) =>
        new()
        {
            Unconditioned = f.Unconditioned,
            SoundAsked = f.SoundAsked,
            Workplace = f.Workplace,
            LaterAccess = f.LaterAccess,
            RainBeforeCover = f.RainBeforeCover,
            OldBuilding = f.OldBuilding,
            Termites = f.Termites,
            Radon = f.Radon,
            FloodProne = f.FloodProne,
            CombustionInside = f.CombustionInside,
            LooseFill = f.LooseFill,
            VentedCladding = f.VentedCladding,
            LoadKPa = f.LoadKPa,
        };

    public static ReadingRow Reading(FiledReading r, Dictionary<Guid, Guid> ids) =>
        new()
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
            ReceivedAt = r.ReceivedAt ?? r.TakenAt,
            TakenBy = r.TakenBy,
        };

    public static JointRow Joint(FiledJoint j, Dictionary<Guid, Guid> ids) =>
        new()
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
        new()
        {
            Id = Guid.NewGuid(),
            Kind = c.Kind,
            Place = c.Place,
            Words = c.Words,
            Suspects = [.. c.Suspects.Select(s => ids[s])],
            MadeAt = c.MadeAt,
        };

    public static PreparationRow Preparation(FiledPreparation p, Dictionary<Guid, Guid> ids) =>
        new()
        {
            Id = Guid.NewGuid(),
            SurfaceId = Map(p.SurfaceId, ids),
            Item = p.Item,
            AssignedTo = p.AssignedTo,
            DueOn = p.DueOn,
            DoneAt = p.DoneAt,
            DoneBy = p.DoneBy,
            TickedAt = p.TickedAt ?? p.DoneAt,
        };

    public static FanTestRow FanTest(FiledFanTest t) =>
        new()
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
        picture.Spots.AddRange(
            t.Spots.Where(s => s.Row < t.Rows && s.Column < t.Columns)
                .Select(s => new ThermalSpot
                {
                    Label = s.Label,
                    Row = s.Row,
                    Column = s.Column,
                })
        );
        return picture;
    }

    public static LoggerSeriesRow Log(FiledLog l, Dictionary<Guid, Guid> ids) =>
        new()
        {
            Id = Guid.NewGuid(),
            SurfaceId = Map(l.SurfaceId, ids),
            Name = l.Name,
            Times = [.. l.TimesUnixS],
            TempsC = [.. l.TempsC],
            RhPct = [.. l.RhPct],
            AddedAt = l.AddedAt,
            AddedBy = l.AddedBy,
        };

    // The bytes of a file from elsewhere are drawn anew like any upload; the file's own word for what they are counts for nothing.
    public static PhotoRow Photo(FiledPhoto p, Dictionary<Guid, Guid> ids)
    {
        var picture = PictureFile.IsAsKept(p.Bytes, p.Thumbnail, p.ContentType)
            ? new PictureFile(p.ContentType, p.Bytes, p.Thumbnail, p.Width, p.Height)
            : PictureFile.Read(p.Bytes);
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
            ReceivedAt = p.ReceivedAt ?? p.AddedAt,
            AddedBy = p.AddedBy,
        };
    }

    // A room is entered for the whole year or not at all.
    private static double[] Months(IReadOnlyList<double> months, string field) =>
        months.Count is 0 or 12 ? [.. months] : throw new FieldFaultsException([new(field, "months", $"{months.Count}")]);

    private static double[] Year(IReadOnlyList<double> months, string field) =>
        months.Count == 12 ? [.. months] : throw new FieldFaultsException([new(field, "months", $"{months.Count}")]);

    private static LayerRow Layer(FiledLayer layer) =>
        new()
        {
            Material = Known(layer.Material, Formats.DataFiles.ShippedData.Materials.ContainsKey, "layer.material"),
            ThicknessMm = layer.ThicknessMm,
        };

    private static Guid? Map(Guid? id, Dictionary<Guid, Guid> ids) => id is { } one ? ids[one] : null;

    private static string Known(string value, Func<string, bool> isKnown, string field) =>
        isKnown(value) ? value : throw new FieldFaultsException([new(field, "unknown", value)]);

    private static T Word<T>(string value, string field)
        where T : struct, Enum =>
        Enum.TryParse<T>(value, ignoreCase: true, out var known) && Enum.IsDefined(known)
            ? known
            : throw new FieldFaultsException([new(field, "unknown", value)]);

    private static string Clip(string text, int most) => text.Length <= most ? text : text[..most];
}
