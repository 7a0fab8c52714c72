package org.yarbel.web.api;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/** The points of a total by a published formula. */
@RestController
class PointsController {
  private static final Mass MOST_TOTAL = Mass.of("3000", MassUnit.KG);

  /** The points. */
  record PointsAnswer(BigDecimal points) {}

  @GetMapping("/api/v1/points")
  PointsAnswer points(@RequestParam Map<String, String> given) {
    Parameters parameters =
        new Parameters(given, List.of("formula", "sex", "bodyMass", "total", "equipment", "event", "unit"));
    PointsFormula formula = Numbers.one(PointsFormula.class, "formula", Numbers.required("formula", parameters.text("formula")),
        PointsFormula.DOTS);
    Sex sex = sex(parameters.text("sex"));
    MassUnit unit = parameters.has("unit") ? Numbers.unit(parameters.text("unit")) : MassUnit.KG;
    Mass bodyMass = Numbers.load("body mass", parameters.decimal("bodyMass"), unit);
    BigDecimal amount = parameters.decimal("total");
    if (amount.signum() < 0 || amount.compareTo(BigDecimal.valueOf(10_000)) > 0
        || Mass.of(amount, unit).compareTo(MOST_TOTAL) > 0) {
      throw new OutOfRange("The total must be from 0 to 3000 kg.");
    }
    PointsFormula.Gear gear =
        Numbers.one(PointsFormula.Gear.class, "equipment", parameters.text("equipment"), PointsFormula.Gear.CLASSIC);
    PointsFormula.Event event = Numbers.one(PointsFormula.Event.class, "event", parameters.text("event"), PointsFormula.Event.FULL);
    try {
      return new PointsAnswer(Numbers.two(formula.points(sex, bodyMass, Mass.of(amount, unit), gear, event)));
    } catch (Refused refused) {
      throw new OutOfRange(refused.sentence());
    }
  }

  private static Sex sex(@org.jspecify.annotations.Nullable String symbol) {
    for (Sex sex : Sex.values()) {
      if (sex.symbol().equals(symbol)) {
        return sex;
      }
    }
    throw new NotAsDescribed("The sex must be m or f: the formulas are published for these two.");
  }
}
