package mosaicknife.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ColorScheme;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import mosaicknife.app.MosaicKnifeApplication;
import mosaicknife.app.TestDatabase;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.Assert;
import org.testng.ITestResult;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;

/** The real application on a fresh database, and Debian's Chromium in front of it. */
abstract class InBrowser {

  /** Guards the house that several classes look at, whoever of them comes first. */
  private static final Object SHARING = new Object();

  /** Houses start and stop one at a time: the logging of a process is one for all of them. */
  private static final Object AT_THE_DOOR = new Object();

  private static final String FURNISHED = "mosaic_furnished";

  private static ConfigurableApplicationContext shared;
  private static boolean isFurnished;

  private final List<BrowserContext> contexts = new ArrayList<>();
  private final List<String> complaints = new ArrayList<>();
  private Playwright playwright;
  private Browser browser;
  private String url;
  private int port;
  private boolean isRestarted;
  ConfigurableApplicationContext app;

  /**
   * Whether the class is content with a house that others of its kind have looked at before: it
   * changes nothing but lots of its own.
   */
  boolean sharesAHouse() {
    return false;
  }

  /** Whether the demo is loaded, and so which people can sign in. */
  boolean withDemo() {
    return true;
  }

  /** The clock of the house; what a day looks like may not hang on when the tests are run. */
  Clock clock() {
    return Clock.systemUTC();
  }

  /** It is this hour of today now, and time goes on from there. */
  static Clock itIsNow(LocalTime hour) {
    Clock real = Clock.systemUTC();
    return Clock.offset(
        real, Duration.between(LocalTime.now(real).truncatedTo(ChronoUnit.MINUTES), hour));
  }

  @BeforeClass
  void startAll() {
    if (sharesAHouse()) {
      synchronized (SHARING) {
        if (shared == null) {
          moveIn();
          shared = app;
        }
      }
      app = shared;
      port = portOf(app);
    } else {
      moveIn();
    }
    Patience.forAssertions();
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(Chromium.PATH)
                    .setArgs(Chromium.FLAGS));
  }

  private void moveIn() {
    String name = "mosaic_" + getClass().getSimpleName().toLowerCase(Locale.ROOT);
    boolean likeOthers = withDemo() && clock().equals(Clock.systemUTC());
    url = likeOthers ? TestDatabase.copy(name, furnished()) : TestDatabase.fresh(name);
    startApplication(0);
  }

  /** A house with the demo in it that nobody lives in, loaded once for all classes. */
  private String furnished() {
    synchronized (AT_THE_DOOR) {
      if (!isFurnished) {
        url = TestDatabase.fresh(FURNISHED);
        run(0).close();
        isFurnished = true;
      }
      return FURNISHED;
    }
  }

  private void startApplication(int wantedPort) {
    app = run(wantedPort);
    port = portOf(app);
  }

  int port() {
    return port;
  }

  private static int portOf(ConfigurableApplicationContext instance) {
    return Integer.parseInt(instance.getEnvironment().getProperty("local.server.port", "0"));
  }

  private ConfigurableApplicationContext run(int wantedPort) {
    synchronized (AT_THE_DOOR) {
      SpringApplication application = new SpringApplication(MosaicKnifeApplication.class);
      application.addInitializers(
          context ->
              ((GenericApplicationContext) context)
                  .registerBean(
                      "clockOfTheTest",
                      Clock.class,
                      this::clock,
                      definition -> definition.setPrimary(true)));
      return application.run(
          "--server.port=" + wantedPort,
          "--spring.datasource.url=" + url,
          "--spring.datasource.username=" + TestDatabase.user(),
          "--spring.datasource.password=" + TestDatabase.password(),
          "--mosaic.password-strength=4",
          "--mosaic.demo=" + withDemo(),
          "--mosaic.scale.stand-in=" + withDemo());
    }
  }

  private static void close(ConfigurableApplicationContext instance) {
    synchronized (AT_THE_DOOR) {
      instance.close();
    }
  }

  /** Does what is answered with a page of its own, and waits until that is there. */
  static void answered(Page page, Runnable act) {
    page.evaluate("() => document.documentElement.setAttribute('data-left', '')");
    act.run();
    PlaywrightAssertions.assertThat(page.locator("html[data-left]")).hasCount(0);
  }

  /** Stops the application and starts it again on the same database and port. */
  void restart() {
    isRestarted = true;
    close(app);
    startApplication(port);
  }

  String address(String path) {
    return "http://127.0.0.1:" + port + path;
  }

  <T> T bean(Class<T> type) {
    return app.getBean(type);
  }

  JdbcClient jdbc() {
    return bean(JdbcClient.class);
  }

  /** A tablet of its own: no cookies, no storage. */
  Page tablet() {
    return tablet(1280, 800, ColorScheme.LIGHT);
  }

  Page tablet(int width, int height, ColorScheme scheme) {
    BrowserContext context =
        Patience.with(
            browser.newContext(
                new Browser.NewContextOptions()
                    .setLocale("en-GB")
                    .setViewportSize(width, height)
                    .setColorScheme(scheme)));
    contexts.add(context);
    Page page = context.newPage();
    page.onPageError(complaints::add);
    page.onConsoleMessage(
        message -> {
          // a refused form answers 4xx and a server that is away none: both are shown on the page
          boolean refusal = message.text().contains("the server responded with a status of 4");
          // and one that is starting says so with 503: tablets that look at a pot ask meanwhile
          boolean away =
              message.text().contains("ERR_")
                  || message.text().startsWith("htmx:")
                  || isRestarted && message.text().contains(" 503");
          if (message.type().equals("error") && !refusal && !away) {
            complaints.add(message.text());
          }
        });
    return page;
  }

  /** A second instance of the application on the same database. */
  final class Another implements AutoCloseable {

    private final ConfigurableApplicationContext second = run(0);

    String address(String path) {
      return "http://127.0.0.1:" + portOf(second) + path;
    }

    @Override
    public void close() {
      InBrowser.close(second);
    }
  }

  Another another() {
    return new Another();
  }

  Page signedIn(String name) {
    Page page = tablet();
    signIn(page, name);
    return page;
  }

  void signIn(Page page, String name) {
    if (!page.url().contains("/sign-in")) {
      page.navigate(address("/sign-in"));
    }
    page.fill("#name", name);
    page.fill("#password", "port-sallow-demo");
    page.click("button:has-text('Sign in')");
    page.waitForURL(address -> !address.contains("/sign-in"));
  }

  @AfterMethod(alwaysRun = true)
  void closeTablets(ITestResult result) {
    if (!result.isSuccess()) {
      contexts.forEach(context -> Patience.tell(context, result.getName()));
    }
    contexts.forEach(BrowserContext::close);
    contexts.clear();
    List<String> heard = List.copyOf(complaints);
    complaints.clear();
    Assert.assertTrue(heard.isEmpty(), "the browser complained: " + String.join("; ", heard));
  }

  @AfterClass(alwaysRun = true)
  void stopAll() {
    if (playwright != null) {
      playwright.close();
    }
    if (app != null && !sharesAHouse()) {
      close(app);
    }
  }
}
