package mosaicknife.app.booklet;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;

import java.time.LocalDate;
import java.util.List;
import mosaicknife.app.WithDatabase;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.safety.LengthRule.Basis;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.Test;

/** An entry is changed, taken out and stays to be read. */
public class HouseBookTest extends WithDatabase {

  @Autowired private HouseBook book;
  @Autowired private HouseRules rules;
  @Autowired private HouseSettings houses;

  private void keep(String minimum) {
    LocalDate until = houses.today().plusDays(3);
    people.as(
        "ines",
        () -> rules.keepLength("albacore", Basis.FORK, Length.parse(minimum), "the notice", until));
  }

  private List<Long> ofAlbacore() {
    return rules.lengths().stream()
        .filter(kept -> kept.rule().species().equals("albacore"))
        .map(HouseRules.Kept::id)
        .toList();
  }

  @Test
  public void anEntryIsChangedAndTakenOutAndStaysToBeRead() {
    keep("60 cm");
    long first = ofAlbacore().get(0);
    keep("65 cm");
    List<Long> now = ofAlbacore();
    assertEquals(now.size(), 1, "one fish and basis is one entry");
    people.as(
        "ines", () -> assertThrows(Refusal.class, () -> rules.drop(HouseRules.LENGTHS, first)));
    assertEquals(ofAlbacore(), now);
    people.as("ines", () -> rules.drop(HouseRules.LENGTHS, now.get(0)));
    assertEquals(ofAlbacore(), List.of());
    people.as(
        "ines",
        () -> assertThrows(Refusal.class, () -> rules.drop(HouseRules.LENGTHS, now.get(0))));
    assertEquals(
        book.row(HouseRules.LENGTHS, first).orElseThrow().said().minimum(), Length.parse("60 cm"));
    keep("70 cm");
    assertEquals(ofAlbacore().size(), 1, "what was taken out can be written again");
  }
}
