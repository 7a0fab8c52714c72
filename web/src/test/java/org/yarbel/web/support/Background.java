package org.yarbel.web.support;

import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.locks.LockSupport;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.web.call.Causes;

/** What is done in the background a moment after it was caused. */
public final class Background {
  private static final Duration LONGEST = Duration.ofMinutes(3);

  private Background() {}

  /** Waits until nothing is due any more. */
  public static void done(JdbcClient jdbc) {
    Instant end = Instant.now().plus(LONGEST);
    while (jdbc.sql("select count(*) from due_work").query(Long.class).single() > 0) {
      if (Instant.now().isAfter(end)) {
        throw new IllegalStateException("Still due: " + jdbc.sql("select club_id, kind, key, cause, tries from due_work limit 5").query().listOfRows());
      }
      LockSupport.parkNanos(Duration.ofMillis(100).toNanos());
    }
  }

  /** The same, when the day of every club has been ended too, which else happens by itself within half a minute. */
  public static void quiet(TestApp app) {
    app.bean(Causes.class).dayEnds();
    done(app.jdbc());
  }
}
