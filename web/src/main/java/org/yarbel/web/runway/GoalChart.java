package org.yarbel.web.runway;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.web.log.TrackedPoint;

/**
 * The straight way to a goal against the tracked estimate, in a small picture.
 *
 * @param line the points of the goal line; empty without a goal
 * @param tracked the points of the estimate
 * @param words what it shows
 */
public record GoalChart(double width, double height, String line, String tracked, String low, String high, String words) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  private static final double WIDTH = 280;
  private static final double HEIGHT = 96;
  private static final double LEFT = 44;
  private static final double EDGE = 8;

  static GoalChart of(RunwayService.Goal goal, LocalDate from, LocalDate end, MassUnit unit) {
    GoalCourse course = goal.course();
    double[] all = Stream.concat(goal.tracked().stream().map(point -> point.estimate(unit)), course == null ? Stream.of(goal.now())
        : Stream.of(course.start(), course.goal())).filter(Objects::nonNull).mapToDouble(mass -> value(mass, unit)).toArray();
    double low = Math.floor(Arrays.stream(all).min().orElse(0) / 5) * 5;
    double high = Math.max(low + 5, Math.ceil(Arrays.stream(all).max().orElse(5) / 5) * 5);
    GoalScale scale = new GoalScale(from, end, low, high);
    StringBuilder tracked = new StringBuilder();
    for (TrackedPoint point : goal.tracked()) {
      Mass estimate = point.estimate(unit);
      if (estimate != null && !point.day().isBefore(from)) {
        tracked.append(scale.at(point.day(), value(estimate, unit))).append(' ');
      }
    }
    String line = course == null ? "" : scale.at(course.startOn(), value(course.start(), unit)) + " "
        + scale.at(course.goalOn(), value(course.goal(), unit));
    return new GoalChart(WIDTH, HEIGHT, line, tracked.toString().strip(), text(low), text(high), words(goal, unit));
  }

  private static String words(RunwayService.Goal goal, MassUnit unit) {
    GoalCourse course = goal.course();
    String now = shown(goal.now(), unit);
    return course == null ? goal.lift().name() + ": now " + now + ", no goal with a date"
        : goal.lift().name() + ": from " + shown(course.start(), unit) + " to " + shown(course.goal(), unit) + " on "
        + DAY.format(course.goalOn())
            + "; now " + now + behind(goal.behind());
  }

  private static String behind(@Nullable Double percent) {
    if (percent == null) {
      return "";
    }
    return percent > 0.05 ? ", " + one(percent) + " % behind the line" : ", " + one(Math.max(0, -percent)) + " % ahead of the line";
  }

  static String shown(@Nullable Mass mass, MassUnit unit) {
    return mass == null ? "unknown" : mass.amountIn(unit, 1).stripTrailingZeros().toPlainString() + " " + unit;
  }

  private static String one(double value) {
    return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP).toPlainString();
  }

  private static String text(double value) {
    return Long.toString(Math.round(value));
  }

  private static double value(Mass mass, MassUnit unit) {
    return mass.amountIn(unit, 3).doubleValue();
  }

  /** From days and masses to places in the picture. */
  private record GoalScale(LocalDate from, LocalDate end, double low, double high) {
    String at(LocalDate day, double value) {
      double days = Math.max(1, ChronoUnit.DAYS.between(from, end));
      double share = Math.min(Math.max(ChronoUnit.DAYS.between(from, day) / days, 0), 1);
      return Math.rint(10 * (LEFT + (WIDTH - LEFT - EDGE) * share)) / 10 + "," + Math.rint(10 * (EDGE + (HEIGHT - 2 * EDGE)
          * (1 - (value - low) / (high - low)))) / 10;
    }
  }
}
