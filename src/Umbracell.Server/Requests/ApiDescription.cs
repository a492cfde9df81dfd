using System.Reflection;

namespace Umbracell.Server.Requests;

/// <summary>The description of the API that the build writes.</summary>
internal static class ApiDescription
{
    /// <summary>Whether the build has started this program to write it; there is no database then.</summary>
    public static bool IsBeingWritten => Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";
}
