package mosaicknife.core.lot;

import static mosaicknife.core.lot.TestLot.kilograms;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** Some fish of a lot become a lot of their own. */
public class DivisionTest {

  private static Lot gurnards() {
    return new TestLot("gurnard", State.UNGUTTED, 4, "3.100", "3.080")
        .each("0.520", "0.560", "0.600", "1.400")
        .sheet()
        .lot();
  }

  @Test
  public void theBigOneTakesItsShareOfScaleAndInvoice() {
    Division division = Division.of(gurnards(), List.of(4));
    assertEquals(division.taken().fish(), 1);
    assertEquals(division.taken().own(), Optional.of(Mass.ofGrams(1400)));
    // 3.100 kg × 1.400 / 3.080
    assertEquals(division.taken().invoiced(), Mass.ofMilligrams(1_409_091));
    assertEquals(division.left().fish(), 3);
    assertEquals(division.left().own(), Optional.of(Mass.ofGrams(1680)));
    assertEquals(division.left().invoiced(), Mass.ofMilligrams(1_690_909));
    assertEquals(Division.staying(4, List.of(4)), List.of(1, 2, 3));
  }

  @Test
  public void fishThatAddUpToLessThanTheLotShareTheDifference() {
    Lot lot =
        new TestLot("gurnard", State.UNGUTTED, 3, "3.000", "")
            .each("0.980", "0.980", "0.980")
            .sheet()
            .lot();
    Division division = Division.of(lot, List.of(1, 3));
    assertEquals(division.taken().purchased(), kilograms("2.000"));
    assertEquals(division.left().purchased(), kilograms("1.000"));
  }

  @Test
  public void fishWeighedTogetherLeaveWithWhatTheyWeigh() {
    Lot lot = new TestLot("mackerel", State.UNGUTTED, 20, "6.000", "6.000").sheet().lot();
    Division division = Division.of(lot, 5, kilograms("2.100"));
    assertEquals(division.taken().own(), Optional.of(kilograms("2.100")));
    assertEquals(division.left().own(), Optional.of(kilograms("3.900")));
    assertEquals(division.left().fish(), 15);
  }

  @Test
  public void putBackTheDeliveryIsWhatItWas() {
    Lot lot = gurnards();
    Division division = Division.of(lot, List.of(2, 4));
    assertEquals(Division.rejoined(division.left(), division.taken()), lot.receipt());
  }

  @Test
  public void whatCannotBeDividedSaysWhy() {
    Lot one = new TestLot("turbot", State.GUTTED, 1, "2.000", "").sheet().lot();
    assertEquals(what(Division.problem(one, false, false)), LotProblem.DIVIDED_ONE);
    assertEquals(what(Division.problem(gurnards(), true, false)), LotProblem.DIVIDED_BEGUN);
    assertEquals(what(Division.problem(gurnards(), false, true)), LotProblem.DIVIDED_CLAIMED);
    assertTrue(Division.problem(gurnards(), false, false).isEmpty());
    assertEquals(what(Division.problem(gurnards(), 0, Optional.empty())), LotProblem.DIVIDED_COUNT);
    assertEquals(what(Division.problem(gurnards(), 4, Optional.empty())), LotProblem.DIVIDED_COUNT);
    assertEquals(
        what(Division.problem(gurnards(), 1, Optional.of(kilograms("3.080")))),
        LotProblem.DIVIDED_MASS);
    assertEquals(
        what(Division.problem(gurnards(), 1, Optional.of(Mass.ZERO))), LotProblem.DIVIDED_MASS);
    assertTrue(Division.problem(gurnards(), 3, Optional.empty()).isEmpty());
  }

  private static Object what(Optional<Finding> finding) {
    return finding.orElseThrow().what();
  }
}
