package mosaicknife.app.bench;

import java.time.Instant;

/**
 * A remark at the bench.
 *
 * @param part the part it is about; empty for the whole lot
 * @param text what was written
 * @param by who wrote it
 * @param at when
 */
public record Note(String part, String text, String by, Instant at) {}
