package org.yarbel.web.api;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** What a set says about the max, by every curve, and the effort chart of a curve. */
@RestController
class EstimateController {
  private static final int CHART_REPS = 12;

  /** The one-rep max by one curve. */
  record Estimate(String curve, BigDecimal oneRepMax) {}

  /**
   * @param reliable false beyond ten reps to failure
   */
  record EstimateAnswer(BigDecimal repsToFailure, List<Estimate> estimates, boolean reliable) {}

  /** One RPE of the chart. */
  record OfCurve(BigDecimal rpe, List<@Nullable BigDecimal> percents) {}

  /** A whole chart. */
  record ChartAnswer(List<OfCurve> rows) {}

  @GetMapping("/api/v1/estimate")
  EstimateAnswer estimate(@RequestParam Map<String, String> given) {
    Parameters parameters = new Parameters(given, List.of("load", "reps", "rpe", "unit"));
    MassUnit unit = Numbers.unit(parameters.text("unit"));
    Mass load = Numbers.load("load", parameters.decimal("load"), unit);
    int reps = parameters.whole("reps");
    Rpe rpe = parameters.has("rpe") ? Numbers.rpe(parameters.decimal("rpe")) : Rpe.MAX;
    double repsToFailure = EffortChart.repsToFailure(reps, rpe.value());
    if (repsToFailure > RepMaxCurve.MAX_REPS_TO_FAILURE) {
      throw new OutOfRange("More than 15 reps to failure say too little about a max: there were " + Numbers.two(repsToFailure) + ".");
    }
    List<Estimate> estimates = Arrays.stream(RepMaxCurve.values())
        .map(curve -> new Estimate(curve.key(), new EffortChart(curve).oneRepMax(load, reps, rpe.value()).amountIn(unit, 2)))
        .toList();
    return new EstimateAnswer(Numbers.two(repsToFailure), estimates, repsToFailure <= RepMaxCurve.RELIABLE_REPS_TO_FAILURE);
  }

  @GetMapping("/api/v1/chart")
  ChartAnswer chart(@RequestParam Map<String, String> given) {
    Parameters parameters = new Parameters(given, List.of("curve"));
    RepMaxCurve curve = Numbers.one(RepMaxCurve.class, "curve", parameters.text("curve"), RepMaxCurve.HOUSE);
    List<List<@Nullable Double>> percents = new EffortChart(curve).rows(CHART_REPS);
    List<OfCurve> rows = new ArrayList<>();
    for (int i = 0; i < percents.size(); i++) {
      List<@Nullable BigDecimal> row = new ArrayList<>();
      percents.get(i).forEach(percent -> row.add(percent == null ? null : Numbers.two(percent)));
      rows.add(new OfCurve(Numbers.two(new Rpe(Rpe.MAX.halves() - i).value()), row));
    }
    return new ChartAnswer(rows);
  }
}
