using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;
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
    ];

    public static void Take(TypedFields fields, Surface surface, SurveyChoices known)
    {
        var details = surface.Details;
        fields.Choice<AccessKind>("access", access => details.Access = access);
        fields.YesNo("balloonFramed", yes => details.BalloonFramed = yes);
        fields.YesNo("crawlSpace", yes => details.CrawlSpace = yes);
        fields.YesNo("heldAtEnds", yes => details.HeldAtEnds = yes);
        fields.QuantityOrBlank("flange", FieldRanges.Flange, si => details.FlangeMm = si * 1000);
        fields.QuantityOrBlank("web", FieldRanges.Web, si => details.WebMm = si * 1000);
        fields.QuantityOrBlank("skin", FieldRanges.Skin, si => details.SkinMm = si * 1000);
        fields.Choice<Covering>("covering", covering => details.Covering = covering);
        fields.Choice<Attachment>("attachment", attachment => details.Attachment = attachment);
        fields.QuantityOrBlank("doorSpare", FieldRanges.DoorSpare, kg => details.DoorSpareKg = kg);
        fields.QuantityOrBlank("penetration", FieldRanges.Penetration, si => details.PenetrationMm = (si ?? 0) * 1000);
        fields.Id("buffer", id => known.Buffers.Contains(id), id => surface.BufferId = id);
    }
}
