namespace Umbracell.Core.Assemblies;

/// <summary>Why they called.</summary>
public enum ComplaintKind
{
    /// <summary>Cold floor.</summary>
    ColdFloor,

    /// <summary>Draught.</summary>
    Draught,

    /// <summary>A room that never warms.</summary>
    NeverWarms,

    /// <summary>A room that never cools.</summary>
    NeverCools,

    /// <summary>Cooling plant that never rests.</summary>
    CoolingNeverRests,

    /// <summary>Bills.</summary>
    Bills,

    /// <summary>Damp, dripping, mould.</summary>
    Damp,

    /// <summary>Ice at the eaves.</summary>
    IceAtEaves,

    /// <summary>Noise.</summary>
    Noise,
}

/// <summary>A figure that speaks to a complaint.</summary>
public enum SpeakingFigure
{
    /// <summary>Temperature of the face towards the room in winter.</summary>
    RoomFace,

    /// <summary>Humidity at the interface of interest in winter.</summary>
    InterfaceWinter,

    /// <summary>Humidity at the interface of interest in summer.</summary>
    InterfaceSummer,

    /// <summary>Heat transmittance.</summary>
    HeatFlow,

    /// <summary>Flow at 50 Pa.</summary>
    Leakage,

    /// <summary>Temperature of the buffer space it borders on, in winter.</summary>
    BufferWinter,

    /// <summary>Temperature of the buffer space it borders on, in summer.</summary>
    BufferSummer,

    /// <summary>Stack pressure at the top in winter.</summary>
    StackPressure,
}

/// <summary>Which figures speak to which complaint.</summary>
public static class Complaints
{
    /// <summary>The figures to be shown now and as planned, the telling one first. None where nothing computed speaks to it.</summary>
    public static IReadOnlyList<SpeakingFigure> Figures(ComplaintKind kind) =>
        kind switch
        {
            ComplaintKind.ColdFloor => [SpeakingFigure.RoomFace, SpeakingFigure.BufferWinter, SpeakingFigure.StackPressure],
            ComplaintKind.Draught => [SpeakingFigure.Leakage, SpeakingFigure.StackPressure, SpeakingFigure.RoomFace],
            ComplaintKind.NeverWarms => [SpeakingFigure.HeatFlow, SpeakingFigure.RoomFace, SpeakingFigure.Leakage],
            ComplaintKind.NeverCools => [SpeakingFigure.HeatFlow, SpeakingFigure.BufferSummer, SpeakingFigure.Leakage],
            ComplaintKind.CoolingNeverRests => [SpeakingFigure.InterfaceSummer, SpeakingFigure.HeatFlow, SpeakingFigure.BufferSummer],
            ComplaintKind.Bills => [SpeakingFigure.HeatFlow, SpeakingFigure.Leakage],
            ComplaintKind.Damp => [SpeakingFigure.InterfaceWinter, SpeakingFigure.RoomFace, SpeakingFigure.InterfaceSummer],
            ComplaintKind.IceAtEaves => [SpeakingFigure.BufferWinter, SpeakingFigure.HeatFlow, SpeakingFigure.Leakage],
            _ => [],
        };
}
