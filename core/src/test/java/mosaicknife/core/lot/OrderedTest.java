package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.lot.Ordered.Mismatch;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import org.testng.annotations.Test;

public class OrderedTest {

  private static final SizeGrade GRADE = SizeGrade.parseKilograms("1.5-2.5");

  private static Ordered hake(long line, int fish, String price) {
    return new Ordered(
        line,
        Catalogue.shipped().getSpecies("hake"),
        fish == 0 ? Form.FILLET : Form.WHOLE,
        State.GUTTED,
        GRADE,
        fish,
        Mass.ofKilograms(fish == 0 ? "5" : String.valueOf(2 * fish)),
        UnitPrice.ofPerKilogram(price, TestLot.EUR));
  }

  private static Lot came(long line, String species, State state, int fish, String kilograms) {
    return new TestLot(species, state, fish, kilograms, "").forLine(line).sheet().lot();
  }

  @Test
  public void whatComesAsOrderedIsSilent() {
    Lot lot = came(3, "hake", State.GUTTED, 4, "8.000");
    assertEquals(hake(3, 4, "10.00").differences(lot, List.of(lot)), List.of());
    assertEquals(
        hake(3, 4, "10.01").differences(lot, List.of(lot)), List.of(), "cheaper is no complaint");
  }

  @Test
  public void everyDifferenceIsNamedWithItsFigures() {
    Lot lot = came(3, "pollack", State.UNGUTTED, 3, "9.000");
    // 9 kg at 10.00 instead of 9.50: 4.50 too much; a fish of 3 kg is above 1.5-2.5
    assertEquals(
        hake(3, 4, "9.50").differences(lot, List.of(lot)),
        List.of(
            Finding.of(Mismatch.OTHER_FISH, "Pollack", "Hake"),
            Finding.of(Mismatch.FISH_SHORT, 1, 3, 4),
            Finding.of(Mismatch.OTHER_STATE, State.UNGUTTED, State.GUTTED),
            Finding.of(Mismatch.OTHER_SIZE, Mass.ofGrams(3000), GRADE),
            Finding.of(
                Mismatch.PRICE_ABOVE,
                UnitPrice.ofPerKilogram("10.00", TestLot.EUR),
                UnitPrice.ofPerKilogram("9.50", TestLot.EUR),
                ExactMoney.of("4.50", TestLot.EUR))));
    Lot many = came(3, "hake", State.GUTTED, 5, "10.000");
    assertEquals(
        hake(3, 4, "10.00").differences(many, List.of(many)),
        List.of(Finding.of(Mismatch.FISH_OVER, 1, 5, 4)));
  }

  @Test
  public void anOrderIsCompleteWhenEveryLineCame() {
    List<Ordered> lines = List.of(hake(3, 4, "10.00"), hake(4, 2, "10.00"));
    Lot first = came(3, "hake", State.GUTTED, 4, "8.000");
    Lot half = came(4, "hake", State.GUTTED, 1, "2.000");
    Lot other = came(9, "hake", State.GUTTED, 6, "12.000");
    assertFalse(Ordered.isComplete(lines, List.of()));
    assertFalse(Ordered.isComplete(lines, List.of(first, half, other)), "one fish is to come");
    assertTrue(Ordered.isComplete(lines, List.of(first, half, half)), "in two boxes");
    assertFalse(Ordered.isComplete(List.of(), List.of(first)));
  }

  /** 5.000 kg ordered; 95 % of it is 4.750 kg. */
  @Test
  public void filletComesByWeight() {
    Ordered fillet = hake(3, 0, "10.00");
    Lot much = came(3, "hake", State.FILLETS, 1, "4.750");
    Lot less = came(3, "hake", State.FILLETS, 1, "4.700");
    assertEquals(fillet.differences(much, List.of(much)), List.of());
    assertTrue(Ordered.isComplete(List.of(fillet), List.of(much)));
    assertEquals(
        fillet.differences(less, List.of(less)),
        List.of(
            Finding.of(
                Mismatch.MASS_SHORT, Mass.ofGrams(300), Mass.ofGrams(4700), Mass.ofGrams(5000))));
    assertFalse(Ordered.isComplete(List.of(fillet), List.of(less)));
    assertTrue(Ordered.isComplete(List.of(fillet), List.of(less, less)), "in two boxes");
    assertEquals(
        fillet.differences(
            came(3, "hake", State.GUTTED, 1, "5.000"),
            List.of(came(3, "hake", State.GUTTED, 1, "5.000"))),
        List.of(Finding.of(Mismatch.OTHER_STATE, State.GUTTED, State.FILLETS)));
  }
}
