/**
 * What every part becomes: the uses of the house, what qualifies for them, batches and their sums,
 * and the plan that gives every gram on hand its best home.
 *
 * <p>Read in this order: {@link mosaicknife.core.use.FishUse}, {@link mosaicknife.core.use.OnHand},
 * {@link mosaicknife.core.use.Qualification}, {@link mosaicknife.core.use.Batch}, {@link
 * mosaicknife.core.use.UsePlanner}.
 */
package mosaicknife.core.use;
