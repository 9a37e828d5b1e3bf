package mosaicknife.app.pot;

import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;

/** Reads the probe once a minute for the batch it is in. */
@Configuration
@EnableScheduling
class ProbeLog {

  private final PotProbe probe;

  ProbeLog(PotProbe probe) {
    this.probe = probe;
  }

  @Scheduled(fixedDelayString = "PT1M", initialDelayString = "PT1M")
  void everyMinute() {
    probe.log();
  }
}
