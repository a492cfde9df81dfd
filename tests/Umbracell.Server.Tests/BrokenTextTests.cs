using System.Net.Http.Json;
using System.Reflection;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Routing;
using Shouldly;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Characters that cannot be kept are told of, wherever text can be sent; a later endpoint is tried by itself.</summary>
public sealed class BrokenTextTests(Product product)
{
    // JSON names them by number; half a character has no bytes of its own.
    private static readonly string[] Broken = ["""a\u0000b""", """a\ud800b"""];

    [Fact]
    public async Task No_endpoint_fails_on_a_character_that_cannot_be_kept()
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        var tried = 0;
        foreach (var (endpoint, body) in Endpoints.Of(product).SelectMany(Bodies))
        {
            using var request = Endpoints.RequestTo(endpoint);
            request.Content = new StringContent(body, Encoding.UTF8, "application/json");
            var answer = await owner.SendAsync(request, TestContext.Current.CancellationToken);
            var said = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
            ((int)answer.StatusCode).ShouldBe(400, $"{Endpoints.NameOf(endpoint)} {body} {said}");
            said.ShouldContain("unwritable", customMessage: Endpoints.NameOf(endpoint));
            tried++;
        }

        tried.ShouldBeGreaterThan(60);
    }

    [Fact]
    public async Task The_field_that_holds_it_is_named_and_the_others_may_be_sent_without_it()
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        foreach (var field in new[] { "currency", "set:marl-cc-20" })
        {
            var (status, said) = await owner.SendJsonAsync(
                HttpMethod.Patch,
                "/api/firm",
                Asking.Typed(null, "us", ("crewHour", "50"), (field, "1\0"))
            );
            status.ShouldBe(400);
            said["faults"]!.AsArray().ShouldHaveSingleItem()!.Text("field").ShouldBe(field);
            said.Text("detail").ShouldBe($"{field}: A character in this cannot be saved. Type it again.");
        }

        using var request = new HttpRequestMessage(HttpMethod.Patch, "/api/firm")
        {
            Content = JsonContent.Create(Asking.Typed(null, "us", ("crewHour", "50"))),
        };
        (await owner.SendAsync(request, TestContext.Current.CancellationToken)).EnsureSuccessStatusCode();
    }

    // A body in which all text is broken; none for an endpoint that takes no text.
    private static IEnumerable<(RouteEndpoint Endpoint, string Body)> Bodies(RouteEndpoint endpoint) =>
        endpoint.Metadata.GetMetadata<IAcceptsMetadata>() is { RequestType: { } type } takes
        && takes.ContentTypes.Contains("application/json")
        && BodyOf(type, 0) is { } body
            ? Broken.Select(text => (endpoint, body.ToJsonString().Replace("broken", text, StringComparison.Ordinal)))
            : [];

    private static JsonNode? BodyOf(Type type, int depth)
    {
        if (type == typeof(string))
        {
            return "broken";
        }

        if (depth > 4 || type.IsPrimitive || type.IsEnum)
        {
            return null;
        }

        var arguments = type.IsGenericType ? type.GetGenericArguments() : [];
        if (arguments is [var key, var value] && key == typeof(string))
        {
            return BodyOf(value, depth + 1) is { } inner ? new JsonObject { ["name"] = inner } : null;
        }

        if (type.IsArray || (arguments is [_] && type.IsAssignableTo(typeof(System.Collections.IEnumerable))))
        {
            return BodyOf(type.GetElementType() ?? arguments[0], depth + 1) is { } inner ? new JsonArray(inner) : null;
        }

        if (type.Namespace?.StartsWith("Umbracell", StringComparison.Ordinal) != true)
        {
            return null;
        }

        var body = new JsonObject();
        foreach (
            var property in type.GetProperties(BindingFlags.Public | BindingFlags.Instance).Where(p => p.GetIndexParameters().Length == 0)
        )
        {
            if (BodyOf(property.PropertyType, depth + 1) is { } inner)
            {
                body[char.ToLowerInvariant(property.Name[0]) + property.Name[1..]] = inner;
            }
        }

        return body.Count > 0 ? body : null;
    }
}
