namespace Umbracell.Core.Quantities;

/// <summary>A unit people write: its spellings, what it measures, and how a value in it becomes SI (<c>si = value * scale +
/// offset</c>).</summary>
internal sealed record Unit(string Symbol, double Scale, double Offset, Dimension[] Fits, params string[] Spellings)
{
    public double ToSi(double value) => value * Scale + Offset;

    public double FromSi(double si) => (si - Offset) / Scale;
}

/// <summary>The units the product reads and writes. Factors are exact definitions unless a comment names a source.</summary>
internal static partial class Units
{
    private static readonly Dimension[] Lengths = [Dimension.Thickness, Dimension.Span, Dimension.Altitude];
    private static readonly Dimension[] Shares =
    [
        Dimension.RelativeHumidity,
        Dimension.HumidityPoints,
        Dimension.Percent,
        Dimension.Chance,
        Dimension.MoistureContent,
    ];

    public static readonly Unit None = new("", 1, 0, [Dimension.Number, Dimension.Count]);
    public static readonly Unit Inch = new("in", Length.MetresPerInch, 0, Lengths, "in", "inch", "inches", "\"", "''", "”", "″");
    public static readonly Unit Foot = new("ft", 12 * Length.MetresPerInch, 0, Lengths, "ft", "foot", "feet", "'", "’", "′");
    public static readonly Unit Millimetre = new("mm", 1e-3, 0, Lengths, "mm", "millimetre", "millimetres", "millimeter", "millimeters");
    public static readonly Unit Centimetre = new("cm", 1e-2, 0, Lengths, "cm", "centimetre", "centimetres", "centimeter", "centimeters");
    public static readonly Unit Metre = new("m", 1, 0, Lengths, "m", "metre", "meter", "metres", "meters");
    public static readonly Unit SquareFoot = new(
        "ft²",
        Quantities.Area.SquareMetresPerSquareFoot,
        0,
        [Dimension.Area],
        "ft2",
        "ft²",
        "sqft",
        "sq ft",
        "sf"
    );
    public static readonly Unit SquareMetre = new("m²", 1, 0, [Dimension.Area], "m2", "m²", "sqm");
    public static readonly Unit BoardFoot = new(
        "bd ft",
        Quantities.FoamVolume.CubicMetresPerBoardFoot,
        0,
        [Dimension.FoamVolume],
        "bdft",
        "bd ft",
        "bf",
        "board feet"
    );
    public static readonly Unit CubicMetre = new("m³", 1, 0, [Dimension.FoamVolume], "m3", "m³");
    public static readonly Unit Celsius = new(
        "°C",
        1,
        0,
        [Dimension.Temperature],
        "c",
        "°c",
        "degc",
        "deg c",
        "º c",
        "ºc",
        "° c",
        "℃",
        "celsius",
        "° celsius",
        "degrees celsius",
        "degrees c",
        "centigrade"
    );
    public static readonly Unit Fahrenheit = new(
        "°F",
        1 / 1.8,
        -32 / 1.8,
        [Dimension.Temperature],
        "f",
        "°f",
        "degf",
        "deg f",
        "º f",
        "ºf",
        "° f",
        "℉",
        "fahrenheit",
        "° fahrenheit",
        "degrees fahrenheit",
        "degrees f"
    );
    public static readonly Unit Kelvin = new("K", 1, 0, [Dimension.TemperatureDifference], "k");
    public static readonly Unit FahrenheitDegree = new("°F", 1 / 1.8, 0, [Dimension.TemperatureDifference], "f", "°f");
    public static readonly Unit Percent = new("%", 1, 0, Shares, "%", "pct", "percent", "per cent", "point", "points");
    public static readonly Unit UsR = new("R", ThermalResistance.SiPerUsR, 0, [Dimension.Resistance], "r");
    public static readonly Unit SiR = new("m²K/W", 1, 0, [Dimension.Resistance], "m2k/w", "m²k/w");
    public static readonly Unit UsU = new("U", 1 / ThermalResistance.SiPerUsR, 0, [Dimension.Transmittance]);
    public static readonly Unit SiU = new("W/m²K", 1, 0, [Dimension.Transmittance]);
    public static readonly Unit SiK = new("W/mK", 1, 0, [Dimension.Conductivity], "w/mk", "w/m·k", "w/(m·k)");

    // One Btu·in/(h·ft²·°F): an inch of it has R 1/k, so the factor is the inch over the R unit.
    public static readonly Unit UsK = new(
        "Btu·in/h·ft²·°F",
        Length.MetresPerInch / ThermalResistance.SiPerUsR,
        0,
        [Dimension.Conductivity],
        "btu·in/h·ft²·°f",
        "btu in/h ft2 f"
    );
    public static readonly Unit Pascal = new("Pa", 1, 0, [Dimension.VapourPressure], "pa");

    // Inch of mercury at 0 °C (NIST SP 811): 3386.389 Pa.
    public static readonly Unit InchOfMercury = new("inHg", 3386.389, 0, [Dimension.VapourPressure], "inhg");

    // One pound-force on a square inch: 0.45359237 kg · 9.80665 m/s² / (0.0254 m)².
    public static readonly Unit PoundPerSquareInch = new(
        "psi",
        Quantities.Mass.KilogramsPerPound * 9.80665 / (Length.MetresPerInch * Length.MetresPerInch),
        0,
        [Dimension.BearingPressure, Dimension.MaterialPressure],
        "psi",
        "lb/in2",
        "lb/in²"
    );
    public static readonly Unit PoundForcePerSquareFoot = new(
        "psf",
        Quantities.Mass.KilogramsPerPound * 9.80665 / Quantities.Area.SquareMetresPerSquareFoot,
        0,
        [Dimension.BearingPressure],
        "psf",
        "lb/ft2",
        "lb/ft²"
    );
    public static readonly Unit Kilopascal = new(
        "kPa",
        1000,
        0,
        [Dimension.BearingPressure, Dimension.MaterialPressure],
        "kpa",
        "kn/m2",
        "kn/m²"
    );
    public static readonly Unit Perm = new("perm", Quantities.Permeance.SiPerPerm, 0, [Dimension.Permeance], "perm", "perms");
    public static readonly Unit Nanogram = new("ng/Pa·s·m²", 1e-12, 0, [Dimension.Permeance], "ng");
    public static readonly Unit PermInch = new(
        "perm·in",
        Quantities.Permeability.SiPerPermInch,
        0,
        [Dimension.Permeability],
        "perm·in",
        "perm in",
        "perm-in",
        "perm inch"
    );
    public static readonly Unit NanogramMetre = new("ng/Pa·s·m", 1e-12, 0, [Dimension.Permeability], "ng/pa·s·m", "ng/pas m");
    public static readonly Unit Kilogram = new("kg", 1, 0, [Dimension.Mass], "kg");
    public static readonly Unit Pound = new("lb", Quantities.Mass.KilogramsPerPound, 0, [Dimension.Mass], "lb", "lbs");
    public static readonly Unit KilogramPerCubicMetre = new("kg/m³", 1, 0, [Dimension.Density], "kg/m3", "kg/m³");
    public static readonly Unit PoundPerCubicFoot = new(
        "lb/ft³",
        Quantities.Density.SiPerPoundPerCubicFoot,
        0,
        [Dimension.Density],
        "lb/ft3",
        "lb/ft³",
        "pcf"
    );
    public static readonly Unit LitrePerDay = new("l/day", 1 / 24.0, 0, [Dimension.WaterPace], "l/day", "l/d", "kg/day", "kg/d");

    // A US liquid pint holds 0.473176473 l (exact).
    public static readonly Unit PintPerDay = new("pt/day", 0.473176473 / 24, 0, [Dimension.WaterPace], "pt/day", "pint/day", "pints/day");
    public static readonly Unit KilogramPerMinute = new("kg/min", 1 / 60.0, 0, [Dimension.MassFlow], "kg/min");
    public static readonly Unit PoundPerMinute = new("lb/min", 0.45359237 / 60, 0, [Dimension.MassFlow], "lb/min", "lbs/min");
    public static readonly Unit MetrePerSecond = new("m/s", 1, 0, [Dimension.Speed], "m/s");
    public static readonly Unit MilePerHour = new("mph", 0.44704, 0, [Dimension.Speed], "mph");
    public static readonly Unit Minute = new("min", 60, 0, [Dimension.Duration], "min");
    public static readonly Unit Hour = new("h", 3600, 0, [Dimension.Duration], "h", "hour", "hours");
    public static readonly Unit Second = new("s", 1, 0, [Dimension.ReactionTime], "s", "sec");
    public static readonly Unit Megapascal = new("MPa", 1e6, 0, [Dimension.MaterialPressure], "mpa");
    public static readonly Unit Bar = new("bar", 1e5, 0, [Dimension.MaterialPressure], "bar");
    public static readonly Unit Set = new("sets", 1, 0, [Dimension.Sets], "set", "sets");
    public static readonly Unit RisePerTwelve = new(":12", 1 / 12.0, 0, [Dimension.Pitch]);

    public static readonly Unit CubicFootPerMinute = new("cfm", 0.3048 * 0.3048 * 0.3048 / 60, 0, [Dimension.AirFlow], "cfm");
    public static readonly Unit CubicMetrePerHour = new("m³/h", 1 / 3600.0, 0, [Dimension.AirFlow], "m3/h", "m³/h");
    public static readonly Unit LitrePerSecond = new("l/s", 1e-3, 0, [Dimension.AirFlow], "l/s");
    public static readonly Unit GaugePascal = new("Pa", 1, 0, [Dimension.AirPressure], "pa");
    public static readonly Unit CubicFoot = new("ft³", 0.3048 * 0.3048 * 0.3048, 0, [Dimension.RoomVolume], "ft3", "ft³", "cu ft");
    public static readonly Unit RoomCubicMetre = new("m³", 1, 0, [Dimension.RoomVolume], "m3", "m³");
    public static readonly Unit PerHour = new("per hour", 1, 0, [Dimension.AirChanges], "/h", "ach", "per hour");
    public static readonly Unit WattPerKelvin = new("W/K", 1, 0, [Dimension.HeatLoss], "w/k");

    // The international-table Btu: 1055.05585262 J (exact); a °F is 5/9 K.
    public static readonly Unit BtuPerHourFahrenheit = new(
        "Btu/h·°F",
        1055.05585262 / 3600 * 1.8,
        0,
        [Dimension.HeatLoss],
        "btu/h·°f",
        "btu/h°f",
        "btu/hf"
    );
    public static readonly Unit KilojoulePerKelvin = new("kJ/K", 1000, 0, [Dimension.HeatCapacity]);
    public static readonly Unit BtuPerFahrenheit = new("Btu/°F", 1055.05585262 * 1.8, 0, [Dimension.HeatCapacity]);
    public static readonly Unit KilojoulePerSquareMetreKelvin = new("kJ/m²·K", 1000, 0, [Dimension.HeatCapacityPerArea]);
    public static readonly Unit BtuPerSquareFootFahrenheit = new(
        "Btu/ft²·°F",
        1055.05585262 * 1.8 / Quantities.Area.SquareMetresPerSquareFoot,
        0,
        [Dimension.HeatCapacityPerArea]
    );
    public static readonly Unit WattPerMetreKelvin = new("W/m·K", 1, 0, [Dimension.LinearTransmittance]);
    public static readonly Unit BtuPerHourFootFahrenheit = new(
        "Btu/h·ft·°F",
        1055.05585262 / 3600 * 1.8 / 0.3048,
        0,
        [Dimension.LinearTransmittance]
    );
    public static readonly Unit Watt = new("W", 1, 0, [Dimension.Power, Dimension.ElectricPower], "w");
    public static readonly Unit Kilowatt = new("kW", 1000, 0, [Dimension.Power, Dimension.ElectricPower], "kw");
    public static readonly Unit BtuPerHour = new("Btu/h", 1055.05585262 / 3600, 0, [Dimension.Power], "btu/h", "btuh");
    public static readonly Unit ThousandBtuPerHour = new(
        "kBtu/h",
        1000 * 1055.05585262 / 3600,
        0,
        [Dimension.Power],
        "kbtu/h",
        "kbtuh",
        "mbh"
    );
    public static readonly Unit GramPerSquareMetre = new("g/m²", 1e-3, 0, [Dimension.MassPerArea]);
    public static readonly Unit OuncePerSquareFoot = new(
        "oz/ft²",
        Quantities.Mass.KilogramsPerPound / 16 / Quantities.Area.SquareMetresPerSquareFoot,
        0,
        [Dimension.MassPerArea]
    );
    public static readonly Unit SquareInch = new(
        "in²",
        Length.MetresPerInch * Length.MetresPerInch,
        0,
        [Dimension.LeakageArea],
        "in2",
        "in²"
    );
    public static readonly Unit SquareCentimetre = new("cm²", 1e-4, 0, [Dimension.LeakageArea], "cm2", "cm²");

    public static readonly Unit PoundPerSquareFoot = new(
        "lb/ft²",
        Quantities.Mass.KilogramsPerPound / Quantities.Area.SquareMetresPerSquareFoot,
        0,
        [Dimension.AreaWeight]
    );
    public static readonly Unit KilogramPerSquareMetre = new("kg/m²", 1, 0, [Dimension.AreaWeight]);
    public static readonly Unit KilowattHour = new("kWh", 3.6e6, 0, [Dimension.Heat], "kwh");
    public static readonly Unit OfMoney = new("", 1, 0, [Dimension.Money]);
    public static readonly Unit MoneyPerSquareFoot = new(
        "per ft²",
        1 / Quantities.Area.SquareMetresPerSquareFoot,
        0,
        [Dimension.MoneyPerArea],
        "per ft²",
        "per ft2",
        "per sq ft",
        "/ft²",
        "/ft2"
    );
    public static readonly Unit MoneyPerSquareMetre = new("per m²", 1, 0, [Dimension.MoneyPerArea], "per m²", "per m2", "/m²", "/m2");
    public static readonly Unit MoneyPerBoardFoot = new(
        "per bd ft",
        1 / (Quantities.FoamVolume.CubicMetresPerBoardFoot * 1000),
        0,
        [Dimension.MoneyPerBoard],
        "per bd ft",
        "per board foot",
        "/bd ft"
    );
    public static readonly Unit MoneyPerSquareMetreAndMillimetre = new(
        "per m² and mm",
        1,
        0,
        [Dimension.MoneyPerBoard],
        "per m² and mm",
        "per m2 and mm"
    );
    public static readonly Unit MoneyPerCubicMetre = new("per m³", 0.001, 0, [Dimension.MoneyPerBoard], "per m³", "per m3", "/m³", "/m3");
    public static readonly Unit BoardFootPerHour = new(
        "bd ft/h",
        Quantities.FoamVolume.CubicMetresPerBoardFoot,
        0,
        [Dimension.FoamPace],
        "bd ft/h",
        "bd ft an hour",
        "board feet an hour"
    );
    public static readonly Unit FoamCubicMetrePerHour = new("m³/h", 1, 0, [Dimension.FoamPace], "m³/h", "m3/h");
    public static readonly Unit SquareFootPerHour = new(
        "ft²/h",
        Quantities.Area.SquareMetresPerSquareFoot,
        0,
        [Dimension.AreaPace],
        "ft²/h",
        "ft2/h",
        "sq ft/h"
    );
    public static readonly Unit Gram = new("g", 1e-3, 0, [Dimension.PieceMass], "g");
    public static readonly Unit Ounce = new("oz", Quantities.Mass.KilogramsPerPound / 16, 0, [Dimension.PieceMass], "oz");
    public static readonly Unit Millilitre = new("ml", 1e-6, 0, [Dimension.PieceVolume], "ml", "cm3", "cm³");

    // The US fluid ounce: 231 in³ in 128 of them (exact).
    public static readonly Unit FluidOunce = new(
        "fl oz",
        231.0 / 128 * Length.MetresPerInch * Length.MetresPerInch * Length.MetresPerInch,
        0,
        [Dimension.PieceVolume],
        "fl oz",
        "floz"
    );
    public static readonly Unit SquareMetrePerHour = new("m²/h", 1, 0, [Dimension.AreaPace], "m²/h", "m2/h");

    /// <summary>Every unit with a spelling, longest spelling first so that "mm" is not read as "m".</summary>
    public static readonly (string Spelling, Unit Unit)[] BySpelling =
    [
        .. new[]
        {
            Inch,
            Foot,
            Millimetre,
            Centimetre,
            Metre,
            SquareFoot,
            SquareMetre,
            BoardFoot,
            CubicMetre,
            Celsius,
            Fahrenheit,
            Kelvin,
            FahrenheitDegree,
            Percent,
            UsR,
            SiR,
            Pascal,
            InchOfMercury,
            Perm,
            Nanogram,
            Kilogram,
            Pound,
            MetrePerSecond,
            MilePerHour,
            Minute,
            Set,
            CubicFootPerMinute,
            LitrePerDay,
            PintPerDay,
            KilogramPerMinute,
            PoundPerMinute,
            CubicMetrePerHour,
            LitrePerSecond,
            GaugePascal,
            CubicFoot,
            RoomCubicMetre,
            PerHour,
            WattPerKelvin,
            BtuPerHourFahrenheit,
            Watt,
            Kilowatt,
            ThousandBtuPerHour,
            BtuPerHour,
            SquareInch,
            SquareCentimetre,
            PoundPerSquareInch,
            PoundForcePerSquareFoot,
            Kilopascal,
            MoneyPerSquareFoot,
            MoneyPerSquareMetre,
            MoneyPerBoardFoot,
            MoneyPerSquareMetreAndMillimetre,
            MoneyPerCubicMetre,
            BoardFootPerHour,
            FoamCubicMetrePerHour,
            SquareFootPerHour,
            SquareMetrePerHour,
            KilogramPerCubicMetre,
            PoundPerCubicFoot,
            SiK,
            UsK,
            PermInch,
            NanogramMetre,
            Hour,
            Second,
            Megapascal,
            Bar,
            Gram,
            Ounce,
            Millilitre,
            FluidOunce,
        }
            .SelectMany(unit => unit.Spellings.Select(spelling => (spelling, unit)))
            .OrderByDescending(pair => pair.spelling.Length),
    ];
}
