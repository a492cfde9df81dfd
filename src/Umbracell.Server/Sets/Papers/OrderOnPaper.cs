using System.Globalization;
using Umbracell.Server.Papers;
using Umbracell.Server.Sets.Stock;

namespace Umbracell.Server.Sets.Papers;

/// <summary>What the papers of an order say of it in the same way.</summary>
internal static class OrderOnPaper
{
    public static string When(PaperWords words, JobOrderAnswer order) =>
        order.WorkDate is { } day ? words.Say("order.for", ("day", day)) : words.Say("order.noDay");

    public static string Count(int count) => count.ToString(CultureInfo.InvariantCulture);
}
