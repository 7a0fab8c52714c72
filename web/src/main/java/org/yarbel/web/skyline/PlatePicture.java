package org.yarbel.web.skyline;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * One sleeve of a bar with its plates, seen from the side: heights and thicknesses grow with the mass, as plates do
 * (common practice, no source), and each carries its number.
 *
 * @param text the plates of one side in words
 */
public record PlatePicture(double width, double height, List<Disc> discs, String text) {
  private static final double HEIGHT = 94;
  private static final double SLEEVE_START = 26;
  private static final double FULL_SIZE_KG = 20;

  /** One plate. */
  public record Disc(double x, double y, double width, double height, String label, boolean labelBelow) {
    public double middle() {
      return Skyline.round(x + width / 2);
    }
  }

  /** The picture of one side's plates, heaviest first, next to the bar's shoulder. */
  public static PlatePicture of(List<Mass> perSide) {
    List<Disc> discs = new ArrayList<>();
    double x = SLEEVE_START;
    for (Mass plate : perSide) {
      double kilograms = plate.amountIn(MassUnit.KG, 3).doubleValue();
      double share = Math.min(kilograms / FULL_SIZE_KG, 1);
      double height = Skyline.round(22 + 54 * Math.pow(share, 0.6));
      double width = Skyline.round(8 + 7 * Math.min(kilograms / 25, 1));
      boolean below = width < 12;
      discs.add(new Disc(Skyline.round(x), Skyline.round(41 - height / 2), width, height, plate.number(), below));
      x += width + (below ? 14 : 2.5);
    }
    String text = perSide.isEmpty() ? "no plates" : sideText(perSide) + " a side";
    return new PlatePicture(Math.max(Skyline.round(x + 24), 90), HEIGHT, discs, text);
  }

  private static String sideText(List<Mass> perSide) {
    return perSide.stream().map(Mass::number).collect(java.util.stream.Collectors.joining(" "));
  }
}
