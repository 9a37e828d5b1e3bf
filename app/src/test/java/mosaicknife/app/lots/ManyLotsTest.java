package mosaicknife.app.lots;

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
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.Test;

/** A house after some years: no lot vanishes, and no page grows with their number. */
public class ManyLotsTest extends WithPages {

  private static final int LARGEST_PAGE = 60 * 1024;

  @Autowired private JdbcClient jdbc;
  @Autowired private LotRegister lots;
  @Autowired private HomePlanner planner;
  @Autowired private PlatformTransactionManager transactions;
  @Autowired private EntityManagerFactory entities;

  /** Works in a house of closed lots, with one open lot older than all of them; undone after. */
  private void withOldLots(int lots, Work work) throws Exception {
    session("ines");
    new TransactionTemplate(transactions)
        .executeWithoutResult(
            status -> {
              status.setRollbackOnly();
              jdbc.sql(
                      """
                      update lot set finished_at = greatest(received_at, now()),
                        finished_by = received_by
                      where finished_at is null
                      """)
                  .update();
              jdbc.sql(
                      """
                      insert into lot (client_id, species, state, fish_count, invoiced_mg,
                        price_per_kg, currency, supplier_id, venue_id, origin, landed_on,
                        received_at, received_by, costing_method,
                        finished_at, finished_by)
                      select gen_random_uuid(), 'hake', 'GUTTED', 1, 4860000, 11.4, 'EUR',
                        (select min(id) from supplier), (select min(id) from venue), 'WILD',
                        date '2024-01-01', timestamptz '2024-01-01 08:00Z' + n * interval '1 hour',
                        (select min(id) from person), 'ALL_ON_THE_MAINS',
                        case when n > 0 then timestamptz '2026-01-01 08:00Z' end,
                        case when n > 0 then (select min(id) from person) end
                      from generate_series(0, :lots) as n
                      """)
                  .param("lots", lots)
                  .update();
              try {
                work.run();
              } catch (Exception e) {
                throw new IllegalStateException(e);
              }
            });
  }

  private interface Work {
    void run() throws Exception;
  }

  private long oldestOpen() {
    return jdbc.sql("select id from lot where finished_at is null order by received_at limit 1")
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

  /** Four hundred open lots with a weighed fillet each, the parts of one that is there. */
  private void copies(long lot, int copies) {
    String columns = columns("lot", "id", "client_id");
    jdbc.sql(
            "insert into lot (client_id, "
                + columns
                + ") select gen_random_uuid(), "
                + columns
                + " from lot, generate_series(1, ?) where id = ?")
        .params(copies, lot)
        .update();
    String parts = columns("lot_part", "id", "lot_id", "parent_id");
    jdbc.sql(
            "insert into lot_part (lot_id, "
                + parts
                + ") select l.id, "
                + parts.replaceAll("(\\w+)", "p.$1")
                + " from lot l, lot_part p where l.id > ? and p.lot_id = ?")
        .params(lot, lot)
        .update();
    String weighings = columns("weighing", "id", "part_id", "supersedes");
    jdbc.sql(
            "insert into weighing (id, part_id, "
                + weighings
                + ") select gen_random_uuid(), p.id, "
                + weighings.replaceAll("(\\w+)", "w.$1")
                + " from lot_part p, weighing w join lot_part q on q.id = w.part_id"
                + " where p.lot_id > ? and q.lot_id = ? and p.slot = q.slot")
        .params(lot, lot)
        .update();
  }

  private String columns(String table, String... but) {
    return jdbc.sql(
            "select string_agg(column_name, ', ') from information_schema.columns where table_name ="
                + " ? and table_schema = current_schema() and column_name <> all (?)")
        .params(table, but)
        .query(String.class)
        .single();
  }

  @Test
  public void everyStationCountsFourHundredOpenLotsAndStaysSmall() throws Exception {
    TestLots house = new TestLots(applicationContext);
    long lot = house.receive("hake", State.GUTTED, 1, "3.000");
    house.weighForThePlate(lot, "fillet-left", "0.900 kg", "");
    withOldLots(
        0,
        () -> {
          jdbc.sql("delete from lot where landed_on < date '2024-02-01'").update();
          jdbc.sql("update lot set finished_at = null, finished_by = null where id = ?")
              .param(lot)
              .update();
          copies(lot, 399);
          jdbc.sql("analyze").update();
          assertEquals(lots.countOpen(), 400);
          long oldest = oldestOpen();
          assertEquals(lots.open().size(), 400);
          String today = page("ines", "/");
          assertTrue(today.contains("388 more"), "twelve rows, and the others are named");
          assertTrue(page("ines", "/slice").contains("/" + oldest), "the oldest is on the board");
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
          assertTrue(
              page("ines", "/clock/day").contains("360 newer lots wait"), "forty are placed");
          for (String address :
              List.of(
                  "/",
                  "/slice",
                  "/uses",
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
