using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;
using Npgsql;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Papers;
using Umbracell.Formats.Tables;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Store.Model;

namespace Umbracell.Server.Problems;

/// <summary>Turns every failure into a ProblemDetails that says what happened and what was kept.</summary>
internal sealed partial class ProblemMapping(IProblemDetailsService problems, ILogger<ProblemMapping> logger) : IExceptionHandler
{
    /// <summary>Inputs of the core by the field of a question they come from.</summary>
    private static readonly Dictionary<string, string[]> QuestionFields = new()
    {
        ["temperature"] = ["tempC", "airTempC"],
        ["humidity"] = ["rhPct", "airRhPct"],
        ["dew point"] = ["rhPct", "airRhPct"],
        ["altitude"] = ["altitudeM"],
        ["foam thickness"] = ["thicknessMm"],
        ["lift"] = ["thicknessMm"],
        ["member spacing"] = ["members"],
        ["sprayed area"] = ["areaM2"],
        ["wind at the open face"] = ["windMs"],
        ["risk"] = ["riskPct"],
        ["substrate temperature"] = ["substrateTempC"],
        ["drum temperature"] = ["drumTempC"],

        // A sheet's own yield fits its own set: only what a crew makes of it can go past.
        ["yield of a set"] = ["crewFactor"],
        ["crew factor"] = ["crewFactor"],
    };

    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception exception, CancellationToken cancellationToken)
    {
        var problem = exception switch
        {
            FieldFaultsException e => Fields(e.Faults),
            QuantityRangeException e => Fields([FieldFault.Of(FieldOf(context, e.ParamName!), e)]),
            StaleEditException e => new ProblemDetails
            {
                Status = 409,
                Title = WordCatalog.Say("problem.title.changed"),
                Detail = WordCatalog.Say("problem.said.changed"),
                Extensions = { ["theirs"] = e.Theirs },
            },
            ChangedSinceException => new ProblemDetails
            {
                Status = 409,
                Title = WordCatalog.Say("problem.title.changedSince"),
                Detail = WordCatalog.Say("problem.said.changedSince"),
            },
            NotReadyException e => new ProblemDetails
            {
                Status = 409,
                Title = WordCatalog.Say("problem.title.notReady"),
                Detail = e.Message,
            },
            NotAllowedException e => new ProblemDetails
            {
                Status = 403,
                Title = WordCatalog.Say("problem.title.notAllowed"),
                Detail = e.Why ?? WordCatalog.Say("problem.forbidden"),
            },
            DbUpdateConcurrencyException => new ProblemDetails
            {
                Status = 409,
                Title = WordCatalog.Say("problem.title.changed"),
                Detail = WordCatalog.Say("problem.said.changed"),
            },
            DbUpdateException { InnerException: PostgresException { ConstraintName: CommandRow.Key } } => new ProblemDetails
            {
                Status = 409,
                Title = WordCatalog.Say("problem.title.beingTaken"),
                Detail = WordCatalog.Say("problem.said.beingTaken"),
            },
            // An id that somebody else's record has, here or in another firm.
            DbUpdateException { InnerException: PostgresException { SqlState: PostgresErrorCodes.UniqueViolation } } => new ProblemDetails
            {
                Status = 409,
                Title = WordCatalog.Say("problem.title.beingTaken"),
                Detail = WordCatalog.Say("problem.said.idTaken"),
            },
            UnreadableFileException e => Unreadable(e),
            DataFileException e => new ProblemDetails
            {
                Status = 400,
                Title = WordCatalog.Say("problem.title.file"),
                Detail = string.Join(" ", e.Faults.Take(8).Select(f => f.ToString())),
                Extensions = { ["lines"] = e.Faults.Take(50) },
            },
            LettersMissingException => new ProblemDetails
            {
                Status = 503,
                Title = WordCatalog.Say("problem.title.paper"),
                Detail = WordCatalog.Say("problem.said.letters"),
            },
            NotFoundException e => new ProblemDetails
            {
                Status = 404,
                Title = WordCatalog.Say("problem.title.notFound"),
                Detail = e.Message,
            },
            JobDeletedException e => new ProblemDetails
            {
                Status = 404,
                Title = WordCatalog.Say("problem.title.deleted"),
                Detail = WordCatalog.Say("problem.said.deleted", ("name", e.Name), ("by", e.By)),
                Extensions = { ["deleted"] = true },
            },
            BadHttpRequestException e => Malformed(context, e),
            _ when Outage.Is(exception) => Outage.Problem(context, exception),
            _ => null,
        };
        if (problem is null)
        {
            logger.LogError(exception, "Unhandled failure on {Path}", context.Request.Path);
            problem = new()
            {
                Status = 500,
                Title = WordCatalog.Say("problem.title.failed"),
                Detail = WordCatalog.Say($"problem.failed.{Vocabulary.KeyOf(Outage.OutcomeOf(context))}"),
            };
        }
        else if (problem.Status == StatusCodes.Status503ServiceUnavailable)
        {
            logger.LogWarning(exception, "Could not be served for now: {Path}", context.Request.Path);
        }

        context.Response.StatusCode = problem.Status ?? 500;
        return await problems.TryWriteAsync(
            new()
            {
                HttpContext = context,
                ProblemDetails = problem,
                Exception = exception,
            }
        );
    }

    // The field of the question that was asked, or of a part of it; where none of that name was, the input is told by the core's own name.
    private static string FieldOf(HttpContext context, string input)
    {
        var asked = context.Features.Get<IExceptionHandlerFeature>()?.Endpoint?.Metadata.GetMetadata<MethodInfo>()?.GetParameters() ?? [];
        var fields = asked
            .Select(p => (p.Name!, p.ParameterType))
            .Concat(asked.SelectMany(p => Parts(p.ParameterType, "")).SelectMany(one => Parts(one.Item2, one.Item1 + ".").Prepend(one)))
            .Select(one => one.Item1)
            .ToHashSet();
        return QuestionFields
                .GetValueOrDefault(input)
                ?.SelectMany(name => fields.Where(f => f == name || f.EndsWith("." + name, StringComparison.Ordinal)))
                .FirstOrDefault()
            ?? input;

        static IEnumerable<(string, Type)> Parts(Type type, string before) =>
            type.Namespace?.StartsWith("Umbracell", StringComparison.Ordinal) == true && !type.IsEnum
                ? type.GetProperties().Select(p => (before + JsonNamingPolicy.CamelCase.ConvertName(p.Name), p.PropertyType))
                : [];
    }

    public static ProblemDetails Fields(IReadOnlyList<FieldFault> faults) =>
        new()
        {
            Status = 400,
            Title = WordCatalog.Say("problem.title.values"),
            Detail = string.Join(" ", faults.Select(FaultSentences.Of)),
            Extensions =
            {
                ["errors"] = faults.GroupBy(f => f.Field).ToDictionary(g => g.Key, g => g.Select(FaultSentences.Of).ToArray()),
                ["faults"] = faults,
            },
        };

    private static ProblemDetails Unreadable(UnreadableFileException e) =>
        new()
        {
            Status = 400,
            Title = WordCatalog.Say("problem.title.unreadable"),
            Detail = WordCatalog.Say(
                $"problem.file.{Vocabulary.KeyOf(e.Fault)}",
                ("line", e.Line.ToString(CultureInfo.InvariantCulture)),
                ("detail", e.Detail)
            ),
            Extensions =
            {
                ["file"] = new
                {
                    fault = Vocabulary.KeyOf(e.Fault),
                    line = e.Line,
                    detail = e.Detail,
                },
            },
        };

    private static ProblemDetails Malformed(HttpContext context, BadHttpRequestException e)
    {
        if (BindingFailure().Match(e.Message) is { Success: true } binding)
        {
            var field = binding.Groups["name"].Value;
            return Plain(field, $"{field}: '{binding.Groups["value"].Value}' is not a value that fits.{RangeOf(context, field)}");
        }

        if (Required().Match(e.Message) is { Success: true } required)
        {
            var field = required.Groups["name"].Value;
            return Plain(field, $"{field} is missing.{RangeOf(context, field)}");
        }

        var path = (e.InnerException as JsonException)?.Path?.TrimStart('$', '.');
        if (e.InnerException is UnwritableTextException)
        {
            return Fields(FieldFaultsException.Of(TypedField().Replace(path ?? "", "$1"), FaultCode.Unwritable, "").Faults);
        }

        if (Missing(context, e.InnerException as JsonException) is { Count: > 0 } missing)
        {
            return Plain(missing);
        }

        return string.IsNullOrEmpty(path)
            ? new()
            {
                Status = e.StatusCode,
                Title = WordCatalog.Say("problem.title.request"),
                Detail = "The body is missing or is not the JSON that is wanted here.",
            }
            : Plain(path, $"{path}: the value does not fit: a number, a word of the list or an object is wanted.");
    }

    // Members that a body left out, each with the way to it.
    private static Dictionary<string, string[]> Missing(HttpContext context, JsonException? e)
    {
        var before = e?.Path?.TrimStart('$', '.') is { Length: > 0 } path ? path + "." : "";
        return MissingMembers().Match(e?.Message ?? "") is { Success: true } told
            ? told.Groups["name"]
                .Captures.Select(name => name.Value)
                .ToDictionary(name => before + name, name => new[] { $"{before}{name} is missing.{RangeOf(context, name)}" })
            : [];
    }

    private static ProblemDetails Plain(string field, string sentence) => Plain(new() { [field] = [sentence] });

    private static ProblemDetails Plain(Dictionary<string, string[]> sentences) =>
        new()
        {
            Status = 400,
            Title = WordCatalog.Say("problem.title.values"),
            Detail = string.Join(" ", sentences.Values.SelectMany(said => said)),
            Extensions = { ["errors"] = sentences },
        };

    // The range stands on the endpoint's own parameter; a value that is no number gets it told all the same.
    private static string RangeOf(HttpContext context, string field)
    {
        var method = context.Features.Get<IExceptionHandlerFeature>()?.Endpoint?.Metadata.GetMetadata<MethodInfo>();
        var range = method?.GetParameters().FirstOrDefault(p => p.Name == field)?.GetCustomAttribute<RangeAttribute>();
        return range is null ? "" : $" It must be from {range.Minimum} to {range.Maximum}.";
    }

    // What was typed stands among the fields; a name that is no plain word stands in brackets.
    [GeneratedRegex(@"^fields(?:\.|\['?)(.*?)(?:'?\])?$")]
    private static partial Regex TypedField();

    [GeneratedRegex("^Failed to bind parameter \"\\S+ (?<name>\\w+)\" from \"(?<value>.{0,80}).*\"\\.$", RegexOptions.Singleline)]
    private static partial Regex BindingFailure();

    [GeneratedRegex(@"missing required properties including: (?:'(?<name>\w+)'(?:, )?)+")]
    private static partial Regex MissingMembers();

    [GeneratedRegex("^Required parameter \"\\S+ (?<name>\\w+)\" was not provided")]
    private static partial Regex Required();
}
