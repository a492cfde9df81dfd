using System.Globalization;
using System.Xml;
using System.Xml.Linq;
using Umbracell.Formats.Surveys;
using Umbracell.Formats.Tables;

namespace Umbracell.Formats.Models;

/// <summary>A building model in gbXML, an open schema: surfaces with tilt, openings and what lies on either side.</summary>
/// <param name="Rows">Surfaces as typed fields, metric.</param>
/// <param name="Skipped">Surfaces that could not be taken, each with its number, its name and the key of the reason.</param>
public sealed record BuildingModel(IReadOnlyList<ImportedRow> Rows, IReadOnlyList<SkippedSurface> Skipped)
{
    /// <summary>Surfaces read at once.</summary>
    public const int MostSurfaces = 5_000;

    /// <summary>Corners read at once, those of rectangles aside.</summary>
    public const int MostCorners = 20_000;

    private const long MostCharacters = 64_000_000;
    private const int MostNested = 64;

    private static readonly Dictionary<string, double> LengthUnits = new(StringComparer.OrdinalIgnoreCase)
    {
        ["Meters"] = 1,
        ["Centimeters"] = 0.01,
        ["Millimeters"] = 0.001,
        ["Kilometers"] = 1000,
        ["Feet"] = 0.3048,
        ["Inches"] = 0.0254,
        ["Yards"] = 0.9144,
        ["Miles"] = 1609.344,
    };

    /// <summary>Reads a model.</summary>
    /// <exception cref="UnreadableFileException">Not XML, XML with outside entities, another schema, a unit that is not known, too many
    /// surfaces, nested deeper than any model.</exception>
    public static BuildingModel Read(byte[] bytes)
    {
        try
        {
            CheckDepth(bytes);
            using var reader = Open(bytes);
            return Read(reader);
        }
        catch (XmlException e)
        {
            throw new UnreadableFileException(
                e.Message.Contains("DTD", StringComparison.Ordinal) ? FileFault.ForbiddenXml : FileFault.NotXml,
                e.LineNumber
            );
        }
    }

    private static BuildingModel Read(XmlReader reader)
    {
        reader.MoveToContent();
        if (reader.LocalName != "gbXML")
        {
            throw new UnreadableFileException(FileFault.NotABuildingModel, 0, reader.LocalName);
        }

        var unit = reader.GetAttribute("lengthUnit") ?? "";
        if (!LengthUnits.TryGetValue(unit, out var metres))
        {
            throw new UnreadableFileException(FileFault.UnknownUnit, 0, unit);
        }

        var rows = new List<ImportedRow>();
        var skipped = new List<SkippedSurface>();
        var corners = 0;
        foreach (var (surface, i) in Surfaces(reader).Select((s, i) => (s, i + 1)))
        {
            if (i > MostSurfaces)
            {
                throw new UnreadableFileException(FileFault.TooManyLines, 0, $"over {MostSurfaces.ToString(CultureInfo.InvariantCulture)}");
            }

            var taken = ModelSurface.Of(surface, metres);
            if (taken.Reason.Length > 0)
            {
                skipped.Add(new(i, taken.Name, taken.Reason));
            }
            else
            {
                corners += taken.TypedCorners;
                rows.Add(new(i, taken.Fields(), taken.Note));
            }

            if (corners > MostCorners)
            {
                throw new UnreadableFileException(FileFault.TooManyCorners, 0, MostCorners.ToString(CultureInfo.InvariantCulture));
            }
        }

        return new(rows, skipped);
    }

    // One surface at a time is held; what else a model tells is passed over.
    private static IEnumerable<XElement> Surfaces(XmlReader reader)
    {
        var isInCampus = false;
        while (!reader.EOF)
        {
            if (reader.NodeType == XmlNodeType.Element && reader.Depth == 2 && isInCampus && reader.LocalName == "Surface")
            {
                // Reading it leaves the reader behind it.
                yield return (XElement)XNode.ReadFrom(reader);
                continue;
            }

            isInCampus = reader is { NodeType: XmlNodeType.Element, Depth: 1 } ? reader.LocalName == "Campus" : isInCampus;
            reader.Read();
        }
    }

    private static void CheckDepth(byte[] bytes)
    {
        using var reader = Open(bytes);
        while (reader.Read())
        {
            if (reader.Depth > MostNested)
            {
                throw new UnreadableFileException(
                    FileFault.NestsTooDeep,
                    ((IXmlLineInfo)reader).LineNumber,
                    MostNested.ToString(CultureInfo.InvariantCulture)
                );
            }
        }
    }

    // Nothing outside the file is ever fetched, and no document type is read: entities could swell or reach out.
    private static XmlReader Open(byte[] bytes) =>
        XmlReader.Create(
            new MemoryStream(bytes, writable: false),
            new()
            {
                DtdProcessing = DtdProcessing.Prohibit,
                XmlResolver = null,
                MaxCharactersInDocument = MostCharacters,
            }
        );
}

/// <summary>A surface of a model that could not be taken.</summary>
/// <param name="Number">Its place in the file, from 1.</param>
/// <param name="Name">Its name or id.</param>
/// <param name="Reason">Key of the reason: <c>noGeometry</c>, <c>tooManyCorners</c>, <c>crossesItself</c>, <c>tooSmall</c>,
/// <c>notTreated</c>, <c>tooManyOpenings</c>.</param>
public sealed record SkippedSurface(int Number, string Name, string Reason);
