package org.yarbel.web.skyline;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.mass.Mass;

/**
 * A session as a row of bars in the order lifted: height the share of the basis max, width growing with the reps.
 *
 * <p>The same picture on board, card, ledger and paper. Rules stand at 70, 80, 90 and 100 %.
 *
 * @param text what it shows, in words
 */
public record Skyline(double width, double height, List<Rule> rules, List<Bar> bars, String text) {
  private static final double TOP_SHARE = 1.12;
  private static final double GAP = 2.5;
  private static final double LIFT_GAP = 12;
  private static final int OPEN_REPS = 8;
  private static final int WIDEST_REPS = 12;
  /** How high a set stands whose load is not known. */
  private static final double UNKNOWN_SHARE = 0.3;
  /** How high the heaviest set stands when the max is not known. */
  private static final double UNSCALED_SHARE = 0.5;

  /** A thin line at a share of the max. */
  public record Rule(double y, boolean full) {}

  /**
   * One set.
   *
   * @param role how it is drawn: the role's key, {@code warm}, or {@code unknown} without a load
   * @param target the place of the set it leads to on the card, such as {@code set-17-2-1}; null without one
   * @param doneY where the tick of what was done stands; null while nothing is logged
   * @param missed whether it was logged without a good rep
   */
  public record Bar(double x, double y, double width, double height, String role, String label,
      @Nullable String target, @Nullable Double doneY, boolean missed) {
    /** The right edge. */
    public double right() {
      return round(x + width);
    }

    /** The open top of a set without an upper end: two waves over the bar. */
    public String openTop() {
      double wave = width / 4;
      return "M" + x + " " + y + "l" + round(wave) + " -4l" + round(wave) + " 4l" + round(wave) + " -4l" + round(wave)
          + " 4";
    }
  }

  /**
   * One line of work to be drawn.
   *
   * @param prefix of the places of its sets; null when nothing is to be led to
   */
  public record Line(ResolvedLine resolved, @Nullable Mass basisMax, @Nullable String prefix) {}

  /** Draws lines one after another into a picture of this size. */
  public static Skyline of(List<Line> lines, double width, double height) {
    List<Column> columns = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      boolean first = i > 0;
      for (Column column : columns(lines.get(i))) {
        columns.add(first ? column.afterGap() : column);
        first = false;
      }
    }
    boolean scaled = lines.stream().anyMatch(line -> line.basisMax() != null);
    return new Skyline(width, height, scaled ? rules(height) : List.of(), bars(columns, width, height), words(lines));
  }

  /** Draws one line. */
  public static Skyline of(ResolvedLine line, @Nullable Mass basisMax, double width, double height) {
    return of(List.of(new Line(line, basisMax, null)), width, height);
  }

  public boolean empty() {
    return bars.isEmpty();
  }

  private record Column(String role, @Nullable Double share, int reps, String label, @Nullable String target,
      @Nullable Double done, boolean missed, double gap) {
    Column afterGap() {
      return new Column(role, share, reps, label, target, done, missed, LIFT_GAP);
    }

    double weight() {
      return 1 + 0.45 * Math.min(reps, WIDEST_REPS);
    }
  }

  /** The basis max; without one the load that makes the heaviest set stand half high, so that at least steps show. */
  private static @Nullable Mass scale(Line line) {
    return line.basisMax() != null ? line.basisMax() : line.resolved().sets().stream()
        .map(ResolvedSet::load)
        .filter(Objects::nonNull)
        .max(Mass::compareTo)
        .map(heaviest -> heaviest.scaled(1 / UNSCALED_SHARE))
        .orElse(null);
  }

  private static List<Column> columns(Line line) {
    List<Column> columns = new ArrayList<>();
    Mass max = scale(line);
    for (RampStep step : line.resolved().ramp()) {
      columns.add(new Column("warm", share(step.load(), max), step.reps(),
          step.load().number() + " × " + step.reps(), null, null, false, GAP));
    }
    for (ResolvedSet set : line.resolved().sets()) {
      Mass planned = set.logged() && set.exact() != null ? set.exact() : set.load();
      Double share = planned == null ? null : share(planned, max);
      Double done = !set.logged() || set.load() == null ? null : share(set.load(), max);
      int reps = set.reps() == null ? OPEN_REPS : Math.max(set.reps(), 1);
      boolean missed = set.logged() && set.reps() != null && set.reps() == 0;
      columns.add(new Column(share == null ? "unknown" : set.role().key(), share, reps, label(set),
          line.prefix() == null ? null : line.prefix() + "-" + set.part() + "-" + set.set(),
          set.logged() && done == null ? Double.valueOf(UNKNOWN_SHARE) : done, missed, GAP));
    }
    return columns;
  }

  private static @Nullable Double share(Mass load, @Nullable Mass max) {
    return max == null || max.isZero() ? null : Math.min(load.ratioTo(max), TOP_SHARE);
  }

  private static String label(ResolvedSet set) {
    String reps = set.reps() == null ? "open" : set.reps() + (set.role() == Role.PLUS && !set.logged() ? "+" : "");
    return (set.load() == null ? "lifter picks" : set.load().number()) + " × " + reps;
  }

  private static List<Rule> rules(double height) {
    return List.of(new Rule(y(0.7, height), false), new Rule(y(0.8, height), false), new Rule(y(0.9, height), false),
        new Rule(y(1, height), true));
  }

  private static double y(double share, double height) {
    return round(height - share / TOP_SHARE * height);
  }

  private static List<Bar> bars(List<Column> columns, double width, double height) {
    double gaps = columns.stream().skip(1).mapToDouble(Column::gap).sum();
    double squeeze = gaps > width / 2 ? width / 2 / gaps : 1;
    double weights = columns.stream().mapToDouble(Column::weight).sum();
    double scale = Math.min((width - gaps * squeeze) / weights, 16);
    List<Bar> bars = new ArrayList<>();
    double x = 0;
    for (Column column : columns) {
      x += bars.isEmpty() ? 0 : column.gap() * squeeze;
      double top = y(column.share() == null ? UNKNOWN_SHARE : column.share(), height);
      bars.add(new Bar(round(x), top, round(column.weight() * scale), round(height - top), column.role(), column.label(),
          column.target(), column.done() == null ? null : y(column.done(), height), column.missed()));
      x += column.weight() * scale;
    }
    return bars;
  }

  private static String words(List<Line> lines) {
    return lines.stream().map(line -> {
      String ramp = line.resolved().ramp().stream()
          .map(s -> s.load().number() + " × " + s.reps()).collect(Collectors.joining(", "));
      String sets = line.resolved().sets().stream()
          .map(s -> s.role().key() + " " + label(s) + (s.logged() ? " done" : "")).collect(Collectors.joining(", "));
      return (ramp.isEmpty() ? "" : "Warm-up " + ramp + "; ") + sets;
    }).collect(Collectors.joining(". "));
  }

  static double round(double value) {
    return Math.rint(value * 10) / 10;
  }
}
