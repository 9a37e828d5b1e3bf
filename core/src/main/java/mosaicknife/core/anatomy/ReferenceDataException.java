package mosaicknife.core.anatomy;

/** A reference data file has a line that cannot be read. */
public final class ReferenceDataException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  ReferenceDataException(String file, int line, String text, String problem) {
    super("%s, line %d: %s, found '%s'".formatted(file, line, problem, text));
  }

  ReferenceDataException(String file, Throwable cause) {
    super("The reference data file %s cannot be read".formatted(file), cause);
  }
}
