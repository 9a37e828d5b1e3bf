/**
 * The book of the house: whatever it says of itself that can be said anew, such as its kettles,
 * limits, rules, ways and uses. Of each entry the newest row counts; what was taken out stays to be
 * read. A station says what its section holds and asks for it; nobody else reads the rows.
 */
package mosaicknife.app.booklet;
