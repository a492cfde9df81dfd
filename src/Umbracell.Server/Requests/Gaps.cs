using System.Collections;
using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Requests;

/// <summary>Finds nothing where something is due in what was sent: a null among the rows, or for a member that is never null.</summary>
/// <remarks>The reader of JSON asks that required members are there, and lets a null stand for any of them and in any list. What is
/// declared without a question mark is held to that here, so that no endpoint meets a null it does not know of.</remarks>
internal static class Gaps
{
    private static readonly ConcurrentDictionary<Type, Member[]> Known = new();

    private sealed record Member(string Name, PropertyInfo Property, NullabilityInfo Nullability);

    /// <summary>An endpoint filter for every endpoint that takes a body.</summary>
    public static EndpointFilterDelegate Filter(EndpointFilterFactoryContext endpoint, EndpointFilterDelegate next)
    {
        var services = endpoint.ApplicationServices.GetRequiredService<IServiceProviderIsService>();
        var nullability = new NullabilityInfoContext();
        var bodies = endpoint
            .MethodInfo.GetParameters()
            .Where(parameter => !services.IsService(parameter.ParameterType))
            .Select(parameter => (parameter.Position, How: nullability.Create(parameter)))
            .Where(one => Holds(one.How))
            .ToList();
        return bodies.Count == 0
            ? next
            : context =>
            {
                List<FieldFault> gaps = [.. bodies.SelectMany(body => In(context.Arguments[body.Position], body.How))];
                return gaps.Count > 0 ? throw new FieldFaultsException(gaps) : next(context);
            };
    }

    /// <summary>Where nothing stands though something is due.</summary>
    /// <param name="sent">What was sent.</param>
    /// <param name="how">What its type says of nulls.</param>
    public static IReadOnlyList<FieldFault> In(object? sent, NullabilityInfo how)
    {
        List<FieldFault> gaps = [];
        Look(sent, how, "", gaps);
        return gaps;
    }

    private static void Look(object? value, NullabilityInfo how, string at, List<FieldFault> gaps)
    {
        switch (value)
        {
            case null when how.ReadState == NullabilityState.NotNull:
                gaps.Add(
                    new()
                    {
                        Field = at,
                        Code = FaultCode.Empty,
                        Typed = "",
                    }
                );
                break;
            case null or string or JsonElement:
                break;
            case IDictionary words when how.GenericTypeArguments is [_, var word]:
                foreach (DictionaryEntry one in words)
                {
                    Look(one.Value, word, Within(at, $"{one.Key}"), gaps);
                }

                break;
            // A file within JSON is a list too, of millions of bytes that are never null.
            case IEnumerable rows when (how.ElementType ?? how.GenericTypeArguments.FirstOrDefault()) is { } row && MayLack(row.Type):
                var place = 0;
                foreach (var one in rows)
                {
                    Look(one, row, $"{at}[{place++}]", gaps);
                }

                break;
            case var whole when IsOurs(whole.GetType()):
                foreach (var member in MembersOf(whole.GetType()))
                {
                    Look(member.Property.GetValue(whole), member.Nullability, Within(at, member.Name), gaps);
                }

                break;
        }
    }

    private static string Within(string at, string name) => at.Length > 0 ? $"{at}.{name}" : name;

    private static bool Holds(NullabilityInfo how) =>
        IsOurs(how.Type) || (how.Type != typeof(string) && typeof(IEnumerable).IsAssignableFrom(how.Type));

    private static bool MayLack(Type type) => !type.IsValueType || IsOurs(type);

    private static bool IsOurs(Type type) =>
        type.Namespace?.StartsWith("Umbracell", StringComparison.Ordinal) == true
        && !type.IsEnum
        && !typeof(Delegate).IsAssignableFrom(type);

    private static Member[] MembersOf(Type type) =>
        Known.GetOrAdd(
            type,
            one =>
            {
                var nullability = new NullabilityInfoContext();
                return
                [
                    .. one.GetProperties(BindingFlags.Public | BindingFlags.Instance)
                        .Where(p => p.CanWrite && p.GetIndexParameters().Length == 0)
                        .Select(p => new Member(JsonNamingPolicy.CamelCase.ConvertName(p.Name), p, nullability.Create(p)))
                        .Where(m => MayLack(m.Property.PropertyType)),
                ];
            }
        );
}
