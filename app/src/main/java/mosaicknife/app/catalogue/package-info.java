/**
 * Catalogue: the fish, body plans and parts the house knows, with what it changed itself.
 *
 * <p>The shipped catalogue is the ground; edits lie over it as facts with who and when. All other
 * stations ask {@link mosaicknife.app.catalogue.CatalogueEditor} and never the shipped one.
 */
package mosaicknife.app.catalogue;
