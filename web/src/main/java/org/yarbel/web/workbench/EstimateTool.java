package org.yarbel.web.workbench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.form.Typed;

/** A max from a set, by every curve, with a picture. */
final class EstimateTool {
  private static final double LEFT = 96;
  private static final double WIDTH = 640;
  private static final double ROW = 26;
  private static final double[] STEPS = {0.5, 1, 2, 2.5, 5, 10, 20, 25, 50};

  private EstimateTool() {}

  /** One curve's answer and where it stands in the picture. */
  public record EstimateRow(String curve, String name, String max, double x, double y) {}

  /** A line of the picture with its number. */
  public record EstimateTick(double x, String label) {}

  /**
   * What came out.
   *
   * @param toFailure reps to failure, in words
   */
  public record EstimateResult(String toFailure, boolean reliable, String spread, List<EstimateRow> rows, List<EstimateTick> ticks,
      double width, double height) {}

  static @Nullable EstimateResult of(Typed typed) {
    MassUnit unit = typed.unit("unit");
    Mass load = typed.mass("load", unit);
    Integer reps = typed.whole("reps", "The reps", 1, 15);
    Rpe rpe = typed.empty("rpe") ? Rpe.MAX : typed.rpe("rpe");
    if (load == null || reps == null || rpe == null) {
      return null;
    }
    double toFailure = EffortChart.repsToFailure(reps, rpe.value());
    if (toFailure > RepMaxCurve.MAX_REPS_TO_FAILURE) {
      typed.wrong("reps", "That is " + Words.plain(toFailure) + " reps to failure. More than 15 say too little about a max.");
      return null;
    }
    List<Mass> maxes = new ArrayList<>();
    for (RepMaxCurve curve : RepMaxCurve.values()) {
      maxes.add(new EffortChart(curve).oneRepMax(load, reps, rpe.value()));
    }
    double least = maxes.stream().mapToDouble(m -> value(m, unit)).min().orElseThrow();
    double most = maxes.stream().mapToDouble(m -> value(m, unit)).max().orElseThrow();
    double from = least - Math.max((most - least) * 0.1, 1);
    double to = most + Math.max((most - least) * 0.1, 1);
    List<EstimateRow> rows = new ArrayList<>();
    for (int i = 0; i < maxes.size(); i++) {
      RepMaxCurve curve = RepMaxCurve.values()[i];
      rows.add(new EstimateRow(curve.key(), name(curve), maxes.get(i).amountIn(unit, 1).toPlainString(),
          x(value(maxes.get(i), unit), from, to), 18 + ROW * i));
    }
    return new EstimateResult(Words.plain(toFailure), toFailure <= RepMaxCurve.RELIABLE_REPS_TO_FAILURE,
        Words.plain(least) + " to " + Words.plain(most) + " " + unit, rows, ticks(from, to), WIDTH, ROW * rows.size() + 30);
  }

  private static List<EstimateTick> ticks(double from, double to) {
    double step = STEPS[STEPS.length - 1];
    for (int i = STEPS.length - 1; i >= 0; i--) {
      step = (to - from) / STEPS[i] <= 8 ? STEPS[i] : step;
    }
    List<EstimateTick> ticks = new ArrayList<>();
    for (double at = Math.ceil(from / step) * step; at <= to; at += step) {
      ticks.add(new EstimateTick(x(at, from, to), Words.plain(at)));
    }
    return ticks;
  }

  private static double x(double value, double from, double to) {
    return Math.round(10 * (LEFT + (value - from) / (to - from) * (WIDTH - LEFT - 24))) / 10.0;
  }

  private static double value(Mass mass, MassUnit unit) {
    return mass.amountIn(unit, 3).doubleValue();
  }

  /** The curves by their names, for a choice. */
  static Map<String, String> curves() {
    Map<String, String> curves = new LinkedHashMap<>();
    for (RepMaxCurve curve : RepMaxCurve.values()) {
      curves.put(curve.key(), name(curve));
    }
    return curves;
  }

  private static String name(RepMaxCurve curve) {
    return curve == RepMaxCurve.OCONNER ? "O’Conner"
        : curve.key().substring(0, 1).toUpperCase(Locale.ROOT) + curve.key().substring(1);
  }
}
