using Umbracell.Core.Choosing;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Choose;

/// <summary>Puts a choice question to the core and shapes the answer.</summary>
public static class ChoiceQuestions
{
    /// <summary>Answers a question.</summary>
    public static ChoiceAnswer Answer(ChoiceQuestion question, Supplies supplies) =>
        ChoiceAnswers.Of(Choice.Of(Case(question, supplies), question.WithFlips ? FlipSearch.All : FlipSearch.None), Bare(question));

    /// <summary>The section of a question with no foam in it.</summary>
    public static SectionQuestion Bare(ChoiceQuestion question) =>
        question.Section with
        {
            SheetId = null,
            ThicknessMm = null,
            Further = null,
        };

    /// <summary>The core's case of a question.</summary>
    public static ChoiceCase Case(ChoiceQuestion question, Supplies supplies) =>
        new()
        {
            Section = SectionQuestions.Case(Bare(question), supplies),
            Facts = Facts(question.Facts ?? new()),
            Sheets = [.. supplies.Offered],
            Materials = supplies.ForSystems,
            Year = SectionYears.Air(question.Section.Year),
            Path = question.Path,
            Labels =
            [
                .. (question.Labels ?? []).Select(l => new LabelRequirement(
                    ThermalResistance.FromSi(l.CavityRM2KW),
                    ThermalResistance.FromSi(l.ContinuousRM2KW)
                )),
            ],
            Rates = supplies.Priced,
            Priorities = question.Weights is { Count: > 0 } weights ? new(weights) : Priorities.Even,
            Practice = new() { Schools = question.Schools ?? supplies.Schools },
            Gate = supplies.Gate,
        };

    private static SurfaceFacts Facts(FactsShape f) =>
        new(f)
        {
            OpenLeak = f.OpenLeak,
            WoodSubstrate = f.WoodSubstrate,
            WoodMoisturePercent = f.WoodMoisturePct,
            Covering = f.Covering,
            Attachment = f.Attachment,
            Pitch = f.Pitch,
            DoorSpare = f.DoorSpareKg is { } kg ? Mass.FromKilograms(kg) : null,
            Treated = f.TreatedM2 is { } area ? Area.FromSquareMetres(area) : null,
            ExpectedSubstrate = f.SubstrateTempC is { } celsius ? Temperature.FromCelsius(celsius) : null,
            Conditioned = f.Conditioned,
            HeldAtEnds = f.HeldAtEnds,
            ClearancesAsked = f.ClearancesAsked,
            WetOldInsulation = f.WetOldInsulation,
            Load = f.LoadKPa is { } load ? BearingPressure.FromKilopascals(load) : null,
        };
}
