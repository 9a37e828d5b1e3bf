package mosaicknife.app.homes;

import mosaicknife.core.memory.Recent;
import mosaicknife.core.use.PlanQuestion;
import mosaicknife.core.use.UsePlan;
import mosaicknife.core.use.UsePlanner;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Works out one plan at a time, and the same question once: the solver takes a processor for
 * seconds, and a page that is opened again asks the same.
 */
@Component
class PlanDesk {

  private static final double SECONDS = 2;
  private static final int REMEMBERED = 8;

  private final Recent<PlanQuestion, UsePlan> plans =
      new Recent<>(REMEMBERED, asked -> UsePlanner.plan(asked, SECONDS));

  UsePlan plan(PlanQuestion question) {
    return plans.of(question);
  }

  /** The solver's own code is loaded beside the first pages, not before the first plan. */
  @EventListener(ApplicationReadyEvent.class)
  void warm() {
    Thread thread = new Thread(UsePlanner::warm, "solver");
    thread.setDaemon(true);
    thread.start();
  }
}
