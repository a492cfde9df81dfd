using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies.Conduction;
using Xunit;

namespace Umbracell.Core.Tests.Assemblies;

/// <summary>What was solved is remembered for whoever asks, and only so much of it.</summary>
public sealed class RememberedTests
{
    [Fact]
    public void It_always_answers_as_if_nothing_were_remembered_and_works_out_again_only_what_gave_way() =>
        Gen.Select(Gen.Int[1, 6], Gen.Int[0, 9].Array[0, 60])
            .Sample(
                (most, asked) =>
                {
                    var memory = new Remembered<int, string>(most);
                    var worked = 0;
                    var kept = new Queue<int>();
                    foreach (var key in asked)
                    {
                        var isKept = kept.Contains(key);
                        var before = worked;
                        memory
                            .Of(
                                key,
                                () =>
                                {
                                    worked++;
                                    return $"answer {key}";
                                }
                            )
                            .ShouldBe($"answer {key}");
                        (worked - before).ShouldBe(isKept ? 0 : 1);
                        if (!isKept)
                        {
                            kept.Enqueue(key);
                            if (kept.Count > most)
                            {
                                kept.Dequeue();
                            }
                        }
                    }
                }
            );

    [Fact]
    public void Many_may_ask_at_once()
    {
        var memory = new Remembered<int, int>(50);
        Parallel.For(0, 20_000, i => memory.Of(i * 7919 % 120, () => i * 7919 % 120 * 3).ShouldBe(i * 7919 % 120 * 3));
    }

    [Fact]
    public void What_was_solved_before_is_no_part_of_a_case()
    {
        new SolvedMembers().ShouldBe(new());
        new SolvedMembers().GetHashCode().ShouldBe(new SolvedMembers().GetHashCode());
    }
}
