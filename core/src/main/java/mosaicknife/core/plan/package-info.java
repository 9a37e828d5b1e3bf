/**
 * The cut plan: which option for which question, what each part becomes and for whom, what must be
 * done beforehand, and how each step is cut.
 *
 * <p>It foresees; it does not record what was weighed ({@code breakdown}) and does not choose what
 * to buy ({@code buying}). Fractions and minutes of the options are starting estimates.
 *
 * <p>Read in this order: {@link mosaicknife.core.plan.CuttingOption}, {@link
 * mosaicknife.core.plan.CuttingOptions}, {@link mosaicknife.core.plan.CutPlan}, {@link
 * mosaicknife.core.plan.Pieces}, {@link mosaicknife.core.plan.PreWork}, {@link
 * mosaicknife.core.plan.Guide}.
 */
package mosaicknife.core.plan;
