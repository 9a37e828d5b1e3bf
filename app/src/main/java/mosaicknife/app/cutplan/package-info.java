/**
 * The Cut plan station: which option for which question, what every part becomes and where, what to
 * do beforehand, before the first cut.
 *
 * <p>It shows and asks; the answers are kept with the parts of the lot ({@code bench}). Read in
 * this order: {@link mosaicknife.app.cutplan.CutPlanView}, {@code PlanController}.
 */
package mosaicknife.app.cutplan;
