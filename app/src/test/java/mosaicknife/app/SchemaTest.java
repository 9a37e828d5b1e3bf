package mosaicknife.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.expectThrows;

import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What PostgreSQL itself refuses, whatever the application would do. */
public class SchemaTest extends WithDatabase {

  @Autowired private JdbcClient jdbc;
  @Autowired private PlatformTransactionManager transactions;

  @DataProvider
  Object[][] impossible() {
    return new Object[][] {
      {"a lot of no fish", "update lot set fish_count = 0 where id = 1"},
      {"a lot of negative mass", "update lot set invoiced_mg = -1 where id = 1"},
      {"a lot of three tonnes", "update lot set own_mg = 3000000000 where id = 1"},
      {"a negative price", "update lot set price_per_kg = -0.01 where id = 1"},
      {"a state that is none", "update lot set state = 'FLOATING' where id = 1"},
      {"an origin that is none", "update lot set origin = 'FOUND' where id = 1"},
      {"a lot closed by nobody", "update lot set finished_by = null where id = 1"},
      {
        "a lot closed before it came",
        "update lot set finished_at = received_at - interval '1 hour' where id = 1"
      },
      {
        "a delivery stored twice",
        "update lot set client_id = (select client_id from lot where id = 2) where id = 1"
      },
      {
        "a part kept nowhere",
        "update lot_part set purpose = 'HOLD' where lot_id = 3 and slot = 'head'"
      },
      {
        "a part kept in a place without a name",
        "update lot_part set purpose = 'HOLD', hold_until = current_date, hold_place = ' ',"
            + " hold_keeper = 1 where lot_id = 3 and slot = 'head'"
      },
      {"a purpose that is none", "update lot_part set purpose = 'SOUP' where lot_id = 3"},
      {"a part cut from itself", "update lot_part set parent_id = id where lot_id = 3"},
      {"two parts of one number", "update lot_part set number = 1 where lot_id = 3"},
      {"two people of one name", "update person set sign_in = 'ines' where sign_in = 'maren'"},
      {"a sign-in name in capitals", "update person set sign_in = 'Maren' where sign_in = 'maren'"},
      {"a role that is none", "update person set role = 'KING' where sign_in = 'maren'"},
      {"a second house", "update house set id = 2"},
      {"a venue without a name", "insert into venue (name) values ('  ')"},
      {"an hour of work that earns", "update house set labour_per_hour = -1"},
      {"a half of the earth that is none", "update house set hemisphere = 'EAST'"},
      {
        "an edit without its fish",
        "insert into species_edit (code, kind, edited_by, edited_at)"
            + " values ('hake', 'CHANGED', 1, now())"
      },
      {
        "a code with capitals",
        "insert into species_edit (code, kind, edited_by, edited_at)"
            + " values ('Hake', 'REMOVED', 1, now())"
      },
      {"a portion of a gram", "update dish set portion_mg = 1000"},
      {"a tolerance of half", "update dish set tolerance = 0.5"},
      {"a plate of no form", "update dish set serving_form = 'HEAPED'"},
      {"no fish on a plate", "update dish set serving_count = 0"},
      {
        "a part that goes to a dish and elsewhere",
        "update lot_part set dish_id = 1, becomes = 'soup' where lot_id = 3"
      },
      {
        "what others froze without their paper",
        "insert into freezing_record (client_id, lot_id, core_dc, core_after_dc, froze, frozen_from,"
            + " frozen_to, made_by, made_at) values (gen_random_uuid(), 1, -200, -200, 'VESSEL',"
            + " now(), now(), 1, now())"
      },
      {
        "frozen until before it was",
        "insert into freezing_record (client_id, lot_id, core_dc, core_after_dc, froze, frozen_from,"
            + " frozen_to, made_by, made_at) values (gen_random_uuid(), 1, -200, -200, 'HOUSE',"
            + " now(), now() - interval '1 day', 1, now())"
      },
      {"a part put into itself", "update lot_part set put_into = slot where not skipped"},
      {"pre-work of nothing", "insert into pre_work values (1, 'head', 'X', 1, now())"},
      {"half a portion of a lot", "update lot set portion_mg = 170000, serving_form = null"},
      {
        "two dishes of one name at one venue",
        "update dish set name = 'Turbot, SEA herbs', venue_id = 1 where name like 'Ray%'"
            + " or name like 'Turbot%'"
      },
      {"a million covers", "update demand set portions = 1000000"},
      {"covers by the month", "update demand set per = 'MONTH'"},
      {"a price of nothing", "update price set price_per_kg = 0"},
      {"a size from large to small", "update price set to_mg = from_mg - 1"},
      {"a form that is none", "update price set form = 'SOUP'"},
      {"an order placed at no time", "update purchase_order set placed_at = null where id = 3"},
      {"whole fish without a number", "update order_line set fish = 0 where form = 'WHOLE'"},
      {
        "an order line stored twice",
        "update order_line set client_id = (select client_id from order_line where id = 2)"
            + " where id = 1"
      },
      {"more net than gross", "update lot set own_mg = 2000, gross_mg = 1000 where id = 1"},
      {"a lot at 400 degrees", "update lot set temperature_dc = 4000 where id = 1"},
      {"a catch method that is none", "update lot set method = 'MAGIC' where id = 1"},
      {
        "a length without its basis",
        "update lot_fish set basis = null where lot_id = 6 and fish_no = 1"
      },
      {"fish number 501", "insert into lot_fish (lot_id, fish_no) values (6, 501)"},
      {
        "a grade of four",
        "insert into inspection (client_id, lot_id, skin, flesh, belly, smell, demerits, days_left,"
            + " proposal, decision, made_by, made_at)"
            + " values (gen_random_uuid(), 1, 4, 0, 0, 0, 0, 9, 'RAW', 'RAW', 1, now())"
      },
      {
        "a decision against the signs without a reason",
        "insert into inspection (client_id, lot_id, skin, flesh, belly, smell, demerits, days_left,"
            + " proposal, decision, made_by, made_at)"
            + " values (gen_random_uuid(), 1, 0, 0, 0, 0, 0, 9, 'COOK', 'RAW', 1, now())"
      },
      {
        "evidence that is a page",
        "insert into evidence (client_id, lot_id, kind, name, media_type, content, made_by, made_at)"
            + " values (gen_random_uuid(), 1, 'LABEL', 'x', 'text/html', 'x', 1, now())"
      },
      {"a claim of nothing", "update claim set amount = 0"},
      {"a claim without a reason", "update claim set reason = ' '"},
      {"a claim of a lot that is not", "update claim set lot_id = 999"},
      {"a tray of nothing", "insert into tray (name, mass_mg) values ('Air', 0)"},
      {"a tray without a name", "update tray set name = ' '"},
      {"a tray twice", "insert into tray (name, mass_mg) values ('STEEL TRAY', 212000)"},
      {
        "a piece before the first",
        "insert into weighing select gen_random_uuid(), part_id, fish_no, kind, mass_mg, source, gross_mg, tare_mg, readability_mg, typed, null, '', taken_by, taken_at, -1 from weighing where kind = 'TAKEN' limit 1"
      },
      {
        "the same part first weighed twice",
        "insert into weighing select gen_random_uuid(), part_id, fish_no, kind, mass_mg, source, gross_mg, tare_mg, readability_mg, typed, null, '', taken_by, taken_at, piece_no from weighing where supersedes is null limit 1"
      },
      {
        "a note that says nothing",
        "insert into bench_note select gen_random_uuid(), 1, null, ' ', 1, now()"
      },
      {"a part sent to a venue that is not", "update lot_part set venue_id = 999"},
      {"a supplier twice", "insert into supplier (name) values ('GREY SKERRY LANDINGS')"},
    };
  }

  private static final String RULE =
      "\"source\": \"the notice board\", \"dated\": \"2026-01-01\", \"expires\": \"2026-12-31\"";

  /**
   * An entry of each section that can be, and what of it cannot: the first stands for the other.
   */
  @DataProvider
  Object[][] entries() {
    String kettle =
        "{'venue': 1, 'kettle': {'name': 'Tall', 'litres': 20, 'centimetres': 36, 'watts': 5000}}";
    String worker =
        "{'person': 1, 'venue': null, 'skills': ['KNIFE'], 'shift': {'begin':"
            + " {'at': '08:00:00', 'days': ['MONDAY']}, 'until': '16:00:00'}}";
    String service =
        "{'venue': 1, 'name': 'Lunch', 'time': {'at': '12:00:00', 'days': ['FRIDAY']}}";
    String length = "{'species': 'hake', 'basis': 'TOTAL', 'minimum': 270, RULE}";
    String pair = "{'atMost': -200, 'hours': 24, 'thickest': null, RULE}";
    String season =
        "{'species': 'hake', 'kind': 'CLOSED_SEASON', 'area': '', 'method': null,"
            + " 'from': '--05-01', 'to': '--06-30', 'most': null, RULE}";
    String way =
        "{'species': 'hake', 'from': 1000, 'to': 2000, 'name': 'Ours', 'choices': {},"
            + " 'fates': {}, 'order': [], 'pieces': {}}";
    return new Object[][] {
      {"KETTLE", "1", kettle, "'venue': 1", "'venue': 999"},
      {"KETTLE", "1", kettle, "'litres': 20", "'litres': 501"},
      {"KETTLE", "1", kettle, "'litres': 20", "'litre': 20"},
      {"KETTLE", "1", kettle, "'Tall'", "' '"},
      {"KETTLE", "1", kettle, "'watts': 5000", "'watts': 'many'"},
      {"WORKER", "1", worker, "'person': 1", "'person': 999"},
      {"WORKER", "1", worker, "['KNIFE']", "['CROWN']"},
      {"WORKER", "1", worker, "['MONDAY']", "[]"},
      {"WORKER", "1", worker, "['MONDAY']", "['NEVERDAY']"},
      {"SERVICE", "1 Lunch", service, "'Lunch'", "''"},
      {"SERVICE", "1 Lunch", service, "'12:00:00'", "'noon'"},
      {"SERVICE", "1 Lunch", service, "'venue': 1", "'venue': null"},
      {"POT_PRICE", "all", "{'kilowatt': 0.3, 'bought': null}", "0.3", "-0.3"},
      {"POT_PRICE", "all", "{'kilowatt': 0.3, 'bought': 4.5}", "4.5", "0"},
      {"ROOM", "1 HANDS", "{'venue': 1, 'what': 'HANDS', 'amount': 60}", "60", "-1"},
      {"LIMIT", "CORE_CODE", "{'value': 630, RULE}", "the notice board", " "},
      {"LIMIT", "CORE_CODE", "{'value': 630, RULE}", "630", "null"},
      {"FREEZING_RULE", "1", pair, "-200", "-50"},
      {"FREEZING_RULE", "1", pair, "24", "0"},
      {"FREEZING_RULE", "1", pair, "'thickest': null", "'thickest': 0"},
      {"LENGTH_RULE", "hake TOTAL", length, "270", "11000"},
      {"LENGTH_RULE", "hake TOTAL", length, "2026-12-31", "2025-12-31"},
      {"LENGTH_RULE", "hake TOTAL", length, "the notice board", ""},
      {"CATCH_RULE", "1", season, "CLOSED_SEASON", "GUESS"},
      {"CATCH_RULE", "1", season, "--05-01", "May"},
      {"OPTION", "route", "{'choice': 'cuts', 'reason': 'ours'}", "'ours'", "' '"},
      {"WAY", "1", way, "2000", "1000"},
      {"WAY", "1", way, "'choices': {}", "'choices': 'all'"},
      {"METHOD", "quick", "'lines of the file'", "'lines of the file'", "' '"},
      {"USE", "patties", "'lines of the file'", "'lines of the file'", "{}"},
      {"LIMIT", "CORE_CODE", "{'value': 630, RULE}", "LIMIT", "WISH"},
    };
  }

  @Test(dataProvider = "entries")
  public void theBookRefusesAnEntry(
      String book, String code, String can, String part, String cannot) {
    String whole = can.replace("RULE", RULE).replace('\'', '"');
    String changed = whole.replace(part.replace('\'', '"'), cannot.replace('\'', '"'));
    String section = part.equals(book) ? cannot : book;
    assertEquals(write(book, code, whole), 1, "what can be is kept");
    assertNotEquals(section + changed, book + whole);
    expectThrows(DataIntegrityViolationException.class, () -> write(section, code, changed));
  }

  private int write(String book, String code, String body) {
    return new TransactionTemplate(transactions)
        .execute(
            status -> {
              status.setRollbackOnly();
              return jdbc.sql(
                      "insert into house_book (book, code, body, retired, kept_by, kept_at)"
                          + " values (?, ?, ?::jsonb, false, 1, now())")
                  .params(book, code, body)
                  .update();
            });
  }

  @Test(dataProvider = "impossible")
  public void theDatabaseRefuses(String what, String sql) {
    expectThrows(DataIntegrityViolationException.class, () -> jdbc.sql(sql).update());
  }

  @Test
  public void everyWeighingThatStandsIsTheLastLinkOfOneChain() {
    String heads =
        """
        select count(*) from (
          select part_id, fish_no, piece_no from weighing where supersedes is null
          group by part_id, fish_no, piece_no having count(*) > 1) twice
        """;
    String forks =
        """
        select count(*) from (
          select supersedes from weighing where supersedes is not null
          group by supersedes having count(*) > 1) forked
        """;
    assertEquals(jdbc.sql(heads).query(Long.class).single(), Long.valueOf(0));
    assertEquals(jdbc.sql(forks).query(Long.class).single(), Long.valueOf(0));
  }
}
