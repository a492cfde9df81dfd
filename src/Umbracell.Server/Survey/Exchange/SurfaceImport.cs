using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>Checks imported rows the way typing is checked: one set of rules for both.</summary>
/// <param name="choices">What a field may name.</param>
/// <param name="stamp">Who brings them in, and when.</param>
/// <param name="names">Names of the surfaces the job has.</param>
internal sealed class SurfaceImport(SurveyChoices choices, Stamp stamp, IEnumerable<string> names)
{
    private readonly HashSet<string> _names = new(names, StringComparer.OrdinalIgnoreCase);
    private Area _area;

    /// <summary>Surfaces of the rows that read.</summary>
    public List<Surface> Surfaces { get; } = [];

    /// <summary>Treated area of the rows that read.</summary>
    public FigureAnswer Area => FigureAnswer.Of(_area.ToFigure());

    public CheckedRow Check(RowToImport row, UnitSystem units)
    {
        var surface = SurfaceStart.Of(SurfaceKind.StudWall, "");
        // A cell left blank in a table says nothing: the kind's own value stays.
        var edit = new TypedEdit(null, units, row.Fields.Where(f => f.Value.Trim().Length > 0).ToDictionary(f => f.Key, f => f.Value));
        var faults = Faults(edit, surface);
        if (faults.Count > 0)
        {
            return new()
            {
                Line = row.Line,
                Fields = row.Fields,
                Note = row.Note,
                Faults = faults,
                Area = null,
                Doubts = [],
            };
        }

        if (!_names.Add(surface.Name))
        {
            edit.Doubts.Add(FieldDoubt.SameName);
        }

        Surfaces.Add(surface);
        var takeoff = SurfaceReader.Takeoff(surface);
        _area += takeoff?.Treated ?? default;
        return new()
        {
            Line = row.Line,
            Fields = row.Fields,
            Note = row.Note,
            Faults = [],
            Area = FigureAnswer.Maybe(takeoff?.Treated.ToFigure()),
            Doubts = edit.Doubts,
        };
    }

    private IReadOnlyList<FieldFault> Faults(TypedEdit edit, Surface surface)
    {
        if (!edit.Fields.ContainsKey("name"))
        {
            return
            [
                new()
                {
                    Field = "name",
                    Code = FaultCode.Empty,
                    Typed = "",
                },
            ];
        }

        try
        {
            SurfaceEdits.Take(edit, surface, choices, stamp);
            return [];
        }
        catch (FieldFaultsException e)
        {
            return e.Faults;
        }
    }
}
