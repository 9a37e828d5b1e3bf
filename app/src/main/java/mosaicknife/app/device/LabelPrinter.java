package mosaicknife.app.device;

import java.util.Optional;

/** The label printer: a port, so that a real one can take the place of the stand-in. */
public interface LabelPrinter {

  /**
   * Prints a label.
   *
   * @param code the code of what it is for
   * @param page one page of a PDF, as large as the label
   * @return whether the printer took it; false if there is none or it does not answer
   */
  boolean print(String code, byte[] page);

  /**
   * Returns what came out last, where that can be seen.
   *
   * @param code the code of what it was for
   * @return a PNG; empty for a printer that shows nothing, or before the first label
   */
  Optional<byte[]> last(String code);
}
