/**
 * Where fillets are cut: their shape from the body plan at their measured mass, and the cuts that
 * give the most, of one or of all of a service.
 *
 * <p>Read {@link mosaicknife.core.slice.Fillet}, {@link mosaicknife.core.slice.PortionType}, {@link
 * mosaicknife.core.slice.Slicer}, then {@link mosaicknife.core.slice.PassCut} for pin bones and
 * {@link mosaicknife.core.slice.ServicePlanner} for many fillets.
 */
package mosaicknife.core.slice;
