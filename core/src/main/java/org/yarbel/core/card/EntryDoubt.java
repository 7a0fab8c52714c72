package org.yarbel.core.card;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * The commonest slips of a log, asked about once: pounds for kilograms, the bar forgotten or counted twice, a figure that is
 * nowhere near the plan.
 *
 * <p>Common practice, no source. An entry within 3 % of 2.2046 or 0.4536 times the plan is taken for the other unit; more
 * than 15 % and a step off the plan is asked about in any case.
 */
public final class EntryDoubt {
  private static final double KILOGRAMS_FOR_POUNDS =
      (double) MassUnit.KG.nanograms() / MassUnit.LB.nanograms();
  private static final double NEAR = 0.03;
  private static final double NEAR_AMONG = 0.25;
  /** Further than this from the plan, and more than a step, is asked about. Our own default. */
  private static final double FAR = 0.15;
  private static final Map<Movement, Double> SHARE_OF_SQUAT =
      Map.of(Movement.SQUAT, 1.0, Movement.BENCH, 0.68, Movement.DEADLIFT, 1.15);

  private EntryDoubt() {}

  /**
   * A question about an entry.
   *
   * @param instead the load that may have been meant; null where nothing tells
   */
  public record Doubt(String question, @Nullable Mass instead) {}

  /** What to ask about a load beside the planned one; empty when it looks right. */
  public static Optional<Doubt> about(Mass entered, Mass planned, Mass bar) {
    if (planned.isZero() || entered.hits(planned)) {
      return Optional.empty();
    }
    String figures = " " + entered.text() + " was typed, " + planned.text() + " was planned.";
    if (entered.isZero()) {
      return Optional.of(new Doubt("Was there nothing to lift?" + figures, planned));
    }
    if (otherUnit(entered, planned)) {
      boolean pounds = entered.compareTo(planned) > 0;
      Mass meant = entered.scaled(pounds ? 1 / KILOGRAMS_FOR_POUNDS : KILOGRAMS_FOR_POUNDS);
      return Optional.of(new Doubt("Is it kg or lb?" + figures, near(meant, planned) ? planned
          : Mass.of(meant.amountIn(entered.unit(), 1), entered.unit())));
    }
    Mass lighter = entered.compareTo(planned) < 0 ? entered : planned;
    Mass heavier = lighter == entered ? planned : entered;
    Mass apart = heavier.minus(lighter);
    if (!bar.isZero() && apart.hits(bar)) {
      return Optional.of(new Doubt("Is it with the bar?" + figures, planned));
    }
    boolean far = apart.ratioTo(planned) > FAR && apart.nanograms() > Mass.of(planned.unit().usualStep(), planned.unit()).nanograms();
    return far ? Optional.of(new Doubt("Is that right?" + figures, planned)) : Optional.empty();
  }

  /** What to ask about a number that follows another; empty when it does not look like another unit. */
  public static Optional<String> unit(Mass entered, Mass known) {
    return !known.isZero() && otherUnit(entered, known)
        ? Optional.of("Is it kg or lb? " + entered.text() + " was typed, " + known.shownIn(entered.unit()).text() + " is known.")
        : Optional.empty();
  }

  private static boolean otherUnit(Mass entered, Mass expected) {
    double ratio = entered.ratioTo(expected);
    return near(ratio, KILOGRAMS_FOR_POUNDS) || near(ratio, 1 / KILOGRAMS_FOR_POUNDS);
  }

  /**
   * What to ask about the maxes of one lifter's lifts, where one looks like another unit beside the others: it is about
   * 2.2 or 0.45 times what they let expect. Usual shares of the squat: bench press 0.68, deadlift 1.15. Common practice,
   * no source.
   *
   * @return a question a lift; empty when they fit together
   */
  public static Map<Movement, String> among(Map<Movement, Mass> maxes) {
    Map<Movement, String> questions = new EnumMap<>(Movement.class);
    Map<Movement, Double> squats = new EnumMap<>(Movement.class);
    maxes.forEach((movement, max) -> {
      if (SHARE_OF_SQUAT.containsKey(movement)) {
        squats.put(movement, Math.log(max.nanograms() / SHARE_OF_SQUAT.get(movement)));
      }
    });
    squats.forEach((movement, own) -> squats.entrySet().stream().filter(other -> other.getKey() != movement)
        .mapToDouble(Map.Entry::getValue).average().ifPresent(expected -> {
          double off = Math.abs(own - expected);
          if (Math.abs(off - Math.log(KILOGRAMS_FOR_POUNDS)) <= NEAR_AMONG) {
            questions.put(movement, "Is it kg or lb? " + maxes.get(movement).text() + " does not fit the other lifts.");
          }
        }));
    return questions;
  }

  /** Whether a load is the planned one but for the rounding of a conversion. */
  private static boolean near(Mass meant, Mass planned) {
    return Math.abs(meant.nanograms() - planned.nanograms()) <= Mass.of(planned.unit().usualStep(), planned.unit()).nanograms() / 2;
  }

  private static boolean near(double ratio, double wanted) {
    return Math.abs(ratio / wanted - 1) <= NEAR;
  }
}
