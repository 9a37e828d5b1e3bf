package mosaicknife.core.buying;

import static org.testng.Assert.assertEquals;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.finding.Finding;
import org.testng.annotations.Test;

public class DeliveryDaysTest {

  /** A Wednesday. */
  private static final LocalDate WEDNESDAY = LocalDate.of(2026, 11, 25);

  private static final DeliveryDays TWICE_A_WEEK =
      new DeliveryDays(Set.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY));

  @Test
  public void theFirstDeliveryIsOnTheDayItselfOrTheNextOneOfTheWeek() {
    assertEquals(TWICE_A_WEEK.firstFrom(WEDNESDAY), Optional.of(LocalDate.of(2026, 11, 27)));
    assertEquals(
        TWICE_A_WEEK.firstFrom(WEDNESDAY.plusDays(2)), Optional.of(LocalDate.of(2026, 11, 27)));
    assertEquals(
        TWICE_A_WEEK.firstFrom(WEDNESDAY.plusDays(3)), Optional.of(LocalDate.of(2026, 12, 1)));
    assertEquals(
        new DeliveryDays(Set.of(DayOfWeek.TUESDAY)).firstFrom(WEDNESDAY),
        Optional.of(LocalDate.of(2026, 12, 1)));
  }

  @Test
  public void anOrderForADayWithoutDeliveryIsToldTheNextOne() {
    assertEquals(
        TWICE_A_WEEK.check("Marram Quay Fish", WEDNESDAY),
        Optional.of(
            Finding.of(
                DeliveryDays.Problem.NO_DELIVERY,
                "Marram Quay Fish",
                WEDNESDAY,
                LocalDate.of(2026, 11, 27))));
    assertEquals(TWICE_A_WEEK.check("Marram Quay Fish", WEDNESDAY.plusDays(2)), Optional.empty());
  }

  @Test
  public void nothingIsSaidWhileNobodyKnowsTheDays() {
    assertEquals(DeliveryDays.UNKNOWN.check("Holm Sound Boats", WEDNESDAY), Optional.empty());
    assertEquals(DeliveryDays.UNKNOWN.firstFrom(WEDNESDAY), Optional.empty());
    assertEquals(DeliveryDays.UNKNOWN.proposed(WEDNESDAY), WEDNESDAY);
    assertEquals(TWICE_A_WEEK.proposed(WEDNESDAY), LocalDate.of(2026, 11, 27));
  }
}
