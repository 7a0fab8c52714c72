package org.yarbel.web.runway;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import org.yarbel.core.plan.cycle.FitnessFatigue;

/** The row of readiness with its band; today is 100. */
final class ReadyRow {
  private static final double HEIGHT = 92;
  /** The least that the scale spans. */
  private static final double LOW = 97;
  private static final double HIGH = 103;

  private final RunwayPaper paper;
  private final RunwayService.ShownRunway shown;
  private final double at;
  private final double least;
  private final double span;

  ReadyRow(RunwayPaper paper, RunwayService.ShownRunway shown, double at) {
    this.paper = paper;
    this.shown = shown;
    this.at = at;
    double low = DoubleStream.concat(shown.readiness().stream().mapToDouble(FitnessFatigue.Point::low),
        shown.other().stream().mapToDouble(FitnessFatigue.Point::value)).reduce(LOW, Math::min);
    double high = DoubleStream.concat(shown.readiness().stream().mapToDouble(FitnessFatigue.Point::high),
        shown.other().stream().mapToDouble(FitnessFatigue.Point::value)).reduce(HIGH, Math::max);
    this.least = Math.floor(low);
    this.span = Math.ceil(high) - least;
  }

  /** Draws it; answers where it ends. */
  double draw() {
    paper.row(at + 12, "rw-row", "readiness");
    paper.row(at + 26, "rw-key", "today is 100");
    for (double value : new double[] {least, 100, least + span}) {
      paper.across(y(value), "rw-grid");
      paper.text(RunwayPaper.LEFT - 5, y(value) + 4, "end", "rw-axis", Long.toString(Math.round(value)));
    }
    List<FitnessFatigue.Point> curve = shown.readiness();
    StringBuilder band = new StringBuilder(curve(curve, FitnessFatigue.Point::high));
    for (int i = curve.size() - 1; i >= 0; i--) {
      band.append('L').append(at(curve.get(i), curve.get(i).low()));
    }
    paper.path(band + "Z", "rw-band");
    paper.path(curve(curve, FitnessFatigue.Point::value), "rw-ready");
    if (!shown.other().isEmpty()) {
      paper.path(curve(shown.other(), FitnessFatigue.Point::value), "rw-ready other");
    }
    return at + HEIGHT;
  }

  private double y(double value) {
    return at + HEIGHT * (1 - (value - least) / span);
  }

  private String at(FitnessFatigue.Point point, double value) {
    return RunwayPaper.round(paper.x(point.day())) + " " + RunwayPaper.round(y(value));
  }

  private String curve(List<FitnessFatigue.Point> curve, ToDoubleFunction<FitnessFatigue.Point> of) {
    StringBuilder d = new StringBuilder();
    curve.stream().filter(point -> !point.day().isBefore(shown.from())).forEach(point -> d.append(d.isEmpty() ? 'M' : 'L')
        .append(at(point, of.applyAsDouble(point))));
    return d.toString();
  }
}
