package mosaicknife.app.lot;

import java.time.Instant;

/**
 * A document or photo that belongs to a lot.
 *
 * @param id its number
 * @param kind what it shows
 * @param name the name of the file
 * @param picture whether it is a picture, else it is a PDF
 * @param by who added it
 * @param at when
 */
public record Evidence(long id, Kind kind, String name, boolean picture, String by, Instant at) {

  /** What evidence shows. */
  public enum Kind {
    /** The hook mark in the mouth: caught by line. */
    HOOK_MARK,
    /** The label of the box. */
    LABEL,
    /** The invoice or catch papers. */
    INVOICE,
    /** Damage or bad quality. */
    DAMAGE,
    /** Anything else. */
    OTHER;
  }
}
