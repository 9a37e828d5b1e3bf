package mosaicknife.app.backup;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.GZIPInputStream;
import mosaicknife.app.TestDatabase;
import org.postgresql.PGConnection;
import org.postgresql.ds.PGSimpleDataSource;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.util.FileSystemUtils;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * A house that 0.10.0 left is put back by a role that may nothing, from files that try to do more
 * than that.
 */
public class DataLoaderTest {

  private static final long MINE = ProcessHandle.current().pid();
  private static final String ROLE = "mosaic_rows_" + MINE;
  private static final String DATABASE = "mosaic_put_back_" + MINE;

  private JdbcClient old;
  private String text;
  private Path folder;
  private JdbcClient loaded;
  private PGSimpleDataSource asRole;

  @BeforeClass
  void readAnOldHouse() throws Exception {
    PGSimpleDataSource source = source(TestDatabase.fresh("mosaic_old_rows_" + MINE));
    old = JdbcClient.create(source);
    try (Connection connection = source.getConnection();
        Statement statement = connection.createStatement();
        InputStream dump =
            new GZIPInputStream(
                DataLoaderTest.class.getResourceAsStream("/dumps/house-0.10.0.sql.gz"))) {
      statement.execute(new String(dump.readAllBytes(), StandardCharsets.UTF_8));
    }
    text = dumped(source);
  }

  private static PGSimpleDataSource source(String url) {
    PGSimpleDataSource source = new PGSimpleDataSource();
    source.setUrl(url);
    source.setUser(TestDatabase.user());
    source.setPassword(TestDatabase.password());
    return source;
  }

  /** As a dump unpacks: every table of the house with its rows, and where the counters stand. */
  private String dumped(PGSimpleDataSource source) throws SQLException, IOException {
    StringBuilder dump = new StringBuilder("--\n-- a dump\n--\n\nSET row_security = off;\n");
    try (Connection connection = source.getConnection()) {
      for (String table :
          strings(old, "select tablename from pg_tables where schemaname = 'public'")) {
        String columns =
            String.join(
                ", ",
                strings(
                    old,
                    "select quote_ident(column_name) from information_schema.columns where"
                        + " table_schema = 'public' and is_generated = 'NEVER' and table_name = '"
                        + table
                        + "' order by ordinal_position"));
        ByteArrayOutputStream rows = new ByteArrayOutputStream();
        connection
            .unwrap(PGConnection.class)
            .getCopyAPI()
            .copyOut("copy " + table + " (" + columns + ") to stdout", rows);
        dump.append("COPY public.").append(table).append(" (").append(columns);
        dump.append(") FROM stdin;\n")
            .append(rows.toString(StandardCharsets.UTF_8))
            .append("\\.\n\n");
      }
    }
    strings(
            old,
            "select format('SELECT pg_catalog.setval(''public.%s'', %s, true);', sequencename,"
                + " last_value) from pg_sequences where last_value is not null")
        .forEach(line -> dump.append(line).append('\n'));
    return dump.toString();
  }

  private static List<String> strings(JdbcClient of, String sql) {
    return of.sql(sql).query(String.class).list();
  }

  private static String string(JdbcClient of, String sql) {
    return of.sql(sql).query(String.class).single();
  }

  @BeforeMethod
  void makeAnEmptyDatabase() throws IOException {
    String url = TestDatabase.fresh(DATABASE);
    loaded = JdbcClient.create(source(url));
    loaded.sql("drop role if exists " + ROLE).update();
    loaded.sql("create role " + ROLE + " login password 'rows'").update();
    loaded.sql("alter database " + DATABASE + " owner to " + ROLE).update();
    asRole = source(url);
    asRole.setUser(ROLE);
    asRole.setPassword("rows");
    folder = Files.createTempDirectory("mosaic-rows");
  }

  @AfterMethod(alwaysRun = true)
  void clear() throws IOException {
    FileSystemUtils.deleteRecursively(folder);
  }

  private long load(String dump) throws Exception {
    Path rows = Files.createTempDirectory(folder, "rows");
    return new DataLoader(asRole)
        .load(Sections.of(new ByteArrayInputStream(dump.getBytes(StandardCharsets.UTF_8)), rows));
  }

  private Unfit.Why why(String dump) {
    return expectThrows(Unfit.class, () -> load(dump)).why();
  }

  @Test
  public void aHouseOfAnOlderReleaseIsPutBackAndBroughtUpToDate() throws Exception {
    long rows = load(text);
    assertEquals(
        rows,
        strings(old, "select tablename from pg_tables where schemaname = 'public'").stream()
            .filter(table -> !table.equals("flyway_schema_history"))
            .mapToLong(table -> Long.parseLong(string(old, "select count(*) from " + table)))
            .sum());
    for (String sum :
        List.of(
            "select string_agg(w::text, '|' order by w.id) from weighing w",
            "select string_agg(p.name, '|' order by p.id) from person p",
            "select sum(price_per_kg * invoiced_mg) from lot",
            "select count(*) || ' ' || sum(milligrams) from larder_source")) {
      assertEquals(string(loaded, sum), string(old, sum), sum);
    }
    // the tables are ours again: facts stay, links hold, and counters go on from where they stood
    expectThrows(
        DataAccessException.class, () -> loaded.sql("update weighing set mass_mg = 1").update());
    expectThrows(DataAccessException.class, () -> loaded.sql("delete from person").update());
    assertEquals(
        string(loaded, "select count(*) from pg_constraint where contype = 'f' and condeferrable"),
        "0");
    assertEquals(
        string(loaded, "select nextval(pg_get_serial_sequence('lot', 'id'))"),
        string(old, "select nextval(pg_get_serial_sequence('lot', 'id'))"));
  }

  /** What was tried on a release that put dumps back as they were, and more of its kind. */
  @Test
  public void noLineOfAFileIsACommand() throws Exception {
    Path touched = folder.resolve("touched");
    String evil =
        """
        CREATE FUNCTION public.evil() RETURNS boolean LANGUAGE plpgsql AS $$ begin
          reset role; copy (select 1) to program 'touch %1$s'; return true; end $$;
        ALTER TABLE public.weighing ADD CONSTRAINT evil CHECK (public.evil());
        CREATE TRIGGER evil AFTER INSERT ON public.weighing FOR EACH ROW EXECUTE FUNCTION evil();
        SELECT pg_catalog.setval('public.evil', 1, true);
        SELECT public.evil();
        DROP TABLE public.person CASCADE;
        \\! touch %1$s
        \\copy public.person to program 'touch %1$s'
        CREATE TABLE public.more (id bigint);
        """
            .formatted(touched);
    load(evil + text + evil);
    assertFalse(Files.exists(touched));
    assertEquals(string(loaded, "select count(*) from pg_proc where proname = 'evil'"), "0");
    assertEquals(string(loaded, "select count(*) from pg_tables where tablename = 'more'"), "0");
    assertEquals(
        string(loaded, "select count(*) from person"), string(old, "select count(*) from person"));
  }

  @DataProvider
  Object[][] strange() {
    List<Object[]> lines = new ArrayList<>();
    for (String line :
        List.of(
            "COPY public.weighing FROM PROGRAM 'id';",
            "COPY public.weighing (id) FROM PROGRAM 'id';",
            "COPY public.weighing (id) FROM stdin; DROP TABLE person;",
            "copy public.weighing (id) from stdin;",
            "COPY pg_catalog.pg_authid (rolname) FROM stdin;\nx\n\\.",
            "COPY public.nobodys (id) FROM stdin;\n1\n\\.",
            "COPY public.\"house\" (id) FROM stdin;\n1\n\\.",
            "COPY public.house (id, id) FROM stdin;\n1\t1\n\\.")) {
      lines.add(new Object[] {line});
    }
    return lines.toArray(Object[][]::new);
  }

  @Test(dataProvider = "strange")
  public void whatBeginsRowsAndIsNoneOfOursIsRefused(String line) {
    assertEquals(why(text + line + "\n"), Unfit.Why.STRANGE);
  }

  @Test
  public void rowsOfATableComeOnce() {
    assertEquals(why(text + text), Unfit.Why.STRANGE);
  }

  @Test
  public void rowsEndOrAreCutOff() {
    assertEquals(why(text.substring(0, text.indexOf("\\.\n"))), Unfit.Why.CUT_OFF);
    assertEquals(why("-- nothing\n"), Unfit.Why.NO_HOUSE);
  }

  @Test
  public void rowsThatOurTablesRefuseAreRefused() {
    String twice = text.replaceFirst("(COPY public\\.person [^\n]*\n)([^\n]*\n)", "$1$2$2");
    expectThrows(SQLException.class, () -> load(twice));
    String orphan = text.replaceFirst("(COPY public\\.lot \\([^\n]*\n)[^\n]*\n", "$1");
    expectThrows(SQLException.class, () -> load(orphan));
  }

  @Test
  public void aHouseOfAReleaseThatIsNotKnownIsRefused() {
    String row = text.lines().filter(line -> line.startsWith("32\t32\t")).findFirst().orElseThrow();
    assertTrue(text.contains(row + "\n"));
    assertEquals(
        why(text.replace(row, row + "\n" + row.replace("32\t32\t", "99\t99\t"))),
        Unfit.Why.OTHER_RELEASE);
    String[] fields = row.split("\t");
    assertEquals(why(text.replace(row, row.replace(fields[5], "12345"))), Unfit.Why.OTHER_RELEASE);
  }
}
