package org.yarbel.core.watch;

import java.util.Map;

/**
 * What a club has set of the figures, the defaults for the rest.
 *
 * @param set what is not at its default
 */
public record Figures(Map<? extends Figure, Double> set) {
  /** The defaults. */
  public static final Figures USUAL = new Figures(Map.of());

  public Figures {
    set = Map.copyOf(set);
  }

  /** The figure that holds: what the club set, else the default. */
  public double of(Figure figure) {
    return set.getOrDefault(figure, figure.usual());
  }
}
