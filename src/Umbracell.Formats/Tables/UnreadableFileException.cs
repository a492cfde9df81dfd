namespace Umbracell.Formats.Tables;

/// <summary>Why a file cannot be read at all.</summary>
public enum FileFault
{
    /// <summary>Nothing in it.</summary>
    Empty,

    /// <summary>More lines than are read at once.</summary>
    TooManyLines,

    /// <summary>More columns than any sheet of surfaces has.</summary>
    TooManyColumns,

    /// <summary>More cells than are read at once.</summary>
    TooManyCells,

    /// <summary>A cell with more letters than anybody writes in one.</summary>
    CellTooLong,

    /// <summary>A workbook that unpacks to more than is read.</summary>
    UnpacksTooLarge,

    /// <summary>More corners of outlines that are no rectangles than are read at once.</summary>
    TooManyCorners,

    /// <summary>Parts within parts, deeper than any model of a building goes.</summary>
    NestsTooDeep,

    /// <summary>Letters of two encodings in one file.</summary>
    MixedEncodings,

    /// <summary>Not text.</summary>
    NotText,

    /// <summary>A quotation that never ends, or a quote in the middle of a cell.</summary>
    BrokenQuotes,

    /// <summary>Not a workbook that can be opened.</summary>
    NotAWorkbook,

    /// <summary>Not XML.</summary>
    NotXml,

    /// <summary>XML that names outside entities.</summary>
    ForbiddenXml,

    /// <summary>XML of another kind.</summary>
    NotABuildingModel,

    /// <summary>A unit that is not known.</summary>
    UnknownUnit,

    /// <summary>Not a JPEG or PNG picture.</summary>
    NotAPicture,

    /// <summary>An HEIC picture.</summary>
    HeicPicture,

    /// <summary>A picture of more dots than are taken.</summary>
    PictureTooLarge,

    /// <summary>Not a grid of temperatures.</summary>
    NotAGrid,

    /// <summary>Not a log of time, temperature and humidity.</summary>
    NotALog,

    /// <summary>Not an hourly weather file.</summary>
    NotAWeatherFile,

    /// <summary>An hourly weather file that ends before the year does.</summary>
    WeatherFileCutShort,

    /// <summary>An hourly weather file with too little of a month.</summary>
    WeatherFileGaps,
}

/// <summary>A file that cannot be read. Nothing of it has been taken.</summary>
/// <param name="fault">Why.</param>
/// <param name="line">On which line, from 1; 0 where the file as a whole is meant.</param>
/// <param name="detail">A word of the file the sentence needs; short.</param>
public sealed class UnreadableFileException(FileFault fault, int line = 0, string detail = "")
    : Exception($"{fault}{(line > 0 ? $", line {line}" : "")}{(detail.Length > 0 ? $": {detail}" : "")}")
{
    public FileFault Fault { get; } = fault;

    public int Line { get; } = line;

    public string Detail { get; } = detail;
}
