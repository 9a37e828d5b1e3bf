package mosaicknife.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.postgresql.PGConnection;

/**
 * Puts the rows of a backup into an empty database: our migrations make the tables as they were
 * when it was written, the rows are copied in, and then the tables are brought up to date. Needs
 * the owner of that database and no superuser.
 */
final class DataLoader {

  private static final String HISTORY = "flyway_schema_history";

  /** What no migration may change: weights, and money that is owed. */
  private static final List<String> FOR_EVER =
      List.of(
          "select count(*) || ' ' || coalesce(sum(mass_mg), 0) from weighing",
          "select count(*) || ' ' || coalesce(sum(invoiced_mg), 0) || ' '"
              + " || coalesce(sum(price_per_kg * invoiced_mg), 0) from lot");

  private final DataSource database;

  DataLoader(DataSource database) {
    this.database = database;
  }

  /**
   * Loads.
   *
   * @param sections the rows
   * @return how many rows were put in
   * @throws Unfit if they are not those of a house this release knows; the database is of no use
   *     then
   * @throws SQLException if the database refuses them
   * @throws IOException if they cannot be read
   */
  long load(Sections sections) throws SQLException, IOException {
    Flyway newest = flyway("latest");
    flyway(version(sections, newest)).migrate();
    long rows;
    try (Connection connection = database.getConnection()) {
      connection.setAutoCommit(false);
      rows = copy(sections, connection);
      connection.commit();
    }
    List<String> before = sums();
    newest.migrate();
    if (!sums().equals(before)) {
      throw new Unfit(Unfit.Why.OTHER_SUMS, before + " / " + sums());
    }
    return rows;
  }

  private Flyway flyway(String target) {
    return Flyway.configure()
        .dataSource(database)
        .locations("classpath:db/migration")
        .target(target)
        .load();
  }

  /** The newest change of its tables, if all of them are ours, one after the other. */
  private static String version(Sections sections, Flyway newest) throws IOException {
    Sections.Rows history = sections.tables().get(HISTORY);
    if (history == null || !sections.tables().keySet().containsAll(Set.of("house", "weighing"))) {
      throw new Unfit(Unfit.Why.NO_HOUSE, "");
    }
    Map<String, String> theirs = new TreeMap<>();
    int version = history.columns().indexOf("version");
    int checksum = history.columns().indexOf("checksum");
    for (String line : Files.readAllLines(history.file(), StandardCharsets.UTF_8)) {
      String[] row = line.split("\t", -1);
      if (row.length != history.columns().size() || version < 0 || checksum < 0) {
        throw new Unfit(Unfit.Why.NO_HOUSE, "");
      }
      theirs.put(row[version], row[checksum]);
    }
    String last = "";
    for (MigrationInfo ours : newest.info().all()) {
      String known = theirs.remove(ours.getVersion().getVersion());
      if (known == null) {
        break;
      }
      if (!known.equals(String.valueOf(ours.getChecksum()))) {
        throw new Unfit(Unfit.Why.OTHER_RELEASE, ours.getVersion().getVersion());
      }
      last = ours.getVersion().getVersion();
    }
    if (last.isEmpty() || !theirs.isEmpty()) {
      throw new Unfit(Unfit.Why.OTHER_RELEASE, String.join(" ", theirs.keySet()));
    }
    return last;
  }

  private static long copy(Sections sections, Connection connection)
      throws SQLException, IOException {
    Map<String, Set<String>> ours = columns(connection);
    ours.remove(HISTORY);
    sections
        .tables()
        .forEach(
            (table, rows) -> {
              boolean isKnown =
                  table.equals(HISTORY)
                      || new HashSet<>(rows.columns()).equals(ours.get(table))
                          && rows.columns().size() == ours.get(table).size();
              if (!isKnown) {
                throw new Unfit(Unfit.Why.STRANGE, table);
              }
            });
    long all = 0;
    try (Statement statement = connection.createStatement()) {
      // facts take no change once they are in, and what our migrations put in comes from the file
      for (String table : ours.keySet()) {
        statement.execute("alter table " + quoted(table) + " disable trigger user");
      }
      statement.execute(
          ours.keySet().stream()
              .map(DataLoader::quoted)
              .collect(Collectors.joining(", ", "truncate ", "")));
      List<String> links = links(connection);
      for (String link : links) {
        statement.execute(link + " deferrable initially deferred");
      }
      PGConnection postgres = connection.unwrap(PGConnection.class);
      for (Map.Entry<String, Sections.Rows> one : sections.tables().entrySet()) {
        if (!one.getKey().equals(HISTORY)) {
          all += copy(postgres, one.getKey(), one.getValue());
        }
      }
      statement.execute("set constraints all immediate");
      for (String link : links) {
        statement.execute(link + " not deferrable");
      }
      for (String table : ours.keySet()) {
        statement.execute("alter table " + quoted(table) + " enable trigger user");
      }
      Set<String> counters =
          Set.copyOf(
              rows(
                  connection, "select sequencename from pg_sequences where schemaname = 'public'"));
      for (Map.Entry<String, Long> counter : sections.counters().entrySet()) {
        if (counters.contains(counter.getKey()) && counter.getValue() > 0) {
          statement.execute(
              "select setval('public."
                  + quoted(counter.getKey())
                  + "', "
                  + counter.getValue()
                  + ")");
        }
      }
    }
    return all;
  }

  private static long copy(PGConnection postgres, String table, Sections.Rows rows)
      throws SQLException, IOException {
    String columns =
        rows.columns().stream().map(DataLoader::quoted).collect(Collectors.joining(", "));
    try (InputStream in = Files.newInputStream(rows.file())) {
      long taken =
          postgres
              .getCopyAPI()
              .copyIn("copy " + quoted(table) + " (" + columns + ") from stdin", in);
      if (taken != rows.count()) {
        throw new Unfit(Unfit.Why.STRANGE, table + ": " + taken + " of " + rows.count());
      }
      return taken;
    }
  }

  /** Names come from our own tables or equal one of theirs. */
  private static String quoted(String name) {
    return '"' + name + '"';
  }

  /** Rows point at rows of tables that come later: that is asked at the end. */
  private static List<String> links(Connection connection) throws SQLException {
    return rows(
        connection,
        """
        select format('alter table %s alter constraint %I', conrelid::regclass, conname)
        from pg_constraint c join pg_namespace n on n.oid = c.connamespace
        where n.nspname = 'public' and c.contype = 'f'
        """);
  }

  private static Map<String, Set<String>> columns(Connection connection) throws SQLException {
    return rows(
            connection,
            """
            select c.table_name || ' ' || c.column_name
            from information_schema.columns c join information_schema.tables t
              on t.table_schema = c.table_schema and t.table_name = c.table_name
            where c.table_schema = 'public' and t.table_type = 'BASE TABLE' and c.is_generated = 'NEVER'
            """)
        .stream()
        .map(name -> name.split(" "))
        .collect(
            Collectors.groupingBy(
                name -> name[0],
                TreeMap::new,
                Collectors.mapping(name -> name[1], Collectors.toSet())));
  }

  private static List<String> rows(Connection connection, String sql) throws SQLException {
    List<String> rows = new ArrayList<>();
    try (Statement statement = connection.createStatement();
        ResultSet found = statement.executeQuery(sql)) {
      while (found.next()) {
        rows.add(found.getString(1));
      }
    }
    return rows;
  }

  private List<String> sums() throws SQLException {
    try (Connection connection = database.getConnection()) {
      List<String> sums = new ArrayList<>();
      for (String sum : FOR_EVER) {
        sums.addAll(rows(connection, sum));
      }
      return sums;
    }
  }
}
