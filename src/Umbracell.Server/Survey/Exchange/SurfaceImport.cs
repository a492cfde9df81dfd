using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Server.Jobs;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Checks imported rows the way typing is checked: one set of rules for both.</summary>
internal sealed class SurfaceImport(SurveyChoices choices, Stamp stamp)
{
    private Area _area;

    /// <summary>Surfaces of the rows that read.</summary>
    public List<Surface> Surfaces { get; } = [];

    /// <summary>Treated area of the rows that read.</summary>
    public FigureAnswer Area => FigureAnswer.Of(_area.ToFigure());

    public CheckedRow Check(RowToImport row, UnitSystem units)
    {
        var surface = SurfaceStart.Of(SurfaceKind.StudWall, "");
        var faults = Faults(row, units, surface);
        if (faults.Count > 0)
        {
            return new(row.Line, row.Fields, row.Note, faults, null);
        }

        Surfaces.Add(surface);
        var takeoff = SurfaceReader.Takeoff(surface);
        _area += takeoff?.Treated ?? default;
        return new(row.Line, row.Fields, row.Note, [], FigureAnswer.Maybe(takeoff?.Treated.ToFigure()));
    }

    private IReadOnlyList<FieldFault> Faults(RowToImport row, UnitSystem units, Surface surface)
    {
        if (string.IsNullOrWhiteSpace(row.Fields.GetValueOrDefault("name")))
        {
            return [new("name", "empty", "")];
        }

        // A cell left blank in a table says nothing: the kind's own value stays.
        var typed = row.Fields.Where(f => f.Value.Trim().Length > 0).ToDictionary(f => f.Key, f => f.Value);
        try
        {
            SurfaceEdits.Take(new(null, units, typed), surface, choices, stamp);
            return [];
        }
        catch (FieldFaultsException e)
        {
            return e.Faults;
        }
    }
}
