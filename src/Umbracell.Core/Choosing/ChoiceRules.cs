using Umbracell.Core.Findings;

namespace Umbracell.Core.Choosing;

/// <summary>The rules of choice that look at a system on a surface: E1 to E12 hold it or ask for care (E7 is the section's too), C1 to
/// C14 caution.</summary>
public static class ChoiceRules
{
    /// <summary>The weather side of a low-slope roof.</summary>
    public static readonly Rule WeatherSide = Practice("E1").Ends("notRoofing wetOld coverBoard");

    /// <summary>Ground contact, under slab, below grade, flood.</summary>
    public static readonly Rule Ground = Practice("E2")
        .Ends("openCell fibre")
        .Ends("loadUnknown", basis: Basis.ProductSheet)
        .Ends("strengthUnknown", "measured", basis: Basis.ProductSheet)
        .Ends("crushed bears", "measured limit", basis: Basis.ProductSheet);

    /// <summary>Nothing until dry and mended.</summary>
    public static readonly Rule Leak = Practice("E3")
        .Ends("leak")
        .Ends("wet dry", "measured limit margin", basis: Basis.ProductSheet)
        .Ends("unread", "limit", basis: Basis.ProductSheet);

    /// <summary>Nothing air-open against a bare metal skin.</summary>
    public static readonly Rule BareMetal = Practice("E4")
        .Ends("airOpen openNoRetarder")
        .Ends("openCondenses unchecked", basis: Basis.Physics);

    /// <summary>Open cell under a vapour-tight finish.</summary>
    public static readonly Rule TightFinish = new Rule("E5", Stage.Choose, Basis.Physics) { IsToldAtOnce = true }
        .Ends("damp dry near", "measured limit")
        .Ends("alike", "measured limit closed")
        .Ends("noYear");

    /// <summary>Open cell under a vapour-tight roof covering.</summary>
    public static readonly Rule TightCovering = Practice("E6")
        .Ends("coldZone projectDesign", words: "zone")
        .Ends("mildZone", "measured limit", "zone")
        .Ends("noYear", words: "zone");

    /// <summary>A thin coat is for unheated metal buildings.</summary>
    public static readonly Rule ThinCoat = Practice("thinCoat").Ends("conditioned");

    /// <summary>A vent channel keeps open only behind a baffle.</summary>
    public static readonly Rule VentChannel = new Rule("E8", Stage.Choose, Basis.ModelCode).Ends("windWash noBaffle");

    /// <summary>Thickness against depth: what is deeper than its place cannot be built, whatever the reason.</summary>
    public static readonly Rule Depth = new Rule("E9", Stage.Choose, Basis.Practice) { IsFirm = true }.Ends("tooThick", "measured limit");

    /// <summary>Fibre inboard of foam.</summary>
    public static readonly Rule Hybrid = new Rule("E10", Stage.Choose, Basis.Physics)
        .Ends("shareTooSmall", "measured", basis: Basis.ModelCode)
        .Ends("near", "measured limit")
        .Ends("unchecked");

    /// <summary>No air barrier among its layers.</summary>
    public static readonly Rule AirBarrier = new Rule("E11", Stage.Choose, Basis.ProductSheet)
        .Ends("noFoam")
        .Ends("tooThin", "measured limit");

    /// <summary>Foam as rain plane only where the sheet lists it.</summary>
    public static readonly Rule RainPlane = new Rule("E12", Stage.Choose, Basis.ProductSheet)
        .Ends("rainDays noRain", "limit")
        .Ends("notListed");

    /// <summary>Torn where people work.</summary>
    public static readonly Rule Torn = Practice("C1").Ends("torn");

    /// <summary>Soaks in rain before it is covered.</summary>
    public static readonly Rule Soaks = Practice("C2").Ends("soaks");

    /// <summary>Pipes and wires that someone will want to reach.</summary>
    public static readonly Rule Access = Practice("C3").Ends("access");

    /// <summary>Hard foam and sound.</summary>
    public static readonly Rule HardSounds = Practice("C4").Ends("hardSounds");

    /// <summary>A thermal or ignition barrier over foam.</summary>
    public static readonly Rule Barrier = new Rule("C5", Stage.Choose, Basis.ModelCode)
        .Ends("barrier")
        .Ends("bandRelief bandTooThick", "measured limit");

    /// <summary>Clearances to flues, lights and old wiring.</summary>
    public static readonly Rule Clearances = Practice("C6").Ends("clearances");

    /// <summary>An old building.</summary>
    public static readonly Rule OldBuilding = Practice("C7").Ends("oldBuilding");

    /// <summary>Combustion inside a house that gets tighter.</summary>
    public static readonly Rule Tighter = Practice("C8").Ends("tighter");

    /// <summary>Termites.</summary>
    public static readonly Rule Termites = Practice("C9").Ends("termites");

    /// <summary>Wood against steel.</summary>
    public static readonly Rule WoodAgainstSteel = Practice("C10").Ends("woodAgainstSteel");

    /// <summary>Members held at their ends only.</summary>
    public static readonly Rule Brace = Practice("C11").Ends("brace");

    /// <summary>Loose fill above.</summary>
    public static readonly Rule CloseTop = Practice("C12").Ends("closeTop");

    /// <summary>Warranty of the roof covering.</summary>
    public static readonly Rule Warranty = Practice("C13").Ends("warranty");

    /// <summary>Radon.</summary>
    public static readonly Rule Radon = Practice("C14").Ends("radon");

    private static Rule Practice(string id) => new(id, Stage.Choose, Basis.Practice);
}
