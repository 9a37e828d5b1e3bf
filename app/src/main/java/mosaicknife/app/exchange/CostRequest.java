package mosaicknife.app.exchange;

import java.math.BigDecimal;

/**
 * A breakdown to cost by every method. Amounts are major units of its currency.
 *
 * @param breakdown the breakdown, as for its evaluation
 * @param freight freight, ice and box share; 0 if left out
 * @param claims what the supplier credits; 0 if left out
 * @param labour the work at the board for all of it; 0 if left out
 * @param garnish what else lies on one plate; not counted if left out
 * @param menuPrice what a guest pays; not counted if left out
 */
record CostRequest(
    EvaluationRequest breakdown,
    BigDecimal freight,
    BigDecimal claims,
    BigDecimal labour,
    BigDecimal garnish,
    BigDecimal menuPrice) {}
