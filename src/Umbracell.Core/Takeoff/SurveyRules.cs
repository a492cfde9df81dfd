using Umbracell.Core.Findings;

namespace Umbracell.Core.Takeoff;

/// <summary>What the survey of a surface wants, and what each thing blocks.</summary>
public static class SurveyRules
{
    /// <summary>A size, and openings within it.</summary>
    public static readonly Rule Size = new Rule("size", Stage.Survey, Basis.Practice)
        .Ends("taken", "measured")
        .Ends("missing", blocks: Stage.Sets)
        .Ends("openingsExceed", "measured limit", blocks: Stage.Sets);

    /// <summary>No open leak.</summary>
    public static readonly Rule Leak = new Rule("leak", Stage.Survey, Basis.Practice).Ends("open", words: "where", blocks: Stage.Window);

    /// <summary>Moisture read.</summary>
    public static readonly Rule Moisture = new Rule("moisture", Stage.Survey, Basis.Practice)
        .Ends("read")
        .Ends("unread", blocks: Stage.Window);

    /// <summary>What is asked of a kind of surface and was not answered.</summary>
    public static readonly Rule Missing = new Rule("missing", Stage.Survey, Basis.Practice)
        .Ends("balloonFramed", blocks: Stage.Choose)
        .Ends("girtProfile", blocks: Stage.Section)
        .Ends("covering attachment", blocks: Stage.Choose)
        .Ends("doorSpare", blocks: Stage.Section);

    /// <summary>Balloon framing is open to the attic.</summary>
    public static readonly Rule Balloon = new Rule("balloon", Stage.Survey, Basis.Practice).Ends("open");

    /// <summary>Members held at their ends only.</summary>
    public static readonly Rule Braces = new Rule("braces", Stage.Survey, Basis.Practice).Ends("wanted");

    /// <summary>Clearances to flues, lights and old wiring.</summary>
    public static readonly Rule Clearance = new Rule("clearance", Stage.Survey, Basis.Practice).Ends(
        "unknown",
        words: "what",
        blocks: Stage.Window
    );
}
