package mosaicknife.app.catalogue;

import java.time.Instant;

/**
 * An answer to a option.
 *
 * @param choice the code of the choice
 * @param reason why, possibly empty
 * @param by who gave it
 * @param at when
 */
public record Answer(String choice, String reason, String by, Instant at) {}
