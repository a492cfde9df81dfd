using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Tests of servers that work off what is due, one after the other with those that count what a server makes: a server that works
/// off makes it for every firm.</summary>
[CollectionDefinition(Name)]
public sealed class WorkingOff
{
    public const string Name = "Working off";
}
