package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Purpose;

/** Draws the weeks, their blocks and marks, and below them a row each for loads, work and readiness. */
final class RunwayDrawing {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  private static final double BLOCKS_AT = 36;
  private static final double BLOCKS_HEIGHT = 30;
  private static final double EASY_HEIGHT = 400;
  private static final double MARKS_AT = 84;
  private static final double ROWS_AT = 94;
  private static final double GAP = 12;
  /** Narrower columns show every other day. */
  private static final double TIGHT = 40;
  /** About the width of a letter, and of what stands around a word. */
  private static final double LETTER = 6.6;
  private static final double AROUND = 10;
  private static final Map<Purpose, String> FILLS = Map.of(Purpose.PRACTICE, "url(#steps)", Purpose.VOLUME, "url(#dots)",
      Purpose.STRENGTH, "url(#upright)",
      Purpose.PEAK, "url(#hatch)", Purpose.TAPER, "url(#back)", Purpose.TEST, "url(#cross)", Purpose.HOLD, "url(#level)",
      Purpose.OFF, "none");

  private final RunwayService.ShownRunway shown;
  private final List<RunwayWeek> weeks;
  private final RunwayPaper paper;

  RunwayDrawing(RunwayService.ShownRunway shown) {
    this.shown = shown;
    this.weeks = shown.weeks();
    this.paper = new RunwayPaper(shown.from(), weeks.size());
  }

  RunwayChart draw() {
    header();
    List<RunwayChart.BlockShape> blocks = blocks();
    marks();
    double y = new TopRow(paper, weeks, ROWS_AT).draw() + GAP;
    VolumeRows volume = new VolumeRows(paper, weeks);
    y = volume.lifts(volume.zones(y) + GAP) + 4;
    if (!shown.readiness().isEmpty()) {
      y = new ReadyRow(paper, shown, y).draw() + GAP;
    }
    double height = y + 16;
    days(height - 8);
    return new RunwayChart(RunwayPaper.WIDTH, RunwayPaper.round(height), columns(), blocks, paper.rects(), paper.paths(), paper.labels());
  }

  private List<RunwayChart.WeekColumn> columns() {
    List<RunwayChart.WeekColumn> columns = new ArrayList<>();
    for (int i = 0; i < weeks.size(); i++) {
      RunwayWeek week = weeks.get(i);
      columns.add(new RunwayChart.WeekColumn(RunwayPaper.round(paper.x(i)), RunwayPaper.round(paper.column()),
          week.monday().toString(), week.words(), week.now()));
    }
    return columns;
  }

  private void header() {
    boolean tight = paper.column() < TIGHT;
    paper.row(15, "rw-row", shown.contest() == null ? "week" : "weeks out");
    for (int i = 0; i < weeks.size(); i++) {
      RunwayWeek week = weeks.get(i);
      paper.text(paper.x(i + 0.5), 15, "middle", week.now() ? "rw-out now" : "rw-out", number(week.out(), i));
      if (!tight || i % 2 == 0) {
        paper.text(paper.x(i + 0.5), 29, "middle", "rw-day", week.day());
      }
      if (week.easy()) {
        paper.rect(new RunwayChart.Rect(paper.x(i), BLOCKS_AT + BLOCKS_HEIGHT + 2, paper.column(), EASY_HEIGHT, "rw-easy", ""));
      }
    }
  }

  /** Weeks to the contest, weeks after it with a plus, or which week of an open plan it is. */
  private static String number(@Nullable Integer out, int at) {
    if (out == null) {
      return Integer.toString(at + 1);
    }
    return out < 0 ? "+" + -out : out.toString();
  }

  private List<RunwayChart.BlockShape> blocks() {
    paper.row(BLOCKS_AT + 19, "rw-row", "block");
    List<RunwayChart.BlockShape> shapes = new ArrayList<>();
    for (Macrocycle.Placed placed : shown.blocks()) {
      LocalDate from = placed.monday().isBefore(shown.from()) ? shown.from() : placed.monday();
      LocalDate to = placed.end().isAfter(shown.end()) ? shown.end() : placed.end();
      if (from.isBefore(to)) {
        shapes.add(block(placed, paper.x(from), paper.x(to) - paper.x(from)));
      }
    }
    return shapes;
  }

  private static RunwayChart.BlockShape block(Macrocycle.Placed placed, double x, double width) {
    Purpose purpose = placed.block().purpose();
    String shortened = purpose.word().length() * LETTER + AROUND > width ? purpose.word().substring(0, 1) : purpose.word();
    String title = "Change the block " + purpose.word() + ", " + Count.of(placed.block().weeks(), "week") + " from "
        + DAY.format(placed.monday());
    return new RunwayChart.BlockShape(placed.block().no(), RunwayPaper.round(x), BLOCKS_AT, RunwayPaper.round(width),
        BLOCKS_HEIGHT, FILLS.get(purpose), shortened, title);
  }

  private void marks() {
    paper.row(MARKS_AT, "rw-row", "marks");
    for (int i = 0; i < weeks.size(); i++) {
      Stream<String> deload = weeks.get(i).easy() ? Stream.of("D") : Stream.empty();
      String letters = Stream.concat(deload, weeks.get(i).marks().stream().map(RunwayWeek.MarkView::letter).distinct())
          .collect(Collectors.joining(" "));
      if (!letters.isEmpty()) {
        paper.text(paper.x(i + 0.5), MARKS_AT, "middle", letters.contains("C") ? "rw-mark contest" : "rw-mark", letters);
      }
    }
  }

  /** Today and the day of the contest, over all rows. */
  private void days(double down) {
    if (!shown.today().isBefore(shown.from()) && shown.today().isBefore(shown.end())) {
      paper.path("M" + RunwayPaper.round(paper.x(shown.today())) + " " + BLOCKS_AT + "V" + RunwayPaper.round(down), "rw-today");
    }
    if (shown.contest() != null && shown.contest().isBefore(shown.end())) {
      paper.path("M" + RunwayPaper.round(paper.x(shown.contest().plusDays(1))) + " " + BLOCKS_AT + "V" + RunwayPaper.round(down),
          "rw-contest");
    }
  }
}
