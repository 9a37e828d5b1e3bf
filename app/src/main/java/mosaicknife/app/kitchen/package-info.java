/**
 * Kitchen work on the fish: what lies in a marinade, when a piece is done, how much dough binds a
 * sauce. Times and sums are the core's; what went in and came out are facts.
 */
package mosaicknife.app.kitchen;
