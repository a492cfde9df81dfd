using System.Globalization;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Means;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Documents;
using Umbracell.Store.Model;

namespace Umbracell.Server.Means;

/// <summary>What the firm works with, as figures ask for it.</summary>
internal sealed class MeansShelf(IReadOnlyList<MeansRow> rows)
{
    private IEnumerable<MeansDocument> InUse(MeansKind kind) =>
        rows.Where(row => row.Kind == kind && row.RetiredAt is null).Select(row => row.Document ?? MeansDocument.None);

    /// <summary>What a crew works with.</summary>
    /// <param name="crew">The crew; null for no one in particular.</param>
    public FirmMeans For(Guid? crew) =>
        new()
        {
            Heaters =
            [
                .. InUse(MeansKind.SpaceHeater)
                    .Select(heater => new SpaceHeater(
                        KindOf(heater),
                        heater.Figures[MeansEntries.HeaterPower],
                        WholeOf(heater, MeansEntries.Count) ?? 1
                    )),
            ],
            Blankets = InUse(MeansKind.Blankets)
                .Select(one => new DrumBlankets(one.Figures[MeansEntries.HeaterPower], WholeOf(one, MeansEntries.Count)))
                .OrderByDescending(one => one.Watts)
                .ThenByDescending(one => one.Count ?? int.MaxValue)
                .FirstOrDefault(),
            HotRoom = InUse(MeansKind.HotRoom)
                .Select(one => new HotRoom(
                    Temperature.FromCelsius(one.Figures[MeansEntries.RoomAir]),
                    one.Figures[MeansEntries.RoomLoss],
                    WholeOf(one, MeansEntries.Holds)
                ))
                .OrderByDescending(one => one.Holds ?? int.MaxValue)
                .ThenByDescending(one => one.Air)
                .FirstOrDefault(),
            Dehumidifier = InUse(MeansKind.Dehumidifier)
                .GroupBy(
                    DryerKindOf,
                    (kind, all) =>
                        new Dehumidifier(kind, all.Sum(one => one.Figures[MeansEntries.TakesOut] * (WholeOf(one, MeansEntries.Count) ?? 1)))
                )
                .MaxBy(one => one.RatedKilogramsPerHour),
            Trailer = TrailerOf(crew),
            Day = DayOf(crew),
        };

    // Half a day is none: who begins at seven and says nothing more works as long as is usual.
    private WorkDay? DayOf(Guid? crew)
    {
        var words = rows.FirstOrDefault(row => row.Id == crew)?.Document?.Words;
        var (from, to) = (Time(MeansEntries.DayStart), Time(MeansEntries.DayEnd));
        var day = new WorkDay(from ?? WorkDay.Usual.From, to ?? WorkDay.Usual.To);
        return (from ?? to) is null || day.From >= day.To ? null : day;

        TimeOnly? Time(string name) =>
            words?.TryGetValue(name, out var text) == true
            && TimeOnly.TryParseExact(text, "HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out var time)
                ? time
                : null;
    }

    /// <summary>The firm's rates with those a crew has of its own.</summary>
    /// <param name="crew">The crew; null for no one in particular.</param>
    /// <param name="rates">The firm's; null where it has entered none.</param>
    public Rates? RatesOf(Guid? crew, Rates? rates)
    {
        var own = rows.FirstOrDefault(row => row.Id == crew)?.Document?.Figures;
        foreach (var rate in WorkRates.OfCrews)
        {
            if (own?.TryGetValue(rate.Field, out var figure) == true)
            {
                rates = rate.With(rates ?? Rates.Unpriced, figure);
            }
        }

        return rates;
    }

    // Of a crew's own rig, or of whichever it will be: then the one that carries least.
    private Mass? TrailerOf(Guid? crew)
    {
        var rigs = rows.Where(row =>
                row is { Kind: MeansKind.Rig, RetiredAt: null } && row.Document?.Figures.ContainsKey(MeansEntries.Trailer) == true
            )
            .ToList();
        var own = rigs.FindAll(rig => rig.CrewId == crew && crew is not null);
        return (own.Count > 0 ? own : rigs)
            .Select(rig => Mass.FromKilograms(rig.Document!.Figures[MeansEntries.Trailer]))
            .Cast<Mass?>()
            .MinBy(mass => mass!.Value.Kilograms);
    }

    private static HeaterKind? KindOf(MeansDocument heater) =>
        heater.Words.TryGetValue(MeansEntries.HeaterType, out var code)
            ? Enum.GetValues<HeaterKind>().Single(kind => Vocabulary.KeyOf(kind) == code)
            : null;

    // One of which nobody said how it works is taken for the kind that does less in the cold.
    private static DehumidifierKind DryerKindOf(MeansDocument dryer) =>
        dryer.Words.TryGetValue(MeansEntries.DryerType, out var code) && code == Vocabulary.KeyOf(DehumidifierKind.Desiccant)
            ? DehumidifierKind.Desiccant
            : DehumidifierKind.Refrigerant;

    private static int? WholeOf(MeansDocument of, string name) =>
        of.Figures.TryGetValue(name, out var figure) ? (int)Math.Round(figure) : null;
}
