using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Spraying;

/// <summary>What became of the drums of a side, by the log.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Lot">Lot of the drum that is open; null where none is, or nobody said.</param>
/// <param name="Left">What is left in it, a share of a full one; null where none is open.</param>
/// <param name="Used">Drums used so far, by levels that were read, 0 or more.</param>
public sealed record DrumUse(SetSide Side, string? Lot, double? Left, double Used)
{
    /// <summary>Lots that were open while the surface was sprayed, in their order.</summary>
    public IReadOnlyList<string> LotsOnSurface { get; init; } = [];

    /// <summary>Whether a level was read higher than the one before, with no new drum between.</summary>
    public bool Rose { get; init; }

    /// <summary>Whether a lift was begun after the drum was said to be empty, before another was opened.</summary>
    public bool WasDry { get; init; }

    /// <summary>How high a full 200 l steel drum is filled: 0.2 m³ over a circle of 572 mm.</summary>
    public static Length FullDip { get; } = Length.FromMetres(0.2 / (Math.PI * 0.286 * 0.286));

    /// <summary>What is left of a drum by the depth of the liquid in it, a share of a full one.</summary>
    /// <param name="dip">Depth of the liquid, 0 to 0.9 m.</param>
    public static double LeftOf(Length dip) => dip / FullDip;
}

/// <summary>Drums of a side as they come out of the entries in force, taken by the time they happened.</summary>
internal sealed class DrumsOfLog(SetSide side)
{
    // A dip is read to a centimetre: so much higher is none.
    private const double AsRead = 0.03;

    private readonly List<string> _lots = [];

    private bool _isOpen,
        _isDry,
        _rose,
        _wasDry,
        _sprays;

    private string? _lot;

    private double _left,
        _used;

    public void Take(LogEntry entry)
    {
        switch (entry.Kind)
        {
            case LogEntryKind.LiftBegun:
                _sprays = true;
                _wasDry |= _isDry;
                Note();
                break;
            case LogEntryKind.LiftEnded:
                _sprays = false;
                break;
            case LogEntryKind.DrumOpened when entry.Side == side:
                (_isOpen, _isDry, _lot, _left) = (true, false, entry.Lot, entry.Left ?? 1);
                if (_sprays)
                {
                    Note();
                }

                break;
            case LogEntryKind.DrumLevel when entry.Side == side && entry.Left is { } left:
                Level(left);
                break;
            case LogEntryKind.DrumEmpty when entry.Side == side:
                Level(0);
                (_isOpen, _isDry, _lot) = (false, true, null);
                break;
        }
    }

    public DrumUse Made() =>
        new(side, _lot, _isOpen ? _left : null, _used)
        {
            LotsOnSurface = [.. _lots],
            Rose = _rose,
            WasDry = _wasDry,
        };

    private void Level(double left)
    {
        // Nobody said that it was opened: it was as full as it was first found.
        var before =
            _isOpen ? _left
            : left == 0 ? 1
            : left;
        _rose |= left > before + AsRead;
        _used += Math.Max(0, before - left);
        (_isOpen, _isDry, _left) = (true, false, left);
    }

    private void Note()
    {
        if (_lot is { } lot && !_lots.Contains(lot))
        {
            _lots.Add(lot);
        }
    }
}
