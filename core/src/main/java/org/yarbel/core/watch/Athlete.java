package org.yarbel.core.watch;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
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
public record Athlete(@Nullable Sex sex, @Nullable Integer age, boolean dieting, boolean strained, @Nullable Level level, Map<String, Mass> maxes,
    Map<String, Mass> heaviest, Map<String, Goal> goals, Map<String, List<Method>> methods, List<Pain> pains, Set<DayOfWeek> free) {
  /** What is aimed at, and on what day; the start of the way there where it is known. */
  public record Goal(Mass max, @Nullable LocalDate on, @Nullable Mass startMax, @Nullable LocalDate startOn) {}

  /** Where it hurts, and how much of 10. */
  public record Pain(String place, int score) {}

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
