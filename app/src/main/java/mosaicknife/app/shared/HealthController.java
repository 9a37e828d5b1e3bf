package mosaicknife.app.shared;

import java.util.OptionalLong;
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
  private final Room room;

  HealthController(ApplicationAvailability availability, DatabasePulse pulse, Room room) {
    this.room = room;
    this.availability = availability;
    this.pulse = pulse;
  }

  /** It serves all the same, but whoever watches it should make room. */
  private String well() {
    OptionalLong left = room.shortMegabytes();
    return left.isPresent()
        ? "up, but only " + left.getAsLong() + " MB are left on the disk"
        : "up";
  }

  @GetMapping("/up")
  ResponseEntity<String> up() {
    boolean started = availability.getReadinessState() == ReadinessState.ACCEPTING_TRAFFIC;
    return started && pulse.beats()
        ? ResponseEntity.ok(well())
        : ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE).body("not yet");
  }
}
