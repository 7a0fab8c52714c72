package org.yarbel.web.call;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.ClubClock;

/** What a lifter sees of calls: those that were taken, in the coach's words. Open ones are the coach's. */
@Service
public class Told {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final int DAYS = 10;
  private static final Limit MOST = Limit.of(8);

  private final CallRepository calls;
  private final ClubClock clock;

  Told(CallRepository calls, ClubClock clock) {
    this.calls = calls;
    this.clock = clock;
  }

  /** What a coach has changed, who and when. */
  public record Word(String words, String who, String day) {}

  /** The changes of the last days, the newest first. */
  @Transactional(readOnly = true)
  public List<Word> of(long lifterId) {
    return calls.told(lifterId, clock.today().minusDays(DAYS).atStartOfDay(clock.zone()).toInstant(), MOST).stream()
        .map(row -> new Word(row.word(), row.decidedBy() == null ? "" : row.decidedBy(),
            row.decidedAt() == null ? "" : DAY.format(row.decidedAt().atZone(clock.zone())))).toList();
  }
}
