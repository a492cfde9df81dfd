using Umbracell.Core.Findings;

namespace Umbracell.Core.Spraying;

/// <summary>The rules of spraying: can the next lift go on, is the area clear, and was the sheet kept to?</summary>
public static class SprayRules
{
    /// <summary>The last lift has cooled and the least wait is over.</summary>
    public static readonly Rule NextLift = new Rule("G10", Stage.Spray, Basis.ProductSheet)
        .Ends("first")
        .Ends("ready hot", "measured limit margin")
        .Ends("unread", "limit")
        .Ends("waiting", "limit left", "because:spray.because")
        .Ends("neverCool", "limit peak");

    /// <summary>Occupants and other trades out, ventilation on, nothing that burns.</summary>
    public static readonly Rule Area = new Rule("G11", Stage.Spray, Basis.Practice) { IsFirm = true }
        .Ends("confirmed")
        .Ends("open", "", "lacks:spray.lack");

    /// <summary>A lift that was sprayed, held against the sheet.</summary>
    public static readonly Rule Logged = new Rule("loggedLift", Stage.Spray, Basis.ProductSheet)
        .Ends("tooThick tooThin", "measured limit margin count")
        .Ends("early onHot", "measured limit count")
        .Ends("held", "count", basis: Basis.Practice)
        .Ends("endsBefore overlaps", "count", basis: Basis.Practice);

    /// <summary>A surface whose lifts are sprayed, before it is called finished.</summary>
    public static readonly Rule Done = new Rule("done", Stage.Spray, Basis.Practice)
        .Ends("asPlanned thin", "measured limit margin")
        .Ends("unread", "limit")
        .Ends("unseen", "", "lacks:spray.item")
        .Ends("defects", "count");

    /// <summary>Drums as they were logged: one lot on a surface, levels that fall, none that is dry.</summary>
    public static readonly Rule Drums = new Rule("drumsLogged", Stage.Spray, Basis.Practice)
        .Ends("lots", "", "side lots")
        .Ends("grades rose dry", "", "side");
}
