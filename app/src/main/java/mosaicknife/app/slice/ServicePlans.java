package mosaicknife.app.slice;

import mosaicknife.core.memory.Recent;
import mosaicknife.core.slice.Service;
import mosaicknife.core.slice.ServicePlan;
import mosaicknife.core.slice.ServicePlanner;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Plans services, the same question once: page and paper show the same cuts. */
@Component
class ServicePlans {

  private static final int KEPT = 20;

  private final Recent<Service, ServicePlan> plans;
  private final Recent<Service, ServicePlan> hands = new Recent<>(KEPT, ServicePlanner::byHand);

  ServicePlans(@Value("${mosaic.slice.seconds:1.5}") double seconds) {
    plans = new Recent<>(KEPT, service -> ServicePlanner.plan(service, seconds));
  }

  ServicePlan of(Service service) {
    return plans.of(service);
  }

  /** As a hand cuts without a plan: from the head end, the first of what is still wanted. */
  ServicePlan byHand(Service service) {
    return hands.of(service);
  }
}
