package org.yarbel.web.runway;

import java.util.List;

/** The row of top loads: a line a lift with its own marker, planned and done, in percent of the max of today. */
final class TopRow {
  private static final double HEIGHT = 84;
  private static final double LEAST = 50;
  private static final double MOST = 105;

  private final RunwayPaper paper;
  private final List<RunwayWeek> weeks;
  private final double at;

  TopRow(RunwayPaper paper, List<RunwayWeek> weeks, double at) {
    this.paper = paper;
    this.weeks = weeks;
    this.at = at;
  }

  /** Draws it; answers where it ends. */
  double draw() {
    paper.row(at + 12, "rw-row", "top, %");
    for (int percent : new int[] {60, 70, 80, 90, 100}) {
      paper.across(y(percent), "rw-grid");
      paper.text(RunwayPaper.LEFT - 5, y(percent) + 4, "end", "rw-axis", Integer.toString(percent));
    }
    List<String> markers = RunwayPaper.MARKERS;
    int shown = 0;
    for (int lift = 0; lift < weeks.get(0).lifts().size() && shown < markers.size(); lift++) {
      if (moves(lift)) {
        double key = at + 28 + 15 * shown;
        paper.row(key, "rw-key", weeks.get(0).lifts().get(lift).shortName());
        paper.marker(markers.get(shown), 82, key - 4, markers.get(shown));
        lift(lift, markers.get(shown));
        shown++;
      }
    }
    return at + HEIGHT;
  }

  private boolean moves(int lift) {
    return weeks.stream().map(week -> week.lifts().get(lift)).anyMatch(of -> of.top() + of.topDone() != 0);
  }

  private double y(double percent) {
    return at + HEIGHT * (1 - (Math.min(Math.max(percent, LEAST), MOST) - LEAST) / (MOST - LEAST));
  }

  private void lift(int lift, String marker) {
    StringBuilder d = new StringBuilder();
    boolean open = false;
    for (int i = 0; i < weeks.size(); i++) {
      RunwayWeek.OfLift of = weeks.get(i).lifts().get(lift);
      boolean lifts = of.top() >= LEAST;
      if (lifts) {
        d.append(open ? 'L' : 'M').append(RunwayPaper.round(paper.x(i + 0.5))).append(' ').append(RunwayPaper.round(y(of.top())));
        paper.marker(marker, paper.x(i + 0.5), y(of.top()), marker + " planned");
      }
      if (of.topDone() >= LEAST) {
        paper.marker(marker, paper.x(i + 0.5), y(of.topDone()), "done " + marker);
      }
      open = lifts;
    }
    paper.under(d.toString(), "rw-line " + marker + " planned");
  }
}
