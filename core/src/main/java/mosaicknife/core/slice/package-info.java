/**
 * Where a fillet is cut: its shape from the body plan at its measured mass, and the cuts that give
 * the most.
 */
package mosaicknife.core.slice;
