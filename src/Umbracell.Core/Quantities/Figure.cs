namespace Umbracell.Core.Quantities;

/// <summary>The two systems a person can read and type in. Storage is always SI.</summary>
public enum UnitSystem
{
    /// <summary>Inch, foot, °F, perm, board foot, pound.</summary>
    Us,

    /// <summary>Millimetre, metre, °C, ng/(Pa·s·m²), kilogram.</summary>
    Metric,
}

/// <summary>What a figure measures; decides the unit it is kept in, how it prints and which typed units fit.</summary>
public enum Dimension
{
    /// <summary>Plain ratio or index; no unit.</summary>
    Number,

    /// <summary>A whole count.</summary>
    Count,

    /// <summary>Depth of foam, member or layer; metres. Prints in inches to 1/8, or millimetres.</summary>
    Thickness,

    /// <summary>Side of a surface; metres. Prints in feet and inches, or metres.</summary>
    Span,

    /// <summary>Height above sea level; metres. Prints in whole feet, or metres.</summary>
    Altitude,

    /// <summary>Area; m².</summary>
    Area,

    /// <summary>Foam in place; m³. Prints in board feet, or cubic metres.</summary>
    FoamVolume,

    /// <summary>Temperature; °C.</summary>
    Temperature,

    /// <summary>Temperature difference; K.</summary>
    TemperatureDifference,

    /// <summary>Relative humidity; percent.</summary>
    RelativeHumidity,

    /// <summary>A difference between two relative humidities; percentage points.</summary>
    HumidityPoints,

    /// <summary>Share of a whole; percent.</summary>
    Percent,

    /// <summary>Chance that something happens; percent. Told in whole percents, and never as none or all.</summary>
    Chance,

    /// <summary>Moisture content of the substrate; percent of dry mass.</summary>
    MoistureContent,

    /// <summary>Thermal resistance; m²·K/W.</summary>
    Resistance,

    /// <summary>Thermal transmittance; W/(m²·K).</summary>
    Transmittance,

    /// <summary>Thermal conductivity; W/(m·K).</summary>
    Conductivity,

    /// <summary>Vapour pressure; Pa.</summary>
    VapourPressure,

    /// <summary>Pressure of a load on what bears it; Pa. Prints in pounds a square inch, or kilopascals.</summary>
    BearingPressure,

    /// <summary>Vapour permeance; kg/(Pa·s·m²).</summary>
    Permeance,

    /// <summary>Vapour permeability; kg/(Pa·s·m).</summary>
    Permeability,

    /// <summary>Mass; kg.</summary>
    Mass,

    /// <summary>Density; kg/m³.</summary>
    Density,

    /// <summary>Wind speed; m/s.</summary>
    Speed,

    /// <summary>Duration; seconds.</summary>
    Duration,

    /// <summary>Sets of material: one drum of A and one of B.</summary>
    Sets,

    /// <summary>Roof pitch; rise over run.</summary>
    Pitch,

    /// <summary>Air flow; m³/s. Prints in cubic feet a minute, or cubic metres an hour.</summary>
    AirFlow,

    /// <summary>Pressure difference across an envelope; Pa in both systems, as fan-test gauges show it.</summary>
    AirPressure,

    /// <summary>Enclosed volume; m³.</summary>
    RoomVolume,

    /// <summary>Air changes an hour.</summary>
    AirChanges,

    /// <summary>Heat loss per kelvin; W/K.</summary>
    HeatLoss,

    /// <summary>Heat taken up per kelvin; J/K. Prints in kilojoules, or Btu, a degree.</summary>
    HeatCapacity,

    /// <summary>Heat taken up per area and kelvin; J/(m²·K). Prints in kilojoules a square metre, or Btu a square foot, and a degree.</summary>
    HeatCapacityPerArea,

    /// <summary>Heat loss per metre of a member and kelvin; W/(m·K).</summary>
    LinearTransmittance,

    /// <summary>Heat flow; W.</summary>
    Power,

    /// <summary>Power of what is plugged in; W. Prints in watts and kilowatts for everyone: so it stands on the plate.</summary>
    ElectricPower,

    /// <summary>Mass on an area; kg/m². Prints in ounces a square foot, or grams a square metre.</summary>
    MassPerArea,

    /// <summary>Area of leaks taken together; m². Prints in square inches, or square centimetres.</summary>
    LeakageArea,

    /// <summary>Weight on an area; kg/m². Prints in pounds a square foot, or kilograms a square metre.</summary>
    AreaWeight,

    /// <summary>Heat; J. Prints in kilowatt-hours.</summary>
    Heat,

    /// <summary>Money in the firm's currency.</summary>
    Money,

    /// <summary>Money on an area; the firm's currency per m². Prints per square foot, or per square metre.</summary>
    MoneyPerArea,

    /// <summary>Money on board that is priced by its thickness; the firm's currency per m² and mm. Prints per board foot, or per cubic
    /// metre.</summary>
    MoneyPerBoard,

    /// <summary>Area done in a time; m² an hour. Prints in square feet or square metres an hour.</summary>
    AreaPace,

    /// <summary>Foam sprayed in a time; m³ an hour. Prints in board feet or cubic metres an hour.</summary>
    FoamPace,

    /// <summary>How long a reaction takes; seconds in both systems.</summary>
    ReactionTime,

    /// <summary>Pressure of the two sides at the proportioner; Pa. Prints in pounds a square inch, or megapascals.</summary>
    MaterialPressure,

    /// <summary>Water taken out of air; kg an hour. Prints in pints, or litres, a day, as dehumidifiers are sold.</summary>
    WaterPace,

    /// <summary>Kilograms a second that flow.</summary>
    MassFlow,

    /// <summary>Mass of a piece that is weighed on a small scale; kg.</summary>
    PieceMass,

    /// <summary>Volume of a piece, by the water it displaces; m³.</summary>
    PieceVolume,
}

/// <summary>Which way a figure is rounded where it is printed.</summary>
public enum Rounding
{
    /// <summary>To the nearest.</summary>
    Nearest,

    /// <summary>Never to less: what must be reached.</summary>
    Up,

    /// <summary>Never to more: what must not be passed.</summary>
    Down,
}

/// <summary>An amount with what it measures: the common coin of findings, workings and screens.</summary>
/// <param name="Amount">The amount in the unit that is kept of its dimension, as <see cref="Dimension"/> says: SI, and °C or percent where
/// people think in those.</param>
/// <param name="Dimension">What it measures.</param>
public readonly record struct Figure(double Amount, Dimension Dimension)
{
    /// <summary>Which way it is rounded where it is printed: a figure that someone will act on is rounded to the safe side, in the
    /// reader's own units.</summary>
    public Rounding Rounding { get; init; }

    /// <summary>The figure printed so that reaching what is printed reaches it.</summary>
    public Figure AtLeast => this with { Rounding = Rounding.Up };

    /// <summary>The figure printed so that keeping to what is printed keeps to it.</summary>
    public Figure AtMost => this with { Rounding = Rounding.Down };

    /// <summary>A plain number.</summary>
    public static Figure Number(double value) => new(value, Dimension.Number);

    /// <summary>A whole count.</summary>
    public static Figure Count(int value) => new(value, Dimension.Count);

    /// <summary>A share of a whole in percent.</summary>
    public static Figure Percent(double percent) => new(percent, Dimension.Percent);

    /// <summary>A chance.</summary>
    /// <param name="share">0 to 1.</param>
    public static Figure Chance(double share) => new(share * 100, Dimension.Chance);

    /// <summary>A duration.</summary>
    public static Figure Duration(TimeSpan duration) => new(duration.TotalSeconds, Dimension.Duration);
}
