/**
 * How the hands do: the second opinion while it still helps, the drift of a shift, and the minutes
 * that nobody had to time.
 *
 * <p>It judges cutting, not the tally ({@code breakdown}); what it says is a hint with a stated
 * sureness, never a verdict.
 *
 * <p>Read in this order: {@link mosaicknife.core.craft.SecondOpinion}, {@link
 * mosaicknife.core.craft.Drift}, {@link mosaicknife.core.craft.Pace}.
 */
package mosaicknife.core.craft;
