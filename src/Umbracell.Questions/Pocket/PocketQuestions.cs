using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Pocket;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Price;
using Umbracell.Questions.Section;
using Umbracell.Questions.Sets;

namespace Umbracell.Questions.Pocket;

/// <summary>Reads a quick question, puts it to the core and shapes the answer.</summary>
public static class PocketQuestions
{
    private const int MostInches = 12;
    private const double RiskPct = 10;

    private static readonly string[] SetsShown = ["volume", "median", "load", "yield"];

    private static readonly FigureRange AirTemperature = new FigureRange(-40, 90, Dimension.Temperature).Usually(-30, 65),
        DrumTemperature = new FigureRange(-40, 60, Dimension.Temperature).Usually(-20, 45),
        Humidity = new(1, 100, Dimension.RelativeHumidity),
        SprayedArea = new(0.01, 1e5, Dimension.Area),
        FoamThickness = new FigureRange(0.005, 0.6, Dimension.Thickness).Usually(0.01, 0.4),
        RWanted = new(0.05, 20, Dimension.Resistance),
        BlanketPower = new(0, 5000, Dimension.ElectricPower);

    /// <summary>Answers a question.</summary>
    /// <exception cref="FieldFaultsException">The firm has no such sheet.</exception>
    public static PocketAnswer Answer(PocketQuestion question, Supplies supplies)
    {
        var (sheet, typed) = (supplies.Sheet(question.SheetId), new PocketFields(question));
        try
        {
            return question.Card switch
            {
                PocketCard.Dew => Dew(typed, sheet, supplies),
                PocketCard.Sets => Sets(typed, sheet, supplies),
                PocketCard.Thickness => Thickness(typed, sheet),
                PocketCard.Inch => Inches(typed, sheet),
                PocketCard.Drums => Drums(typed, sheet),
                _ => throw new ArgumentOutOfRangeException(nameof(question)),
            };
        }
        catch (QuantityRangeException e)
        {
            // What comes of several fields together.
            return Told([], faults: [typed.LastFault(e)]);
        }
    }

    // The gate's own rule, with the firm's margins and readings of this moment.
    private static PocketAnswer Dew(PocketFields typed, ProductSheet sheet, Supplies supplies)
    {
        var (air, rh, surface) = (
            typed.Read("air", AirTemperature),
            typed.Read("humidity", Humidity),
            typed.Read("surface", AirTemperature)
        );
        if (air is not { } t || rh is not { } percent || surface is not { } face)
        {
            return Told([], faults: typed.Faults);
        }

        var gate = SprayGate.Check(
            new()
            {
                Sheet = sheet,
                SubstrateKind = SubstrateKind.Metal,
                Substrate = Now(Temperature.FromCelsius(face)),
                Air = Now(Temperature.FromCelsius(t)),
                Humidity = Now(RelativeHumidity.FromPercent(percent, HumidityReference.Water)),
                Pressure = StandardAtmosphere.SeaLevel,
                Practice = supplies.Gate,
            }
        );
        var finding = FindingAnswer.Of(gate.Findings.Single(f => f.Rule == GateRules.DewDistance));
        return Told(
            new()
            {
                ["margin"] = new(finding.Measured!, finding.Working),
                ["dewPoint"] = SetsQuestions.Worked(gate.DewPoint!.Value.ToFigure(), null),
            },
            finding
        );

        static Reading<T> Now<T>(T value) => new(value, TimeSpan.Zero, "");
    }

    private static PocketAnswer Sets(PocketFields typed, ProductSheet sheet, Supplies supplies)
    {
        var rated = FoamThickness with { Greatest = sheet.ThickestRated.Metres };
        var (area, thickness) = (typed.Read("area", SprayedArea), typed.Read("thickness", rated));
        if (area is not { } m2 || thickness is not { } metres)
        {
            return Told([], faults: typed.Faults);
        }

        var asked = new SetsQuestion
        {
            SheetId = sheet.Id,
            AreaM2 = m2,
            ThicknessMm = metres * 1000,
            RiskPct = RiskPct,
        };
        var study = SetsQuestions.Study(asked, sheet);
        var shaped = SetsQuestions.Answer(study, sheet).Figures;
        var figures = SetsShown.ToDictionary(key => key, key => shaped[key]);
        if (supplies.Rates is null)
        {
            return Told(figures);
        }

        var foam = new BidFoamShape(sheet.Id, study.Demand.Volume.BoardFeet, study.Sets.Median);
        var surface = new BidSurfaceShape
        {
            Name = sheet.Name,
            TreatedM2 = m2,
            Foams = [foam],
        };
        var bid = BidQuestions.Answer(new BidQuestion([surface]), supplies);
        figures["cost"] = new(bid.Figures["cost"], null);
        figures["price"] = new(bid.Figures["price"], null);
        return Told(
            figures,
            note: bid.Missing.Count > 0 ? "noPrice"
                : bid.Unentered.Count > 0 ? "noRates"
                : null
        );
    }

    private static PocketAnswer Thickness(PocketFields typed, ProductSheet sheet)
    {
        if (typed.Read("r", RWanted) is not { } r)
        {
            return Told([], faults: typed.Faults);
        }

        var greatest = sheet.ResistanceAt(sheet.ThickestRated);
        if (FoamForR.Of(sheet, ThermalResistance.FromSi(r)) is not { } found)
        {
            return Told(
                new()
                {
                    ["thickest"] = new(FigureAnswer.Of(sheet.ThickestRated.ToThickness()), null),
                    ["greatestR"] = new(FigureAnswer.Of(greatest.ToFigure()), null),
                },
                note: "pastSheet"
            );
        }

        return Told(
            new()
            {
                ["thickness"] = SetsQuestions.Worked(found.Thickness.ToThickness().AtLeast, found.Working),
                ["lifts"] = SetsQuestions.Worked(Figure.Count(found.Lifts.Lifts.Count), found.Lifts.Working),
                ["eachLift"] = SetsQuestions.Worked(found.Lifts.Lifts[0].ToThickness(), null),
            },
            finding: FindingAnswer.Of(found.Lifts.Finding)
        );
    }

    private static PocketAnswer Inches(PocketFields typed, ProductSheet sheet) =>
        typed.Read("present", RWanted) is { } r
            ? new(
                new Dictionary<string, WorkedFigure>(),
                [
                    .. InchOfFoam
                        .Ledger(sheet, ThermalResistance.FromSi(r), MostInches)
                        .Select(inch => new PocketInch(
                            FigureAnswer.Of(inch.Thickness.ToThickness()),
                            SetsQuestions.Worked(Figure.Percent(inch.Left * 100), inch.Working),
                            FigureAnswer.Of(Figure.Percent(inch.Cut * 100))
                        )),
                ],
                null,
                null,
                []
            )
            : Told([], faults: typed.Faults);

    private static PocketAnswer Drums(PocketFields typed, ProductSheet sheet)
    {
        var (drum, around) = (typed.Read("drum", DrumTemperature), typed.Read("around", DrumTemperature));
        var blanket = typed.IsBlank("blanket") ? 0 : typed.Read("blanket", BlanketPower);
        if (drum is not { } start || around is not { } air || blanket is not { } watts)
        {
            return Told([], faults: typed.Faults);
        }

        var wanted = sheet.Drums.Least;
        var figures = new Dictionary<string, WorkedFigure> { ["wanted"] = new(FigureAnswer.Of(wanted.ToFigure()), null) };
        foreach (var (side, mass) in new[] { (SetSide.A, sheet.SetMassA), (SetSide.B, sheet.SetMassB) })
        {
            var warmth = new DrumWarmth(side, mass, Temperature.FromCelsius(start), Temperature.FromCelsius(air), watts);
            if (warmth.TimeTo(wanted) is { } time)
            {
                figures["lead" + side] = SetsQuestions.Worked(Figure.Duration(time), warmth.Working(wanted));
            }
        }

        return Told(figures, note: figures.Count < 3 ? "neverWarm" : null);
    }

    private static PocketAnswer Told(
        Dictionary<string, WorkedFigure> figures,
        FindingAnswer? finding = null,
        string? note = null,
        IReadOnlyList<FieldFault>? faults = null
    ) => new(figures, [], finding, note, faults ?? []);

    /// <summary>The fields of a question; what is blank is not typed yet, and no fault.</summary>
    private sealed class PocketFields(PocketQuestion question)
    {
        private readonly List<FieldFault> _faults = [];

        public IReadOnlyList<FieldFault> Faults => _faults;

        private string _last = "";

        /// <summary>The fault of the field read last, as it was typed.</summary>
        public FieldFault LastFault(QuantityRangeException e) => FieldFault.Of(_last, e) with { Typed = question.Fields[_last] };

        public bool IsBlank(string field) => string.IsNullOrWhiteSpace(question.Fields.GetValueOrDefault(field));

        public double? Read(string field, FigureRange range)
        {
            _last = field;
            if (IsBlank(field))
            {
                return null;
            }

            var typed = QuantityParser.Parse(question.Fields[field], range, question.Units);
            if (typed.Fault is null)
            {
                return typed.Figure!.Value.Amount;
            }

            _faults.Add(FieldFault.Of(field, typed));
            return null;
        }
    }
}
