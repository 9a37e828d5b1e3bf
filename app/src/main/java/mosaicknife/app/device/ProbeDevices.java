package mosaicknife.app.device;

import java.io.IOException;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Chooses the probe by its settings. */
@Configuration
class ProbeDevices {

  /** The stand-in, with a socket like a real probe's. */
  @Configuration
  @ConditionalOnProperty(name = "mosaic.probe.stand-in", havingValue = "true")
  static class WithStandIn {

    @Bean(destroyMethod = "close")
    ProbeStandIn probeStandIn(ProbeSettings settings) throws IOException {
      return new ProbeStandIn(settings.port());
    }

    @Bean
    Probe probe(ProbeSettings settings, ProbeStandIn standIn) {
      return new SocketProbe(settings.host(), standIn.port());
    }
  }

  /** A real probe behind a socket, or none. */
  @Configuration
  @ConditionalOnProperty(
      name = "mosaic.probe.stand-in",
      havingValue = "false",
      matchIfMissing = true)
  static class WithoutStandIn {

    @Bean
    Probe probe(ProbeSettings settings) {
      return settings.port() == 0
          ? new NoProbe()
          : new SocketProbe(settings.host(), settings.port());
    }
  }
}
