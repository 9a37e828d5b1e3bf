package mosaicknife.app.buy;

/**
 * A dish is to be served raw from now on. Who knows of parts that go there and may not be raw
 * refuses.
 *
 * @param name the name of the dish
 */
public record DishTurnsRaw(String name) {}
