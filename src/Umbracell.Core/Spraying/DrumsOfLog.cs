using Umbracell.Core.Yield;

namespace Umbracell.Core.Spraying;

/// <summary>Drums of a side as they come out of the entries in force, taken by the time they happened.</summary>
/// <param name="side">The side.</param>
/// <param name="sheet">The product: drums of another are left out; null for all.</param>
internal sealed class DrumsOfLog(SetSide side, string? sheet = null)
{
    // A dip is read to a centimetre: so much higher is none.
    private const double AsRead = 0.03;

    private readonly List<string> _lots = [],
        _sheets = [];

    private readonly List<DrumReading> _readings = [];

    private int? _onTruck;

    private Guid? _stock;

    private bool _isOpen,
        _isDry,
        _rose,
        _wasDry,
        _sprays;

    private string? _lot,
        _sheet;

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
            case LogEntryKind.DrumOpened when IsMine(entry):
                Open(entry);
                break;
            case LogEntryKind.DrumLevel when IsMine(entry) && entry.Left is { } left:
                Level(left);
                Read(entry);
                break;
            case LogEntryKind.DrumEmpty when IsMine(entry):
                Level(0);
                (_isOpen, _isDry, _lot, _stock, _sheet) = (false, true, null, null, null);
                Read(entry);
                break;
            case LogEntryKind.DrumsOnTruck when IsMine(entry):
                _onTruck = entry.Count;
                break;
        }
    }

    private bool IsMine(LogEntry entry) => entry.Side == side && (sheet is null || entry.Sheet is null || entry.Sheet == sheet);

    private void Open(LogEntry entry)
    {
        // The next drum is opened when the one before is empty; one of another product is put in its place.
        if (_isOpen && (_sheet is null || entry.Sheet is null || _sheet == entry.Sheet))
        {
            Level(0);
        }

        _sheet = entry.Sheet;
        (_isOpen, _isDry, _lot, _stock, _left) = (true, false, entry.Lot, entry.Stock, entry.Left ?? 1);
        Read(entry);
        if (entry.Left is null && _onTruck > 0)
        {
            _onTruck--;
        }

        if (_sprays)
        {
            Note();
        }
    }

    private void Read(LogEntry entry) => _readings.Add(new(entry.At, _used, _isOpen ? _left : 0));

    public DrumUse Made() =>
        new(side, _lot, _isOpen ? _left : null, _used)
        {
            Readings = _readings,
            OnTruck = _onTruck,
            Sheet = _isOpen ? _sheet : null,
            SheetsOnSurface = [.. _sheets],
            Stock = _isOpen ? _stock : null,
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
        Keep(_lots, _lot);
        Keep(_sheets, _sheet);
    }

    private static void Keep(List<string> kept, string? one)
    {
        if (one is { } known && !kept.Contains(known))
        {
            kept.Add(known);
        }
    }
}
