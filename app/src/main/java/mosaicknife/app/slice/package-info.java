/**
 * The Slice station: where a fillet is cut, what every piece weighs, and the list of the portions.
 * It keeps nothing: what it shows follows from what was weighed and what the dish calls a portion.
 */
package mosaicknife.app.slice;
