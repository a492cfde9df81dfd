using System.Text;
using System.Text.Json;

namespace Umbracell.Server.Typing;

/// <summary>Sends what an edit was in doubt about along with whatever its endpoint answers, so that no answer needs a place for
/// it.</summary>
internal static class DoubtsHeader
{
    /// <summary>Name of the header: Base64 of a JSON array of <see cref="Questions.Answers.FieldDoubt"/>, since a header holds no letters
    /// past ASCII.</summary>
    public const string Name = "Umbracell-Doubts";

    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web);

    /// <summary>An endpoint filter for every endpoint that takes a typed edit.</summary>
    public static async ValueTask<object?> Filter(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var answer = await next(context);
        var doubts = context.Arguments.OfType<TypedEdit>().SelectMany(edit => edit.Doubts).ToList();
        if (doubts.Count > 0)
        {
            context.HttpContext.Response.Headers[Name] = Convert.ToBase64String(
                Encoding.UTF8.GetBytes(JsonSerializer.Serialize(doubts, Json))
            );
        }

        return answer;
    }
}
