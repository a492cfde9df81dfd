using System.Text.RegularExpressions;
using Shouldly;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Xunit;

namespace Umbracell.Core.Tests.Findings;

/// <summary>Rules are declared once, and nothing else decides by their names.</summary>
public sealed partial class RuleBookTests
{
    // Declared in one place and nowhere else: what a developer does who adds a rule.
    private static readonly Rule Added = new Rule("E99", Stage.Choose, Basis.Practice).Ends("tooLoud", "measured limit", "who:crew");

    [Fact]
    public void A_rule_that_is_declared_is_in_the_book_with_every_way_it_can_end()
    {
        var found = RuleBook.In(typeof(RuleBookTests).Assembly).ShouldHaveSingleItem();
        found.ShouldBe(Added);
        var only = found.Cases.ShouldHaveSingleItem();
        only.ToString().ShouldBe("E99.tooLoud");
        only.Figures.ShouldBe(["measured", "limit"]);
        only.Words["who"].ShouldBe("crew");
        new Finding(Added, "tooLoud", Verdict.Hold, Citations.Geometry).Basis.ShouldBe(Basis.Practice);
    }

    [Fact]
    public void A_finding_cannot_end_as_its_rule_is_not_declared_to() =>
        Should.Throw<ArgumentException>(() => new Finding(Added, "tooQuiet", Verdict.Hold, Citations.Geometry));

    [Fact]
    public void No_two_rules_share_an_id() => RuleBook.All.Select(rule => rule.Id).ShouldBeUnique();

    [Fact]
    public void A_limit_of_the_sheet_and_what_cannot_be_built_yield_to_no_reason()
    {
        RuleBook.All.SelectMany(rule => rule.Cases).Where(one => one.Basis == Basis.ProductSheet).ShouldAllBe(one => !one.YieldsToReason);
        ChoiceRules.Depth.Cases.ShouldAllBe(one => !one.YieldsToReason);
        ChoiceRules.BareMetal["airOpen"].YieldsToReason.ShouldBeTrue();
    }

    [Fact]
    public void Rules_of_the_book_go_by_their_number_and_our_own_by_none()
    {
        GateRules.DewDistance.IsNumbered.ShouldBeTrue();
        GateRules.ReadingsAge.IsNumbered.ShouldBeFalse();
    }

    [Fact]
    public void Nothing_decides_by_the_number_of_a_rule_written_out()
    {
        var root = Root();
        var written = Directory
            .EnumerateFiles(Path.Combine(root, "src"), "*.cs", SearchOption.AllDirectories)
            .Concat(Directory.EnumerateFiles(Path.Combine(root, "web/src"), "*.*", SearchOption.AllDirectories))
            .Where(file => Path.GetExtension(file) is ".cs" or ".ts" or ".vue" && !Declares(file))
            .SelectMany(file => File.ReadLines(file).Where(line => Number().IsMatch(line)).Select(line => $"{file}: {line.Trim()}"));
        written.ShouldBeEmpty();

        static bool Declares(string file) =>
            file.Contains("/obj/", StringComparison.Ordinal)
            || file.Contains("/bin/", StringComparison.Ordinal)
            || file.EndsWith("Rules.cs", StringComparison.Ordinal)
            || file.EndsWith(".test.ts", StringComparison.Ordinal)
            || file.EndsWith("schema.d.ts", StringComparison.Ordinal);
    }

    private static string Root()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "Umbracell.slnx")))
        {
            folder = folder.Parent;
        }

        return folder.FullName;
    }

    [GeneratedRegex("""["'][EGC]\d{1,2}["']|\.rule (===|!==) '""")]
    private static partial Regex Number();
}
