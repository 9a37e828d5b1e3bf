package mosaicknife.app.pot;

import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.homes.Makings;
import org.springframework.context.ApplicationContext;

/** The pots a test puts on, so that nobody's clock or plan still counts with them after it. */
final class TestPots {

  private final ApplicationContext app;
  private final Set<Long> others;

  /** Before the test: what is on the hob already stays. */
  TestPots(ApplicationContext app) {
    this.app = app;
    others =
        app.getBean(PotBook.class).running().stream().map(Brew::id).collect(Collectors.toSet());
  }

  /** Takes those of the test off. */
  void drop() {
    app.getBean(DemoPeople.class)
        .as(
            "ines",
            () ->
                app.getBean(PotBook.class).running().stream()
                    .filter(brew -> !others.contains(brew.id()))
                    .forEach(
                        brew ->
                            app.getBean(Makings.class)
                                .drop(brew.making().id(), "the test is over")));
  }
}
