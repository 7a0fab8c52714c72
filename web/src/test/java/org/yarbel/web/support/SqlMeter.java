package org.yarbel.web.support;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Counts the statements that reach the database, whoever sends them, and how long they take: what Hibernate counts leaves out
 * sessions, locks and whatever else is asked in plain SQL. Transactions begin and end uncounted.
 */
public final class SqlMeter implements BeanPostProcessor {
  /** What the application does by itself meanwhile belongs to no page. */
  private static final List<String> BY_ITSELF = List.of("scheduling-", "due");
  private static final List<Sent> SENT = new CopyOnWriteArrayList<>();
  private static volatile boolean counting;

  /** A statement with its time. */
  public record Sent(String sql, long nanos) {}

  /** What a piece of work sends. Others that send something meanwhile are counted too. */
  public static List<Sent> of(Runnable work) {
    SENT.clear();
    counting = true;
    try {
      work.run();
    } finally {
      counting = false;
    }
    return List.copyOf(SENT);
  }

  @Override
  public Object postProcessAfterInitialization(Object bean, String name) {
    return bean instanceof DataSource source && !(bean instanceof Metered) ? new Metered(source) : bean;
  }

  private static final class Metered extends DelegatingDataSource {
    Metered(DataSource source) {
      super(source);
    }

    @Override
    public Connection getConnection() throws SQLException {
      return connection(Objects.requireNonNull(super.getConnection()));
    }
  }

  private static Connection connection(Connection real) {
    return proxy(Connection.class, (name, args, call) -> {
      Object result = call.go(real);
      if (result instanceof PreparedStatement statement) {
        return statement(PreparedStatement.class, statement, (String) args[0]);
      }
      return result instanceof Statement statement ? statement(Statement.class, statement, "") : result;
    });
  }

  private static <T extends Statement> T statement(Class<T> type, T real, String sql) {
    return proxy(type, (name, args, call) -> {
      if (!counting || !name.startsWith("execute") || BY_ITSELF.stream().anyMatch(Thread.currentThread().getName()::startsWith)) {
        return call.go(real);
      }
      long from = System.nanoTime();
      Object result = call.go(real);
      SENT.add(new Sent(args != null && args.length > 0 ? String.valueOf(args[0]) : sql, System.nanoTime() - from));
      return result;
    });
  }

  /** The call as it is, on what it is meant for. */
  private interface Call {
    Object go(Object on) throws Throwable;
  }

  private interface Handler {
    Object handle(String name, Object[] args, Call call) throws Throwable;
  }

  private static <T> T proxy(Class<T> type, Handler handler) {
    return type.cast(Proxy.newProxyInstance(SqlMeter.class.getClassLoader(), new Class<?>[] {type}, (self, method, args) -> {
      Call call = on -> {
        try {
          return method.invoke(on, args);
        } catch (InvocationTargetException wrong) {
          throw wrong.getCause();
        }
      };
      return handler.handle(method.getName(), args, call);
    }));
  }
}
