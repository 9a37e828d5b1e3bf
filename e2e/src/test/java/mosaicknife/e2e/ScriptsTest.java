package mosaicknife.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** The modules of the bench and of every page, each by itself, by their specifications. */
public class ScriptsTest extends InBrowser {

  @Override
  boolean sharesAHouse() {
    return true;
  }

  private static final int FEWEST = 25;

  private static final String JASMINE =
      "/META-INF/resources/webjars/jasmine-core/3.8.0/lib/jasmine-core/jasmine.js";

  private static final String RUNNER =
      """
      <!DOCTYPE html><meta charset="utf-8"><script src="/specs/jasmine.js"></script>
      <script type="module">
      const jasmine = jasmineRequire.core(jasmineRequire);
      const env = jasmine.getEnv({ suppressLoadErrors: true });
      Object.assign(window, jasmineRequire.interface(jasmine, env));
      const results = [];
      env.addReporter({
        specDone: (spec) => results.push({
          name: spec.fullName, status: spec.status, why: spec.failedExpectations.map((f) => f.message).join("; ") }),
        jasmineDone: () => { window.results = results; },
      });
      await import("/specs/%s");
      env.execute();
      </script>
      """;

  @Test
  public void everySpecificationOfEveryModuleHolds() {
    Page page = tablet(1280, 800, ColorScheme.LIGHT);
    int passed = 0;
    for (String spec :
        List.of(
            "claim.spec.js", "model.spec.js", "queue.spec.js", "send.spec.js", "shared.spec.js")) {
      page.unrouteAll();
      page.route("**/specs/**", route -> answer(route, spec));
      page.navigate(address("/specs/" + spec + ".html"));
      page.waitForFunction("window.results");
      for (Object one : (List<?>) page.evaluate("results")) {
        Map<?, ?> result = (Map<?, ?>) one;
        assertEquals(result.get("status"), "passed", result.get("name") + ": " + result.get("why"));
        passed++;
      }
    }
    assertTrue(passed >= FEWEST, passed + " specifications");
  }

  private static void answer(Route route, String spec) {
    String address = route.request().url();
    boolean page = address.endsWith(".html");
    String body =
        page
            ? RUNNER.formatted(spec)
            : read(
                address.endsWith("jasmine.js")
                    ? JASMINE
                    : address.replaceAll(".*/specs/", "/specs/"));
    route.fulfill(
        new Route.FulfillOptions()
            .setContentType(page ? "text/html" : "text/javascript")
            .setBody(body));
  }

  private static String read(String resource) {
    try (InputStream in = ScriptsTest.class.getResourceAsStream(resource)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
