package mosaicknife.app.shared;

import java.util.function.Supplier;
import org.springframework.dao.DataIntegrityViolationException;

/** Makes a change that may arrive twice at the same moment, such as a double tap. */
public final class SentTwice {

  private SentTwice() {}

  /**
   * Makes a change; if the database refuses it because its twin was a moment quicker, makes it once
   * more, and then it finds what the twin stored.
   *
   * @param <T> what the change returns
   * @param change the change, in a transaction of its own
   * @return what the change returns
   */
  public static <T> T survive(Supplier<T> change) {
    try {
      return change.get();
    } catch (DataIntegrityViolationException e) {
      return change.get();
    }
  }
}
