package mosaicknife.core.anatomy;

/**
 * A point of a drawing, in body lengths from the top left corner; x grows to the tail, y downward.
 *
 * @param x across
 * @param y down
 */
public record Point(double x, double y) {}
