package mosaicknife.app.bench;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Serves the worker that opens the bench again while the server is away. It must lie at the root: a
 * worker may only answer for addresses below its own.
 */
@RestController
class BenchWorkerController {

  @GetMapping("/bench-worker.js")
  ResponseEntity<Resource> worker() {
    return ResponseEntity.ok()
        .contentType(MediaType.valueOf("text/javascript"))
        .cacheControl(CacheControl.noCache())
        .body(new ClassPathResource("static/bench/worker.js"));
  }
}
