package org.yarbel.web.workbench;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.form.Typed;

/** The effort chart of a curve, in percent or in loads of a max. */
final class ChartTool {
  static final int REPS = 12;

  private ChartTool() {}

  /** One RPE; an empty cell is beyond 15 reps to failure. */
  public record ChartRow(String rpe, List<String> cells) {}

  static List<ChartRow> of(Typed typed) {
    RepMaxCurve curve = RepMaxCurve.ofKey(typed.text("curve")).orElse(RepMaxCurve.HOUSE);
    Mass max = typed.mass("max", typed.unit("unit"));
    List<ChartRow> rows = new ArrayList<>();
    int halves = Rpe.MAX.halves();
    for (List<@Nullable Double> percents : new EffortChart(curve).rows(REPS)) {
      rows.add(new ChartRow(new Rpe(halves--).toString(), percents.stream().map(percent -> cell(percent, max)).toList()));
    }
    return rows;
  }

  private static String cell(@Nullable Double percent, @Nullable Mass max) {
    if (percent == null) {
      return "";
    }
    return max == null ? Words.plain(percent) : max.scaled(percent / 100).amountIn(max.unit(), 1).toPlainString();
  }
}
