/**
 * What a fish may be used for: freshness by demerits, temperature, the raw gate and length rules.
 *
 * <p>Everything here proposes; the person decides, and the local code rules. Every figure is a
 * starting estimate that says so.
 */
package mosaicknife.core.safety;
