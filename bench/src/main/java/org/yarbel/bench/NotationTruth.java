package org.yarbel.bench;

import java.util.Arrays;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.sim.GeneratedLines;

/**
 * Millions of lines of every shape, written and read back, and as many damaged ones, which must be answered and not
 * crash; with how long the reading took.
 */
public final class NotationTruth {
  private static final int LINES = 2_000_000;
  private static final int WARM_UP = 200_000;

  private NotationTruth() {}

  public static void main(String[] args) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(2026);
    long[] nanos = new long[2 * LINES];
    int refused = 0;
    for (int i = -WARM_UP; i < LINES; i++) {
      WorkLine line = GeneratedLines.line(random);
      String text = line.toString();
      String damaged = GeneratedLines.damaged(random);
      long begun = System.nanoTime();
      boolean same = text.length() > WorkLine.MAX_LENGTH || WorkLine.parse(text).line().equals(line);
      long read = System.nanoTime();
      boolean answered = answered(damaged);
      long ended = System.nanoTime();
      if (!same) {
        throw new IllegalStateException("Read back otherwise: " + text);
      }
      refused += i >= 0 && !answered ? 1 : 0;
      if (i >= 0) {
        nanos[2 * i] = read - begun;
        nanos[2 * i + 1] = ended - read;
      }
    }
    Arrays.sort(nanos);
    System.out.printf("%nNotation: %,d lines read back equal, of %,d damaged ones %,d refused with their places.%n", LINES, LINES, refused);
    System.out.printf("A line took (µs): median %.1f, p99 %.1f, p99.9 %.1f, longest %.1f%n", at(nanos, 0.5), at(nanos, 0.99),
        at(nanos, 0.999), nanos[nanos.length - 1] / 1_000.0);
  }

  private static boolean answered(String damaged) {
    try {
      WorkLine.parse(damaged);
      return true;
    } catch (NotationException refused) {
      return false;
    }
  }

  private static double at(long[] sorted, double share) {
    return sorted[(int) (share * (sorted.length - 1))] / 1_000.0;
  }
}
