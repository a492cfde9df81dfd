using System.Runtime.InteropServices.JavaScript;
using System.Runtime.Versioning;
using System.Text.Json;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Questions.Section;

/// <summary>The door through which a page asks the core that runs beside it: JSON in and out, the same as the server's compute
/// endpoints.</summary>
[SupportedOSPlatform("browser")]
internal static partial class Door
{
    private static Shelf? _shelf;

    private static void Main() { }

    /// <summary>Lays out what questions can name; asked for once from the server.</summary>
    [JSExport]
    internal static void TakeShelf(string shelf) => _shelf = JsonSerializer.Deserialize(shelf, QuestionsJson.Wire.Shelf);

    /// <summary>What a section question gives; nothing where it cannot be answered, and then the server says why.</summary>
    [JSExport]
    internal static string? Section(string question)
    {
        if (_shelf is null || JsonSerializer.Deserialize(question, QuestionsJson.Wire.SectionQuestion) is not { } asked)
        {
            return null;
        }

        try
        {
            return JsonSerializer.Serialize(SectionQuestions.Answer(asked, _shelf), QuestionsJson.Wire.SectionAnswer);
        }
        catch (Exception e) when (e is ArgumentException or Umbracell.Questions.Answers.FieldFaultsException)
        {
            return null;
        }
    }

    /// <summary>Solves one piece of what a question's metal members need before a hand may move them; a page calls it while nothing else
    /// is asked.</summary>
    /// <param name="question">The question.</param>
    /// <param name="piece">Which piece, from 0.</param>
    /// <returns>False where there is no such piece: all is ready.</returns>
    [JSExport]
    internal static bool Prepare(string question, int piece)
    {
        if (_shelf is null || JsonSerializer.Deserialize(question, QuestionsJson.Wire.SectionQuestion) is not { } asked)
        {
            return false;
        }

        try
        {
            return MemberCurve.Prepare(SectionQuestions.Case(asked, _shelf), piece);
        }
        catch (Exception e) when (e is ArgumentException or Umbracell.Questions.Answers.FieldFaultsException)
        {
            return false;
        }
    }
}
