package org.yarbel.web.edge;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.yarbel.web.YarbelProperties;

/** What became of the last nightly backup, as the launcher that makes it has written it down. */
@Component
public class BackupWatch {
  /** One that is older than this was missed. */
  static final Duration LATE = Duration.ofHours(30);

  private static final Logger LOG = LoggerFactory.getLogger(BackupWatch.class);
  private static final int PARTS = 3;
  private static final long MOST_BYTES = 4_096;

  private final @Nullable Path file;
  private final boolean nightly;
  private final Instant started = Instant.now();
  private volatile @Nullable Last last;

  BackupWatch(YarbelProperties properties, @Value("${yarbel.nightly:false}") boolean nightly) {
    this.file = properties.data() == null ? null : properties.data().resolve("log/backup.status");
    this.nightly = nightly;
    look();
  }

  /**
   * A backup.
   *
   * @param words how large it is, or what was wrong
   */
  public record Last(boolean done, Instant at, String words) {}

  /** Looks, every minute. */
  @Scheduled(fixedDelay = 60, initialDelay = 60, timeUnit = java.util.concurrent.TimeUnit.SECONDS)
  final void look() {
    if (file == null || !Files.isRegularFile(file)) {
      return;
    }
    try {
      if (Files.size(file) <= MOST_BYTES) {
        last = read(Files.readString(file)).orElse(last);
      }
    } catch (IOException gone) {
      LOG.warn("What became of the last backup cannot be read: {}", gone.getMessage());
    }
  }

  /** A line such as {@code ok 2026-03-02T03:31:08Z 5.1M}. */
  static Optional<Last> read(String line) {
    String[] parts = line.strip().split(" ", PARTS);
    try {
      return parts.length < PARTS ? Optional.empty() : Optional.of(new Last(parts[0].equals("ok"), Instant.parse(parts[1]), parts[2]));
    } catch (DateTimeException wrong) {
      return Optional.empty();
    }
  }

  /** Whether one is made every night. */
  public boolean nightly() {
    return nightly;
  }

  /** The last one; empty while there was none. */
  public Optional<Last> last() {
    return Optional.ofNullable(last);
  }

  /** How old the last one is, in a sentence; empty while there was none. */
  public Optional<String> told() {
    return last().filter(Last::done).map(known -> "The last backup is from " + ago(Duration.between(known.at(), Instant.now())) + ".");
  }

  /** How long ago, in words. */
  public static String ago(Duration since) {
    if (since.toHours() < 2) {
      return Math.max(since.toMinutes(), 0) + " minutes ago";
    }
    return since.toHours() < 48 ? since.toHours() + " hours ago" : since.toDays() + " days ago";
  }

  /** What owners are to mind: one failed, or was missed. */
  public Optional<String> words() {
    Last known = last;
    Instant since = known == null ? started : known.at();
    if (!nightly) {
      return Optional.empty();
    }
    if (known != null && !known.done()) {
      return Optional.of("The nightly backup failed: " + known.words() + " Nothing is lost yet; see to it before something is.");
    }
    return since.plus(LATE).isBefore(Instant.now())
        ? Optional.of("The last backup is more than " + LATE.toHours() + " hours old. Does the launcher still run?") : Optional.empty();
  }
}
