using Umbracell.Core.Yield.Price;

namespace Umbracell.Store.Seeding;

/// <summary>What the demo's firm pays and how fast it works. All made up.</summary>
internal static class DemoRates
{
    public static Rates Of() =>
        new()
        {
            SetPrice = new Dictionary<string, double>
            {
                ["marl-cc-20"] = 2680,
                ["marl-cc-20f"] = 2790,
                ["fleece-oc-5"] = 2210,
                ["fleece-oc-8"] = 2360,
                ["slate-rf-30"] = 2950,
                ["marl-hk-2"] = 268,
            },
            MaterialPrice = new Dictionary<string, double>
            {
                ["batt-11"] = 6.2,
                ["batt-13"] = 7.1,
                ["batt-15"] = 9.8,
                ["batt-19"] = 9.4,
                ["batt-21"] = 11.9,
                ["batt-25"] = 12.6,
                ["batt-30"] = 14.8,
                ["batt-38"] = 18.3,
                ["foam-board"] = 0.42,
                ["foil-board"] = 0.51,
                ["vapour-coat"] = 5.4,
                ["weather-coat"] = 14.5,
            },
            CrewHour = 158,
            SetUpHours = 1.5,
            ClosedBoardFeetPerHour = 1100,
            OpenBoardFeetPerHour = 3400,
            BattM2PerHour = 16,
            BoardM2PerHour = 6,
            CoatM2PerHour = 45,
            ShaveM2PerHour = 38,
            TearOffPerM2 = 34,
            NewCoveringPerM2 = 76,
            MaskM2PerHour = 55,
            CrewDayHours = 8,
            RigDay = 240,
            TravelDay = 130,
            ConsumablesPerSet = 62,
            DisposalPerSet = 28,
            ScaffoldPerM2 = 9.5,
            OverheadPercent = 14,
            ProfitPercent = 22,
            TaxPercent = 0,
            HeatKilowattHour = 0.16,
            KitHour = 74,
            KitSetUpHours = 0.75,
            KitBoardFeetPerHour = 250,
            LeadDays = 6,
        };
}
