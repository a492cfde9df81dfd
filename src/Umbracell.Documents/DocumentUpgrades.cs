using System.Text.Json.Nodes;
using Umbracell.Core.Choosing;

namespace Umbracell.Documents;

/// <summary>Steps that bring what an earlier version kept to the shape of today. Each takes the JSON of one version to the next and is
/// never changed again; the same step serves the database, the ledger of edits and the job file.</summary>
public static class DocumentUpgrades
{
    /// <summary>A system's layers after the first foam were called <c>then</c>.</summary>
    /// <param name="system">A system as it was kept, with those it replaced; null where none was.</param>
    public static void NameFurtherLayers(JsonNode? system)
    {
        if (system is not JsonObject one)
        {
            return;
        }

        if (one.Remove("then", out var layers))
        {
            one["further"] = layers;
        }

        NameFurtherLayers((one["before"] as JsonObject)?["system"]);
    }

    /// <summary>Schools of practice were called by letters, each question's from A on.</summary>
    /// <param name="practice">A practice as it was kept.</param>
    public static void NameSchools(JsonNode? practice)
    {
        if ((practice as JsonObject)?["schools"] is not JsonObject schools)
        {
            return;
        }

        foreach (var (question, letter) in schools.ToList())
        {
            schools[question] = SchoolOfLetter(question, (string?)letter).ToString();
        }
    }

    /// <summary>The school that an earlier version called by a letter.</summary>
    /// <param name="question">The question, by name.</param>
    /// <param name="letter">Its letter; another word is no school's, and none is then followed.</param>
    public static School SchoolOfLetter(string question, string? letter) =>
        Enum.TryParse<PracticeQuestion>(question, ignoreCase: true, out var asked)
        && letter is [var one]
        && char.ToUpperInvariant(one) - 'A' is var place
        && place >= 0
        && place < Practice.SchoolsOf(asked).Count
            ? Practice.SchoolsOf(asked)[place]
            : School.Either;

    /// <summary>Assemblies and details had a version among their own fields, beside which none was read.</summary>
    /// <param name="document">Such a document.</param>
    public static void DropOwnVersion(JsonNode? document) => (document as JsonObject)?.Remove("schemaVersion");
}
