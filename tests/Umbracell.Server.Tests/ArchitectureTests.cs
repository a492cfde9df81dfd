using System.Reflection.Metadata;
using System.Reflection.PortableExecutable;
using System.Text.RegularExpressions;
using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using ArchUnitNET.xUnitV3;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Server.Surfaces;
using Xunit;
using static ArchUnitNET.Fluent.ArchRuleDefinition;

namespace Umbracell.Server.Tests;

/// <summary>Dependencies point one way: Server to Store, Formats, Questions; these to Documents and Core; Documents to Core; Core to
/// nothing.</summary>
public sealed class ArchitectureTests
{
    private static readonly System.Reflection.Assembly Core = typeof(Umbracell.Core.Findings.Finding).Assembly;
    private static readonly System.Reflection.Assembly Documents = typeof(Umbracell.Documents.LayerDocument).Assembly;
    private static readonly System.Reflection.Assembly Questions = typeof(Umbracell.Questions.Section.SectionQuestion).Assembly;
    private static readonly System.Reflection.Assembly Store = typeof(Umbracell.Store.UmbracellDb).Assembly;
    private static readonly System.Reflection.Assembly Formats = typeof(Umbracell.Formats.DataFiles.ShippedData).Assembly;

    private static readonly Architecture Architecture = new ArchLoader()
        .LoadAssemblies(Core, Documents, Questions, Store, Formats, typeof(Program).Assembly)
        .Build();

    [Fact]
    public void The_core_needs_nothing_but_the_language_library() =>
        Core.GetReferencedAssemblies().Select(a => a.Name!).ShouldAllBe(name => name.StartsWith("System", StringComparison.Ordinal));

    [Fact]
    public void Documents_know_the_core_alone_and_questions_those_two_so_that_the_browser_can_ask_them()
    {
        Knows(Documents, "Umbracell.Core");
        Knows(Questions, "Umbracell.Core", "Umbracell.Documents");

        static void Knows(System.Reflection.Assembly one, params string[] others) =>
            one.GetReferencedAssemblies()
                .Select(a => a.Name!)
                .ShouldAllBe(name => name.StartsWith("System", StringComparison.Ordinal) || others.Contains(name));
    }

    [Fact]
    public void Store_and_formats_know_documents_and_the_core_and_not_each_other_nor_the_server()
    {
        Types()
            .That()
            .ResideInAssembly(Store)
            .Should()
            .NotDependOnAny(Types().That().ResideInAssembly(Formats, typeof(Program).Assembly))
            .Check(Architecture);
        Types()
            .That()
            .ResideInAssembly(Formats)
            .Should()
            .NotDependOnAny(Types().That().ResideInAssembly(Store, typeof(Program).Assembly))
            .Check(Architecture);
    }

    [Fact]
    public void No_record_is_made_by_the_place_of_more_than_five_members() =>
        new[] { Core, Documents, Questions, Store, Formats, typeof(Program).Assembly }
            .SelectMany(assembly => assembly.GetTypes())
            .Where(type => IsRecord(type) && type.Namespace!.StartsWith("Umbracell", StringComparison.Ordinal))
            .Where(type => type.GetConstructors(Any).Any(made => made.GetParameters().Length > 5))
            .Select(type => type.FullName)
            .ShouldBeEmpty();

    private const System.Reflection.BindingFlags Any =
        System.Reflection.BindingFlags.Instance | System.Reflection.BindingFlags.Public | System.Reflection.BindingFlags.NonPublic;

    private static bool IsRecord(System.Type type) => type.GetMethod("PrintMembers", Any) is not null;

    [Fact]
    public void Folders_of_the_server_know_each_other_one_way()
    {
        var known = Known();
        var left = known.SelectMany(k => new[] { k.By, k.Folder }).ToHashSet();
        left.ShouldContain("Surfaces");

        // Whoever knows none of those left is taken away; those in a circle stay.
        while (left.RemoveWhere(folder => !known.Any(k => k.By == folder && left.Contains(k.Folder))) > 0) { }
        left.ShouldBeEmpty();
    }

    [Fact]
    public void No_stage_is_known_by_another_nor_by_board_and_list()
    {
        var stages = typeof(Program)
            .Assembly.GetTypes()
            .Where(t => t.IsClass && t.IsAssignableTo(typeof(IStageCell)))
            .Select(t => FolderOf(t.Namespace))
            .ToList();
        stages.Count.ShouldBe(System.Enum.GetValues<Stage>().Length);

        // Setup puts the product together, and asks a stage how a demo's surface starts.
        Known().Where(k => k.By != "Setup" && stages.Contains(k.Folder)).ShouldBeEmpty();
    }

    /// <summary>Which folder of the server knows which.</summary>
    private static HashSet<(string By, string Folder)> Known() =>
        Architecture
            .Types.SelectMany(type =>
                type.Dependencies.Select(d => (FolderOf(type.Namespace?.FullName), FolderOf(d.Target.Namespace?.FullName)))
            )
            .Where(pair => pair.Item1.Length > 0 && pair.Item2.Length > 0 && pair.Item1 != pair.Item2)
            .ToHashSet();

    private static string FolderOf(string? name) => name?.Split('.') is ["Umbracell", "Server", var folder, ..] ? folder : "";

    [Fact]
    public void The_core_reads_no_clock_draws_no_chance_and_touches_no_files()
    {
        var used = MembersUsedBy(Core);
        used.ShouldContain("System.Math.Exp");

        // Iterators the compiler writes ask for the thread's number; nothing else of the surroundings is asked for.
        used.Remove("System.Environment.get_CurrentManagedThreadId");
        used.Where(member =>
                Regex.IsMatch(
                    member,
                    @"^System\.(IO\.|Net\.|Random|TimeProvider|Environment\.|Console|Diagnostics\.Stopwatch|DateTime(Offset)?\.get_(Utc)?Now|Guid\.NewGuid)"
                )
            )
            .ShouldBeEmpty();
    }

    [Fact]
    public void What_figures_hang_on_is_written_where_changes_are_counted()
    {
        // Straight statements pass the counting by. Photos alone, which are no figures, are deleted so.
        var used = MembersUsedBy(typeof(Program).Assembly);
        used.ShouldContain(member => member.EndsWith(".SaveChangesAsync", StringComparison.Ordinal));
        used.ShouldNotContain(member => member.EndsWith(".ExecuteUpdateAsync", StringComparison.Ordinal));
    }

    private static HashSet<string> MembersUsedBy(System.Reflection.Assembly assembly)
    {
        using var file = new PEReader(File.OpenRead(assembly.Location));
        var metadata = file.GetMetadataReader();
        return
        [
            .. metadata
                .MemberReferences.Select(metadata.GetMemberReference)
                .Where(m => m.Parent.Kind == HandleKind.TypeReference)
                .Select(m =>
                {
                    var type = metadata.GetTypeReference((TypeReferenceHandle)m.Parent);
                    return $"{metadata.GetString(type.Namespace)}.{metadata.GetString(type.Name)}.{metadata.GetString(m.Name)}";
                }),
        ];
    }
}
