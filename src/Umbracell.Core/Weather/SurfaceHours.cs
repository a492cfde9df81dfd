using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>How the face that is sprayed hangs on the weather.</summary>
public sealed record SprayedFace
{
    /// <summary>The face towards the weather; null where there is none: against ground, or within a building.</summary>
    public FaceCase? Outer { get; init; }

    /// <summary>What lies between the outer face, or the ground, and the face that is sprayed; null where the outer face itself is
    /// sprayed.</summary>
    public ThermalResistance? Between { get; init; }

    /// <summary>Ground behind; null where there is none.</summary>
    public Temperature? Ground { get; init; }

    /// <summary>Whether wind and rain reach the work.</summary>
    public bool IsOpen { get; init; }

    /// <summary>Hour at whose start the face is washed, by its number; null where it is not. Water runs down it then, as much as
    /// stays.</summary>
    public int? Washed { get; init; }

    /// <summary>What was last read on the face that is sprayed; null where nothing was.</summary>
    public FaceReading? Read { get; init; }

    /// <summary>How long what was read there is felt: the time constant of what follows the weather, an hour at least.</summary>
    internal TimeSpan Memory
    {
        get
        {
            var hours = Outer switch
            {
                { Mass: { } mass } => mass.TimeConstant.TotalHours,
                { } outer => outer.TimeConstant.TotalHours,
                null => 0,
            };
            return TimeSpan.FromHours(Math.Max(1, hours));
        }
    }

    /// <summary>Film between a face and room air, m²·K/W (ISO 6946, level heat flow).</summary>
    internal const double RoomFilm = 0.13;
}

/// <summary>A temperature read on the face that is sprayed.</summary>
/// <param name="At">When.</param>
/// <param name="Temperature">What was read.</param>
public readonly record struct FaceReading(DateTimeOffset At, Temperature Temperature);

/// <summary>The room in which a face is sprayed, and what is done to it by the hour.</summary>
/// <param name="Room">The room.</param>
/// <param name="Drive">What is done to it in an hour, by its number.</param>
/// <param name="Spraying">What is done to it in an hour in which spraying begins: ventilated as the work asks; null for the same.</param>
public sealed record SprayedRoom(RoomCase Room, Func<int, RoomHourDrive> Drive, Func<int, RoomHourDrive>? Spraying = null);

/// <summary>Hours of a surface under one member: the face that is sprayed and the air at the work.</summary>
public sealed class SurfaceHours
{
    // What a film on a metal face must pass for the eye to find it wet: a tenth of that of a window misting over.
    internal const double SeenWet = 0.001;

    private SurfaceHours(PlaceSky sky, int count)
    {
        Sky = sky;
        (Substrate, Celsius, Dew, RhPct, Gust, Wet) = (
            new double[count],
            new double[count],
            new double[count],
            new double[count],
            new double[count],
            new double[count]
        );
    }

    internal PlaceSky Sky { get; }

    /// <summary>Face that is sprayed, °C.</summary>
    internal double[] Substrate { get; }

    /// <summary>Air at the work, °C.</summary>
    internal double[] Celsius { get; }

    /// <summary>Its dew or frost point, °C.</summary>
    internal double[] Dew { get; }

    /// <summary>Its relative humidity over water, percent.</summary>
    internal double[] RhPct { get; }

    /// <summary>Gusts at the face, m/s; nought within a building.</summary>
    internal double[] Gust { get; }

    /// <summary>Water and frost on the face that is sprayed, kg/m².</summary>
    internal double[] Wet { get; }

    /// <summary>Heat the heaters gave, J.</summary>
    public double Heat { get; private set; }

    /// <summary>Puts a surface through the hours of a member.</summary>
    /// <param name="face">The face.</param>
    /// <param name="room">The room it is sprayed in; null in the open.</param>
    /// <param name="sky">The hours.</param>
    /// <param name="count">How many of them; null for all.</param>
    /// <exception cref="QuantityRangeException">A figure out of its range.</exception>
    public static SurfaceHours Of(SprayedFace face, SprayedRoom? room, PlaceSky sky, int? count = null)
    {
        var hours = new SurfaceHours(sky, Math.Min(count ?? sky.Hours.Length, sky.Hours.Length));
        hours.FillAir(face, room is null ? null : RoomRun.Of(room.Room, sky, room.Drive, room.Spraying, hours.Substrate.Length));
        hours.FillSubstrate(face);
        return hours;
    }

    // Dew point of the room at rest, in which a face lies until it is sprayed, °C; that of the air at the work where there is no room.
    private double[] _restingDew = [];

    private void FillAir(SprayedFace face, RoomRun? room)
    {
        _restingDew = room is null ? Dew : new double[Dew.Length];
        for (var i = 0; i < Substrate.Length; i++)
        {
            ref readonly var outdoors = ref Sky.Hours[i];
            Gust[i] = face.IsOpen ? outdoors.Gust * (face.Outer?.WindShare ?? 1) : 0;
            if (room is null)
            {
                (Celsius[i], Dew[i], RhPct[i]) = (outdoors.Celsius, outdoors.Dew, outdoors.RhPct);
                continue;
            }

            var (celsius, vapour) = (room.SprayedCelsius[i], room.SprayedVapour[i]);
            _restingDew[i] = double.IsNaN(room.Vapour[i]) ? double.NaN : Saturation.DewPoint(Math.Log(room.Vapour[i]));
            (Celsius[i], Dew[i], RhPct[i]) = double.IsNaN(celsius)
                ? (double.NaN, double.NaN, double.NaN)
                : (
                    celsius,
                    Saturation.DewPoint(Math.Log(vapour)),
                    100 * vapour / MoistAir.SaturationPressureOfWeather(Temperature.FromCelsius(celsius)).Pascals
                );
        }

        Heat = room?.Heat ?? 0;
    }

    private void FillSubstrate(SprayedFace face)
    {
        if (face.Outer is not { } outer)
        {
            FillWithin(face);
            return;
        }

        if (face.Between is not { } between)
        {
            var open = FaceRun.Of(outer, Sky, [], Substrate.Length, face.Washed);
            open.Celsius.CopyTo(Substrate);
            open.Wet.CopyTo(Wet);
            Pull(face);
            return;
        }

        if (outer.Mass is not null)
        {
            var thick = FaceRun.Of(
                outer with
                {
                    Behind = new(ThermalResistance.FromSi(SprayedFace.RoomFilm), Temperature.FromCelsius(0)),
                },
                Sky,
                Celsius,
                Substrate.Length
            );
            thick.FarFace.CopyTo(Substrate);
            Pull(face);
            FillFilmWithin(face);
            return;
        }

        var behind = ThermalResistance.FromSi(between.SquareMetreKelvinsPerWatt + SprayedFace.RoomFilm);
        var run = FaceRun.Of(outer with { Behind = new(behind, Temperature.FromCelsius(0)) }, Sky, Celsius, Substrate.Length);
        var inward = between.SquareMetreKelvinsPerWatt / behind.SquareMetreKelvinsPerWatt;
        for (var i = 0; i < Substrate.Length; i++)
        {
            Substrate[i] = run.Celsius[i] + inward * (Celsius[i] - run.Celsius[i]);
        }

        Pull(face);
        FillFilmWithin(face);
    }

    // A reading says what the hours did not know, such as a cloud that came or a face that lies in shade; it fades as the face forgets.
    private void Pull(SprayedFace face)
    {
        if (face.Read is not { } read)
        {
            return;
        }

        var first = (int)Math.Floor((read.At - Sky.Run.Start).TotalHours);
        if (first < 0 || first >= Substrate.Length || double.IsNaN(Substrate[first]))
        {
            return;
        }

        var (off, memory) = (read.Temperature.Celsius - Substrate[first], face.Memory.TotalHours);
        for (var i = first; i < Substrate.Length; i++)
        {
            Substrate[i] += off * Math.Exp(-(i - first) / memory);
        }
    }

    // Between ground and room, or as warm as the room.
    private void FillWithin(SprayedFace face)
    {
        var between = face.Between?.SquareMetreKelvinsPerWatt ?? 0;
        for (var i = 0; i < Substrate.Length; i++)
        {
            Substrate[i] = face.Ground is { } ground
                ? ground.Celsius + between / (between + SprayedFace.RoomFilm) * (Celsius[i] - ground.Celsius)
                : Celsius[i];
        }

        Pull(face);
        FillFilmWithin(face);
    }

    // Dew of the room on the face, still air before it.
    private void FillFilmWithin(SprayedFace of)
    {
        const double StillAir = 2.8,
            Greatest = 0.1,
            Hour = 3600;
        var film = 0.0;
        for (var i = 0; i < Wet.Length; i++)
        {
            film = i == of.Washed ? Greatest : film;
            var (face, dew) = (Substrate[i], _restingDew[i]);
            if (double.IsNaN(face + dew))
            {
                Wet[i] = double.NaN;
                continue;
            }

            if (film > 0 || face < dew)
            {
                var passed =
                    FaceFilm.PerPascal(StillAir, Sky.Hours[i].Pressure) * (FaceFilm.Saturated(dew) - FaceFilm.Saturated(face)) * Hour;
                film = Math.Clamp(film + passed, 0, Greatest);
            }

            Wet[i] = film;
        }
    }
}
