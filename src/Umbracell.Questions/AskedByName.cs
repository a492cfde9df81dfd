using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Questions.Pocket;
using Umbracell.Questions.Price;
using Umbracell.Questions.Prove;
using Umbracell.Questions.Rig;
using Umbracell.Questions.Section;
using Umbracell.Questions.Sets;
using Umbracell.Questions.Spray;
using Umbracell.Questions.Window;

namespace Umbracell.Questions;

/// <summary>Every question the product answers, JSON in and out, by the name it has under <c>/api/compute/</c>: how a browser asks the
/// core that runs beside it. What is added here is asked of server and browser alike by the test that holds them to the same
/// answers.</summary>
public static class AskedByName
{
    private static readonly QuestionsJson Wire = QuestionsJson.Wire;

    private static readonly Dictionary<string, Func<string, Supplies, string?>> Known = new()
    {
        ["section"] = Of(Wire.SectionQuestion, Wire.SectionAnswer, SectionQuestions.Answer),
        ["choice"] = Of(Wire.ChoiceQuestion, Wire.ChoiceAnswer, ChoiceQuestions.Answer),
        ["sets"] = Of(Wire.SetsQuestion, Wire.SetsAnswer, SetsQuestions.Answer),
        ["bid"] = Of(Wire.BidQuestion, Wire.BidAnswer, BidQuestions.Answer),
        ["gate"] = Of(Wire.GateQuestion, Wire.GateAnswer, GateQuestions.Answer),
        ["test-shot"] = Of(Wire.TestShotQuestion, Wire.TestShotAnswer, TestShotQuestions.Answer),
        ["sequence"] = Of(Wire.SequenceQuestion, Wire.SequenceAnswer, (question, _) => SequenceQuestions.Answer(question)),
        ["lift"] = Of(Wire.LiftQuestion, Wire.LiftAnswer, LiftQuestions.Answer),
        ["spray"] = Of(Wire.SprayQuestion, Wire.SprayAnswer, SprayQuestions.Answer),
        ["yield"] = Of(Wire.YieldQuestion, Wire.YieldAnswer, (question, _) => YieldQuestions.Answer(question)),
        ["depth"] = Of(Wire.DepthQuestion, Wire.DepthAnswer, DepthQuestions.Answer),
        ["proof"] = Of(Wire.ProofQuestion, Wire.ProofAnswer, ProofQuestions.Answer),
        ["reentry"] = Of(Wire.ReEntryQuestion, Wire.ReEntryAnswer, ReEntryQuestions.Answer),
        ["pocket"] = Of(Wire.PocketQuestion, Wire.PocketAnswer, PocketQuestions.Answer),
    };

    /// <summary>Names of the questions.</summary>
    public static IReadOnlyCollection<string> Names => Known.Keys;

    /// <summary>The answer to a question; null where there is no such question, or it cannot be answered.</summary>
    /// <param name="name">Its name.</param>
    /// <param name="question">The question, JSON.</param>
    /// <param name="supplies">What it can name.</param>
    public static string? Answer(string name, string question, Supplies supplies)
    {
        try
        {
            return Known.GetValueOrDefault(name)?.Invoke(question, supplies);
        }
        catch (Exception e) when (e is ArgumentException or FieldFaultsException)
        {
            return null;
        }
    }

    private static Func<string, Supplies, string?> Of<TQuestion, TAnswer>(
        JsonTypeInfo<TQuestion> asked,
        JsonTypeInfo<TAnswer> told,
        Func<TQuestion, Supplies, TAnswer> answer
    )
        where TQuestion : class =>
        (text, supplies) =>
            JsonSerializer.Deserialize(text, asked) is { } question ? JsonSerializer.Serialize(answer(question, supplies), told) : null;
}
