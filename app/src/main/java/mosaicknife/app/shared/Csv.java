package mosaicknife.app.shared;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Tables that are taken along to a spreadsheet. */
public final class Csv {

  private Csv() {}

  /**
   * Writes a table.
   *
   * @param file the name of the file
   * @param rows its rows, the head first
   * @return the answer with the file
   */
  public static ResponseEntity<String> table(String file, List<List<?>> rows) {
    StringWriter text = new StringWriter();
    try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
      for (List<?> row : rows) {
        printer.printRecord(row.stream().map(Csv::cell).toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(file).build().toString())
        .body(text.toString());
  }

  /** A text that a spreadsheet would take for a formula is marked as text. */
  private static Object cell(Object value) {
    return value instanceof String text && text.matches("(?s)\\s*[=+@＝＋＠\\-].*")
        ? "'" + text
        : value;
  }
}
