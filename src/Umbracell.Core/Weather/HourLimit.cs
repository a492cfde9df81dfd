namespace Umbracell.Core.Weather;

/// <summary>What limits an hour: the rules of the gate that weather decides, in their order.</summary>
public enum HourLimit
{
    /// <summary>The substrate's window (G1).</summary>
    Substrate,

    /// <summary>The air's window (G2).</summary>
    Air,

    /// <summary>Distance to the dew or frost point (G3).</summary>
    Dew,

    /// <summary>Humidity of the air (G4).</summary>
    Humidity,

    /// <summary>Water or frost on the face (G5).</summary>
    Wet,

    /// <summary>Wind at an open face (G7).</summary>
    Wind,

    /// <summary>Rain or snow on an open face, from two hours before to the end of cure (G8).</summary>
    Rain,

    /// <summary>Weather that is not told for this hour.</summary>
    Unknown,
}
