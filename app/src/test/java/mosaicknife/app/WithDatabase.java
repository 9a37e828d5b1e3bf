package mosaicknife.app;

import mosaicknife.app.account.DemoPeople;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.testng.AbstractTestNGSpringContextTests;
import org.springframework.test.web.servlet.MockMvc;

/**
 * One application context on one fresh database with the demo, shared by all tests of one process.
 */
@SpringBootTest
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
public abstract class WithDatabase extends AbstractTestNGSpringContextTests {

  @Autowired protected MockMvc mvc;
  @Autowired protected DemoPeople people;

  @DynamicPropertySource
  static void database(DynamicPropertyRegistry registry) {
    String url = TestDatabase.fresh("mosaic_app_test_" + ProcessHandle.current().pid());
    registry.add("spring.datasource.url", () -> url);
    registry.add("spring.datasource.username", TestDatabase::user);
    registry.add("spring.datasource.password", TestDatabase::password);
    registry.add("mosaic.demo", () -> "true");
    registry.add("mosaic.scale.stand-in", () -> "true");
    registry.add(
        "spring.jpa.properties.hibernate.session_factory.statement_inspector",
        StatementCounter.class::getName);
    registry.add("mosaic.password-strength", () -> "4");
    registry.add("mosaic.clock.seconds", () -> "2.5");
    registry.add("mosaic.slice.seconds", () -> "0.5");
  }
}
