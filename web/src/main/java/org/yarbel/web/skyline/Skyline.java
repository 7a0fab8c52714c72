package org.yarbel.web.skyline;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
 * <p>The same picture on board, card, ledger and paper. Rules stand at 70, 80, 90 and 100 %; what is over the max rises
 * above the last. Holds and carries have no height: they lie in a lane of their own below, as long as they take or go.
 *
 * @param lane where the lane begins; null without one
 * @param text what it shows, in words
 */
public record Skyline(double width, double height, List<Rule> rules, List<Bar> bars, @Nullable Double lane, String text) {
  private static final double TOP_SHARE = 1.12;
  /** Over this much of the max a bar is cut off. */
  private static final double MOST_SHARE = 1.5;
  private static final double LANE_HEIGHT = 13;
  private static final double SECONDS_A_REP = 6;
  private static final double METRES_A_REP = 4;
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

    /** What stands over a bar: the cap of a max, the waves of an open end. */
    private void cap(Map<String, StringBuilder> paths) {
      if (role.equals("max")) {
        path(paths, "max-cap").append('M').append(text(x)).append(' ').append(text(round(y + 3))).append('h').append(text(width));
      }
      if (role.equals("open") || role.equals("plus") || role.equals("timed")) {
        path(paths, "open-top").append(openTop());
      }
    }

    /** The tick of what was done, with the case it lies in. */
    private Optional<List<Shape>> tick() {
      if (doneY == null) {
        return Optional.empty();
      }
      String path = "M" + text(x) + " " + text(doneY) + "H" + text(right());
      return Optional.of(List.of(new Shape("tick-case", path), new Shape(missed ? "tick missed" : "tick", path)));
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
  public record SkylineLine(ResolvedLine resolved, @Nullable Mass basisMax, @Nullable String prefix) {}

  /** Draws lines one after another into a picture of this size. */
  public static Skyline of(List<SkylineLine> lines, double width, double height) {
    List<SkylineColumn> columns = new ArrayList<>();
    for (int i = 0; i < lines.size(); i++) {
      boolean first = i > 0;
      for (SkylineColumn column : columns(lines.get(i))) {
        columns.add(first ? column.afterGap() : column);
        first = false;
      }
    }
    boolean scaled = lines.stream().anyMatch(line -> line.basisMax() != null);
    boolean lane = columns.stream().anyMatch(SkylineColumn::lane);
    SkylineScale scale = new SkylineScale(lane ? height - LANE_HEIGHT : height, top(columns));
    return new Skyline(width, height, scaled ? rules(scale) : List.of(), bars(columns, width, height, scale),
        lane ? Double.valueOf(round(scale.height() + 3)) : null, words(lines));
  }

  /** How shares become heights: the main picture is so high and shows so much of the max. */
  private record SkylineScale(double height, double top) {
    double y(double share) {
      return round(height - Math.min(share, top) / top * height);
    }
  }

  /** As much over the max as there is to show. */
  private static double top(List<SkylineColumn> columns) {
    double highest = columns.stream().filter(column -> column.share() != null)
        .mapToDouble(column -> Math.max(Objects.requireNonNull(column.share()), column.done() == null ? 0 : column.done())).max().orElse(0);
    return Math.min(Math.max(TOP_SHARE, highest + 0.05), MOST_SHARE);
  }

  /** Draws one line. */
  public static Skyline of(ResolvedLine line, @Nullable Mass basisMax, double width, double height) {
    return of(List.of(new SkylineLine(line, basisMax, null)), width, height);
  }

  /** Bars that are drawn the same, as one path; a tick by itself. */
  public record Shape(String css, String path) {}

  /** The whole picture in as few shapes as it has kinds of bars, for where no bar leads anywhere. */
  public List<Shape> shapes() {
    Map<String, StringBuilder> paths = new LinkedHashMap<>();
    List<Shape> ticks = new ArrayList<>();
    for (Rule rule : rules) {
      path(paths, rule.full() ? "rule full" : "rule").append("M0 " + text(rule.y()) + "H" + text(width));
    }
    if (lane != null) {
      path(paths, "lane").append("M0 " + text(lane - 1) + "H" + text(width));
    }
    for (Bar bar : bars) {
      path(paths, "bar " + bar.role()).append("M" + text(bar.x()) + " " + text(bar.y()) + "h" + text(bar.width()))
          .append("v" + text(bar.height()) + "h" + text(-bar.width()) + "z");
      bar.cap(paths);
      bar.tick().ifPresent(ticks::addAll);
    }
    List<Shape> shapes = new ArrayList<>();
    paths.forEach((css, path) -> shapes.add(new Shape(css, path.toString())));
    shapes.addAll(ticks);
    return shapes;
  }

  private static StringBuilder path(Map<String, StringBuilder> paths, String css) {
    return paths.computeIfAbsent(css, key -> new StringBuilder());
  }

  private static String text(double number) {
    return number == Math.rint(number) ? Long.toString(Math.round(number)) : Double.toString(number);
  }

  public boolean empty() {
    return bars.isEmpty();
  }

  /**
   * @param reps how wide it is
   * @param lane whether it lies in the lane of holds and carries
   */
  private record SkylineColumn(String role, @Nullable Double share, double reps, String label, @Nullable String target,
      @Nullable Double done, boolean missed, boolean lane, double gap) {
    SkylineColumn afterGap() {
      return new SkylineColumn(role, share, reps, label, target, done, missed, lane, LIFT_GAP);
    }

    double weight() {
      return 1 + 0.45 * Math.min(reps, WIDEST_REPS);
    }
  }

  /** The basis max; without one the load that makes the heaviest set stand half high, so that at least steps show. */
  private static @Nullable Mass scale(SkylineLine line) {
    return line.basisMax() != null ? line.basisMax() : line.resolved().sets().stream()
        .map(ResolvedSet::load)
        .filter(Objects::nonNull)
        .max(Mass::compareTo)
        .map(heaviest -> heaviest.scaled(1 / UNSCALED_SHARE))
        .orElse(null);
  }

  private static List<SkylineColumn> columns(SkylineLine line) {
    List<SkylineColumn> columns = new ArrayList<>();
    Mass max = scale(line);
    for (RampStep step : line.resolved().ramp()) {
      columns.add(new SkylineColumn("warm", share(step.load(), max), step.reps(),
          number(step.load(), line) + " × " + step.reps(), null, null, false, false, GAP));
    }
    for (ResolvedSet set : line.resolved().sets()) {
      Mass planned = set.logged() && set.exact() != null ? set.exact() : set.load();
      Double share = planned == null ? null : share(planned, max);
      Double done = !set.logged() || set.load() == null ? null : share(set.load(), max);
      boolean lane = set.role() == Role.HOLD || set.role() == Role.CARRY;
      double counted = set.reps() == null ? OPEN_REPS : Math.max(set.reps(), 1);
      double reps = lane ? length(set) : counted;
      boolean missed = set.logged() && set.reps() != null && set.reps() == 0;
      columns.add(new SkylineColumn(share == null && !lane ? "unknown" : set.role().key(), share, reps, label(set, line),
          line.prefix() == null ? null : line.prefix() + "-" + set.part() + "-" + set.set(),
          set.logged() && done == null ? Double.valueOf(UNKNOWN_SHARE) : done, missed, lane, GAP));
    }
    return columns;
  }

  /** How long a hold or a carry is drawn: by its time or its distance, in reps' width. */
  private static double length(ResolvedSet set) {
    ResolvedSet.Distance distance = set.distance();
    ResolvedSet.Clock clock = set.clock();
    if (distance != null) {
      return distance.metres().doubleValue() / METRES_A_REP;
    }
    return clock != null && clock.seconds() != null ? clock.seconds() / SECONDS_A_REP : 1;
  }

  private static @Nullable Double share(Mass load, @Nullable Mass max) {
    return max == null || max.isZero() ? null : Double.valueOf(Math.min(load.ratioTo(max), MOST_SHARE));
  }

  /** A load in the unit of the max it is drawn against: a picture speaks one unit. */
  private static String number(Mass load, SkylineLine line) {
    return load.shownIn(line.basisMax() == null ? load.unit() : line.basisMax().unit()).number();
  }

  private static String label(ResolvedSet set, SkylineLine line) {
    String load = set.load() == null ? "lifter picks" : number(set.load(), line);
    ResolvedSet.Distance distance = set.distance();
    ResolvedSet.Clock clock = set.clock();
    if (distance != null) {
      return load + ", " + distance.metres().stripTrailingZeros().toPlainString() + " m";
    }
    if (clock != null && clock.seconds() != null && !set.logged()) {
      return load + ", " + clock.seconds() + " s";
    }
    String reps = set.reps() == null ? "open" : set.reps() + (set.role() == Role.PLUS && !set.logged() ? "+" : "");
    return load + " × " + reps;
  }

  private static List<Rule> rules(SkylineScale scale) {
    return List.of(new Rule(scale.y(0.7), false), new Rule(scale.y(0.8), false), new Rule(scale.y(0.9), false),
        new Rule(scale.y(1), true));
  }

  private static List<Bar> bars(List<SkylineColumn> columns, double width, double height, SkylineScale heights) {
    double gaps = columns.stream().skip(1).mapToDouble(SkylineColumn::gap).sum();
    double squeeze = gaps > width / 2 ? width / 2 / gaps : 1;
    double weights = columns.stream().mapToDouble(SkylineColumn::weight).sum();
    double scale = Math.min((width - gaps * squeeze) / weights, 16);
    List<Bar> bars = new ArrayList<>();
    double x = 0;
    for (SkylineColumn column : columns) {
      x += bars.isEmpty() ? 0 : column.gap() * squeeze;
      double base = column.lane() ? height : heights.height();
      double top = column.lane() ? heights.height() + 4 : heights.y(column.share() == null ? UNKNOWN_SHARE : column.share());
      Double done = null;
      if (column.done() != null) {
        done = column.lane() ? round((top + base) / 2) : heights.y(column.done());
      }
      bars.add(new Bar(round(x), round(top), round(column.weight() * scale), round(base - top), column.role(), column.label(),
          column.target(), done, column.missed()));
      x += column.weight() * scale;
    }
    return bars;
  }

  private static String words(List<SkylineLine> lines) {
    return lines.stream().map(line -> {
      String ramp = line.resolved().ramp().stream()
          .map(s -> number(s.load(), line) + " × " + s.reps()).collect(Collectors.joining(", "));
      String sets = line.resolved().sets().stream()
          .map(s -> role(s.role()) + " " + label(s, line) + (s.logged() ? " done" : "")).collect(Collectors.joining(", "));
      return (ramp.isEmpty() ? "" : "Warm-up " + ramp + "; ") + sets;
    }).collect(Collectors.joining(". "));
  }

  /** The word for a role that a person hears. */
  private static String role(Role role) {
    return switch (role) {
      case BACKOFF -> "back-off";
      case EMOM -> "on the minute";
      case NEGATIVE -> "lowered";
      case TIMED -> "on time";
      case WARM -> "warm-up";
      case MAX -> "best of the day";
      default -> role.key();
    };
  }

  static double round(double value) {
    return Math.rint(value * 10) / 10;
  }
}
