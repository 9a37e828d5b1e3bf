package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;

import java.util.EnumSet;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.safety.Fitness;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every reason why stations tell different plates, with a lot that has it and no other. */
public class ApartTest {

  /** A hake with fillets of 900 g: five plates of 180 g each. */
  private static TestLot hake() {
    return new TestLot("hake", State.GUTTED, 1, "4.000", "")
        .portion("180")
        .weigh("fillet-left", 1, 900)
        .decide(Purpose.PLATE, "fillet-left");
  }

  @DataProvider
  Object[][] reasons() {
    Inspection refused =
        new Inspection(
            Map.of(),
            0,
            OptionalDouble.empty(),
            Fitness.POT,
            Fitness.POT,
            "",
            "Ines Varga",
            TestLot.NOON);
    return new Object[][] {
      {hake().weigh("fillet-right", 1, 900).decide(Purpose.PLATE, "fillet-right"), 10, null},
      {hake().weigh("fillet-right", 1, 900), 5, Apart.UNDECIDED},
      {hake().weigh("fillet-right", 1, 900).decide(Purpose.HOLD, "fillet-right"), 5, Apart.HELD},
      {hake().weigh("fillet-right", 1, 900).decide(Purpose.POT, "fillet-right"), 5, null},
      {
        hake()
            .weigh("fillet-right", 1, 900)
            .rawDish("fillet-right", "Crudo")
            .decide(Purpose.PLATE, "fillet-left"),
        10,
        Apart.WITHHELD
      },
      {
        hake()
            .weigh("fillet-right", 1, 900)
            .decide(Purpose.PLATE, "fillet-right")
            .inspected(refused),
        10,
        Apart.NOT_SERVED
      },
      {
        hake()
            .weigh("fillet-right", 1, 900)
            .decide(Purpose.PLATE, "fillet-right")
            .landed(TestLot.TODAY.minusDays(25)),
        10,
        Apart.NOT_SERVED
      },
    };
  }

  @Test(dataProvider = "reasons")
  public void aReasonIsSaidWithItsPlates(TestLot lot, long tonight, Apart why) {
    LotPortions plates = lot.sheet().plates();
    assertEquals(plates.counted().count(), tonight);
    assertEquals(
        plates.apart(),
        why == null ? Map.of() : Map.of(why, why == Apart.NOT_SERVED ? 10L : 5L),
        "and no other");
  }

  @Test
  public void whatIsToComeIsByTheNorm() {
    LotPortions plates = hake().sheet().plates();
    assertEquals(plates.apart().keySet(), Set.of(Apart.TO_COME));
    TestLot whole = new TestLot("hake", State.GUTTED, 1, "4.000", "").portion("180");
    assertEquals(whole.sheet().plates().apart(), Map.of(), "it is all to come: nothing is apart");
  }

  /** What lies on the board is tonight's plates and those told apart: nothing else differs. */
  @Test
  public void whatIsNotTonightsHasOneOfTheseReasons() {
    Set<Apart> seen = EnumSet.noneOf(Apart.class);
    for (int seed = 0; seed < 300; seed++) {
      Random random = new Random(seed);
      TestLot lot =
          new TestLot("hake", State.GUTTED, 1 + random.nextInt(3), "12.000", "")
              .portion("" + (100 + random.nextInt(150)));
      for (String fillet : new String[] {"fillet-left", "fillet-right"}) {
        if (random.nextInt(4) > 0) {
          lot.weigh(fillet, 0, 700 + random.nextInt(1800));
        }
        Purpose[] purposes = {Purpose.PLATE, Purpose.PLATE, Purpose.HOLD, Purpose.SECOND_PLATE};
        int which = random.nextInt(purposes.length + 1);
        if (which < purposes.length) {
          lot.decide(purposes[which], fillet);
        }
      }
      LotSheet sheet = lot.sheet();
      LotPortions plates = sheet.plates();
      Map<Apart, Long> apart = plates.apart();
      boolean begun = OnBoard.of(sheet).stream().anyMatch(OnBoard::isWeighed);
      if (begun) {
        assertEquals(
            plates.count(OnBoard.of(sheet)).count() - plates.counted().count(),
            apart.getOrDefault(Apart.TO_COME, 0L) + apart.getOrDefault(Apart.UNDECIDED, 0L),
            "lot " + seed);
      }
      seen.addAll(apart.keySet());
    }
    assertEquals(seen, EnumSet.of(Apart.TO_COME, Apart.UNDECIDED, Apart.HELD));
  }
}
