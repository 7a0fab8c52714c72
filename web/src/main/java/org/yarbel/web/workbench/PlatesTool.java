package org.yarbel.web.workbench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.card.WarmUpRamp;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.kit.PlateSeries;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.form.Typed;
import org.yarbel.web.skyline.PlatePicture;

/** Plates for a load or a series of loads, and the warm-up to one. */
final class PlatesTool {
  private static final int MOST_LOADS = 30;
  private static final String LEAVES_OUT =
      "These plates mix in very many ways: some loads that take many plates are left out of what is rounded to.";

  private PlatesTool() {}

  /**
   * One loading.
   *
   * @param label what it is: the target, the nearest below
   * @param changes plates off and on since the one before, on one side; null where nothing was before
   */
  public record PlatesRow(String label, String load, @Nullable String other, @Nullable PlatePicture picture, String side,
      @Nullable Integer changes, @Nullable Integer reps) {}

  /** The plates of one load, or of several in a row. */
  static @Nullable List<PlatesRow> plates(Typed typed, KitChoice choice, Map<String, String> said) {
    MassUnit unit = typed.unit("unit");
    List<Mass> targets = new ArrayList<>();
    for (String one : typed.text("loads").split("[\\s;/]+")) {
      if (!one.isEmpty()) {
        Typed alone = new Typed(Map.of("loads", one));
        Mass target = alone.mass("loads", unit);
        alone.errors().forEach(typed::wrong);
        if (target != null) {
          targets.add(target);
        }
      }
    }
    if (targets.size() > MOST_LOADS) {
      typed.wrong("loads", "At most " + MOST_LOADS + " loads at a time.");
    }
    Loadables loadables = targets.isEmpty() ? null : choice.loadables(typed);
    if (!typed.fine() || loadables == null) {
      return null;
    }
    if (loadables.leavesOut()) {
      said.put("note", LEAVES_OUT);
    }
    return targets.size() == 1 ? one(targets.get(0), loadables, unit) : series(targets, loadables, unit);
  }

  private static List<PlatesRow> one(Mass target, Loadables loadables, MassUnit unit) {
    Optional<Loading> exact = loadables.exact(target);
    if (exact.isPresent()) {
      return List.of(row("loads exactly", exact.get(), loadables, unit, null, null));
    }
    List<PlatesRow> rows = new ArrayList<>();
    loadables.below(target).ifPresent(l -> rows.add(row("nearest below", l, loadables, unit, null, null)));
    loadables.above(target).ifPresent(l -> rows.add(row("nearest above", l, loadables, unit, null, null)));
    if (loadables.below(target).isEmpty()) {
      rows.add(0, new PlatesRow("The bar is heavier than that: " + loadables.lightest().total().shownIn(unit).text()
          + " is the lightest that loads.", "", null, null, "", null, null));
    } else if (loadables.above(target).isEmpty()) {
      rows.add(0, new PlatesRow("That is more than the plates make: " + loadables.heaviest().total().shownIn(unit).text()
          + " is the heaviest.", "", null, null, "", null, null));
    }
    return rows;
  }

  private static List<PlatesRow> series(List<Mass> targets, Loadables loadables, MassUnit unit) {
    List<Loading> series = PlateSeries.of(targets, loadables);
    List<PlatesRow> rows = new ArrayList<>();
    List<Mass> on = List.of();
    for (int i = 0; i < series.size(); i++) {
      Loading loading = series.get(i);
      boolean hit = loading.total().hits(targets.get(i));
      rows.add(row(hit ? "" : "nearest to " + targets.get(i).number(), loading, loadables, unit,
          PlateSeries.changes(on, loading.perSide()), null));
      on = loading.perSide();
    }
    return rows;
  }

  /** The warm-up to a top set. */
  static @Nullable List<PlatesRow> ramp(Typed typed, KitChoice choice, Map<String, String> said) {
    MassUnit unit = typed.unit("unit");
    Mass top = typed.mass("top", unit);
    boolean even = typed.text("style").equals("even");
    RampStyle style = even ? RampStyle.even(typed.mass("jump", unit), unit) : RampStyle.SHRINKING;
    Loadables loadables = top == null ? null : choice.loadables(typed);
    if (top == null || loadables == null || !typed.fine()) {
      return null;
    }
    if (!style.reaches(top)) {
      typed.wrong("jump", "So small a jump makes more than " + RampStyle.MOST_STEPS + " steps.");
      return null;
    }
    if (loadables.below(top).isEmpty()) {
      typed.wrong("top", "The bar is heavier than that: " + loadables.lightest().total().shownIn(unit).text()
          + " is the lightest that loads.");
      return null;
    }
    Loading last = loadables.written(top);
    WarmUpRamp ramp = WarmUpRamp.to(last.total(), loadables, choice.lift(typed).movement(), style);
    if (ramp.note() != null) {
      said.put("note", ramp.note());
    } else if (loadables.leavesOut()) {
      said.put("note", LEAVES_OUT);
    }
    List<PlatesRow> rows = new ArrayList<>();
    List<Mass> on = List.of();
    for (RampStep step : ramp.steps()) {
      rows.add(row("", step.loading(), loadables, unit, PlateSeries.changes(on, step.perSide()), step.reps()));
      on = step.perSide();
    }
    rows.add(row("top set", last, loadables, unit, PlateSeries.changes(on, last.perSide()), null));
    return rows;
  }

  private static PlatesRow row(String label, Loading loading, Loadables loadables, MassUnit unit, @Nullable Integer changes,
      @Nullable Integer reps) {
    MassUnit other = unit == MassUnit.KG ? MassUnit.LB : MassUnit.KG;
    return new PlatesRow(label, loading.total().shownIn(unit).text(), loading.total().shownIn(other).text(),
        loadables.onBar() ? PlatePicture.of(loading.perSide(), loadables.unit()) : null,
        loading.perSide().isEmpty() ? "" : Loading.sideText(loading.perSide(), loadables.unit()), changes, reps);
  }

  /** What a kilogram or pound amount is in the other unit, and what a gym of that unit would load. */
  static Map<String, String> convert(Typed typed) {
    MassUnit unit = typed.unit("unit");
    MassUnit other = unit == MassUnit.KG ? MassUnit.LB : MassUnit.KG;
    Mass mass = typed.massFromZero("amount", unit);
    Map<String, String> result = new HashMap<>();
    if (mass != null) {
      Loading nearest = Loadables.of(org.yarbel.core.kit.Kit.standard(other)).nearest(mass);
      result.put("from", mass.text());
      result.put("exact", mass.shownIn(other).text());
      result.put("loads", nearest.total().text());
      result.put("side", nearest.perSide().isEmpty() ? "the bare bar" : nearest.sideText() + " a side");
    }
    return result;
  }
}
