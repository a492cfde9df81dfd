using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Questions.Window;

/// <summary>Puts the hours of a face to the core.</summary>
public static class GateHoursQuestions
{
    /// <summary>Answers a question; the crew is taken to work at any hour.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range, or members of different length.</exception>
    public static GateHoursAnswer Answer(GateHoursQuestion question, Supplies supplies)
    {
        var hours = question.Members[0].Count;
        foreach (var member in question.Members)
        {
            QuantityRangeException.Within(
                "members",
                member.Count,
                Math.Max(1, hours),
                Math.Min(hours, GateHoursQuestion.MostHours),
                Dimension.Count
            );
        }

        var sheet = supplies.SheetAtTheGate(question.SheetId);
        var (face, room) = (Face(question.Face), Room(question.Room));
        var gate = GateHours.Of(
            [.. Members(question).Select(sky => SurfaceHours.Of(face, room, sky))],
            new()
            {
                Sheet = sheet,
                Practice = supplies.Gate,
                IsOpen = question.Face.IsOpen,
            }
        );
        var needs = new WindowNeeds(question.SprayingH, (int)Math.Ceiling(sheet.CureBeforeRain.TotalHours), _ => true);
        var chances = SprayWindows.Chances(gate, needs);
        return new([.. Enumerable.Range(0, gate.Count).Select(h => Told(gate[h], chances[h]))]);
    }

    private static IReadOnlyList<PlaceSky> Members(GateHoursQuestion question) =>
        PlaceSky.OfMembers(
            [
                .. question.Members.Select(
                    (member, i) =>
                        new AirRun
                        {
                            Source = AirSource.Forecast,
                            Member = i,
                            Hours = HourAsked.Run(member, question.Start),
                        }
                ),
            ],
            new(new(question.Latitude, question.Longitude), Length.FromMetres(question.AltitudeM))
        );

    private static SprayedFace Face(SprayedFaceAsked face) =>
        new()
        {
            Outer = new()
            {
                Plane = new(face.TiltDeg, face.AzimuthDeg),
                Finish = new(face.Absorptance, face.Emittance),
                TimeConstant = TimeSpan.FromHours(face.TimeConstantH),
            },
            Between = face.BetweenM2KPerW is { } between ? ThermalResistance.FromSi(between) : null,
            IsOpen = face.IsOpen,
        };

    private static SprayedRoom? Room(SprayedRoomAsked? room) =>
        room is null
            ? null
            : new(
                new()
                {
                    Volume = room.VolumeM3,
                    Loss = room.LossWPerK,
                    Capacity = room.CapacityKjPerK * 1000,
                },
                _ => new() { AirChanges = room.AirChangesPerH },
                _ => new() { AirChanges = Math.Max(room.AirChangesPerH, room.SprayingAirChangesPerH) }
            );

    private static GateHourAnswer Told(GateHour hour, double chance) =>
        new()
        {
            Start = hour.Start,
            Verdict = hour.Verdict,
            PassingPct = 100 * hour.Passing,
            Limit = hour.Limit,
            SubstrateC = Known(hour.Substrate.Middle),
            DewPointC = Known(hour.Dew.Middle),
            StartPct = 100 * chance,
        };

    private static double? Known(double value) => double.IsNaN(value) ? null : value;
}
