/**
 * The Slice station: where fillets are cut, one by one or all of a service, what every piece
 * weighs, and the lists and labels of portions. It keeps nothing: what it shows follows from what
 * was weighed and what dishes call a portion.
 */
package mosaicknife.app.slice;
