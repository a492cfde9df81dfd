using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Documents;
using Umbracell.Questions.Choose;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>The system chosen for a surface, between the rows it is kept in and the shape it is asked in.</summary>
internal static class KeptSystems
{
    /// <summary>What is put into a surface; nothing where neither a foam with its thickness nor another layer is chosen.</summary>
    public static SystemShape Of(Surface surface)
    {
        var foam = surface is { SheetSlug: not null, FoamThicknessM: not null };
        var system = surface.System;
        return new(
            foam ? surface.SheetSlug : null,
            foam ? surface.FoamThicknessM * 1000 : null,
            foam || surface.SheetSlug is null ? system?.Further ?? [] : [],
            system?.AddedOutboard ?? [],
            system?.AddedInboard ?? []
        );
    }

    /// <summary>A candidate as it is kept when it is chosen.</summary>
    public static SystemDocument Of(Candidate candidate, SectionCase without)
    {
        var system = SystemShape.Of(candidate, without);
        return new()
        {
            Kind = candidate.Kind,
            Further = system.Further,
            AddedOutboard = system.AddedOutboard,
            AddedInboard = system.AddedInboard,
            Overrides = [.. candidate.Findings.Where(f => f.Verdict == Verdict.Hold).Select(f => f.Rule.Id)],
        };
    }

    /// <summary>Whether a candidate is what a surface has. A foam picked on the section's page is the candidate of that foam
    /// alone.</summary>
    public static bool IsChosen(Candidate candidate, Surface surface) =>
        surface.System is { } system
            ? candidate.Kind == system.Kind && candidate.Section.Foam?.Sheet.Id == surface.SheetSlug
            : surface.SheetSlug is { } sheet
                && candidate.Section.Fill is [FoamFill only]
                && only.Sheet.Id == sheet
                && candidate.Kind
                    is CandidateKind.OpenCell
                        or CandidateKind.DenseOpenCell
                        or CandidateKind.ClosedCell
                        or CandidateKind.ColdGrade;
}
