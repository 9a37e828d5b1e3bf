/**
 * Today: which lots are here, how far each is, and what needs a decision now.
 *
 * <p>It owns nothing; it reads the other stations.
 */
package mosaicknife.app.today;
