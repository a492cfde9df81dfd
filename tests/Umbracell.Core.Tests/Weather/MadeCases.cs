using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Core.Tests.Weather;

/// <summary>A thin skin in hours made for tests: the face that is sprayed in the open, or that towards the weather over a hall.</summary>
internal static class MadeCases
{
    public static readonly RoomCase Hall = new()
    {
        Volume = 500,
        Loss = 350,
        Capacity = 1.2e7,
    };

    /// <summary>The surface; two hours of spraying, one of cure, a crew from seven to four.</summary>
    /// <param name="members">Air of each member.</param>
    /// <param name="isOpen">Whether it is sprayed in the open.</param>
    /// <param name="tilt">Of the skin, from level, degrees.</param>
    /// <param name="between">Between the skin and the face that is sprayed within, m²·K/W.</param>
    public static SprayCase Of(AirHour[][] members, bool isOpen, double tilt = 90, double between = 0.4) =>
        new()
        {
            Face = new()
            {
                Outer = new()
                {
                    Plane = new(tilt, 0),
                    Finish = new(0.6, 0.85),
                    TimeConstant = TimeSpan.FromHours(0.2),
                },
                Between = isOpen ? null : ThermalResistance.FromSi(between),
                IsOpen = isOpen,
            },
            Room = isOpen ? null : Hall,
            Members = [.. members.Select(air => MadeHours.Sky(air.Length, i => air[i]))],
            Limits = new()
            {
                Sheet = Sheets.ClosedCell,
                Practice = new(),
                IsOpen = isOpen,
            },
            Needs = new(2, 1, h => h % 24 is >= 7 and < 16),
            From = 6,
            Before = 70,
        };
}
