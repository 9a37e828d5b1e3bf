package mosaicknife.app.backup;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The rows of a dump and nothing else of it. Of the text a dump unpacks to, only rows between a
 * line that names a table and its columns and the line that ends them are read, and where a counter
 * stands; no line of it is ever given to a database as a command.
 *
 * @param tables the rows of each table, by its name
 * @param counters where each counter stands, by its name
 */
record Sections(Map<String, Rows> tables, Map<String, Long> counters) {

  private static final Pattern BEGIN =
      Pattern.compile("COPY public\\.([a-z_][a-z0-9_]*) \\(([a-z0-9_, \"]+)\\) FROM stdin;");
  private static final Pattern COUNTER =
      Pattern.compile(
          "SELECT pg_catalog\\.setval\\('public\\.([a-z_][a-z0-9_]*)', ([0-9]{1,18}), true\\);");
  private static final String END = "\\.";

  /** No row of ours is nearly as long; pictures and files are not kept in tables. */
  private static final int LONGEST_LINE = 32 << 20;

  /**
   * The rows of a table.
   *
   * @param columns the columns, in the order of the rows
   * @param file the rows, one a line
   * @param count how many
   */
  record Rows(List<String> columns, Path file, long count) {}

  /**
   * Takes the rows out of a dump.
   *
   * @param text what it unpacks to
   * @param folder where the rows are put, a file for each table; must be empty
   * @return the rows
   * @throws Unfit if a line begins rows and is none we would have written, or rows have no end
   * @throws IOException if they cannot be read or written
   */
  static Sections of(InputStream text, Path folder) throws IOException {
    Map<String, Rows> tables = new LinkedHashMap<>();
    Map<String, Long> counters = new TreeMap<>();
    InputStream in = new BufferedInputStream(text, 1 << 16);
    ByteArrayOutputStream line = new ByteArrayOutputStream();
    while (next(in, line)) {
      String said = line.toString(StandardCharsets.ISO_8859_1);
      Matcher counter = COUNTER.matcher(said);
      if (counter.matches()) {
        counters.put(counter.group(1), Long.valueOf(counter.group(2)));
      }
      if (said.regionMatches(true, 0, "COPY ", 0, "COPY ".length())) {
        Matcher begin = BEGIN.matcher(said);
        if (!begin.matches() || tables.containsKey(begin.group(1))) {
          throw new Unfit(Unfit.Why.STRANGE, shortened(said));
        }
        List<String> columns = Arrays.asList(begin.group(2).replace("\"", "").split(", "));
        Path file = folder.resolve(begin.group(1));
        tables.put(begin.group(1), new Rows(columns, file, rows(in, line, file)));
      }
    }
    return new Sections(tables, counters);
  }

  private static long rows(InputStream in, ByteArrayOutputStream line, Path file)
      throws IOException {
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
      for (long count = 0; next(in, line); count++) {
        if (line.size() == END.length() && line.toString(StandardCharsets.US_ASCII).equals(END)) {
          return count;
        }
        line.writeTo(out);
        out.write('\n');
      }
    }
    throw new Unfit(Unfit.Why.CUT_OFF, file.getFileName().toString());
  }

  /** Reads a line without its end; false where there is none. */
  private static boolean next(InputStream in, ByteArrayOutputStream line) throws IOException {
    line.reset();
    int one = in.read();
    if (one < 0) {
      return false;
    }
    for (; one >= 0 && one != '\n'; one = in.read()) {
      line.write(one);
      if (line.size() > LONGEST_LINE) {
        throw new Unfit(Unfit.Why.STRANGE, "a line of more than " + LONGEST_LINE + " bytes");
      }
    }
    return true;
  }

  private static String shortened(String line) {
    return line.replaceAll("[^ -~]", "?").substring(0, Math.min(line.length(), 120));
  }
}
