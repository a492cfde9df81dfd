namespace Umbracell.Server.Tests;

/// <summary>Jobs that can be priced.</summary>
internal static class PricedJobs
{
    /// <summary>A stud wall of one foam, closed cell if none is named, at the lake, its temperature left to the season of a day.</summary>
    public static async Task<string> WallsAsync(
        HttpClient client,
        string name,
        string day,
        string size = "120' x 10'",
        string sheet = "marl-cc-20"
    )
    {
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", name), ("climateZone", "6A"), ("place", "brindle-quay"), ("crew", "Heron"), ("workDate", day))
        );
        await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", ("name", "Walls"), ("kind", "studWall"), ("size", size), ("sheet", sheet), ("thickness", "3 in"))
        );
        return job.Text("id");
    }

    /// <summary>The first surface of a job.</summary>
    public static async Task<string> SurfaceAsync(HttpClient client, string job) =>
        (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray()[0]!.Text("id");
}
