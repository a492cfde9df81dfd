using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Rig;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Rig;

/// <summary>How a rig is set, the test shots fired with it, and who accepted them.</summary>
internal static class RigEndpoints
{
    public static void MapRig(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/surfaces/{id:guid}/rig", OfSurfaceAsync)
            .WithTags("Rig")
            .WithSummary("How the rig is set for a surface, what it reaches, and what its test shots say.")
            .Requires(Right.Look);
        app.MapPost("/api/surfaces/{id:guid}/rig-settings", SetAsync)
            .WithTags("Rig")
            .WithSummary("Say how a rig is set now; test shots accepted before a change count no longer.")
            .Requires(Right.Record);
        app.MapPost("/api/surfaces/{id:guid}/sprayers", ProtectAsync)
            .WithTags("Rig")
            .WithSummary("Say who sprays today, once supplied air runs and they are covered and fit.")
            .Requires(Right.Record);
        app.MapPost("/api/surfaces/{id:guid}/test-shots", FireAsync)
            .WithTags("Rig")
            .WithSummary("Take down a test shot.")
            .Requires(Right.Record);
        app.MapPost("/api/test-shots/{id:guid}/steps", StepAsync)
            .WithTags("Rig")
            .WithSummary("Say that the step about a cause was done: it drops out.")
            .Requires(Right.Record);
        app.MapPost("/api/test-shots/{id:guid}/acceptance", AcceptAsync)
            .WithTags("Rig")
            .WithSummary("Accept a test shot. One that is off ratio or not bonded cannot be accepted by anyone.")
            .Requires(Right.Edit);
    }

    private static async Task<Ok<RigOfSurface>> OfSurfaceAsync(Guid id, SurfaceReader surfaces, RigReader rigs, Guid? rig = null)
    {
        var (surface, job) = await surfaces.FindAsync(id);
        return TypedResults.Ok(await rigs.OfAsync(surface, job, rig));
    }

    private static async Task<Ok<RigOfSurface>> SetAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader surfaces,
        RigReader rigs,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, job) = await surfaces.FindAsync(id);
        var asked = await AskedAsync(edit, surface, job, rigs);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            // Counted before anything is read: who comes second then meets the first, and reads again.
            var number = await rigs.TimesSetAsync(asked.Rig!.Value) + 1;
            var at = await rigs.TimeOfSettingAsync(asked.Rig.Value, stamp.At);
            var before = await rigs.LatestAsync(asked.Rig.Value, at);
            var row = Next(before, asked, surface.SheetSlug!);
            row.Number = number;
            RigFields.Take(edit, row);
            (row.JobId, row.SetAt, row.ReceivedAt, row.SetBy) = (job.Id, at, stamp.ReceivedAt, stamp.By);
            db.RigSettings.Add(row);
            if (before is not null && row.LossAfter(before) is { } loss)
            {
                // Whatever job they were fired at: it is the rig that was changed.
                var lost = await db
                    .TestShots.Where(shot => shot.RigId == row.RigId && shot.Loss == null && shot.FiredAt <= row.SetAt)
                    .ToListAsync();
                lost.ForEach(shot => shot.Loss = loss);
            }

            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await rigs.OfAsync(surface, job, asked.Rig));
    }

    private static async Task<Ok<RigOfSurface>> ProtectAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader surfaces,
        RigReader rigs,
        SprayerChecks sprayers,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, job) = await surfaces.FindAsync(id);
        var asked = await AskedAsync(edit, surface, job, rigs);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            sprayers.Take(edit, job.Id, asked.Rig!.Value, stamp);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await rigs.OfAsync(surface, job, asked.Rig));
    }

    // What is not typed stays as it was set, and before anything was set it is what is proposed.
    private static RigSettingRow Next(RigSettingRow? before, RigOfSurface asked, string sheet)
    {
        // Another product has set points of its own.
        var stays = before?.SheetSlug == sheet ? before : null;
        var proposed = asked.Proposed!;
        return new()
        {
            Id = Guid.CreateVersion7(),
            RigId = asked.Rig!.Value,
            SheetSlug = sheet,
            PrimaryATempC = stays?.PrimaryATempC ?? proposed.Primaries.Amount,
            PrimaryBTempC = stays?.PrimaryBTempC ?? proposed.Primaries.Amount,
            HoseTempC = stays?.HoseTempC ?? proposed.Hose.Amount,
            PressurePa = stays?.PressurePa ?? proposed.Pressure.Amount,
            Tip = before?.Tip ?? "",
            LotA = before?.LotA ?? "",
            LotB = before?.LotB ?? "",
            DrumChanges = before?.DrumChanges ?? 0,
            SetBy = "",
        };
    }

    private static async Task<Ok<RigOfSurface>> FireAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader surfaces,
        RigReader rigs,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (surface, job) = await surfaces.FindAsync(id);
        var asked = await AskedAsync(edit, surface, job, rigs);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp))
        {
            // As the rig was set when it was fired: what comes late is not held against what was set since.
            var then = await rigs.LatestAsync(asked.Rig!.Value, stamp.At);
            if (then is null || then.SheetSlug != surface.SheetSlug)
            {
                throw FieldFaultsException.Of("rig", FaultCode.OtherOnRig);
            }

            var row = new TestShotRow
            {
                Id = edit.Id ?? Guid.CreateVersion7(),
                JobId = job.Id,
                SurfaceId = surface.Id,
                RigId = asked.Rig.Value,
                SheetSlug = surface.SheetSlug!,
                Substrate = surface.Substrate,
                Document = RigFields.Shot(edit, asked.Next! with { Seen = new() }),
                FiredAt = stamp.At,
                ReceivedAt = stamp.ReceivedAt,
                FiredBy = stamp.By,
                Loss = await rigs.LossSinceAsync(then, stamp.At),
            };
            row.Done = string.Join(' ', await DoneBeforeAsync(row, db));
            _ = TestShotQuestions.Answer(SurfaceShots.QuestionOf(row), await library.SuppliesAsync(job));
            db.TestShots.Add(row);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await rigs.OfAsync(surface, job, asked.Rig));
    }

    // What was done about the shot before is done for the next one too, until one is accepted.
    private static async Task<IEnumerable<ShotCause>> DoneBeforeAsync(TestShotRow row, UmbracellDb db)
    {
        var last = await db
            .TestShots.Where(shot => shot.JobId == row.JobId && shot.RigId == row.RigId && shot.SheetSlug == row.SheetSlug)
            .Where(shot => shot.FiredAt < row.FiredAt)
            .OrderByDescending(shot => shot.FiredAt)
            .FirstOrDefaultAsync();
        return last is { AcceptedAt: null } ? SurfaceShots.DoneOf(last) : [];
    }

    private static async Task<Ok<RigOfSurface>> StepAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader surfaces,
        RigReader rigs,
        UmbracellDb db,
        Commands commands
    )
    {
        var (shot, surface, job) = await FindAsync(id, db, surfaces);
        if (await commands.TakeAsync(edit, null))
        {
            var fields = new TypedFields(edit);
            fields.Require("cause");
            fields.Choice<ShotCause>(
                "cause",
                cause =>
                    shot.DoneSince = string.Join(
                        ' ',
                        SurfaceShots.DoneOf(shot).Append(cause).Where(one => one != ShotCause.None).Distinct()
                    )
            );
            fields.ThrowIfFaulty(["cause"]);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await rigs.OfAsync(surface, job, shot.RigId));
    }

    private static async Task<Ok<RigOfSurface>> AcceptAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader surfaces,
        RigReader rigs,
        SprayerChecks sprayers,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var (shot, surface, job) = await FindAsync(id, db, surfaces);
        var stamp = Stamp.Of(user, clock, edit);
        if (await commands.TakeAsync(edit, null, stamp) && shot.AcceptedAt is null)
        {
            new TypedFields(edit).ThrowIfFaulty("accepted");
            var answer = TestShotQuestions.Answer(SurfaceShots.QuestionOf(shot), await library.SuppliesAsync(job));
            var records = await surfaces.RecordsAsync(job.Id, [surface.Id]);
            var isOnRecord = await sprayers.OfDayAsync(job, shot.RigId, shot.FiredAt) is not null;
            (string Field, FaultCode Code)? refusal =
                !answer.Acceptable ? ("shot", FaultCode.ShotRefused)
                : RigReader.LossOf(shot, job, records, stamp.At) is not null ? ("shot", FaultCode.ShotOutdated)
                : !isOnRecord ? ("protected", FaultCode.Unprotected)
                : null;
            if (refusal is { } why)
            {
                throw FieldFaultsException.Of(why.Field, why.Code);
            }

            (shot.AcceptedAt, shot.AcceptedBy) = (stamp.At, stamp.By);
            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(await rigs.OfAsync(surface, job, shot.RigId));
    }

    private static async Task<(TestShotRow Shot, Surface Surface, Job Job)> FindAsync(Guid id, UmbracellDb db, SurfaceReader surfaces)
    {
        var shot = await db.TestShots.SingleOrDefaultAsync(one => one.Id == id) ?? throw new NotFoundException("test shot");
        var (surface, job) = await surfaces.FindAsync(shot.SurfaceId);
        return (shot, surface, job);
    }

    private static async Task<RigOfSurface> AskedAsync(TypedEdit edit, Surface surface, Job job, RigReader rigs)
    {
        Guid? rig = edit.Fields.GetValueOrDefault("rig") is { } text && Guid.TryParse(text, out var named) ? named : null;
        var asked = await rigs.OfAsync(surface, job, rig);
        return asked.Missing is { } missing
            ? throw FieldFaultsException.Of("rig", missing == RigMissing.Sheet ? FaultCode.NoSheet : FaultCode.NoRig)
            : asked;
    }
}
