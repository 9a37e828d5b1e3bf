package mosaicknife.app.booklet;

/**
 * A section of the book: entries of one kind.
 *
 * @param <T> what an entry says: a record whose parts are numbers, texts, days, times, quantities,
 *     records and collections of them
 * @param name its name in the database, which keeps for each section what its entries must hold
 * @param type what an entry says
 */
public record Section<T>(String name, Class<T> type) {}
