/**
 * Checks of arguments on entry, in one form of message. Knows no other package.
 *
 * <p>Read {@link mosaicknife.core.check.Check}.
 */
package mosaicknife.core.check;
