namespace Umbracell.Core.Rigs.Shots;

/// <summary>What makes a test shot bad.</summary>
public enum ShotCause
{
    /// <summary>Nothing: the shot is good.</summary>
    None,

    /// <summary>Drums colder than the sheet allows.</summary>
    ColdDrums,

    /// <summary>B drum not stirred: what drives the foam has settled.</summary>
    UnmixedB,

    /// <summary>Primary heaters under their set point.</summary>
    PrimariesLow,

    /// <summary>Primary heaters over it.</summary>
    PrimariesHigh,

    /// <summary>Hose cold, or a cold slug out of it.</summary>
    ColdHose,

    /// <summary>Pressures of the sides apart.</summary>
    PressureApart,

    /// <summary>Too much A.</summary>
    RichA,

    /// <summary>Too much B.</summary>
    RichB,

    /// <summary>A side that is starved: filter, pump or air in it.</summary>
    StarvedSide,

    /// <summary>Mixing chamber or side seals worn.</summary>
    WornChamber,

    /// <summary>Tip too large for heaters and pressure.</summary>
    WrongTip,

    /// <summary>A gone bad by moisture.</summary>
    WetA,

    /// <summary>Material past its date.</summary>
    OldMaterial,

    /// <summary>Substrate colder than the sheet allows.</summary>
    ColdSubstrate,

    /// <summary>Substrate wet.</summary>
    WetSubstrate,

    /// <summary>Lift thicker than the sheet allows.</summary>
    ThickLift,

    /// <summary>Lift thinner than the sheet allows.</summary>
    ThinLift,

    /// <summary>Another product than was thought.</summary>
    WrongProduct,
}
