package mosaicknife.app.device;

import java.io.IOException;
import java.time.Clock;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Chooses the devices of this bench by its settings. */
@Configuration
class Devices {

  /** The stand-in, in threads of this process, with a socket like a real scale's. */
  @Configuration
  @ConditionalOnProperty(name = "mosaic.scale.stand-in", havingValue = "true")
  static class WithStandIn {

    @Bean(destroyMethod = "close")
    ScaleStandIn standIn(ScaleSettings settings) throws IOException {
      return new ScaleStandIn(settings.port());
    }

    @Bean(destroyMethod = "close")
    SocketScale scale(ScaleSettings settings, ScaleStandIn standIn, Clock clock) {
      return new SocketScale(settings.host(), standIn.port(), clock);
    }

    @Bean
    StandInPanel hands(SocketScale scale) {
      return new SimulatedHands(scale);
    }
  }

  /** A real scale behind a socket, or none. */
  @Configuration
  @ConditionalOnProperty(
      name = "mosaic.scale.stand-in",
      havingValue = "false",
      matchIfMissing = true)
  static class WithoutStandIn {

    @Bean
    Scale scale(ScaleSettings settings, Clock clock) {
      return settings.port() == 0
          ? new NoScale()
          : new SocketScale(settings.host(), settings.port(), clock);
    }

    @Bean
    StandInPanel hands() {
      return new NoHands();
    }
  }
}
