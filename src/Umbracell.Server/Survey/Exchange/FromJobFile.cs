using Riok.Mapperly.Abstractions;
using Umbracell.Core.Choosing;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.JobFiles;
using Umbracell.Formats.Pictures;
using Umbracell.Questions.Answers;
using Umbracell.Server.Materials;
using Umbracell.Server.Places;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Filed parts as rows of a new job. Every part of the file becomes a column of its name, or is taken by hand here: the build
/// fails over a part that is neither.</summary>
[Mapper(RequiredMappingStrategy = RequiredMappingStrategy.Source)]
internal static partial class FromJobFile
{
    public static Job Job(FiledJob j, Guid id, DateTimeOffset now)
    {
        Known(j.ClimateZone, ClimateZones.All.Contains, "job.climateZone");
        Known(j.TargetSetId, ShippedData.TargetSets.ContainsKey, "job.targetSetId");
        if (j.PlaceId is { } place)
        {
            Known(place, ShippedData.Places.ContainsKey, "job.placeId");
        }

        var job = Row(j);
        (job.Id, job.CreatedAt, job.State) = (id, now, j.State ?? JobState.Estimate);
        job.CorrectsForecast = j.CorrectsForecast ?? true;
        job.Name = Clip(j.Name, 200);
        (job.RoomMonthsC, job.RoomMonthsRhPct) = (
            Months(j.RoomMonthsC, "job.roomMonthsC"),
            Months(j.RoomMonthsRhPct, "job.roomMonthsRhPct")
        );
        job.Pricing = j.Pricing is { } p
            ? p with
            {
                SpaceM3 = p.SpaceM3 is > 0 and < 5e6 ? p.SpaceM3 : null,
                AirChanges = Math.Clamp(p.AirChanges, 0.05, 100),
            }
            : null;
        job.TargetPath = j.Choosing?.TargetPath ?? TargetPath.U;
        job.Priorities = j.Choosing is { Weights: { Count: > 0 } weights }
            ? new(weights.DistinctBy(w => w.Part).ToDictionary(w => w.Part, w => Math.Clamp(w.Weight, 0, 5)))
            : null;
        job.Exceptions = j.Choosing is { Schools: { Count: > 0 } schools }
            ? new()
            {
                Schools = schools
                    .Where(s => s.School == School.Either || Practice.SchoolsOf(s.Question).Contains(s.School))
                    .DistinctBy(s => s.Question)
                    .ToDictionary(s => s.Question, s => s.School),
            }
            : null;
        return job;
    }

    // A place, targets and a crew are rows of their own.
    [MapperIgnoreSource(nameof(FiledJob.Crew))]
    [MapperIgnoreSource(nameof(FiledJob.OwnPlace))]
    [MapperIgnoreSource(nameof(FiledJob.OwnTargets))]
    [MapperIgnoreSource(nameof(FiledJob.Choosing))]
    [MapperIgnoreSource(nameof(FiledJob.State))]
    [MapperIgnoreSource(nameof(FiledJob.CorrectsForecast))]
    private static partial Job Row(FiledJob job);

    /// <summary>The crew a filed job names.</summary>
    public static string Crew(FiledJob job) => Clip(job.Crew, MeansRow.LongestName).Trim();

    /// <summary>The place a filed job brings along.</summary>
    public static PlaceRow Place(FiledPlace p)
    {
        Known(p.ClimateZone, ClimateZones.All.Contains, "job.ownPlace.climateZone");
        if (p.TimeZone is { } zone)
        {
            Known(zone, PlaceTime.IsZone, "job.ownPlace.timeZone");
        }

        var place = Row(p);
        (place.Id, place.Name, place.Source) = (Guid.NewGuid(), Clip(p.Name, 120), Clip(p.Source, 200));
        (place.MeanC, place.MeanRhPct) = (Year(p.MeanC, "job.ownPlace.meanC"), Year(p.MeanRhPct, "job.ownPlace.meanRhPct"));
        return place;
    }

    private static partial PlaceRow Row(FiledPlace place);

    /// <summary>The target set a filed job brings along.</summary>
    public static TargetSetRow Targets(FiledTargets t)
    {
        var based = ShippedData.TargetSets[Known(t.BasedOn, ShippedData.TargetSets.ContainsKey, "job.ownTargets.basedOn")];
        foreach (var line in t.GreatestU)
        {
            Known(
                line.Zone,
                zone =>
                    based.GreatestU.GetValueOrDefault(Word<EnvelopeElement>(line.Element, "job.ownTargets.element"))?.ContainsKey(zone)
                    == true,
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
            Document = new(b.Lines, b.Net, b.Price, b.Surfaces),
        };

    public static PaperRow Paper(FiledPaper p) =>
        new()
        {
            Id = Guid.NewGuid(),
            Kind = p.Kind,
            ShowsPrices = p.ShowsPrices,
            MadeAt = p.MadeAt,
            MadeBy = Clip(p.MadeBy, 120),
            Document = p.Document,
        };

    public static BufferSpaceRow Buffer(FiledBuffer b, Dictionary<Guid, Guid> ids)
    {
        var row = Row(b);
        row.Id = ids[b.Id];
        return row;
    }

    private static partial BufferSpaceRow Row(FiledBuffer buffer);

    public static Surface Surface(FiledSurface s, int position, Dictionary<Guid, Guid> ids)
    {
        CheckMaterials(s.Outboard, s.Inboard, s.Baffle is { } baffle ? [baffle] : []);
        CheckMaterials(s.System?.AddedOutboard ?? [], s.System?.AddedInboard ?? []);
        foreach (var layer in (s.System?.Further ?? []).Where(layer => layer.Kind != FillKind.Foam))
        {
            Known(layer.Id, FirmMaterials.IsOne, "system.further");
        }

        var surface = Row(s);
        (surface.Id, surface.Position, surface.Name) = (ids[s.Id], position, Clip(s.Name, 200));
        surface.BufferId = Map(s.BufferId, ids);
        surface.Assembly = Assembly(s);
        surface.System = s.System is { } system ? system with { Before = null } : null;
        surface.Openings.AddRange(s.Openings.Select(Opening));
        surface.Notes.AddRange(s.Notes.Select(Note));
        return surface;
    }

    [MapProperty(nameof(FiledSurface.CornersM), nameof(Store.Model.Surface.Corners))]
    [MapProperty(nameof(FiledSurface.SheetId), nameof(Store.Model.Surface.SheetSlug))]
    [MapperIgnoreSource(nameof(FiledSurface.Outboard))]
    [MapperIgnoreSource(nameof(FiledSurface.Inboard))]
    [MapperIgnoreSource(nameof(FiledSurface.VentChannelMm))]
    [MapperIgnoreSource(nameof(FiledSurface.Baffle))]
    [MapperIgnoreSource(nameof(FiledSurface.Openings))]
    [MapperIgnoreSource(nameof(FiledSurface.Notes))]
    private static partial Surface Row(FiledSurface surface);

    private static AssemblyDocument Assembly(FiledSurface s) =>
        new()
        {
            Outboard = s.Outboard,
            Inboard = s.Inboard,
            VentChannelMm = s.VentChannelMm,
            Baffle = s.Baffle,
        };

    private static OpeningRow Opening(FiledOpening o, int position)
    {
        var row = Row(o);
        row.Position = position;
        return row;
    }

    private static partial OpeningRow Row(FiledOpening opening);

    private static SiteNoteRow Note(FiledNote n)
    {
        var row = Row(n);
        (row.Id, row.Words, row.ReceivedAt) = (Guid.NewGuid(), Clip(n.Words, 500), n.ReceivedAt ?? n.NotedAt);
        return row;
    }

    [MapperIgnoreSource(nameof(FiledNote.ReceivedAt))]
    private static partial SiteNoteRow Row(FiledNote note);

    public static ReadingRow Reading(FiledReading r, Dictionary<Guid, Guid> ids)
    {
        var row = Row(r);
        (row.SurfaceId, row.ReceivedAt) = (Map(r.SurfaceId, ids), r.ReceivedAt ?? r.TakenAt);
        return row;
    }

    [MapProperty(nameof(FiledReading.SheetId), nameof(ReadingRow.SheetSlug))]
    [MapperIgnoreSource(nameof(FiledReading.ReceivedAt))]
    private static partial ReadingRow Row(FiledReading reading);

    public static JointRow Joint(FiledJoint j, Dictionary<Guid, Guid> ids)
    {
        var row = Row(j);
        (row.Id, row.FirstId, row.SecondId) = (Guid.NewGuid(), ids[j.FirstId], Map(j.SecondId, ids));
        return row;
    }

    private static partial JointRow Row(FiledJoint joint);

    public static ComplaintRow Complaint(FiledComplaint c, Dictionary<Guid, Guid> ids)
    {
        var row = Row(c);
        (row.Id, row.Suspects) = (Guid.NewGuid(), [.. c.Suspects.Select(s => ids[s])]);
        return row;
    }

    private static partial ComplaintRow Row(FiledComplaint complaint);

    public static PreparationRow Preparation(FiledPreparation p, Dictionary<Guid, Guid> ids)
    {
        var row = Row(p);
        (row.Id, row.SurfaceId, row.TickedAt) = (Guid.NewGuid(), Map(p.SurfaceId, ids), p.TickedAt ?? p.DoneAt);
        return row;
    }

    private static partial PreparationRow Row(FiledPreparation mark);

    public static FanTestRow FanTest(FiledFanTest t)
    {
        var row = Row(t);
        row.Id = Guid.NewGuid();
        return row;
    }

    private static partial FanTestRow Row(FiledFanTest test);

    public static ThermalPictureRow Thermal(FiledThermalPicture t, Dictionary<Guid, Guid> ids)
    {
        if (t.TempsC.Count != t.Rows * t.Columns)
        {
            throw FieldFaultsException.Of("thermalPictures.tempsC", FaultCode.Unknown, $"{t.TempsC.Count}");
        }

        var row = Row(t);
        (row.Id, row.SurfaceId) = (Guid.NewGuid(), Map(t.SurfaceId, ids));
        row.Spots.AddRange(t.Spots.Where(s => s.Row < t.Rows && s.Column < t.Columns).Select(Row));
        return row;
    }

    [MapperIgnoreSource(nameof(FiledThermalPicture.Spots))]
    private static partial ThermalPictureRow Row(FiledThermalPicture picture);

    private static partial ThermalSpot Row(FiledSpot spot);

    public static LoggerSeriesRow Log(FiledLog l, Dictionary<Guid, Guid> ids)
    {
        var row = Row(l);
        (row.Id, row.SurfaceId, row.Outdoors) = (Guid.NewGuid(), Map(l.SurfaceId, ids), l.Outdoors == true);
        return row;
    }

    [MapperIgnoreSource(nameof(FiledLog.Outdoors))]
    [MapProperty(nameof(FiledLog.TimesUnixS), nameof(LoggerSeriesRow.Times))]
    private static partial LoggerSeriesRow Row(FiledLog series);

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
            TestShotId = Map(p.TestShotId, ids),
            LogEntryId = Map(p.LogEntryId, ids),
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

    /// <summary>How a rig was set then; its number is given by where it goes.</summary>
    public static RigSettingRow Setting(FiledRigSetting s)
    {
        var row = Row(s);
        row.SheetSlug = Clip(s.SheetId, 60);
        row.Tip = Clip(s.Tip, RigSettingRow.LongestTip);
        (row.LotA, row.LotB) = (Clip(s.LotA, RigSettingRow.LongestLot), Clip(s.LotB, RigSettingRow.LongestLot));
        return row;
    }

    [MapperIgnoreSource(nameof(FiledRigSetting.Rig))]
    [MapProperty(nameof(FiledRigSetting.SheetId), nameof(RigSettingRow.SheetSlug))]
    [MapProperty(nameof(FiledRigSetting.MaterialPressurePa), nameof(RigSettingRow.PressurePa))]
    private static partial RigSettingRow Row(FiledRigSetting setting);

    public static TestShotRow Shot(FiledTestShot s, Dictionary<Guid, Guid> ids)
    {
        var row = Row(s);
        (row.Id, row.SurfaceId, row.SheetSlug) = (ids[s.Id], ids[s.SurfaceId], Clip(s.SheetId, 60));
        (row.Done, row.DoneSince) = (string.Join(' ', s.Done.Distinct()), string.Join(' ', s.DoneSince.Distinct()));
        return row;
    }

    [MapperIgnoreSource(nameof(FiledTestShot.Rig))]
    [MapperIgnoreSource(nameof(FiledTestShot.Done))]
    [MapperIgnoreSource(nameof(FiledTestShot.DoneSince))]
    [MapProperty(nameof(FiledTestShot.SheetId), nameof(TestShotRow.SheetSlug))]
    [MapProperty(nameof(FiledTestShot.Shot), nameof(TestShotRow.Document))]
    private static partial TestShotRow Row(FiledTestShot shot);

    [MapperIgnoreSource(nameof(FiledSprayerCheck.Rig))]
    private static partial SprayerCheckRow Row(FiledSprayerCheck check);

    public static SprayerCheckRow Check(FiledSprayerCheck c)
    {
        var row = Row(c);
        row.Sprayer = Clip(c.Sprayer, SprayerCheckRow.LongestName);
        return row;
    }

    /// <summary>An entry of the log under new ids; one that names an entry the file lacks goes on naming none.</summary>
    public static LogEntryRow LogEntry(FiledLogEntry filed, Dictionary<Guid, Guid> ids)
    {
        var entry = filed.Entry;
        return new()
        {
            Id = ids[entry.Id],
            SurfaceId = filed.SurfaceId is { } surface ? ids[surface] : null,
            ReceivedAt = filed.ReceivedAt,
            Document = entry with
            {
                Id = ids[entry.Id],
                Replaces = New(entry.Replaces),
                Of = New(entry.Of),

                // Drums of another store.
                StockLot = null,
                Place = entry.Place is { } place ? Clip(place, LogEntryDocument.LongestPlace) : null,
                Words = entry.Words is { } words ? Clip(words, LogEntryDocument.LongestWords) : null,
            },
        };

        Guid? New(Guid? old) => old is { } id && ids.TryGetValue(id, out var made) ? made : null;
    }

    // A room is entered for the whole year or not at all.
    private static double[] Months(IReadOnlyList<double> months, string field) =>
        months.Count is 0 or 12 ? [.. months] : throw FieldFaultsException.Of(field, FaultCode.Months, $"{months.Count}");

    private static double[] Year(IReadOnlyList<double> months, string field) =>
        months.Count == 12 ? [.. months] : throw FieldFaultsException.Of(field, FaultCode.Months, $"{months.Count}");

    private static void CheckMaterials(params IReadOnlyList<LayerDocument>[] sides)
    {
        foreach (var layer in sides.SelectMany(side => side))
        {
            Known(
                layer.Material,
                id => FirmMaterials.IsOne(id) && ShippedData.Materials.ContainsKey(FirmMaterials.UsualOf(id)),
                "layer.material"
            );
        }
    }

    private static Guid? Map(Guid? id, Dictionary<Guid, Guid> ids) => id is { } one ? ids[one] : null;

    private static string Known(string value, Func<string, bool> isKnown, string field) =>
        isKnown(value) ? value : throw FieldFaultsException.Of(field, FaultCode.Unknown, value);

    private static ReadingKind ReadingKindOf(string word) => Word<ReadingKind>(word, "readings.kind");

    private static WorkPhase PhaseOf(string word) => Word<WorkPhase>(word, "phase");

    private static T Word<T>(string value, string field)
        where T : struct, Enum =>
        Enum.TryParse<T>(value, ignoreCase: true, out var known) && Enum.IsDefined(known)
            ? known
            : throw FieldFaultsException.Of(field, FaultCode.Unknown, value);

    private static string Clip(string text, int most) => text.Length <= most ? text : text[..most];
}
