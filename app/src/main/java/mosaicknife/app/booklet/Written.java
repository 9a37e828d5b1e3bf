package mosaicknife.app.booklet;

import java.time.Instant;
import java.util.Optional;

/**
 * An entry of the book as it was written once.
 *
 * @param <T> what it says
 * @param id the number of this row; a change of the entry has a higher one
 * @param code what the entry is known by in its section, whatever is changed of it
 * @param said what it says
 * @param retired whether it was taken out with this row
 * @param by the number of the person who wrote it
 * @param at when; empty for what older versions kept without the time
 */
public record Written<T>(
    long id, String code, T said, boolean retired, long by, Optional<Instant> at) {}
