package mosaicknife.app.use;

import java.io.Serializable;

/**
 * What is said of a part beside its purpose, as typed. A field that was not sent is empty. It rides
 * in the session of the database for one request when it was refused.
 *
 * @param becomes what it becomes
 * @param value what the house would pay for it
 * @param until the day to use it by
 * @param place where it is kept
 * @param keeper the number of the person who keeps it
 */
record UseForm(String becomes, String value, String until, String place, String keeper)
    implements Serializable {

  /** Puts an empty text where nothing was sent. */
  UseForm {
    becomes = orEmpty(becomes);
    value = orEmpty(value);
    until = orEmpty(until);
    place = orEmpty(place);
    keeper = orEmpty(keeper);
  }

  private static String orEmpty(String text) {
    return text == null ? "" : text;
  }
}
