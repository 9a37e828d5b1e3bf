/**
 * What the core has to say, before anyone has put it into words.
 *
 * <p>A {@link mosaicknife.core.finding.Finding} names what is the case and carries its figures; the
 * page words it from a message bundle, in the language and the units of the person who reads. It
 * does not know any rule: each package keeps an enum of what it can find.
 */
package mosaicknife.core.finding;
