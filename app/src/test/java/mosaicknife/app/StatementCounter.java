package mosaicknife.app;

import org.hibernate.resource.jdbc.spi.StatementInspector;

/** Counts what a thread asks of the database through Hibernate. */
public final class StatementCounter implements StatementInspector {

  private static final long serialVersionUID = 1L;

  private static final ThreadLocal<Integer> COUNT = ThreadLocal.withInitial(() -> 0);

  @Override
  public String inspect(String sql) {
    COUNT.set(COUNT.get() + 1);
    return sql;
  }

  public static void restart() {
    COUNT.set(0);
  }

  public static int count() {
    return COUNT.get();
  }
}
