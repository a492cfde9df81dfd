using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using ArchUnitNET.xUnitV3;
using Shouldly;
using Xunit;
using static ArchUnitNET.Fluent.ArchRuleDefinition;

namespace Umbracell.Server.Tests;

/// <summary>Dependencies point one way: Server to Store, Formats, Core; Formats and Store to Core; Core to nothing.</summary>
public sealed class ArchitectureTests
{
    private static readonly System.Reflection.Assembly Core = typeof(Umbracell.Core.Findings.Finding).Assembly;
    private static readonly System.Reflection.Assembly Store = typeof(Umbracell.Store.UmbracellDb).Assembly;
    private static readonly System.Reflection.Assembly Formats = typeof(Umbracell.Formats.DataFiles.ShippedData).Assembly;

    private static readonly Architecture Architecture = new ArchLoader().LoadAssemblies(Core, Store, Formats, typeof(Program).Assembly).Build();

    [Fact]
    public void The_core_needs_nothing_but_the_language_library() =>
        Core.GetReferencedAssemblies().Select(a => a.Name!).ShouldAllBe(name => name.StartsWith("System", StringComparison.Ordinal));

    [Fact]
    public void Store_and_formats_know_the_core_and_not_each_other_nor_the_server()
    {
        Types().That().ResideInAssembly(Store).Should().NotDependOnAny(Types().That().ResideInAssembly(Formats, typeof(Program).Assembly)).Check(Architecture);
        Types().That().ResideInAssembly(Formats).Should().NotDependOnAny(Types().That().ResideInAssembly(Store, typeof(Program).Assembly)).Check(Architecture);
    }

    [Fact]
    public void The_core_reads_no_clock_and_touches_no_files() =>
        Types().That().ResideInAssembly(Core).Should().NotDependOnAny(Types().That().HaveFullNameMatching(@"^System\.(IO\.(File|Stream|Directory)|TimeProvider|Diagnostics\.Stopwatch|Net\.)")).Check(Architecture);
}
