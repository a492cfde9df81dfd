using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>Air of a room, hour by hour: <c>C dT/dt = Q − (UA + ρ c n V) (T − T_out)</c> and <c>ρ V dW/dt = ρ n V (W_out − W) + m</c>,
/// each solved exactly within the hour (physics of heated spaces; see docs/methods/window.md).</summary>
public sealed class RoomRun
{
    private const double Hour = 3600;

    private readonly PlaceSky _sky;
    private readonly double[] _celsius,
        _vapour,
        _heat,
        _water,
        _sprayedCelsius,
        _sprayedVapour;

    private RoomRun(PlaceSky sky, int count)
    {
        _sky = sky;
        (_celsius, _vapour, _heat, _water) = (new double[count], new double[count], new double[count], new double[count]);
        (_sprayedCelsius, _sprayedVapour) = (new double[count], new double[count]);
    }

    /// <summary>How many hours.</summary>
    public int Count => _celsius.Length;

    internal ReadOnlySpan<double> Celsius => _celsius;

    internal ReadOnlySpan<double> Vapour => _vapour;

    /// <summary>Air of each hour if spraying begins with it, °C: ventilated as the work asks.</summary>
    internal ReadOnlySpan<double> SprayedCelsius => _sprayedCelsius;

    /// <summary>Its vapour pressure, Pa.</summary>
    internal ReadOnlySpan<double> SprayedVapour => _sprayedVapour;

    /// <summary>Heat given in all hours, J.</summary>
    public double Heat => _heat.Sum();

    /// <summary>An hour.</summary>
    /// <param name="index">From 0.</param>
    public RoomHour this[int index]
    {
        get
        {
            var isKnown = !double.IsNaN(_celsius[index] + _vapour[index]);
            var temperature = isKnown ? Temperature.FromCelsius(_celsius[index]) : (Temperature?)null;
            return new()
            {
                Start = _sky.Run.Hours[index].Start,
                Temperature = temperature,
                Humidity = temperature is { } t
                    ? RelativeHumidity.OfWeather(100 * _vapour[index] / MoistAir.SaturationPressureOfWeather(t).Pascals, t)
                    : null,
                DewPoint = isKnown ? MoistAir.DewPointOf(Pressure.FromPascals(_vapour[index])) : null,
                Heat = _heat[index],
                FlameWater = _water[index],
            };
        }
    }

    /// <summary>Every hour.</summary>
    public IEnumerable<RoomHour> Hours => Enumerable.Range(0, Count).Select(i => this[i]);

    /// <summary>Puts a room through the hours of a place.</summary>
    /// <param name="room">The room.</param>
    /// <param name="sky">The hours outdoors.</param>
    /// <param name="drive">What is done to it in each hour.</param>
    /// <param name="spraying">What is done to it in an hour in which it is sprayed; null for the same.</param>
    /// <param name="count">How many of the hours; null for all.</param>
    /// <exception cref="QuantityRangeException">A figure out of its range.</exception>
    public static RoomRun Of(
        RoomCase room,
        PlaceSky sky,
        Func<int, RoomHourDrive> drive,
        Func<int, RoomHourDrive>? spraying = null,
        int? count = null
    )
    {
        room.Checked();
        var run = new RoomRun(sky, count ?? sky.Hours.Length);
        double celsius = room.Start?.Celsius ?? double.NaN,
            ratio = double.NaN;
        var read = room.Read is { } last ? (int)Math.Floor((last.At - sky.Run.Start).TotalHours) : -1;
        for (var i = 0; i < run.Count; i++)
        {
            ref readonly var outdoors = ref sky.Hours[i];
            if (double.IsNaN(outdoors.Celsius + outdoors.Vapour))
            {
                run._celsius[i] = run._vapour[i] = run._sprayedCelsius[i] = run._sprayedVapour[i] = double.NaN;
                continue;
            }

            var outdoorRatio = MoistAir.RatioOf(outdoors.Vapour, outdoors.Pressure);
            celsius = double.IsNaN(celsius) ? outdoors.Celsius : celsius;
            ratio = double.IsNaN(ratio) ? outdoorRatio : ratio;
            if (i == read && room.Read is { } reading)
            {
                (celsius, ratio) = ReadIn(reading, outdoors, ratio);
            }

            var (before, moist) = (celsius, ratio);
            (celsius, ratio, run._heat[i], run._water[i]) = Taken(room, outdoors, drive(i), before, moist, outdoorRatio);
            (run._celsius[i], run._vapour[i]) = (celsius, MoistAir.VapourOf(ratio, outdoors.Pressure));
            var (sprayed, its) = (celsius, ratio);
            if (spraying is not null)
            {
                (sprayed, its, _, _) = Taken(room, outdoors, spraying(i), before, moist, outdoorRatio);
            }

            (run._sprayedCelsius[i], run._sprayedVapour[i]) = (sprayed, MoistAir.VapourOf(its, outdoors.Pressure));
        }

        return run;
    }

    // Air that is warmer than was thought holds as much water as before, unless that was read too.
    private static (double Celsius, double Ratio) ReadIn(RoomReading reading, in PlaceSky.Hour outdoors, double ratio) =>
        (
            reading.Temperature.Celsius,
            reading.Humidity is { } humidity
                ? MoistAir.Of(reading.Temperature, humidity, Pressure.FromPascals(outdoors.Pressure)).HumidityRatio
                : ratio
        );

    private static (double Celsius, double Ratio, double Heat, double Water) Taken(
        RoomCase room,
        in PlaceSky.Hour outdoors,
        RoomHourDrive drive,
        double celsius,
        double ratio,
        double outdoorRatio
    )
    {
        var step = new Step(room, outdoors, drive.Checked());
        (celsius, var heat) = step.Warmed(celsius);
        var water = SpaceHeating.WaterPerKilowattHour(drive.Kind) * heat / SpaceHeating.JoulesPerKilowattHour;
        return (celsius, step.Moistened(ratio, outdoorRatio, water, celsius), heat, water);
    }

    private readonly struct Step
    {
        private readonly double _outdoors,
            _pressure,
            _conductance,
            _dryAir,
            _kept;

        public Step(RoomCase room, in PlaceSky.Hour outdoors, RoomHourDrive drive)
        {
            Drive = drive;
            (_outdoors, _pressure) = (outdoors.Celsius, outdoors.Pressure);
            _dryAir =
                room.Volume
                * MoistAir.DryDensity(Temperature.FromCelsius(outdoors.Celsius), Pressure.FromPascals(outdoors.Pressure - outdoors.Vapour));
            _conductance = room.Loss + _dryAir * drive.AirChanges / Hour * HeatedSpace.AirHeatCapacity;
            _kept = Math.Exp(-_conductance * Hour / room.Capacity);
        }

        public RoomHourDrive Drive { get; }

        // Heat of the hour, J: all there is, or what brings the room to the thermostat.
        public (double Celsius, double Heat) Warmed(double before)
        {
            var (outdoors, conductance, kept) = (_outdoors, _conductance, _kept);
            var full = At(Drive.Power);
            if (Drive.Thermostat is not { } wanted || full <= wanted.Celsius)
            {
                return (full, Drive.Power * Hour);
            }

            var without = At(0);
            return without >= wanted.Celsius
                ? (without, 0)
                : (wanted.Celsius, (wanted.Celsius - without) / (full - without) * Drive.Power * Hour);

            double At(double power) => outdoors + power / conductance + (before - outdoors - power / conductance) * kept;
        }

        // What air cannot hold goes to the faces.
        public double Moistened(double before, double outdoors, double water, double celsius)
        {
            var brought = outdoors * Drive.AirChanges + (water - Drive.Dried) / _dryAir;
            var ratio = Settling(before, brought, Drive.AirChanges);
            if (Drive.Dehumidifier is { } dryer && ratio > dryer.Leaves)
            {
                var pace = dryer.PerRatio / _dryAir;
                var dried = Settling(before, brought + pace * dryer.Leaves, Drive.AirChanges + pace);
                var most = Settling(before, brought - dryer.RatedKilogramsPerHour / _dryAir, Drive.AirChanges);
                ratio = Math.Min(ratio, Math.Max(Math.Max(dried, most), dryer.Leaves));
            }

            var saturated = MoistAir.SaturationPressureOfWeather(Temperature.FromCelsius(celsius)).Pascals;
            return Math.Clamp(ratio, 1e-6, MoistAir.RatioOf(Math.Min(saturated, 0.9 * _pressure), _pressure));

            // dW/dt = brought − pace · W, over the hour.
            static double Settling(double from, double brought, double pace) => brought / pace + (from - brought / pace) * Math.Exp(-pace);
        }
    }
}
