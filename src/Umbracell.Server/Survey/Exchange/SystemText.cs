using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Surveys;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Server.Materials;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>A chosen system in one cell: <c>Closed, then open cell: Fleece OC-5 | 90 mm</c>, then boards added and rules overridden, each
/// after a stroke.</summary>
internal static class SystemText
{
    private const string Stroke = " / ",
        Outboard = "outboard: ",
        Inboard = "inboard: ",
        Overridden = "overrides ",
        Rest = "rest ";

    private static readonly FigureRange Thickness = new(0.00001, 1, Dimension.Thickness);

    public static string Of(SystemDocument system, UnitSystem units, Func<string, string> nameOf)
    {
        var kind = Vocabulary.KeyOf(system.Kind);
        string Layer(FillDocument layer) =>
            $"{NameOf(layer, nameOf)} | {(layer.TakesRest ? Rest : "")}{ExactText.Thickness(layer.ThicknessMm / 1000, units)}";
        List<string> parts =
        [
            $"{WordCatalog.Of("candidate." + kind) ?? kind}: {string.Join("; ", system.Further.Select(Layer))}".TrimEnd(),
        ];
        if (system.AddedOutboard.Count > 0)
        {
            parts.Add(Outboard + SurfaceTexts.Layers(system.AddedOutboard, units));
        }

        if (system.AddedInboard.Count > 0)
        {
            parts.Add(Inboard + SurfaceTexts.Layers(system.AddedInboard, units));
        }

        if (system.Overrides.Count > 0)
        {
            parts.Add($"{Overridden}{string.Join(", ", system.Overrides)}: {system.Reason}");
        }

        return string.Join(Stroke, parts);
    }

    /// <summary>Takes a system as it was written; a fault names the part that is not known.</summary>
    /// <param name="fields">The edit.</param>
    /// <param name="known">Sheets of the firm.</param>
    /// <param name="stamp">Who brings it in, and when.</param>
    /// <param name="take">Takes the system; null where the cell is blank.</param>
    public static void Take(TypedFields fields, SurveyChoices known, Stamp stamp, Action<SystemDocument?> take)
    {
        if (!fields.Has("system"))
        {
            return;
        }

        var text = fields.Raw("system").Trim();
        if (text.Length == 0)
        {
            take(null);
            return;
        }

        try
        {
            take(Read(text, known, stamp, fields.Units));
        }
        catch (FieldFaultsException e)
        {
            e.Faults.ToList().ForEach(fields.Fault);
        }
    }

    private static SystemDocument Read(string text, SurveyChoices known, Stamp stamp, UnitSystem units)
    {
        // A reason may hold a stroke of its own: overrides come last and take what is left.
        var (body, overridden) = Parted(text, Stroke + Overridden);
        var parts = body.Split(Stroke);
        var (kind, layers) = Parted(parts[0], ":");
        var (rules, reason) = Parted(overridden, ":");
        if (overridden.Length > 0 && (!stamp.MayOverride || reason.Trim().Length == 0))
        {
            throw new FieldFaultsException([
                stamp.MayOverride
                    ? new()
                    {
                        Field = "system",
                        Code = FaultCode.Empty,
                        Typed = "",
                    }
                    : new()
                    {
                        Field = "system",
                        Code = FaultCode.NotYours,
                        Typed = rules.Trim(),
                    },
            ]);
        }

        return new()
        {
            Kind = Enum.TryParse<CandidateKind>(WordCatalog.CodeOf("candidate", kind) ?? kind, ignoreCase: true, out var named)
                ? named
                : throw Unknown(kind),
            Further = [.. Split(layers).Select(one => Fill(one, known, units))],
            AddedOutboard = [.. Added(parts, Outboard, known, units)],
            AddedInboard = [.. Added(parts, Inboard, known, units)],
            ChosenBy = stamp.By,
            ChosenAt = stamp.At,
            Overrides = [.. rules.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)],
            Reason = reason.Trim(),
        };
    }

    private static IEnumerable<LayerDocument> Added(string[] parts, string side, SurveyChoices known, UnitSystem units) =>
        parts
            .Skip(1)
            .Where(p => p.StartsWith(side, StringComparison.Ordinal))
            .SelectMany(p => Split(p[side.Length..]))
            .Select(one =>
            {
                var (name, thickness) = Parted(one, "|");
                return new LayerDocument(
                    AssemblyEdits.MaterialOf(name.Trim(), known.OwnMaterials) ?? throw Unknown(one),
                    Millimetres(thickness, units)
                );
            });

    private static FillDocument Fill(string one, SurveyChoices known, UnitSystem units)
    {
        var (name, thickness) = Parted(one, "|");
        name = name.Trim();
        thickness = thickness.Trim();
        var rest = thickness.StartsWith(Rest, StringComparison.Ordinal);
        var mm = Millimetres(rest ? thickness[Rest.Length..] : thickness, units);
        if (known.SheetOf(name) is { } sheet)
        {
            return new(FillKind.Foam, sheet, mm, rest);
        }

        var code = AssemblyEdits.MaterialOf(name, known.OwnMaterials) ?? WordCatalog.CodeOf("material", name) ?? name;
        var usual = FirmMaterials.UsualOf(code);
        return ShippedData.Batts.Any(b => b.Id == usual) ? new(FillKind.Batt, code, mm, rest)
            : ShippedData.Materials.ContainsKey(usual) ? new(FillKind.Slab, code, mm, rest)
            : throw Unknown(one);
    }

    private static double Millimetres(string text, UnitSystem units)
    {
        var typed = QuantityParser.Parse(text, Thickness, units);
        return typed.Fault is null ? typed.Figure!.Value.Amount * 1000 : throw new FieldFaultsException([FieldFault.Of("system", typed)]);
    }

    private static string NameOf(FillDocument layer, Func<string, string> nameOf) =>
        layer.Kind == FillKind.Foam ? nameOf(layer.Id) : AssemblyEdits.NameOf(layer.Id);

    private static string[] Split(string layers) =>
        layers.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);

    private static (string Before, string After) Parted(string text, string by) =>
        text.IndexOf(by, StringComparison.Ordinal) is var at and >= 0 ? (text[..at], text[(at + by.Length)..]) : (text, "");

    private static FieldFaultsException Unknown(string part) =>
        new([
            new()
            {
                Field = "system",
                Code = FaultCode.Unknown,
                Typed = part,
            },
        ]);
}
