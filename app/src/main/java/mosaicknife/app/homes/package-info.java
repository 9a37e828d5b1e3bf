/**
 * Uses: what every part of a lot becomes, and the best home for every part on hand, tonight, over
 * all venues; what was decided, what is to be made, and the house's own book of uses.
 *
 * <p>What may become what, the plan and the sums are the core's ({@code mosaicknife.core.use});
 * purposes are kept by {@link mosaicknife.app.parts}, and what was made goes on a shelf of {@link
 * mosaicknife.app.larder}.
 */
package mosaicknife.app.homes;
