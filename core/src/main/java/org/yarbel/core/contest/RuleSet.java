package org.yarbel.core.contest;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.contest.strongman.Scoring;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * The rules of a federation or a league that a contest goes by, as data: a club edits them, and what the federation's own book says
 * wins over all of it.
 *
 * @param attempts what may be asked for
 * @param platform what is lifted on, and how fast it goes
 * @param scoring of strongman
 */
public record RuleSet(Attempts attempts, Platform platform, Scoring scoring) {

  /**
   * What may be asked for.
   *
   * @param step of attempts, 2.5 kg
   * @param recordStep of an attempt at a record, 0.5 kg
   * @param changes how often each attempt may be changed after it was handed in: the first, the second, the third, and the third of the
   *     last lift
   * @param toHandIn the time after an attempt in which the next is handed in
   * @param free how many attempts a lift has: three; more in a mock contest
   */
  public record Attempts(Mass step, Mass recordStep, List<Integer> changes, Duration toHandIn, int free) {
    /** The first, the second, the third, and the third of the last lift. */
    public static final int CHANGES = 4;
    /** An attempt is changed no more often. */
    public static final int MOST_CHANGES = 9;
    /** A lift has so many attempts at least. */
    public static final int LEAST = 3;
    /** And at most. */
    public static final int MOST = 9;
    /** Nothing at the platform takes longer. */
    public static final Duration LONGEST = Duration.ofMinutes(10);

    public Attempts {
      if (step.isZero() || recordStep.isZero()) {
        throw new Refused("The step of attempts must be over 0");
      }
      if (changes.size() != CHANGES || changes.stream().anyMatch(number -> number < 0 || number > MOST_CHANGES)) {
        throw new Refused("The changes must be four numbers from 0 to " + MOST_CHANGES);
      }
      if (toHandIn.isNegative() || toHandIn.compareTo(LONGEST) > 0) {
        throw new Refused("The time to hand an attempt in must be from 0 to 10 minutes");
      }
      if (free < LEAST || free > MOST) {
        throw new Refused("A lift has from " + LEAST + " to " + MOST + " attempts but had " + free);
      }
      changes = List.copyOf(changes);
    }

    /** How often an attempt may be changed, by its number from 1; free attempts of a mock contest as often as one likes. */
    public int changes(int number, boolean lastLift) {
      if (number > LEAST) {
        return MOST_CHANGES;
      }
      return changes.get(number == LEAST && lastLift ? LEAST : number - 1);
    }
  }

  /**
   * What is lifted on, and how fast it goes.
   *
   * @param lifts keys, in the order they are contested
   * @param anAttempt how long one takes, with the loading before it
   * @param collar one of the two
   * @param lighterFirst whether of equal totals the lighter body mass leads; else they share the place
   */
  public record Platform(List<String> lifts, Duration anAttempt, Mass bar, Mass collar, PlateStock plates, boolean lighterFirst) {
    public static final int MOST_LIFTS = 5;

    public Platform {
      if (lifts.isEmpty() || lifts.size() > MOST_LIFTS) {
        throw new Refused("From 1 to " + MOST_LIFTS + " lifts are contested but there were " + lifts.size());
      }
      if (anAttempt.isNegative() || anAttempt.isZero() || anAttempt.compareTo(Attempts.LONGEST) > 0) {
        throw new Refused("An attempt must take over 0 to 10 minutes");
      }
      lifts = List.copyOf(lifts);
    }
  }

  /**
   * Squat, bench press, deadlift; steps of 2.5 kg, records in 0.5; collars of 2.5 kg; one change of the opener, two of the last
   * deadlift; a minute to hand in; the lighter leads (IPF Technical Rules Book, from memory). A minute an attempt is common practice.
   */
  public static RuleSet usual() {
    return new RuleSet(
        new Attempts(Mass.of("2.5", MassUnit.KG), Mass.of("0.5", MassUnit.KG), List.of(1, 0, 0, 2), Duration.ofMinutes(1), 3),
        new Platform(List.of("squat", "bench", "deadlift"), Duration.ofMinutes(1), Mass.of("20", MassUnit.KG), Mass.of("2.5", MassUnit.KG),
            plates(), true), Scoring.USUAL);
  }

  /** The plates of every size, and a pair each of those for records (IPF Technical Rules Book, from memory). */
  private static PlateStock plates() {
    List<PlateStock.Pairs> all = new ArrayList<>(PlateStock.standard(MassUnit.KG).plates());
    all.add(new PlateStock.Pairs(Mass.of("0.5", MassUnit.KG), 1));
    all.add(new PlateStock.Pairs(Mass.of("0.25", MassUnit.KG), 1));
    return new PlateStock(MassUnit.KG, all);
  }

  /** What loads the platform's bar: the smallest plates go on only where a load asks for them. */
  public Kit kit() {
    return new Kit(platform.bar(), platform.collar().times(2), plates(true), plates(false).plates());
  }

  private PlateStock plates(boolean usual) {
    return new PlateStock(platform.plates().unit(), platform.plates().plates().stream()
        .filter(pairs -> pairs.size().compareTo(PlaceKit.FRACTIONAL_UNDER) >= 0 == usual).toList());
  }

  /** The last of the lifts, of which the third attempt may be changed most. */
  public boolean last(String lift) {
    return platform.lifts().get(platform.lifts().size() - 1).equals(lift);
  }
}
