package org.yarbel.web.workbook;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LoadSource;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.Role;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

/**
 * A line of the plan as rows of a sheet: sets that weigh the same share a row, and each row says how its load comes from the
 * numbers, from a table of efforts, or from a load above it. What it comes from is told by the resolver ({@link LoadSource}); here
 * it is only written as a formula.
 */
final class LoadFormula {
  /** So many decimals write a nanogram of a kilogram. */
  private static final int EXACT = 12;

  private final String lift;
  private final MassUnit unit;
  private final EffortChart chart;
  private final Sheets sheets;
  private final int firstRow;
  private final List<LoadRow> rows = new ArrayList<>();

  /** The cells that formulas refer to, each as it is written in one. */
  interface Sheets {
    /** The cell of a number. */
    String number(String lift, Basis basis, Mass value);

    /** The cell of the body mass. */
    String bodyMass();

    /** The column of a chart's shares beside that of the reps to failure. */
    ChartColumns chart(EffortChart chart);

    /** The cell of a load in a row. */
    String load(int row);
  }

  /** Two columns of one length: reps to failure, and the share of the max. */
  record ChartColumns(String reps, String shares) {}

  /**
   * A row.
   *
   * @param part of the line, from 1
   * @param sets how many
   * @param before what is rounded, as a formula; null where the lifter picks
   * @param literal the load itself where no number has a say in it; null where one has
   * @param set the first of its sets, as the core has it
   */
  record LoadRow(int part, int sets, @Nullable String before, @Nullable Mass literal, LoadSource.Rounding rounding, ResolvedSet set) {}

  private LoadFormula(Resolver.Request request, String lift, Sheets sheets, int firstRow) {
    this.lift = lift;
    this.unit = request.unit();
    this.chart = request.chart();
    this.sheets = sheets;
    this.firstRow = firstRow;
  }

  /** The rows of a line, the first of which stands in a row of the sheet. */
  static List<LoadRow> rows(Resolver.Request request, ResolvedLine line, String lift, Sheets sheets, int firstRow) {
    LoadFormula formula = new LoadFormula(request, lift, sheets, firstRow);
    line.sets().forEach(formula::add);
    return formula.rows;
  }

  private void add(ResolvedSet set) {
    LoadRow row = row(set);
    LoadRow above = rows.isEmpty() || rows.get(rows.size() - 1).part() != set.part() ? null : rows.get(rows.size() - 1);
    if (above != null && Objects.equals(above.before(), row.before()) && Objects.equals(above.literal(), row.literal())
        && above.set().role() == row.set().role()) {
      rows.set(rows.size() - 1, new LoadRow(above.part(), above.sets() + 1, above.before(), above.literal(), above.rounding(),
          above.set()));
    } else {
      rows.add(row);
    }
  }

  private LoadRow row(ResolvedSet set) {
    LoadSource source = Objects.requireNonNull(set.source());
    if (set.load() == null || source instanceof LoadSource.Written) {
      return new LoadRow(set.part(), 1, null, set.load(), LoadSource.Rounding.NONE, set);
    }
    return new LoadRow(set.part(), 1, before(set.part(), source), null, Objects.requireNonNull(set.rounding()), set);
  }

  private String before(int part, LoadSource source) {
    if (source instanceof LoadSource.Share share) {
      return hanging(share.hung(), number(share.of()) + "*" + share(share.from(), share.to()));
    }
    if (source instanceof LoadSource.ByChart effort) {
      return hanging(effort.hung(), byChart(effort));
    }
    if (source instanceof LoadSource.Drop drop) {
      String from = set(part, drop.from());
      return drop.percent() != null ? from + "*(1-" + plain(drop.percent()) + "/100)"
          : "MAX(0," + from + "-" + figure(Objects.requireNonNull(drop.mass())) + ")";
    }
    if (source instanceof LoadSource.ShareOfSet share) {
      return set(part, share.of()) + "*" + share(share.from(), share.to());
    }
    if (source instanceof LoadSource.OfBody body) {
      return body.added() == null ? sheets.bodyMass() : sheets.bodyMass() + "+" + figure(body.added());
    }
    throw new IllegalStateException("No formula says where a load comes from that is " + source);
  }

  private String number(LoadSource.Number number) {
    return sheets.number(number.lift() == null ? lift : number.lift(), number.basis(), number.value());
  }

  private String byChart(LoadSource.ByChart effort) {
    ChartColumns columns = sheets.chart(chart);
    return number(effort.of()) + "*INDEX(" + columns.shares() + ",MATCH(" + plain(BigDecimal.valueOf(effort.toFailure())) + ","
        + columns.reps() + ",0))"
        + (effort.share() == 1 ? "" : "*" + plain(BigDecimal.valueOf(effort.share())));
  }

  /** The bar that weighs so much at the point that is meant. */
  private String hanging(LoadSource.Hung hung, String exact) {
    Mass less = hung.less();
    Mass more = hung.more();
    return less == null ? exact : "MAX(0," + exact + (more == null ? "" : "+" + figure(more)) + "-" + figure(less) + ")";
  }

  /** A set before: the row above, or the heaviest of the rows of the parts before, as another number may make another one that. */
  private String set(int part, LoadSource.Set set) {
    return set.above() ? sheets.load(firstRow + rows.size() - 1) : top(part);
  }

  /** Warm-ups never count. */
  private String top(int part) {
    List<String> cells = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      if (rows.get(i).part() < part && rows.get(i).set().role() != Role.WARM && rows.get(i).set().load() != null) {
        cells.add(sheets.load(firstRow + i));
      }
    }
    return cells.size() == 1 ? cells.get(0) : "MAX(" + String.join(",", cells) + ")";
  }

  private static String share(BigDecimal from, @Nullable BigDecimal to) {
    return to == null ? plain(from) + "/100" : plain(from.add(to)) + "/200";
  }

  private String figure(Mass mass) {
    return plain(mass.amountIn(unit, EXACT));
  }

  private static String plain(BigDecimal number) {
    BigDecimal stripped = number.stripTrailingZeros();
    return (stripped.scale() < 0 ? stripped.setScale(0) : stripped).toPlainString();
  }
}
