package mosaicknife.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.UUID;
import java.util.regex.Pattern;
import mosaicknife.core.anatomy.State;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** A field that a person may not see is neither sent to them, taken from them, nor cleared. */
public class FieldsAndRolesTest extends WithPages {

  /** Money as any page writes it: with the sign of the currency or as a price per mass. */
  private static final Pattern MONEY = Pattern.compile("[€£$]\\s?\\d|\\d\\s?[€£$]|\\d/(kg|lb)\\b");

  @Autowired private ApplicationContext app;
  @Autowired private JdbcClient jdbc;

  @DataProvider
  Object[][] pages() {
    return new Object[][] {
      {"/"},
      {"/dock"},
      {"/dock/receive"},
      {"/dock/receive?line=1"},
      {"/dock/receive?line=2"},
      {"/dock/1"},
      {"/dock/2"},
      {"/dock/5"},
      {"/dock/5/passport"},
      {"/plan/3"},
      {"/plan/7"},
      {"/bench/3"},
      {"/bench/4"},
      {"/bench/7"},
      {"/uses/1"},
      {"/uses/2"},
    };
  }

  @Test(dataProvider = "pages")
  public void noPriceReachesWhoMayNotSeeCosts(String page) throws Exception {
    for (String who : new String[] {"tobiah", "maren"}) {
      String html = page(who, page).replaceAll("placeholder=\"[^\"]*\"", "");
      assertFalse(MONEY.matcher(html).find(), page + " for " + who + " names money");
    }
  }

  @Test
  public void thePatternKnowsMoneyWhereItMayBeSeen() throws Exception {
    assertTrue(MONEY.matcher(page("ines", "/dock/1")).find(), "or the test above shows nothing");
    assertTrue(MONEY.matcher(page("ines", "/dock/receive?line=1")).find());
  }

  @Test
  public void anAgreedPriceIsTakenFromTheOrderNotFromTheForm() throws Exception {
    String agreed =
        jdbc.sql("select price_per_kg from order_line where id = 1").query(String.class).single();
    assertFalse(page("tobiah", "/dock/receive?line=1").contains("name=\"price\""));
    long lot = received("tobiah", "0.01/kg");
    assertEquals(priceOf(lot), agreed, "the butcher's hidden field counts for nothing");
    assertEquals(priceOf(received("ines", "7.77/kg")), "7.7700000000");
  }

  private long received(String who, String price) throws Exception {
    String location =
        send(
                who,
                "/dock/receive",
                "id",
                UUID.randomUUID().toString(),
                "line",
                "1",
                "species",
                "hake",
                "state",
                "GUTTED",
                "origin",
                "WILD",
                "fish",
                "1",
                "landedOn",
                LocalDate.now(ZoneOffset.UTC).toString(),
                "supplier",
                "Grey Skerry Landings",
                "venue",
                "1",
                "invoiced",
                "3.2 kg",
                "price",
                price)
            .getRedirectedUrl();
    return Long.parseLong(location.replaceAll("\\D", ""));
  }

  private String priceOf(long lot) {
    return jdbc.sql("select price_per_kg from lot where id = ?")
        .param(lot)
        .query(String.class)
        .single();
  }

  @Test
  public void aCreditValueIsNeitherSetNorWipedByWhoMayNotSeeIt() throws Exception {
    long lot = new TestLots(app).receive("hake", State.GUTTED, 1, "3.000");
    decide("tobiah", lot, 0, "POT", "9.99/kg");
    assertEquals(valueOf(lot), "none", "a hidden field of the butcher's counts for nothing");
    decide("ines", lot, 1, "POT", "1.80/kg");
    assertEquals(valueOf(lot), "1.8000000000");
    decide("tobiah", lot, 2, "SECOND_PLATE", "");
    assertEquals(valueOf(lot), "1.8000000000", "what the sous chef set stays");
    decide("ines", lot, 3, "SECOND_PLATE", "");
    assertEquals(valueOf(lot), "none");
  }

  private void decide(String who, long lot, int version, String purpose, String value)
      throws Exception {
    send(
        who,
        "/uses/" + lot + "/parts/frame",
        "version",
        "" + version,
        "purpose",
        purpose,
        "becomes",
        "white stock",
        "value",
        value);
  }

  private String valueOf(long lot) {
    return jdbc.sql(
            "select coalesce(value_per_kg::text, 'none') from lot_part where lot_id = ? and slot ="
                + " 'frame'")
        .param(lot)
        .query(String.class)
        .single();
  }
}
