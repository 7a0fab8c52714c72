package org.yarbel.web.workbench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.kit.Band;
import org.yarbel.core.kit.Chain;
import org.yarbel.core.kit.LoadCurve;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.form.Typed;

/** What bands, chains and reverse bands make of a bar on its way up. */
final class CurveTool {
  private static final double WIDTH = 520;
  private static final double HEIGHT = 240;
  private static final double LEFT = 64;
  private static final double BOTTOM = 28;

  private CurveTool() {}

  /** A level of the picture with its number. */
  public record CurveLevel(double y, String label) {}

  /**
   * What came out.
   *
   * @param line the points of the load, bottom to top
   * @param barY where the bar alone is
   * @param first the bar to begin with in reverse bands; null for others, or without a free load
   * @param askew why the band makes no pair where it is; null when it does
   */
  public record CurveResult(String bottom, String top, String difference, @Nullable String first, @Nullable String askew,
      String line, double barY, List<CurveLevel> levels, double width, double height) {}

  static @Nullable CurveResult of(Typed typed, KitChoice choice) {
    MassUnit unit = typed.unit("unit");
    Mass bar = typed.mass("bar", unit);
    Mass free = typed.mass("free", unit);
    String kind = typed.text("kind");
    try {
      return kind.equals("chains") ? chains(typed, choice, unit, bar) : bands(typed, choice, unit, bar, free, kind.equals("reverse"));
    } catch (LoadCurve.Floats floats) {
      typed.wrong("bar", floats);
      return null;
    } catch (Refused refused) {
      typed.wrong("lengths", refused);
      return null;
    }
  }

  private static @Nullable CurveResult chains(Typed typed, KitChoice choice, MassUnit unit, @Nullable Mass bar) {
    Optional<Chain> chain = choice.chain(typed.text("chain"));
    Mass mass = typed.mass("chainMass", unit);
    Mass slack = typed.empty("chainSlack") ? Mass.ofNanograms(0, unit) : typed.massFromZero("chainSlack", unit);
    if (chain.isEmpty() && mass != null && slack != null) {
      if (slack.compareTo(mass) > 0) {
        typed.wrong("chainSlack", "What hangs at the bottom cannot be more than the chain.");
        return null;
      }
      chain = Optional.of(new Chain("Chain", mass, slack));
    }
    if (chain.isEmpty() && !typed.empty("bar")) {
      typed.wrong("chain", "Choose a pair of chains, or write the mass of one.");
    }
    return bar == null || chain.isEmpty() ? null : result(LoadCurve.chains(bar, chain.get()), bar, unit, null, null);
  }

  private static @Nullable CurveResult bands(Typed typed, KitChoice choice, MassUnit unit, @Nullable Mass bar, @Nullable Mass free,
      boolean reverse) {
    Optional<Band> band = choice.band(typed.text("band"));
    if (band.isEmpty() && !typed.empty("pulls")) {
      band = Optional.ofNullable(typedBand(typed, unit));
    }
    if (band.isEmpty() && !typed.empty("bar") && typed.fine()) {
      typed.wrong("band", "Choose a pair of bands, or write its pulls.");
    }
    Double bottom = typed.decimal("bottom", "The length at the bottom in cm", 5, 400);
    Double top = typed.decimal("top", "The length at the top in cm", 5, 400);
    if (!typed.empty("bar") && (typed.empty("bottom") || typed.empty("top"))) {
      typed.wrong("lengths", "Write how long a band is at the bottom and at the top.");
    }
    if (band.isEmpty() || bottom == null || top == null || bar == null) {
      return null;
    }
    LoadCurve curve = reverse ? LoadCurve.reverse(bar, band.get(), bottom, top) : LoadCurve.bands(bar, band.get(), bottom, top);
    String first = reverse && free != null ? LoadCurve.firstBar(free, band.get(), bottom).text() : null;
    return result(curve, bar, unit, first, choice.withoutPartner(typed.text("band")).orElse(null));
  }

  private static @Nullable Band typedBand(Typed typed, MassUnit unit) {
    try {
      return new Band("Band", "", null, Band.pulls(typed.text("pulls"), unit));
    } catch (Refused refused) {
      typed.wrong("pulls", refused);
      return null;
    }
  }

  private static CurveResult result(LoadCurve curve, Mass bar, MassUnit unit, @Nullable String first, @Nullable String askew) {
    List<Double> values = curve.points().stream().map(p -> p.amountIn(unit, 3).doubleValue()).toList();
    double barValue = bar.amountIn(unit, 3).doubleValue();
    double most = Math.max(values.stream().max(Double::compare).orElseThrow(), barValue);
    double least = Math.min(values.stream().min(Double::compare).orElseThrow(), barValue);
    double from = Math.max(0, least - (most - least) * 0.25 - 1);
    double to = most + (most - least) * 0.15 + 1;
    StringBuilder line = new StringBuilder();
    for (int i = 0; i < values.size(); i++) {
      double x = LEFT + (WIDTH - LEFT - 20) * i / (values.size() - 1);
      line.append(Words.plain(x)).append(',').append(Words.plain(y(values.get(i), from, to))).append(' ');
    }
    List<CurveLevel> levels = new ArrayList<>();
    for (int i = 0; i <= 4; i++) {
      double value = from + (to - from) * i / 4;
      levels.add(new CurveLevel(y(value, from, to), Long.toString(Math.round(value))));
    }
    Mass difference = curve.top().compareTo(curve.bottom()) >= 0 ? curve.top().minus(curve.bottom()) : curve.bottom().minus(curve.top());
    return new CurveResult(curve.bottom().shownIn(unit).text(), curve.top().shownIn(unit).text(), difference.shownIn(unit).text(),
        first, askew, line.toString().strip(), y(barValue, from, to), levels, WIDTH, HEIGHT);
  }

  private static double y(double value, double from, double to) {
    return Math.round(10 * (HEIGHT - BOTTOM - (value - from) / (to - from) * (HEIGHT - BOTTOM - 12))) / 10.0;
  }
}
