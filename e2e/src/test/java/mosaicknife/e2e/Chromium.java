package mosaicknife.e2e;

import java.nio.file.Path;
import java.util.List;

/** Debian's Chromium without its window: it draws pages and nothing around them. */
final class Chromium {

  static final Path PATH = Path.of("/usr/bin/chromium-headless-shell");

  static final List<String> FLAGS =
      List.of(
          "--no-sandbox",
          "--disable-gpu",
          "--disable-quic",
          "--no-first-run",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync");

  private Chromium() {}
}
