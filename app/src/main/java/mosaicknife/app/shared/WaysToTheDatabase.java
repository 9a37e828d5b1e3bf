package mosaicknife.app.shared;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.datasource.LazyConnectionDataSourceProxy;

/**
 * Two ways to the database. A page holds its connection while it is worked out; when many are read
 * at once they wait for each other, and a weight, which writes, waits for none of them.
 */
@Configuration(proxyBeanMethods = false)
class WaysToTheDatabase {

  @Bean(defaultCandidate = false)
  @ConfigurationProperties("spring.datasource.hikari")
  HikariDataSource writing(DataSourceProperties where) {
    return where.initializeDataSourceBuilder().type(HikariDataSource.class).build();
  }

  @Bean(defaultCandidate = false)
  @ConfigurationProperties("spring.datasource.hikari")
  HikariDataSource reading(DataSourceProperties where) {
    return where.initializeDataSourceBuilder().type(HikariDataSource.class).build();
  }

  /** A transaction that only reads goes the one way, everything else the other. */
  @Bean
  @Primary
  DataSource dataSource(
      @Qualifier("writing") HikariDataSource writing,
      @Qualifier("reading") HikariDataSource reading) {
    LazyConnectionDataSourceProxy ways = new LazyConnectionDataSourceProxy(writing);
    ways.setReadOnlyDataSource(reading);
    ways.setDefaultAutoCommit(true);
    ways.setDefaultTransactionIsolation(Connection.TRANSACTION_READ_COMMITTED);
    return ways;
  }
}
