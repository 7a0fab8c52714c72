package org.yarbel.web.runway;

import java.util.List;

/**
 * The weeks as columns, counted down to the contest at the right edge, drawn with plain shapes.
 *
 * @param columns one a week, to point at and to go through with the arrow keys
 * @param blocks one a block, to open it
 */
public record RunwayChart(double width, double height, List<WeekColumn> columns, List<BlockShape> blocks, List<Rect> rects,
    List<Path> paths, List<Label> labels) {
  /** A week. */
  public record WeekColumn(double x, double width, String monday, String words, boolean now) {}

  /** A block. */
  public record BlockShape(int no, double x, double y, double width, double height, String fill, String title, String words) {
    public double middle() {
      return x + width / 2;
    }
  }

  /** A box. */
  public record Rect(double x, double y, double width, double height, String kind, String fill) {}

  /** A line or a mark. */
  public record Path(String d, String kind) {}

  /** A text. */
  public record Label(double x, double y, String anchor, String kind, String text) {}

  static RunwayChart of(RunwayService.ShownRunway shown) {
    return new RunwayDrawing(shown).draw();
  }

  /** The week that is looked at first: this one, or the first of all. */
  public int first() {
    for (int i = 0; i < columns.size(); i++) {
      if (columns.get(i).now()) {
        return i;
      }
    }
    return 0;
  }
}
