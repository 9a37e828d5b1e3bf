package mosaicknife.app.slice;

import java.util.LinkedHashMap;
import java.util.Map;
import mosaicknife.core.slice.Service;
import mosaicknife.core.slice.ServicePlan;
import mosaicknife.core.slice.ServicePlanner;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Plans services, the same question once: page and paper show the same cuts. */
@Component
class ServicePlans {

  private static final int KEPT = 20;

  private final double seconds;
  private final Map<Service, ServicePlan> last = new LinkedHashMap<>();

  ServicePlans(@Value("${mosaic.slice.seconds:1.5}") double seconds) {
    this.seconds = seconds;
  }

  synchronized ServicePlan of(Service service) {
    ServicePlan known = last.get(service);
    if (known == null) {
      known = ServicePlanner.plan(service, seconds);
      last.put(service, known);
      if (last.size() > KEPT) {
        last.remove(last.keySet().iterator().next());
      }
    }
    return known;
  }
}
