package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.Cavity;
import org.testng.annotations.Test;

/** How much filling goes into a fish that is kept whole. */
public class CavityTest {

  private static TestLot boned(State state) {
    return new TestLot("trout", state, 4, "1.600", "")
        .cutBy(Choices.USUAL.with("route", "boned-whole"));
  }

  @Test
  public void threeQuartersOfWhatCameOutOfOneFish() {
    TestLot lot = boned(State.UNGUTTED);
    for (int fish = 1; fish <= 4; fish++) {
      lot.weigh("guts", fish, 44).weigh("frame", fish, 52);
    }
    Cavity room = Cavity.of(lot.sheet()).orElseThrow();
    assertEquals(room.cameOut(), Mass.ofGrams(96));
    assertTrue(room.measured());
    assertEquals(room.most(), Mass.ofGrams(72), "three quarters of 96");
  }

  @Test
  public void aFishThatCameGuttedHasRoomByItsNorm() {
    TestLot lot = boned(State.GUTTED_AND_GILLED);
    for (int fish = 1; fish <= 4; fish++) {
      lot.weigh("frame", fish, 52);
    }
    Cavity room = Cavity.of(lot.sheet()).orElseThrow();
    assertFalse(room.measured(), "the guts were never weighed here");
    // a tenth or so of a fish of 400 g and its frame
    assertTrue(room.most().compareTo(Mass.ofGrams(52)) > 0, "" + room.most());
    assertTrue(room.most().compareTo(Mass.ofGrams(120)) < 0, "" + room.most());
  }

  @Test
  public void filletsAreNotFilled() {
    assertEquals(
        Cavity.of(new TestLot("trout", State.UNGUTTED, 4, "1.600", "").sheet()), Optional.empty());
  }
}
