package org.yarbel.core.track;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * Tracks the estimated max of one lifter and lift from the log.
 *
 * <p>A scalar local-level Kalman filter on the logarithm of the max: one observation a day, the eligible set with the
 * smallest spread, so that tired back-offs do not pull it down. Between days the variance grows by level; a layoff
 * lowers the estimate; a flagged bad day hardly moves it, a run of them does; an unrated set that was made is a floor.
 * All constants are our own defaults, chosen in simulation, and stand here only. Edits of the log re-run it from the
 * start. It does not model missed singles: they feed proposals, not the filter.
 */
public final class MaxTracker {
  private static final double TESTED_SPREAD = 0.02;
  private static final double FIRST_SPREAD = 0.03;
  private static final double FLOOR_SPREAD = 0.01;
  private static final int LAYOFF_AFTER_DAYS = 14;
  private static final double LAYOFF_DROP = 0.0022;
  private static final double LAYOFF_DROP_MOST = 0.22;
  private static final double LAYOFF_SPREAD = 0.0057;
  private static final int FLAGS_DISCOUNTED = 2;
  private static final double EQUAL_SPREAD = 1e-9;

  private final Level level;
  private final @Nullable Tested tested;

  /** A tested max: what was lifted and when. */
  public record Tested(Mass load, LocalDate date) {}

  /** An estimate: the max and its standard deviation. */
  public record Estimate(Mass max, Mass sd) {}

  /**
   * One day with an observation.
   *
   * @param raw what the day's set speaks for by itself
   * @param estimate the tracked max after it; null before the tested date
   */
  public record Point(LocalDate date, Mass raw, @Nullable Estimate estimate) {}

  /**
   * The whole run.
   *
   * @param points one a day that had an observation, in order of date
   * @param now the estimate on the day asked for; null when nothing was eligible
   * @param skipped the places in the list given of the sets that took no part
   */
  public record Track(List<Point> points, @Nullable Estimate now, List<Integer> skipped) {}

  public MaxTracker(Level level, @Nullable Tested tested) {
    this.level = level;
    this.tested = tested;
  }

  /**
   * Runs the filter over the sets, in any order, up to their last day.
   *
   * @param unit the unit of the answers
   */
  public Track run(List<Observation> sets, MassUnit unit) {
    return run(sets, null, unit);
  }

  /**
   * Runs the filter over the sets, in any order, and on to a day.
   *
   * @throws IllegalArgumentException when {@code at} is before the last set
   */
  public Track run(List<Observation> sets, @Nullable LocalDate at, MassUnit unit) {
    SortedMap<LocalDate, List<Integer>> days = new TreeMap<>();
    for (int i = 0; i < sets.size(); i++) {
      days.computeIfAbsent(sets.get(i).date(), day -> new ArrayList<>()).add(i);
    }
    if (at != null && !days.isEmpty() && at.isBefore(days.lastKey())) {
      throw new IllegalArgumentException("The day asked for, " + at + ", is before the last set, " + days.lastKey());
    }
    Run run = new Run(sets, unit);
    days.forEach(run::day);
    LocalDate last = at != null ? at : days.isEmpty() ? null : days.lastKey();
    return run.finish(last);
  }

  private double growthPerDay() {
    double percent = switch (level) {
      case ADVANCED -> 0.25;
      case INTERMEDIATE -> 0.35;
      case BEGINNER -> 0.6;
    };
    return Math.pow(percent / 100, 2);
  }

  /** The state of one run. */
  private final class Run {
    private final List<Observation> sets;
    private final MassUnit unit;
    private final List<Point> points = new ArrayList<>();
    private final List<Integer> skipped = new ArrayList<>();
    /** The day the state stands at; null before the filter has begun. */
    private @Nullable LocalDate day;
    private double x;
    private double p;
    private @Nullable LocalDate lastTrained;
    private double layoffDrop;
    private int flagsRunning;
    private double flagSide;

    Run(List<Observation> sets, MassUnit unit) {
      this.sets = sets;
      this.unit = unit;
    }

    void day(LocalDate date, List<Integer> indexes) {
      startFromTest(date);
      advance(date);
      Optional<Observation> chosen = indexes.stream().map(sets::get).filter(Observation::eligible).reduce(this::better);
      Optional<Integer> floor = indexes.stream().filter(i -> sets.get(i).floor())
          .max(Comparator.comparingDouble(i -> sets.get(i).oneRepMaxNanograms()));
      boolean beforeTest = tested != null && date.isBefore(tested.date());
      if (chosen.isPresent() && !beforeTest) {
        observe(date, chosen.get());
      }
      boolean floorServes = floor.isPresent() && day != null && x < logFloor(floor.get());
      if (floorServes) {
        update(logFloor(floor.get()), FLOOR_SPREAD);
      }
      if (floorServes || chosen.isPresent()) {
        double raw = floorServes ? sets.get(floor.orElseThrow()).oneRepMaxNanograms() : chosen.orElseThrow().oneRepMaxNanograms();
        points.add(new Point(date, Mass.ofRoundedNanograms(raw, unit), estimate()));
      }
      for (int i : indexes) {
        if (!sets.get(i).eligible() && !(floorServes && floor.orElseThrow() == i)) {
          skipped.add(i);
        }
      }
      if (indexes.stream().anyMatch(i -> sets.get(i).made())) {
        lastTrained = date;
        layoffDrop = 0;
      }
    }

    Track finish(@Nullable LocalDate last) {
      LocalDate at = last != null ? last : tested != null ? tested.date() : null;
      if (at != null) {
        startFromTest(at);
        advance(at);
      }
      skipped.sort(null);
      return new Track(List.copyOf(points), estimate(), List.copyOf(skipped));
    }

    private double logFloor(int index) {
      return Math.log(sets.get(index).oneRepMaxNanograms());
    }

    private void startFromTest(LocalDate date) {
      if (day == null && tested != null && !date.isBefore(tested.date())) {
        day = tested.date();
        x = Math.log(tested.load().nanograms());
        p = TESTED_SPREAD * TESTED_SPREAD;
      }
    }

    private void advance(LocalDate to) {
      if (day == null || !to.isAfter(day)) {
        return;
      }
      p += growthPerDay() * ChronoUnit.DAYS.between(day, to);
      if (lastTrained != null) {
        LocalDate layoffFrom = lastTrained.plusDays(LAYOFF_AFTER_DAYS);
        LocalDate from = day.isAfter(layoffFrom) ? day : layoffFrom;
        long idle = Math.max(ChronoUnit.DAYS.between(from, to), 0);
        double drop = Math.min(idle * LAYOFF_DROP, LAYOFF_DROP_MOST - layoffDrop);
        layoffDrop += drop;
        x -= drop;
        p += idle * LAYOFF_SPREAD * LAYOFF_SPREAD;
      }
      day = to;
    }

    private Observation better(Observation a, Observation b) {
      double difference = a.spread() - b.spread();
      if (Math.abs(difference) <= EQUAL_SPREAD) {
        return a.oneRepMaxNanograms() >= b.oneRepMaxNanograms() ? a : b;
      }
      return difference < 0 ? a : b;
    }

    private void observe(LocalDate date, Observation chosen) {
      double seen = Math.log(chosen.oneRepMaxNanograms());
      if (day == null) {
        day = date;
        x = seen;
        p = Math.pow(chosen.spread() / 100, 2) + FIRST_SPREAD * FIRST_SPREAD;
        return;
      }
      countFlags(chosen.flagged(), Math.signum(seen - x));
      double spread = flagsRunning > FLAGS_DISCOUNTED ? chosen.spreadUnflagged() : chosen.spread();
      update(seen, spread / 100);
    }

    private void countFlags(boolean flagged, double side) {
      if (!flagged) {
        flagsRunning = 0;
      } else if (flagsRunning > 0 && side == flagSide) {
        flagsRunning++;
      } else {
        flagsRunning = 1;
      }
      flagSide = side;
    }

    private void update(double seen, double spread) {
      double gain = p / (p + spread * spread);
      x += gain * (seen - x);
      p *= 1 - gain;
    }

    private @Nullable Estimate estimate() {
      if (day == null) {
        return null;
      }
      double max = Math.exp(x);
      return new Estimate(Mass.ofRoundedNanograms(max, unit), Mass.ofRoundedNanograms(max * Math.sqrt(p), unit));
    }
  }
}
