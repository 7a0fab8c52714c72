package org.yarbel.web.holdings;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.yarbel.web.YarbelProperties;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;

/** After a backup was put back by the launcher: it stands on the record of every club, and what was deleted since goes again. */
@Component
class PutBack {
  private static final Logger LOG = LoggerFactory.getLogger(PutBack.class);

  private final @Nullable Path told;
  private final JdbcClient jdbc;
  private final SecurityLog log;
  private final Deletions deletions;

  PutBack(YarbelProperties properties, JdbcClient jdbc, SecurityLog log, Deletions deletions) {
    this.told = properties.data() == null ? null : properties.data().resolve("log").resolve("restored");
    this.jdbc = jdbc;
    this.log = log;
    this.deletions = deletions;
  }

  @EventListener(ApplicationReadyEvent.class)
  void note() {
    if (told == null || !Files.isRegularFile(told)) {
      return;
    }
    try {
      String words = Files.readString(told).strip();
      jdbc.sql("select id from club").query(Long.class).list().forEach(club -> log.note(Event.RESTORED, club, 0, "when, and as of when: "
          + words));
      deletions.due();
      Files.delete(told);
    } catch (IOException wrong) {
      LOG.warn("That a backup was put back could not be noted: {}", wrong.getMessage());
    }
  }
}
