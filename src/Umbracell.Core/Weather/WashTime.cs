namespace Umbracell.Core.Weather;

/// <summary>When a face that must be washed has to be, to be dry for a start. For faces that take up no water: of porous ones only a meter
/// tells.</summary>
public static class WashTime
{
    /// <summary>The latest hour at whose start the face can be washed and the start keeps the chance wanted.</summary>
    /// <param name="asked">The surface.</param>
    /// <param name="start">Hour of the start.</param>
    /// <returns>Null where it does not dry in time though it is washed in the first hour in which anything can be done.</returns>
    public static int? Latest(SprayCase asked, int start)
    {
        if (start <= asked.From || !IsDry(asked.From))
        {
            return null;
        }

        // The earlier, the drier: halved between what is dry and what is too late.
        var (dry, late) = (asked.From, start);
        while (late - dry > 1)
        {
            var middle = (dry + late) / 2;
            (dry, late) = IsDry(middle) ? (middle, late) : (dry, middle);
        }

        return dry;

        bool IsDry(int hour) => asked.Washed(hour).ChanceOf(start) >= asked.Level - 1e-9;
    }
}
