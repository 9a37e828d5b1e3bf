package mosaicknife.app.weighing;

import jakarta.persistence.EntityManager;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import mosaicknife.app.lot.LotChanged;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Carries the news of a lot between all instances of the application on one database, by NOTIFY.
 *
 * <p>The news leaves with the transaction that made it. It listens on a connection of its own;
 * while that is away news are lost, so after it is back every bench reads its lot again.
 */
@Component
class LotNews implements SmartLifecycle {

  private static final Logger LOG = LoggerFactory.getLogger(LotNews.class);
  private static final String CHANNEL = "lot_changed";
  private static final int AGAIN_MILLIS = 500;

  private final EntityManager manager;
  private final DataSourceProperties database;
  private final BenchStream benches;
  private volatile boolean running;
  private volatile Connection connection;

  LotNews(EntityManager manager, DataSourceProperties database, BenchStream benches) {
    this.manager = manager;
    this.database = database;
    this.benches = benches;
  }

  @EventListener
  void tell(LotChanged change) {
    manager
        .createNativeQuery("select cast(pg_notify(:channel, :lot) as text)")
        .setParameter("channel", CHANNEL)
        .setParameter("lot", change.lotId() + " " + change.by())
        .getSingleResult();
  }

  private void keepListening() {
    while (running) {
      try (Connection own =
          DriverManager.getConnection(
              database.determineUrl(),
              database.determineUsername(),
              database.determinePassword())) {
        connection = own;
        listen(own);
      } catch (SQLException e) {
        LOG.debug("The database does not send its news", e);
      }
      pause();
    }
  }

  private void listen(Connection own) throws SQLException {
    try (Statement statement = own.createStatement()) {
      statement.execute("listen " + CHANNEL);
    }
    benches.allChanged();
    PGConnection news = own.unwrap(PGConnection.class);
    while (running) {
      PGNotification[] arrived = news.getNotifications(0);
      for (PGNotification one : arrived == null ? new PGNotification[0] : arrived) {
        String[] told = one.getParameter().split(" ", 2);
        benches.changed(new LotChanged(Long.parseLong(told[0]), told[1]));
      }
    }
  }

  private void pause() {
    try {
      Thread.sleep(running ? AGAIN_MILLIS : 0);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      running = false;
    }
  }

  @Override
  public void start() {
    running = true;
    Thread thread = new Thread(this::keepListening, "lot-news");
    thread.setDaemon(true);
    thread.start();
  }

  @Override
  public void stop() {
    running = false;
    Connection own = connection;
    if (own != null) {
      try {
        own.close();
      } catch (SQLException e) {
        LOG.debug("The news were closed already", e);
      }
    }
  }

  @Override
  public boolean isRunning() {
    return running;
  }
}
