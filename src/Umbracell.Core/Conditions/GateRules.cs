using Umbracell.Core.Findings;

namespace Umbracell.Core.Conditions;

/// <summary>The rules of the gate: may this surface be sprayed now?</summary>
public static class GateRules
{
    private const string InWindow = "measured limit margin wanted least greatest age";

    /// <summary>The substrate within the sheet's window.</summary>
    public static readonly Rule Substrate = Temperature("G1");

    /// <summary>The air within the sheet's window.</summary>
    public static readonly Rule Air = Temperature("G2");

    /// <summary>The substrate above the dew or frost point of the air.</summary>
    public static readonly Rule DewDistance = new Rule("G3", Stage.Window, Basis.Physics)
        .Ends("apart close tooClose", "measured limit margin substrate dew wanted age", "point:window.point instrument")
        .Ends("unread");

    /// <summary>The air under the sheet's greatest humidity.</summary>
    public static readonly Rule Humidity = new Rule("G4", Stage.Window, Basis.ProductSheet)
        .Ends("under near over", "measured limit margin wanted age", "instrument")
        .Ends("unread", "limit")
        .Ends("ownUnder ownNear ownOver", "measured limit margin wanted sheet age", "instrument", Basis.Practice)
        .Ends("ownUnread", "limit sheet", basis: Basis.Practice);

    /// <summary>The substrate dry, by the meter made for it or by eye.</summary>
    public static readonly Rule SubstrateMoisture = new Rule("G5", Stage.Window, Basis.ProductSheet)
        .Ends("dry nearLimit wet", "measured limit margin wanted age", "instrument")
        .Ends("concreteDry concreteWet woodDry woodNear woodWet", "measured limit margin wanted age", "instrument", Basis.Practice)
        .Ends("notLookedAt", "measured limit margin wanted age", "instrument")
        .Ends("seenDry seenWet", "age", "instrument")
        .Ends("seenOnly", "age", "instrument", Basis.Practice)
        .Ends("unread");

    /// <summary>Both drums within the sheet's window.</summary>
    public static readonly Rule Drums = new Rule("G6", Stage.Window, Basis.ProductSheet)
        .Ends("inside nearEdge stale outside", "measured limit margin wanted drumA drumB least greatest age", "side instrument")
        .Ends("unread", words: "side");

    /// <summary>Everything ready before foam.</summary>
    public static readonly Rule Preparation = new Rule("G13", Stage.Window, Basis.Practice).Ends(
        "ready missing",
        "measured limit margin",
        "items:window.prepShort"
    );

    /// <summary>Readings too old to go by.</summary>
    public static readonly Rule ReadingsAge = new Rule("age", Stage.Window, Basis.Practice).Ends("stale", "measured limit margin");

    /// <summary>Meters that disagree.</summary>
    public static readonly Rule Meters = new Rule("meters", Stage.Survey, Basis.Practice).Ends(
        "disagree",
        "measured limit margin first second",
        "firstInstrument secondInstrument"
    );

    private static Rule Temperature(string id) =>
        new Rule(id, Stage.Window, Basis.ProductSheet).Ends("inside nearEdge outside", InWindow, "instrument").Ends("unread");
}
