package org.yarbel.web.skyline;

import java.util.List;
import java.util.stream.Collectors;

/** A small line of one number over the last weeks, scaled to its own range. */
public record Sparkline(double width, double height, String points, double lastX, double lastY) {
  /** The line through values, evenly spaced; empty for fewer than two. */
  public static Sparkline of(List<Double> values, double width, double height) {
    if (values.size() < 2) {
      return new Sparkline(width, height, "", 0, 0);
    }
    double low = values.stream().mapToDouble(v -> v).min().orElseThrow();
    double high = values.stream().mapToDouble(v -> v).max().orElseThrow();
    double span = Math.max(high - low, high * 0.01);
    double step = (width - 6) / (values.size() - 1);
    List<double[]> at = java.util.stream.IntStream.range(0, values.size())
        .mapToObj(i -> new double[] {
          Skyline.round(2 + i * step), Skyline.round(height - 3 - (values.get(i) - low) / span * (height - 6))
        })
        .toList();
    String points = at.stream().map(p -> p[0] + "," + p[1]).collect(Collectors.joining(" "));
    double[] last = at.get(at.size() - 1);
    return new Sparkline(width, height, points, last[0], last[1]);
  }

  public boolean empty() {
    return points.isEmpty();
  }
}
