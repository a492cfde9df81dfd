using System.Runtime.InteropServices.JavaScript;
using System.Runtime.Versioning;
using System.Text.Json;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Questions;
using Umbracell.Questions.Section;

/// <summary>The door through which a page asks the core that runs beside it: JSON in and out, the same as the server's compute
/// endpoints.</summary>
[SupportedOSPlatform("browser")]
internal static partial class Door
{
    private static Supplies? _supplies;

    private static void Main() { }

    /// <summary>Lays out what questions can name; asked for once from the server.</summary>
    [JSExport]
    internal static void TakeSupplies(string supplies) => _supplies = JsonSerializer.Deserialize(supplies, QuestionsJson.Wire.Supplies);

    /// <summary>Names of the questions that can be asked here.</summary>
    [JSExport]
    internal static string[] Names() => [.. AskedByName.Names];

    /// <summary>What a question gives; nothing where it cannot be answered, and then the server says why.</summary>
    [JSExport]
    internal static string? Answer(string name, string question) =>
        _supplies is null ? null : AskedByName.Answer(name, question, _supplies);

    /// <summary>Solves one piece of what a question's metal members need before a hand may move them; a page calls it while nothing else
    /// is asked.</summary>
    /// <param name="question">The question.</param>
    /// <param name="piece">Which piece, from 0.</param>
    /// <returns>False where there is no such piece: all is ready.</returns>
    [JSExport]
    internal static bool Prepare(string question, int piece)
    {
        if (_supplies is null || JsonSerializer.Deserialize(question, QuestionsJson.Wire.SectionQuestion) is not { } asked)
        {
            return false;
        }

        try
        {
            return MemberCurve.Prepare(SectionQuestions.Case(asked, _supplies), piece);
        }
        catch (Exception e) when (e is ArgumentException or Umbracell.Questions.Answers.FieldFaultsException)
        {
            return false;
        }
    }
}
