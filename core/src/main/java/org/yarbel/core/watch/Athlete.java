package org.yarbel.core.watch;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.progress.Method;

/**
 * The lifter as far as the checks ask.
 *
 * @param age in years; null when it is not known
 * @param strained whether they diet, work physically or in shifts
 * @param level over all: the highest of the main lifts
 * @param maxes estimated, of the contest lifts, by key
 * @param heaviest ever lifted, by key; what is missing was never lifted here
 * @param goals by key of the lift
 * @param methods by key of the lift
 * @param pains present ones that have a score
 * @param free days of the week that can be trained on; none where nobody said
 */
public record Athlete(@Nullable Sex sex, @Nullable Integer age, boolean dieting, boolean strained, @Nullable Level level,
    Map<String, Mass> maxes,
    Map<String, Mass> heaviest, Map<String, Goal> goals, Map<String, List<Method>> methods, List<Pain> pains, Set<DayOfWeek> free) {
  /** What is aimed at, and on what day; the start of the way there where it is known. */
  public record Goal(Mass max, @Nullable LocalDate on, @Nullable Mass startMax, @Nullable LocalDate startOn) {}

  /** Where it hurts, and how much of 10. */
  public record Pain(String place, int score) {}

  /** Who they are, whatever they lift. */
  public record Person(@Nullable Sex sex, @Nullable Integer age, boolean dieting, boolean strained, List<Pain> pains,
      Set<DayOfWeek> free) {}

  /**
   * What is known of one of their lifts.
   *
   * @param powerlift whether it is one of the three of powerlifting
   * @param tested the newest tested max; null for none
   * @param goalOn the day of the goal; null where none was said
   * @param contest the day a method of the lift counts down to; null for none
   * @param startMax where the way to the goal began; null where it is not known
   */
  public record OfLift(String lift, boolean powerlift, MaxNumbers numbers, Level level, @Nullable Mass tested, @Nullable LocalDate goalOn,
      @Nullable LocalDate contest, @Nullable Mass startMax, @Nullable LocalDate startOn) {
    private Optional<Goal> goal() {
      if (numbers.goal() != null) {
        return Optional.of(new Goal(numbers.goal(), goalOn != null ? goalOn : contest, startMax, startOn));
      }
      // without a goal the last weeks are still counted back from the contest
      return contest == null || numbers.best() == null ? Optional.empty() : Optional.of(new Goal(numbers.best(), contest, null, null));
    }
  }

  /**
   * A lifter from what is known of them.
   *
   * @param heaviest ever logged of the lifts of powerlifting, by key
   * @param methods by key of the lift
   */
  public static Athlete of(Person person, List<OfLift> lifts, Map<String, Mass> heaviest, Map<String, List<Method>> methods) {
    Map<String, Mass> maxes = new HashMap<>();
    Map<String, Goal> goals = new HashMap<>();
    Map<String, Mass> most = new HashMap<>(heaviest);
    // a lift without a number is on no page: its level is nobody's word
    Level level = lifts.stream().filter(lift -> lift.powerlift() && lift.numbers().best() != null).map(OfLift::level)
        .max(Comparator.naturalOrder()).orElse(null);
    for (OfLift lift : lifts) {
      lift.goal().ifPresent(goal -> goals.put(lift.lift(), goal));
      if (lift.powerlift() && lift.numbers().best() != null) {
        maxes.put(lift.lift(), lift.numbers().best());
      }
      if (lift.powerlift() && lift.tested() != null) {
        most.merge(lift.lift(), lift.tested(), (one, other) -> one.compareTo(other) > 0 ? one : other);
      }
    }
    return new Athlete(person.sex(), person.age(), person.dieting(), person.strained(), level, maxes, most, goals, methods,
        person.pains(), person.free());
  }

  private static final Map<String, Integer> VERY_STRONG_KG = Map.of("squat", 400, "bench", 230, "deadlift", 380);
  /** What a woman of the same standing lifts, of a man's; our own, in place of points of body mass that may be unknown. */
  private static final double OF_WOMEN = 0.65;

  /** Whether they are so strong in a lift that ten to fourteen days between exposures are normal. */
  public boolean veryStrong(String lift) {
    Integer bound = VERY_STRONG_KG.get(lift);
    Mass max = maxes.get(lift);
    return bound != null && max != null && max.nanograms() >= bound * 1e12 * (sex == Sex.FEMALE ? OF_WOMEN : 1);
  }

  /** Whether a method is used for any lift. */
  public boolean uses(Method method) {
    return methods.values().stream().anyMatch(used -> used.contains(method));
  }
}
