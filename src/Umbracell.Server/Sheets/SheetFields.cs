using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Sheets;

/// <summary>Reads a sheet as it is typed. A line is named by its path in the file, so that a fault is told at the same name whichever way
/// the sheet came.</summary>
internal static class SheetFields
{
    /// <summary>Takes what was typed onto a sheet, and says what is wrong with all of it.</summary>
    /// <param name="edit">What was typed.</param>
    /// <param name="sheet">The sheet it was begun from; takes what reads.</param>
    public static IReadOnlyList<FieldFault> Take(SheetEdit edit, SheetDocument sheet)
    {
        var fields = new TypedFields(new(null, edit.Units, edit.Fields));
        List<string> known = [];
        foreach (var line in SheetEntries.All)
        {
            known.Add(line.Path);
            Take(fields, line, sheet);
        }

        foreach (var curve in SheetEntries.Curves)
        {
            known.AddRange(Take(fields, curve, sheet));
        }

        try
        {
            fields.ThrowIfFaulty([.. known]);
        }
        catch (FieldFaultsException e)
        {
            return [.. e.Faults, .. Blank(sheet, e.Faults)];
        }

        var blank = Blank(sheet, []);
        return blank.Count > 0 ? blank : [.. ProductSheetFile.Contradictions(sheet).Select(Fault)];
    }

    private static void Take(TypedFields fields, SheetEntry line, SheetDocument sheet)
    {
        if (line.Words.Count > 0)
        {
            fields.Known(line.Path, line.Words.Contains, word => sheet.Set(line, word));
        }
        else if (line.Unit is null)
        {
            fields.Text(line.Path, line.Longest, required: true, text => sheet.Set(line, text));
        }
        else if (line.MayBeBlank)
        {
            fields.QuantityOrBlank(line.Path, line.Range, si => sheet.Set(line, si));
        }
        else
        {
            fields.Quantity(line.Path, line.Range, si => sheet.Set(line, si));
        }

        // The file says of every line that may be blank that it is.
        if (line.MayBeBlank && sheet.FigureOf(line) is null)
        {
            sheet.Set(line, si: null);
        }
    }

    // The curve's own field names its points in order: a number is the point of the sheet it was begun from, anything else a new one.
    private static IEnumerable<string> Take(TypedFields fields, SheetCurve curve, SheetDocument sheet)
    {
        var stood = sheet.PointsOf(curve);
        var places = fields.Has(curve.Path)
            ? fields.Raw(curve.Path).Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            : [.. Enumerable.Range(0, stood.Count).Select(i => $"{i}")];
        if (places.Length > curve.MostPoints)
        {
            fields.Fault(AtOdds(curve.Path, "curvePoints", ("most", Figure.Count(curve.MostPoints))));
            return [curve.Path];
        }

        List<string> cells = [];
        List<(double X, double Y)> points = [];
        foreach (var place in places)
        {
            var (x, y) =
                int.TryParse(place, out var at) && at >= 0 && at < stood.Count
                    ? (stood[at].X.Amount, stood[at].Y.Amount)
                    : (double.NaN, double.NaN);
            x = Cell(curve.X, x);
            y = Cell(curve.Y, y);
            if (double.IsFinite(x) && double.IsFinite(y))
            {
                points.Add((x, y));
            }

            double Cell(SheetEntry of, double standing)
            {
                var field = $"{curve.Path}.{place}.{of.Path}";
                cells.Add(field);
                var read = standing;
                if (fields.Has(field))
                {
                    fields.Quantity(field, of.Range, si => read = si);
                }
                else if (double.IsNaN(standing))
                {
                    fields.Fault(Empty(field));
                }

                return read;
            }
        }

        sheet.Set(curve, points);
        return [curve.Path, .. cells];
    }

    private static List<FieldFault> Blank(SheetDocument sheet, IReadOnlyList<FieldFault> told) =>
        [
            .. SheetEntries
                .All.Where(line => !line.MayBeBlank && sheet.FigureOf(line) is null && string.IsNullOrWhiteSpace(sheet.TextOf(line)))
                .Select(line => line.Path)
                .Concat(SheetEntries.Curves.Where(curve => sheet.PointsOf(curve).Count == 0).Select(curve => curve.Path))
                .Where(path => told.All(fault => fault.Field != path && !fault.Field.StartsWith(path + ".", StringComparison.Ordinal)))
                .Select(Empty),
        ];

    private static FieldFault Empty(string field) =>
        new()
        {
            Field = field,
            Code = FaultCode.Empty,
            Typed = "",
        };

    private static FieldFault Fault(SheetContradiction of) =>
        AtOdds(of.Path, of.Case, [.. of.Figures.Select(figure => (figure.Key, figure.Value))]);

    private static FieldFault AtOdds(string field, string which, params (string Name, Figure Figure)[] figures) =>
        new()
        {
            Field = field,
            Code = FaultCode.Contradicts,
            Typed = "",
            Words = [which],
            Figures = figures.Length > 0 ? figures.ToDictionary(one => one.Name, one => FigureAnswer.Of(one.Figure)) : null,
        };
}
