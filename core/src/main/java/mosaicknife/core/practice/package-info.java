/**
 * Fish that exist only as numbers, for the demo and for practice.
 *
 * <p>Read {@link mosaicknife.core.practice.FishSimulator}.
 */
package mosaicknife.core.practice;
