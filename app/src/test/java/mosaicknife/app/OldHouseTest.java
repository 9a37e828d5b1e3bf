package mosaicknife.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.GZIPInputStream;
import org.flywaydb.core.Flyway;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * A house as 0.10.0 left it, with facts of every kind at both venues, lots open and closed: what is
 * known stays known when it is brought up to date.
 */
public class OldHouseTest {

  private static final String DUMP = "/dumps/house-0.10.0.sql.gz";

  /** What no migration may change: weights, and money that was paid or is owed. */
  private static final Map<String, String> FOR_EVER =
      Map.of(
          "grams weighed",
          "select count(*) || ' ' || coalesce(sum(mass_mg), 0) from weighing",
          "grams received",
          "select sum(invoiced_mg) || ' ' || sum(coalesce(own_mg, 0)) from lot",
          "money of invoices",
          "select sum(price_per_kg * invoiced_mg) from lot",
          "claims",
          "select coalesce(sum(amount), 0) from claim",
          "grams on shelves",
          "select count(*) || ' ' || coalesce(sum(milligrams), 0) from larder_source",
          "readings of pots",
          "select count(*) || ' ' || coalesce(sum(tenths), 0) from pot_reading",
          "inspections",
          "select count(*) || ' ' || sum(demerits) from inspection",
          "prices",
          "select count(*) || ' ' || sum(price_per_kg) from price");

  /** Where every part goes, as people call it. */
  private static final String GOES =
      """
      select lot_id || ' ' || slot || ': ' || coalesce(purpose, '-') || ' ' || lower(btrim(becomes))
      from lot_part order by lot_id, slot
      """;

  /**
   * What stands in a section of the book as a table of its own kept it, and where it stands now.
   */
  private static final Map<String, List<String>> SECTIONS =
      Map.of(
          "KETTLE",
          List.of(
              "select venue_id || ' ' || name || ' ' || litres || ' ' || watts from kettle",
              "venue_id || ' ' || (body #>> '{kettle,name}') || ' ' || (body #>> '{kettle,litres}')"
                  + " || ' ' || (body #>> '{kettle,watts}')"),
          "WORKER",
          List.of(
              "select person_id || ' ' || knife || ' ' || from_minute || ' ' || length(days)"
                  + " from clock_worker",
              "person_id || ' ' || (body -> 'skills' ? 'KNIFE') || ' '"
                  + " || extract(epoch from (body #>> '{shift,begin,at}')::time)::int / 60 || ' '"
                  + " || jsonb_array_length(body #> '{shift,begin,days}')"),
          "SERVICE",
          List.of(
              "select venue_id || ' ' || name || ' ' || at_minute || ' ' || retired"
                  + " from clock_service",
              "venue_id || ' ' || (body ->> 'name') || ' '"
                  + " || extract(epoch from (body #>> '{time,at}')::time)::int / 60 || ' '"
                  + " || retired"),
          "ROOM",
          List.of(
              "select venue_id || ' ' || what || ' ' || amount from venue_room",
              "venue_id || ' ' || (body ->> 'what') || ' ' || (body ->> 'amount')"),
          "USE",
          List.of("select code || body from house_use", "code || (body #>> '{}')"),
          "LENGTH_RULE",
          List.of(
              "select species || ' ' || minimum_mm || ' ' || expires from length_rule",
              "(body ->> 'species') || ' ' || (body ->> 'minimum') || ' ' || (body ->> 'expires')"),
          "FREEZING_RULE",
          List.of(
              "select at_most_dc || ' ' || hours || ' ' || coalesce(thickest_mm, 0)"
                  + " from freezing_rule",
              "(body ->> 'atMost') || ' ' || (body ->> 'hours') || ' '"
                  + " || coalesce((body ->> 'thickest')::int, 0)"),
          "OPTION",
          List.of(
              "select option || ' ' || choice || ' ' || set_by from house_option",
              "code || ' ' || (body ->> 'choice') || ' ' || kept_by"));

  private String url;
  private Map<String, List<String>> before;
  private List<String> went;
  private final Map<String, List<String>> stood = new TreeMap<>();

  @BeforeClass
  void bringUpToDate() throws Exception {
    url = TestDatabase.fresh("mosaic_old_house_" + ProcessHandle.current().pid());
    try (Connection connection = connect();
        Statement statement = connection.createStatement();
        InputStream dump = new GZIPInputStream(OldHouseTest.class.getResourceAsStream(DUMP))) {
      statement.execute(new String(dump.readAllBytes(), StandardCharsets.UTF_8));
    }
    before = facts();
    went = rows(GOES);
    for (String section : SECTIONS.keySet()) {
      stood.put(section, rows(SECTIONS.get(section).get(0)).stream().sorted().toList());
    }
    Flyway.configure()
        .dataSource(url, TestDatabase.user(), TestDatabase.password())
        .locations("classpath:db/migration")
        .load()
        .migrate();
  }

  private Connection connect() throws SQLException {
    return DriverManager.getConnection(url, TestDatabase.user(), TestDatabase.password());
  }

  private List<String> rows(String query) throws SQLException {
    List<String> rows = new ArrayList<>();
    try (Connection connection = connect();
        Statement statement = connection.createStatement();
        ResultSet found = statement.executeQuery(query)) {
      while (found.next()) {
        rows.add(found.getString(1));
      }
    }
    return rows;
  }

  private Map<String, List<String>> facts() throws SQLException {
    Map<String, List<String>> all = new TreeMap<>();
    for (Map.Entry<String, String> one : FOR_EVER.entrySet()) {
      all.put(one.getKey(), rows(one.getValue()));
    }
    return all;
  }

  @Test
  public void gramsAndMoneyStayEqual() throws SQLException {
    assertEquals(facts(), before);
    assertTrue(before.values().stream().allMatch(rows -> rows.get(0) != null), "" + before);
  }

  @Test
  public void everyPartGoesWhereItWentByItsNumberNow() throws SQLException {
    assertEquals(
        rows(
            """
            select lot_id || ' ' || slot || ': ' || coalesce(purpose, '-') || ' '
              || lower(btrim(coalesce(d.name, becomes)))
            from lot_part p left join dish d on d.id = p.dish_id order by lot_id, slot
            """),
        went);
    assertTrue(
        Integer.parseInt(rows("select count(*) from lot_part where dish_id is not null").get(0))
            > 10,
        "many go to dishes");
    // nothing that has the name of a dish that is served is left to its name
    assertEquals(
        rows(
            """
            select p.slot from lot_part p join dish d on lower(d.name) = lower(btrim(p.becomes))
            where d.active
            """),
        List.of());
  }

  @Test
  public void whatHadATableOfItsOwnStandsInTheBook() throws SQLException {
    for (String section : SECTIONS.keySet()) {
      assertEquals(
          rows(
                  "select "
                      + SECTIONS.get(section).get(1)
                      + " from house_book where book = '"
                      + section
                      + "'")
              .stream()
              .sorted()
              .toList(),
          stood.get(section),
          section);
    }
    assertTrue(stood.values().stream().mapToInt(List::size).sum() > 10, "it wrote much: " + stood);
  }

  @Test
  public void aPotKeepsItsKettle() throws SQLException {
    assertEquals(
        rows(
            """
            select count(*) from pot_batch b
            where not exists (select from house_book k where k.id = b.kettle_id and k.book = 'KETTLE')
            """),
        List.of("0"));
  }

  @Test
  public void aWayKeepsItsDishesByNumber() throws SQLException {
    assertEquals(
        rows(
            """
            select distinct d.name
            from house_book w, jsonb_each(w.body->'fates') f
              join dish d on d.id = (f.value->>'dish')::bigint
            where w.book = 'WAY'
            """),
        List.of("Albacore, seared"));
    assertEquals(
        rows(
            """
            select f.key from house_book w, jsonb_each(w.body->'fates') f
            where w.book = 'WAY' and not jsonb_exists_all(
              f.value, array['purpose', 'dish', 'use', 'becomes', 'venue'])
            """),
        List.of());
  }

  @Test
  public void hoursOfFreezingBecomeSpansAndThoseThatCannotHaveBeenOpenNothing()
      throws SQLException {
    assertEquals(
        rows("select count(*) from freezing_record where frozen_from > frozen_to"), List.of("0"));
    assertEquals(
        rows(
            """
            select count(*) from freezing_record r join lot l on l.id = r.lot_id
            where r.froze = 'HOUSE' and r.frozen_from < l.received_at
            """),
        List.of("0"));
    assertTrue(
        Integer.parseInt(
                rows("select count(*) from freezing_record where froze = 'UNPROVED'").get(0))
            > 0,
        "hours typed minutes after receipt are among them");
  }

  @Test
  public void theDumpHoldsFactsOfEveryKind() throws SQLException, IOException {
    // sessions and keys of people are no facts of a house; what is cold by a reading came later
    List<String> empty =
        rows(
            """
            select c.relname from pg_class c join pg_namespace n on n.oid = c.relnamespace
            where c.relkind = 'r' and n.nspname = 'public'
              and (xpath('/row/n/text()', query_to_xml('select count(*) as n from ' || c.relname,
                false, true, '')))[1]::text = '0'
            order by 1
            """);
    empty.removeAll(
        List.of(
            "api_token",
            "known_browser",
            "larder_chilled",
            "scale_claim",
            "sign_in_try",
            "spring_session",
            "spring_session_attributes",
            "welcome_link"));
    assertEquals(String.join(", ", empty), "");
    assertEquals(rows("select count(distinct venue_id) from lot"), List.of("3"));
  }
}
