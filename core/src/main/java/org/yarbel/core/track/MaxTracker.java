package org.yarbel.core.track;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

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
   * Where the filter stands after the last day of the log, so that an estimate for any later day needs no new run.
   *
   * @param lastTrained the last day with a made set; null without one
   * @param layoffDrop how far ln(max) has fallen in the layoff under way
   */
  public record Standing(Level level, LocalDate day, Estimate estimate, @Nullable LocalDate lastTrained, double layoffDrop) {
    /** The estimate on a day; before the standing's own day, that of the standing. */
    public Estimate on(LocalDate date) {
      State state = new State(level);
      state.day = day;
      state.x = Math.log(estimate.max().nanograms());
      state.p = Math.pow(estimate.sd().ratioTo(estimate.max()), 2);
      state.lastTrained = lastTrained;
      state.layoffDrop = layoffDrop;
      state.advance(date);
      return state.estimate(estimate.max().unit());
    }

    /** Whether the lift has lain for so long by a day that the estimate falls: the first week back is capped at RPE 7. */
    public boolean layoffOn(LocalDate date) {
      return lastTrained != null && date.isAfter(lastTrained.plusDays(LAYOFF_AFTER_DAYS));
    }
  }

  /**
   * One day with an observation.
   *
   * @param raw what the day's set speaks for by itself
   * @param spread the standard deviation of that, in % of it
   * @param estimate the tracked max after it; null before the tested date
   */
  public record Point(LocalDate date, Mass raw, double spread, @Nullable Estimate estimate) {}

  /**
   * The whole run.
   *
   * @param points one a day that had an observation, in order of date
   * @param now the estimate on the day asked for; null when nothing was eligible
   * @param standing where the filter stands on that day; null when nothing was eligible
   * @param skipped the places in the list given of the sets that took no part
   * @param before the filter as it was before the last day; null where it had not begun
   */
  public record Track(List<Point> points, @Nullable Estimate now, @Nullable Standing standing, List<Integer> skipped,
      @Nullable Checkpoint before) {}

  /**
   * The filter after a day, to the last digit: a set of a later day goes on from it, without those before.
   *
   * @param day the last one it knows
   * @param x ln(max) in nanograms
   * @param variance of it
   * @param lastTrained the last day with a made set; null without one
   * @param layoffDrop how far x has fallen in the layoff under way
   * @param flagsRunning how many flagged days run on one side
   * @param flagSide which side, −1 or 1; 0 for none
   */
  public record Checkpoint(LocalDate day, double x, double variance, @Nullable LocalDate lastTrained, double layoffDrop, int flagsRunning,
      double flagSide) {}

  /** For a lift at a level of the lifter, from a tested max where there is one. */
  public MaxTracker(Level level, @Nullable Tested tested) {
    this.level = level;
    this.tested = tested;
  }

  /**
   * Runs the filter over the sets, in any order, up to their last day or the day of the test, whichever is later.
   *
   * @param unit the unit of the answers
   */
  public Track run(List<Observation> sets, MassUnit unit) {
    return run(sets, null, unit);
  }

  /**
   * Runs the filter over the sets, in any order, and on to a day.
   *
   * @throws Refused when {@code at} is before the last set
   */
  public Track run(List<Observation> sets, @Nullable LocalDate at, MassUnit unit) {
    return run(sets, at, unit, null);
  }

  private Track run(List<Observation> sets, @Nullable LocalDate at, MassUnit unit, @Nullable Checkpoint from) {
    Integer[] order = new Integer[sets.size()];
    Arrays.setAll(order, i -> i);
    Arrays.sort(order, Comparator.comparing(i -> sets.get(i).date()));
    LocalDate last = order.length == 0 ? null : sets.get(order[order.length - 1]).date();
    if (at != null && last != null && at.isBefore(last)) {
      throw new Refused("The day asked for, " + at + ", is before the last set, " + last);
    }
    Run run = new Run(sets, unit);
    run.restore(from);
    for (int first = 0; first < order.length; ) {
      LocalDate day = sets.get(order[first]).date();
      int behind = first;
      while (behind < order.length && sets.get(order[behind]).date().equals(day)) {
        behind++;
      }
      run.day(day, order, first, behind);
      first = behind;
    }
    return run.finish(at != null ? at : later(last, tested == null ? null : tested.date()));
  }

  /**
   * Goes on from where the filter stood, over the sets since: the same as a run over all of them.
   *
   * @param sets of days after the checkpoint's, in any order
   * @throws Refused when one is not after it
   */
  public Track goOn(Checkpoint from, List<Observation> sets, MassUnit unit) {
    if (sets.stream().anyMatch(set -> !set.date().isAfter(from.day()))) {
      throw new Refused("The sets must be of days after " + from.day());
    }
    return run(sets, null, unit, from);
  }

  private static @Nullable LocalDate later(@Nullable LocalDate a, @Nullable LocalDate b) {
    return a == null || b != null && b.isAfter(a) ? b : a;
  }

  /** ln(max) and its variance, carried from day to day. */
  private static final class State {
    private final double growthPerDay;
    /** The day the state stands at; null before the filter has begun. */
    private @Nullable LocalDate day;
    private double x;
    private double p;
    private @Nullable LocalDate lastTrained;
    private double layoffDrop;

    State(Level level) {
      double percent = switch (level) {
        case ADVANCED -> 0.25;
        case INTERMEDIATE -> 0.35;
        case BEGINNER -> 0.6;
      };
      this.growthPerDay = Math.pow(percent / 100, 2);
    }

    void start(LocalDate date, double seen, double variance) {
      day = date;
      x = seen;
      p = variance;
    }

    void advance(LocalDate to) {
      if (day == null || !to.isAfter(day)) {
        return;
      }
      p += growthPerDay * ChronoUnit.DAYS.between(day, to);
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

    void update(double seen, double spread) {
      double gain = p / (p + spread * spread);
      x += gain * (seen - x);
      p *= 1 - gain;
    }

    Estimate estimate(MassUnit unit) {
      double max = Math.exp(x);
      return new Estimate(Mass.ofRoundedNanograms(max, unit), Mass.ofRoundedNanograms(max * Math.sqrt(p), unit));
    }
  }

  /** One run over a log. */
  private final class Run {
    private final List<Observation> sets;
    private final MassUnit unit;
    private final List<Point> points = new ArrayList<>();
    private final List<Integer> skipped = new ArrayList<>();
    private final State state = new State(level);
    private int flagsRunning;
    private double flagSide;
    private @Nullable Checkpoint before;

    Run(List<Observation> sets, MassUnit unit) {
      this.sets = sets;
      this.unit = unit;
    }

    void restore(@Nullable Checkpoint from) {
      before = from;
      if (from != null) {
        state.start(from.day(), from.x(), from.variance());
        state.lastTrained = from.lastTrained();
        state.layoffDrop = from.layoffDrop();
        flagsRunning = from.flagsRunning();
        flagSide = from.flagSide();
      }
    }

    void day(LocalDate date, Integer[] order, int from, int to) {
      before = state.day == null ? null : new Checkpoint(state.day, state.x, state.p, state.lastTrained, state.layoffDrop,
          flagsRunning, flagSide);
      startFromTest(date);
      state.advance(date);
      Observation chosen = null;
      double spread = 0;
      double max = 0;
      int heaviest = -1;
      double floor = 0;
      boolean trained = false;
      for (int i = from; i < to; i++) {
        Observation set = sets.get(order[i]);
        trained |= set.made();
        if (set.eligible()) {
          double setSpread = set.spread();
          double setMax = set.oneRepMaxNanograms();
          boolean asTelling = Math.abs(setSpread - spread) <= EQUAL_SPREAD;
          if (chosen == null || (asTelling ? setMax > max : setSpread < spread)) {
            chosen = set;
            spread = setSpread;
            max = setMax;
          }
        } else if (set.floor() && set.oneRepMaxNanograms() > floor) {
          heaviest = i;
          floor = set.oneRepMaxNanograms();
        }
      }
      boolean beforeTest = tested != null && date.isBefore(tested.date());
      if (chosen != null && !beforeTest) {
        observe(date, chosen, Math.log(max));
      }
      boolean floorServes = heaviest >= 0 && state.day != null && state.x < Math.log(floor);
      if (floorServes) {
        state.update(Math.log(floor), FLOOR_SPREAD);
        point(date, floor, 100 * FLOOR_SPREAD);
      } else if (chosen != null) {
        point(date, max, spread);
      }
      for (int i = from; i < to; i++) {
        if (!sets.get(order[i]).eligible() && !(floorServes && i == heaviest)) {
          skipped.add(order[i]);
        }
      }
      if (trained) {
        state.lastTrained = date;
        state.layoffDrop = 0;
      }
    }

    Track finish(@Nullable LocalDate at) {
      if (at != null) {
        startFromTest(at);
        state.advance(at);
      }
      skipped.sort(null);
      Standing standing = state.day == null ? null
          : new Standing(level, state.day, state.estimate(unit), state.lastTrained, state.layoffDrop);
      return new Track(List.copyOf(points), standing == null ? null : standing.estimate(), standing, List.copyOf(skipped), before);
    }

    private void point(LocalDate date, double raw, double spread) {
      points.add(new Point(date, Mass.ofRoundedNanograms(raw, unit), spread,
          state.day == null ? null : state.estimate(unit)));
    }

    private void startFromTest(LocalDate date) {
      if (state.day == null && tested != null && !date.isBefore(tested.date())) {
        state.start(tested.date(), Math.log(tested.load().nanograms()), TESTED_SPREAD * TESTED_SPREAD);
      }
    }

    private void observe(LocalDate date, Observation chosen, double seen) {
      if (state.day == null) {
        state.start(date, seen, Math.pow(chosen.spread() / 100, 2) + FIRST_SPREAD * FIRST_SPREAD);
        return;
      }
      countFlags(chosen.flagged(), Math.signum(seen - state.x));
      double spread = flagsRunning > FLAGS_DISCOUNTED ? chosen.spreadUnflagged() : chosen.spread();
      state.update(seen, spread / 100);
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
  }
}
