package mosaicknife.app.device;

import java.io.IOException;
import java.util.Optional;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Chooses the label printer by its settings. */
@Configuration
class LabelDevices {

  /** The stand-in, with a socket like a real printer's. */
  @Configuration
  @ConditionalOnProperty(name = "mosaic.labels.stand-in", havingValue = "true")
  static class WithStandIn {

    @Bean(destroyMethod = "close")
    LabelPrinterStandIn labelStandIn(LabelSettings settings) throws IOException {
      return new LabelPrinterStandIn(settings.port());
    }

    @Bean
    LabelPrinter labelPrinter(LabelSettings settings, LabelPrinterStandIn standIn) {
      return new SocketLabelPrinter(settings.host(), standIn.port(), standIn::last);
    }
  }

  /** A real printer behind a socket, or none. */
  @Configuration
  @ConditionalOnProperty(
      name = "mosaic.labels.stand-in",
      havingValue = "false",
      matchIfMissing = true)
  static class WithoutStandIn {

    @Bean
    LabelPrinter labelPrinter(LabelSettings settings) {
      return settings.port() == 0
          ? new NoLabelPrinter()
          : new SocketLabelPrinter(settings.host(), settings.port(), code -> Optional.empty());
    }
  }
}
