package mosaicknife.app.buy;

/**
 * A dish is new, has another name, or is served another way. Whoever sends fish to it looks whether
 * that may stand, and refuses the change if not.
 *
 * @param id its number
 * @param name its name now
 * @param raw whether it is served raw, cured or underdone now
 * @param active whether it is still served
 */
public record DishChanged(long id, String name, boolean raw, boolean active) {}
