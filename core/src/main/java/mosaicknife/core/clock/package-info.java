/**
 * The clock that counts backward: when each task must start so that every service is met, over the
 * same few hands, hobs and kettles.
 */
package mosaicknife.core.clock;
