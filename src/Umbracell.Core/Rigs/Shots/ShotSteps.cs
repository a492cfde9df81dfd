namespace Umbracell.Core.Rigs.Shots;

/// <summary>What is done about a bad shot.</summary>
public enum ShotStep
{
    /// <summary>Read the labels of both drums.</summary>
    ReadLabels,

    /// <summary>Read their dates.</summary>
    ReadDates,

    /// <summary>Measure the substrate, and warm it.</summary>
    WarmSubstrate,

    /// <summary>Look whether the substrate is wet, and dry it.</summary>
    DrySubstrate,

    /// <summary>Measure the lift, and spray it thinner.</summary>
    ThinnerLift,

    /// <summary>Measure the lift, and spray it thicker.</summary>
    ThickerLift,

    /// <summary>Measure the drums in their middle, and warm them.</summary>
    WarmDrums,

    /// <summary>Stir the B drum.</summary>
    StirB,

    /// <summary>Look into the A drum for skin, gel and crystals, and change it.</summary>
    LookIntoA,

    /// <summary>Look what the primary heaters reach, and why not more.</summary>
    RaisePrimaries,

    /// <summary>Look why the primary heaters are over their set point.</summary>
    LowerPrimaries,

    /// <summary>Wait for the hose, and spray the cold slug into waste.</summary>
    WarmHose,

    /// <summary>Match the pressures of the sides.</summary>
    MatchPressures,

    /// <summary>Put in a smaller tip.</summary>
    SmallerTip,

    /// <summary>Look why the B side gives less.</summary>
    FindLostB,

    /// <summary>Look why the A side gives less.</summary>
    FindLostA,

    /// <summary>Depressurise; clean the filters, look at pumps and for air.</summary>
    CleanFilters,

    /// <summary>Depressurise; look at mixing chamber and side seals.</summary>
    LookAtChamber,
}

/// <summary>Which step is taken about a cause, and what it takes (practice): the rule of the trade, drums before primaries before
/// pressure, is in the minutes.</summary>
public static class ShotSteps
{
    private static readonly Dictionary<ShotCause, (ShotStep Step, double Minutes)> Steps = new()
    {
        [ShotCause.WrongProduct] = (ShotStep.ReadLabels, 1),
        [ShotCause.ColdSubstrate] = (ShotStep.WarmSubstrate, 1),
        [ShotCause.ThickLift] = (ShotStep.ThinnerLift, 1),
        [ShotCause.ThinLift] = (ShotStep.ThickerLift, 1),
        [ShotCause.WetSubstrate] = (ShotStep.DrySubstrate, 2),
        [ShotCause.OldMaterial] = (ShotStep.ReadDates, 2),
        [ShotCause.ColdDrums] = (ShotStep.WarmDrums, 3),
        [ShotCause.UnmixedB] = (ShotStep.StirB, 4),
        [ShotCause.WetA] = (ShotStep.LookIntoA, 5),
        [ShotCause.PrimariesLow] = (ShotStep.RaisePrimaries, 6),
        [ShotCause.PrimariesHigh] = (ShotStep.LowerPrimaries, 6),
        [ShotCause.ColdHose] = (ShotStep.WarmHose, 7),
        [ShotCause.PressureApart] = (ShotStep.MatchPressures, 8),
        [ShotCause.WrongTip] = (ShotStep.SmallerTip, 10),
        [ShotCause.RichA] = (ShotStep.FindLostB, 12),
        [ShotCause.RichB] = (ShotStep.FindLostA, 12),
        [ShotCause.StarvedSide] = (ShotStep.CleanFilters, 15),
        [ShotCause.WornChamber] = (ShotStep.LookAtChamber, 20),
    };

    private static readonly Dictionary<ShotStep, double> Minutes = Steps.Values.ToDictionary(one => one.Step, one => one.Minutes);

    /// <summary>The step; null for a good shot, which needs none.</summary>
    /// <param name="cause">The cause.</param>
    public static ShotStep? Of(ShotCause cause) => Steps.TryGetValue(cause, out var one) ? one.Step : null;

    /// <summary>How many minutes it takes to look.</summary>
    /// <param name="step">The step.</param>
    public static double MinutesOf(ShotStep step) => Minutes[step];
}
