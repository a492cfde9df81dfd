using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Window;

namespace Umbracell.Server.Window;

/// <summary>How drums are at a start.</summary>
public enum DrumsState
{
    /// <summary>Not both were read within these hours: nothing is told of them.</summary>
    Unread,

    /// <summary>Both in the sheet's window by themselves.</summary>
    Inside,

    /// <summary>Too cold, and warm enough in the firm's blankets.</summary>
    InBlankets,

    /// <summary>Too cold, and warm enough in the firm's hot room.</summary>
    InHotRoom,

    /// <summary>Too cold, with what the firm has too, or without any.</summary>
    Cold,

    /// <summary>Too warm.</summary>
    Hot,
}

/// <summary>How warm the drums are at a start, standing outdoors until then, and when blankets must go on.</summary>
public sealed record DrumsAtStartAnswer
{
    /// <summary>The start.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>How they are then.</summary>
    public required DrumsState State { get; init; }

    /// <summary>When the firm's blankets go on; null unless that is what it takes.</summary>
    public required DateTimeOffset? On { get; init; }

    /// <summary>When they go into the firm's hot room; null where they need not, it has none, or that is too late.</summary>
    public required DateTimeOffset? Into { get; init; }

    /// <summary>a and b as they are then if left alone; least and greatest of the sheet; blanket and room, its air, where the firm has them.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }
}

/// <summary>Puts the drums of a surface's product through the hours.</summary>
internal static class DrumsAtStart
{
    /// <summary>The drums at a start; null where the gate of the surface is not known yet.</summary>
    public static DrumsAtStartAnswer? Of(HoursCase of, DateTimeOffset now, DateTimeOffset start)
    {
        if (of.Row is not { Gate: { } gate, Sheet: { } sheet })
        {
            return null;
        }

        var runs = of.Case.Members.Select(sky => sky.Run).ToList();
        var watts = of.Job.Means.Supplies.Means.Blankets?.Watts ?? 0;
        var figures = new Dictionary<string, Figure>
        {
            ["least"] = sheet.Drums.Least.ToFigure(),
            ["greatest"] = sheet.Drums.Greatest.ToFigure(),
        };
        if (watts > 0)
        {
            figures["blanket"] = new(watts, Dimension.ElectricPower);
        }

        var room = of.Job.Means.Supplies.Means.HotRoom;
        if (room is not null)
        {
            figures["room"] = room.Air.ToFigure();
        }

        if (
            Read(gate.DrumA, SetSide.A) is not { } a
            || Read(gate.DrumB, SetSide.B) is not { } b
            || a.At < runs[0].Start
            || b.At < runs[0].Start
        )
        {
            return Told(DrumsState.Unread, null);
        }

        var air = DrumHours.MiddleOf(runs);
        var left = new[] { a, b }.Select(drum => DrumHours.At(drum.Drum with { Blanket = 0 }, drum.At, start, air)).ToList();
        (figures["a"], figures["b"]) = (left[0].ToFigure(), left[1].ToFigure());
        var on = new[] { a, b }.Select(drum => DrumHours.LatestOn(drum.Drum, drum.At, now, start, sheet.Drums.Least, air)).ToList();
        var into = room is null
            ? null
            : new[] { a, b }
                .Select(drum => DrumHours.LatestInto(drum.Drum with { Blanket = 0 }, drum.At, now, start, sheet.Drums.Least, air, room.Air))
                .ToList();
        var fits = into?.TrueForAll(at => at is not null) == true;
        var state =
            left.Exists(drum => drum > sheet.Drums.Greatest) ? DrumsState.Hot
            : left.TrueForAll(drum => drum >= sheet.Drums.Least) ? DrumsState.Inside
            : watts > 0 && on.TrueForAll(at => at is not null) ? DrumsState.InBlankets
            : fits ? DrumsState.InHotRoom
            : DrumsState.Cold;
        var isCold = state is DrumsState.InBlankets or DrumsState.InHotRoom;
        return Told(state, state == DrumsState.InBlankets ? on.Min() : null) with { Into = isCold && fits ? into!.Min() : null };

        (DrumWarmth Drum, DateTimeOffset At)? Read(ReadTemperature? drum, SetSide side) =>
            drum is { } read
                ? (
                    new(
                        side,
                        DrumStock.MassOf(sheet, side),
                        Temperature.FromCelsius(read.TempC),
                        Temperature.FromCelsius(read.TempC),
                        watts
                    ),
                    of.Row.StudiedAt.AddMinutes(-read.AgeMin)
                )
                : null;

        DrumsAtStartAnswer Told(DrumsState state, DateTimeOffset? goesOn) =>
            new()
            {
                Start = start,
                State = state,
                On = goesOn,
                Into = null,
                Figures = FigureAnswer.All(figures),
            };
    }
}
