namespace Umbracell.Core.Quantities;

/// <summary>Which unit a reader of either system gets and types a dimension in.</summary>
internal static partial class Units
{
    /// <summary>Units a bare number may have been meant in instead, likeliest first.</summary>
    public static IReadOnlyList<Unit> Others(Dimension dimension, UnitSystem system) =>
        (dimension, system) switch
        {
            (Dimension.Thickness, UnitSystem.Us) => [Millimetre, Foot],
            (Dimension.Thickness, _) => [Inch, Metre, Centimetre],
            (Dimension.Span, UnitSystem.Us) => [Metre, Inch],
            (Dimension.Span, _) => [Foot, Millimetre],
            // Heaters are sold by the kilowatt and by the thousand Btu/h.
            (Dimension.Power, UnitSystem.Us) => [ThousandBtuPerHour, Kilowatt, Watt],
            (Dimension.ElectricPower, _) => [Kilowatt],
            (Dimension.Power, _) => [Kilowatt, ThousandBtuPerHour, BtuPerHour],
            _ => Of(dimension, system == UnitSystem.Us ? UnitSystem.Metric : UnitSystem.Us) is var other
            && other != Of(dimension, system)
            && other.Spellings.Length > 0
                ? [other]
                : [],
        };

    /// <summary>The unit a bare number is read in, and the unit figures print in.</summary>
    public static Unit Of(Dimension dimension, UnitSystem system) =>
        (dimension, system) switch
        {
            (Dimension.Number or Dimension.Count, _) => None,
            (Dimension.Thickness, UnitSystem.Us) => Inch,
            (Dimension.Thickness, _) => Millimetre,
            (Dimension.Span or Dimension.Altitude, UnitSystem.Us) => Foot,
            (Dimension.Span or Dimension.Altitude, _) => Metre,
            (Dimension.Area, UnitSystem.Us) => SquareFoot,
            (Dimension.Area, _) => SquareMetre,
            (Dimension.FoamVolume, UnitSystem.Us) => BoardFoot,
            (Dimension.FoamVolume, _) => CubicMetre,
            (Dimension.Temperature, UnitSystem.Us) => Fahrenheit,
            (Dimension.Temperature, _) => Celsius,
            (Dimension.TemperatureDifference, UnitSystem.Us) => FahrenheitDegree,
            (Dimension.TemperatureDifference, _) => Kelvin,
            (
                Dimension.RelativeHumidity
                    or Dimension.HumidityPoints
                    or Dimension.Percent
                    or Dimension.Chance
                    or Dimension.MoistureContent,
                _
            ) => Percent,
            (Dimension.Resistance, UnitSystem.Us) => UsR,
            (Dimension.Resistance, _) => SiR,
            (Dimension.Transmittance, UnitSystem.Us) => UsU,
            (Dimension.Transmittance, _) => SiU,
            (Dimension.Conductivity, UnitSystem.Us) => UsK,
            (Dimension.Conductivity, _) => SiK,
            (Dimension.VapourPressure, UnitSystem.Us) => InchOfMercury,
            (Dimension.VapourPressure, _) => Pascal,
            (Dimension.BearingPressure, UnitSystem.Us) => PoundPerSquareInch,
            (Dimension.BearingPressure, _) => Kilopascal,
            (Dimension.Permeance, UnitSystem.Us) => Perm,
            (Dimension.Permeance, _) => Nanogram,
            (Dimension.Permeability, UnitSystem.Us) => PermInch,
            (Dimension.Permeability, _) => NanogramMetre,
            (Dimension.Mass, UnitSystem.Us) => Pound,
            (Dimension.Mass, _) => Kilogram,
            (Dimension.Density, UnitSystem.Us) => PoundPerCubicFoot,
            (Dimension.Density, _) => KilogramPerCubicMetre,
            (Dimension.Speed, UnitSystem.Us) => MilePerHour,
            (Dimension.Speed, _) => MetrePerSecond,
            (Dimension.Duration, _) => Minute,
            (Dimension.ReactionTime, _) => Second,
            (Dimension.MaterialPressure, UnitSystem.Us) => PoundPerSquareInch,
            (Dimension.MaterialPressure, _) => Megapascal,
            (Dimension.Sets, _) => Set,
            (Dimension.Pitch, _) => RisePerTwelve,
            (Dimension.AirFlow, UnitSystem.Us) => CubicFootPerMinute,
            (Dimension.AirFlow, _) => CubicMetrePerHour,
            (Dimension.WaterPace, UnitSystem.Us) => PintPerDay,
            (Dimension.WaterPace, _) => LitrePerDay,
            (Dimension.MassFlow, UnitSystem.Us) => PoundPerMinute,
            (Dimension.MassFlow, _) => KilogramPerMinute,
            (Dimension.AirPressure, _) => GaugePascal,
            (Dimension.RoomVolume, UnitSystem.Us) => CubicFoot,
            (Dimension.RoomVolume, _) => RoomCubicMetre,
            (Dimension.AirChanges, _) => PerHour,
            (Dimension.HeatLoss, UnitSystem.Us) => BtuPerHourFahrenheit,
            (Dimension.HeatLoss, _) => WattPerKelvin,
            (Dimension.HeatCapacity, UnitSystem.Us) => BtuPerFahrenheit,
            (Dimension.HeatCapacity, _) => KilojoulePerKelvin,
            (Dimension.HeatCapacityPerArea, UnitSystem.Us) => BtuPerSquareFootFahrenheit,
            (Dimension.HeatCapacityPerArea, _) => KilojoulePerSquareMetreKelvin,
            (Dimension.LinearTransmittance, UnitSystem.Us) => BtuPerHourFootFahrenheit,
            (Dimension.LinearTransmittance, _) => WattPerMetreKelvin,
            (Dimension.Power, UnitSystem.Us) => BtuPerHour,
            (Dimension.Power or Dimension.ElectricPower, _) => Watt,
            (Dimension.MassPerArea, UnitSystem.Us) => OuncePerSquareFoot,
            (Dimension.MassPerArea, _) => GramPerSquareMetre,
            (Dimension.LeakageArea, UnitSystem.Us) => SquareInch,
            (Dimension.LeakageArea, _) => SquareCentimetre,
            (Dimension.AreaWeight, UnitSystem.Us) => PoundPerSquareFoot,
            (Dimension.AreaWeight, _) => KilogramPerSquareMetre,
            (Dimension.Heat, _) => KilowattHour,
            (Dimension.Money, _) => OfMoney,
            (Dimension.MoneyPerArea, UnitSystem.Us) => MoneyPerSquareFoot,
            (Dimension.MoneyPerArea, _) => MoneyPerSquareMetre,
            (Dimension.MoneyPerBoard, UnitSystem.Us) => MoneyPerBoardFoot,
            (Dimension.MoneyPerBoard, _) => MoneyPerCubicMetre,
            (Dimension.AreaPace, UnitSystem.Us) => SquareFootPerHour,
            (Dimension.AreaPace, _) => SquareMetrePerHour,
            (Dimension.FoamPace, UnitSystem.Us) => BoardFootPerHour,
            (Dimension.FoamPace, _) => FoamCubicMetrePerHour,
            (Dimension.PieceMass, UnitSystem.Us) => Ounce,
            (Dimension.PieceMass, _) => Gram,
            (Dimension.PieceVolume, UnitSystem.Us) => FluidOunce,
            (Dimension.PieceVolume, _) => Millilitre,
            _ => throw new ArgumentOutOfRangeException(nameof(dimension), dimension, "No unit is known for this dimension."),
        };
}
