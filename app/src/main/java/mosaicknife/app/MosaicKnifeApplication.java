package mosaicknife.app;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.resilience.annotation.EnableResilientMethods;

/** Starts Mosaic Knife. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableResilientMethods
public class MosaicKnifeApplication {

  /**
   * Starts the application.
   *
   * @param args Spring Boot arguments
   */
  public static void main(String[] args) {
    SpringApplication.run(MosaicKnifeApplication.class, args);
  }

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
