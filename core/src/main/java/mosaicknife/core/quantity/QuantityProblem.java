package mosaicknife.core.quantity;

/** What may be wrong or unclear with a quantity that somebody typed, with its figures. */
public enum QuantityProblem {
  /** Nothing was typed where a weight is needed: the symbol of the usual unit. */
  NO_WEIGHT,
  /** Too many characters for a weight. */
  WEIGHT_TOO_LONG,
  /** Two units that do not go together: what was typed. */
  MIXED_UNITS,
  /** Grams with a point that may mark thousands: what was typed, as thousands, as a decimal. */
  POINT_OR_THOUSANDS,
  /** Kilograms and grams that do not make one weight: what was typed. */
  KILOGRAMS_AND_GRAMS,
  /** Stones, which no scale here shows: the word. */
  STONES,
  /** A price in another money than that of the house: the sign, the money of the house. */
  OTHER_MONEY,
  /** A part of a pound and ounces as well: what was typed. */
  PART_OF_A_POUND,
  /** Ounces that make a pound: the ounces, pounds and ounces. */
  SIXTEEN_OUNCES,
  /** A weight below zero: what was typed. */
  WEIGHT_BELOW_ZERO,
  /** More than a kitchen weighs: what was typed, tonnes. */
  TOO_HEAVY,
  /** A weight of nothing: what was typed. */
  NO_WEIGHT_AT_ALL,
  /** An unknown unit of weight: the word. */
  NOT_A_WEIGHT_UNIT,
  /** Nothing was typed where a price is needed: the symbol of the usual unit. */
  NO_PRICE,
  /** Too many characters for a price. */
  PRICE_TOO_LONG,
  /** A price below zero: what was typed. */
  PRICE_BELOW_ZERO,
  /** More than fish costs: what was typed. */
  TOO_DEAR,
  /** A unit fish is not priced in: the word. */
  NOT_A_PRICE_UNIT,
  /** Nothing was typed where a number is needed. */
  NOTHING_TYPED,
  /** Not one number: what was typed, shortened. */
  NOT_A_NUMBER,
  /** Not the length of a fish: what was typed. */
  NOT_A_LENGTH,
  /** Not a temperature of a kitchen: what was typed. */
  NOT_A_TEMPERATURE,
  /** A comma that was read as the decimal sign: what was typed, how it was read. */
  COMMA_IS_DECIMAL,
  /** A comma that was read as marking thousands: what was typed, how it was read. */
  COMMA_IS_THOUSANDS
}
