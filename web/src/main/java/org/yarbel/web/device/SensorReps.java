package org.yarbel.web.device;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.mass.Refused;

/** The reps of a set that can be, read from what a device sent. */
record SensorReps(Instant started, Instant ended, RepSpeeds speeds) {
  static final int MOST_REPS = 100;
  private static final BigDecimal LONGEST = BigDecimal.valueOf(600);
  private static final BigDecimal FARTHEST = BigDecimal.valueOf(3);
  private static final Duration OLDEST = Duration.ofDays(1);
  private static final Duration AHEAD = Duration.ofMinutes(5);
  private static final int MILLIS = 3;

  /**
   * One rep as it was sent.
   *
   * @param seconds from the start of the set to the end of the rep
   * @param metres the bar went up
   * @param mean concentric speed, in m/s
   */
  record Rep(@Nullable BigDecimal seconds, @Nullable BigDecimal metres, @Nullable BigDecimal mean) {}

  /** What a device sends. */
  record Sent(@Nullable String device, @Nullable String started, @Nullable List<Rep> reps) {}

  /** Reads it. */
  static SensorReps of(Sent sent, Instant now) {
    Instant started = started(sent.started());
    if (started.isBefore(now.minus(OLDEST)) || started.isAfter(now.plus(AHEAD))) {
      throw new Refused("The set must have started within a day behind now but started at " + started);
    }
    List<Rep> reps = sent.reps();
    if (reps == null || reps.isEmpty() || reps.size() > MOST_REPS) {
      throw new Refused("A set must have 1 to " + MOST_REPS + " reps");
    }
    List<Integer> speeds = new ArrayList<>();
    BigDecimal end = BigDecimal.ZERO;
    for (Rep rep : reps) {
      BigDecimal seconds = within("seconds", rep.seconds(), LONGEST);
      within("metres", rep.metres(), FARTHEST);
      if (seconds.compareTo(end) <= 0) {
        throw new Refused("Each rep must end after the one before it");
      }
      end = seconds;
      speeds.add(RepSpeeds.millimetres(rep.mean() == null ? BigDecimal.ZERO : rep.mean()));
    }
    return new SensorReps(started, started.plusMillis(end.movePointRight(MILLIS).longValue()), new RepSpeeds(speeds));
  }

  private static Instant started(@Nullable String text) {
    try {
      return OffsetDateTime.parse(text == null ? "" : text).toInstant();
    } catch (DateTimeException none) {
      throw new Refused("The start must be a time such as 2026-03-02T17:30:00Z", none);
    }
  }

  private static BigDecimal within(String what, @Nullable BigDecimal value, BigDecimal most) {
    if (value == null || value.signum() <= 0 || value.compareTo(most) > 0) {
      throw new Refused("The " + what + " of a rep must be over 0 and at most " + most.toPlainString());
    }
    return value;
  }
}
