using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>Rules G1, G2 and G6: temperatures against the sheet's windows.</summary>
internal static class TemperatureRules
{
    public static Finding Substrate(GateCase gate) =>
        InWindow(
            GateRules.Substrate,
            gate.Substrate,
            gate.Sheet.Substrate,
            gate,
            SheetLine.SheetSubstrate,
            "raiseSubstrate",
            "coolSubstrate"
        );

    public static Finding Air(GateCase gate) =>
        InWindow(GateRules.Air, gate.Air, gate.Sheet.Air, gate, SheetLine.SheetAir, "raiseAir", "coolAir");

    public static Finding Drums(GateCase gate)
    {
        var source = Citations.Sheet(gate.Sheet, SheetLine.SheetDrums);
        if (gate is not { DrumA: { } a, DrumB: { } b })
        {
            return new(GateRules.Drums, "unread", Verdict.Hold, source)
            {
                Words = new Dictionary<string, Said>
                {
                    ["side"] = (gate.DrumA, gate.DrumB) switch
                    {
                        (null, null) => new Said(["A", "B"]),
                        (null, _) => "A",
                        _ => "B",
                    },
                },
            };
        }

        var window = gate.Sheet.Drums;
        var (worse, side) = window.Margin(a.Value).Kelvins <= window.Margin(b.Value).Kelvins ? (a, "A") : (b, "B");
        var margin = window.Margin(worse.Value);
        var stale = a.Age > gate.Practice.FreshFor || b.Age > gate.Practice.FreshFor;
        var (name, verdict) =
            margin.Kelvins < 0 ? ("outside", Verdict.Hold)
            : stale ? ("stale", Verdict.Care)
            : GateMargins.IsShort(margin.Kelvins, SprayGate.DrumEdge.Kelvins) ? ("nearEdge", Verdict.Care)
            : ("inside", Verdict.Clear);
        return new(GateRules.Drums, name, verdict, source)
        {
            Measured = worse.Value.ToFigure(),
            Limit = NearerEdge(window, worse.Value).ToFigure(),
            Margin = margin.ToFigure(),
            Figures = new Dictionary<string, Figure>
            {
                ["drumA"] = a.Value.ToFigure(),
                ["drumB"] = b.Value.ToFigure(),
                ["least"] = window.Least.ToFigure(),
                ["greatest"] = window.Greatest.ToFigure(),
                ["wanted"] = Figure.Duration(gate.Practice.FreshFor),
                ["age"] = Figure.Duration(a.Age > b.Age ? a.Age : b.Age),
            },
            Words = new Dictionary<string, Said> { ["side"] = side, ["instrument"] = worse.Instrument },
            Remedies =
                margin.Kelvins >= 0 ? [] : [Change(worse.Value, window, TemperatureDifference.FromKelvins(0), "warmDrum", "coolDrum")],
            Working = MarginWorking(worse.Value, window, source),
        };
    }

    private static Finding InWindow(
        Rule rule,
        Reading<Temperature>? reading,
        TemperatureWindow window,
        GateCase gate,
        SheetLine line,
        string raise,
        string cool
    )
    {
        var source = Citations.Sheet(gate.Sheet, line);
        if (reading is null)
        {
            return new(rule, "unread", Verdict.Hold, source);
        }

        var margin = window.Margin(reading.Value);
        var well = gate.Practice.WellInside;
        var (name, verdict) =
            margin.Kelvins < 0 ? ("outside", Verdict.Hold)
            : GateMargins.IsShort(margin.Kelvins, well.Kelvins) ? ("nearEdge", Verdict.Care)
            : ("inside", Verdict.Clear);
        return new(rule, name, verdict, source)
        {
            Measured = reading.Value.ToFigure(),
            Limit = NearerEdge(window, reading.Value).ToFigure(),
            Margin = margin.ToFigure(),
            Figures = new Dictionary<string, Figure>
            {
                ["least"] = window.Least.ToFigure(),
                ["greatest"] = window.Greatest.ToFigure(),
                ["wanted"] = well.ToFigure(),
                ["age"] = Figure.Duration(reading.Age),
            },
            Words = new Dictionary<string, Said> { ["instrument"] = reading.Instrument },
            Remedies =
                verdict == Verdict.Clear
                    ? []
                    : [Change(reading.Value, window, verdict == Verdict.Hold ? TemperatureDifference.FromKelvins(0) : well, raise, cool)],
            Working = MarginWorking(reading.Value, window, source),
        };
    }

    private static Remedy Change(Temperature value, TemperatureWindow window, TemperatureDifference inside, string raise, string cool)
    {
        var isCold = value.Celsius - window.Least.Celsius <= window.Greatest.Celsius - value.Celsius;
        var change = isCold
            ? window.Least.Celsius + inside.Kelvins - value.Celsius
            : value.Celsius - (window.Greatest.Celsius - inside.Kelvins);
        return new(
            isCold ? raise : cool,
            new Dictionary<string, Figure>
            {
                ["change"] = TemperatureDifference.FromKelvins(change).ToFigure().AtLeast,
                ["to"] = isCold
                    ? Temperature.FromCelsius(value.Celsius + change).ToFigure().AtLeast
                    : Temperature.FromCelsius(value.Celsius - change).ToFigure().AtMost,
            }
        );
    }

    private static Working MarginWorking(Temperature value, TemperatureWindow window, Citation source) =>
        new(
            "margin",
            "margin = the lesser of T − T_least and T_greatest − T",
            [
                new("T", "reading", value.ToFigure()),
                new("T_least", "windowLeast", window.Least.ToFigure()),
                new("T_greatest", "windowGreatest", window.Greatest.ToFigure()),
            ],
            window.Margin(value).ToFigure(),
            source
        );

    private static Temperature NearerEdge(TemperatureWindow window, Temperature value) =>
        value.Celsius - window.Least.Celsius <= window.Greatest.Celsius - value.Celsius ? window.Least : window.Greatest;
}
