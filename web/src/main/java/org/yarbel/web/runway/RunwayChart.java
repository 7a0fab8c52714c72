package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.Zone;
import org.yarbel.core.plan.cycle.FitnessFatigue;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Purpose;

/**
 * The weeks as columns, counted down to the contest at the right edge, drawn with plain shapes.
 *
 * @param columns one a week, to point at and to go through with the arrow keys
 * @param blocks one a block, to open it
 */
record RunwayChart(double width, double height, List<Column> columns, List<BlockShape> blocks, List<Rect> rects, List<Path> paths, List<Label> labels) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  private static final double WIDTH = 1180;
  private static final double LEFT = 112;
  private static final double RIGHT = 12;
  private static final double BLOCKS_AT = 36;
  private static final double BLOCKS_HEIGHT = 30;
  private static final double MARKS_AT = 84;
  private static final double TOP_AT = 94;
  private static final double TOP_HEIGHT = 84;
  private static final double LEAST_TOP = 50;
  private static final double MOST_TOP = 105;
  private static final double ZONES_HEIGHT = 62;
  private static final double LIFT_HEIGHT = 26;
  private static final double READY_HEIGHT = 92;
  private static final double GAP = 12;
  private static final Map<Purpose, String> FILLS = Map.of(Purpose.PRACTICE, "url(#steps)", Purpose.VOLUME, "url(#dots)", Purpose.STRENGTH, "url(#upright)",
      Purpose.PEAK, "url(#hatch)", Purpose.TAPER, "url(#back)", Purpose.TEST, "url(#cross)", Purpose.HOLD, "url(#level)", Purpose.OFF, "none");
  private static final Map<Zone, String> ZONE_FILLS = Map.of(Zone.UNDER_70, "none", Zone.FROM_70, "url(#dots)", Zone.FROM_80, "url(#hatch)", Zone.FROM_90,
      "currentColor");
  /** How the lines of lifts are told apart: a marker each. */
  private static final List<String> MARKERS = List.of("square", "round", "wedge", "tilted");

  /** A week. */
  record Column(double x, double width, String monday, String words, boolean now) {}

  /** A block. */
  record BlockShape(int no, double x, double y, double width, double height, String fill, String title, String words) {
    public double middle() {
      return x + width / 2;
    }
  }

  /** A box. */
  record Rect(double x, double y, double width, double height, String kind, String fill) {}

  /** A line or a mark. */
  record Path(String d, String kind) {}

  /** A text. */
  record Label(double x, double y, String anchor, String kind, String text) {}

  static RunwayChart of(RunwayService.Shown shown) {
    return new Drawing(shown).draw();
  }

  /** The week that is looked at first: this one, or the first of all. */
  public int first() {
    for (int i = 0; i < columns.size(); i++) {
      if (columns.get(i).now()) {
        return i;
      }
    }
    return 0;
  }

  private static double round(double value) {
    return Math.rint(value * 10) / 10;
  }

  /** A chart while it is drawn. */
  private static final class Drawing {
    private final RunwayService.Shown shown;
    private final List<RunwayWeek> weeks;
    private final double column;
    private final List<Rect> rects = new ArrayList<>();
    private final List<Path> paths = new ArrayList<>();
    private final List<Label> labels = new ArrayList<>();
    private double y;

    Drawing(RunwayService.Shown shown) {
      this.shown = shown;
      this.weeks = shown.weeks();
      this.column = (WIDTH - LEFT - RIGHT) / weeks.size();
    }

    RunwayChart draw() {
      header();
      List<BlockShape> blocks = blocks();
      marks();
      y = TOP_AT;
      tops();
      zones();
      lifts();
      if (!shown.readiness().isEmpty()) {
        readiness();
      }
      double height = y + 16;
      today(height);
      List<Column> columns = new ArrayList<>();
      for (int i = 0; i < weeks.size(); i++) {
        columns.add(new Column(round(x(i)), round(column), weeks.get(i).monday().toString(), weeks.get(i).words(), weeks.get(i).now()));
      }
      return new RunwayChart(WIDTH, round(height), columns, blocks, rects, paths, labels);
    }

    private double x(double week) {
      return LEFT + week * column;
    }

    private double x(LocalDate day) {
      return x(ChronoUnit.DAYS.between(shown.from(), day) / 7.0);
    }

    private void text(double atX, double atY, String anchor, String kind, String text) {
      labels.add(new Label(round(atX), round(atY), anchor, kind, text));
    }

    private void rect(double atX, double atY, double width, double height, String kind, String fill) {
      rects.add(new Rect(round(atX), round(atY), round(Math.max(width, 0)), round(Math.max(height, 0)), kind, fill));
    }

    private void header() {
      boolean tight = column < 40;
      text(8, 15, "start", "rw-row", shown.contest() == null ? "week" : "weeks out");
      for (int i = 0; i < weeks.size(); i++) {
        RunwayWeek week = weeks.get(i);
        String number = week.out() == null ? Integer.toString(i + 1) : week.out() < 0 ? "+" + -week.out() : week.out().toString();
        text(x(i + 0.5), 15, "middle", week.now() ? "rw-out now" : "rw-out", number);
        if (!tight || i % 2 == 0) {
          text(x(i + 0.5), 29, "middle", "rw-day", week.day());
        }
        if (week.easy()) {
          rect(x(i), BLOCKS_AT + BLOCKS_HEIGHT + 2, column, 400, "rw-easy", "");
        }
      }
    }

    private List<BlockShape> blocks() {
      text(8, BLOCKS_AT + 19, "start", "rw-row", "block");
      List<BlockShape> shapes = new ArrayList<>();
      for (Macrocycle.Placed placed : shown.blocks()) {
        LocalDate from = placed.monday().isBefore(shown.from()) ? shown.from() : placed.monday();
        LocalDate to = placed.end().isAfter(shown.end()) ? shown.end() : placed.end();
        if (from.isBefore(to)) {
          String word = placed.block().purpose().word();
          double width = x(to) - x(from);
          String shortened = word.length() * 6.6 + 10 > width ? word.substring(0, 1) : word;
          shapes.add(new BlockShape(placed.block().no(), round(x(from)), BLOCKS_AT, round(width), BLOCKS_HEIGHT, FILLS.get(placed.block().purpose()), shortened,
              "Change the block " + word + ", " + Count.of(placed.block().weeks(), "week") + " from " + DAY.format(placed.monday())));
        }
      }
      return shapes;
    }

    private void marks() {
      text(8, MARKS_AT, "start", "rw-row", "marks");
      for (int i = 0; i < weeks.size(); i++) {
        String letters = weeks.get(i).marks().stream().map(RunwayWeek.MarkView::letter).distinct().reduce((weeks.get(i).easy() ? "D" : ""), (one, other) -> one
            + (one.isEmpty() ? "" : " ") + other);
        if (!letters.isEmpty()) {
          text(x(i + 0.5), MARKS_AT, "middle", letters.contains("C") ? "rw-mark contest" : "rw-mark", letters);
        }
      }
    }

    private double topY(double percent) {
      return y + TOP_HEIGHT * (1 - (Math.min(Math.max(percent, LEAST_TOP), MOST_TOP) - LEAST_TOP) / (MOST_TOP - LEAST_TOP));
    }

    private void tops() {
      text(8, y + 12, "start", "rw-row", "top, %");
      for (int percent : new int[] {60, 70, 80, 90, 100}) {
        paths.add(new Path("M" + LEFT + " " + round(topY(percent)) + "H" + (WIDTH - RIGHT), "rw-grid"));
        text(LEFT - 5, topY(percent) + 4, "end", "rw-axis", Integer.toString(percent));
      }
      int shown = 0;
      for (int lift = 0; lift < families() && shown < MARKERS.size(); lift++) {
        int of = lift;
        if (weeks.stream().allMatch(week -> week.lifts().get(of).top() + week.lifts().get(of).topDone() == 0)) {
          continue;
        }
        String marker = MARKERS.get(shown);
        line(lift, RunwayWeek.OfLift::top, marker + " planned");
        text(8, y + 28 + 15 * shown, "start", "rw-key", name(lift));
        paths.add(new Path(marker(marker, 82, y + 24 + 15 * shown), "rw-dot " + marker));
        shown++;
        for (int i = 0; i < weeks.size(); i++) {
          double done = weeks.get(i).lifts().get(lift).topDone();
          if (done >= LEAST_TOP) {
            paths.add(new Path(marker(marker, x(i + 0.5), topY(done)), "rw-dot done " + marker));
          }
        }
      }
      y += TOP_HEIGHT + GAP;
    }

    private int families() {
      return weeks.get(0).lifts().size();
    }

    private String name(int lift) {
      String name = weeks.get(0).lifts().get(lift).name();
      return name.length() > 12 ? name.substring(0, 11) + "…" : name;
    }

    private void line(int lift, ToDoubleFunction<RunwayWeek.OfLift> of, String kind) {
      StringBuilder d = new StringBuilder();
      boolean open = false;
      for (int i = 0; i < weeks.size(); i++) {
        double value = of.applyAsDouble(weeks.get(i).lifts().get(lift));
        if (value < LEAST_TOP) {
          open = false;
          continue;
        }
        d.append(open ? 'L' : 'M').append(round(x(i + 0.5))).append(' ').append(round(topY(value)));
        paths.add(new Path(marker(kind.split(" ")[0], x(i + 0.5), topY(value)), "rw-dot " + kind));
        open = true;
      }
      paths.add(0, new Path(d.toString(), "rw-line " + kind));
    }

    private static String marker(String kind, double atX, double atY) {
      String at = round(atX) + " " + round(atY);
      return switch (kind) {
        case "square" -> "M" + at + "m-3.5 -3.5h7v7h-7z";
        case "round" -> "M" + at + "m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0z";
        case "wedge" -> "M" + at + "m0 -5l4.5 8.5h-9z";
        default -> "M" + at + "m0 -5l5 5l-5 5l-5 -5z";
      };
    }

    private void zones() {
      text(8, y + 12, "start", "rw-row", "hard reps");
      text(8, y + 26, "start", "rw-key", "by zone");
      double most = Math.max(1, weeks.stream().mapToDouble(week -> Math.max(sum(week.zones()), sum(week.zonesDone()))).max().orElse(1));
      text(LEFT - 5, y + 10, "end", "rw-axis", Long.toString(Math.round(most)));
      for (int i = 0; i < weeks.size(); i++) {
        RunwayWeek week = weeks.get(i);
        double at = y + ZONES_HEIGHT;
        for (Zone zone : Zone.values()) {
          double height = ZONES_HEIGHT * week.zones().getOrDefault(zone, 0.0) / most;
          at -= height;
          if (height > 0) {
            rect(x(i) + column * 0.14, at, column * 0.5, height, "rw-zone " + zone.name().toLowerCase(Locale.ROOT), ZONE_FILLS.get(zone));
          }
        }
        double done = ZONES_HEIGHT * sum(week.zonesDone()) / most;
        if (done > 0) {
          rect(x(i) + column * 0.68, y + ZONES_HEIGHT - done, Math.max(3, column * 0.12), done, "rw-done", "currentColor");
        }
      }
      paths.add(new Path("M" + LEFT + " " + round(y + ZONES_HEIGHT) + "H" + (WIDTH - RIGHT), "rw-base"));
      y += ZONES_HEIGHT + GAP;
    }

    private static double sum(Map<Zone, Double> zones) {
      return zones.values().stream().mapToDouble(Double::doubleValue).sum();
    }

    private void lifts() {
      for (int lift = 0; lift < families(); lift++) {
        int of = lift;
        text(8, y + 12, "start", "rw-row", name(lift));
        text(8, y + 24, "start", "rw-key", lift == 0 ? "hard sets" : "");
        double most = Math.max(1, weeks.stream().mapToLong(week -> Math.max(week.lifts().get(of).sets(), week.lifts().get(of).setsDone())).max().orElse(1));
        for (int i = 0; i < weeks.size(); i++) {
          RunwayWeek.OfLift week = weeks.get(i).lifts().get(lift);
          double planned = (LIFT_HEIGHT - 8) * week.sets() / most;
          double done = (LIFT_HEIGHT - 8) * week.setsDone() / most;
          if (planned > 0) {
            rect(x(i) + column * 0.14, y + LIFT_HEIGHT - planned, column * 0.5, planned, "rw-planned", "none");
          }
          if (done > 0) {
            rect(x(i) + column * 0.68, y + LIFT_HEIGHT - done, Math.max(3, column * 0.12), done, "rw-done", "currentColor");
          }
          if (week.sets() + week.setsDone() > 0) {
            text(x(i) + column * 0.39, y + LIFT_HEIGHT - planned - 2, "middle", "rw-sets", Long.toString(week.sets() > 0 ? week.sets() : week.setsDone()));
          }
        }
        paths.add(new Path("M" + LEFT + " " + round(y + LIFT_HEIGHT) + "H" + (WIDTH - RIGHT), "rw-base"));
        y += LIFT_HEIGHT + 10;
      }
      y += 4;
    }

    private void readiness() {
      text(8, y + 12, "start", "rw-row", "readiness");
      text(8, y + 26, "start", "rw-key", "today is 100");
      double low = 97;
      double high = 103;
      for (FitnessFatigue.Point point : shown.readiness()) {
        low = Math.min(low, point.low());
        high = Math.max(high, point.high());
      }
      for (FitnessFatigue.Point point : shown.other()) {
        low = Math.min(low, point.value());
        high = Math.max(high, point.value());
      }
      double least = Math.floor(low);
      double span = Math.ceil(high) - least;
      for (double value : new double[] {least, 100, least + span}) {
        double at = y + READY_HEIGHT * (1 - (value - least) / span);
        paths.add(new Path("M" + LEFT + " " + round(at) + "H" + (WIDTH - RIGHT), "rw-grid"));
        text(LEFT - 5, at + 4, "end", "rw-axis", Long.toString(Math.round(value)));
      }
      List<FitnessFatigue.Point> curve = shown.readiness();
      StringBuilder band = new StringBuilder(curve(curve, FitnessFatigue.Point::high, least, span));
      for (int i = curve.size() - 1; i >= 0; i--) {
        band.append('L').append(at(curve.get(i), curve.get(i).low(), least, span));
      }
      paths.add(new Path(band + "Z", "rw-band"));
      paths.add(new Path(curve(curve, FitnessFatigue.Point::value, least, span), "rw-ready"));
      if (!shown.other().isEmpty()) {
        paths.add(new Path(curve(shown.other(), FitnessFatigue.Point::value, least, span), "rw-ready other"));
      }
      y += READY_HEIGHT + GAP;
    }

    private String at(FitnessFatigue.Point point, double value, double least, double span) {
      return round(x(point.day())) + " " + round(y + READY_HEIGHT * (1 - (value - least) / span));
    }

    private String curve(List<FitnessFatigue.Point> curve, ToDoubleFunction<FitnessFatigue.Point> of, double least, double span) {
      StringBuilder d = new StringBuilder();
      curve.stream().filter(point -> !point.day().isBefore(shown.from())).forEach(point -> d.append(d.isEmpty() ? 'M' : 'L')
          .append(at(point, of.applyAsDouble(point), least, span)));
      return d.toString();
    }

    private void today(double height) {
      if (!shown.today().isBefore(shown.from()) && shown.today().isBefore(shown.end())) {
        paths.add(new Path("M" + round(x(shown.today())) + " " + BLOCKS_AT + "V" + round(height - 8), "rw-today"));
      }
      if (shown.contest() != null && shown.contest().isBefore(shown.end())) {
        paths.add(new Path("M" + round(x(shown.contest().plusDays(1))) + " " + BLOCKS_AT + "V" + round(height - 8), "rw-contest"));
      }
    }
  }
}
