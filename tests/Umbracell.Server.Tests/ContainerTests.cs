using System.Text.RegularExpressions;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The container files are kept working on paper: what they name is there.</summary>
public sealed partial class ContainerTests
{
    private static readonly string Containerfile = Sources.Read("container/Containerfile");
    private static readonly string Compose = Sources.Read("container/compose.yaml");

    [Fact]
    public void Every_path_that_is_copied_or_built_exists()
    {
        var copied = Copy()
            .Matches(Containerfile)
            .SelectMany(m => m.Groups["from"].Value.Split(' ', StringSplitOptions.RemoveEmptyEntries));
        var built = Publish().Matches(Containerfile).Select(m => m.Groups["project"].Value);
        var mounted = Mount().Matches(Compose).Select(m => "container/" + m.Groups["file"].Value);
        var named = DockerFile().Matches(Compose).Select(m => m.Groups["file"].Value);
        string[] paths = [.. copied, .. built, .. mounted, .. named];
        paths.Length.ShouldBeGreaterThan(7);
        foreach (var path in paths)
        {
            Path.Exists(Path.Combine(Sources.Root, path)).ShouldBeTrue(path);
        }
    }

    [Fact]
    public void Every_setting_that_is_passed_is_one_the_product_reads()
    {
        var code = string.Join(
            '\n',
            Directory.EnumerateFiles(Path.Combine(Sources.Root, "src"), "*.cs", SearchOption.AllDirectories).Select(File.ReadAllText)
        );
        var settings = Setting().Matches(Compose).Select(m => m.Groups["name"].Value).Distinct().ToList();
        settings.Count.ShouldBeGreaterThan(4);
        foreach (var name in settings)
        {
            var read = name.StartsWith("ConnectionStrings__", StringComparison.Ordinal)
                ? $"GetConnectionString(\"{name.Split("__")[1]}\")"
                : $"\"{name.Replace("__", ":", StringComparison.Ordinal)}\"";
            code.ShouldContain(read, Case.Sensitive, name);
        }
    }

    [Fact]
    public void Roles_are_those_of_the_private_cluster_and_their_passwords_are_passed()
    {
        var (roles, cluster) = (Sources.Read("container/roles.sh"), Sources.Read("scripts/postgres.sh"));
        foreach (Match role in Role().Matches(roles))
        {
            cluster.ShouldContain(role.Value);
            Compose.ShouldContain(role.Groups["name"].Value);
        }

        foreach (Match variable in Variable().Matches(roles))
        {
            Compose.ShouldContain(variable.Groups["name"].Value + ":");
        }
    }

    [GeneratedRegex(@"^COPY (?!--from)(?<from>.+) \S+$", RegexOptions.Multiline)]
    private static partial Regex Copy();

    [GeneratedRegex(@"dotnet publish (?<project>\S+)")]
    private static partial Regex Publish();

    [GeneratedRegex(@"- \./(?<file>[^:]+):")]
    private static partial Regex Mount();

    [GeneratedRegex(@"dockerfile: (?<file>\S+)")]
    private static partial Regex DockerFile();

    [GeneratedRegex(@"^\s+(?<name>[A-Za-z]+__[A-Za-z]+):", RegexOptions.Multiline)]
    private static partial Regex Setting();

    [GeneratedRegex(@"create role (?<name>\w+) login")]
    private static partial Regex Role();

    [GeneratedRegex(@"\$(?<name>[A-Z_]+)")]
    private static partial Regex Variable();
}
