using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Serialization;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Core.Spraying;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Questions.Pocket;
using Umbracell.Questions.Price;
using Umbracell.Questions.Prove;
using Umbracell.Questions.Rig;
using Umbracell.Questions.Section;
using Umbracell.Questions.Sets;
using Umbracell.Questions.Spray;
using Umbracell.Questions.Window;

namespace Umbracell.Questions;

/// <summary>Questions, answers and the supplies as JSON, written without reflection so that it also works where the code is trimmed.</summary>
[JsonSourceGenerationOptions(JsonSerializerDefaults.Web, NumberHandling = JsonNumberHandling.Strict)]
[JsonSerializable(typeof(SectionQuestion))]
[JsonSerializable(typeof(SectionAnswer))]
[JsonSerializable(typeof(ChoiceQuestion))]
[JsonSerializable(typeof(ChoiceAnswer))]
[JsonSerializable(typeof(SetsQuestion))]
[JsonSerializable(typeof(SetsAnswer))]
[JsonSerializable(typeof(BidQuestion))]
[JsonSerializable(typeof(BidAnswer))]
[JsonSerializable(typeof(GateQuestion))]
[JsonSerializable(typeof(GateAnswer))]
[JsonSerializable(typeof(PocketQuestion))]
[JsonSerializable(typeof(PocketAnswer))]
[JsonSerializable(typeof(TestShotQuestion))]
[JsonSerializable(typeof(TestShotAnswer))]
[JsonSerializable(typeof(SequenceQuestion))]
[JsonSerializable(typeof(SequenceAnswer))]
[JsonSerializable(typeof(LiftQuestion))]
[JsonSerializable(typeof(LiftAnswer))]
[JsonSerializable(typeof(SprayQuestion))]
[JsonSerializable(typeof(SprayAnswer))]
[JsonSerializable(typeof(YieldQuestion))]
[JsonSerializable(typeof(YieldAnswer))]
[JsonSerializable(typeof(DepthQuestion))]
[JsonSerializable(typeof(DepthAnswer))]
[JsonSerializable(typeof(ProofQuestion))]
[JsonSerializable(typeof(ProofAnswer))]
[JsonSerializable(typeof(ReEntryQuestion))]
[JsonSerializable(typeof(ReEntryAnswer))]
[JsonSerializable(typeof(Supplies))]
public sealed partial class QuestionsJson : JsonSerializerContext
{
    /// <summary>The one way of writing: names in camel case, quantities as their SI number.</summary>
    public static QuestionsJson Wire { get; } =
        new(
            new JsonSerializerOptions(JsonSerializerDefaults.Web)
            {
                NumberHandling = JsonNumberHandling.Strict,

                // Read by a program beside it, never put into a page: degrees and squares go as they are, a third shorter and quicker.
                Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
                Converters =
                {
                    Words<SurfaceKind>(),
                    Words<MemberMaterial>(),
                    Words<FoamSide>(),
                    Words<HeatFlow>(),
                    Words<Exposure>(),
                    Words<FilmSet>(),
                    Words<FillKind>(),
                    Words<LayerPart>(),
                    Words<VapourClass>(),
                    Words<Verdict>(),
                    Words<Stage>(),
                    Words<Basis>(),
                    Words<CellStructure>(),
                    Words<FoamGrade>(),
                    Words<SubstrateKind>(),
                    Words<HumidityReference>(),
                    Words<PreparationItem>(),
                    Words<Covering>(),
                    Words<Attachment>(),
                    Words<TargetPath>(),
                    Words<ScorePart>(),
                    Words<PracticeQuestion>(),
                    Words<School>(),
                    Words<GateMargin>(),
                    Words<CandidateKind>(),
                    Words<Advice>(),
                    Words<FlipInput>(),
                    Words<FlipCause>(),
                    Words<DryingChange>(),
                    Words<AccessKind>(),
                    Words<BidPace>(),
                    Words<PocketCard>(),
                    Words<FaultCode>(),
                    Words<UnitSystem>(),
                    Words<ShotRise>(),
                    Words<ShotSkin>(),
                    Words<ShotCells>(),
                    Words<ShotColour>(),
                    Words<ShotFeel>(),
                    Words<ShotAdhesion>(),
                    Words<ShotLayers>(),
                    Words<ShotCause>(),
                    Words<ShotStep>(),
                    Words<ShotRefusal>(),
                    Words<SequenceKind>(),
                    Words<SequenceRole>(),
                    Words<RigAct>(),
                    Words<StepGauge>(),
                    Words<StepState>(),
                    Words<LogEntryKind>(),
                    Words<StopReason>(),
                    Words<WalkRoundItem>(),
                    Words<NextLiftBecause>(),
                    Words<SetSide>(),
                    Words<PlaceKind>(),
                    Words<DefectKind>(),
                    Words<DefectCause>(),
                    Words<DefectState>(),
                    Words<RepairWay>(),
                    Words<Clearance>(),
                    Words<InspectionItem>(),
                    Words<SampleKind>(),
                    Words<FailedIn>(),
                    Words<CellLook>(),
                    new QuantityConverter<Length>(q => q.Metres, Umbracell.Core.Quantities.Length.FromMetres),
                    new QuantityConverter<Temperature>(q => q.Celsius, Umbracell.Core.Quantities.Temperature.FromCelsius),
                    new QuantityConverter<Density>(
                        q => q.KilogramsPerCubicMetre,
                        Umbracell.Core.Quantities.Density.FromKilogramsPerCubicMetre
                    ),
                    new QuantityConverter<Mass>(q => q.Kilograms, Umbracell.Core.Quantities.Mass.FromKilograms),
                    new QuantityConverter<Speed>(q => q.MetresPerSecond, Umbracell.Core.Quantities.Speed.FromMetresPerSecond),
                    new QuantityConverter<FoamVolume>(q => q.CubicMetres, Umbracell.Core.Quantities.FoamVolume.FromCubicMetres),
                    new QuantityConverter<BearingPressure>(q => q.Pascals, Umbracell.Core.Quantities.BearingPressure.FromPascals),
                    new QuantityConverter<ThermalResistance>(
                        q => q.SquareMetreKelvinsPerWatt,
                        Umbracell.Core.Quantities.ThermalResistance.FromSi
                    ),
                    new QuantityConverter<ThermalConductivity>(
                        q => q.WattsPerMetreKelvin,
                        Umbracell.Core.Quantities.ThermalConductivity.FromSi
                    ),
                    new QuantityConverter<Permeability>(
                        q => q.KilogramsPerPascalSecondMetre,
                        Umbracell.Core.Quantities.Permeability.FromSi
                    ),
                    new WindowConverter(),
                    new CurveConverter(),
                },
            }
        );

    private static JsonStringEnumConverter<T> Words<T>()
        where T : struct, Enum => new(JsonNamingPolicy.CamelCase, allowIntegerValues: false);
}

/// <summary>A quantity as its number in SI.</summary>
internal sealed class QuantityConverter<T>(Func<T, double> number, Func<double, T> quantity) : JsonConverter<T>
    where T : struct
{
    public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => quantity(reader.GetDouble());

    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) => writer.WriteNumberValue(number(value));
}

/// <summary>A temperature window as its two ends, °C.</summary>
internal sealed class WindowConverter : JsonConverter<TemperatureWindow>
{
    public override TemperatureWindow Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        var ends = Numbers.Read(ref reader);
        return new(Temperature.FromCelsius(ends[0]), Temperature.FromCelsius(ends[1]));
    }

    public override void Write(Utf8JsonWriter writer, TemperatureWindow value, JsonSerializerOptions options) =>
        Numbers.Write(writer, [value.Least.Celsius, value.Greatest.Celsius]);
}

/// <summary>A curve as its name, the dimension of its x and its points one after the other.</summary>
internal sealed class CurveConverter : JsonConverter<Curve>
{
    public override Curve Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
    {
        reader.Read();
        var name = reader.GetString()!;
        reader.Read();
        var dimension = Enum.Parse<Dimension>(reader.GetString()!);
        reader.Read();
        var numbers = Numbers.Read(ref reader);
        reader.Read();
        return new(name, numbers.Chunk(2).Select(pair => new CurvePoint(pair[0], pair[1])), dimension);
    }

    public override void Write(Utf8JsonWriter writer, Curve value, JsonSerializerOptions options)
    {
        writer.WriteStartArray();
        writer.WriteStringValue(value.Name);
        writer.WriteStringValue(value.Dimension.ToString());
        Numbers.Write(writer, value.Points.SelectMany(p => new[] { p.X, p.Y }));
        writer.WriteEndArray();
    }
}

/// <summary>A plain array of numbers.</summary>
internal static class Numbers
{
    public static double[] Read(ref Utf8JsonReader reader)
    {
        var numbers = new List<double>();
        while (reader.Read() && reader.TokenType == JsonTokenType.Number)
        {
            numbers.Add(reader.GetDouble());
        }

        return [.. numbers];
    }

    public static void Write(Utf8JsonWriter writer, IEnumerable<double> numbers)
    {
        writer.WriteStartArray();
        foreach (var number in numbers)
        {
            writer.WriteNumberValue(number);
        }

        writer.WriteEndArray();
    }
}
