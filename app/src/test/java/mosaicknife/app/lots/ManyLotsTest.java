package mosaicknife.app.lots;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import jakarta.persistence.EntityManagerFactory;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.homes.HomePlanner;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.testng.annotations.Test;

/** A house after some years: no lot vanishes, and no page grows with their number. */
public class ManyLotsTest extends WithPages {

  private static final int LARGEST_PAGE = 60 * 1024;

  @Autowired private JdbcClient jdbc;
  @Autowired private LotRegister lots;
  @Autowired private HomePlanner planner;
  @Autowired private PlatformTransactionManager transactions;
  @Autowired private EntityManagerFactory entities;

  private FullHouse full() {
    return new FullHouse(jdbc, transactions);
  }

  private void withOldLots(int lots, FullHouse.Work work) throws Exception {
    session("ines");
    full().withOldLots(lots, work);
  }

  private long oldestOpen() {
    return jdbc.sql("select id from lot where finished_at is null order by received_at, id limit 1")
        .query(Long.class)
        .single();
  }

  @Test
  public void anOpenLotIsOnTheFirstPageHoweverOldItIs() throws Exception {
    withOldLots(
        2_400,
        () -> {
          String line = "/" + oldestOpen() + "\"";
          assertTrue(page("ines", "/lots").contains(line), "the oldest open lot");
          assertTrue(page("ines", "/lots?for=bench").contains(line));
          assertTrue(page("ines", "/").contains(line), "today shows it too");
          assertFalse(page("ines", "/lots?page=2").contains(line), "and nobody sees it twice");
        });
  }

  /** The oldest of four hundred open lots, at a venue whose others are newer. */
  @Test
  public void noStationForgetsAnOpenLotHoweverManyThereAre() throws Exception {
    withOldLots(
        400,
        () -> {
          jdbc.sql("update lot set finished_at = null, finished_by = null").update();
          long oldest = oldestOpen();
          jdbc.sql("update lot set venue_id = 2 where id = ?").param(oldest).update();
          assertEquals(lots.open().size(), (int) lots.countOpen());
          assertTrue(lots.open().size() > 400);
          assertTrue(lots.openAt(2).stream().anyMatch(lot -> lot.id() == oldest));
          assertTrue(lots.openAt(1).stream().noneMatch(lot -> lot.id() == oldest));
          String option = "value=\"" + oldest + "\"";
          assertTrue(page("ines", "/kitchen").contains(option), "kitchen work");
        });
  }

  @Test
  public void everyStationCountsFourHundredOpenLotsAndStaysSmall() throws Exception {
    TestLots house = new TestLots(applicationContext);
    long lot = house.receive("hake", State.GUTTED, 1, "3.000");
    house.weighForThePlate(lot, "fillet-left", "0.900 kg", "");
    withOldLots(
        0,
        () -> {
          full().copies(lot, 399);
          assertEquals(lots.countOpen(), 400);
          long oldest = oldestOpen();
          assertEquals(lots.open().size(), 400);
          String today = page("ines", "/");
          assertTrue(today.contains("388 more"), "twelve rows, and the others are named");
          String slice = page("ines", "/slice");
          assertTrue(slice.contains("/" + oldest), slice);
          List<OnHand> hand = planner.question().parts();
          assertEquals(
              hand.stream()
                  .map(OnHand::id)
                  .filter(HandId.Here.class::isInstance)
                  .map(id -> ((HandId.Here) id).lot())
                  .filter(id -> id >= lot)
                  .distinct()
                  .count(),
              400L);
          String uses = page("ines", "/uses?page=2");
          assertTrue(uses.contains(", " + hand.size() + " in all"), uses);
          String plan = page("ines", "/uses/plan");
          assertTrue(plan.contains((hand.size() - 39) + " other parts"), "the others as one");
          String api =
              mvc.perform(
                      get("/api/v1/lots?page=99")
                          .header("Authorization", "Bearer " + token("ines")))
                  .andReturn()
                  .getResponse()
                  .getContentAsString(StandardCharsets.UTF_8);
          int total = jdbc.sql("select count(*) from lot").query(Integer.class).single();
          assertTrue(api.contains("\"total\":" + total), api);
          assertTrue(
              page("ines", "/clock/day").contains("360 newer lots wait"), "forty are placed");
          for (String address :
              List.of(
                  "/",
                  "/slice",
                  "/uses",
                  "/uses/plan",
                  "/kitchen",
                  "/clock",
                  "/dock",
                  "/lots",
                  "/larder",
                  "/cost",
                  "/cost/compare",
                  "/pot")) {
            int bytes = page("ines", address).getBytes(StandardCharsets.UTF_8).length;
            assertTrue(bytes <= 200 * 1024, address + " has " + bytes + " bytes");
          }
        });
    house.close();
  }

  @Test
  public void pagesStaySmallAndAskTheDatabaseNoMoreOften() throws Exception {
    for (String address : new String[] {"/lots", "/lots?page=7", "/lots?text=hake", "/dock"}) {
      page("ines", address);
      long few = statements(() -> page("ines", address));
      withOldLots(
          2_400,
          () -> {
            String[] shown = new String[1];
            long many =
                statements(
                    () -> {
                      shown[0] = page("ines", address);
                      return null;
                    });
            assertTrue(many <= few + 1, address + ": " + many + " statements, before " + few);
            int bytes = shown[0].getBytes(StandardCharsets.UTF_8).length;
            assertTrue(bytes <= LARGEST_PAGE, address + ": " + bytes + " bytes");
          });
    }
  }

  @Test
  public void lotsAreFoundByFishSupplierNumberAndDay() throws Exception {
    withOldLots(
        300,
        () -> {
          String oldest = "/" + oldestOpen() + "\"";
          assertTrue(page("ines", "/lots?text=" + oldestOpen()).contains(oldest), "by number");
          assertTrue(page("ines", "/lots?text=2024-01-01").contains(oldest), "by day");
          assertTrue(page("ines", "/lots?text=merluza").contains("Hake"), "by another name");
          assertTrue(page("ines", "/lots?text=holm").contains("Holm Sound Boats"), "by supplier");
          assertFalse(page("ines", "/lots?text=holm").contains("Grey Skerry"), "and only that");
          assertTrue(page("ines", "/lots?text=kraken").contains("kraken"), "what was typed stays");
        });
  }

  @Test
  public void aWeightTakesAtMostFiveStatements() throws Exception {
    long lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "4.860");
    weigh(lot, "head", "1.015 kg");
    long asked = statements(() -> weigh(lot, "collar", "227 g"));
    assertTrue(asked > 0 && asked <= 5, asked + " statements");
  }

  private Void weigh(long lot, String part, String weight) throws Exception {
    int status =
        send(
                "tobiah",
                "/bench/" + lot + "/weighings",
                "id",
                UUID.randomUUID().toString(),
                "part",
                part,
                "fish",
                "1",
                "source",
                "typed",
                "typed",
                weight)
            .getStatus();
    assertEquals(status / 100, 3, "status " + status);
    return null;
  }

  /** How many statements Hibernate prepares for some work. */
  private long statements(Callable<?> work) throws Exception {
    Statistics statistics = entities.unwrap(SessionFactory.class).getStatistics();
    statistics.setStatisticsEnabled(true);
    try {
      statistics.clear();
      work.call();
      return statistics.getPrepareStatementCount();
    } finally {
      statistics.setStatisticsEnabled(false);
    }
  }
}
