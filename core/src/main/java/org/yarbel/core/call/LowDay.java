package org.yarbel.core.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import org.yarbel.core.log.CheckIn;

/**
 * What a card is issued with to see by itself, without a signal, whether its day is a low one: all of {@link Readiness} that is known
 * before the answers of the day.
 *
 * @param before its parts that are known; the others count as nothing
 * @param under from which readiness on an easier session is offered, 0 to 100
 * @param lighter by how many percent the same sets would be lighter
 */
public record LowDay(List<Readiness.Part> before, double under, double lighter) {
  /** The rule that offers the same to the coach. */
  static final String RULE = "readiness-low";

  public LowDay {
    before = List.copyOf(before);
  }

  /** Of a lifter on the day of the picture. */
  public static LowDay of(Picture picture) {
    return new LowDay(Readiness.before(picture).stream().filter(Readiness.Part::known).toList(), picture.of(CallFigure.CALL_READINESS),
        picture.of(CallFigure.CALL_EASIER));
  }

  /** The matter of the call that a coach has about a day. */
  public static String matter(LocalDate day) {
    return Call.matter(RULE, "", day.toString());
  }

  /** How ready somebody is who answers so. */
  public Readiness with(CheckIn said) {
    List<Readiness.Part> parts = new ArrayList<>(before);
    parts.addAll(Readiness.answers(said));
    return Readiness.of(parts);
  }

  /** Whether an easier session is to be offered to who answers so; never before anything is answered. */
  public boolean low(CheckIn said) {
    return said.any() && with(said).value() < under;
  }

  /** Readiness without any answer, before it is held within 0 to 100. */
  public double points() {
    return Readiness.points(before);
  }

  /** What each answer adds to it, by the name of its question and the answer as it is typed: hours of sleep, 1 to 5 for the others. */
  public static Map<String, Map<String, Double>> answers() {
    Map<String, Map<String, Double>> points = new LinkedHashMap<>();
    points.put("sleep", each(0, CheckIn.MOST_SLEEP, halves -> new CheckIn(halves, null, null, null, List.of())));
    points.put("energy", each(1, CheckIn.BEST, answer -> new CheckIn(null, answer, null, null, List.of())));
    points.put("joints", each(1, CheckIn.BEST, answer -> new CheckIn(null, null, answer, null, List.of())));
    return points;
  }

  private static Map<String, Double> each(int from, int to, IntFunction<CheckIn> said) {
    Map<String, Double> points = new LinkedHashMap<>();
    for (int answer = from; answer <= to; answer++) {
      double added = Readiness.points(Readiness.answers(said.apply(answer))) - Readiness.points(List.of());
      points.put(Integer.toString(answer), added);
    }
    return points;
  }
}
