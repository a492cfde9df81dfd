using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The face of foam moved by hand: a number, kept as it is.</summary>
public sealed class MovedFaceTests(Product product)
{
    [Theory]
    [InlineData(88.9)]
    [InlineData(1 + 1.0 / 3)]
    public async Task It_is_kept_to_the_last_digit_and_taken_back(double mm)
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var before = await ThicknessAsync(records);
        var (status, surface) = await MoveAsync(records, Guid.CreateVersion7(), await VersionAsync(records), mm, out var id);
        status.ShouldBe(200, surface.ToJsonString());
        (await ThicknessAsync(records)).ShouldBe(mm, 1e-12 * mm);
        await records.Client.SendJsonAsync(HttpMethod.Post, $"/api/commands/{id}/undo", new { id = Guid.CreateVersion7() });
        (await ThicknessAsync(records)).ShouldBe(before);
    }

    [Fact]
    public async Task It_is_taken_once_however_often_it_is_sent_and_never_over_another_persons_edit()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var (first, version) = (Guid.CreateVersion7(), await VersionAsync(records));
        (await MoveAsync(records, first, version, 70, out _)).Status.ShouldBe(200);
        var after = await VersionAsync(records);
        (await MoveAsync(records, first, version, 70, out _)).Status.ShouldBe(200);
        (await VersionAsync(records)).ShouldBe(after);

        var (status, met) = await MoveAsync(records, Guid.CreateVersion7(), version, 90, out _);
        status.ShouldBe(409);
        met["theirs"]!["thickness"]!.Number("amount").ShouldBe(0.07, 1e-12);
        (await ThicknessAsync(records)).ShouldBe(70, 1e-9);
    }

    [Theory]
    [InlineData(0.5)]
    [InlineData(-3)]
    [InlineData(700)]
    public async Task What_nobody_sprays_is_refused(double mm)
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var before = await ThicknessAsync(records);
        (await MoveAsync(records, Guid.CreateVersion7(), await VersionAsync(records), mm, out _)).Status.ShouldBe(400);
        (await ThicknessAsync(records)).ShouldBe(before);
    }

    private static Task<(int Status, JsonNode Body)> MoveAsync(EditedRecords records, Guid command, uint version, double mm, out Guid id)
    {
        id = command;
        return records.Client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{records.Wall}/thickness",
            new
            {
                id,
                version,
                thicknessMm = mm,
            }
        );
    }

    private static async Task<double> ThicknessAsync(EditedRecords records) =>
        (await records.Client.GetJsonAsync($"/api/surfaces/{records.Wall}/section"))["question"]!.Number("thicknessMm");

    private static async Task<uint> VersionAsync(EditedRecords records) =>
        (await records.Client.GetJsonAsync($"/api/surfaces/{records.Wall}/section"))["version"]!.GetValue<uint>();
}
