package org.yarbel.web.skyline;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * One sleeve of a bar with its plates, seen from the side. Heights are to scale: a full-size plate has 45 cm; lengths
 * along the sleeve are drawn three times as large, so that the numbers can be read. Diameters by mass are common
 * practice, no source. Plates are told apart by size, print and shade; they bear no contest colours.
 *
 * @param text the plates of one side in words
 */
public record PlatePicture(double width, double height, List<Disc> discs, String text) {
  private static final double HEIGHT = 94;
  private static final double SLEEVE_START = 26;
  private static final double PIXELS_PER_MILLIMETRE = 0.17;
  private static final NavigableMap<Double, Double> DIAMETERS = new TreeMap<>(Map.of(
      0.25, 110.0, 0.5, 134.0, 1.25, 160.0, 2.5, 190.0, 5.0, 228.0, 10.0, 325.0, 15.0, 400.0, 20.0, 450.0));
  private static final double[] SHADES = {22, 17, 12.5, 7.5, 3.5};

  /**
   * One plate.
   *
   * @param shade 0 for the heaviest plates, 5 for the lightest
   */
  public record Disc(double x, double y, double width, double height, String label, boolean labelBelow, int shade) {
    public double middle() {
      return Skyline.round(x + width / 2);
    }
  }

  /** The picture of one side's plates, heaviest first, next to the bar's shoulder; a print names its unit if it is not the bar's. */
  public static PlatePicture of(List<Mass> perSide, MassUnit unit) {
    List<Disc> discs = new ArrayList<>();
    double x = SLEEVE_START;
    for (Mass plate : perSide) {
      double kilograms = plate.amountIn(MassUnit.KG, 3).doubleValue();
      double height = Skyline.round(diameter(kilograms) * PIXELS_PER_MILLIMETRE);
      double width = Skyline.round(8 + 7 * Math.min(kilograms / 25, 1));
      boolean below = width < 12;
      String print = Loading.print(plate, unit);
      discs.add(new Disc(Skyline.round(x), Skyline.round(41 - height / 2), width, height, print, below, shade(kilograms)));
      x += width + (below || print.length() > 3 ? 14 : 2.5);
    }
    String text = perSide.isEmpty() ? "no plates" : Loading.sideText(perSide, unit) + " a side";
    return new PlatePicture(Math.max(Skyline.round(x + 24), 90), HEIGHT, discs, text);
  }

  private static double diameter(double kilograms) {
    Map.Entry<Double, Double> below = DIAMETERS.floorEntry(kilograms);
    Map.Entry<Double, Double> above = DIAMETERS.ceilingEntry(kilograms);
    if (below == null || above == null) {
      return below == null ? DIAMETERS.firstEntry().getValue() : DIAMETERS.lastEntry().getValue();
    }
    double span = above.getKey() - below.getKey();
    return span == 0 ? below.getValue()
        : below.getValue() + (kilograms - below.getKey()) / span * (above.getValue() - below.getValue());
  }

  private static int shade(double kilograms) {
    int shade = 0;
    while (shade < SHADES.length && kilograms < SHADES[shade]) {
      shade++;
    }
    return shade;
  }
}
