using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Tables;
using Umbracell.Questions.Answers;
using Umbracell.Server.Means;
using Umbracell.Server.Problems;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sets.PastJobs;

/// <summary>Finished jobs in a table: every cell is read as if it had been typed, so that units and fractions mean the same.</summary>
internal static class PastJobTable
{
    private const int MostFaults = 100;

    // Headings as people write them, by the field they mean.
    private static readonly Dictionary<string, string> Headings = new(StringComparer.OrdinalIgnoreCase)
    {
        ["job"] = "name",
        ["product sheet"] = "product",
        ["foam"] = "product",
        ["date"] = "finished",
        ["finished on"] = "finished",
        ["depth"] = "meanDepth",
        ["mean depth"] = "meanDepth",
        ["sets used"] = "sets",
        ["substrate temperature"] = "substrate",
        ["drums"] = "drum",
        ["drum temperature"] = "drum",
        ["depth readings"] = "depthReadings",
        ["readings"] = "depthReadings",
        ["depth scatter"] = "depthScatter",
        ["left out because"] = "leftOut",
    };

    public static (List<PastJobRow> Rows, List<LineFault> Faults) Read(
        byte[] bytes,
        UnitSystem units,
        IReadOnlyDictionary<string, ProductSheet> sheets,
        MeansByName crews
    )
    {
        var table = Workbook.IsOne(bytes) ? Workbook.Read(bytes) : DelimitedText.Read(bytes);
        var columns = table.Header.Select(FieldOf).ToList();
        List<LineFault> faults =
        [
            .. PastJobFields.Needed.Except(columns).Select(field => new LineFault(1, $"The column '{field}' is missing.")),
        ];
        List<PastJobRow> rows = [];
        if (faults.Count > 0)
        {
            return (rows, faults);
        }

        foreach (var line in table.Rows.TakeWhile(_ => faults.Count < MostFaults))
        {
            try
            {
                var row = PastJobFields.New();
                PastJobFields.Take(new(new(null, units, Cells(columns, line.Cells))), row, sheets, crews, isNew: true);
                rows.Add(row);
            }
            catch (FieldFaultsException e)
            {
                faults.AddRange(e.Faults.Select(f => new LineFault(line.Line, FaultSentences.Of(f))));
            }
        }

        return (rows, faults);
    }

    private static string? FieldOf(string heading)
    {
        var plain = heading.Trim();
        return PastJobFields.All.FirstOrDefault(f => string.Equals(f, plain, StringComparison.OrdinalIgnoreCase))
            ?? Headings.GetValueOrDefault(plain);
    }

    private static Dictionary<string, string> Cells(List<string?> columns, IReadOnlyList<string> cells)
    {
        var fields = new Dictionary<string, string>();
        foreach (var (field, cell) in columns.Zip(cells))
        {
            if (field is not null)
            {
                fields[field] = cell;
            }
        }

        return fields;
    }
}
