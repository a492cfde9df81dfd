using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata;
using Npgsql;
using Umbracell.Store.Figures;
using Umbracell.Store.Model;

namespace Umbracell.Store;

/// <summary>Writes many new rows of one kind in few statements, one array for each column. Rows that are tracked one by one cost ten times
/// as much.</summary>
/// <remarks>COPY is closed to who may see a part of a table only.</remarks>
internal static class ManyRows
{
    // Enough that what a statement costs by itself is no matter; few enough that their arrays are none.
    private const int AtOnce = 5000;

    /// <summary>Writes rows of a kind whose columns are plain values, and counts what hangs on them.</summary>
    /// <param name="db">Where to; a transaction is open.</param>
    /// <param name="firm">Whose they are.</param>
    /// <param name="rows">The rows, seen once, in order.</param>
    /// <param name="stop">Breaks off.</param>
    public static async Task AddAsync<TRow>(UmbracellDb db, Guid firm, IEnumerable<TRow> rows, CancellationToken stop)
        where TRow : class, IFirmRow, IFigureInput
    {
        var table = new Table(db.Model.FindEntityType(typeof(TRow))!);
        HashSet<Guid> changed = [];
        foreach (var some in rows.Chunk(AtOnce))
        {
            foreach (var row in some)
            {
                row.FirmId = firm;
                changed.UnionWith(row.FiguresOf(_ => false));
            }

            await db.Database.ExecuteSqlRawAsync(table.Insert, table.Columns.Select((_, at) => table.ValuesOf(at, some)), stop);
        }

        await ChangedInputs.CountAsync(db, firm, [.. changed.Order()], stop);
    }

    /// <summary>A table by the model, so that a column added to it is written too.</summary>
    private sealed class Table
    {
        public Table(IEntityType kind)
        {
            if (kind.GetNavigations().Any() || kind.GetComplexProperties().Any())
            {
                throw new NotSupportedException($"{kind.Name} has parts of its own; its rows are written one by one.");
            }

            // What the database makes by itself, such as a row's version, is not sent.
            Columns = [.. kind.GetProperties().Where(p => !p.ValueGenerated.HasFlag(ValueGenerated.OnUpdate))];
            var names = string.Join(", ", Columns.Select(p => p.GetColumnName()));
            var values = string.Join(", ", Columns.Select((_, at) => $"@v{at}"));
            Insert = $"insert into {kind.GetTableName()} ({names}) select * from unnest({values})";
        }

        public IReadOnlyList<IProperty> Columns { get; }

        public string Insert { get; }

        public NpgsqlParameter ValuesOf<TRow>(int at, TRow[] rows)
            where TRow : class
        {
            var column = Columns[at];
            var convert = column.GetTypeMapping().Converter;
            var kept = convert?.ProviderClrType ?? column.ClrType;
            var values = Array.CreateInstance(
                column.IsNullable && kept.IsValueType && Nullable.GetUnderlyingType(kept) is null
                    ? typeof(Nullable<>).MakeGenericType(kept)
                    : kept,
                rows.Length
            );
            for (var i = 0; i < rows.Length; i++)
            {
                var value = column.GetGetter().GetClrValue(rows[i]);
                if (column.IsPrimaryKey() && Guid.Empty.Equals(value))
                {
                    value = Guid.CreateVersion7();
                }

                values.SetValue(convert is null ? value : convert.ConvertToProvider(value), i);
            }

            return new($"v{at}", values) { DataTypeName = $"{column.GetColumnType()}[]" };
        }
    }
}
