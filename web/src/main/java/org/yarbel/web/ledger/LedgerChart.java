package org.yarbel.web.ledger;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.log.TrackedPoint;

/**
 * Raw estimates as dots, the tracked max as a line with its band of one sd.
 *
 * @param line the points of the tracked line
 * @param band the outline of the band
 * @param blocks of the long plan, behind it
 * @param text what it shows, in words
 */
public record LedgerChart(double width, double height, List<Dot> dots, String line, String band, List<LedgerTick> rows,
    List<LedgerTick> columns, List<Stripe> blocks, String text) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM yyyy", Locale.ENGLISH);
  /** From here on a day says more with its year than with its number. */
  private static final int LONG_DAYS = 400;
  private static final double LEFT = 44;
  private static final double BOTTOM = 24;
  private static final double TOP = 8;
  private static final double RIGHT = 14;

  /** One day's raw estimate. */
  public record Dot(double x, double y, String label) {}

  /** A block of the long plan behind the line; every second one is shaded. */
  public record Stripe(double x, double width, String name, boolean shaded) {}

  /** A line of the grid with its label. */
  public record LedgerTick(double at, String label) {}

  public boolean empty() {
    return dots.isEmpty() && line.isEmpty();
  }

  static LedgerChart of(List<TrackedPoint> points, List<LedgerService.LedgerBlock> blocks, MassUnit unit, double width, double height) {
    if (points.stream().noneMatch(point -> point.estimate(unit) != null || rated(point, unit).isPresent())) {
      return new LedgerChart(width, height, List.of(), "", "", List.of(), List.of(), List.of(), "");
    }
    LedgerScale scale = new LedgerScale(points, unit, width, height);
    List<Dot> dots = new ArrayList<>();
    points.forEach(point -> rated(point, unit).ifPresent(raw -> dots.add(new Dot(scale.x(point.day()), scale.y(value(raw, unit)),
        DAY.format(point.day()) + ": " + raw.amountIn(unit, 1).toPlainString() + " " + unit))));
    StringBuilder line = new StringBuilder();
    List<String> upper = new ArrayList<>();
    List<String> lower = new ArrayList<>();
    for (TrackedPoint point : points) {
      Mass estimate = point.estimate(unit);
      if (estimate != null) {
        double max = value(estimate, unit);
        double sd = value(Objects.requireNonNull(point.sd(unit)), unit);
        double x = scale.x(point.day());
        line.append(x).append(',').append(scale.y(max)).append(' ');
        upper.add(x + "," + scale.y(max + sd));
        lower.add(0, x + "," + scale.y(max - sd));
      }
    }
    TrackedPoint last = points.get(points.size() - 1);
    Mass now = last.estimate(unit);
    String text = Count.of(points.size(), "day") + " with an estimate from " + DAY.format(points.get(0).day()) + " to "
        + DAY.format(last.day()) + (now == null ? "" : "; tracked now at " + now.amountIn(unit, 1).toPlainString() + " " + unit);
    upper.addAll(lower);
    return new LedgerChart(width, height, dots, line.toString().strip(), String.join(" ", upper), scale.rows(),
        scale.columns(), scale.stripes(blocks), text);
  }

  /** What a rated set of the day speaks for; a floor only says the least it can be, and is no dot. */
  private static Optional<Mass> rated(TrackedPoint point, MassUnit unit) {
    return point.spread() == null ? Optional.empty() : Optional.ofNullable(point.raw(unit));
  }

  private static double value(Mass mass, MassUnit unit) {
    return mass.amountIn(unit, 3).doubleValue();
  }

  private static double round(double value) {
    return Math.rint(value * 10) / 10;
  }

  /** From days and masses to places in the picture. */
  private static final class LedgerScale {
    private final LocalDate from;
    private final long days;
    private final double low;
    private final double high;
    private final double step;
    private final double width;
    private final double height;

    LedgerScale(List<TrackedPoint> points, MassUnit unit, double width, double height) {
      this.width = width;
      this.height = height;
      this.from = points.get(0).day();
      this.days = Math.max(ChronoUnit.DAYS.between(from, points.get(points.size() - 1).day()), 1);
      double least = Double.MAX_VALUE;
      double most = 0;
      for (TrackedPoint point : points) {
        Mass estimate = point.estimate(unit);
        List<Double> values = new ArrayList<>();
        rated(point, unit).ifPresent(raw -> values.add(value(raw, unit)));
        if (estimate != null) {
          double sd = value(Objects.requireNonNull(point.sd(unit)), unit);
          values.addAll(List.of(value(estimate, unit) - sd, value(estimate, unit) + sd));
        }
        for (double value : values) {
          least = Math.min(least, value);
          most = Math.max(most, value);
        }
      }
      this.step = step(most - least);
      this.low = Math.floor(least / step) * step;
      this.high = Math.max(Math.ceil(most / step) * step, low + step);
    }

    private static double step(double span) {
      for (double step : new double[] {1, 2.5, 5, 10, 20, 25, 50, 100}) {
        if (span / step <= 5) {
          return step;
        }
      }
      return 200;
    }

    double x(LocalDate day) {
      return round(LEFT + (width - LEFT - RIGHT) * ChronoUnit.DAYS.between(from, day) / days);
    }

    double y(double value) {
      return round(height - BOTTOM - (value - low) / (high - low) * (height - BOTTOM - TOP));
    }

    List<LedgerTick> rows() {
      List<LedgerTick> rows = new ArrayList<>();
      for (double value = low; value <= high + step / 2; value += step) {
        rows.add(new LedgerTick(y(value), java.math.BigDecimal.valueOf(round(value)).stripTrailingZeros().toPlainString()));
      }
      return rows;
    }

    /** What of each block is in the picture. */
    List<Stripe> stripes(List<LedgerService.LedgerBlock> blocks) {
      List<Stripe> stripes = new ArrayList<>();
      LocalDate last = from.plusDays(days);
      for (LedgerService.LedgerBlock block : blocks) {
        LocalDate begins = block.from().isBefore(from) ? from : block.from();
        LocalDate ends = block.until().isAfter(last) ? last : block.until();
        if (begins.isBefore(ends)) {
          stripes.add(new Stripe(x(begins), round(x(ends) - x(begins)), block.name(), stripes.size() % 2 == 0));
        }
      }
      return stripes;
    }

    List<LedgerTick> columns() {
      List<LedgerTick> columns = new ArrayList<>();
      long gap = Math.max(days / 5, 1);
      for (long day = 0; day <= days; day += gap) {
        columns.add(new LedgerTick(x(from.plusDays(day)), (days > LONG_DAYS ? MONTH : DAY).format(from.plusDays(day))));
      }
      return columns;
    }
  }
}
