using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Rig;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Rig.Sequences;

/// <summary>Sequences as a firm has them: those that ship, or its own.</summary>
internal static class SequenceEndpoints
{
    public static void MapSequences(this IEndpointRouteBuilder app)
    {
        var sequences = app.MapGroup("/api/sequences").WithTags("Sequences").Requires(Right.Look);
        sequences
            .MapGet("", async (SequenceReader reader) => TypedResults.Ok(await reader.AllAsync()))
            .WithSummary("Sequences of a rig as the firm runs them: its own, else those that ship.");
        sequences
            .MapGet("/{kind}/file", FileAsync)
            .WithSummary("A sequence as a JSON file; its schema stands under /api/sequences/schema.");
        sequences
            .MapGet("/schema", () => TypedResults.Text(SequenceFile.SchemaText, "application/schema+json"))
            .WithSummary("The schema of sequence files.");
        sequences
            .MapPost(
                "/{kind}/check",
                async (string kind, TypedEdit edit, SequenceReader reader) =>
                    TypedResults.Ok(SequenceQuestions.Faults(TypedSteps.Read(edit, await reader.CurrentAsync(KindOf(kind)))))
            )
            .WithSummary("What is wrong with a sequence as it is typed; nothing where it can be used.")
            .Requires(Right.Edit);
        sequences
            .MapPatch("/{kind}", ChangeAsync)
            .WithSummary(
                "Run another sequence from now on: typed steps, a file, or the one that ships. Runs under way go on as they began."
            )
            .Requires(Right.Edit)
            .ProducesProblem(409);
    }

    private static async Task<FileContentHttpResult> FileAsync(string kind, SequenceReader reader) =>
        TypedResults.File(SequenceFile.Write(await reader.CurrentAsync(KindOf(kind))), "application/json", $"{kind}.sequence.json");

    private static async Task<Ok<FirmSequenceAnswer>> ChangeAsync(
        string kind,
        TypedEdit edit,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var asked = KindOf(kind);
        var own = await db.FirmSequences.SingleOrDefaultAsync(row => row.Kind == asked);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            Seen.MustStand(edit.Version, own?.Version ?? 0, () => SequenceReader.Told(asked, own));
            if (Wanted(edit, own?.Document ?? SequenceReader.Shipped(asked)) is not { } sequence)
            {
                db.FirmSequences.RemoveRange(own is null ? [] : [own]);
                own = null;
            }
            else
            {
                if (own is null)
                {
                    own = new()
                    {
                        Id = Guid.CreateVersion7(),
                        Kind = asked,
                        Document = sequence,
                        ChangedBy = "",
                    };
                    db.FirmSequences.Add(own);
                }

                (own.Document, own.ChangedAt, own.ChangedBy) = (sequence, stamp.At, stamp.By);
            }

            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(SequenceReader.Told(asked, own));
    }

    // The sequence that is to be run; null for the one that ships.
    private static SequenceDocument? Wanted(TypedEdit edit, SequenceDocument before)
    {
        if (edit.Fields.TryGetValue("shipped", out var shipped) && shipped == "yes")
        {
            return null;
        }

        if (edit.Fields.TryGetValue("file", out var text))
        {
            var read = SequenceFile.Read(WordOf(before.Kind), text);
            return read.Kind == before.Kind ? read : throw FieldFaultsException.Of("file", FaultCode.Unknown, WordOf(read.Kind));
        }

        var typed = TypedSteps.Read(edit, before);
        return SequenceFaults.Of(typed.ToSequence()).Count == 0 ? typed : throw FieldFaultsException.Of("steps", FaultCode.UnsafeSequence);
    }

    private static SequenceKind KindOf(string word) =>
        Enum.TryParse<SequenceKind>(word, ignoreCase: true, out var kind) && Enum.IsDefined(kind)
            ? kind
            : throw new NotFoundException("sequence");

    private static string WordOf(SequenceKind kind) => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(kind.ToString());
}
