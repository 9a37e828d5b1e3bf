package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.CatchRule.Catch;
import mosaicknife.core.lot.CatchRule.Kind;
import mosaicknife.core.lot.CatchRule.Warning;
import mosaicknife.core.lot.Saying.Said;
import mosaicknife.core.lot.Saying.Standing;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Rules about catches, and what may be said of one. */
public class CatchRuleTest {

  private static final LocalDate READ = LocalDate.of(2026, 1, 10);

  private static CatchRule rule(Kind kind, String area) {
    return new CatchRule(
        "sea-bass",
        kind,
        area,
        Optional.of(CatchMethod.NET),
        Optional.of(MonthDay.of(12, 15)),
        Optional.of(MonthDay.of(2, 1)),
        Optional.of(3),
        "notice of the harbour office",
        READ,
        READ.plusYears(1));
  }

  private static Catch caught(String landed, String area, int thatDay, boolean tagged) {
    return new Catch(LocalDate.parse(landed), area, Optional.of(CatchMethod.NET), thatDay, tagged);
  }

  /** A rule, a catch, and what is said of it. */
  @DataProvider
  public Object[][] catches() {
    return new Object[][] {
      {rule(Kind.CLOSED_SEASON, ""), caught("2026-12-14", "", 1, false), null},
      {rule(Kind.CLOSED_SEASON, ""), caught("2026-12-15", "", 1, false), Warning.CLOSED},
      {rule(Kind.CLOSED_SEASON, ""), caught("2026-01-20", "", 1, false), Warning.CLOSED},
      {rule(Kind.CLOSED_SEASON, ""), caught("2026-02-01", "", 1, false), Warning.CLOSED},
      {rule(Kind.CLOSED_SEASON, ""), caught("2026-02-02", "", 1, false), null},
      {rule(Kind.BAG_LIMIT, ""), caught("2026-06-01", "", 3, false), Warning.COUNT},
      {rule(Kind.BAG_LIMIT, ""), caught("2026-06-01", "", 4, false), Warning.TOO_MANY},
      {
        rule(Kind.METHOD, "Grey bank"),
        caught("2026-06-01", "off the grey BANK, north", 1, false),
        Warning.FORBIDDEN_METHOD
      },
      {rule(Kind.METHOD, "Grey bank"), caught("2026-06-01", "Holm sound", 1, false), null},
      {rule(Kind.METHOD, "Grey bank"), caught("2026-06-01", "", 1, false), null},
      {rule(Kind.TAG, ""), caught("2026-06-01", "", 1, false), Warning.NO_TAG},
      {rule(Kind.TAG, ""), caught("2026-06-01", "", 1, true), null},
    };
  }

  @Test(dataProvider = "catches")
  public void aCatchIsLookedAtByTheHousesRules(CatchRule rule, Catch seen, Warning said) {
    assertEquals(
        rule.warning(seen, LocalDate.of(2026, 6, 2)).map(finding -> (Object) finding.what()),
        Optional.ofNullable((Object) said));
  }

  @Test
  public void anOldRuleSaysThatItIsOldAndOnlyWhereItWouldSpeak() {
    LocalDate later = READ.plusYears(2);
    assertEquals(
        rule(Kind.TAG, "").warning(caught("2028-01-20", "", 1, false), later).orElseThrow().what(),
        Warning.EXPIRED);
    assertEquals(
        rule(Kind.TAG, "").warning(caught("2028-01-20", "", 1, true), later), Optional.empty());
  }

  @Test
  public void whatIsMissingInARuleIsAskedFor() {
    CatchRule empty =
        new CatchRule(
            "cod",
            Kind.CLOSED_SEASON,
            "",
            Optional.empty(),
            Optional.of(MonthDay.of(1, 1)),
            Optional.empty(),
            Optional.empty(),
            "our adviser",
            READ,
            READ);
    assertEquals(empty.problem().orElseThrow().what(), CatchRule.Problem.NO_SEASON);
    assertEquals(rule(Kind.CLOSED_SEASON, "").problem(), Optional.empty());
  }

  private static Receipt receipt(Origin origin, CatchMethod method, boolean byCatch) {
    Receipt plain = new TestLot("sea-bass", State.GUTTED, 1, "2.0", "").receipt();
    return new Receipt(
        plain.species(),
        plain.state(),
        plain.fish(),
        plain.invoiced(),
        plain.own(),
        plain.price(),
        plain.supplier(),
        origin,
        plain.landedOn(),
        "",
        new Arrival(
            OptionalLong.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.ofNullable(method),
            "",
            List.of(),
            false,
            byCatch));
  }

  @Test
  public void whatIsSaidIsOpenUntilAPaperShowsIt() {
    Receipt line = receipt(Origin.WILD, CatchMethod.LINE, false);
    assertEquals(
        Saying.of(line, List.of()),
        List.of(new Said(Saying.WILD, Standing.OPEN), new Said(Saying.LINE, Standing.OPEN)));
    assertEquals(
        Saying.of(line, List.of(Saying.LINE)),
        List.of(new Said(Saying.WILD, Standing.OPEN), new Said(Saying.LINE, Standing.PROVEN)));
  }

  @Test
  public void aPaperThatShowsTheOppositeContradictsAndOneThatAgreesDoesNotHelp() {
    Receipt line = receipt(Origin.WILD, CatchMethod.LINE, true);
    assertEquals(
        Saying.of(line, List.of(Saying.LINE, Saying.TRAWL, Saying.WILD)),
        List.of(
            new Said(Saying.WILD, Standing.PROVEN),
            new Said(Saying.LINE, Standing.CONTRADICTED),
            new Said(Saying.BY_CATCH, Standing.OPEN)));
    assertEquals(
        Saying.of(line, List.of(Saying.FARMED)).stream().map(Said::standing).distinct().toList(),
        List.of(Standing.CONTRADICTED));
    // harvested from a farm and wild: the receipt contradicts itself
    assertEquals(
        Saying.of(receipt(Origin.WILD, CatchMethod.FARM, false), List.of()),
        List.of(
            new Said(Saying.WILD, Standing.CONTRADICTED),
            new Said(Saying.FARMED, Standing.CONTRADICTED)));
  }
}
