package mosaicknife.core.lot;

/** What can be wrong with what somebody wants to write down of a lot. */
public enum LotProblem {
  /** No kitchen receives so many fish as one lot: count typed, most. */
  FISH_COUNT,
  /** Fillets come by weight, not by number of fish. */
  FILLETS_COUNTED,
  /** It would have been landed after today. */
  LANDED_LATER,
  /** It would have been landed too long ago: days. */
  LANDED_LONG_AGO,
  /** Invoice and own scale are too far apart: times. */
  SCALES_APART,
  /** The net weight is above the gross weight. */
  NET_ABOVE_GROSS,
  /** A portion out of range: least, most. */
  PORTION_RANGE,
  /** A part lighter than the smallest: the smallest. */
  PART_TOO_LIGHT,
  /** A part heavier than the lot: part, its mass, mass of the lot. */
  PART_ABOVE_LOT,
  /** A part heavier than the fish it is of: part, its mass, mass of the fish. */
  PART_ABOVE_FISH,
  /** Pieces heavier than what they are cut from: part, mass of the pieces, mass of the part. */
  PIECES_ABOVE_PART,
  /** A part lighter than what was cut from it: part, its mass, mass of the pieces. */
  PART_BELOW_PIECES,
  /** The lot has no such fish: lot, fish. */
  NO_SUCH_FISH,
  /** Every fish was weighed alone before: part. */
  WEIGHED_FISH_BY_FISH,
  /** The other fish were weighed together as the rest beside it: part. */
  WEIGHED_BESIDE_THE_REST,
  /** Weighed all together before: part. */
  WEIGHED_TOGETHER,
  /** Too many parts: most. */
  TOO_MANY_PARTS,
  /** A purpose that spoils the taste: part. */
  NO_USE,

  /** Gills or guts are still on a part that is to go to the pot. */
  GUTS_IN_THE_POT,

  /** A part cannot be put back into another. */
  NOT_PUT_BACK,
  /** Held without day, place or person. */
  HELD_WITHOUT_PLACE,
  /** The day to use it by has passed. */
  HELD_PAST,
  /** Somebody has to look at the lot and decide first: its number. */
  LOT_HELD,
  /** A fish that forms histamine is kept raw only as long as it was looked at and measured: lot. */
  HISTAMINE_NOT_SEEN,
  /** A part lies raw no longer than that: the last day, the part. */
  RAW_DAY,
  /** What is in a part is never food: the part, the hazard. */
  PART_POISONOUS,
  /** The last day of a lot is over and it was looked at before: the day. */
  LOT_OVER,
  /** The last day of a part is over: the part, the day. */
  PART_OVER,
  /** Kept raw longer than time and warmth allow: the last day, part. */
  HISTAMINE_DAY,
  /** A claim about more than was invoiced. */
  CLAIM_ABOVE_LOT,
  /** A claim without mass or amount. */
  CLAIM_WITHOUT_FIGURE,
  /** What a lot without a price yet is worth is not known. */
  CLAIM_BEFORE_PRICE,
  /** A claim worth nothing. */
  CLAIM_OF_NOTHING,
  /** All claims together are worth more than the lot cost. */
  CLAIMS_ABOVE_COST,
  /** A sign that was not looked at: the sign. */
  SIGN_NOT_LOOKED_AT,
  /** A decision that differs from the signs, without a reason: what the signs say, the decision. */
  REASON_MISSING,
  /** A lot that the signs refuse cannot be for raw. */
  REFUSED_FOR_RAW,
  /** More measured fish than the lot has: fish of the lot, fish typed. */
  MORE_FISH_MEASURED,
  /** Measured fish weigh clearly more than the lot: their mass. */
  FISH_ABOVE_LOT,
  /** One fish cannot be two lots. */
  DIVIDED_ONE,
  /** Something of the lot was weighed already. */
  DIVIDED_BEGUN,
  /** A claim stands for the lot. */
  DIVIDED_CLAIMED,
  /** None or all fish were to leave the lot: how many may. */
  DIVIDED_COUNT,
  /** What leaves the lot weighs nothing, or as much as the lot: its mass. */
  DIVIDED_MASS,
  /** Cooked before it was weighed raw: part. */
  COOKED_NOT_WEIGHED,
  /** Cooked it cannot weigh that: part, raw mass, cooked mass. */
  COOKED_RANGE,
  /** More flesh off the bone than came off the heat, or none: flesh, cooked mass. */
  COOKED_FLESH,
  /** For a raw dish a lot must be inspected: part, dish. */
  RAW_NOT_INSPECTED,
  /** The raw gate is closed: part, dish, gate. */
  RAW_GATE_CLOSED
}
