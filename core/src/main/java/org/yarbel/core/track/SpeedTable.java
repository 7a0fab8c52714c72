package org.yarbel.core.track;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * What bar speed says of one lifter in one lift: at which speeds singles and last reps of each rating came, the line through all of
 * it, and the max that line speaks for. It is never shared between lifters or lifts.
 *
 * @param rows by rating, the lowest first
 * @param line null where it is refused
 * @param refused why there is no line; null where there is one
 * @param max the line speaks for; null without one
 * @param own whether the speed of a max is this lifter's own, not a typical one
 */
public record SpeedTable(List<Row> rows, @Nullable SpeedProfile line, @Nullable String refused, @Nullable Mass max, boolean own) {
  /** How far outside of what was seen a speed may lie to be told by it, in mm/s; our own choice. */
  private static final int NEAR = 30;
  /** A single rated so is as slow as they come; our own choice. */
  private static final Rpe ALL = Rpe.of(9.5);

  /** Speeds that were seen, in millimetres a second, and how often. */
  public record Range(int slowest, int fastest, int count) {
    private static Range of(List<Integer> speeds) {
      return new Range(speeds.stream().min(Comparator.naturalOrder()).orElseThrow(),
          speeds.stream().max(Comparator.naturalOrder()).orElseThrow(), speeds.size());
    }

    /** In words, to the hundredth, which is as well as anybody measures: {@code 0.24–0.26 m/s}. */
    public String words() {
      String from = RepSpeeds.metres((int) (10 * Math.rint(slowest / 10.0)));
      String to = RepSpeeds.metres((int) (10 * Math.rint(fastest / 10.0)));
      return (from.equals(to) ? from : from + "–" + to) + " m/s";
    }

    private double off(int speed) {
      return Math.abs(speed - (slowest + fastest) / 2.0);
    }

    private boolean near(int speed) {
      return speed >= slowest - NEAR && speed <= fastest + NEAR;
    }
  }

  /**
   * What one rating came at.
   *
   * @param singles null without any
   * @param lastReps of sets of several reps that were measured to the last; null without any
   */
  public record Row(Rpe rpe, @Nullable Range singles, @Nullable Range lastReps) {
    private OptionalDouble off(int speed) {
      return List.of(Optional.ofNullable(singles), Optional.ofNullable(lastReps)).stream().flatMap(Optional::stream)
          .filter(range -> range.near(speed)).mapToDouble(range -> range.off(speed)).min();
    }
  }

  /**
   * One measured set.
   *
   * @param reps good ones, at least 1
   * @param rpe null unrated
   */
  public record Measured(Mass load, int reps, @Nullable Rpe rpe, RepSpeeds speeds) {
    /** How fast its last rep was, in mm/s: what tells of the rating. Empty where only the best of several was measured. */
    OptionalInt lastRep() {
      return speeds.millimetres().size() >= reps ? OptionalInt.of(speeds.millimetres().get(reps - 1)) : OptionalInt.empty();
    }
  }

  /**
   * Draws it up.
   *
   * @param sets made ones, of one lift
   * @param tracked the tracked max, which the span of the loads is judged by; null without one
   */
  public static SpeedTable of(List<Measured> sets, @Nullable Mass tracked, Movement movement, MassUnit unit) {
    SpeedProfile line = null;
    String refused = null;
    try {
      line = fit(sets, tracked);
    } catch (Refused why) {
      refused = why.sentence();
    }
    OptionalInt slowest = sets.stream().filter(set -> set.reps() == 1 && set.rpe() != null && set.rpe().compareTo(ALL) >= 0)
        .mapToInt(set -> set.speeds().best()).min();
    OptionalDouble atMax = slowest.isPresent() ? OptionalDouble.of(slowest.getAsInt() / 1000.0) : SpeedProfile.typicalAtMax(movement);
    Mass max = line == null || atMax.isEmpty() ? null : line.oneRepMax(atMax.getAsDouble(), unit).orElse(null);
    return new SpeedTable(rows(sets), line, refused, max, slowest.isPresent());
  }

  private static SpeedProfile fit(List<Measured> sets, @Nullable Mass tracked) {
    if (tracked == null) {
      throw new Refused("There is no tracked max yet to judge the loads by");
    }
    return SpeedProfile.fit(sets.stream().map(set -> new SpeedProfile.Point(set.load(), set.speeds().best() / 1000.0,
        set.reps() == 1 ? set.rpe() : null)).toList(), tracked);
  }

  private static List<Row> rows(List<Measured> sets) {
    Map<Rpe, List<Integer>> singles = new TreeMap<>();
    Map<Rpe, List<Integer>> lastReps = new TreeMap<>();
    for (Measured set : sets) {
      if (set.rpe() != null && set.reps() == 1) {
        singles.computeIfAbsent(set.rpe(), rpe -> new ArrayList<>()).add(set.speeds().best());
      } else if (set.rpe() != null) {
        set.lastRep().ifPresent(speed -> lastReps.computeIfAbsent(set.rpe(), rpe -> new ArrayList<>()).add(speed));
      }
    }
    Map<Rpe, Row> rows = new TreeMap<>();
    singles.forEach((rpe, speeds) -> rows.put(rpe, new Row(rpe, Range.of(speeds), null)));
    lastReps.forEach((rpe, speeds) -> rows.merge(rpe, new Row(rpe, null, Range.of(speeds)),
        (one, other) -> new Row(rpe, one.singles(), other.lastReps())));
    return List.copyOf(rows.values());
  }

  /** Rows in a line: {@code singles @8 0.24–0.26 m/s · last reps @8 0.28 m/s}; empty without any. */
  public static String words(List<Row> rows) {
    List<String> words = new ArrayList<>();
    rows.stream().filter(row -> row.singles() != null).forEach(row -> words.add("single @" + row.rpe() + " " + row.singles().words()));
    rows.stream().filter(row -> row.lastReps() != null).forEach(row -> words.add("last rep @" + row.rpe() + " " + row.lastReps().words()));
    return String.join(" · ", words);
  }

  /** The row of a rating; empty where nothing was measured at it. */
  public Optional<Row> at(Rpe rpe) {
    return rows.stream().filter(row -> row.rpe().equals(rpe)).findFirst();
  }

  /** The rating that a single or a last rep of this speed came at before; empty where none is near. */
  public Optional<Rpe> says(int millimetres) {
    return says(rows, millimetres);
  }

  /** The rating that the last rep of a set came at before, by rows alone, as a card keeps them. */
  public static Optional<Rpe> says(List<Row> rows, Measured set) {
    OptionalInt last = set.lastRep();
    return last.isPresent() ? says(rows, last.getAsInt()) : Optional.empty();
  }

  private static Optional<Rpe> says(List<Row> rows, int millimetres) {
    return rows.stream().filter(row -> row.off(millimetres).isPresent())
        .min(Comparator.comparingDouble(row -> row.off(millimetres).getAsDouble())).map(Row::rpe);
  }
}
