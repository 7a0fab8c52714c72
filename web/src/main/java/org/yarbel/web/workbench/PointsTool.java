package org.yarbel.web.workbench;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.form.Typed;

/** The points of a total by every published formula. */
final class PointsTool {
  private static final Mass MOST_TOTAL = Mass.of("3000", MassUnit.KG);

  private PointsTool() {}

  /** One formula's answer, or why it has none. */
  public record PointsRow(String formula, String points, @Nullable String why) {}

  static @Nullable List<PointsRow> of(Typed typed) {
    MassUnit unit = typed.unit("unit");
    Mass body = typed.bodyMass("bodyMass", unit);
    Double amount = typed.decimal("total", "The total", 0.5, 9999);
    Mass total = amount == null ? null : Mass.of(BigDecimal.valueOf(amount), unit);
    if (total != null && total.compareTo(MOST_TOTAL) > 0) {
      typed.wrong("total", "The total must be at most 3000 kg but was " + total.text() + ".");
    }
    if (body == null || total == null || !typed.fine()) {
      return null;
    }
    Sex sex = typed.text("sex").equals("f") ? Sex.FEMALE : Sex.MALE;
    PointsFormula.Gear gear = typed.text("equipment").equals("equipped") ? PointsFormula.Gear.EQUIPPED : PointsFormula.Gear.CLASSIC;
    PointsFormula.Event event = typed.text("event").equals("bench") ? PointsFormula.Event.BENCH : PointsFormula.Event.FULL;
    List<PointsRow> rows = new ArrayList<>();
    for (PointsFormula formula : PointsFormula.values()) {
      String name = switch (formula) {
        case WILKS -> "Wilks, 1994";
        case DOTS -> "DOTS, 2019";
        case IPFGL -> "IPF GL, 2020, " + gear.name().toLowerCase(Locale.ROOT) + ", " + (event == PointsFormula.Event.FULL
            ? "three lifts" : "bench press alone");
      };
      try {
        rows.add(new PointsRow(name, BigDecimal.valueOf(formula.points(sex, body, total, gear, event))
            .setScale(2, RoundingMode.HALF_EVEN).toPlainString(), null));
      } catch (Refused refused) {
        rows.add(new PointsRow(name, "–", refused.sentence()));
      }
    }
    return rows;
  }
}
