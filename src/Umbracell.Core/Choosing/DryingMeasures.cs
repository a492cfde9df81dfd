using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>What could be changed so that a system of a surface stays dry.</summary>
public enum DryingChange
{
    /// <summary>Drier air in the room in the months it is heated.</summary>
    DrierRoom,

    /// <summary>A Class II coat on the room's side.</summary>
    RoomSideCoat,

    /// <summary>Insulating board outside.</summary>
    BoardOutside,

    /// <summary>A vent channel under the deck.</summary>
    VentChannel,
}

/// <summary>A change with which a system stands and stays dry where none does now.</summary>
/// <param name="Change">What changes.</param>
/// <param name="To">To what: humidity of the room at winter design, thickness of the coat, board or channel.</param>
/// <param name="System">The system that then is advised.</param>
public sealed record DryingMeasure(DryingChange Change, Figure To, CandidateKind System);

/// <summary>Seeks what would have to change where every system of a surface fails on condensation.</summary>
internal static class DryingMeasures
{
    private const double DriestRoom = 20,
        ThickestBoardInches = 6;

    private static readonly Length Channel = Length.FromInches(1),
        Baffle = Length.FromInches(0.5);

    /// <summary>Changes that help, each by itself, the least of each kind.</summary>
    public static IReadOnlyList<DryingMeasure> Of(ChoiceCase choice) =>
        [.. new[] { DrierRoom(choice), RoomSideCoat(choice), BoardOutside(choice), VentChannel(choice) }.OfType<DryingMeasure>()];

    /// <summary>The question with a change made.</summary>
    public static ChoiceCase With(ChoiceCase choice, DryingChange change, double to)
    {
        var (section, m) = (choice.Section, choice.Materials);
        return change switch
        {
            DryingChange.DrierRoom => choice with
            {
                Section = section with { Air = section.Air with { IndoorHumidity = RelativeHumidity.FromPercent(to) } },
                Year = choice.Year?.WithWinterHumidityShift(to - section.Air.IndoorHumidity.Percent),
            },
            DryingChange.RoomSideCoat => choice with
            {
                Section = section with { Inboard = [new Layer(m.VapourCoat, Length.FromMetres(to)), .. section.Inboard] },
                Memo = new(),
            },
            DryingChange.BoardOutside => choice with
            {
                Section = section with { Outboard = CandidateSizing.Inserted(section.Outboard, new(m.Board, Length.FromMetres(to))) },
                Memo = new(),
            },
            _ => choice with
            {
                Section = section with
                {
                    Kind = SurfaceKind.VentedRafters,
                    VentChannel = Length.FromMetres(to),
                    Baffle = new Layer(m.Board, Baffle),
                },
                Memo = new(),
            },
        };
    }

    // By whole points, so that the figure told is the figure that does it.
    private static DryingMeasure? DrierRoom(ChoiceCase choice)
    {
        var start = Math.Ceiling(choice.Section.Air.IndoorHumidity.Percent) - 1;
        return
            choice.FacesAir
            && First(choice, DryingChange.DrierRoom, Enumerable.Range(0, (int)Math.Max(0, start - DriestRoom) + 1).Select(i => start - i))
                is var (to, system)
            ? new(DryingChange.DrierRoom, new(to, Dimension.Percent), system)
            : null;
    }

    private static DryingMeasure? RoomSideCoat(ChoiceCase choice) =>
        choice.Section.FoamAgainst == FoamSide.Outboard
        && First(choice, DryingChange.RoomSideCoat, [CandidateSizing.CoatThickness.Metres]) is var (to, system)
            ? new(DryingChange.RoomSideCoat, Length.FromMetres(to).ToThickness(), system)
            : null;

    private static DryingMeasure? BoardOutside(ChoiceCase choice)
    {
        if (choice.Section.Kind is not (SurfaceKind.StudWall or SurfaceKind.BandJoist or SurfaceKind.UnventedDeck or SurfaceKind.SolidWall))
        {
            return null;
        }

        var half = Length.FromInches(0.5).Metres;
        return
            First(choice, DryingChange.BoardOutside, Enumerable.Range(1, (int)(ThickestBoardInches * 2)).Select(i => i * half))
                is var (to, system)
            ? new(DryingChange.BoardOutside, Length.FromMetres(to).ToThickness(), system)
            : null;
    }

    private static DryingMeasure? VentChannel(ChoiceCase choice) =>
        choice.Section.Kind == SurfaceKind.UnventedDeck && First(choice, DryingChange.VentChannel, [Channel.Metres]) is var (to, system)
            ? new(DryingChange.VentChannel, Length.FromMetres(to).ToThickness(), system)
            : null;

    private static (double To, CandidateKind System)? First(ChoiceCase choice, DryingChange change, IEnumerable<double> values)
    {
        foreach (var value in values)
        {
            if (Ranking.Winner(Ranking.Of(With(choice, change, value))) is { FailsCondensation: false } winner)
            {
                return (value, winner.Kind);
            }
        }

        return null;
    }
}
