package mosaicknife.app.shared;

import org.springframework.boot.availability.ApplicationAvailability;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Says whether the application is ready: started, demo loaded, database answering. */
@RestController
class HealthController {

  private final ApplicationAvailability availability;
  private final DatabasePulse pulse;

  HealthController(ApplicationAvailability availability, DatabasePulse pulse) {
    this.availability = availability;
    this.pulse = pulse;
  }

  @GetMapping("/up")
  ResponseEntity<String> up() {
    boolean started = availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
    return started && pulse.beats()
        ? ResponseEntity.ok("up")
        : ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).body("not yet");
  }
}
