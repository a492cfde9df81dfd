using Umbracell.Core.Assemblies;

namespace Umbracell.Store.Seeding;

/// <summary>What the demo's surveys found: complaints, joints, buffer spaces, fan tests, thermal pictures, logs. All made up.</summary>
internal static class DemoSurveys
{
    public static void FerryHouse(DemoSurvey survey)
    {
        survey.Complaint(ComplaintKind.Damp, "slip hall", "the hall drips on cold mornings", "Slip hall roof", "Slip hall walls");
        survey.Complaint(
            ComplaintKind.NeverWarms,
            "reading room",
            "the reading room never warms, whatever the boiler does",
            "Teaching wing walls",
            "Teaching wing ceiling",
            "Band joists of the wing"
        );
        survey.Joint(
            JointKind.DeckToWall,
            "Slip hall roof",
            "Slip hall walls",
            how: "foam carried over the eaves strut, closure strips bedded",
            by: "crew Heron",
            ready: true,
            seen: true
        );
        survey.Joint(
            JointKind.DoorToWall,
            "Slip hall door",
            "Slip hall walls",
            how: "brush seal on an angle, foam to the frame",
            by: "door fitter",
            ready: true
        );
        survey.Joint(JointKind.DeckToWall, "Teaching wing ceiling", "Teaching wing walls");
        survey.Joint(
            JointKind.BandToWall,
            "Band joists of the wing",
            "Basement walls",
            how: "foam runs down over the sill onto the brick",
            by: "crew Heron",
            ready: true
        );
        survey.Joint(
            JointKind.StopAtSoffit,
            "Bell tower deck",
            null,
            "louvre sill",
            how: "blocking cut to the hip, sealed at its edges",
            by: "carpenter"
        );
        survey.FanTest(20.5, 3, 2900, -1.8, -2.2, (15, 5180), (22, 6600), (30, 8050), (38, 9320), (46, 10480), (54, 11640), (61, 12530));
        survey.Thermal(
            "Reading room, north corner",
            "Teaching wing walls",
            20.5,
            3,
            "fan off, boiler on for four hours, no sun, light wind"
        );
        survey.Log("Slip hall, under the ridge", "Slip hall roof", 3.5, 4.2, 82);
    }

    public static void OrchidHouse(DemoSurvey survey)
    {
        survey.Buffer("Space under the piers", BufferKind.Crawl, 62, 12, 12, 210, 0);
        survey.Buffer("Seed attic", BufferKind.Attic, 95, 5, 0.4, 24, -650);
        survey.Complaint(
            ComplaintKind.CoolingNeverRests,
            "propagation room",
            "the cooling plant runs day and night and the floor sheet sweats",
            "Potting house floor",
            "Propagation room walls",
            "Seed attic deck"
        );
        survey.Complaint(
            ComplaintKind.NeverCools,
            "office",
            "the office is never below 82 in the afternoon",
            "Seed attic deck",
            "Seed attic floor",
            "Office walls"
        );
        survey.Joint(
            JointKind.DeckToWall,
            "Seed attic deck",
            "Propagation room walls",
            how: "foam from deck over the plate onto the wall",
            by: "crew Plover",
            ready: true
        );
        survey.Joint(
            JointKind.FloorToWall,
            "Potting house floor",
            "Propagation room walls",
            how: "blocking between joists, foamed in",
            by: "carpenter",
            ready: true,
            seen: true
        );
        survey.FanTest(24, 31, 640, 0.6, 0.9, (12, 1420), (20, 1985), (29, 2530), (38, 3015), (47, 3460), (56, 3880));
        survey.Log("Under the potting house", "Potting house floor", 28.5, 3.1, 78);
    }

    public static void MillCottages(DemoSurvey survey)
    {
        survey.Complaint(
            ComplaintKind.Draught,
            "upper rooms",
            "curtains move when the wind is in the valley",
            "Clay-tile roof",
            "Rubble walls"
        );
        survey.Complaint(ComplaintKind.Damp, "gable room", "mould behind the wardrobe", "Rubble walls");
        survey.Joint(
            JointKind.DeckToWall,
            "Clay-tile roof",
            "Rubble walls",
            how: "lime-bedded wall plate, foam lapped down 150 mm",
            by: "mason",
            ready: true
        );
        survey.FanTest(19, 7, 410, -0.9, -1.1, (50, 3260));
        survey.Thermal("Gable room, behind the wardrobe", "Rubble walls", 18.5, 5.5, "fan off, stove out since morning, overcast, still");
    }

    public static void SeedStore(DemoSurvey survey)
    {
        survey.Complaint(
            ComplaintKind.CoolingNeverRests,
            "cold store",
            "the plant never rests from May to September",
            "Cold store roof",
            "Cold store walls"
        );
        survey.Complaint(
            ComplaintKind.Bills,
            "whole store",
            "power doubled since the last extension",
            "Cold store roof",
            "Cold store walls",
            "Store door"
        );
        survey.Joint(
            JointKind.DeckToWall,
            "Cold store roof",
            "Cold store walls",
            how: "foam over the eaves angle, both coats lapped",
            by: "crew Heron",
            ready: true
        );
        survey.Joint(JointKind.DoorToWall, "Store door", "Cold store walls", how: "double lip seal", by: "door fitter", ready: true);
        survey.FanTest(8, 14, 1720, 0.4, 0.2, (14, 1150), (22, 1560), (31, 1965), (40, 2330), (49, 2665), (58, 2985));
        survey.Log("Cold store, under the roof skin", "Cold store roof", 6.0, 5.5, 30);
    }
}
