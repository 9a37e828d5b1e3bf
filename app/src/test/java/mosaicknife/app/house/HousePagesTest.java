package mosaicknife.app.house;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.DayOfWeek;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import mosaicknife.app.WithPages;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.buying.DeliveryDays;
import mosaicknife.core.quantity.UnitSystem;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.Test;

/** The sections of the house: who may set what, and that nothing typed is lost. */
public class HousePagesTest extends WithPages {

  @Autowired private HouseSettings houses;
  @Autowired private HouseRepository rows;
  @Autowired private SupplierEditor suppliers;
  @Autowired private DemoPeople people;
  @Autowired private TransactionTemplate transactions;

  @Test
  public void theSousChefSeesHerSectionsAndTheOwnerAll() throws Exception {
    assertEquals(sections("ines"), "[Suppliers, Trays and scale, Rules]", "what she may set");
    assertEquals(
        sections("adaeze"),
        "[People, Units and money, Venues, Suppliers, Trays and scale, Rules, Upkeep]");
  }

  private String sections(String who) throws Exception {
    Document page = Jsoup.parse(page(who, "/house/suppliers"));
    return page.select("nav.nav-underline a").eachText().toString();
  }

  @Test
  public void aSupplierIsKnownByItsContactAndItsDays() throws Exception {
    String added = follow("ines", "/house/suppliers", "name", "Saltings Smokehouse");
    assertTrue(added.contains("Saltings Smokehouse"));
    long id = houses.addSupplier("saltings smokehouse").id();
    follow(
        "ines",
        "/house/suppliers/" + id,
        "contact",
        "Wilmot",
        "phone",
        "0555 0109",
        "note",
        "by noon <b>",
        "days",
        "TUESDAY",
        "days",
        "FRIDAY");
    Supplier known = suppliers.get(id);
    assertEquals(known.contact(), "Wilmot");
    assertEquals(
        known.days(),
        new DeliveryDays(Set.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY)),
        "and no other");
    Document page = Jsoup.parse(page("ines", "/house/suppliers"));
    assertEquals(
        page.select("#supplier-" + id + " [name=days][checked]").eachAttr("value").toString(),
        "[TUESDAY, FRIDAY]");
    assertEquals(page.select("#supplier-" + id + " [name=note]").val(), "by noon <b>");
    follow("ines", "/house/suppliers/" + id, "contact", "", "phone", "", "note", "");
    assertEquals(suppliers.get(id).days(), DeliveryDays.UNKNOWN, "nobody has said");
  }

  @Test
  public void aWordTooMuchIsRefusedAndStoresNothing() throws Exception {
    long id = houses.addSupplier("Outer Bank Oysters").id();
    String page =
        follow(
            "ines", "/house/suppliers/" + id, "contact", "x".repeat(81), "phone", "", "note", "");
    assertTrue(page.contains("The contact has 81 characters; only 80 are allowed."), page);
    assertEquals(suppliers.get(id).contact(), "");
    assertEquals(
        send("ines", "/house/suppliers/" + id, "days", "SOMEDAY").getStatus(), 422, "no such day");
    assertEquals(send("ines", "/house/suppliers/999999", "contact", "x").getStatus(), 404);
  }

  @Test
  public void whatWasTypedForTheUnitsStaysWhereItIsRefused() throws Exception {
    String page =
        follow(
            "adaeze",
            "/house/units",
            "name",
            "Saltmarsh Row",
            "system",
            "METRIC",
            "currency",
            "EUR",
            "zone",
            "Port Sallow",
            "labour",
            "19.50",
            "hemisphere",
            "NORTH");
    Document form = Jsoup.parse(page);
    assertTrue(page.contains("“Port Sallow” is not a time zone"), page);
    assertEquals(form.select("[name=zone]").val(), "Port Sallow");
    assertEquals(form.select("[name=labour]").val(), "19.50");
    assertFalse(
        houses.house().labourPerHour().amount().toPlainString().startsWith("19.5"),
        "nothing is stored");
  }

  @Test
  public void theCurrencyIsFixedOncePricesAreWrittenInIt() {
    people.as(
        "adaeze",
        () -> {
          assertFalse(houses.canChangeCurrency(), "the demo has prices");
          HouseForm form =
              new HouseForm(
                  "Saltmarsh Row", UnitSystem.METRIC, "CHF", "UTC", "18", Hemisphere.NORTH, null);
          Refusal refusal = expectThrows(Refusal.class, () -> houses.change(form));
          assertEquals(refusal.field(), "currency");
        });
    assertEquals(houses.house().formats().currency().getCurrencyCode(), "EUR");
  }

  @Test
  public void whatALongReadSawOfTheHouseIsNotTheHouseForOthers() {
    House before = houses.house();
    try {
      transactions.executeWithoutResult(
          reading -> {
            assertTrue(rows.findById(HouseEntity.ONLY_ID).isPresent());
            CompletableFuture.runAsync(() -> weighIn(UnitSystem.IMPERIAL)).join();
            houses.house();
          });
      assertEquals(houses.house().formats().system(), UnitSystem.IMPERIAL, "what is so by now");
    } finally {
      weighIn(before.formats().system());
    }
    assertEquals(houses.house(), before);
  }

  private void weighIn(UnitSystem system) {
    House house = houses.house();
    people.as(
        "adaeze",
        () ->
            houses.change(
                new HouseForm(
                    house.name(),
                    system,
                    null,
                    house.formats().zone().getId(),
                    house.labourPerHour().amount().toPlainString(),
                    house.hemisphere(),
                    null)));
  }

  @Test
  public void whoMayNotSetTheHouseCannotByTheServiceEither() {
    people.as(
        "tobiah",
        () -> {
          expectThrows(AccessDeniedException.class, () -> suppliers.add("Sneaky Fish"));
          expectThrows(
              AccessDeniedException.class,
              () -> suppliers.change(1, new SupplierForm("a", "b", "c", Set.of())));
        });
  }
}
