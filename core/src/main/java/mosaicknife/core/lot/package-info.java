/**
 * The lot: what was received, what was decided of it, what was weighed, and everything that
 * follows.
 *
 * <p>Facts are {@link mosaicknife.core.lot.Receipt} and {@link mosaicknife.core.lot.Weighing};
 * {@link mosaicknife.core.lot.Part} adds what was laid out and decided. {@link
 * mosaicknife.core.lot.LotSheet} is the pure function of them that every page reads, {@link
 * mosaicknife.core.lot.LotPortions} what it says of plates, from the one list of pieces that {@link
 * mosaicknife.core.lot.OnBoard} lays out, whose {@link mosaicknife.core.lot.Destination} is a
 * number or a code. {@link mosaicknife.core.lot.LotRules} says what cannot be right, {@link
 * mosaicknife.core.lot.Decision} what needs a person, {@link mosaicknife.core.lot.Tally} and {@link
 * mosaicknife.core.lot.Opinions} what a second pair of eyes sees. It stores nothing and words
 * nothing.
 */
package mosaicknife.core.lot;
