/**
 * Uses of the whole house: the best home for every part on hand, tonight, over all venues; what was
 * decided, what is to be made, and the house's own book of uses.
 *
 * <p>What may become what, the plan and the sums are the core's ({@code mosaicknife.core.use});
 * what was made goes on a shelf of {@link mosaicknife.app.larder}.
 */
package mosaicknife.app.homes;
