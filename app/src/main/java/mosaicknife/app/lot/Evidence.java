package mosaicknife.app.lot;

import java.time.Instant;
import java.util.Set;
import mosaicknife.core.lot.Saying;

/**
 * A document or photo that belongs to a lot.
 *
 * @param id its number
 * @param kind what it shows
 * @param shows what it shows of the catch; a hook mark shows the line
 * @param name the name of the file
 * @param picture whether it is a picture, else it is a PDF
 * @param by who added it
 * @param at when
 */
public record Evidence(
    long id, Kind kind, Set<Saying> shows, String name, boolean picture, String by, Instant at) {

  /** What evidence shows. */
  public enum Kind {
    /** The hook mark in the mouth: caught by line. */
    HOOK_MARK,
    /** The label of the box. */
    LABEL,
    /** The invoice or catch papers. */
    INVOICE,
    /** The tag of a fish. */
    TAG,
    /** Damage or bad quality. */
    DAMAGE,
    /** Anything else. */
    OTHER;
  }
}
