package org.yarbel.core.log;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.yarbel.core.mass.Refused;

/**
 * Mean concentric speeds of a set: of each rep in turn, or the one of the best rep, such as '0.48 0.45 0.41'.
 *
 * @param millimetres of each, in millimetres a second
 */
public record RepSpeeds(List<Integer> millimetres) {
  /** The slowest a bar is moved up. */
  public static final BigDecimal LEAST = new BigDecimal("0.01");
  /** The fastest: a jerk's drive and an empty bar stay well under it. */
  public static final BigDecimal MOST = new BigDecimal("3");
  private static final int MOST_REPS = 100;

  public RepSpeeds {
    if (millimetres.isEmpty() || millimetres.size() > MOST_REPS) {
      throw new Refused("The speeds must be of 1 to " + MOST_REPS + " reps but are of " + millimetres.size());
    }
    millimetres = List.copyOf(millimetres);
  }

  /** Reads metres a second with blanks between: {@code 0.48 0.45 0.41}. */
  public static RepSpeeds parse(String text) {
    List<Integer> all = new ArrayList<>();
    for (String one : text.strip().split("[\\s;/]+", MOST_REPS + 1)) {
      String plain = one.replace(',', '.');
      if (!plain.matches("\\d{0,4}(\\.\\d{1,4})?") || plain.isEmpty()) {
        throw new Refused("Write the bar speed in metres a second, such as 0.45, or that of each rep with blanks between");
      }
      all.add(millimetres(new BigDecimal(plain)));
    }
    return new RepSpeeds(all);
  }

  /** A speed in metres a second as whole millimetres. */
  public static int millimetres(BigDecimal speed) {
    if (speed.compareTo(LEAST) < 0 || speed.compareTo(MOST) > 0) {
      throw new Refused("The bar speed must be from " + LEAST + " to " + MOST + " m/s but was "
          + speed.stripTrailingZeros().toPlainString());
    }
    return speed.movePointRight(3).setScale(0, RoundingMode.HALF_UP).intValueExact();
  }

  /**
   * Refuses more speeds than reps.
   *
   * @param reps good reps of the set
   * @param further whether one more was tried, whose speed may be among them
   */
  public void check(int reps, boolean further) {
    if (millimetres.size() > Math.max(reps, 1) + (further ? 1 : 0)) {
      throw new Refused("There are speeds of " + millimetres.size() + " reps, but the set had " + reps);
    }
  }

  /** The fastest, in millimetres a second. */
  public int best() {
    return Collections.max(millimetres);
  }

  /** As it is typed: {@code 0.48 0.45 0.41}. */
  public String text() {
    return millimetres.stream().map(RepSpeeds::metres).collect(Collectors.joining(" "));
  }

  /** In words: {@code 0.48 m/s}, {@code 0.48 0.45 0.41 m/s}. */
  public String words() {
    return text() + " m/s";
  }

  /** Millimetres a second as metres a second: {@code 0.45}. */
  public static String metres(int millimetres) {
    BigDecimal metres = BigDecimal.valueOf(millimetres, 3);
    return metres.setScale(millimetres % 10 == 0 ? 2 : 3, RoundingMode.UNNECESSARY).toPlainString();
  }
}
