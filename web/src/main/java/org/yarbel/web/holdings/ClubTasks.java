package org.yarbel.web.holdings;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationContext;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.edge.Transient;

/** What the launcher lets the application do once, instead of serving: a club goes out into a file, or comes in from one. */
@Component
@ConditionalOnProperty("yarbel.task.kind")
class ClubTasks implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(ClubTasks.class);
  /** How the launcher tells what is for a person from what is not. */
  private static final String SAID = "Said: ";
  private static final int REFUSED = 3;

  private final ClubArchive archive;
  private final ClubArrival arrival;
  private final SecurityLog log;
  private final ApplicationContext context;
  private final String kind;
  private final Path file;
  private final long club;

  ClubTasks(ClubArchive archive, ClubArrival arrival, SecurityLog log, ApplicationContext context,
      @Value("${yarbel.task.kind}") String kind, @Value("${yarbel.task.file}") Path file, @Value("${yarbel.task.club:0}") long club) {
    this.archive = archive;
    this.arrival = arrival;
    this.log = log;
    this.context = context;
    this.kind = kind;
    this.file = file;
    this.club = club;
  }

  @Override
  public void run(ApplicationArguments arguments) {
    int code = 0;
    try {
      System.out.println(SAID + (kind.equals("export") ? export() : take()));
    } catch (ArchiveRefused refused) {
      System.out.println(SAID + refused.sentence() + " Nothing was taken in.");
      code = REFUSED;
    } catch (UncheckedIOException wrong) {
      System.out.println(SAID + "The file could not be read or written: " + wrong.getCause().getMessage());
      code = REFUSED;
    } catch (DataAccessException | TransactionException wrong) {
      String why = Transient.full(wrong) ? ": there is no room left on the disk" : "";
      LOG.error("The task {} was broken off", kind, wrong);
      System.out.println(SAID + "The records could not be read or written" + why + ". Nothing was taken in.");
      code = REFUSED;
    }
    int end = code;
    System.exit(SpringApplication.exit(context, () -> end));
  }

  private String export() {
    try (OutputStream out = Files.newOutputStream(file)) {
      archive.write(club, out);
    } catch (IOException wrong) {
      throw new UncheckedIOException(wrong);
    }
    log.note(Event.EXPORTED, club, 0, "all of the club, at the machine");
    return "All of the club is in the file.";
  }

  private String take() {
    ClubArrival.Arrived arrived = arrival.take(file);
    log.note(Event.ARRIVED, arrived.club(), 0, "at the machine");
    return arrived.name() + " is there: " + arrived.rows() + " rows and " + arrived.clips() + " clips. "
        + (arrived.owner().isEmpty() ? "It has no owner." : "Its owner comes in by: ./yarbel let-in " + arrived.owner());
  }
}
