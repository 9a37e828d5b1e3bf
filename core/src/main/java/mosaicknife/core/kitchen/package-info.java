/** Kitchen work on the fish beside cutting and stock: what lies in something until it is ready. */
package mosaicknife.core.kitchen;
