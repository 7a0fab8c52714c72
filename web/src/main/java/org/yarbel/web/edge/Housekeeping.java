package org.yarbel.web.edge;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;

/** Takes out of the database what has had its time. Done by every node: what one has taken out the next does not find. */
@Configuration
@EnableScheduling
class Housekeeping {
  private static final Logger LOG = LoggerFactory.getLogger(Housekeeping.class);
  private static final List<String> OUT = List.of(
      "delete from form_once where at < now() - interval '1 day'",
      "delete from sign_in_try where at < now() - interval '1 day'",
      "delete from sign_in where begun < now() - interval '91 days' or seen < now() - interval '31 days'",
      "delete from known_device where seen < now() - interval '1 year'");

  private final JdbcClient jdbc;

  Housekeeping(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  @Scheduled(initialDelay = 2, fixedDelay = 30, timeUnit = TimeUnit.MINUTES)
  void clear() {
    for (String out : OUT) {
      try {
        jdbc.sql(out).update();
      } catch (DataAccessException later) {
        LOG.warn("Not cleared, it is tried again later: {}", later.getMessage());
      }
    }
  }
}
