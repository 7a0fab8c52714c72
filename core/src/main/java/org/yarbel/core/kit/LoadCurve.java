package org.yarbel.core.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/**
 * What a bar with bands, chains or reverse bands weighs on its way from the bottom to the top.
 *
 * <p>Common practice, no source: bands and chains come on top of the bar (bottom = bar + slack part, top = bar + what
 * pulls at lock-out); reverse bands take off it (bottom = bar − what the bands hold, top = bar when they hang slack).
 * Every pair counts on both sides. Not for beginners; for intermediates with care.
 *
 * @param points at even shares of the way, the bottom first
 */
public record LoadCurve(List<Mass> points) {
  private static final int POINTS = 11;

  public LoadCurve {
    points = List.copyOf(points);
  }

  /**
   * A bar with a pair of bands pulling down.
   *
   * @param bottom length of a band at the bottom in cm; shorter than measured means it hangs slack there
   * @param top length of a band at lock-out in cm, not under {@code bottom}
   */
  public static LoadCurve bands(Mass bar, Band band, double bottom, double top) {
    order(bottom, top);
    return of(share -> bar.plus(pull(band, bottom + share * (top - bottom)).times(2)));
  }

  /** A bar with a pair of chains, the links coming off the floor evenly. */
  public static LoadCurve chains(Mass bar, Chain chain) {
    Mass rest = chain.mass().minus(chain.slack());
    return of(share -> bar.plus(chain.slack().plus(rest.scaled(share)).times(2)));
  }

  /**
   * A bar hung in a pair of bands from above, which help most at the bottom.
   *
   * @param bottom length of a band at the bottom in cm, where it holds most
   * @param top length of a band at lock-out in cm, not over {@code bottom}; shorter than measured means it hangs slack
   * @throws Floats when the bar is lighter than what the bands hold: it floats
   */
  public static LoadCurve reverse(Mass bar, Band band, double bottom, double top) {
    order(top, bottom);
    Mass held = held(band, bottom);
    if (bar.compareTo(held) <= 0) {
      throw new Floats("The bar floats: the bands hold " + held.shownIn(bar.unit()).text()
          + " at the bottom and the bar has " + bar.text() + ". Start above it");
    }
    return of(share -> bar.minus(pull(band, bottom + share * (top - bottom)).times(2)));
  }

  /** What a pair of reverse bands holds at the bottom. */
  public static Mass held(Band band, double bottom) {
    return pull(band, bottom).times(2);
  }

  /** The bar to begin with in reverse bands: what is lifted freely for the reps and what the bands hold. */
  public static Mass firstBar(Mass free, Band band, double bottom) {
    return free.plus(held(band, bottom)).shownIn(free.unit());
  }

  /** The load at the bottom of the lift. */
  public Mass bottom() {
    return points.get(0);
  }

  /** The load at lock-out. */
  public Mass top() {
    return points.get(points.size() - 1);
  }

  private static LoadCurve of(DoubleFunction<Mass> at) {
    List<Mass> points = new ArrayList<>();
    for (int i = 0; i < POINTS; i++) {
      points.add(at.apply((double) i / (POINTS - 1)));
    }
    return new LoadCurve(points);
  }

  // shorter than the shortest measured length with no pull there, a band hangs slack
  private static Mass pull(Band band, double centimetres) {
    Band.Pull first = band.pulls().get(0);
    return centimetres < first.centimetres() && first.mass().isZero() ? first.mass() : band.pullAt(centimetres);
  }

  private static void order(double shorter, double longer) {
    if (shorter > longer) {
      throw new Refused("The band is longer where it pulls more: " + Math.round(shorter) + " and "
          + Math.round(longer) + " cm are the wrong way round");
    }
  }

  /** The bar is lighter than what the bands hold at the bottom. */
  public static final class Floats extends Refused {
    private static final long serialVersionUID = 1;

    Floats(String why) {
      super(why);
    }
  }
}
