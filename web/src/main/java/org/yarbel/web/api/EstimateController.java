package org.yarbel.web.api;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** What a set says about the max, by every curve. */
@RestController
class EstimateController {
  private static final Set<String> PARAMETERS = Set.of("load", "reps", "rpe", "unit");

  /** The one-rep max by one curve. */
  record Estimate(String curve, BigDecimal oneRepMax) {}

  /**
   * @param reliable false beyond ten reps to failure
   */
  record Answer(BigDecimal repsToFailure, List<Estimate> estimates, boolean reliable) {}

  @GetMapping("/api/v1/estimate")
  Answer estimate(@RequestParam Map<String, String> parameters) {
    parameters.keySet().stream().filter(name -> !PARAMETERS.contains(name)).findFirst().ifPresent(name -> {
      throw new NotAsDescribed("There is no parameter " + name + "; there are load, reps, rpe and unit.");
    });
    MassUnit unit = Numbers.unit(parameters.get("unit"));
    Mass load = Numbers.load("load", decimal("load", parameters.get("load")), unit);
    BigDecimal typedReps = decimal("reps", parameters.get("reps"));
    if (typedReps.stripTrailingZeros().scale() > 0) {
      throw new NotAsDescribed("The reps must be a whole number.");
    }
    if (typedReps.signum() <= 0 || typedReps.compareTo(BigDecimal.valueOf(100)) > 0) {
      throw new OutOfRange("The reps must be from 1 to 100 but were " + typedReps.toPlainString() + ".");
    }
    int reps = typedReps.intValueExact();
    Rpe rpe = parameters.containsKey("rpe") ? Numbers.rpe(decimal("rpe", parameters.get("rpe"))) : Rpe.MAX;
    double repsToFailure = EffortChart.repsToFailure(reps, rpe.value());
    if (repsToFailure > RepMaxCurve.MAX_REPS_TO_FAILURE) {
      throw new OutOfRange("More than 15 reps to failure say too little about a max: there were " + Numbers.two(repsToFailure) + ".");
    }
    List<Estimate> estimates = Arrays.stream(RepMaxCurve.values())
        .map(curve -> new Estimate(curve.key(), new EffortChart(curve).oneRepMax(load, reps, rpe.value()).amountIn(unit, 2)))
        .toList();
    return new Answer(Numbers.two(repsToFailure), estimates, repsToFailure <= RepMaxCurve.RELIABLE_REPS_TO_FAILURE);
  }

  private static BigDecimal decimal(String name, @Nullable String text) {
    if (text == null || text.length() > 20 || !text.matches("-?\\d+(\\.\\d+)?")) {
      throw new NotAsDescribed("The parameter " + name + " must be a number.");
    }
    return new BigDecimal(text);
  }
}
