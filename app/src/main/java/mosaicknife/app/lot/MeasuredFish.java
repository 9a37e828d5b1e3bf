package mosaicknife.app.lot;

import java.util.Optional;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.LengthRule;

/**
 * One fish of a lot, measured on its own.
 *
 * @param number which fish, from 1
 * @param mass its mass, if it was weighed alone
 * @param length its length, if it was measured
 * @param basis how the length was measured
 */
public record MeasuredFish(
    int number, Optional<Mass> mass, Optional<Length> length, LengthRule.Basis basis) {}
