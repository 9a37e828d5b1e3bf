package mosaicknife.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Locale;
import org.postgresql.ds.PGSimpleDataSource;
import org.springframework.util.FileSystemUtils;

/**
 * What the script asks of a backup. Its last line is the answer, for the script to put into words:
 * {@code fit} and what was found, or {@code unfit}, why, and a detail.
 *
 * <pre>
 * seal FILE SEAL                       writes the last line of a file
 * check FILE SEAL [unsealed]           whether it is whole and of this house
 * dump FILE SEAL [unsealed]            the dump in it, to standard output
 * load FOLDER                          the rows of the text on standard input into MOSAIC_DB_URL
 * </pre>
 */
public final class BackupTool {

  private BackupTool() {}

  /**
   * Does one of them.
   *
   * @param words the verb and what it needs
   * @throws Exception if a file or the database does not answer
   */
  public static void main(String[] words) throws Exception {
    try {
      String found = did(words);
      if (!found.isEmpty()) {
        System.out.println("fit " + found);
      }
    } catch (Unfit e) {
      System.out.println("unfit " + e.why().name().toLowerCase(Locale.ROOT) + " " + e.getMessage());
      System.exit(1);
    }
  }

  private static String did(String[] words) throws IOException, SQLException {
    switch (words[0]) {
      case "seal":
        BackupFile.seal(Path.of(words[1]), Seal.read(Path.of(words[2])));
        return "sealed";
      case "check":
        BackupFile.Said said = checked(words);
        return said.mode() + " " + said.how();
      case "dump":
        dump(Path.of(words[1]), checked(words), System.out);
        return "";
      case "load":
        return loaded(Path.of(words[1])) + " rows";
      default:
        throw new IllegalArgumentException(words[0]);
    }
  }

  private static BackupFile.Said checked(String[] words) throws IOException {
    return BackupFile.check(Path.of(words[1]), Seal.read(Path.of(words[2])), words.length > 3);
  }

  private static void dump(Path file, BackupFile.Said said, OutputStream out) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      in.skipNBytes(said.headBytes());
      byte[] chunk = new byte[1 << 16];
      for (long left = Files.size(file) - said.headBytes() - said.tailBytes(); left > 0; ) {
        int read = in.read(chunk, 0, (int) Math.min(chunk.length, left));
        out.write(chunk, 0, read);
        left -= read;
      }
      out.flush();
    }
  }

  private static long loaded(Path folder) throws IOException, SQLException {
    PGSimpleDataSource database = new PGSimpleDataSource();
    database.setUrl(System.getenv("MOSAIC_DB_URL"));
    database.setUser(System.getenv("MOSAIC_DB_USER"));
    database.setPassword(System.getenv("MOSAIC_DB_PASSWORD"));
    Path rows = Files.createTempDirectory(folder, "rows");
    try {
      return new DataLoader(database).load(Sections.of(System.in, rows));
    } finally {
      FileSystemUtils.deleteRecursively(rows);
    }
  }
}
