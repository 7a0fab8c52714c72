package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/** What a Runway is drawn on: a column a week, and the shapes so far. */
final class RunwayPaper {
  static final double WIDTH = 1180;
  static final double LEFT = 112;
  static final double END = WIDTH - 12;
  /** How the lines of lifts are told apart: a marker each. */
  static final List<String> MARKERS = List.of("square", "round", "wedge", "tilted");

  private final LocalDate from;
  private final double column;
  private final List<RunwayChart.Rect> rects = new ArrayList<>();
  private final List<RunwayChart.Path> paths = new ArrayList<>();
  private final List<RunwayChart.Label> labels = new ArrayList<>();

  RunwayPaper(LocalDate from, int weeks) {
    this.from = from;
    this.column = (END - LEFT) / weeks;
  }

  static double round(double value) {
    return Math.rint(value * 10) / 10;
  }

  /** The width of a week. */
  double column() {
    return column;
  }

  double x(double week) {
    return LEFT + week * column;
  }

  double x(LocalDate day) {
    return x(ChronoUnit.DAYS.between(from, day) / 7.0);
  }

  void text(double atX, double atY, String anchor, String kind, String text) {
    labels.add(new RunwayChart.Label(round(atX), round(atY), anchor, kind, text));
  }

  /** The name of a row, at its left. */
  void row(double atY, String kind, String text) {
    text(8, atY, "start", kind, text);
  }

  void rect(RunwayChart.Rect rect) {
    rects.add(new RunwayChart.Rect(round(rect.x()), round(rect.y()), round(Math.max(rect.width(), 0)),
        round(Math.max(rect.height(), 0)), rect.kind(), rect.fill()));
  }

  void path(String d, String kind) {
    paths.add(new RunwayChart.Path(d, kind));
  }

  /** Below all that is drawn so far. */
  void under(String d, String kind) {
    paths.add(0, new RunwayChart.Path(d, kind));
  }

  /** A line over all weeks. */
  void across(double atY, String kind) {
    path("M" + LEFT + " " + round(atY) + "H" + END, kind);
  }

  void marker(String marker, double atX, double atY, String kind) {
    String at = round(atX) + " " + round(atY);
    path(switch (marker) {
      case "square" -> "M" + at + "m-3.5 -3.5h7v7h-7z";
      case "round" -> "M" + at + "m-4 0a4 4 0 1 0 8 0a4 4 0 1 0 -8 0z";
      case "wedge" -> "M" + at + "m0 -5l4.5 8.5h-9z";
      default -> "M" + at + "m0 -5l5 5l-5 5l-5 -5z";
    }, "rw-dot " + kind);
  }

  /** What was planned of a week as a column that stands on a line, and what was done as a narrow one beside it. */
  void done(int week, double base, double height) {
    if (height > 0) {
      rect(new RunwayChart.Rect(x(week) + column * 0.68, base - height, Math.max(3, column * 0.12), height, "rw-done", "currentColor"));
    }
  }

  /** The same of what was planned. */
  void planned(int week, double top, double height, String kind, String fill) {
    if (height > 0) {
      rect(new RunwayChart.Rect(x(week) + column * 0.14, top, column * 0.5, height, kind, fill));
    }
  }

  List<RunwayChart.Rect> rects() {
    return rects;
  }

  List<RunwayChart.Path> paths() {
    return paths;
  }

  List<RunwayChart.Label> labels() {
    return labels;
  }
}
