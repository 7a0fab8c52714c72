package org.yarbel.web.runway;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.yarbel.core.plan.Zone;

/** The rows of work: hard reps by zone of all lifts, and hard sets of each lift; what is planned as columns, what is done beside. */
final class VolumeRows {
  private static final double ZONES_HEIGHT = 62;
  private static final double LIFT_HEIGHT = 26;
  private static final double LIFT_GAP = 10;
  /** Between the highest column and the row above. */
  private static final double HEAD = 8;
  private static final Map<Zone, String> FILLS = Map.of(Zone.UNDER_70, "none", Zone.FROM_70, "url(#dots)", Zone.FROM_80,
      "url(#hatch)", Zone.FROM_90, "currentColor");

  private final RunwayPaper paper;
  private final List<RunwayWeek> weeks;

  VolumeRows(RunwayPaper paper, List<RunwayWeek> weeks) {
    this.paper = paper;
    this.weeks = weeks;
  }

  /** Draws hard reps by zone; answers where they end. */
  double zones(double at) {
    paper.row(at + 12, "rw-row", "hard reps");
    paper.row(at + 26, "rw-key", "by zone");
    double most = Math.max(1, weeks.stream().mapToDouble(week -> Math.max(sum(week.zones()), sum(week.zonesDone()))).max().orElse(1));
    paper.text(RunwayPaper.LEFT - 5, at + 10, "end", "rw-axis", Long.toString(Math.round(most)));
    double base = at + ZONES_HEIGHT;
    for (int i = 0; i < weeks.size(); i++) {
      double top = base;
      for (Zone zone : Zone.values()) {
        double height = ZONES_HEIGHT * weeks.get(i).zones().getOrDefault(zone, 0.0) / most;
        top -= height;
        paper.planned(i, top, height, "rw-zone " + zone.name().toLowerCase(Locale.ROOT), FILLS.get(zone));
      }
      paper.done(i, base, ZONES_HEIGHT * sum(weeks.get(i).zonesDone()) / most);
    }
    paper.across(base, "rw-base");
    return base;
  }

  private static double sum(Map<Zone, Double> zones) {
    return zones.values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /** Draws the hard sets of each lift; answers where they end. */
  double lifts(double at) {
    double y = at;
    for (int lift = 0; lift < weeks.get(0).lifts().size(); lift++) {
      paper.row(y + 12, "rw-row", weeks.get(0).lifts().get(lift).shortName());
      paper.row(y + 24, "rw-key", lift == 0 ? "hard sets" : "");
      lift(lift, y + LIFT_HEIGHT);
      y += LIFT_HEIGHT + LIFT_GAP;
    }
    return y;
  }

  private void lift(int lift, double base) {
    List<RunwayWeek.OfLift> of = weeks.stream().map(week -> week.lifts().get(lift)).toList();
    double most = Math.max(1, of.stream().mapToLong(week -> Math.max(week.sets(), week.setsDone())).max().orElse(1));
    for (int i = 0; i < weeks.size(); i++) {
      long sets = of.get(i).sets();
      long done = of.get(i).setsDone();
      double planned = (LIFT_HEIGHT - HEAD) * sets / most;
      paper.planned(i, base - planned, planned, "rw-planned", "none");
      paper.done(i, base, (LIFT_HEIGHT - HEAD) * done / most);
      if (sets + done > 0) {
        paper.text(paper.x(i) + paper.column() * 0.39, base - planned - 2, "middle", "rw-sets", Long.toString(sets > 0 ? sets : done));
      }
    }
    paper.across(base, "rw-base");
  }
}
