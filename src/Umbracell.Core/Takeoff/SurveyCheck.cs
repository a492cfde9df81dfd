using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;

namespace Umbracell.Core.Takeoff;

/// <summary>What is known of a surface.</summary>
/// <param name="Kind">Its kind.</param>
/// <param name="Takeoff">Its takeoff; null where no size is taken.</param>
/// <param name="OpenLeak">Where it leaks; null where no leak is open.</param>
/// <param name="MoistureRead">Whether its moisture has been read.</param>
public sealed record SurveyCase(SurfaceKind Kind, SurfaceTakeoff? Takeoff, string? OpenLeak, bool MoistureRead)
{
    /// <summary>What else is asked of its kind.</summary>
    public IReadOnlyList<DetailField> Asked { get; init; } = [];

    /// <summary>What is known of that.</summary>
    public SurfaceDetails Details { get; init; } = new();

    /// <summary>Its joints, each with what it meets in words.</summary>
    public IReadOnlyList<(Joint Joint, string Beyond)> Joints { get; init; } = [];

    /// <summary>Readings that disagree.</summary>
    public IReadOnlyList<Finding> Meters { get; init; } = [];

    /// <summary>Flues, lights and old wiring in its way whose clearance was not taken down, each in words.</summary>
    public IReadOnlyList<string> ClearancesUnknown { get; init; } = [];
}

/// <summary>What the survey of a surface still wants, and what each thing blocks.</summary>
public static class SurveyCheck
{
    /// <summary>Judges what is known of a surface.</summary>
    /// <returns>Findings, worst first. What is missing names the stage that waits for it (<see cref="RuleCase.Blocks"/>).</returns>
    public static IReadOnlyList<Finding> Of(SurveyCase survey)
    {
        List<Finding> findings = [Size(survey.Takeoff)];
        if (!string.IsNullOrWhiteSpace(survey.OpenLeak))
        {
            findings.Add(
                new(SurveyRules.Leak, "open", Verdict.Hold, Citations.DryAndMended)
                {
                    Words = new Dictionary<string, Said> { ["where"] = survey.OpenLeak },
                }
            );
        }

        findings.Add(
            new(
                SurveyRules.Moisture,
                survey.MoistureRead ? "read" : "unread",
                survey.MoistureRead ? Verdict.Clear : Verdict.Care,
                Citations.MoistureReadFirst
            )
        );
        findings.AddRange(Details(survey));
        findings.AddRange(
            survey.ClearancesUnknown.Select(what => new Finding(SurveyRules.Clearance, "unknown", Verdict.Care, Citations.Clearances)
            {
                Words = new Dictionary<string, Said> { ["what"] = what },
            })
        );
        findings.AddRange(survey.Joints.Select(j => JointCheck.Of(j.Joint, j.Beyond)));
        findings.AddRange(survey.Meters);
        return [.. findings.OrderByDescending(f => f.Verdict)];
    }

    private static Finding Size(SurfaceTakeoff? takeoff) =>
        takeoff switch
        {
            null => new(SurveyRules.Size, "missing", Verdict.Hold, Citations.AreaOfMaterial),
            { OpeningsExceedSurface: true } => new(SurveyRules.Size, "openingsExceed", Verdict.Hold, Citations.OpeningsWithin)
            {
                Measured = takeoff.Openings.ToFigure(),
                Limit = takeoff.Gross.ToFigure(),
            },
            _ => new(SurveyRules.Size, "taken", Verdict.Clear, Citations.AreaByGeometry)
            {
                Measured = takeoff.Treated.ToFigure(),
                Working = takeoff.Working,
            },
        };

    private static IEnumerable<Finding> Details(SurveyCase survey)
    {
        var d = survey.Details;
        if (Asks(DetailField.BalloonFramed) && d.BalloonFramed == true)
        {
            yield return new(SurveyRules.Balloon, "open", Verdict.Care, Citations.BalloonFraming);
        }
        else if (Asks(DetailField.BalloonFramed) && d.BalloonFramed is null)
        {
            yield return Missing("balloonFramed");
        }

        if (Asks(DetailField.HeldAtEnds) && d.HeldAtEnds == true)
        {
            yield return new(SurveyRules.Braces, "wanted", Verdict.Care, Citations.LongMembers);
        }

        if (Asks(DetailField.GirtProfile) && d.Girt is null)
        {
            yield return Missing("girtProfile");
        }

        if (Asks(DetailField.Covering) && d.Covering == Covering.Unknown)
        {
            yield return Missing("covering");
        }

        if (Asks(DetailField.Attachment) && d.Attachment == Attachment.Unknown)
        {
            yield return Missing("attachment");
        }

        if (Asks(DetailField.DoorSpare) && d.DoorSpare is null)
        {
            yield return Missing("doorSpare");
        }

        bool Asks(DetailField field) => survey.Asked.Contains(field);
    }

    private static Finding Missing(string what) => new(SurveyRules.Missing, what, Verdict.Care, Citations.AskedOfKind);
}
