package mosaicknife.app.lots;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A house with very many lots, for as long as a piece of work takes. */
final class FullHouse {

  private final JdbcClient jdbc;
  private final PlatformTransactionManager transactions;

  FullHouse(JdbcClient jdbc, PlatformTransactionManager transactions) {
    this.jdbc = jdbc;
    this.transactions = transactions;
  }

  /** Works in a house of closed lots, with one open lot older than all of them; undone after. */
  void withOldLots(int lots, Work work) {
    new TransactionTemplate(transactions)
        .executeWithoutResult(
            status -> {
              status.setRollbackOnly();
              closeAll();
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

  private void closeAll() {
    jdbc.sql(
            """
            update lot set finished_at = greatest(received_at, now()), finished_by = received_by
            where finished_at is null
            """)
        .update();
  }

  /** Leaves as many lots open as are wanted, one that is there and others like it. */
  void open(long lot, int wanted) {
    closeAll();
    copies(lot, wanted - 1);
  }

  /** As if all but so many of these lots were closed long ago. */
  void closeLongAgo(long lot, int but) {
    jdbc.sql(
            """
            update lot set landed_on = date '2024-01-01', received_at = timestamptz '2024-01-01 08:00Z',
              finished_at = timestamptz '2024-01-02 08:00Z', finished_by = received_by
            where id >= ? + ?
            """)
        .params(lot, but)
        .update();
    jdbc.sql("analyze").update();
  }

  interface Work {
    void run() throws Exception;
  }

  /** So many open lots more as one that is there, with its parts and weights. */
  void copies(long lot, int copies) {
    jdbc.sql("delete from lot where landed_on < date '2024-02-01'").update();
    jdbc.sql("update lot set finished_at = null, finished_by = null where id = ?")
        .param(lot)
        .update();
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
    jdbc.sql("analyze").update();
  }

  private String columns(String table, String... but) {
    return jdbc.sql(
            "select string_agg(column_name, ', ') from information_schema.columns where table_name ="
                + " ? and table_schema = current_schema() and column_name <> all (?)")
        .params(table, but)
        .query(String.class)
        .single();
  }
}
