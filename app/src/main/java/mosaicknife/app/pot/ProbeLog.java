package mosaicknife.app.pot;

import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;

/** Reads the probe once a minute for the batch it is in. */
@Configuration
@EnableScheduling
class ProbeLog {

  private final PotKeeper keeper;

  ProbeLog(PotKeeper keeper) {
    this.keeper = keeper;
  }

  @Scheduled(fixedDelayString = "PT1M", initialDelayString = "PT1M")
  void everyMinute() {
    keeper.log();
  }
}
