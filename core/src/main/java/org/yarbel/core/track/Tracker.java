package org.yarbel.core.track;

import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * Tracks the max of one lifter and lift from the log, with its spread, and learns on the way how the lifter rates, how even the
 * days are, how reps fall with load and how fast the max grows.
 *
 * <p>A bank of four filters on ln(max), gain, rating bias, stretch of the curve and form of the day. A rating is an observation
 * of the reps to failure, a made set a floor, a missed one a ceiling. Constants are our own defaults, chosen in simulation, and
 * stand in {@code Constants}. It is deterministic and knows no clock; it does not model what a lifter does between logged days.
 */
public final class Tracker {
  private final Level level;
  private final List<TestedMax> tests;
  private final boolean logBegins;

  private Tracker(Level level, List<TestedMax> tests, boolean logBegins) {
    this.level = level;
    this.tests = tests.stream().sorted(Comparator.comparing(TestedMax::date)).toList();
    this.logBegins = logBegins;
  }

  /** For a lift at a level of the lifter; the first tested max begins it, a later one is one more observation. */
  public Tracker(Level level, List<TestedMax> tests) {
    this(level, tests, false);
  }

  /** For a lift at a level of the lifter, from a tested max where there is one. */
  public Tracker(Level level, @Nullable TestedMax tested) {
    this(level, tested == null ? List.of() : List.of(tested));
  }

  /**
   * The same, but that a log which begins before the first test begins the course: what was learned of a lifter is not forgotten
   * with a new test.
   */
  public Tracker fromTheLog() {
    return new Tracker(level, tests, true);
  }

  /**
   * Runs over sets of any days, those of a day in the order they were lifted.
   *
   * @param unit the unit of the answers
   */
  public Track run(List<Observation> sets, MassUnit unit) {
    return new Run(sets, unit, new Course(level), tests, logBegins).all();
  }

  /**
   * Goes on from where the tracker stood, over the sets since: the same as a run over all of them.
   *
   * @param sets of days after the standing's
   * @throws Refused when one is not after it
   */
  public Track goOn(Standing from, List<Observation> sets, MassUnit unit) {
    if (sets.stream().anyMatch(set -> !set.date().isAfter(from.day()))) {
      throw new Refused("The sets must be of days after " + from.day());
    }
    List<TestedMax> later = tests.stream().filter(test -> test.date().isAfter(from.day())).toList();
    return new Run(sets, unit, Course.from(from), later, logBegins).all();
  }

  /** One run over a log. */
  private static final class Run {
    private final List<Observation> sets;
    private final MassUnit unit;
    private final Course course;
    private final Deque<TestedMax> tests;
    private final boolean logBegins;
    private final List<Track.Point> points = new ArrayList<>();
    private final List<Integer> skipped = new ArrayList<>();
    private @Nullable Standing before;

    Run(List<Observation> sets, MassUnit unit, Course course, List<TestedMax> tests, boolean logBegins) {
      this.sets = sets;
      this.unit = unit;
      this.course = course;
      this.tests = new ArrayDeque<>(tests);
      this.logBegins = logBegins;
      this.before = course.standing();
    }

    Track all() {
      List<Integer> order = IntStream.range(0, sets.size()).boxed().sorted(Comparator.comparing(i -> sets.get(i).date())).toList();
      for (int first = 0; first < order.size(); ) {
        LocalDate date = sets.get(order.get(first)).date();
        before = course.standing();
        testUntil(date);
        LoggedDay day = new LoggedDay(date, course.begun());
        int next = first;
        while (next < order.size() && sets.get(order.get(next)).date().equals(date)) {
          if (!day.add(sets.get(order.get(next)))) {
            skipped.add(order.get(next));
          }
          next++;
        }
        take(day);
        first = next;
      }
      testUntil(LocalDate.MAX);
      skipped.sort(null);
      return new Track(List.copyOf(points), course.standing(), before, List.copyOf(skipped), course.setsToday());
    }

    private void testUntil(LocalDate date) {
      while (!tests.isEmpty() && !tests.getFirst().date().isAfter(date)) {
        course.test(tests.removeFirst());
      }
    }

    /** Sets from before a test that is still to come are shown, not taken in where the test begins the course. */
    private void take(LoggedDay day) {
      if (course.begun() || tests.isEmpty() || logBegins) {
        course.take(day);
      }
      Track.Point point = day.point(course.begun() ? Estimate.of(course.bank().max(), unit) : null, unit);
      if (point != null) {
        points.add(point);
      }
    }
  }
}
