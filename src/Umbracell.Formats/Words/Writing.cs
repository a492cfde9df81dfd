using System.Globalization;
using System.Text.RegularExpressions;
using Umbracell.Core.Quantities;

namespace Umbracell.Formats.Words;

/// <summary>Figures, days and lists as the language of the catalogue writes them. The page does the same in <c>writing.ts</c>.</summary>
public sealed partial class Writing
{
    private readonly CultureInfo _culture;
    private readonly string _day;
    private readonly IReadOnlyDictionary<string, string> _words;
    private readonly Regex _wordsInFigures;

    /// <summary>As one language writes.</summary>
    /// <param name="culture">Its marks in numbers and names of months.</param>
    /// <param name="day">Pattern of a day of the calendar, such as <c>MMM d, yyyy</c>.</param>
    /// <param name="words">The words the core writes in figures, each with that of the language.</param>
    public Writing(CultureInfo culture, string day, IReadOnlyDictionary<string, string> words)
    {
        (_culture, _day, _words) = (culture, day, words);

        // The longest first: "per bd ft" holds "bd ft".
        var keys = string.Join('|', words.Keys.OrderByDescending(word => word.Length).Select(Regex.Escape));
        _wordsInFigures = new($@"(?<![\p{{L}}/·])(?:{keys})(?![\p{{L}}\d²³/·])", RegexOptions.CultureInvariant);
    }

    /// <summary>As the catalogue's language writes.</summary>
    public static Writing OfCatalog { get; } =
        new(CultureInfo.GetCultureInfo(WordCatalog.Of("writing.locale")!), WordCatalog.Of("writing.day")!, WordCatalog.List("figure"));

    /// <summary>A figure that the core printed, as 1,234.5 bd ft.</summary>
    public string Figure(string printed) =>
        MarkInNumber()
            .Replace(
                _wordsInFigures.Replace(printed, word => _words[word.Value]),
                mark => mark.Value == "." ? _culture.NumberFormat.NumberDecimalSeparator : _culture.NumberFormat.NumberGroupSeparator
            );

    /// <summary>Puts the sign of the firm's money where the core left room for it: $12.50, -$12.50, CHF 12.50.</summary>
    /// <param name="printed">A figure that the core printed.</param>
    /// <param name="sign">The sign as the firm wrote it; nothing stands before the amount where it has none.</param>
    public static string Money(string printed, string sign) =>
        RoomForSign().Replace(printed, room => room.Groups["minus"].Value + MoneySign(sign));

    /// <summary>The sign of a money as it stands before an amount: a word keeps its distance.</summary>
    public static string MoneySign(string sign) => sign.Length > 0 && (char.IsLetter(sign[^1]) || sign[^1] == '.') ? sign + '\u00A0' : sign;

    /// <summary>A day of the calendar.</summary>
    public string Day(DateOnly day) => day.ToString(_day, _culture);

    /// <summary>A moment by the clock of a place.</summary>
    public string Moment(DateTime local) =>
        WordCatalog.Say(
            "writing.moment",
            ("day", Day(DateOnly.FromDateTime(local))),
            // Catalogues are read by programs too: a narrow space before AM is a space.
            ("time", local.ToString("t", _culture).Replace('\u202f', ' '))
        );

    /// <summary>Reads a day as <see cref="Day"/> writes it.</summary>
    public bool TryReadDay(string text, out DateOnly day) =>
        DateOnly.TryParseExact(text, _day, _culture, DateTimeStyles.AllowWhiteSpaces, out day);

    /// <summary>A list in words; empty where nothing is in it.</summary>
    /// <param name="parts">What is in it.</param>
    /// <param name="between">How they are set apart: <c>next</c>, <c>apart</c> or <c>plus</c>.</param>
    public static string Listed(IEnumerable<string> parts, string between = "next")
    {
        var all = parts.ToList();
        return all.Count == 0 ? "" : all.Aggregate((list, next) => WordCatalog.Say($"writing.{between}", ("list", list), ("next", next)));
    }

    [GeneratedRegex(QuantityPrinter.CurrencyMark + "(?<minus>[-−]?)")]
    private static partial Regex RoomForSign();

    [GeneratedRegex(@"(?<=\d)[.,](?=\d)")]
    private static partial Regex MarkInNumber();
}
