using Umbracell.Core.Findings;

namespace Umbracell.Core.Assemblies;

/// <summary>The rules of a section: target, fit, air, vapour, metal, ground.</summary>
public static class SectionRules
{
    /// <summary>U or R against the target.</summary>
    public static readonly Rule Target = new Rule("target", Stage.Section, Basis.ModelCode)
        .Ends("slabMet", "measured limit margin along")
        .Ends("slabShort", "measured limit margin along thickness")
        .Ends("slabOutOfReach", "measured limit margin along")
        .Ends("met", "measured limit margin")
        .Ends("short deeperThanFits", "measured limit margin thickness")
        .Ends("outOfReach", "measured limit margin")
        .Ends("none", "measured");

    /// <summary>Thickness against the depth, of what is drawn.</summary>
    public static readonly Rule Fit = new Rule("fit", Stage.Section, Basis.Practice)
        .Ends("unbounded", "measured")
        .Ends("fits", "measured limit margin depth free")
        .Ends("flush", "measured limit margin depth free shaved share")
        .Ends("shaveHard tooThick", "measured limit margin depth free");

    /// <summary>What stops air.</summary>
    public static readonly Rule AirBarrier = new Rule("airBarrier", Stage.Section, Basis.ProductSheet)
        .Ends("counts tooThin", "measured limit margin")
        .Ends("none board", "measured", basis: Basis.Practice);

    /// <summary>Vapour class of what is put in.</summary>
    public static readonly Rule VapourClass = new Rule("vapourClass", Stage.Section, Basis.ModelCode).Ends(
        "retards open zoneWantsClass2",
        "measured limit",
        "class zone"
    );

    /// <summary>A vent channel of its least height behind its baffle.</summary>
    public static readonly Rule VentChannel = new Rule("ventChannel", Stage.Section, Basis.ModelCode).Ends(
        "keeps backBaffle tooLow",
        "measured limit span"
    );

    /// <summary>Two ways to reckon framing that part at the target.</summary>
    public static readonly Rule Framing = new Rule("framing", Stage.Section, Basis.Physics).Ends(
        "bothMeet part neitherMeets",
        "measured limit combined"
    );

    /// <summary>Air that can turn behind a batt.</summary>
    public static readonly Rule BattFit = new Rule("battFit", Stage.Section, Basis.Practice).Ends("gap", "measured limit margin gap");

    /// <summary>What metal members add, and whether they sweat.</summary>
    public static readonly Rule MetalMembers = new Rule("metalMembers", Stage.Section, Basis.Physics)
        .Ends("studs studsEstimate", "measured left", basis: Basis.ModelCode)
        .Ends("flangeDry flangeSweats flangeDrySolved flangeSweatsSolved flangeDryStud flangeSweatsStud", Flange)
        .Ends("profileUnknown", "measured");

    /// <summary>The weight on an overhead door.</summary>
    public static readonly Rule DoorLoad = new Rule("E7", Stage.Choose, Basis.Practice)
        .Ends("tooHeavy carries", "measured limit margin")
        .Ends("spareUnknown");

    /// <summary>The edge of a slab on the ground.</summary>
    public static readonly Rule SlabEdge = new Rule("slabEdge", Stage.Section, Basis.Physics).Ends(
        "dry carryUp damp",
        "measured limit margin wrapped saved"
    );

    /// <summary>The underside of a tight floor finish, now and as planned.</summary>
    public static readonly Rule Finish = new Rule("finish", Stage.Survey, Basis.Physics).Ends(
        "nowDry nowDamp plannedDry plannedDamp",
        "measured limit margin"
    );

    private const string Flange = "measured limit margin psi solved estimate";
}
