package mosaicknife.core.lot;

import java.time.LocalDate;

/**
 * Where something kept for later is: without all three it is waste that has not happened yet.
 *
 * @param until the day by which it must be used
 * @param place where it lies
 * @param keeper the number of the person who looks after it
 */
public record Held(LocalDate until, String place, long keeper) {}
