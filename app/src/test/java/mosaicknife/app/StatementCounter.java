package mosaicknife.app;

import java.util.ArrayList;
import java.util.List;
import org.hibernate.resource.jdbc.spi.StatementInspector;

/** Counts what a thread asks of the database through Hibernate. */
public final class StatementCounter implements StatementInspector {

  private static final long serialVersionUID = 1L;

  private static final ThreadLocal<List<String>> ASKED = ThreadLocal.withInitial(ArrayList::new);

  @Override
  public String inspect(String sql) {
    ASKED.get().add(sql);
    return sql;
  }

  public static void restart() {
    ASKED.get().clear();
  }

  public static int count() {
    return ASKED.get().size();
  }

  /** What was asked since the start, in order. */
  public static List<String> asked() {
    return List.copyOf(ASKED.get());
  }
}
