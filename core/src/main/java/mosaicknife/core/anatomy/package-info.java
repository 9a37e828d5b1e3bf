/**
 * What fish are made of: body plans with their drawings, part kinds, species, states, purposes and
 * the starting norms of the reference catalogue.
 *
 * <p>Facts come from data files beside the classes, read strictly by {@link
 * mosaicknife.core.anatomy.Catalogue}. Nothing here weighs or costs a fish.
 *
 * <p>Read in this order: {@link mosaicknife.core.anatomy.PartKind}, {@link
 * mosaicknife.core.anatomy.BodyPlan}, {@link mosaicknife.core.anatomy.Species}, {@link
 * mosaicknife.core.anatomy.State}, {@link mosaicknife.core.anatomy.Purpose}; for pictures {@link
 * mosaicknife.core.anatomy.Portrait}.
 */
package mosaicknife.core.anatomy;
