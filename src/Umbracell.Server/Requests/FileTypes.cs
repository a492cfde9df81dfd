namespace Umbracell.Server.Requests;

/// <summary>Files that are handed out: their types and names.</summary>
internal static class FileTypes
{
    public const string Workbook = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
        Csv = "text/csv; charset=utf-8";

    /// <summary>A name for a file that every machine takes.</summary>
    /// <param name="of">What people call it.</param>
    /// <param name="ending">Its ending, without the point.</param>
    public static string NameOf(string of, string ending)
    {
        var plain = string.Join(
            '-',
            of.Split([.. Path.GetInvalidFileNameChars(), ' ', '"', ';', ',', ':'], StringSplitOptions.RemoveEmptyEntries)
        );
        return $"{(plain.Length == 0 ? "job" : plain)}.{ending}";
    }
}
