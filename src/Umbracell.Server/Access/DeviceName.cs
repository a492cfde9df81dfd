namespace Umbracell.Server.Access;

/// <summary>What kind of device a browser says it runs on: enough for a person to know their own sessions apart.</summary>
internal static class DeviceName
{
    // What stands for more than one comes later: a tablet's browser names the phone's system too.
    private static readonly string[] Known = ["iPad", "iPhone", "Android", "Windows", "Macintosh", "CrOS", "Linux"];

    /// <param name="userAgent">As the browser sends it.</param>
    /// <returns>One word, or empty where it names no system that is known here.</returns>
    public static string Of(string userAgent) => Array.Find(Known, name => userAgent.Contains(name, StringComparison.Ordinal)) ?? "";
}
