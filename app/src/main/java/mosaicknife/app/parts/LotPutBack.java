package mosaicknife.app.parts;

/**
 * The fish of a lot go back to the lot they were taken out of; the lot will be no more.
 *
 * @param lotId the number of the lot
 * @param to the number of the lot they go back to
 */
public record LotPutBack(long lotId, long to) {}
