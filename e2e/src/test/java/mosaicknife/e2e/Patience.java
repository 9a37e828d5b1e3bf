package mosaicknife.e2e;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.util.Arrays;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * How long a test looks for what must come before it says that it never will. No test waits for
 * this long: what is waited for is a condition, on a slow machine as on a quick one.
 */
final class Patience {

  /** Two minutes. */
  static final int MILLIS = 120_000;

  private static final Map<BrowserContext, Set<String>> WAITED = new ConcurrentHashMap<>();

  private Patience() {}

  /** For everything that is asserted; the library has one figure for all of a process. */
  static void forAssertions() {
    PlaywrightAssertions.setDefaultAssertionTimeout(MILLIS);
  }

  /**
   * A page that takes no tap before it has loaded: what moves between finger down and finger up
   * gets none, and nobody is told.
   */
  private static final String TAPPED_WHEN_IT_STANDS =
      """
      {
        const stop = () => { document.documentElement.style.pointerEvents = 'none'; };
        if (document.documentElement) stop();
        else {
          new MutationObserver((seen, itself) => {
            if (!document.documentElement) return;
            itself.disconnect();
            stop();
          }).observe(document, { childList: true });
        }
        addEventListener('load', () => {
          document.documentElement.style.removeProperty('pointer-events');
        });
      }
      """;

  /** For everything that is done in the pages of a browser. */
  static BrowserContext with(BrowserContext context) {
    context.setDefaultTimeout(MILLIS);
    context.addInitScript(TAPPED_WHEN_IT_STANDS);
    Set<String> waited = WAITED.computeIfAbsent(context, key -> ConcurrentHashMap.newKeySet());
    context.onRequest(request -> waited.add(request.method() + " " + request.url()));
    context.onRequestFinished(request -> waited.remove(request.method() + " " + request.url()));
    context.onClose(closed -> WAITED.remove(closed));
    context.onRequestFailed(request -> waited.remove(request.method() + " " + request.url()));
    return context;
  }

  /**
   * What the pages of a browser showed when a test gave up, what they had asked for and not got,
   * and what the application was at.
   */
  static void tell(BrowserContext context, String test) {
    for (Page page : context.pages()) {
      Object shown =
          page.evaluate("() => [document.readyState, document.body?.innerText.slice(0, 3000)]");
      System.err.println(test + " gave up at " + page.url() + ": " + shown);
    }
    System.err.println("not answered: " + WAITED.getOrDefault(context, Set.of()));
    Thread.getAllStackTraces()
        .forEach(
            (thread, stack) -> {
              boolean isOurs =
                  Arrays.stream(stack)
                      .anyMatch(one -> one.getClassName().startsWith("mosaicknife"));
              if (isOurs && thread.getName().contains("exec")) {
                System.err.println(thread + "\n  " + Arrays.toString(stack).replace(", ", "\n  "));
              }
            });
  }
}
