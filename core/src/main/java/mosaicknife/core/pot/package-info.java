/**
 * Stock: by which method, how much, in which kettle, and how a batch that runs stands.
 *
 * <p>A batch that runs is a list of facts with their moments; its clocks are worked out from them.
 */
package mosaicknife.core.pot;
