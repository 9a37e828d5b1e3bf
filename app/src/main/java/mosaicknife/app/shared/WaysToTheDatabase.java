package mosaicknife.app.shared;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.Filter;
import jakarta.servlet.http.HttpServletRequest;
import java.util.EnumSet;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.core.Ordered;
import org.springframework.jdbc.datasource.lookup.AbstractRoutingDataSource;

/**
 * Two ways to the database. A page holds its connection while it is worked out; when many are read
 * at once they wait for each other, and a weight, which is sent, waits for none of them.
 */
@Configuration(proxyBeanMethods = false)
class WaysToTheDatabase {

  private static final ThreadLocal<Boolean> LOOKS = ThreadLocal.withInitial(() -> false);

  @Bean(defaultCandidate = false)
  @ConfigurationProperties("spring.datasource.hikari")
  HikariDataSource sending(DataSourceProperties where) {
    return pool(where);
  }

  @Bean(defaultCandidate = false)
  @ConfigurationProperties("spring.datasource.hikari")
  HikariDataSource looking(DataSourceProperties where) {
    return pool(where);
  }

  private static HikariDataSource pool(DataSourceProperties where) {
    return where.initializeDataSourceBuilder().type(HikariDataSource.class).build();
  }

  @Bean
  @Primary
  DataSource dataSource(
      @Qualifier("sending") HikariDataSource sending,
      @Qualifier("looking") HikariDataSource looking) {
    AbstractRoutingDataSource ways =
        new AbstractRoutingDataSource() {
          @Override
          protected Object determineCurrentLookupKey() {
            return LOOKS.get();
          }
        };
    ways.setTargetDataSources(Map.of(true, looking, false, sending));
    return ways;
  }

  /** Whoever only looks goes the one way, from the first question about the session on. */
  @Bean
  FilterRegistrationBean<Filter> waysByRequest() {
    FilterRegistrationBean<Filter> outermost =
        new FilterRegistrationBean<>(
            (request, response, chain) -> {
              LOOKS.set(request instanceof HttpServletRequest http && looks(http));
              try {
                chain.doFilter(request, response);
              } finally {
                LOOKS.remove();
              }
            });
    outermost.setOrder(Ordered.HIGHEST_PRECEDENCE);
    outermost.setDispatcherTypes(EnumSet.allOf(DispatcherType.class));
    outermost.setAsyncSupported(true);
    return outermost;
  }

  private static boolean looks(HttpServletRequest request) {
    return request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
  }
}
