using Umbracell.Store.Tenancy;

namespace Umbracell.Store.Scheduling;

/// <summary>The SQL that lays out the tables of the job library and hands them to the application role.</summary>
/// <remarks>They hold no data of a firm but which firm a work is for.</remarks>
internal static class ScheduleTables
{
    public static string Create()
    {
        using var stream = typeof(ScheduleTables).Assembly.GetManifestResourceStream("schedule.sql")!;
        using var reader = new StreamReader(stream);
        return $"""
            {reader.ReadToEnd()}
            grant usage on schema schedule to {FirmIsolation.ApplicationRole};
            grant select, insert, update, delete on all tables in schema schedule to {FirmIsolation.ApplicationRole};
            """;
    }
}
