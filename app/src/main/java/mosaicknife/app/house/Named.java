package mosaicknife.app.house;

/**
 * A venue or supplier.
 *
 * @param id its number
 * @param name its name
 */
public record Named(long id, String name) {}
