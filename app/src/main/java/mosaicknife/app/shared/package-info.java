/**
 * What every station needs and none owns: refusals in plain words, numbers as people read them, and
 * the guard against huge requests. Knows no station.
 *
 * <p>Read {@link mosaicknife.app.shared.Refusal} and {@link mosaicknife.app.shared.Formats}.
 */
package mosaicknife.app.shared;
