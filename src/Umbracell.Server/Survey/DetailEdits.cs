using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Weather;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>Takes what else is asked of a kind of surface.</summary>
internal static class DetailEdits
{
    public static readonly string[] Fields =
    [
        "access",
        "balloonFramed",
        "crawlSpace",
        "heldAtEnds",
        "flange",
        "web",
        "skin",
        "covering",
        "attachment",
        "doorSpare",
        "penetration",
        "buffer",
        "facing",
        "shelter",
        "faceHeight",
        "coveredOn",
    ];

    public static void Take(TypedFields fields, Surface surface, SurveyChoices known)
    {
        var details = surface.Details;
        fields.Choice<AccessKind>("access", access => details = details with { Access = access });
        fields.YesNo("balloonFramed", yes => details = details with { BalloonFramed = yes });
        fields.YesNo("crawlSpace", yes => details = details with { CrawlSpace = yes });
        fields.YesNo("heldAtEnds", yes => details = details with { HeldAtEnds = yes });
        fields.QuantityOrBlank("flange", FieldRanges.Flange, si => details = details with { FlangeMm = si * 1000 });
        fields.QuantityOrBlank("web", FieldRanges.Web, si => details = details with { WebMm = si * 1000 });
        fields.QuantityOrBlank("skin", FieldRanges.Skin, si => details = details with { SkinMm = si * 1000 });
        fields.Choice<Covering>("covering", covering => details = details with { Covering = covering });
        fields.Choice<Attachment>("attachment", attachment => details = details with { Attachment = attachment });
        fields.QuantityOrBlank("doorSpare", FieldRanges.DoorSpare, kg => details = details with { DoorSpareKg = kg });
        fields.QuantityOrBlank("penetration", FieldRanges.Penetration, si => details = details with { PenetrationMm = (si ?? 0) * 1000 });
        fields.Choice<Facing>("facing", facing => details = details with { Facing = facing });
        fields.Choice<Shelter>("shelter", shelter => details = details with { Shelter = shelter });
        fields.QuantityOrBlank("faceHeight", FieldRanges.FaceHeight, si => details = details with { FaceHeightM = si });
        fields.Date("coveredOn", day => details = details with { CoveredOn = day });
        surface.Details = details;
        fields.Id("buffer", id => known.Buffers.Contains(id), id => surface.BufferId = id);
    }
}
