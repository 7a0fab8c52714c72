package org.yarbel.web.device;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/** Stands in for a device on a bar: it tells a set whose every rep is a little slower than the one before. */
final class MadeUpDevice {
  private static final BigDecimal SLOWER = new BigDecimal("0.96");
  private static final BigDecimal HIGH = new BigDecimal("0.6");
  private static final int PLACES = 3;

  private MadeUpDevice() {}

  /**
   * A set that has just ended.
   *
   * @param reps 1 or more
   * @param first speed of the first rep, in m/s, over 0
   */
  static SensorReps.Sent set(String token, int reps, BigDecimal first, Instant now) {
    List<SensorReps.Rep> played = new ArrayList<>();
    BigDecimal speed = first;
    BigDecimal seconds = BigDecimal.ZERO;
    for (int i = 0; i < reps; i++) {
      seconds = seconds.add(BigDecimal.ONE).add(HIGH.divide(speed, PLACES, RoundingMode.HALF_UP));
      played.add(new SensorReps.Rep(seconds, HIGH, speed));
      speed = speed.multiply(SLOWER).setScale(PLACES, RoundingMode.HALF_UP);
    }
    Instant began = now.minusMillis(seconds.movePointRight(PLACES).longValue()).truncatedTo(ChronoUnit.MILLIS);
    return new SensorReps.Sent(token, began.toString(), played);
  }
}
