package mosaicknife.core.use;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.PlanQuestion.Wanted;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * The same question written out part by part, without pools, for a solver of another house. It
 * counts in the same tenths of a gram, so that both must find the same optimum.
 */
final class PlanModel {

  private PlanModel() {}

  static ExpressionsBasedModel of(PlanQuestion question) {
    ExpressionsBasedModel model = new ExpressionsBasedModel();
    Map<String, Expression> supply = new HashMap<>();
    for (OnHand part : question.parts()) {
      supply.put(part.id(), model.newExpression(part.id()).upper(part.mass().milligrams() / 100));
    }
    Map<Place, Expression> load = new HashMap<>();
    Map<Long, Expression> hands = new HashMap<>();
    List<Variable> counts = new ArrayList<>();
    for (Wanted wanted : question.wanted()) {
      Variable n =
          model.newVariable(wanted.id()).lower(0).upper(wanted.most()).weight(wanted.worth());
      n.integer(true);
      counts.add(n);
      Expression need = model.newExpression("need " + wanted.id()).lower(0);
      need.set(n, tenths(wanted.use()).negate());
      for (OnHand part : question.parts()) {
        if (Qualification.whyNot(wanted.use(), part).isEmpty()) {
          Variable x = model.newVariable(part.id() + ">" + wanted.id()).lower(0);
          need.set(x, 1);
          supply.get(part.id()).set(x, 1);
        }
      }
      Place place = new Place(wanted.venue(), wanted.use().work().equipment());
      if (question.room().containsKey(place)) {
        load.computeIfAbsent(
                place, key -> model.newExpression("room " + key).upper(question.room().get(key)))
            .set(n, wanted.use().work().load());
      }
      if (question.hands().containsKey(wanted.venue())) {
        Variable any = model.newVariable("any " + wanted.id()).binary();
        Expression only = model.newExpression("only " + wanted.id()).upper(0);
        only.set(n, 1);
        only.set(any, -wanted.most());
        Expression minutes =
            hands.computeIfAbsent(
                wanted.venue(),
                key -> model.newExpression("hands " + key).upper(question.hands().get(key)));
        minutes.set(n, wanted.use().work().each());
        minutes.set(any, wanted.use().work().start());
      }
    }
    return model;
  }

  static long optimum(PlanQuestion question) {
    Optimisation.Result result = of(question).maximise();
    if (!result.getState().isOptimal()) {
      throw new IllegalStateException("no optimum: " + result.getState());
    }
    return Math.round(result.getValue());
  }

  private static BigDecimal tenths(FishUse use) {
    return use.gramsOfPart(Mass.ofGrams(1)).toDecimal(1, RoundingMode.CEILING).movePointRight(1);
  }
}
